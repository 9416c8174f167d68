<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Dose;
use App\Models\Line;
use App\Models\Vessel;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** An installation is described in few entries: alike parts once, lines that meet, one line to every bay. */
final class DescribeTest extends TestCase
{
    private const FIVE = [
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'wedge',
        'length_m' => '9.6',
        'width_a_m' => '1.2',
        'width_b_m' => '1.7',
        'depth_m' => '1.15',
        'freeboard_m' => '0.12',
        'alike' => '5',
        'measured' => 'together',
        'netted' => 'yes',
        'overflow' => 'yes',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    /** @param  array<string, mixed>  $typed */
    private function save(string $kind, array $typed, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/{$kind}/" . ($id ?? $this->key()), $typed);
    }

    private function id(string $kind, string $name): string
    {
        $parts = $this->getJson('/api/systems/long-vat')->json("build.{$kind}");

        return (string) collect(is_array($parts) ? $parts : [])->firstWhere('name', $name)['id'];
    }

    /** 9.6 × 1.45 × 1.03 m, divided along the length: the widths run on from bay to bay. */
    public function test_five_bays_are_one_entry_and_hold_what_the_whole_holds(): void
    {
        $id = $this->key();
        $this->save('vessels', self::FIVE, $id)->assertOk()->assertJsonCount(5, 'vessels');
        $this->save('vessels', self::FIVE, $id)->assertOk()->assertJsonCount(5, 'vessels');
        $bays = Vessel::query()->where('system_id', $this->system->id)->orderBy('name')->get();
        self::assertSame(['Bay 1', 'Bay 2', 'Bay 3', 'Bay 4', 'Bay 5'], $bays->pluck('name')->all());
        self::assertEqualsWithDelta(14337.6, $this->getJson('/api/systems/long-vat')->json('volume.value'), 0.1);
        $measures = $bays[4]->measures;
        self::assertEqualsWithDelta(1.92, $measures['length_m'], 1e-9);
        self::assertEqualsWithDelta(1.6, $measures['width_a_m'], 1e-9);
        self::assertEqualsWithDelta(1.7, $measures['width_b_m'], 1e-9);

        $this->save('vessels', [...self::FIVE, 'name' => 'Bay 5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $this->save('vessels', [...self::FIVE, 'name' => 'Tub', 'alike' => '2.5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['alike']]);
        $round = ['shape' => 'cylinder', 'diameter_m' => '2', 'length_m' => '', 'width_a_m' => '', 'width_b_m' => ''];
        $this->save('vessels', [...self::FIVE, 'name' => 'Tub', ...$round])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['measured']]);
        self::assertSame(5, Vessel::query()->where('system_id', $this->system->id)->count());
        $this->save('vessels', [
            ...self::FIVE,
            'name' => 'Tub 7',
            'measured' => 'each',
            'alike' => '2',
            ...$round,
        ])->assertOk();
        self::assertSame(
            ['Tub 7', 'Tub 8'],
            Vessel::query()->where('name', 'like', 'Tub%')->orderBy('name')->pluck('name')->all(),
        );
    }

    public function test_a_coned_floor_holds_a_third_of_its_prism(): void
    {
        $this->save('vessels', [...self::FIVE, 'alike' => '', 'floor' => 'coned', 'floor_m' => '0.3'])->assertOk();
        self::assertEqualsWithDelta(
            14337.6 + (1000 * 13.92 * 0.3) / 3,
            $this->getJson('/api/systems/long-vat')->json('volume.value'),
            0.1,
        );
    }

    public function test_a_drain_from_every_bay_into_one_pipe_is_two_forms_and_a_junction(): void
    {
        $this->save('vessels', self::FIVE)->assertOk();
        $this->save('stages', [
            'name' => 'Settlement',
            'kind' => 'settlement',
            'medium' => 'chamber_walls',
            'media_l' => '0',
            'flow_l_h' => '10000',
            'began' => 'unknown',
        ])->assertOk();
        $this->save('junctions', ['name' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $this->save('junctions', ['name' => 'Collector'])
            ->assertOk()
            ->assertJsonCount(1, 'junctions');
        $this->save('junctions', ['name' => 'Collector'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $collector = $this->id('junctions', 'Collector');
        $drain = [
            'name' => 'Drain',
            'from' => 'each',
            'to' => "junction:{$collector}",
            'bore_mm' => '103.6',
            'length_m' => '1.5',
            'valve_open_pct' => '100',
            'intake' => 'bottom_drain',
        ];
        $id = $this->key();
        $this->save('lines', $drain, $id)->assertOk()->assertJsonCount(5, 'lines');
        $this->save('lines', $drain, $id)->assertOk()->assertJsonCount(5, 'lines');
        self::assertSame(5, Line::query()->whereNotNull('from_vessel_id')->distinct()->count('from_vessel_id'));
        $this->save('lines', [
            ...$drain,
            'name' => 'Collecting pipe',
            'from' => "junction:{$collector}",
            'to' => "stage:{$this->id('stages', 'Settlement')}",
            'intake' => '',
        ])->assertOk();
        $this->save('lines', [...$drain, 'to' => 'each'])->assertUnprocessable();
        $this->save('lines', [...$drain, 'from' => "junction:{$collector}"])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
        $this->deleteJson("/api/systems/long-vat/junctions/{$collector}")->assertUnprocessable();
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk();
        self::assertSame(['Collector'], collect($plumbing->json('junctions'))->pluck('name')->all());
    }

    public function test_another_sites_junction_is_no_place_for_a_line(): void
    {
        $this->save('vessels', self::FIVE)->assertOk();
        $elsewhere = $this->systemOf($this->site, 'Other', 'other');
        $junction = $elsewhere->junctions()->create(['site_id' => $this->site->id, 'name' => 'Tee']);
        $this->save('lines', [
            'name' => 'Drain',
            'from' => "vessel:{$this->id('vessels', 'Bay 1')}",
            'to' => "junction:{$junction->id}",
            'bore_mm' => '100',
            'length_m' => '1',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
    }

    /** One bay of 8 m², a chamber joined to it, a pump joined to that, and a return: nobody types a flow. */
    private function shortLoop(): void
    {
        $this->save('vessels', [
            'name' => 'Bay',
            'kind' => 'bay',
            'shape' => 'box',
            'length_m' => '4',
            'width_m' => '2',
            'depth_m' => '1',
        ])->assertOk();
        $bay = $this->id('vessels', 'Bay');
        $this->save('stages', [
            'name' => 'Chamber',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '60',
            'flow_l_h' => '',
            'water_l' => '300',
            'rim_mm' => '100',
            'may_drop_mm' => '150',
            'began' => 'unknown',
            'fed_from' => "vessel:{$bay}",
            'join_bore_mm' => '103.6',
        ])->assertOk();
        $this->save('pumps', [
            'name' => 'Pump',
            'kind' => 'water',
            'power_w' => '90',
            'curve' => [['flow_l_h' => '0', 'head_m' => '4'], ['flow_l_h' => '12000', 'head_m' => '0.2']],
            'fed_from' => "stage:{$this->id('stages', 'Chamber')}",
            'join_bore_mm' => '63',
        ])->assertOk();
        $this->save('lines', [
            'name' => 'Return',
            'from' => "pump:{$this->id('pumps', 'Pump')}",
            'to' => "vessel:{$bay}",
            'bore_mm' => '50',
            'length_m' => '5',
        ])->assertOk();
    }

    public function test_a_stage_has_the_flow_the_loop_gives_it_and_chambers_hold_water(): void
    {
        $this->shortLoop();
        $stage = $this->getJson('/api/systems/long-vat')->json('build.stages.0');
        $solved = $this->getJson('/api/systems/long-vat/plumbing')->assertOk();
        self::assertTrue($stage['flow_of_loop']);
        self::assertGreaterThan(3000, $solved->json('flow_l_h'));
        self::assertEqualsWithDelta($solved->json('flow_l_h'), $stage['flow_l_h'], 1.0);
        self::assertSame(
            ['To Chamber', 'To Pump', 'Return'],
            collect($solved->json('lines'))->pluck('name')->all(),
            'parts were joined to the one before',
        );
        self::assertEqualsWithDelta(8300, $solved->json('volume_l'), 1e-6);
        $parts = $this->getJson('/api/systems/long-vat')->json('volume.parts');
        self::assertSame(['Bay', 'Chamber: Chamber'], array_column(is_array($parts) ? $parts : [], 'label'));

        $this->save('stages', [
            'name' => 'Second',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '60',
            'began' => 'unknown',
            'fed_from' => 'stage:01JD00000000000000000000B9',
            'join_bore_mm' => '100',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['fed_from']]);
        $this->getJson('/api/systems/long-vat')->assertJsonCount(1, 'build.stages');
    }

    public function test_water_says_before_the_pump_would_draw_air(): void
    {
        $this->shortLoop();
        $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => 'na 20 ph 7.5 t 18 kh 6']);
        $well = $this->key();
        $this->putJson("/api/waters/{$well}", ['name' => 'Well', 'kind' => 'well', 'unit_name' => ''])->assertOk();
        $this->putJson("/api/waters/{$well}/tests/{$this->key()}", [
            'side' => 'raw',
            'readings' => ['temp_c' => ['typed' => '17', 'unit' => 'c']],
        ])->assertOk();
        $level = $this->getJson('/api/systems/long-vat/plumbing')->json('level');
        self::assertSame('Chamber', $level['by']);
        self::assertLessThan(150, $level['mm'], 'the chamber stands lower than the bay already');
        self::assertEqualsWithDelta(8 * $level['mm'], $level['litres'], 1e-6);
        $codes = function (float $litres) use ($well): array {
            $change = $this->getJson(
                "/api/systems/long-vat/water?water={$well}&change_l=" . round($litres),
            )->assertOk();
            self::assertSame([], $change->json('errors'));

            return array_column($change->json('change.cautions'), 'code');
        };
        self::assertContains('exchange.change_draws_air', $codes($level['litres'] + 20));
        self::assertNotContains('exchange.change_draws_air', $codes($level['litres'] - 20));
    }

    public function test_a_waste_says_what_a_flush_takes(): void
    {
        $this->shortLoop();
        $waste = [
            'name' => 'Waste',
            'from' => "stage:{$this->id('stages', 'Chamber')}",
            'to' => 'outside',
            'bore_mm' => '51.4',
            'length_m' => '4',
            'valve_open_pct' => '0',
            'fittings' => [['id' => 'bend_90', 'count' => '1']],
        ];
        $this->save('lines', $waste)->assertOk();
        $flush = fn(): mixed => collect($this->getJson('/api/systems/long-vat/plumbing')->json('lines'))->firstWhere(
            'name',
            'Waste',
        )['flush'];
        self::assertNull($flush(), 'without its fall nobody can tell');
        $this->save('lines', [...$waste, 'fall_mm' => '600'], $this->id('lines', 'Waste'))->assertOk();
        self::assertSame('service.flush', $flush()['calc']);
        self::assertEqualsWithDelta(39, $flush()['value'], 5);
    }

    public function test_a_known_volume_is_the_fourth_way_and_doses_on_the_old_one_are_told(): void
    {
        $this->shortLoop();
        $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => 'ph 7.5 t 20 kh 6']);
        Dose::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'thing' => 'salt',
            'name' => 'Salt',
            'way' => 'prolonged',
            'amount' => 8300,
            'unit' => 'g',
            'volume_l' => 8300,
            'calc' => 'dose.salt',
            'input' => [],
            'given_at' => now()->subDay(),
        ]);
        $known = $this->save('volumes', ['method' => 'known', 'known_l' => '2600 US gal'])->assertOk();
        self::assertSame(['geometry', 'known'], array_column($known->json('ways'), 'method'));
        self::assertEqualsWithDelta(2600 * 3.785411784, $known->json('ways.1.figure.value'), 1e-6);
        self::assertCount(1, $known->json('compared'));
        self::assertSame([], $known->json('on_another'));
        $chosen = $this->postJson('/api/systems/long-vat/volumes/choice', ['measure' => $known->json('ways.1.id')]);
        self::assertCount(1, $chosen->assertOk()->json('on_another'));
    }

    public function test_a_circulator_says_where_it_stands_and_which_way_it_blows(): void
    {
        $this->shortLoop();
        $circulator = [
            'name' => 'Circulator',
            'kind' => 'circulator',
            'power_w' => '20',
            'rated_l_h' => '6000',
            'vessel_id' => $this->id('vessels', 'Bay'),
        ];
        $codes = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json('cautions'),
            'code',
        );
        $this->save('pumps', [...$circulator, 'aim' => 'upwards'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['aim']]);
        $id = $this->key();
        $this->save('pumps', [...$circulator, 'spot' => 'far_end', 'aim' => 'across', 'guarded' => ''], $id)
            ->assertOk()
            ->assertJsonPath('pumps.1.guarded', null)
            ->assertJsonPath('pumps.1.aim', 'across');
        self::assertNotContains('loop.circulator_without_guard', $codes());
        $this->save('pumps', [...$circulator, 'guarded' => 'no'], $id)->assertOk();
        self::assertContains('loop.circulator_without_guard', $codes());
        $this->save('pumps', [...$circulator, 'guarded' => 'yes'], $id)->assertOk();
        self::assertNotContains('loop.circulator_without_guard', $codes());
    }

    /** Nothing and nought are not the same: 0 % fouled was seen, and nothing was not. */
    public function test_a_nought_that_is_typed_where_nothing_stood_is_kept(): void
    {
        $this->shortLoop();
        $stage = [
            'name' => 'Chamber',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '60',
            'began' => 'unknown',
        ];
        $id = $this->id('stages', 'Chamber');
        $this->save('stages', [...$stage, 'fouling_pct' => ''], $id)->assertJsonPath('stages.0.fouling_pct', null);
        $this->save('stages', [...$stage, 'fouling_pct' => '0'], $id)->assertOk();
        self::assertSame(0, $this->getJson('/api/systems/long-vat')->json('build.stages.0.fouling_pct'));
    }
}
