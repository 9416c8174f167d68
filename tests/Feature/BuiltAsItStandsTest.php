<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Role;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Layers, a basket with its pump, closed vessels, air on several outlets; what was changed last; plans beside it. */
final class BuiltAsItStandsTest extends TestCase
{
    private const BAY = [
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'box',
        'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
        'freeboard_m' => 0,
    ];

    private const BED = ['name' => 'Bed', 'kind' => 'static_bed', 'medium' => 'ball', 'media_l' => 100];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [self::BAY],
            'stages' => [
                [...self::BED, 'name' => 'Chamber', 'flow_l_h' => 4000, 'loss_mm' => 10, 'flow_of_loop' => true],
                [...self::BED, 'name' => 'Last', 'flow_l_h' => 4000, 'loss_mm' => 10, 'flow_of_loop' => true],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 60,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 8000, 'head_m' => 0.2]],
                ],
                ['name' => 'Air', 'kind' => 'air', 'air_l_min' => 30, 'power_w' => 20],
            ],
            'lines' => [
                ['Drain', 'v:Bay', 's:Chamber', 103.6, 2, ['bend_90' => 1]],
                ['Between', 's:Chamber', 's:Last', 103.6, 0.5, ['exit' => 1]],
                ['Suction', 's:Last', 'p:Pump', 63, 1, ['strainer' => 1]],
                ['Return', 'p:Pump', 'v:Bay', 50, 3, ['exit' => 1], 'outlet' => 'jet'],
            ],
        ]);
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

    /** @param  class-string<Stage|Vessel|Pump|Line|AirOutlet>  $class */
    private function id(string $class, string $name): string
    {
        return $class::query()->where('name', $name)->where('system_id', $this->system->id)->firstOrFail()->id;
    }

    public function test_a_layer_lies_in_its_chamber_and_the_water_of_the_chamber_passes_it(): void
    {
        $bags = $this->key();
        $typed = [...self::BED, 'name' => 'Bags', 'medium' => 'sintered_ceramic', 'began' => 'today'];
        $this->postJson('/api/systems/long-vat/plumbing/flows')->assertOk();
        $before = Stage::query()->where('name', 'Chamber')->value('flow_l_h');
        $saved = $this->save(
            'stages',
            [
                ...$typed,
                'chamber_id' => $this->id(Stage::class, 'Chamber'),
                'loss_mm' => '80',
                'rim_mm' => '100',
                'water_l' => '300',
                'fed_from' => 'vessel:' . $this->id(Vessel::class, 'Bay'),
            ],
            $bags,
        )->assertOk();

        self::assertSame(['Chamber', 'Bags', 'Last'], array_column($saved->json('stages'), 'name'));
        self::assertCount(4, $saved->json('lines'));
        [$chamber, $layer] = $saved->json('stages');
        self::assertEqualsWithDelta($chamber['flow_l_h'], $layer['flow_l_h'], 1e-6);
        self::assertLessThan($before, $chamber['flow_l_h'], 'what lies in it holds water back');
        self::assertNull($layer['water_l']);
        self::assertNull($layer['rim_mm']);

        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json();
        $flows = array_column($plumbing['stages'], 'flow_l_h', 'name');
        self::assertSame($flows['Chamber'], $flows['Bags']);
        self::assertSame(
            [],
            array_filter(
                array_column($plumbing['cautions'], 'text'),
                static fn(string $text): bool => str_contains($text, 'Bags'),
            ),
        );
        $rows = $this->getJson('/api/systems/long-vat/capacity')->assertOk()->json('stages');
        self::assertSame(['Chamber', 'Bags', 'Last'], array_column($rows, 'name'));

        $this->deleteJson("/api/systems/long-vat/stages/{$this->id(Stage::class, 'Chamber')}")->assertStatus(422);
        $line = ['name' => 'Wrong', 'to' => "stage:{$bags}", 'bore_mm' => '50', 'length_m' => '1', 'fittings' => []];
        $this->save('lines', [...$line, 'from' => "vessel:{$this->id(Vessel::class, 'Bay')}"])
            ->assertStatus(422)
            ->assertJsonPath('errors.to', static fn(?string $said): bool => $said !== null);
    }

    public function test_a_layer_lies_in_no_layer_and_not_in_itself_and_not_where_lines_lead(): void
    {
        $chamber = $this->id(Stage::class, 'Chamber');
        $bags = $this->key();
        $this->save('stages', [...self::BED, 'name' => 'Bags', 'began' => 'today', 'chamber_id' => $chamber], $bags);
        $in = fn(string $id, string $within): TestResponse => $this->save(
            'stages',
            [...self::BED, 'name' => 'Another', 'began' => 'today', 'chamber_id' => $within],
            $id,
        );

        foreach (
            [[$this->key(), $bags], [$bags, $bags], [$chamber, $this->id(Stage::class, 'Last')]]
            as [$id, $within]
        ) {
            $in($id, $within)
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => ['chamber_id']]);
        }
        $in($this->id(Stage::class, 'Last'), $chamber)
            ->assertStatus(422)
            ->assertJsonStructure([
                'errors' => ['chamber_id'],
            ]);
    }

    public function test_a_basket_and_its_pump_are_one_entry(): void
    {
        $typed = [
            ...self::BED,
            'name' => 'Basket',
            'kind' => 'sponge',
            'medium' => 'foam_10ppi',
            'began' => 'today',
            'vessel_id' => $this->id(Vessel::class, 'Bay'),
            'own_pump' => 'yes',
            'pump_l_h' => '4000',
            'pump_lift_m' => '2',
            'pump_w' => '25',
        ];
        $id = $this->key();
        $saved = $this->save('stages', $typed, $id)->assertOk();
        $this->save('stages', $typed, $id)->assertOk()->assertJsonCount(3, 'pumps');
        $pump = collect($saved->json('pumps'))->firstWhere('name', 'Pump of Basket');
        // A parabola between its two ends: at 0.7 of its flow 0.51 of its head.
        self::assertEquals(['flow_l_h' => 2800, 'head_m' => 1.02], $pump['curve'][2]);

        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json();
        $flow = collect($plumbing['stages'])->firstWhere('name', 'Basket')['flow_l_h'];
        self::assertGreaterThan(3500, $flow);
        self::assertSame(
            round($flow),
            round(collect($plumbing['pumps'])->firstWhere('name', 'Pump of Basket')['flow_l_h']),
        );
        $this->save('stages', [...$typed, 'vessel_id' => '', 'name' => 'Nowhere'])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['own_pump']]);
    }

    public function test_a_closed_vessel_has_a_pressure_and_no_rim(): void
    {
        $typed = [
            ...self::BED,
            'name' => 'Last',
            'began' => 'today',
            'under_pressure' => 'yes',
            'may_press_m' => '1 bar',
            'rim_mm' => '100',
        ];
        $this->save('stages', [...$typed, 'may_press_m' => '10.2'], $this->id(Stage::class, 'Last'))
            ->assertOk()
            ->assertJsonPath('stages.1.rim_mm', null)
            ->assertJsonPath('stages.1.may_press_m', 10.2);
        $this->save(
            'stages',
            [...$typed, 'under_pressure' => 'no', 'may_press_m' => '10'],
            $this->id(Stage::class, 'Last'),
        )
            ->assertOk()
            ->assertJsonPath('stages.1.rim_mm', 100)
            ->assertJsonPath('stages.1.may_press_m', null);
    }

    public function test_air_is_led_to_a_bed_and_taken_from_the_fish(): void
    {
        $air = $this->id(Pump::class, 'Air');
        $bay = 'vessel:' . $this->id(Vessel::class, 'Bay');
        $bed = 'stage:' . $this->id(Stage::class, 'Chamber');
        $outlet = ['pump_id' => $air, 'valve' => 'open'];
        $wash = $this->key();
        $this->save('outlets', [...$outlet, 'name' => 'Stones', 'to' => $bay])->assertOk();
        $this->save('outlets', [...$outlet, 'name' => 'Wash', 'to' => $bed, 'valve' => 'shut'], $wash)->assertOk();
        $shown = fn(): array => $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json('air.0');
        self::assertEquals(30, $shown()['fish_l_min']);

        $this->putJson("/api/systems/long-vat/switchings/{$this->key()}", [
            'part' => $wash,
            'state' => 'on',
            'reason' => '',
        ])->assertOk();
        self::assertEquals(15, $shown()['fish_l_min']);
        self::assertSame(15.0, Stage::query()->where('name', 'Chamber')->firstOrFail()->air_l_min);
        $this->putJson("/api/systems/long-vat/switchings/{$this->key()}", [
            'part' => $air,
            'state' => 'off',
            'reason' => '',
        ])->assertOk();
        self::assertSame(0.0, Stage::query()->where('name', 'Chamber')->firstOrFail()->air_l_min);

        $this->deleteJson("/api/systems/long-vat/pumps/{$air}")->assertStatus(422);
        foreach (
            [
                'pump_id' => [...$outlet, 'name' => 'X', 'to' => $bay, 'pump_id' => $this->id(Pump::class, 'Pump')],
                'to' => [...$outlet, 'name' => 'X', 'to' => 'outside'],
                'valve' => [...$outlet, 'name' => 'X', 'to' => $bay, 'valve' => 'half'],
            ]
            as $field => $typed
        ) {
            $this->save('outlets', $typed)
                ->assertStatus(422)
                ->assertJsonStructure(['errors' => [$field]]);
        }
    }

    public function test_what_was_changed_last_is_taken_back_and_what_was_changed_before_that(): void
    {
        $bay = $this->id(Vessel::class, 'Bay');
        $vessel = ['name' => 'Bay', 'kind' => 'bay', 'shape' => 'box', 'length_m' => '2', 'width_m' => '1'];
        $rows = fn(): array => [
            Vessel::query()->orderBy('id')->get()->makeHidden('updated_at')->toArray(),
            Line::query()->orderBy('id')->get()->makeHidden('updated_at')->toArray(),
            Stage::query()
                ->orderBy('id')
                ->get()
                ->makeHidden(['updated_at', 'flow_l_h', 'loss_mm'])
                ->toArray(),
        ];
        $start = $rows();
        $this->save('vessels', [...$vessel, 'depth_m' => '1.2'], $bay)->assertJsonPath('undo.says', 'Bay changed');
        $deeper = $rows();
        $this->save('vessels', [...$vessel, 'name' => 'Tub', 'depth_m' => '1', 'alike' => '3', 'measured' => 'each'])
            ->assertOk()
            ->assertJsonPath('undo.says', '3 vessels added');
        $this->deleteJson("/api/systems/long-vat/lines/{$this->id(Line::class, 'Return')}")
            ->assertOk()
            ->assertJsonPath('undo.says', 'Return removed');
        $undo = fn(): TestResponse => $this->postJson(
            '/api/systems/long-vat/build-changes/' .
                $this->getJson('/api/systems/long-vat')->json('build.undo.id') .
                '/undo',
        );

        $undo()->assertOk()->assertJsonCount(4, 'lines')->assertJsonCount(4, 'vessels');
        $undo()->assertOk()->assertJsonCount(1, 'vessels');
        self::assertEquals($deeper, $rows());
        $undo()->assertOk()->assertJsonPath('undo', null);
        self::assertEquals($start, $rows());
    }

    public function test_what_the_book_speaks_of_and_what_was_changed_since_is_not_taken_back(): void
    {
        $tub = $this->key();
        $vessel = [
            'name' => 'Tub',
            'kind' => 'tub',
            'shape' => 'box',
            'length_m' => '1',
            'width_m' => '1',
            'depth_m' => '1',
        ];
        $change = $this->save('vessels', $vessel, $tub)->assertOk()->json('undo.id');
        $this->system->fish()->create([
            'site_id' => $this->site->id,
            'name' => 'Koi',
            'count' => 2,
            'length_cm' => 30,
            'condition' => 1.5,
            'vessel_id' => $tub,
        ]);
        $this->postJson("/api/systems/long-vat/build-changes/{$change}/undo")->assertStatus(422);
        self::assertTrue(Vessel::query()->whereKey($tub)->exists());

        $bore = ['name' => 'Return', 'bore_mm' => '63', 'length_m' => '3', 'fittings' => [], 'valve_open_pct' => '100'];
        $line = $this->id(Line::class, 'Return');
        $ends = [
            'from' => 'pump:' . $this->id(Pump::class, 'Pump'),
            'to' => 'vessel:' . $this->id(Vessel::class, 'Bay'),
        ];
        $change = $this->save('lines', [...$bore, ...$ends], $line)
            ->assertOk()
            ->json('undo.id');
        Line::query()
            ->whereKey($line)
            ->update(['bore_mm' => 75]);
        $this->postJson("/api/systems/long-vat/build-changes/{$change}/undo")
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['id']]);
        $this->actingAs($this->person('reader@yard.example', Role::Reader));
        $this->postJson("/api/systems/long-vat/build-changes/{$change}/undo")->assertForbidden();
    }

    public function test_a_plan_is_built_beside_what_stands_and_nothing_is_booked_there(): void
    {
        $id = $this->key();
        $bags = [
            ...self::BED,
            'name' => 'Bags',
            'began' => 'today',
            'chamber_id' => $this->id(Stage::class, 'Chamber'),
        ];
        $this->save('stages', $bags)->assertOk();
        $make = fn(): TestResponse => $this->putJson("/api/systems/long-vat/variants/{$id}", ['name' => 'Wider']);
        $slug = $make()->assertOk()->json('slug');
        $make()->assertOk();
        self::assertSame(1, System::query()->whereNotNull('variant_of_id')->count());

        $plan = $this->getJson("/api/systems/{$slug}")
            ->assertOk()
            ->json();
        self::assertSame('long-vat', $plan['plan_of']['slug']);
        self::assertSame(['Chamber', 'Bags', 'Last'], array_column($plan['build']['stages'], 'name'));
        $return = collect($plan['build']['lines'])->firstWhere('name', 'Return');
        $this->putJson("/api/systems/{$slug}/lines/{$return['id']}", [
            'name' => 'Return',
            'from' => $return['from'],
            'to' => $return['to'],
            'bore_mm' => '75',
            'length_m' => '3',
            'fittings' => [['id' => 'exit', 'count' => '1']],
            'cost' => '40',
        ])->assertOk();

        [$stands, $wider] = $this->getJson('/api/systems/long-vat/variants')->assertOk()->json();
        self::assertSame([false, true], [$stands['planned'], $wider['planned']]);
        self::assertGreaterThan($stands['flow_l_h'] + 100, $wider['flow_l_h']);
        self::assertSame($stands['volume_l'], $wider['volume_l']);
        self::assertNull($stands['cost']);
        self::assertEquals(40, $wider['cost']);
        self::assertSame($wider['parts'] - 1, $wider['uncosted']);
        self::assertGreaterThan(0, $wider['capacity_g_d']);
        self::assertSame(
            50.0,
            Line::query()->where('system_id', $this->system->id)->where('name', 'Return')->firstOrFail()->bore_mm,
        );

        self::assertSame(
            ['long-vat'],
            array_column(
                $this->getJson('/api/systems')->json('systems') ?? $this->getJson('/api/systems')->json(),
                'slug',
            ),
        );
        self::assertSame(['long-vat'], array_column($this->getJson('/api/round')->json('rows'), 'slug'));
        $this->putJson("/api/systems/{$slug}/notes/{$this->key()}", ['words' => 'Here', 'seen' => []])->assertStatus(
            422,
        );
        $this->deleteJson('/api/systems/long-vat/variants')->assertStatus(422);
        $this->deleteJson("/api/systems/{$slug}/variants")
            ->assertOk()
            ->assertJsonPath('slug', 'long-vat');
        self::assertSame(0, System::query()->whereNotNull('variant_of_id')->count());
        self::assertCount(4, Line::all());
    }
}
