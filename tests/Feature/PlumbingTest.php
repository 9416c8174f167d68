<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\BuildTemplates;
use App\Build\LayBuild;
use App\Models\Line;
use App\Models\System;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class PlumbingTest extends TestCase
{
    private const BAY = '01JD00000000000000000000B1';

    private const CHAMBER = '01JD00000000000000000000C1';

    private const PUMP = '01JD00000000000000000000P1';

    private const DRAIN = '01JD00000000000000000000D1';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->save('vessels', self::BAY, [
            'name' => 'Bay',
            'kind' => 'bay',
            'shape' => 'box',
            'length_m' => '3',
            'width_m' => '2',
            'depth_m' => '1',
        ])->assertOk();
        $this->save('stages', self::CHAMBER, [
            'name' => 'Chamber',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '100',
            'flow_l_h' => '8000',
            'loss_mm' => '10',
            'rim_mm' => '60',
            'may_drop_mm' => '80',
        ])->assertOk();
        $this->save('pumps', self::PUMP, [
            'name' => 'Pump',
            'kind' => 'water',
            'power_w' => '100',
            'circuit' => 'A',
            'curve' => [
                ['flow_l_h' => '0', 'head_m' => '4'],
                ['flow_l_h' => '8000', 'head_m' => '2,6'],
                ['flow_l_h' => '14000', 'head_m' => '0.3'],
                ['flow_l_h' => '', 'head_m' => ''],
            ],
        ])->assertOk();
    }

    private function save(string $kind, string $id, array $typed): \Illuminate\Testing\TestResponse
    {
        return $this->putJson("/api/systems/long-vat/{$kind}/{$id}", $typed);
    }

    private function line(
        string $id,
        string $name,
        string $from,
        string $to,
        array $more = [],
    ): \Illuminate\Testing\TestResponse {
        return $this->save('lines', $id, [
            'name' => $name,
            'from' => $from,
            'to' => $to,
            'bore_mm' => '103,6',
            'length_m' => '6',
            'fittings' => [['id' => 'bend_90', 'count' => '2'], ['id' => '', 'count' => '']],
            'valve_open_pct' => '100',
            ...$more,
        ]);
    }

    private function wholeLoop(): void
    {
        $this->line(self::DRAIN, 'Drain', 'vessel:' . self::BAY, 'stage:' . self::CHAMBER)->assertOk();
        $this->line('01JD00000000000000000000D2', 'Suction', 'stage:' . self::CHAMBER, 'pump:' . self::PUMP, [
            'bore_mm' => '63',
            'length_m' => '1',
            'check_valve' => 'yes',
        ])->assertOk();
        $this->line('01JD00000000000000000000D3', 'Return', 'pump:' . self::PUMP, 'vessel:' . self::BAY, [
            'bore_mm' => '50',
            'ends_above_mm' => '100',
        ])->assertOk();
        $this->line('01JD00000000000000000000D4', 'Waste', 'stage:' . self::CHAMBER, 'outside', [
            'bore_mm' => '50',
            'valve_open_pct' => '0',
        ])->assertOk();
    }

    public function test_a_loop_is_followed_all_the_way_round(): void
    {
        $this->getJson('/api/systems/long-vat/plumbing')
            ->assertOk()
            ->assertJsonPath('flow_l_h', null)
            ->assertJsonPath('lines', []);
        $this->wholeLoop();
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk();
        $lines = collect($plumbing->json('lines'))->keyBy('name');
        self::assertEqualsWithDelta($lines['Drain']['flow_l_h'], $lines['Return']['flow_l_h'], 0.2);
        self::assertEqualsWithDelta($plumbing->json('flow_l_h') / 6000, $plumbing->json('turnover.value'), 1e-9);
        self::assertSame(0, $lines['Waste']['flow_l_h']);
        self::assertEqualsWithDelta(2.4, $plumbing->json('kwh_d'), 1e-9);
        // The drop of a line is the calculation of that line alone, and the chamber stands lower by it.
        self::assertEqualsWithDelta(
            -$lines['Drain']['drop']['value'],
            $plumbing->json('stages.0.level_mm') + 10 * ($lines['Drain']['flow_l_h'] / 8000) ** 2,
            0.2,
        );
        self::assertContains('loop.loop_rim_stands_mm_above', array_column($plumbing->json('cautions'), 'code'));
    }

    public function test_the_capacity_takes_over_the_solved_flow_and_the_loop_stays_what_it_was(): void
    {
        $this->wholeLoop();
        $before = $this->getJson('/api/systems/long-vat/plumbing')->json();
        $after = $this->postJson('/api/systems/long-vat/plumbing/flows')->assertOk()->json();
        self::assertEqualsWithDelta($before['stages'][0]['flow_l_h'], $after['stages'][0]['reckoned_l_h'], 1e-6);
        self::assertEqualsWithDelta($before['flow_l_h'], $after['flow_l_h'], 5.0);
        self::assertEqualsWithDelta(
            $before['stages'][0]['flow_l_h'],
            $this->getJson('/api/systems/long-vat/capacity')->json('capacity.input.stages.0.flow_l_h'),
            1e-6,
        );
    }

    public function test_a_narrower_drain_drops_more(): void
    {
        $this->wholeLoop();
        $drop = fn(): float => collect($this->getJson('/api/systems/long-vat/plumbing')->json('lines'))->firstWhere(
            'name',
            'Drain',
        )['drop']['value'];
        $wide = $drop();
        $this->line(self::DRAIN, 'Drain', 'vessel:' . self::BAY, 'stage:' . self::CHAMBER, [
            'bore_mm' => '70',
        ])->assertOk();
        self::assertGreaterThan(3 * $wide, $drop());
    }

    public function test_a_pump_that_cannot_lift_is_said_and_not_a_failure(): void
    {
        $this->wholeLoop();
        $this->line('01JD00000000000000000000D3', 'Return', 'pump:' . self::PUMP, 'vessel:' . self::BAY, [
            'bore_mm' => '50',
            'ends_above_mm' => '4500',
        ])->assertOk();
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk()->assertJsonPath('flow_l_h', null);
        self::assertStringContainsString('cannot lift that high', $plumbing->json('trouble'));
    }

    public function test_lines_and_pumps_that_cannot_be_are_refused_at_their_fields(): void
    {
        $this->line(self::DRAIN, 'Drain', 'vessel:nowhere', 'outside', [
            'bore_mm' => '0',
            'length_m' => 'long',
            'fittings' => [['id' => 'magic', 'count' => '1'], ['id' => 'bend_90', 'count' => 'two']],
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['from', 'bore_mm', 'length_m', 'fittings.0.id', 'fittings.1.count']]);
        $this->line(self::DRAIN, 'Drain', 'outside', 'vessel:' . self::BAY)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['from']]);
        $pump = [
            'name' => 'P',
            'kind' => 'water',
            'power_w' => '-1',
            'curve' => [['flow_l_h' => '0', 'head_m' => '2']],
        ];
        $this->save('pumps', '01JD00000000000000000000P2', $pump)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['power_w', 'curve']]);
        $this->save('pumps', '01JD00000000000000000000P2', [
            ...$pump,
            'power_w' => '50',
            'curve' => [['flow_l_h' => '0', 'head_m' => '2'], ['flow_l_h' => '100', 'head_m' => '3']],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['curve.1.head_m' => 'Head must fall from point to point.']);
        $this->save('pumps', '01JD00000000000000000000P2', ['name' => 'Air', 'kind' => 'air', 'power_w' => '20'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['air_l_min']]);
        $this->save('pumps', '01JD00000000000000000000P2', ['name' => 'Air', 'kind' => 'steam', 'power_w' => '20'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
    }

    public function test_a_part_that_lines_lead_to_is_not_taken_from_under_them(): void
    {
        $this->wholeLoop();
        $this->deleteJson('/api/systems/long-vat/stages/' . self::CHAMBER)
            ->assertUnprocessable()
            ->assertJsonPath('errors.id', 'Lines still lead here: Drain, Suction, Waste. Move or remove them first.');
        foreach (Line::query()->pluck('id') as $id) {
            $this->deleteJson("/api/systems/long-vat/lines/{$id}")->assertOk();
        }
        $this->deleteJson('/api/systems/long-vat/stages/' . self::CHAMBER)
            ->assertOk()
            ->assertJsonCount(0, 'stages');
    }

    public function test_the_database_keeps_lines_within_one_system(): void
    {
        $this->wholeLoop();
        $other = $this->systemOf($this->site, 'Other', 'other');
        foreach (
            [
                "UPDATE lines SET system_id = '{$other->id}'",
                'UPDATE lines SET from_vessel_id = NULL',
                'UPDATE lines SET bore_mm = 0',
                "UPDATE pumps SET kind = 'air'",
                'DELETE FROM vessels',
            ]
            as $sql
        ) {
            try {
                DB::transaction(static fn() => DB::statement($sql));
                self::fail("The database took: {$sql}");
            } catch (QueryException $refused) {
                self::assertStringStartsWith('23', (string) $refused->getCode(), $sql);
            }
        }
    }

    public function test_a_lamp_is_judged_by_its_hours_its_sleeve_and_the_flow_it_really_gets(): void
    {
        $lamp = [
            'name' => 'Lamp',
            'kind' => 'uv',
            'flow_l_h' => '8000',
            'lamp_w' => '55',
            'lamp_fitted_on' => now()->subDays(100)->toDateString(),
            'sleeve_wiped_on' => '2026-13-01',
        ];
        $this->save('stages', '01JD00000000000000000000E1', $lamp)
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['sleeve_wiped_on' => 'Write the day as 2026-05-31.']);
        $this->save('stages', '01JD00000000000000000000E1', [
            ...$lamp,
            'sleeve_wiped_on' => now()->addDays(3)->toDateString(),
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.sleeve_wiped_on', 'This day is still to come.');
        $this->save('stages', '01JD00000000000000000000E1', [
            ...$lamp,
            'sleeve_wiped_on' => now()->subDays(30)->toDateString(),
        ])->assertOk();
        $this->line('01JD00000000000000000000D5', 'In', 'vessel:' . self::BAY, 'pump:' . self::PUMP)->assertOk();
        $this->line('01JD00000000000000000000D6', 'Through', 'pump:' . self::PUMP, 'stage:01JD00000000000000000000E1', [
            'bore_mm' => '50',
        ])->assertOk();
        $this->line('01JD00000000000000000000D7', 'Out', 'stage:01JD00000000000000000000E1', 'vessel:' . self::BAY, [
            'bore_mm' => '50',
        ])->assertOk();
        $uv = collect($this->getJson('/api/systems/long-vat/plumbing')->assertOk()->json('stages'))->firstWhere(
            'name',
            'Lamp',
        )['uv'];
        self::assertEqualsWithDelta(2400, $uv['input']['lamp_hours'], 24);
        self::assertStringContainsString('W/m³', $uv['say']);
    }

    public function test_every_template_is_a_build_whose_water_goes_round_without_danger(): void
    {
        foreach (array_keys(BuildTemplates::names()) as $i => $template) {
            $slug = $this->postJson('/api/systems', [
                'name' => "From {$i}",
                'kind' => 'holding',
                'life_stage' => 'adult',
                'template' => $template,
                'began' => 'since',
                'since' => '2020-01-01',
            ])
                ->assertCreated()
                ->json('slug');
            $plumbing = $this->getJson("/api/systems/{$slug}/plumbing")
                ->assertOk()
                ->assertJsonPath('trouble', null);
            self::assertNotContains('danger', array_column($plumbing->json('cautions'), 'level'), $template);
            self::assertGreaterThan(
                0,
                $this->getJson("/api/systems/{$slug}")->json('capacity.capacity.value'),
                $template,
            );
        }
        $this->postJson('/api/systems', [
            'name' => 'Other',
            'kind' => 'holding',
            'life_stage' => 'adult',
            'template' => 'palace',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['template']]);
    }

    public function test_a_part_laid_here_is_changed_in_place_whatever_the_case_its_key_is_written_in(): void
    {
        $slug = $this->postJson('/api/systems', [
            'name' => 'Kiln',
            'kind' => 'holding',
            'life_stage' => 'adult',
            'template' => 'pump_box',
        ])->json('slug');
        $build = $this->getJson("/api/systems/{$slug}")->json('build');
        $fall = collect($build['lines'])->firstWhere('name', 'Fall');
        foreach ([$fall['id'], strtolower($fall['id'])] as $id) {
            $this->putJson("/api/systems/{$slug}/lines/{$id}", [
                'name' => 'Fall',
                'from' => $fall['from'],
                'to' => $fall['to'],
                'bore_mm' => '60',
                'length_m' => '1',
            ])
                ->assertOk()
                ->assertJsonCount(count($build['lines']), 'lines');
        }
    }

    public function test_the_second_of_two_people_who_edit_one_part_is_told_and_may_insist(): void
    {
        $this->wholeLoop();
        $seen = collect($this->getJson('/api/systems/long-vat')->json('build.lines'))->firstWhere('name', 'Drain')[
            'version'
        ];
        $from = 'vessel:' . self::BAY;
        $to = 'stage:' . self::CHAMBER;
        $this->line(self::DRAIN, 'Drain', $from, $to, ['length_m' => '7', 'seen' => $seen])->assertOk();
        $this->line(self::DRAIN, 'Drain', $from, $to, ['length_m' => '9', 'seen' => $seen])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['seen']]);
        self::assertEqualsWithDelta(7.0, Line::query()->findOrFail(self::DRAIN)->length_m, 1e-9);
        $now = collect($this->getJson('/api/systems/long-vat')->json('build.lines'))->firstWhere('name', 'Drain')[
            'version'
        ];
        $this->line(self::DRAIN, 'Drain', $from, $to, ['length_m' => '9', 'seen' => $now])->assertOk();
    }

    public function test_a_three_way_valve_says_how_far_it_is_opened_for_the_split_one_wants(): void
    {
        $this->postJson('/api/systems', [
            'name' => 'Cold bay',
            'kind' => 'holding',
            'life_stage' => 'adult',
            'template' => '',
        ])->assertCreated();
        $system = System::query()->where('slug', 'cold-bay')->firstOrFail();
        $mouth = ['guarded' => true, 'check_valve' => true];
        (new LayBuild())->lay($system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 2, 'depth_m' => 1.2],
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 90,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 5], ['flow_l_h' => 8000, 'head_m' => 0.5]],
                ],
            ],
            'lines' => [
                ['Floor', 'v:Bay', 'p:Pump', 50, 4, ['strainer' => 1], 'valve_open_pct' => 50, ...$mouth],
                [
                    'Skimmer',
                    'v:Bay',
                    'p:Pump',
                    50,
                    1,
                    ['strainer' => 1],
                    'valve_open_pct' => 50,
                    ...$mouth,
                    'three_way' => 'Floor',
                ],
                ['Return', 'p:Pump', 'v:Bay', 50, 3, ['exit' => 1]],
            ],
        ]);
        $lines = $system->lines()->get()->keyBy('name');
        $ask = fn(string $line, string $share) => $this->postJson('/api/systems/cold-bay/plumbing/what-if', [
            'line' => $lines[$line]->id,
            'share_pct' => $share,
        ]);
        $then = collect($ask('Floor', '30')->assertOk()->json('lines'))->keyBy('name');
        self::assertEqualsWithDelta(
            0.3,
            $then['Floor']['flow_l_h'] / ($then['Floor']['flow_l_h'] + $then['Skimmer']['flow_l_h']),
            0.005,
        );
        self::assertEqualsWithDelta(100, $then['Floor']['valve_open_pct'] + $then['Skimmer']['valve_open_pct'], 1e-9);
        self::assertSame(50.0, $lines['Floor']->fresh()?->valve_open_pct, 'nothing is kept');
        $ask('Return', '30')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['share_pct']]);
    }
}
