<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Stage;
use App\Models\System;
use App\Models\WaterChange;
use App\Models\WaterSource;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Water that comes in, dirt that goes out, and fish that change their water: as booked, and the same on every page. */
final class WhatFlowsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->lay($this->system);
        $this->putJson('/api/systems/long-vat/fish/' . self::key(), [
            'name' => 'Koi',
            'count' => '12',
            'length_cm' => '45',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '100', 'protein_pct' => '38'])->assertOk();
        $this->log('long-vat', 'am .1 ni .0 na 25 ph 7.5 t 20 do 8 kh 5');
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function lay(System $system): void
    {
        $bay = ['name' => 'Bay', 'kind' => 'bay', 'shape' => 'box', 'freeboard_m' => 0, 'netted' => true];
        (new LayBuild())->lay(
            $system,
            [
                'vessels' => [[...$bay, 'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1.25]]],
                'stages' => [
                    [
                        'name' => 'Vortex',
                        'kind' => 'vortex',
                        'medium' => 'chamber_walls',
                        'media_l' => 0,
                        'flow_l_h' => 8000,
                    ],
                    [
                        'name' => 'Bed',
                        'kind' => 'moving_bed',
                        'medium' => 'small_carrier',
                        'media_l' => 150,
                        'flow_l_h' => 8000,
                        'air_l_min' => 40,
                    ],
                ],
                'pumps' => [['name' => 'Stones', 'kind' => 'air', 'air_l_min' => 80, 'power_w' => 60]],
            ],
            now()->subDays(700)->toDateString(),
        );
    }

    private function log(string $system, string $line): void
    {
        $this->postJson("/api/systems/{$system}/log", ['id' => self::key(), 'line' => $line])->assertCreated();
    }

    private function settlesAt(): ?float
    {
        return collect($this->getJson('/api/systems/long-vat/filter')->assertOk()->json('nitrate'))->firstWhere(
            'label',
            'Nitrate settles at',
        )['value'] ?? null;
    }

    private function well(float $nitrate): WaterSource
    {
        $water = WaterSource::query()->create(['site_id' => $this->site->id, 'name' => 'Well', 'kind' => 'well']);
        $water->tests()->create([
            'site_id' => $this->site->id,
            'side' => 'raw',
            'tested_on' => now()->toDateString(),
            'readings' => ['no3_n_mg_l' => ['value' => $nitrate], 'alkalinity_mg_l' => ['value' => 90.0]],
        ]);
        $this->system->update(['water_id' => $water->id]);

        return $water;
    }

    public function test_a_meter_read_twice_says_what_a_trickle_brings_and_every_balance_goes_by_it(): void
    {
        $water = $this->well(2.0);
        self::assertNull($this->settlesAt(), 'nothing carries it off');
        $this->travel(-8)->days();
        $this->putJson('/api/systems/long-vat/trickles/' . self::key(), [
            'flow_l_h' => '40',
            'water' => $water->id,
        ])->assertOk();
        $this->travelBack();
        $said = $this->settlesAt();
        $read = fn(string $litres, int $hours) => $this->putJson('/api/systems/long-vat/meter/' . self::key(), [
            'meter_l' => $litres,
            'at' => now()->subHours($hours)->toIso8601ZuluString(),
        ]);
        $read('10000', 168)->assertOk()->assertJsonPath('meter.says', null);
        // 3,360 L in a week are 20 L/h, half of what was said.
        $page = $read('13360', 0)->assertOk();
        self::assertSame('exchange.meter_trickle', $page->json('meter.says.code'));
        $metered = $this->settlesAt();
        // Of 960 and of 480 L a day 16 evaporate from 8 m²: what runs over carries off what the fish make.
        $new = 2.0 * 4.4268;
        self::assertEqualsWithDelta((960 - 16) / (480 - 16), ($metered - $new) / ($said - $new), 1e-4);
        self::assertEqualsWithDelta(
            464.0,
            $this->getJson('/api/systems/long-vat/capacity')->json('load.input.change_l_d') ??
                $this->getJson('/api/systems/long-vat/capacity')->json('room.fish_now.input.change_l_d'),
            0.5,
        );

        $this->travel(1)->hours();
        $read('12000', 0)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['meter_l']]);
        $read('14000', 100)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['at']]);
        self::assertStringContainsString(
            'Water meter read 13,360 L',
            implode(
                ' ',
                array_column($this->getJson('/api/systems/long-vat/book?kinds=water')->json('entries'), 'text'),
            ),
        );
        $this->deleteJson('/api/systems/long-vat/meter/' . $page->json('meter.readings.0.id'))->assertOk();
        self::assertEqualsWithDelta($said, $this->settlesAt(), 1e-9);
    }

    public function test_a_top_up_brings_what_it_holds_and_carries_nothing_off(): void
    {
        $this->well(4.0);
        $change = fn(string $kind, string $litres) => $this->putJson('/api/systems/long-vat/changes/' . self::key(), [
            'kind' => $kind,
            'change_l' => $litres,
            'again' => 'yes',
        ])->assertOk();
        $change('batch', '1400');
        $before = $this->settlesAt();
        $change('topup', '1400');
        // 50 L a day leave. 16 were assumed to be topped up, now 50 are: 34 more bring what they hold, and stay.
        self::assertEqualsWithDelta($before + (34 / 50) * 4.0 * 4.4268, $this->settlesAt(), 1e-3);
        $row = fn(string $id): array => collect(
            $this->getJson('/api/systems/long-vat/water')->json('schools'),
        )->firstWhere('id', $id);
        self::assertEqualsWithDelta(60 * (50 + 50), $row('booked')['water_l'], 1, 'changes and top-ups of sixty days');
        self::assertEqualsWithDelta(60 * 16, $row('top_up')['water_l'], 1, 'the schools go by what evaporates');
    }

    public function test_the_chlorine_of_a_top_up_has_to_come_out_as_well(): void
    {
        $water = $this->well(2.0);
        $test = $water->tests()->sole();
        $test->update(['readings' => [...$test->readings, 'chlorine_mg_l' => ['value' => 0.8]]]);
        $id = self::key();
        $this->putJson("/api/systems/long-vat/changes/{$id}", [
            'kind' => 'topup',
            'change_l' => '300',
            'water' => $water->id,
        ])->assertOk();
        $asked = WaterChange::query()->findOrFail($id)->put_back;
        self::assertSame(['conditioner'], array_column($asked, 'what'), 'nothing else is thinned out by it');
        self::assertFalse($asked[0]['done']);
    }

    public function test_every_litre_that_comes_in_is_warmed(): void
    {
        $water = $this->well(2.0);
        $test = $water->tests()->sole();
        $test->update(['readings' => [...$test->readings, 'temp_c' => ['value' => 10.0]]]);
        $warms = fn(): float => (float) collect(
            $this->getJson('/api/systems/long-vat/bench/heat?air_c=20')->assertOk()->json('figures'),
        )->firstWhere('key', 'trickle_w')['value'];
        $byFlow = static fn(float $litresD): float => ($litresD * 4186 * 10) / 86400;
        self::assertEqualsWithDelta($byFlow(16), $warms(), 0.01, 'what evaporates from 8 m² is made good');
        foreach (['batch' => '1400', 'topup' => '1400'] as $kind => $litres) {
            $this->putJson('/api/systems/long-vat/changes/' . self::key(), [
                'kind' => $kind,
                'change_l' => $litres,
                'again' => 'yes',
            ])->assertOk();
        }
        self::assertEqualsWithDelta($byFlow(100), $warms(), 0.01);
        $this->putJson('/api/systems/long-vat/trickles/' . self::key(), [
            'flow_l_h' => '40',
            'water' => $water->id,
        ])->assertOk();
        self::assertEqualsWithDelta($byFlow(100 + 960), $warms(), 0.01);
    }

    public function test_a_stage_of_unknown_room_is_asked_for_it_and_a_flush_is_booked_and_taken_back(): void
    {
        $dirt = fn(): array => $this->getJson('/api/systems/long-vat/filter')->assertOk()->json('dirt.0');
        self::assertFalse($dirt()['room_known']);
        self::assertNull($dirt()['blocks_after_d'], 'it is not said to last for ever');
        $vortex = Stage::query()->where('name', 'Vortex')->firstOrFail();
        $vortex->update(['water_l' => 300, 'cleaned_on' => now()->subDays(40)->toDateString()]);
        $before = $dirt();
        self::assertTrue($before['room_known']);
        self::assertGreaterThan(0, $before['blocks_in_d']);
        self::assertGreaterThan(0, $before['tan_back_g_d']);
        self::assertGreaterThan(0, $before['o2_back_g_d']);

        $id = self::key();
        $flush = fn(array $more = []) => $this->putJson("/api/systems/long-vat/filter/flushes/{$id}", [
            'stage' => $vortex->id,
            'at' => now()->subDays(10)->toIso8601ZuluString(),
            ...$more,
        ]);
        $flush()->assertOk()->assertJsonPath('dirt.0.last.text', 'Vortex flushed');
        $after = $dirt();
        self::assertLessThan($before['stored_g'] / 2, $after['stored_g']);
        $flush()->assertOk();
        $entries = $this->getJson('/api/systems/long-vat/book?kinds=filter')->json('entries');
        self::assertCount(1, array_filter($entries, static fn(array $one): bool => $one['text'] === 'Vortex flushed'));
        $this->putJson('/api/systems/long-vat/filter/flushes/' . self::key(), [
            'stage' => $vortex->id,
            'at' => now()->addDay()->toIso8601ZuluString(),
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['at']]);
        $this->putJson('/api/systems/long-vat/filter/flushes/' . self::key(), [
            'stage' => $vortex->id,
            'seen_pct' => '60',
        ])
            ->assertOk()
            ->assertJsonPath('dirt.0.fouling_pct', 60);
        $this->deleteJson("/api/systems/long-vat/filter/flushes/{$id}")->assertUnprocessable();
        $seen = $dirt()['last']['id'];
        $this->deleteJson("/api/systems/long-vat/filter/flushes/{$seen}")->assertOk();
        $this->deleteJson("/api/systems/long-vat/filter/flushes/{$id}")->assertOk();
        self::assertEqualsWithDelta($before['stored_g'], $dirt()['stored_g'], 1e-9, 'as it was told before');
    }

    public function test_carbon_fed_to_microbes_takes_nitrate_and_says_what_it_breathes(): void
    {
        $this->well(1.0);
        $this->putJson('/api/systems/long-vat/changes/' . self::key(), ['kind' => 'batch', 'change_l' => '1400']);
        $before = $this->settlesAt();
        $this->putJson('/api/systems/long-vat/feed', [
            'feed_g_d' => '100',
            'protein_pct' => '38',
            'carbon_g_d' => '40',
        ])->assertOk();
        self::assertLessThan($before - 5, $this->settlesAt());
        $this->getJson('/api/systems/long-vat/fish')->assertJsonPath('plan.carbon_g_d', 40);
    }

    public function test_plant_fertiliser_counts_as_nitrate_that_is_made(): void
    {
        $this->well(1.0);
        $this->putJson('/api/systems/long-vat/changes/' . self::key(), ['kind' => 'batch', 'change_l' => '1400']);
        $feed = ['feed_g_d' => '100', 'protein_pct' => '38'];
        $this->putJson('/api/systems/long-vat/feed', $feed)->assertOk();
        $before = $this->settlesAt();
        $this->putJson('/api/systems/long-vat/feed', [...$feed, 'fertiliser_g_week' => '70'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['fertiliser_n_pct']]);
        $this->putJson('/api/systems/long-vat/feed', [
            ...$feed,
            'fertiliser_g_week' => '70',
            'fertiliser_n_pct' => '10',
        ])->assertOk();
        // 1 g N a day more, as that of 100 g of this feed is 3.496 g.
        self::assertEqualsWithDelta(4.496 / 3.496, $this->settlesAt() / $before, 0.06);
    }

    public function test_fish_that_go_to_other_water_are_asked_why_and_out_of_worse_water_nobody_is_held(): void
    {
        $other = $this->systemOf($this->site, 'Cold Tub', 'cold-tub');
        $this->lay($other);
        $this->log('cold-tub', 'am 0 ni 0 ph 7.5 t 12 kh 5');
        $group = $this->getJson('/api/systems/long-vat/fish')->json('groups.0.id');
        $page = $this->getJson('/api/systems/long-vat/fish/move?to=cold-tub')->assertOk();
        self::assertSame(['temp_c'], array_column($page->json('apart'), 'parameter'));
        self::assertTrue($page->json('why'));
        $go = fn(?string $reason) => $this->putJson("/api/systems/long-vat/fish/{$group}/moved/" . self::key(), [
            'count' => '2',
            'to' => 'cold-tub',
            ...$reason === null ? [] : ['reason' => $reason],
        ]);
        $go(null)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['reason']]);
        $this->log('long-vat', 'am 4 ni 3 ph 8 t 20 do 5');
        $says = array_column($this->getJson('/api/systems/long-vat/fish/move?to=cold-tub')->json('says'), 'code');
        self::assertSame('fish.move_out_of_worse', $says[0]);
        $go('ammonia of 4 here')->assertOk();
    }

    public function test_water_of_chambers_is_no_mix_up_of_gallons(): void
    {
        // 10,000 L of vessel and 2,100 of chambers against a meter of 12,100: alone they would be 1.2 apart.
        Stage::query()
            ->where('name', 'Vortex')
            ->update(['water_l' => 2100]);
        $page = $this->putJson('/api/systems/long-vat/volumes/' . self::key(), [
            'method' => 'meter',
            'meter_before_l' => '1000',
            'meter_after_l' => '13100',
        ])->assertOk();
        self::assertSame(
            [[false, true]],
            array_map(
                static fn(array $one): array => [$one['mix_up'] ?? false, $one['agree']],
                array_map(
                    static fn(array $one): array => [
                        ...$one,
                        'mix_up' => $one['mix_up'] !== null && $one['mix_up'] !== false,
                    ],
                    $page->json('compared'),
                ),
            ),
        );
    }

    public function test_a_system_without_fish_shows_no_exponents_and_no_thirty_digits(): void
    {
        $empty = $this->systemOf($this->site, 'Empty Vat', 'empty-vat');
        $this->lay($empty);
        $this->log('empty-vat', 'am 0 ni 0 na 5 ph 7.5 t 20 do 8 kh 5');
        foreach (
            ['', '/capacity', '/filter', '/maturing', '/water', '/plumbing', '/fish', '/dose', '/trouble']
            as $page
        ) {
            $answer = $this->getJson("/api/systems/empty-vat{$page}")
                ->assertOk()
                ->json();
            array_walk_recursive($answer, static function (mixed $said) use ($page): void {
                if (is_string($said)) {
                    self::assertDoesNotMatchRegularExpression('/\d[eE][-+]\d|\d{13,}|\d\.\d{9,}/', $said, $page);
                }
            });
        }
        $advice = implode(' ', array_column($this->getJson('/api/systems/empty-vat')->json('advice') ?? [], 'code'));
        self::assertStringNotContainsString('salt', $advice, 'there are no fish to shield');
    }
}
