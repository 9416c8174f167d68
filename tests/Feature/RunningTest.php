<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Capacity\Aerators;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What runs and what stands: switched with its time, person and reason, and heard on every page. */
final class RunningTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay(
            $this->system,
            [
                'vessels' => [
                    [
                        'name' => 'Bay',
                        'kind' => 'bay',
                        'shape' => 'box',
                        'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1.1],
                        'freeboard_m' => 0.1,
                        'netted' => true,
                    ],
                ],
                'stages' => [
                    [
                        'name' => 'Bed',
                        'kind' => 'static_bed',
                        'medium' => 'small_carrier',
                        'media_l' => 150,
                        'flow_l_h' => 8000,
                    ],
                    [
                        'name' => 'Lamp',
                        'kind' => 'uv',
                        'flow_l_h' => 8000,
                        'lamp_w' => 55,
                        'lamp_fitted_on' => now()->subDays(400)->toDateString(),
                        'sleeve_wiped_on' => now()->subDays(100)->toDateString(),
                    ],
                ],
                'pumps' => [
                    [
                        'name' => 'Main',
                        'kind' => 'water',
                        'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 10000, 'head_m' => 0]],
                        'power_w' => 100,
                    ],
                    ['name' => 'Stones', 'kind' => 'air', 'air_l_min' => 80, 'power_w' => 60],
                ],
                'lines' => [
                    ['Drain', 'v:Bay', 's:Bed', 100, 2, [], 'valve_open_pct' => 100],
                    ['Suction', 's:Bed', 'p:Main', 63, 1, []],
                    ['Return', 'p:Main', 'v:Bay', 63, 3, [], 'valve_open_pct' => 100],
                ],
            ],
            now()->subDays(700)->toDateString(),
        );
        $this->putJson('/api/systems/long-vat/fish/' . $this->key(), [
            'name' => 'Koi',
            'count' => '12',
            'length_cm' => '45',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '100', 'protein_pct' => '38'])->assertOk();
        $this->line('am .1 ni .0 ph 7.5 t 20 do 8 kh 5');
    }

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function line(string $line): TestResponse
    {
        return $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => $line]);
    }

    private function switch(string $part, string $state, ?string $at = null, ?string $id = null): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/switchings/' . ($id ?? $this->key()), [
            'part' => $part,
            'state' => $state,
            ...$at === null ? [] : ['at' => $at],
        ]);
    }

    public function test_what_is_lent_aerates_where_it_stands_and_no_longer_where_it_is_from(): void
    {
        $other = $this->systemOf($this->site, 'Cold Vat', 'cold-vat');
        (new LayBuild())->lay(
            $other,
            [
                'vessels' => [
                    [
                        'name' => 'Tub',
                        'kind' => 'tub',
                        'shape' => 'box',
                        'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
                        'freeboard_m' => 0.1,
                        'netted' => true,
                    ],
                ],
            ],
            now()->toDateString(),
        );
        $this->putJson('/api/systems/cold-vat/fish/' . $this->key(), [
            'name' => 'Koi',
            'count' => '3',
            'length_cm' => '40',
        ])->assertOk();
        $stones = Pump::query()->where('name', 'Stones')->firstOrFail();
        $id = $this->key();
        $send = fn(array $more) => $this->putJson("/api/systems/long-vat/switchings/{$id}", [
            'part' => $stones->id,
            'state' => 'lent',
            ...$more,
        ]);
        $send(['to' => 'long-vat'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
        $send(['to' => 'nowhere'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
        $send(['to' => 'cold-vat'])
            ->assertOk()
            ->assertJsonPath('things.1.to', 'Cold Vat');
        self::assertSame('cold-vat', $stones->refresh()->lentTo?->slug);
        $this->getJson('/api/systems/cold-vat/running')
            ->assertOk()
            ->assertJsonPath('borrowed.0.from_slug', 'long-vat')
            ->assertJsonPath('borrowed.0.circulates', false);
        $devices = static fn(System $system): array => array_column(Aerators::of($system->refresh()), 'on', 'name');
        self::assertSame('yes', $devices($other)['Stones']);
        self::assertSame('no', $devices($this->system)['Stones']);
        $this->deleteJson("/api/systems/long-vat/switchings/{$id}")->assertOk();
        self::assertSame([], $devices($other));
        self::assertSame('yes', $devices($this->system)['Stones']);
        $this->line('air stones lent to cold-vat')->assertCreated();
        self::assertSame('yes', $devices($other)['Stones']);
        $this->line('air stones on')->assertCreated();
        self::assertNull($stones->refresh()->lent_to_id);
    }

    public function test_a_main_pump_that_is_off_is_heard_on_every_page_until_flow_is_seen(): void
    {
        $pump = Pump::query()->where('name', 'Main')->firstOrFail();
        $carries = $this->getJson('/api/systems/long-vat/capacity')->json('capacity.value');
        self::assertGreaterThan(1, $carries);
        // Clean readings speak of the filter as it flowed then, and not of one that stands since.
        FishGroup::query()->update(['arrived_on' => now()->subDays(60)->toDateString()]);
        FeedFigure::query()->update(['since' => now()->subDays(60)->toDateString()]);
        $this->switch($pump->id, 'off', now()->subHours(3)->toIso8601ZuluString())
            ->assertOk()
            ->assertJsonPath('stands.code', 'flow.stands_over_filter')
            ->assertJsonPath('stands.state', 'emergency');

        $capacity = $this->getJson('/api/systems/long-vat/capacity')->assertOk()->json();
        self::assertLessThan(0.1 * $carries, $capacity['capacity']['value'], 'nothing flows through the filter');
        self::assertSame('act', $capacity['state']);
        $page = $this->getJson('/api/systems/long-vat')->json('water');
        self::assertSame('emergency', $page['state']);
        self::assertStringContainsString('Main is off since', $page['worst']);
        self::assertSame($page['worst'], $this->getJson('/api/round')->json('rows.0.worst'));
        self::assertSame('emergency', $this->getJson('/api/systems')->json('0.state'));
        $timer = collect($this->getJson('/api/timers')->json())->firstWhere('kind', 'stands');
        // A packed bed stands for about two hours before a fifth of it is gone.
        self::assertSame('filter', $timer['by']);
        self::assertEqualsWithDelta(113, $timer['minutes'], 2);

        $this->switch($pump->id, 'on')->assertOk()->assertJsonPath('stands', null);
        self::assertNull(collect($this->getJson('/api/timers')->json())->firstWhere('kind', 'stands'));
        $setback = $this->getJson('/api/systems/long-vat/filter')->json('setbacks.0');
        self::assertSame('stood_closed', $setback['kind']);
        self::assertEqualsWithDelta(39.0, $setback['lost_pct'], 0.5);
        self::assertStringContainsString(
            'Main: off',
            implode(
                ' ',
                array_column($this->getJson('/api/systems/long-vat/book?kinds=filter')->json('entries'), 'text'),
            ),
        );

        $last = Switching::query()->where('state', 'on')->firstOrFail()->id;
        $this->deleteJson("/api/systems/long-vat/switchings/{$last}")
            ->assertOk()
            ->assertJsonPath('stands.state', 'emergency');
        self::assertSame([], $this->getJson('/api/systems/long-vat/filter')->json('setbacks'), 'nothing was lost yet');
    }

    public function test_air_that_is_off_is_gone_from_the_oxygen_and_never_raises_it(): void
    {
        $this->system->visits()->update(['withdrawn_at' => now(), 'withdrawn_by' => $this->owner->id]);
        $air = Pump::query()->where('name', 'Stones')->firstOrFail();
        $oxygen = fn(): float => collect(
            $this->getJson('/api/systems/long-vat/filter')->json('oxygen.figures'),
        )->firstWhere('label', 'At dawn')['value'];
        $before = $oxygen();
        $this->switch($air->id, 'off')->assertOk();

        self::assertLessThan($before - 1, $oxygen());
        $this->switch($air->id, 'off')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['state']]);
        $air->refresh()->update(['state' => 'on', 'running' => true, 'by_day' => true]);
        self::assertLessThan($before - 1, $oxygen(), 'what the sun drives is gone at night');
    }

    public function test_oxygen_that_was_measured_goes_down_with_the_air_that_is_switched_off_after_it(): void
    {
        $air = Pump::query()->where('name', 'Stones')->firstOrFail();
        $oxygen = fn(): float => collect(
            $this->getJson('/api/systems/long-vat/filter')->json('oxygen.figures'),
        )->firstWhere('label', 'At dawn')['value'];
        $takes = fn(): float => $this->getJson('/api/systems/long-vat/capacity')->json('capacity.value');
        [$measured, $before] = [$oxygen(), $takes()];
        self::assertEqualsWithDelta(8.0, $measured, 0.05);
        $this->travel(1)->minutes();
        $this->switch($air->id, 'off')->assertOk();
        self::assertLessThan(7.0, $oxygen());
        self::assertLessThanOrEqual($before + 1e-9, $takes());
        $this->travel(1)->minutes();
        $this->line('do 6.2')->assertCreated();
        self::assertEqualsWithDelta(6.2, $oxygen(), 0.05, 'measured again, it is what it is');
    }

    public function test_a_valve_opens_as_far_as_it_stood_and_with_the_only_return_shut_nothing_flows(): void
    {
        $return = Line::query()->where('name', 'Return')->firstOrFail();
        $return->update(['valve_open_pct' => 70]);
        $carries = $this->getJson('/api/systems/long-vat/capacity')->json('capacity.value');
        $id = $this->key();
        $this->switch($return->id, 'off', null, $id)->assertOk()->assertJsonPath('stands.part', $return->id);
        self::assertNotNull(collect($this->getJson('/api/timers')->json())->firstWhere('kind', 'stands'));
        self::assertSame(0.0, $return->refresh()->valve_open_pct);
        self::assertLessThan(0.1 * $carries, $this->getJson('/api/systems/long-vat/capacity')->json('capacity.value'));
        self::assertStringContainsString(
            'Return: shut',
            implode(
                ' ',
                array_column($this->getJson('/api/systems/long-vat/book?kinds=filter')->json('entries'), 'text'),
            ),
        );
        $this->switch($return->id, 'lent')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['state']]);
        $this->travel(1)->minutes();
        $this->switch($return->id, 'on')->assertOk()->assertJsonPath('stands', null);
        self::assertSame(70.0, $return->refresh()->valve_open_pct, 'as far as it stood');
        $last = Switching::query()->where('state', 'on')->firstOrFail()->id;
        $this->deleteJson("/api/systems/long-vat/switchings/{$last}")->assertOk();
        self::assertSame(0.0, $return->refresh()->valve_open_pct);
        $this->deleteJson("/api/systems/long-vat/switchings/{$id}")->assertOk();
        self::assertSame(70.0, $return->refresh()->valve_open_pct);
    }

    public function test_lamp_hours_count_when_it_is_lit_and_the_sleeve_when_it_is_wet(): void
    {
        $lamp = Stage::query()->where('kind', 'uv')->firstOrFail();
        self::assertCount(2, $this->getJson('/api/round')->json('rows.0.service'), 'lamp and sleeve are due');
        $this->switch($lamp->id, 'off', now()->subDays(300)->toIso8601ZuluString())->assertOk();
        $jobs = collect($this->getJson('/api/systems/long-vat/service')->json('parts'))
            ->pluck('jobs')
            ->flatten(1);
        $stands = $jobs->pluck('stands', 'id');
        self::assertNotSame('early', $stands['wipe_sleeve']);
        self::assertSame('early', $stands['change_lamp'], 'a hundred days lit are no 9,000 h');
        self::assertEqualsWithDelta(
            24 * 100,
            Switching::ranHours($lamp->id, 'off', $lamp->lamp_fitted_on ?? now()),
            24,
        );
        $this->switch($lamp->id, 'lent')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['state']]);
        $this->switch($lamp->id, 'alternate', now()->subDays(400)->toIso8601ZuluString())
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['at']]);
    }

    public function test_a_line_switches_what_it_names_and_asks_which_where_there_are_several(): void
    {
        $this->line('pump off')->assertCreated();
        self::assertSame('off', Pump::query()->where('name', 'Main')->value('state'));
        $this->line('uv alternate @0:01')->assertCreated();
        self::assertSame('alternate', Stage::query()->where('kind', 'uv')->value('lamp_state'));
        $this->line('heater on')->assertUnprocessable();
        $this->putJson('/api/systems/long-vat/pumps/' . $this->key(), [
            'name' => 'Ring',
            'kind' => 'air',
            'air_l_min' => '20',
            'power_w' => '20',
        ])->assertOk();
        $this->line('air off')->assertUnprocessable();
        $id = $this->key();
        $this->postJson('/api/systems/long-vat/log', ['id' => $id, 'line' => 'air ring off am .1'])->assertCreated();
        self::assertSame('off', Pump::query()->where('name', 'Ring')->value('state'));
        $this->deleteJson("/api/systems/long-vat/log/{$id}")->assertNoContent();
        self::assertSame('on', Pump::query()->where('name', 'Ring')->value('state'));
        $this->postJson('/api/systems/long-vat/log/meaning', ['line' => 'pump'])->assertJsonCount(1, 'faults');
    }

    public function test_a_shut_bay_in_bad_water_has_no_minutes_and_is_the_most_urgent_thing(): void
    {
        $this->line('am 1.5 ph 8.2')->assertCreated();
        $bay = $this->system->vessels()->firstOrFail();
        $this->putJson("/api/systems/long-vat/vessels/{$bay->id}/shut-off", ['shut' => true])->assertOk();
        $shut = $this->getJson('/api/systems/long-vat')->json('shut_off.0');

        self::assertEqualsWithDelta(0.0, $shut['minutes'], 1e-9);
        self::assertSame('emergency', $shut['state']);
        self::assertSame('emergency', $this->getJson('/api/systems')->json('0.state'));
    }
}
