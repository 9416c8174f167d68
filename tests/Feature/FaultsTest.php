<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Role;
use App\Providers\AppServiceProvider;
use Database\Factories\SystemFactory;
use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Vite;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What is written down of errors and of rules that were overridden, and what a browser is shown of a fault. */
final class FaultsTest extends TestCase
{
    private string $logs;

    protected function setUp(): void
    {
        parent::setUp();
        $this->logs = sys_get_temp_dir() . '/ironwort-logs-' . Str::random(8);
        File::makeDirectory("{$this->logs}/logs", recursive: true);
        $this->app->useStoragePath($this->logs);
        config([
            'logging.channels.overridden.path' => "{$this->logs}/logs/overridden.log",
            'logging.channels.file.path' => "{$this->logs}/logs/ironwort.log",
        ]);
        Log::forgetChannel('overridden');
        Log::forgetChannel('file');
        $this->actingAs($this->owner);
    }

    protected function tearDown(): void
    {
        Log::forgetChannel('overridden');
        Log::forgetChannel('file');
        File::deleteDirectory($this->logs);
        parent::tearDown();
    }

    private function give(array $dose): void
    {
        $this->putJson('/api/systems/long-vat/doses/' . strtoupper((string) Str::ulid()), $dose)->assertOk();
    }

    private function faults(array $given = []): string
    {
        Artisan::call('ironwort:faults', $given);

        return Artisan::output();
    }

    public function test_what_is_booked_against_a_rule_is_counted_by_the_rule_and_nothing_typed_is_in_it(): void
    {
        self::assertStringContainsString('No refusal was overridden.', $this->faults());
        (new LayBuild())->lay($this->system, [
            'vessels' => [SystemFactory::BAY],
        ]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => strtoupper((string) Str::ulid()),
            'line' => 't 18 ph 7.6 kh 8 gh 10 do 9 sa 0 am 0 ni 0',
        ])->assertCreated();
        // Nothing speaks against the first: it is not in the log.
        $this->give(['thing' => 'formalin', 'dose_mg_l' => '15', 'reason' => 'flukes']);
        foreach (['16', '18'] as $grams) {
            $this->give([
                'thing' => 'potassium_permanganate',
                'reason' => 'Dr. Withy said so',
                'done' => 'yes',
                'given_amount' => $grams,
                'given_unit' => 'g',
            ]);
        }
        self::assertMatchesRegularExpression(
            '/ 2  last \S+ \S+  dose of potassium_permanganate: dose\.formalin_with_permanganate, had happened/',
            $this->faults(),
        );
        $written = (string) file_get_contents($this->logs . '/logs/overridden-' . now()->format('Y-m-d') . '.log');
        self::assertStringNotContainsString('Withy', $written);
        self::assertStringContainsString($this->owner->id, $written);
        $this->travel(8)->days();
        self::assertStringContainsString('No refusal was overridden.', $this->faults());
        self::assertStringContainsString('dose.formalin_with_permanganate', $this->faults(['--days' => 14]));
    }

    public function test_what_is_refused_after_all_or_sent_again_was_not_overridden_once_more(): void
    {
        (new LayBuild())->lay($this->system, ['vessels' => [SystemFactory::BAY]]);
        $this->postJson('/api/systems/long-vat/log', ['id' => strtoupper((string) Str::ulid()), 'line' => 't 18 sa 3']);
        $hang = fn(string $id): TestResponse => $this->putJson("/api/systems/long-vat/charges/{$id}", [
            'kind' => 'zeolite',
            'mass_g' => '500',
            'done' => 'yes',
        ]);
        $key = strtoupper((string) Str::ulid());
        $hang($key)->assertOk();
        $hang($key)->assertOk();
        $this->actingAs($this->person('helper@yard.example', Role::Helper));
        $hang(strtoupper((string) Str::ulid()))->assertJsonPath('codes', ['dose.same_by_another']);
        self::assertMatchesRegularExpression('/ 1  last \S+ \S+  zeolite hung: \S+, had happened/', $this->faults());
    }

    public function test_errors_are_counted_together_however_often_they_came(): void
    {
        Log::channel('file')->error('App\Pump: it is stuck', ['at' => 'here', 'request' => 'a']);
        Log::channel('file')->error('App\Pump: it is stuck', ['at' => 'here', 'request' => 'b']);
        Log::channel('file')->error('The database is away.');
        Log::channel('file')->warning('Only a warning');
        $said = $this->faults();
        self::assertMatchesRegularExpression('/ 2  last \S+ \S+  App\\\\Pump: it is stuck$/m', $said);
        self::assertMatchesRegularExpression('/ 1  last \S+ \S+  The database is away\.$/m', $said);
        self::assertStringNotContainsString('Only a warning', $said);
    }

    #[TestWith(['0'])]
    #[TestWith(['15'])]
    #[TestWith(['many'])]
    public function test_days_that_are_not_kept_are_refused(string $days): void
    {
        self::assertSame(1, Artisan::call('ironwort:faults', ['--days' => $days]));
    }

    public function test_a_fault_is_told_as_a_page_to_a_browser_and_as_data_to_what_asks_for_data(): void
    {
        $page = $this->post('/press-room');
        $page->assertStatus(405)->assertSee('That cannot be done with this address.');
        self::assertStringStartsWith('text/html', (string) $page->headers->get('Content-Type'));
        self::assertStringNotContainsString('{{', $page->getContent());
        $this->getJson('/api/nothing')
            ->assertNotFound()
            ->assertJsonStructure(['message', 'errors']);
    }

    public function test_only_what_comes_by_the_door_of_bin_dev_has_the_code_as_it_is_written(): void
    {
        $script = function (array $headers): string {
            // Asked as a request of its own, for it is decided when the application starts.
            $this->app->instance(
                'request',
                Request::create('/', server: $this->transformHeadersToServerVars($headers)),
            );
            $this->app->forgetInstance(Vite::class);
            (new AppServiceProvider($this->app))->boot();

            return (string) $this->get('/', $headers)->getContent();
        };
        file_put_contents("{$this->logs}/hot", '/build');
        self::assertStringNotContainsString('@vite/client', $script(['X-Ironwort-Dev' => '1']));
        putenv("IRONWORT_HOT={$this->logs}/hot");
        try {
            self::assertStringContainsString('src="/build/@vite/client"', $script(['X-Ironwort-Dev' => '1']));
            self::assertStringNotContainsString('@vite/client', $script([]));
        } finally {
            putenv('IRONWORT_HOT');
        }
    }

    public function test_what_runs_by_the_clock_runs(): void
    {
        $known = Artisan::all();
        $commands = array_map(
            static fn(Event $event): string => (string) preg_replace("/^.*artisan'? /", '', (string) $event->command),
            $this->app->make(Schedule::class)->events(),
        );
        self::assertSame(['ironwort:backup --due'], $commands);
        foreach ($commands as $command) {
            [$name] = explode(' ', $command);
            self::assertArrayHasKey($name, $known);
        }
    }
}
