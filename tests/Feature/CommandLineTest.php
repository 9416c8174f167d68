<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Dose;
use App\Models\Role;
use App\Models\System;
use App\Models\User;
use App\Site\PersonCommand;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;
use Symfony\Component\Console\Tester\CommandTester;
use Tests\TestCase;

/** What a shell can ask and do: the same refusals as on the pages, people, and the whole book out and in. */
final class CommandLineTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Tub',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 1, 'width_m' => 1, 'depth_m' => 0.6],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD00000000000000000000V1',
            'line' => 'am .1 ph 7.6 t 18 do 8 kh 6 gh 8 sa 0',
        ])->assertCreated();
    }

    /** @param  array<string, mixed>  $given */
    private function asked(string $command, array $given, int $code, string $says): void
    {
        $ended = Artisan::call("ironwort:{$command}", $given);
        $said = Artisan::output();
        self::assertSame($code, $ended, $said);
        self::assertStringContainsString($says, $said);
    }

    /** @param  list<string>  $fields */
    private function dose(int $code, string $says, string $thing, array $fields = [], string $system = 'long-vat'): void
    {
        $this->asked('dose', ['system' => $system, 'thing' => $thing, 'field' => $fields], $code, $says);
    }

    /** @param  array<string, string>  $given */
    private function someone(array $given, string $password, int $code, string $says): void
    {
        $command = app(PersonCommand::class);
        $command->setLaravel($this->app);
        $tester = new CommandTester($command);
        $tester->setInputs([$password]);
        self::assertSame($code, $tester->execute($given), $tester->getDisplay());
        self::assertStringContainsString($says, $tester->getDisplay());
    }

    public function test_a_dose_is_worked_out_or_refused_as_on_the_page_and_never_booked(): void
    {
        // 3 g/L of 600 L.
        $this->dose(0, '900 g', 'salt', ['target_g_l=3', 'steps=2']);
        $this->dose(1, '2 steps at least', 'salt', ['target_g_l=3', 'steps=1']);
        $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1', [
            'kind' => 'zeolite',
            'mass_g' => '900',
        ])->assertOk();
        $this->dose(1, 'Refused. Salt makes zeolite', 'salt', ['target_g_l=3']);
        $this->dose(0, 'First: Take the zeolite out', 'praziquantel');
        $this->dose(1, 'dose_mg_l:', 'formalin', ['dose_mg_l=250']);
        $this->dose(1, 'Missing:', 'binder');
        $this->dose(2, 'This is not something that can be dosed here.', 'moonlight');
        $this->dose(2, 'There is no such system.', 'salt', [], 'nowhere');
        self::assertSame(0, Dose::query()->count());
    }

    public function test_the_whole_book_goes_out_to_a_file_and_into_an_empty_one_only(): void
    {
        $file = sys_get_temp_dir() . '/ironwort-' . getmypid() . '.zip';
        try {
            $this->asked('export', ['file' => $file], 0, '1 systems, 7 readings');
            $this->asked('import', ['file' => $file], 2, 'empty');
            $this->asked('export', ['file' => $file, '--site' => 'Elsewhere'], 2, 'There is no such site.');
            $this->asked('import', ['file' => __FILE__], 2, '');
        } finally {
            @unlink($file);
        }
        self::assertSame(1, System::query()->count());
    }

    public function test_people_are_added_with_a_role_and_given_new_passwords(): void
    {
        $wren = [
            'action' => 'add',
            '--site' => 'Short Shed',
            '--name' => 'Wren',
            '--email' => 'wren@shed.example',
            '--role' => 'helper',
            '--timezone' => 'Europe/London',
        ];
        foreach (
            [
                [['--name' => ''], 'Give --site and --name'],
                [['--email' => 'wren'], 'Give --email'],
                [['--role' => 'queen'], 'owner, helper or reader'],
                [['--timezone' => 'Mars'], 'There is no time zone Mars'],
                [['--email' => $this->owner->email], 'has a login already'],
                [['action' => 'remove'], 'It can add'],
            ]
            as [$more, $says]
        ) {
            $this->someone([...$wren, ...$more], '', 2, $says);
        }
        $this->someone($wren, 'short', 2, '10 characters or more');
        $this->someone($wren, 'long enough', 0, 'Wren can sign in');
        $person = User::query()->where('email', 'wren@shed.example')->firstOrFail();
        self::assertSame([Role::Helper, 'Europe/London'], [$person->role, $person->site->timezone]);
        $this->someone(
            ['action' => 'password', '--email' => 'WREN@shed.example'],
            'another long one',
            0,
            'new password',
        );
        self::assertTrue(Hash::check('another long one', (string) $person->refresh()->password));
        $this->someone(['action' => 'password', '--email' => 'nobody@shed.example'], '', 2, 'Nobody signs in');
    }
}
