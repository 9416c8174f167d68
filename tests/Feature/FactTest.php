<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Charge;
use App\Models\Dose;
use App\Models\Good;
use App\Models\WaterChange;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A plan is refused; what has already been given, poured or hung in is booked, and the state rises with it. */
final class FactTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 4, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => strtoupper((string) Str::ulid()),
            'line' => 't 18 ph 7.6 kh 8 gh 10 do 9 sa 0 am 0 ni 0',
        ])->assertCreated();
    }

    private function give(array $dose): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/doses/' . strtoupper((string) Str::ulid()), $dose);
    }

    /** @return array{?string, ?string} the word of the system and its worst thing, alike on every page */
    private function state(): array
    {
        $page = $this->getJson('/api/systems/long-vat')->assertOk()->json('water');
        $list = collect($this->getJson('/api/systems')->assertOk()->json())->firstWhere('slug', 'long-vat');
        $round = collect($this->getJson('/api/round')->assertOk()->json('rows'))->firstWhere('slug', 'long-vat');
        self::assertSame([$page['state'], $page['worst']], [$list['state'], $list['worst']]);
        self::assertSame([$page['state'], $page['worst']], [$round['state'], $round['worst']]);

        return [$page['state'], $page['worst']];
    }

    /** @return list<string> */
    private function causes(): array
    {
        return array_column($this->getJson('/api/systems/long-vat/trouble')->assertOk()->json('causes'), 'id');
    }

    public function test_a_pair_that_is_refused_as_a_plan_is_booked_as_a_fact_and_is_an_emergency(): void
    {
        $this->give(['thing' => 'formalin', 'dose_mg_l' => '15', 'reason' => 'flukes'])->assertOk();
        self::assertSame(['good', null], $this->state());
        $plan = ['thing' => 'potassium_permanganate', 'reason' => 'all the same'];
        $this->give($plan)
            ->assertUnprocessable()
            ->assertJsonPath('codes', ['dose.formalin_with_permanganate']);
        self::assertSame(1, Dose::query()->count());

        $this->give([...$plan, 'done' => 'yes', 'given_amount' => '8', 'given_unit' => 'g'])->assertOk();
        $given = Dose::query()->where('thing', 'potassium_permanganate')->firstOrFail();
        self::assertTrue($given->as_fact);
        self::assertEqualsWithDelta(2.0, $given->mg_l, 1e-9, '8 g in 4,000 L');
        [$state, $worst] = $this->state();
        self::assertSame('emergency', $state);
        self::assertStringContainsString('ormalin', (string) $worst);
        self::assertContains('overdose', $this->causes());
        $left = collect($this->getJson('/api/systems/long-vat/dose')->json('state'))->firstWhere(
            'key',
            'potassium_permanganate',
        );
        self::assertStringContainsString('2 mg/L left', $left['text'], 'the residual counts it');

        $this->deleteJson("/api/systems/long-vat/doses/{$given->id}")->assertOk();
        self::assertSame(['good', null], $this->state());
    }

    /** Praziquantel may stand at 2.5 mg/L: 10 g in 4,000 L. */
    #[TestWith(['10', 'good'])]
    #[TestWith(['10.02', 'act'])]
    #[TestWith(['14.9', 'act'])]
    #[TestWith(['15.1', 'emergency'])]
    public function test_the_state_follows_how_far_over_its_ceiling_something_stands(string $grams, string $state): void
    {
        $this->give(['thing' => 'praziquantel', 'done' => 'yes', 'given_amount' => $grams])->assertOk();
        self::assertSame($state, $this->state()[0]);
        self::assertSame($state !== 'good', in_array('overdose', $this->causes(), true));
    }

    public function test_a_change_of_half_halves_it_and_the_state_falls(): void
    {
        $this->give(['thing' => 'praziquantel', 'done' => 'yes', 'given_amount' => '16'])->assertOk();
        self::assertSame('emergency', $this->state()[0]);
        $this->putJson('/api/systems/long-vat/changes/' . strtoupper((string) Str::ulid()), [
            'kind' => 'batch',
            'change_pct' => '50',
        ])->assertOk();
        self::assertSame('good', $this->state()[0]);
    }

    public function test_what_was_given_is_counted_off_the_shelf_and_dated_when_it_was_given(): void
    {
        Good::query()->create([
            'id' => strtoupper((string) Str::ulid()),
            'site_id' => $this->site->id,
            'kind' => 'praziquantel',
            'name' => 'Powder',
            'unit' => 'g',
            'amount' => 100,
            'label' => [],
        ]);
        $at = now()->subHours(5)->startOfMinute();
        $this->give([
            'thing' => 'praziquantel',
            'done' => 'yes',
            'given_amount' => '9',
            'given_at' => $at->toIso8601ZuluString(),
        ])->assertOk();
        self::assertEqualsWithDelta(91.0, Good::query()->sum('amount'), 1e-9);
        self::assertTrue(Dose::query()->firstOrFail()->given_at->equalTo($at));
        foreach (
            [
                ['given_at', ['given_amount' => '9', 'given_at' => now()->addDay()->toIso8601ZuluString()]],
                ['given_at', ['given_amount' => '9', 'given_at' => 'noon']],
                ['given_amount', ['given_amount' => 'much']],
                ['given_amount', ['given_amount' => '0']],
            ]
            as [$field, $typed]
        ) {
            $this->give(['thing' => 'copper_sulfate', 'done' => 'yes', ...$typed])
                ->assertUnprocessable()
                ->assertJsonStructure(['errors' => [$field]]);
        }
        self::assertSame(1, Dose::query()->count());
    }

    public function test_zeolite_that_hangs_in_salt_already_is_booked_and_is_to_be_acted_on(): void
    {
        $this->give(['thing' => 'salt', 'target_g_l' => '3', 'reason' => 'x'])->assertOk();
        $hang = fn(array $more): TestResponse => $this->putJson(
            '/api/systems/long-vat/charges/' . strtoupper((string) Str::ulid()),
            ['kind' => 'zeolite', 'mass_g' => '900', ...$more],
        );
        $hang([])
            ->assertUnprocessable()
            ->assertJsonPath('codes', ['dose.salt_with_zeolite']);
        self::assertSame('good', $this->state()[0]);
        $hang(['done' => 'yes'])->assertOk();
        self::assertTrue(Charge::query()->firstOrFail()->as_fact);
        self::assertSame('act', $this->state()[0]);
        $steps = $this->getJson('/api/systems/long-vat/trouble')->assertOk()->json('causes.0.steps');
        self::assertIsArray($steps);
        // Zeolite out, then ammonia: no permanganate to stop and no medicine to change out.
        self::assertSame(['course', 'test'], array_column($steps, 'page'));
        $this->putJson('/api/systems/long-vat/charges/' . Charge::query()->firstOrFail()->id . '/out', [])->assertOk();
        self::assertSame('good', $this->state()[0]);
    }

    public function test_water_that_would_scald_is_refused_as_a_plan_and_booked_once_it_is_poured(): void
    {
        $water = strtoupper((string) Str::ulid());
        $this->putJson("/api/waters/{$water}", ['name' => 'Boiler', 'kind' => 'tap', 'unit_name' => ''])->assertOk();
        $this->putJson("/api/waters/{$water}/tests/" . strtoupper((string) Str::ulid()), [
            'side' => 'raw',
            'readings' => ['temp_c' => ['typed' => '31', 'unit' => 'c']],
        ])->assertOk();
        $change = fn(array $more): TestResponse => $this->putJson(
            '/api/systems/long-vat/changes/' . strtoupper((string) Str::ulid()),
            ['kind' => 'batch', 'change_pct' => '10', 'water' => $water, ...$more],
        );
        $change([])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['water']]);
        $change(['done' => 'yes'])->assertOk();
        self::assertTrue((bool) WaterChange::query()->firstOrFail()->getAttribute('as_fact'));
    }
}
