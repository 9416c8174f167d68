<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\Flush;
use App\Models\Pump;
use App\Models\Role;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\Vessel;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Ironwort\Core\Measure\Format;
use Tests\TestCase;

/** Service: what is due, a run with the pump off that cannot be closed without flow, and what follows from it. */
final class ServiceTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-05-04 08:00');
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 200,
                    'flow_l_h' => 6000,
                    'water_l' => 300,
                    'cleaned_on' => '2026-05-01',
                ],
                [
                    'name' => 'Lamp',
                    'kind' => 'uv',
                    'flow_l_h' => 6000,
                    'lamp_w' => 55,
                    'lamp_fitted_on' => '2026-01-01',
                    'sleeve_wiped_on' => '2026-05-01',
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 60,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 9000, 'head_m' => 0.2]],
                ],
                ['name' => 'Heater', 'kind' => 'heater', 'power_w' => 1000],
            ],
            'lines' => [
                ['Drain', 'v:Bay', 's:Mats', 103.6, 2, ['bend_90' => 1], 'valve_open_pct' => 100],
                ['Suction', 's:Mats', 'p:Pump', 63, 1, ['strainer' => 1]],
                ['Delivery', 'p:Pump', 's:Lamp', 50, 1, ['elbow_90' => 1]],
                ['Return', 's:Lamp', 'v:Bay', 50, 3, ['exit' => 1], 'outlet' => 'jet'],
                ['Waste', 's:Mats', 'outside', 50, 2, [], 'valve_open_pct' => 0, 'fall_mm' => 800],
            ],
        ]);
    }

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    /** @return array<string, mixed> */
    private function job(string $part, string $job): array
    {
        $parts = $this->getJson('/api/systems/long-vat/service')->assertOk()->json('parts');
        $jobs = collect(is_array($parts) ? $parts : [])->firstWhere('name', $part)['jobs'] ?? [];

        return collect($jobs)->firstWhere('id', $job) ?? [];
    }

    private function part(string $kind, string $name): string
    {
        $class = ['stage' => Stage::class, 'pump' => Pump::class, 'vessel' => Vessel::class][$kind];

        return "{$kind}:" . $class::query()->where('name', $name)->firstOrFail()->id;
    }

    /** @param  array<string, mixed>  $body */
    private function send(string $path, array $body = []): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/services/{$path}", $body);
    }

    public function test_a_bed_stirred_by_the_air_of_the_fish_says_the_oxygen_that_capacity_says(): void
    {
        $save = fn(string $what, array $typed) => $this->putJson(
            "/api/systems/long-vat/{$what}/{$this->key()}",
            $typed,
        )->assertOk();
        $save('pumps', ['name' => 'Air', 'kind' => 'air', 'power_w' => '30', 'air_l_min' => '40', 'running' => 'yes']);
        $save('stages', [
            'name' => 'Bed',
            'kind' => 'static_bed',
            'medium' => 'small_carrier',
            'media_l' => '100',
            'flow_l_h' => '6000',
            'began' => 'today',
        ]);
        $air = Pump::query()->where('name', 'Air')->firstOrFail()->id;
        $outlet = ['pump_id' => $air, 'valve' => 'open'];
        $save('outlets', [...$outlet, 'name' => 'Stones', 'to' => $this->part('vessel', 'Bay')]);
        $save('outlets', [...$outlet, 'name' => 'Wash', 'to' => $this->part('stage', 'Bed'), 'valve' => 'shut']);

        $there = $this->getJson('/api/systems/long-vat/filter')->assertOk()->json('oxygen.diverted.0');
        $steps = $this->send($this->key(), [
            'part' => $this->part('stage', 'Bed'),
            'job' => 'stir_bed',
            'way' => 'throttle',
        ])
            ->assertOk()
            ->json('steps');
        $step = collect($steps)->first(static fn(array $one): bool => str_contains($one['code'], 'less_air'));

        self::assertSame('service.step_less_air', $step['code']);
        preg_match_all('/([\d.]+) mg\/L/', $step['text'], $figures);
        self::assertSame(
            [Format::number($there['after_mg_l'], 2), Format::number($there['settles']['value'], 2)],
            $figures[1],
        );
    }

    public function test_a_gravity_filter_falls_due_in_a_month_and_stands_on_the_round(): void
    {
        self::assertSame('early', $this->job('Mats', 'wash_pads')['stands']);
        self::assertSame('unknown', $this->job('Pump', 'clean_impeller')['stands']);
        $this->travelTo('2026-05-31 09:00');
        $due = $this->job('Mats', 'wash_pads');
        self::assertSame('due', $due['stands']);
        self::assertEquals(30, $due['every_d']);
        self::assertContains('Mats: wash the mats', $this->getJson('/api/round')->json('rows.0.service'));
        $this->travelTo('2026-06-20 09:00');
        self::assertSame('late', $this->job('Mats', 'wash_pads')['stands']);

        $own = ['part' => $this->part('stage', 'Mats'), 'job' => 'wash_pads'];
        $interval = fn(array $more): TestResponse => $this->postJson('/api/systems/long-vat/service/interval', [
            ...$own,
            ...$more,
        ]);
        $interval(['every_d' => '60'])->assertOk();
        self::assertSame('soon', $this->job('Mats', 'wash_pads')['stands']);
        $interval(['never' => 'yes'])->assertOk();
        self::assertSame([], $this->job('Mats', 'wash_pads'));
        $interval(['usual' => 'yes'])->assertOk();
        self::assertSame('late', $this->job('Mats', 'wash_pads')['stands']);
        $interval(['every_d' => '0'])->assertUnprocessable();
    }

    public function test_a_run_switches_what_it_says_and_is_not_closed_until_flow_was_seen(): void
    {
        Stage::query()
            ->where('name', 'Lamp')
            ->update(['lamp_state' => 'alternate']);
        $run = $this->key();
        $begin = ['job' => 'wash_pads', 'part' => $this->part('stage', 'Mats'), 'way' => 'stop'];
        $begun = $this->send($run, $begin)->assertOk()->json();
        $this->send($run, $begin)->assertOk();
        self::assertSame(1, Service::query()->count());
        $this->send($this->key(), $begin)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['job']]);
        $codes = array_column($begun['steps'], 'code');
        self::assertSame('service.step_off_first', $codes[0]);
        $step = static fn(string $code): int => (int) array_search($code, $codes, true);
        $pump = fn(): Pump => Pump::query()->where('name', 'Pump')->firstOrFail();

        foreach (range(0, $step('service.step_pump_off')) as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        self::assertFalse($pump()->running);
        self::assertSame('off', Stage::query()->where('name', 'Lamp')->firstOrFail()->lamp_state);
        $timers = collect($this->getJson('/api/timers')->assertOk()->json());
        self::assertSame(['service', 'stands'], $timers->pluck('kind')->sort()->values()->all());
        self::assertEquals(30, $timers->firstWhere('kind', 'stands')['planned']);

        $this->send("{$run}/end")
            ->assertUnprocessable()
            ->assertJsonPath('codes', [
                'service.flow_first',
                'service.still_off',
                'service.still_off',
                'service.still_off',
            ]);
        $this->send("{$run}/steps/{$step('service.step_on_again')}")->assertUnprocessable();
        $this->send("{$run}/steps/{$step('service.step_look_at_returns')}")->assertUnprocessable();
        $this->send("{$run}/flow", [])->assertUnprocessable();
        $this->send("{$run}/flow", ['flow_l_h' => '0'])->assertUnprocessable();

        // Another takes it up.
        $helper = $this->person('helper@yard.example', Role::Helper);
        $this->actingAs($helper);
        foreach (range($step('service.step_pump_off') + 1, $step('service.step_pump_on')) as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        self::assertTrue($pump()->running);
        $this->send("{$run}/end")->assertUnprocessable();
        $seen = $this->send("{$run}/flow", ['flow_l_h' => '5800'])
            ->assertOk()
            ->json();
        self::assertSame('Helper', $seen['steps'][$step('service.step_look_at_returns')]['by']);
        foreach ([$step('service.step_on_again'), $step('service.step_on_again') + 1] as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        $this->send("{$run}/end", ['cost' => '4', 'note' => 'much mud'])
            ->assertOk()
            ->assertJsonPath('ended', true)
            ->assertJsonPath('after.0.code', 'service.test_after');
        $this->send("{$run}/end")->assertOk();
        self::assertSame([], $this->getJson('/api/timers')->json());
        self::assertSame(6, Switching::query()->count());
        self::assertSame('alternate', Stage::query()->where('name', 'Lamp')->firstOrFail()->lamp_state, 'as it was');

        // Half the mats in system water: half of 10 % of all there is.
        $setback = Setback::query()->firstOrFail();
        self::assertEqualsWithDelta(5.0, $setback->lost_pct, 1e-6);
        self::assertSame(300.0, WaterChange::query()->firstOrFail()->litres);
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        self::assertSame('early', $this->job('Mats', 'wash_pads')['stands']);
        self::assertSame(
            'Mats: wash the mats, much mud',
            $this->getJson('/api/systems/long-vat/service')->json('done.0.text'),
        );
    }

    /** In the shed without signal: the pump stood for as long as it stood there, not for the moment of sending. */
    public function test_steps_that_waited_for_the_signal_switch_when_they_were_done(): void
    {
        $run = $this->key();
        $begin = ['job' => 'wash_pads', 'part' => $this->part('stage', 'Mats'), 'way' => 'stop'];
        $codes = array_column($this->send($run, $begin)->assertOk()->json('steps'), 'code');
        $step = static fn(string $code): int => (int) array_search($code, $codes, true);
        $made = now();
        $this->travelTo('2026-05-04 12:00');
        $later = fn(int $minutes): self => $this->withHeader(
            'X-Made-At',
            $made->copy()->addMinutes($minutes)->utc()->format('Y-m-d\TH:i:s\Z'),
        );
        foreach (range(0, $step('service.step_pump_off')) as $at) {
            $later(5)
                ->send("{$run}/steps/{$at}")
                ->assertOk();
        }
        foreach (range($step('service.step_pump_off') + 1, $step('service.step_pump_on')) as $at) {
            $later(155)
                ->send("{$run}/steps/{$at}")
                ->assertOk();
        }
        $pump = Pump::query()->where('name', 'Pump')->firstOrFail();
        $times = Switching::query()->where('part_id', $pump->id)->orderBy('happened_at')->pluck('happened_at');
        self::assertSame(
            ['2026-05-04 08:05', '2026-05-04 10:35'],
            $times->map(static fn(Carbon $at): string => $at->format('Y-m-d H:i'))->all(),
        );
        // Two and a half hours without flow cost the filter something, whenever it is heard of.
        self::assertGreaterThan(0.0, Setback::query()->whereNotNull('switching_id')->sum('lost_pct'));
    }

    public function test_what_was_done_can_be_told_afterwards_and_taken_back_with_all_that_followed(): void
    {
        $told = $this->key();
        $this->travelTo('2026-05-10 12:00');
        $this->send($told, [
            'job' => 'wash_pads',
            'part' => $this->part('stage', 'Mats'),
            'way' => 'told',
            'rinse' => 'chlorinated',
            'at' => '2026-05-09T10:00',
        ])
            ->assertOk()
            ->assertJsonPath('ended', true);
        self::assertEqualsWithDelta(30.0, Setback::query()->firstOrFail()->lost_pct, 1e-6);
        self::assertSame(
            '2026-05-09',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        $warns = array_column($this->job('Mats', 'wash_pads')['warns'], 'code');
        self::assertContains('service.two_in_a_week', $warns);

        $sleeve = $this->key();
        $this->send($sleeve, [
            'job' => 'wipe_sleeve',
            'part' => $this->part('stage', 'Lamp'),
            'way' => 'told',
        ])->assertOk();
        $lamp = fn(): ?string => Stage::query()->where('name', 'Lamp')->firstOrFail()->sleeve_wiped_on?->toDateString();
        self::assertSame('2026-05-10', $lamp());

        foreach ([$sleeve, $told] as $id) {
            $this->deleteJson("/api/systems/long-vat/services/{$id}")->assertOk();
            $this->deleteJson("/api/systems/long-vat/services/{$id}")->assertOk();
        }
        self::assertSame('2026-05-01', $lamp());
        self::assertSame(
            '2026-05-01',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        self::assertSame(0, Setback::query()->count());
        self::assertSame(0, WaterChange::query()->whereNull('withdrawn_at')->count());
        self::assertSame(0, Flush::query()->whereNull('withdrawn_at')->count());
        self::assertSame([], $this->getJson('/api/systems/long-vat/service')->json('done'));
    }

    public function test_ones_own_job_falls_due_like_any_other(): void
    {
        $id = $this->key();
        $typed = [
            'name' => 'Grease the gate',
            'part' => 'system:' . $this->system->id,
            'every_d' => '10',
            'minutes' => '5',
        ];
        $put = fn(array $more): TestResponse => $this->putJson("/api/systems/long-vat/own-jobs/{$id}", [
            ...$typed,
            ...$more,
        ]);
        $put(['name' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $put(['every_d' => 'often'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['every_d']]);
        $put([])->assertOk();
        self::assertSame('unknown', $this->job('Long Vat', "own:{$id}")['stands']);
        $this->send($this->key(), ['job' => "own:{$id}", 'part' => $typed['part'], 'way' => 'told'])->assertOk();
        $this->travel(11)->days();
        self::assertSame('due', $this->job('Long Vat', "own:{$id}")['stands']);
        $this->deleteJson("/api/systems/long-vat/own-jobs/{$id}")->assertOk();
        self::assertSame([], $this->job('Long Vat', "own:{$id}"));
    }

    /** Half its flow is gone since the mats were washed: due now, whatever the calendar says. */
    public function test_flow_that_has_fallen_makes_it_due(): void
    {
        $wash = $this->key();
        $this->send($wash, [
            'job' => 'wash_pads',
            'part' => $this->part('stage', 'Mats'),
            'way' => 'throttle',
        ])->assertOk();
        $this->send("{$wash}/flow", ['flow_l_h' => '6000'])->assertOk();
        $this->send("{$wash}/end")->assertOk();
        $this->travel(5)->days();
        $look = $this->key();
        $this->send($look, ['job' => 'look_at_flow', 'part' => 'system:' . $this->system->id])->assertOk();
        $this->send("{$look}/flow", ['flow_l_h' => '3000'])->assertOk();
        $this->send("{$look}/end")->assertOk();

        $job = $this->job('Mats', 'wash_pads');
        self::assertSame('due', $job['stands']);
        self::assertContains('service.flow_fallen', array_column($job['why'], 'code'));
    }

    public function test_a_line_tells_what_was_done_and_takes_it_back(): void
    {
        $line = fn(string $text, ?string $id = null): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'line' => $text,
            'id' => $id ?? $this->key(),
        ]);
        $id = $this->key();
        $line('clean mats am .1 yesterday 19:00', $id)->assertUnprocessable();
        $line('am .1 clean mats', $id)
            ->assertCreated()
            ->assertJsonPath('besides', ['a service']);
        $line('am .1 clean mats', $id)->assertOk();
        self::assertSame(1, Service::query()->count());
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        $this->deleteJson("/api/systems/long-vat/log/{$id}")->assertNoContent();
        self::assertSame(
            '2026-05-01',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );

        $line('wipe uv')->assertCreated();
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('kind', 'uv')->firstOrFail()->sleeve_wiped_on?->toDateString(),
        );
        $line('vacuum bay note much mud')->assertCreated();
        $line('flush mats 5s')->assertUnprocessable();
        $line('clean')->assertUnprocessable();
        $line('clean nothing')->assertUnprocessable();
        self::assertSame(600.0, WaterChange::query()->whereNull('withdrawn_at')->firstOrFail()->litres);
    }

    /** 5 s of what its waste carries, worked out by `service.flush`. */
    public function test_a_flush_takes_what_its_waste_carries_in_so_many_seconds(): void
    {
        Stage::query()
            ->where('name', 'Mats')
            ->update(['kind' => 'vortex', 'medium' => 'chamber_walls']);
        $carries = $this->postJson('/api/calc/service.flush', [
            'head_m' => 0.8,
            'bore_mm' => 50,
            'length_m' => 2,
            'fittings_k' => 1.5,
            'seconds' => 5,
            'temp_c' => 20,
        ])->json('figures.litres');
        $this->postJson('/api/systems/long-vat/log', [
            'line' => 'flush mats 5s',
            'id' => $this->key(),
        ])->assertCreated();

        $litres = Service::query()->firstOrFail()->water_l;
        self::assertNotNull($litres);
        self::assertEqualsWithDelta($carries, $litres, 0.02 * $litres);
        self::assertSame(0, Setback::query()->count(), 'a flush takes nothing from the bacteria');
    }

    public function test_what_fills_too_fast_is_asked_why(): void
    {
        $page = fn(): array => $this->getJson('/api/systems/long-vat/service')->assertOk()->json('blocking');
        self::assertSame([], $page());
        Stage::query()
            ->where('name', 'Mats')
            ->update(['fouling_pct' => 60, 'fouling_seen_on' => '2026-05-07']);
        Vessel::query()->update(['silt_m2' => 3]);
        $this->travelTo('2026-05-07 09:00');

        [$mats] = $page();
        self::assertEqualsWithDelta(5.0, $mats['blocks_d'], 1e-6);
        self::assertSame('filter.blocking_silt', $mats['causes'][0]['says']['code']);
        self::assertEqualsWithDelta(50.0, $mats['causes'][0]['value'], 1e-6);
        self::assertSame('due', $this->job('Mats', 'wash_pads')['stands']);
    }

    /** Water that warmed by 3 °C in four weeks: spring, by the water, not the date; only where there is a winter. */
    public function test_the_year_goes_by_the_water_of_a_pond(): void
    {
        $names = fn(): array => collect($this->getJson('/api/systems/long-vat/service')->json('parts'))->firstWhere(
            'kind',
            'system',
        )['jobs'];
        $this->postJson('/api/systems/long-vat/log', ['line' => 't 8', 'id' => $this->key()])->assertCreated();
        $this->travel(28)->days();
        $this->postJson('/api/systems/long-vat/log', ['line' => 't 11', 'id' => $this->key()])->assertCreated();
        self::assertNotContains('spring_fish', array_column($names(), 'id'));
        $this->system->update(['kind' => 'display']);
        self::assertSame('due', collect($names())->firstWhere('id', 'spring_fish')['stands']);
        self::assertNotContains('spring_wake', array_column($names(), 'id'), 'nothing was shut');
        $this->putJson('/api/systems/long-vat/schools/winter', ['school' => 'shut', 'reason' => ''])->assertOk();
        self::assertContains('spring_wake', array_column($names(), 'id'));
        $this->send($this->key(), [
            'job' => 'spring_fish',
            'part' => 'system:' . $this->system->id,
            'way' => 'told',
        ])->assertOk();
        self::assertSame('early', collect($names())->firstWhere('id', 'spring_fish')['stands']);
    }

    /** A wash cost bacteria at 8:00: ammonia is due at 14:00, once more at 8:00 the next day, and then as usual. */
    public function test_ammonia_is_due_some_hours_after_a_wash_and_a_day_after_it(): void
    {
        $stands = fn(): string => collect($this->getJson('/api/systems/long-vat')->json('schedule.tests'))->firstWhere(
            'parameter',
            'tan_mg_l',
        )['stands'];
        $test = fn(): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'line' => 'am .1 ni .05',
            'id' => $this->key(),
        ]);
        $test()->assertCreated();
        $this->travel(1)->minutes();
        $this->send($this->key(), ['job' => 'wash_pads', 'part' => $this->part('stage', 'Mats'), 'way' => 'told']);
        $this->travel(5)->hours();
        self::assertSame('done', $stands());
        $this->travel(65)->minutes();
        self::assertSame('due', $stands());
        $test()->assertCreated();
        self::assertSame('done', $stands());
        $this->travel(17)->hours();
        self::assertSame('done', $stands());
        $this->travel(61)->minutes();
        self::assertSame('due', $stands());
        $test()->assertCreated();
        $this->travel(5)->days();
        self::assertSame('done', $stands());
    }

    public function test_what_a_float_valve_lets_in_is_held_against_its_carbon(): void
    {
        $tap = $this->key();
        $water = [
            'name' => 'Tap',
            'kind' => 'tap',
            'unit_name' => 'Carbon',
            'unit_carbon_l' => '10',
            'softened' => 'no',
        ];
        $this->putJson("/api/waters/{$tap}", $water)->assertOk();
        $this->system->update(['water_id' => $tap]);
        Vessel::query()->update(['float_valve' => true]);
        $codes = fn(): array => array_column($this->job('Mats', 'wash_pads')['warns'], 'code');
        $flow = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json('cautions'),
            'level',
            'code',
        );
        self::assertContains('exchange.refill_not_known', $codes());
        Vessel::query()->update(['refill_l_min' => 14]);
        self::assertContains('exchange.refill_outruns_carbon', $codes());
        self::assertSame('danger', $flow()['exchange.refill_outruns_carbon'] ?? null);

        $run = $this->send($this->key(), [
            'part' => $this->part('stage', 'Mats'),
            'job' => 'wash_pads',
            'way' => 'stop',
        ])->assertOk();
        self::assertSame('service.step_shut_float', $run->json('steps.0.code'));

        $this->putJson("/api/waters/{$tap}", [...$water, 'unit_carbon_l' => '14'])->assertOk();
        self::assertContains('exchange.refill_goes', $codes());
        self::assertNotContains('exchange.refill_outruns_carbon', $codes());
        self::assertArrayNotHasKey('exchange.refill_outruns_carbon', $flow());
        // What lets chlorine through already is as good as none.
        $this->putJson("/api/waters/{$tap}/tests/{$this->key()}", [
            'side' => 'treated',
            'tested_on' => '2026-05-03',
            'readings' => ['chlorine_mg_l' => ['typed' => '0.2', 'unit' => null]],
        ])->assertOk();
        self::assertContains('exchange.float_valve_with_chlorine', $codes());
    }

    public function test_before_most_of_a_filter_goes_the_model_says_what_would_follow(): void
    {
        Stage::query()
            ->where('name', 'Mats')
            ->update(['since' => '2025-03-01']);
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 45,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '120', 'protein_pct' => '40'])->assertOk();
        FeedFigure::query()->update(['since' => '2025-03-01']);
        $this->postJson('/api/systems/long-vat/log', ['line' => 'am .1 ni .05 ph 7.8 t 20 kh 8', 'id' => $this->key()]);
        $said = fn(): array => array_column($this->job('Mats', 'wash_pads')['warns'], 'text', 'code');
        self::assertArrayNotHasKey('service.strips_all', $said());
        $this->putJson("/api/systems/long-vat/filter/setbacks/{$this->key()}", [
            'kind' => 'hosed_chlorinated',
            'share_pct' => '100',
            'happened_on' => '2026-05-02',
        ])->assertOk();
        $texts = $said();
        self::assertArrayHasKey('service.strips_all', $texts);
        $follows = $texts['service.strip_follows'] ?? ($texts['service.strip_stays'] ?? '');
        self::assertMatchesRegularExpression('/ammonia up to ([\d.]+) mg/', $follows);
        preg_match('/ammonia up to ([\d.]+) mg/', $follows, $found);
        // More than stands there now, and no more than 21 days of all that is fed.
        self::assertGreaterThan(0.3, (float) $found[1]);
        self::assertLessThan((21 * 120 * 0.4 * 92) / 6, (float) $found[1]);
    }

    public function test_draining_it_holds_the_fish_for_as_long_as_their_tub_lets_them(): void
    {
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 45,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $tap = $this->key();
        $this->putJson("/api/waters/{$tap}", ['name' => 'Tap', 'kind' => 'tap', 'softened' => 'no'])->assertOk();
        $this->system->update(['water_id' => $tap]);
        $this->postJson('/api/systems/long-vat/log', ['line' => 'am .1 ph 7.8 t 20 do 8', 'id' => $this->key()]);
        $page = fn(string $query): TestResponse => $this->getJson(
            "/api/systems/long-vat/service/whole/drain_clean{$query}",
        )->assertOk();

        $unnamed = $page('');
        $least = (float) $unnamed->json('least_tub_l');
        $stays = fn(float $tub): float => (float) $page("?tub_l={$tub}")->json('stays_h');
        // In the smallest tub that is told they stay as long as the work takes, in half of it half as long.
        self::assertGreaterThanOrEqual(5.0, $stays($least));
        self::assertLessThan(5.5, $stays($least));
        self::assertEqualsWithDelta($stays($least) / 2, $stays($least / 2), 0.01);
        // Against the calculator itself.
        self::assertEqualsWithDelta(
            $this->postJson('/api/calc/fish.shut_off', [
                'volume_l' => 1000,
                'biomass_kg' => $unnamed->json('fish_kg'),
                'temp_c' => 20,
                'ph' => 7.8,
                'tan_mg_l' => 0.1,
                'aired' => 'yes',
                'nh3_limit_mg_l' => 0.02,
            ])->json('figures.hours_to_ammonia'),
            $stays(1000),
            1e-9,
        );
        self::assertSame(['service.big_tub_small', 'service.big_tub_air'], $this->tub($page('?tub_l=200')));
        self::assertSame(['service.big_tub_stays', 'service.big_tub_air'], $this->tub($page('?tub_l=4000')));
        $page('?tub_l=much')->assertJsonStructure(['errors' => ['tub_l']]);
        $this->getJson('/api/systems/long-vat/service/whole/wash_pads')->assertNotFound();

        // Begun and carried through it is a change of water like any other, and nothing makes it due.
        $run = $this->key();
        $begun = $this->send($run, [
            'job' => 'drain_clean',
            'part' => "system:{$this->system->id}",
            'way' => 'stop',
            'tub_l' => '4000',
            'hours' => '3',
        ])->assertOk();
        self::assertSame(180, $begun->json('planned_min'));
        self::assertSame($page('?tub_l=4000&hours=3')->json('steps.1.text'), $begun->json('steps.1.text'));
        self::assertStringContainsString('conditioner', implode(' ', array_column($begun->json('steps'), 'text')));
        $this->send("{$run}/end")
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'service.flow_first');
        $this->send("{$run}/flow", ['seen' => 'yes'])->assertOk();
        $this->send("{$run}/end")
            ->assertOk()
            ->assertJsonPath('ended', true);
        self::assertEqualsWithDelta($begun->json('water_l'), WaterChange::query()->firstOrFail()->litres, 1e-6);
        self::assertSame([], $this->job('Long Vat', 'drain_clean'), 'nothing makes it due');
    }

    /** @return list<string> codes of what is said of the tub */
    private function tub(TestResponse $page): array
    {
        return array_values(
            array_filter(
                array_column($page->json('steps'), 'code'),
                static fn(string $code): bool => str_starts_with($code, 'service.big_tub'),
            ),
        );
    }

    public function test_a_lamp_is_judged_by_sight_at_the_same_spot(): void
    {
        Stage::query()
            ->where('name', 'Lamp')
            ->update(['lamp_fitted_on' => '2026-05-04']);
        $see = function (string $line, string $at): void {
            $this->travelTo($at);
            $this->postJson('/api/systems/long-vat/log', ['line' => $line, 'id' => $this->key()])->assertCreated();
        };
        $see('cy 40 at bridge', '2026-05-03 09:00');
        $see('cy 90 at steps', '2026-05-11 09:00');
        $page = fn(): TestResponse => $this->getJson('/api/systems/long-vat/service/clear')->assertOk();
        self::assertSame('service.lamp_measure_now', $page()->json('lamps.0.says.code'), 'another spot says nothing');
        $see('cy 70 at bridge', '2026-05-12 09:00');
        self::assertSame(
            ['service.lamp_clearer', 'bridge', 40, 70],
            array_map($page()->json(...), [
                'lamps.0.says.code',
                'lamps.0.spot',
                'lamps.0.before.cm',
                'lamps.0.after.cm',
            ]),
        );
        self::assertSame(['shade', 'feed', 'plants', 'lamp'], array_column($page()->json('ways'), 'id'));
        // Out for a wipe it is not lit anew; out for a day it is.
        $lamp = Stage::query()->where('name', 'Lamp')->firstOrFail();
        $switch = function (string $was, string $state, string $at) use ($lamp): void {
            Switching::query()->create([
                'site_id' => $this->site->id,
                'system_id' => $this->system->id,
                'thing' => 'lamp',
                'part_id' => $lamp->id,
                'name' => $lamp->name,
                'kind' => 'lamp',
                'was' => $was,
                'state' => $state,
                'happened_at' => $at,
            ]);
        };
        $switch('on', 'off', '2026-05-12 08:00');
        $switch('off', 'on', '2026-05-12 08:20');
        self::assertStringStartsWith('2026-05-0', (string) $page()->json('lamps.0.lit_at'));
        $switch('on', 'off', '2026-05-10 08:00');
        $switch('off', 'on', '2026-05-11 09:00');
        self::assertStringStartsWith('2026-05-11', (string) $page()->json('lamps.0.lit_at'));
        Stage::query()
            ->where('name', 'Lamp')
            ->update(['lamp_state' => 'off']);
        self::assertNull($page()->json('lamps.0.lit_at'));
    }

    public function test_the_year_is_measured_or_assumed_by_latitude_or_not_known(): void
    {
        $this->system->update(['kind' => 'display']);
        $year = fn(): array => $this->getJson('/api/systems/long-vat/service/year')->assertOk()->json();
        self::assertSame([null], array_values(array_unique(array_column($year()['months'], 'from'))));
        $this->putJson('/api/site', ['latitude_deg' => '95'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['latitude_deg']]);
        $this->putJson('/api/site', ['latitude_deg' => '52', 'altitude_m' => '100', 'price_per_kwh' => '0.3'])
            ->assertOk()
            ->assertJsonPath('altitude_m', 100);
        foreach (['2026-03-02', '2026-03-12', '2026-03-22'] as $i => $day) {
            $this->travelTo("{$day} 12:00");
            $this->postJson('/api/systems/long-vat/log', ['line' => 't ' . (5 + $i), 'id' => $this->key()]);
        }
        $this->travelTo('2026-05-04 08:00');
        $months = array_column($year()['months'], null, 'month');
        self::assertCount(12, $months);
        self::assertSame(
            ['measured', 6, 'none'],
            [$months['2027-03']['from'], $months['2027-03']['temp_c'], $months['2027-03']['feed']],
        );
        self::assertSame(['assumed', 1], [$months['2026-06']['from'], $months['2026-06']['intervals']]);
        self::assertGreaterThan($months['2027-01']['temp_c'], $months['2026-07']['temp_c']);
        // South of the equator it is the other way round; indoors there is no weather.
        $this->putJson('/api/site', ['latitude_deg' => '-40'])->assertOk();
        $south = array_column($year()['months'], null, 'month');
        self::assertGreaterThan($south['2026-07']['temp_c'], $south['2027-01']['temp_c']);
        $this->system->update(['kind' => 'holding']);
        self::assertNull(array_column($year()['months'], null, 'month')['2026-07']['temp_c']);

        $spring = fn(): array => array_column(array_column($year()['seasons'], 'jobs', 'id')['spring'], 'id');
        self::assertNotContains('spring_salt', $spring());
        $this->putJson('/api/systems/long-vat/schools/spring_salt', ['school' => 'tonic'])->assertOk();
        self::assertContains('spring_salt', $spring());
    }
}
