<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Line;
use App\Models\ShutOff;
use App\Models\Vessel;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What real installations have besides a plain loop. */
final class RealInstallationsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $bay = [
            'kind' => 'bay',
            'shape' => 'box',
            'measures' => ['length_m' => 3, 'width_m' => 1, 'depth_m' => 1],
            'netted' => true,
        ];
        (new LayBuild())->lay($this->system, [
            'vessels' => [['name' => 'Bay 1', ...$bay], ['name' => 'Bay 2', ...$bay]],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 100,
                    'flow_l_h' => 6000,
                    'loss_mm' => 10,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 80,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 10000, 'head_m' => 0.5]],
                ],
            ],
            'lines' => [
                ['Drain 1', 'v:Bay 1', 's:Mats', 100, 4, [], 'valve_open_pct' => 80, 'guarded' => true],
                ['Drain 2', 'v:Bay 2', 's:Mats', 100, 4, [], 'valve_open_pct' => 100, 'guarded' => true],
                ['Suction', 's:Mats', 'p:Pump', 63, 1, []],
                ['Return 1', 'p:Pump', 'v:Bay 1', 40, 4, [], 'valve_open_pct' => 100, 'ends_above_mm' => 50],
                ['Return 2', 'p:Pump', 'v:Bay 2', 40, 4, [], 'valve_open_pct' => 70, 'ends_above_mm' => 50],
            ],
        ]);
    }

    private function part(string $kind, string $name): string
    {
        return (string) $this->system->{$kind}()->where('name', $name)->firstOrFail()->id;
    }

    private function shut(string $bay, bool $shut = true): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/vessels/{$this->part('vessels', $bay)}/shut-off", [
            'shut' => $shut,
        ]);
    }

    public function test_a_bay_shut_off_is_a_body_of_water_of_its_own_with_a_clock_until_it_is_opened_as_it_was(): void
    {
        $this->system->fish()->create([
            'site_id' => $this->site->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 50,
            'condition' => 1.5,
        ]);
        $shut = $this->shut('Bay 2')->assertOk();
        self::assertSame(
            ['Long Vat' => 3000, 'Bay 2' => 3000],
            array_map(intval(...), array_column($shut->json('bodies'), 'volume_l', 'name')),
        );
        self::assertSame('Bay 2', $shut->json('shut_off.0.name'));
        // Half of 18.75 kg by volume, breathing 2.4 g a kg and day, has (saturation at 20 °C − 3) × 3 g to go on.
        $use = (9.375 * 2.4) / 24;
        self::assertEqualsWithDelta((60 * (9.09 - 3) * 3) / $use, $shut->json('shut_off.0.minutes'), 2.0);
        $flows = array_column($shut->json('lines'), 'flow_l_h', 'name');
        self::assertSame([0, 0], [$flows['Drain 2'], $flows['Return 2']]);
        $this->travel(1)->hours();
        $this->getJson('/api/timers')
            ->assertOk()
            ->assertJsonPath('0.says', 'Bay 2')
            ->assertJsonPath('0.system', 'long-vat');
        $this->shut('Bay 2', false)->assertOk()->assertJsonPath('shut_off', []);
        self::assertSame(
            [100.0, 70.0],
            [
                Line::query()->where('name', 'Drain 2')->firstOrFail()->valve_open_pct,
                Line::query()->where('name', 'Return 2')->firstOrFail()->valve_open_pct,
            ],
        );
        $this->getJson('/api/timers')->assertOk()->assertExactJson([]);
        self::assertSame(1, ShutOff::query()->whereNotNull('opened_at')->count());
    }

    public function test_a_shut_bay_is_dosed_and_changed_by_itself_and_its_loop_without_it(): void
    {
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD00000000000000000000V1',
            'line' => 't 20 ph 7.6 kh 6 gh 8 do 8',
        ])->assertCreated();
        $bay = $this->part('vessels', 'Bay 2');
        $this->shut('Bay 2')->assertOk();
        $give = fn(string $body, string $id): TestResponse => $this->putJson(
            "/api/systems/long-vat/doses/01JD00000000000000000000{$id}",
            ['thing' => 'praziquantel', 'dose_mg_l' => '2', 'body' => $body],
        );
        $give($bay, 'D1')->assertOk()->assertJsonPath('given.0.text', '6 g of praziquantel in Bay 2 on 3,000 L');
        $state = fn(string $body): array => array_column(
            $this->getJson("/api/systems/long-vat/dose?body={$body}")
                ->assertOk()
                ->json('state'),
            'text',
            'key',
        );
        self::assertStringContainsString('2 mg/L left', $state($bay)['praziquantel']);
        self::assertArrayNotHasKey('praziquantel', $state(''));
        $this->travel(1)->minutes();
        $change = fn(string $body, string $id): TestResponse => $this->putJson(
            "/api/systems/long-vat/changes/01JD00000000000000000000{$id}",
            ['kind' => 'batch', 'change_pct' => '50', 'body' => $body],
        );
        $change('', 'C1')->assertOk();
        self::assertStringContainsString(
            '2 mg/L left',
            $state($bay)['praziquantel'],
            'a change of the loop takes nothing out of the bay',
        );
        $this->travel(1)->minutes();
        $change($bay, 'C2')
            ->assertOk()
            ->assertJsonPath('changes.0.text', '1,500 L changed, 50 % of the water in Bay 2');
        self::assertStringContainsString('1 mg/L left', $state($bay)['praziquantel']);
    }

    public function test_a_bay_without_a_valve_on_every_line_is_not_shut_off_and_the_line_is_named(): void
    {
        Line::query()
            ->where('name', 'Return 2')
            ->update(['valve_open_pct' => null]);
        $this->shut('Bay 2')
            ->assertUnprocessable()
            ->assertJsonPath('errors.id', 'Bay 2 cannot be shut off: Return 2 has no valve.');
        self::assertSame(0, ShutOff::query()->count());
    }

    public function test_fish_that_name_their_bay_and_air_that_stands_in_it_set_its_time(): void
    {
        $bay = $this->part('vessels', 'Bay 2');
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '10',
            'length_cm' => '50',
            'vessel_id' => $this->part('vessels', 'Bay 1'),
        ])->assertOk();
        self::assertNull($this->shut('Bay 2')->json('shut_off.0.minutes'), 'no fish in it, no limit');
        $this->shut('Bay 2', false);
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '10',
            'length_cm' => '50',
            'vessel_id' => $bay,
        ])->assertOk();
        $bare = $this->shut('Bay 2')->json('shut_off.0.minutes');
        $this->putJson('/api/systems/long-vat/pumps/01JD00000000000000000000A1', [
            'name' => 'Air',
            'kind' => 'air',
            'air_l_min' => '20',
            'power_w' => '10',
            'vessel_id' => $bay,
        ])->assertOk();
        self::assertGreaterThan($bare, $this->getJson('/api/systems/long-vat/plumbing')->json('shut_off.0.minutes'));
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '10',
            'length_cm' => '50',
            'vessel_id' => 'nowhere',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['vessel_id']]);
    }

    public function test_what_the_book_speaks_of_is_retired_and_not_deleted(): void
    {
        foreach (['Drain 2', 'Return 2'] as $line) {
            $this->deleteJson("/api/systems/long-vat/lines/{$this->part('lines', $line)}")->assertOk();
        }
        $bay = $this->part('vessels', 'Bay 2');
        $this->postJson('/api/systems/long-vat/log', ['id' => '01JD00000000000000000000V1', 'line' => 'am .5 /bay 2'])
            ->assertCreated()
            ->assertJsonPath('bay', 'Bay 2');
        $this->deleteJson("/api/systems/long-vat/vessels/{$bay}")
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.id',
                'It is in the book: readings were taken in it. It can be retired, and what is written stays.',
            );
        $this->putJson("/api/systems/long-vat/vessels/{$bay}/retired", ['retired' => true])
            ->assertOk()
            ->assertJsonPath('retired.0.name', 'Bay 2')
            ->assertJsonCount(1, 'vessels');
        self::assertSame(3000, $this->getJson('/api/systems/long-vat')->json('volume.value'));
        $this->getJson('/api/systems/long-vat/visits')->assertOk()->assertJsonPath('visits.0.bay', 'Bay 2');
        $this->putJson("/api/systems/long-vat/vessels/{$bay}/retired", ['retired' => false])
            ->assertOk()
            ->assertJsonCount(2, 'vessels');
        $this->putJson("/api/systems/long-vat/vessels/{$this->part('vessels', 'Bay 1')}/retired", ['retired' => true])
            ->assertUnprocessable()
            ->assertJsonPath('errors.id', 'Lines still lead here: Drain 1, Return 1. Move or remove them first.');
    }

    public function test_two_intakes_share_a_three_way_valve(): void
    {
        $line = fn(string $id, string $name, string $open, array $more = []): TestResponse => $this->putJson(
            "/api/systems/long-vat/lines/{$id}",
            [
                'name' => $name,
                'from' => "vessel:{$this->part('vessels', 'Bay 1')}",
                'to' => "stage:{$this->part('stages', 'Mats')}",
                'bore_mm' => '75',
                'length_m' => '2',
                'valve_open_pct' => $open,
                ...$more,
            ],
        );
        $skimmer = '01JD00000000000000000000K1';
        $line($skimmer, 'Skimmer', '30', [
            'intake' => 'skimmer',
            'three_way_id' => $this->part('lines', 'Drain 1'),
        ])->assertOk();
        self::assertSame(70.0, Line::query()->where('name', 'Drain 1')->firstOrFail()->valve_open_pct);
        $line($skimmer, 'Skimmer', '55', ['three_way_id' => $this->part('lines', 'Drain 1')])->assertOk();
        self::assertSame(45.0, Line::query()->where('name', 'Drain 1')->firstOrFail()->valve_open_pct);
        $line($skimmer, 'Skimmer', '55', ['three_way_id' => $this->part('lines', 'Return 1')])
            ->assertUnprocessable()
            ->assertJsonPath('errors.three_way_id', 'Return 1 does not come to the same place.');
        $line($skimmer, 'Skimmer', '', ['three_way_id' => $this->part('lines', 'Drain 1')])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['valve_open_pct']]);
        $line($skimmer, 'Skimmer', '55', ['intake' => 'straw', 'spot' => 'nowhere'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['intake', 'spot']]);
    }

    public function test_a_sponge_with_its_airlift_is_built_by_form_and_moves_water(): void
    {
        $bay = $this->part('vessels', 'Bay 1');
        $sponge = '01JD00000000000000000000S1';
        $this->putJson("/api/systems/long-vat/stages/{$sponge}", [
            'name' => 'Sponge',
            'kind' => 'sponge',
            'medium' => 'foam_10ppi',
            'media_l' => '8',
            'flow_l_h' => '400',
            'loss_mm' => '2',
            'vessel_id' => $bay,
            'fed' => 'air',
            'since' => '2020-02-31',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['since']]);
        $this->putJson("/api/systems/long-vat/stages/{$sponge}", [
            'name' => 'Sponge',
            'kind' => 'sponge',
            'medium' => 'foam_10ppi',
            'media_l' => '8',
            'flow_l_h' => '400',
            'loss_mm' => '2',
            'vessel_id' => $bay,
            'fed' => 'air',
        ])->assertOk();
        $lift = [
            'name' => 'Lift',
            'kind' => 'airlift',
            'air_l_min' => '10',
            'submergence_m' => '0.6',
            'lift_m' => '0.05',
            'riser_mm' => '25',
            'power_w' => '8',
            'vessel_id' => $bay,
        ];
        $this->putJson('/api/systems/long-vat/pumps/01JD00000000000000000000P2', [...$lift, 'lift_m' => '4'])
            ->assertUnprocessable()
            ->assertJsonPath('errors', [
                'lift_m' => 'This much air cannot lift water so high. Use more air, a deeper inlet or less lift.',
            ]);
        $this->putJson('/api/systems/long-vat/pumps/01JD00000000000000000000P2', $lift)->assertOk();
        $this->putJson('/api/systems/long-vat/lines/01JD00000000000000000000R1', [
            'name' => 'Riser',
            'from' => "stage:{$sponge}",
            'to' => 'pump:01JD00000000000000000000P2',
            'bore_mm' => '25',
            'length_m' => '0.1',
        ])->assertOk();
        $stages = collect($this->getJson('/api/systems/long-vat/plumbing')->json('stages'))->keyBy('name');
        self::assertGreaterThan(300, $stages['Sponge']['flow_l_h']);
        // Bypassed it gets no water to work on, and says so.
        $this->putJson("/api/systems/long-vat/stages/{$sponge}", [
            'name' => 'Sponge',
            'kind' => 'sponge',
            'medium' => 'foam_10ppi',
            'media_l' => '8',
            'flow_l_h' => '400',
            'bypassed' => 'yes',
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.bypassed', 'It has no bypass.');
        $this->putJson("/api/systems/long-vat/stages/{$sponge}", [
            'name' => 'Sponge',
            'kind' => 'sponge',
            'medium' => 'foam_10ppi',
            'media_l' => '8',
            'flow_l_h' => '400',
            'vessel_id' => $bay,
            'bypassable' => 'yes',
            'bypassed' => 'yes',
        ])->assertOk();
        self::assertContains(
            'loop.loop_bypassed_water_passes_lives',
            array_column($this->getJson('/api/systems/long-vat/plumbing')->json('cautions'), 'code'),
        );
        self::assertSame(
            0,
            collect($this->getJson('/api/systems/long-vat/capacity')->json('stages'))->keyBy('name')['Sponge'][
                'capacity_g_d'
            ],
        );
    }

    public function test_what_if_answers_and_keeps_nothing(): void
    {
        $now = $this->getJson('/api/systems/long-vat/plumbing')->json();
        $whatIf = fn(array $typed): TestResponse => $this->postJson('/api/systems/long-vat/plumbing/what-if', $typed);
        $drain = $this->part('lines', 'Drain 1');
        $drop = static fn(array $plumbing): float => collect($plumbing['lines'])->firstWhere('name', 'Drain 1')['drop'][
            'value'
        ];
        self::assertGreaterThan(
            1.5 * $drop($now),
            $drop(
                $whatIf(['line' => $drain, 'bore_mm' => '60'])
                    ->assertOk()
                    ->json(),
            ),
        );
        self::assertLessThan(
            $drop($now),
            $drop(
                $whatIf(['line' => $drain, 'second' => 'yes'])
                    ->assertOk()
                    ->assertJsonCount(6, 'lines')
                    ->json(),
            ),
        );
        $off = $whatIf(['pump' => $this->part('pumps', 'Pump')])->assertOk();
        self::assertEqualsWithDelta(0, $off->json('flow_l_h'), 1e-6);
        $whatIf(['line' => $this->part('lines', 'Suction'), 'valve_open_pct' => '50'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.valve_open_pct', 'Suction has no valve.');
        $whatIf(['bore_mm' => '60'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.line', 'Say which line.');
        $whatIf(['line' => $drain, 'bore_mm' => 'wide'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['bore_mm']]);
        self::assertSame($now, $this->getJson('/api/systems/long-vat/plumbing')->json());
        self::assertSame(5, Line::query()->count());
    }

    public function test_any_flow_of_the_page_can_be_proved_by_its_calculator(): void
    {
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->json();
        $line = collect($plumbing['lines'])->firstWhere('name', 'Return 2');
        $proof = $this->postJson('/api/calc/flow.network', [
            ...$plumbing['network'],
            'ask' => $line['ask'],
        ])->assertOk();
        self::assertEqualsWithDelta($line['flow_l_h'], $proof->json('figures.flow_l_h'), 1e-6);
    }

    public function test_a_sump_below_gets_what_spills_over_and_a_float_valve_needs_an_overflow(): void
    {
        $this->putJson('/api/systems/long-vat/vessels/01JD00000000000000000000X1', [
            'name' => 'Sump',
            'kind' => 'sump',
            'shape' => 'box',
            'length_m' => '1',
            'width_m' => '1',
            'depth_m' => '0.6',
            'level_mm' => '-600',
            'float_valve' => 'yes',
            'shade' => 'dark',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['shade']]);
        $this->putJson('/api/systems/long-vat/vessels/01JD00000000000000000000X1', [
            'name' => 'Sump',
            'kind' => 'sump',
            'shape' => 'box',
            'length_m' => '1',
            'width_m' => '1',
            'depth_m' => '0.6',
            'level_mm' => '-600',
            'float_valve' => 'yes',
            'may_fall_mm' => '100',
        ])->assertOk();
        Line::query()
            ->where('name', 'Drain 2')
            ->update(['to_stage_id' => null, 'to_vessel_id' => '01JD00000000000000000000X1', 'intake' => 'overflow']);
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json();
        $flows = array_column($plumbing['lines'], 'flow_l_h', 'name');
        self::assertEqualsWithDelta($flows['Return 2'], $flows['Drain 2'], 0.05);
        $vessels = collect($plumbing['vessels'])->keyBy('name');
        self::assertGreaterThan(0, $vessels['Bay 2']['rise_mm']);
        self::assertEqualsWithDelta(100, $vessels['Sump']['may_lose_l'], 1e-6);
        self::assertContains('loop.vessel_float_valve_overflow_sticks', array_column($plumbing['cautions'], 'code'));
        self::assertSame(3, Vessel::query()->count());
    }
}
