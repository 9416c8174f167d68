<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Course;
use App\Models\Feed;
use App\Models\FishGroup;
use App\Models\Role;
use App\Models\Vessel;
use App\Models\WaterChange;
use Database\Factories\SystemFactory;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ironwort\Core\Dose\Validity;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What the book refuses, at the field that it is about; what others have a test of their own for is not here again. */
final class RefusalsTest extends TestCase
{
    private const BOX = ['kind' => 'bay', 'shape' => 'box', 'length_m' => '1', 'width_m' => '1', 'depth_m' => '1'];

    private const MAT = [
        'kind' => 'matting',
        'medium' => 'coarse_matting',
        'media_l' => '50',
        'flow_l_h' => '4000',
    ];

    private string $bay;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [SystemFactory::BAY],
        ]);
        $this->bay = Vessel::query()->firstOrFail()->id;
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function booked(string $path, array $body = [], ?string $id = null): string
    {
        $id ??= self::key();
        $this->at('PUT', str_replace('*', $id, $path), $body)->assertOk();

        return $id;
    }

    private function at(string $method, string $path, array $body): TestResponse
    {
        $uri = str_starts_with($path, '/') ? "/api{$path}" : "/api/systems/long-vat/{$path}";

        return $this->json($method, str_replace('*', self::key(), $uri), $body);
    }

    private function refused(string $method, string $path, array $body, string $field): void
    {
        $answer = $this->at($method, $path, $body);
        self::assertSame(422, $answer->status(), "{$method} {$path}: {$answer->getContent()}");
        self::assertSame([$field], array_keys($answer->json('errors')), "{$method} {$path}: {$answer->getContent()}");
        self::assertNotSame('', $answer->json("errors.{$field}"));
    }

    private function log(string $line): void
    {
        $this->at('POST', 'log', ['id' => self::key(), 'line' => $line])->assertCreated();
    }

    /** Each by its own reason, since a line not understood is refused at the same field. In London it is eleven. */
    #[TestWith(['', 'One line'])]
    #[TestWith(['@9:10', 'at least one reading'])]
    #[TestWith(['feed 600000', 'So much feed'])]
    #[TestWith(['am .5 @25:00', '@7:10'])]
    #[TestWith(['feed 50 @11:20', 'still to come: it is 11:00'])]
    #[TestWith(['wc 9000', '8,000 L'])]
    #[TestWith(['seed 3l from nowhere', 'no other system here'])]
    #[TestWith(['pump nothing off', 'Nothing of this kind'])]
    public function test_lines_of_the_log_bar(string $line, string $why): void
    {
        $this->travelTo('2026-06-01 10:00');
        $said = ['id' => self::key(), 'line' => $line];
        $this->refused('POST', 'log', $said, 'line');
        self::assertStringContainsString($why, $this->at('POST', 'log', $said)->json('errors.line'));
        self::assertSame(0, Feed::query()->count() + WaterChange::query()->count());
    }

    public function test_fish_and_what_becomes_of_them(): void
    {
        $koi = $this->booked('fish/*', ['name' => 'Koi', 'count' => '10', 'length_cm' => '40']);
        $this->refused('PUT', "fish/{$koi}/lost/*", ['count' => '11', 'reason' => 'x'], 'count');
        $this->refused('PUT', "fish/{$koi}/lost/*", ['count' => '1.5', 'reason' => 'x'], 'count');
        self::assertSame(10, FishGroup::query()->findOrFail($koi)->count);
        $this->refused('PUT', 'feed', ['feed_g_d' => '100', 'protein_pct' => '40', 'meals' => '2.5'], 'meals');
        $this->refused(
            'PUT',
            'feed',
            ['feed_g_d' => '100', 'protein_pct' => '40', 'days_a_week' => '6.5'],
            'days_a_week',
        );
        $this->refused(
            'PUT',
            'feed',
            ['feed_g_d' => '100', 'protein_pct' => '40', 'fertiliser_g_week' => '20'],
            'fertiliser_n_pct',
        );
        $this->refused(
            'PUT',
            'looks/*',
            ['group' => $koi, 'seen' => ['ulcers' => 1], 'length_cm' => 'long'],
            'length_cm',
        );
        $this->refused('PUT', 'shipments/*', ['from_whom' => 'Reed Farm', 'boxes' => '1.5'], 'boxes');
        $this->refused('PUT', 'shipments/*', ['from_whom' => 'Reed Farm', 'arrived_at' => 'soon'], 'arrived_at');
        $this->refused(
            'PUT',
            'shipments/*',
            ['from_whom' => 'Reed Farm', 'arrived_at' => now()->addDay()->toIso8601ZuluString()],
            'arrived_at',
        );
        $shipment = $this->booked('shipments/*', ['from_whom' => 'Reed Farm']);
        $bag = $this->booked("shipments/{$shipment}/bags/*", ['name' => 'Small', 'count' => '4', 'length_cm' => '20']);
        $this->refused('PUT', "bags/{$bag}/in", ['dead' => '0.5'], 'dead');
        $this->refused('PUT', "bags/{$bag}/in", ['dead' => '5'], 'dead');
    }

    public function test_parts_of_the_build(): void
    {
        $mat = $this->booked('stages/*', [...self::MAT, 'name' => 'Mat']);
        $lamp = $this->booked('stages/*', ['name' => 'Lamp', 'kind' => 'uv', 'lamp_w' => '55', 'flow_l_h' => '4000']);
        $this->refused('PUT', 'stages/*', [...self::MAT, 'name' => 'Upper', 'chamber_id' => $lamp], 'chamber_id');
        $this->refused('PUT', 'stages/*', [...self::MAT, 'name' => 'Upper', 'chamber_id' => self::key()], 'chamber_id');
        $upper = $this->booked('stages/*', [...self::MAT, 'name' => 'Upper', 'chamber_id' => $mat]);
        $this->refused('PUT', 'stages/*', [...self::MAT, 'name' => 'Third', 'chamber_id' => $upper], 'chamber_id');
        $this->refused('DELETE', "stages/{$mat}", [], 'id');
        $this->refused('PUT', "stages/{$mat}/retired", ['retired' => true], 'id');
        $this->refused('PUT', 'pumps/*', ['name' => 'Pump', 'kind' => 'steam'], 'kind');
        $pump = $this->booked('pumps/*', ['name' => 'Air', 'kind' => 'air', 'air_l_min' => '60', 'power_w' => '40']);
        $this->refused('PUT', "vessels/{$this->bay}/shut-off", ['shut' => true], 'id');
        $this->refused('POST', 'plumbing/what-if', ['line' => self::key(), 'bore_mm' => '50'], 'line');
        $this->refused('POST', 'plumbing/what-if', ['bore_mm' => '50'], 'line');
        $this->refused('POST', 'plumbing/what-if', ['pump' => self::key()], 'pump');
        // A name is free again once its vessel is retired, and is then not to be had twice.
        $tub = $this->booked('vessels/*', [...self::BOX, 'name' => 'Tub']);
        $this->at('PUT', "vessels/{$tub}/retired", ['retired' => true])->assertOk();
        $this->booked('vessels/*', [...self::BOX, 'name' => 'Tub']);
        $this->refused('PUT', "vessels/{$tub}/retired", ['retired' => false], 'id');
        $this->booked('switchings/*', ['part' => $pump, 'state' => 'off']);
        $this->refused(
            'PUT',
            'switchings/*',
            ['part' => $pump, 'state' => 'on', 'at' => now()->subHour()->toIso8601ZuluString()],
            'at',
        );
    }

    public function test_the_filter_and_its_care(): void
    {
        $mat = $this->booked('stages/*', [...self::MAT, 'name' => 'Mat']);
        $this->booked('filter/flushes/*', ['stage' => $mat]);
        $this->refused('PUT', 'filter/runs/*', [], 'readings');
        $this->refused('PUT', 'services/*', ['job' => 'polish', 'part' => "stage:{$mat}"], 'job');
        $run = $this->booked('services/*', ['job' => 'vacuum', 'part' => "vessel:{$this->bay}"]);
        $this->refused('PUT', "services/{$run}/steps/99", ['done' => true], 'step');
        $this->refused('PUT', 'seeds/*', ['kind' => 'own_media', 'litres' => '3', 'donor' => 'clean'], 'from');
    }

    public function test_doses_courses_and_water(): void
    {
        $this->log('t 18 ph 7.6 kh 8 gh 10 do 9 sa 0 am 0 ni 0');
        $this->refused('PUT', 'doses/*', ['reason' => 'x'], 'thing');
        $this->at('PUT', 'doses/*', ['thing' => 'zeolite', 'reason' => 'x', 'tan_mg_l' => '0'])
            ->assertUnprocessable()
            ->assertJsonPath('codes', ['dose.nothing_to_give']);
        $given = ['thing' => 'formalin', 'reason' => 'x', 'done' => 'yes', 'given_unit' => 'mL'];
        $this->refused(
            'PUT',
            'doses/*',
            [...$given, 'given_amount' => '5', 'given_at' => '1950-01-01T10:00'],
            'given_at',
        );
        $this->refused('PUT', 'doses/*', ['thing' => 'binder', 'reason' => 'x', 'course' => 'yes'], 'thing');
        $prazi = ['thing' => 'praziquantel', 'reason' => 'flukes', 'course' => 'yes'];
        $this->booked('doses/*', $prazi);
        $this->refused('PUT', 'doses/*', [...$prazi, 'again' => 'yes'], 'thing');
        $course = Course::query()->firstOrFail()->id;
        $this->refused('PUT', "courses/{$course}/doses/*", ['top_up' => 'yes', 'reason' => 'x'], 'course');
        $this->at('PUT', "courses/{$course}/end", ['reason' => 'done'])->assertOk();
        $this->refused('PUT', "courses/{$course}/doses/*", ['reason' => 'x'], 'course');
        $this->refused('PUT', "courses/{$course}/after/nothing", [], 'step');
        $this->refused('PUT', 'changes/*', ['kind' => 'batch', 'change_pct' => '10', 'water' => self::key()], 'water');
        $well = $this->booked('/waters/*', ['name' => 'Well', 'kind' => 'well', 'unit_name' => '']);
        $this->booked('trickles/*', ['flow_l_h' => '20', 'water' => $well]);
        $this->refused('DELETE', "/waters/{$well}", [], 'id');
        $this->refused(
            'PUT',
            '/kits/*',
            ['name' => 'Drops', 'kind' => 'drops', 'parameter' => 'ph', 'steps' => '6 x 8'],
            'steps',
        );
        $this->refused(
            'PUT',
            '/kits/*',
            ['name' => 'Drops', 'kind' => 'drops', 'parameter' => 'ph', 'steps' => '6 8 7'],
            'steps',
        );
    }

    public function test_readings_limits_and_spans(): void
    {
        $visit = fn(string $at): array => [
            'id' => self::key(),
            'taken_at' => $at,
            'readings' => ['ph' => ['typed' => '7.5']],
        ];
        $this->refused('POST', 'visits', $visit(now()->addDay()->toIso8601ZuluString()), 'taken_at');
        $this->refused('POST', 'visits', $visit('1950-01-01T10:00:00Z'), 'taken_at');
        $this->refused(
            'POST',
            'visits',
            [...$visit(now()->toIso8601ZuluString()), 'readings' => ['ph' => ['typed' => str_repeat('7', 60)]]],
            'readings.ph',
        );
        $this->refused('PUT', 'limits/ph', ['reason' => 'ours'], 'above.watch');
        $this->refused('PUT', 'probe', ['parameter' => 'temp_c', 'points' => []], 'points');
        $this->refused(
            'PUT',
            'probe',
            ['parameter' => 'temp_c', 'points' => [[now()->addDay()->timestamp, 18]]],
            'points.0',
        );
        $this->refused('POST', 'volumes/choice', ['measure' => self::key()], 'measure');
        $empty = $this->systemOf($this->site, 'Empty', 'empty');
        $this->refused(
            'PUT',
            "/systems/{$empty->slug}/changes/*",
            ['kind' => 'batch', 'change_pct' => '10'],
            'change_l',
        );
    }

    public function test_a_key_that_stands_for_something_in_another_system(): void
    {
        $note = $this->booked('notes/*', ['words' => 'All well.']);
        $this->systemOf($this->site, 'Other', 'other');
        $this->refused('PUT', "/systems/other/notes/{$note}", ['words' => 'All well.'], 'id');
    }

    public function test_what_somebody_else_has_just_done_is_told_and_done_again_only_by_saying_so(): void
    {
        $helper = $this->person('helper@yard.example', Role::Helper);
        $change = ['kind' => 'batch', 'change_pct' => '10'];
        $this->booked('changes/*', $change);
        // One's own deed, done twice, is two.
        $this->booked('changes/*', $change);
        $this->actingAs($helper);
        $this->at('PUT', 'changes/*', $change)
            ->assertUnprocessable()
            ->assertJsonPath('codes', ['dose.same_by_another']);
        self::assertSame(2, WaterChange::query()->count());
        $this->travel(Validity::SAME_DEED_MIN - 1)->minutes();
        $this->refused('PUT', 'changes/*', $change, 'again');
        $this->booked('changes/*', [...$change, 'again' => 'yes']);
        $this->actingAs($this->owner);
        $this->travel(Validity::SAME_DEED_MIN + 1)->minutes();
        $this->booked('changes/*', $change);
    }
}
