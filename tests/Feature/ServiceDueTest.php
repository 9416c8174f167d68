<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\Vessel;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** When service falls due: by the calendar, by the water, by what is seen. */
final class ServiceDueTest extends TestCase
{
    use ServicedLoop;

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
