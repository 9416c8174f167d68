<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\FishGroup;
use App\Models\Stage;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Support\Str;
use Tests\TestCase;

/** From the book to what every page says of it: the state, the first thing to do, and its amount. */
final class SituationsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    /** A vat of 4,000 L with a bed of 60 L; `since` days ago, or nobody knows. */
    private function build(System $system, ?int $since): void
    {
        (new LayBuild())->lay($system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 4, 'width_m' => 1, 'depth_m' => 1.1],
                    'freeboard_m' => 0.1,
                    'netted' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Bed',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 60,
                    'flow_l_h' => 4000,
                    'air_l_min' => 30,
                    'since' => $since === null ? null : now()->subDays($since)->toDateString(),
                ],
            ],
            'pumps' => [['name' => 'Air', 'kind' => 'air', 'air_l_min' => 60, 'power_w' => 40]],
        ]);
    }

    private function koi(int $count, ?int $daysAgo, float $feed, string $slug = 'long-vat'): void
    {
        $this->putJson("/api/systems/{$slug}/fish/" . strtoupper((string) Str::ulid()), [
            'name' => "Koi {$count}",
            'count' => (string) $count,
            'length_cm' => '35',
            'arrived_on' => $daysAgo === null ? '' : now()->subDays($daysAgo)->toDateString(),
        ])->assertOk();
        $this->putJson("/api/systems/{$slug}/feed", ['feed_g_d' => (string) $feed, 'protein_pct' => '38'])->assertOk();
        System::query()
            ->where('slug', $slug)
            ->firstOrFail()
            ->feedFigures()
            ->where('since', now('Europe/London')->toDateString())
            ->update([
                'since' => now()
                    ->subDays($daysAgo ?? 200)
                    ->toDateString(),
            ]);
    }

    private function tests(string $line, string $slug = 'long-vat'): void
    {
        $this->postJson("/api/systems/{$slug}/log", [
            'id' => strtoupper((string) Str::ulid()),
            'line' => $line,
        ])->assertCreated();
    }

    /** @return array<string, mixed> */
    private function page(string $page = '', string $slug = 'long-vat'): array
    {
        return $this->getJson("/api/systems/{$slug}" . ($page === '' ? '' : "/{$page}"))
            ->assertOk()
            ->json();
    }

    public function test_six_koi_in_three_of_ammonia_and_five_of_nitrite_are_an_emergency_though_it_is_a_start(): void
    {
        $this->system->update(['kind' => 'start', 'life_stage' => 'starting']);
        $this->build($this->system, 0);
        $this->koi(6, 0, 30);
        $this->tests('am 3 ni 5n ph 7.6 t 20 kh 5 do 8');

        self::assertSame('emergency', $this->page()['water']['state']);
        self::assertSame('emergency', $this->getJson('/api/systems')->json('0.state'));
        $trouble = $this->page('trouble');
        self::assertNotSame([], $trouble['causes']);
        self::assertContains($trouble['causes'][0]['id'], ['ammonia', 'nitrite']);
        self::assertLessThan(0.05, $this->page('capacity')['capacity']['value'], 'built today it takes nothing');
        $fishIn = $this->page('maturing')['fish_in'];
        self::assertEqualsWithDelta(0.0, $fishIn['hours']['value'], 1e-9);
        self::assertEqualsWithDelta(2000, $fishIn['change']['value'], 60);
        $timer = collect($this->getJson('/api/timers')->json())->firstWhere('kind', 'fish_in');
        self::assertSame('Long Vat', $timer['system_name']);
        self::assertEqualsWithDelta(0.0, $timer['act_at'], 1e-9);
        self::assertStringContainsString('2,000 L', implode(' ', $this->getJson('/api/round')->json('rows.0.water')));
        self::assertSame('start', $this->page()['schedule']['context']);
    }

    public function test_fish_in_a_filter_of_today_are_acted_on_before_a_test_shows_it_with_what_to_feed_at_most(): void
    {
        $this->build($this->system, 0);
        $this->koi(12, 0, 90);
        $this->tests('am .0 ni .0 ph 7.4 t 20 kh 5 do 8');

        $page = $this->page();
        self::assertContains($page['water']['state'], ['act', 'emergency'], 'fish of today have not shown yet');
        self::assertSame($page['capacity']['state'], $page['water']['state']);
        $trouble = $this->page('trouble');
        self::assertSame('overloaded', $trouble['causes'][0]['id']);
        $step = $trouble['causes'][0]['steps'][0];
        self::assertSame('incident.overload_feed', $step['code']);
        self::assertEqualsWithDelta(
            $this->page('maturing')['fish_in']['ceiling']['value'],
            $step['figure']['value'],
            0.02 * $step['figure']['value'],
            'the most to feed is the same on both pages',
        );
    }

    public function test_clean_readings_of_a_filter_that_has_been_loaded_for_days_are_set_against_the_reckoning(): void
    {
        $this->build($this->system, 20);
        $this->koi(12, 20, 90);
        FishGroup::query()->update(['arrived_on' => now()->subDays(20)->toDateString()]);
        $this->tests('am .0 ni .0 ph 7.4 t 20 kh 5 do 8');

        $capacity = $this->page('capacity');
        self::assertGreaterThan($capacity['capacity']['value'], $capacity['load']['value']);
        self::assertSame('watch', $capacity['state']);
        self::assertSame('filter.read_against_reckoned', $capacity['gap']['code']);
        self::assertSame('watch', $this->page()['water']['state']);
    }

    public function test_new_stock_raises_the_load_at_once_and_the_filter_never(): void
    {
        $this->build($this->system, 700);
        $this->koi(4, null, 25);
        $before = $this->page('capacity');
        $this->koi(34, 0, 200);
        $after = $this->page('capacity');

        self::assertGreaterThan(4 * $before['load']['value'], $after['load']['value']);
        self::assertEqualsWithDelta($before['living']['pct'], $after['living']['pct'], 0.3);
        self::assertContains($after['state'], ['act', 'emergency']);
    }

    public function test_an_empty_system_that_reads_nothing_for_weeks_is_told_that_it_has_no_source(): void
    {
        $this->system->update(['kind' => 'start', 'life_stage' => 'starting']);
        $this->build($this->system, 50);
        foreach ([50, 40, 25, 12, 1] as $ago) {
            $this->postJson('/api/systems/long-vat/visits', [
                'id' => strtoupper((string) Str::ulid()),
                'taken_at' => now()->subDays($ago)->addHours(2)->toIso8601ZuluString(),
                'readings' => $this->typed(['tan_mg_l' => '0', 'no2_n_mg_l' => '0', 'alkalinity_mg_l' => '6']),
            ])->assertCreated();
        }
        $page = $this->page('maturing');

        self::assertSame('unfed', $page['stage']);
        self::assertNull($page['ready_on']);
        self::assertContains('model.start_no_source', array_column($page['advice'], 'code'));
    }

    public function test_a_slept_winter_is_a_new_start_at_what_is_left(): void
    {
        $this->build($this->system, 700);
        $this->koi(6, null, 40);
        $this->tests('am .0 ni .0 ph 7.4 t 20 kh 5 do 8');
        $awake = $this->page('capacity')['living']['pct'];
        $this->system->update(['asleep_since' => now()->subDays(60)]);
        $this->putJson('/api/systems/long-vat/sleep', ['asleep' => false])->assertOk();
        $woken = $this->page('capacity');

        // 60 days at 20 °C leave 5 % of it.
        self::assertEqualsWithDelta(0.05 * $awake, $woken['living']['pct'], 0.03 * $awake);
        self::assertNotNull($this->page('maturing')['fish_in'], 'fish stand in a filter that has not grown to them');
        self::assertSame(now()->toDateString(), $this->page('maturing')['fish_in']['since']);
    }

    public function test_a_pump_that_was_off_for_hours_costs_the_filter_what_the_table_says(): void
    {
        $this->build($this->system, 700);
        $this->koi(6, null, 40);
        $change = WaterChange::query()->create([
            'id' => strtoupper((string) Str::ulid()),
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'kind' => 'batch',
            'litres' => 400,
            'volume_l' => 4000,
            'changed_at' => now()->subHours(6),
            'pump_off' => true,
            'planned_min' => 30,
            'danger_min' => 120,
            'danger_by' => 'oxygen',
            'put_back' => [],
        ]);
        $this->putJson("/api/systems/long-vat/changes/{$change->id}/flow")->assertOk();
        $setback = $this->page('filter')['setbacks'][0];

        self::assertSame('stood_open', $setback['kind'], 'a moving bed stays open and wet');
        self::assertEqualsWithDelta(20.0, $setback['lost_pct'], 0.5);
        self::assertSame('watch', $this->page()['water']['state']);
    }

    public function test_media_moved_are_lost_to_one_system_and_won_by_the_other_and_undone_at_both(): void
    {
        $other = $this->systemOf($this->site, 'Yard Pond', 'yard-pond');
        $this->build($other, 900);
        $this->koi(10, null, 80, 'yard-pond');
        $this->build($this->system, 10);
        $bed = Stage::query()->where('system_id', $other->id)->firstOrFail();
        $donor = $this->page('capacity', 'yard-pond')['capacity']['value'];
        $grows = $this->page('capacity')['capacity']['value'];
        $id = strtoupper((string) Str::ulid());
        $seed = ['kind' => 'own_media', 'litres' => '6', 'from' => 'yard-pond', 'made_up' => true];

        $this->putJson("/api/systems/long-vat/seeds/{$id}", $seed)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['donor']]);
        $this->putJson("/api/systems/long-vat/seeds/{$id}", [...$seed, 'donor' => 'clean', 'litres' => '600'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['litres']]);
        $page = $this->putJson("/api/systems/long-vat/seeds/{$id}", [...$seed, 'donor' => 'clean'])
            ->assertOk()
            ->json();
        self::assertCount(1, $page['seeds']);
        $this->putJson("/api/systems/long-vat/seeds/{$id}", [...$seed, 'donor' => 'clean'])
            ->assertOk()
            ->assertJsonCount(1, 'seeds');
        // A tenth of its medium: a tenth of what lived there.
        self::assertEqualsWithDelta(0.9, $this->page('capacity', 'yard-pond')['capacity']['value'] / $donor, 0.02);
        self::assertGreaterThan($grows + 0.02 * $donor, $this->page('capacity')['capacity']['value']);
        self::assertSame('moved', $this->page('filter', 'yard-pond')['setbacks'][0]['kind']);
        self::assertSame('Long Vat', $this->page('maturing', 'yard-pond')['given'][0]['to']);
        foreach (['long-vat', 'yard-pond'] as $slug) {
            $text = implode(' ', array_column($this->page('book?kinds=filter', $slug)['entries'], 'text'));
            self::assertStringContainsString('media', $text);
        }
        $this->deleteJson("/api/systems/long-vat/seeds/{$id}")
            ->assertOk()
            ->assertJsonPath('seeds', []);
        self::assertEqualsWithDelta($donor, $this->page('capacity', 'yard-pond')['capacity']['value'], 1e-6);

        // With nothing in its place the donor holds so much less.
        $this->putJson("/api/systems/long-vat/seeds/{$id}", [
            ...$seed,
            'made_up' => false,
            'donor' => 'unknown',
        ])->assertOk();
        self::assertEqualsWithDelta(54.0, (float) $bed->fresh()?->media_l, 1e-9);
        $this->deleteJson("/api/systems/long-vat/seeds/{$id}")->assertOk();
        self::assertEqualsWithDelta(60.0, (float) $bed->fresh()?->media_l, 1e-9);
    }

    public function test_a_seed_stands_in_a_line_of_the_log_bar_and_goes_with_it(): void
    {
        $other = $this->systemOf($this->site, 'Yard Pond', 'yard-pond');
        $this->build($other, 900);
        $this->koi(10, null, 80, 'yard-pond');
        $this->build($this->system, 10);
        $this->postJson('/api/systems/long-vat/log/meaning', ['line' => 'am 1 seed 3 l from yard-pond ph 7.6'])
            ->assertOk()
            ->assertJsonPath('seed', ['litres' => 3, 'from' => 'yard-pond'])
            ->assertJsonPath('faults', []);
        $this->postJson('/api/systems/long-vat/log/meaning', ['line' => 'seed 3 l from nowhere'])
            ->assertOk()
            ->assertJsonCount(1, 'faults');
        $id = strtoupper((string) Str::ulid());
        $this->postJson('/api/systems/long-vat/log', [
            'id' => $id,
            'line' => 'seed 3l from Yard Pond',
        ])->assertCreated();
        self::assertCount(1, $this->page('maturing')['seeds']);
        $this->deleteJson("/api/systems/long-vat/log/{$id}")->assertNoContent();
        self::assertCount(0, $this->page('maturing')['seeds']);
        self::assertSame([], $this->page('filter', 'yard-pond')['setbacks']);
    }

    public function test_old_water_is_no_seed_and_a_bottle_counts_as_a_range(): void
    {
        $this->build($this->system, 10);
        $id = strtoupper((string) Str::ulid());
        $this->putJson("/api/systems/long-vat/seeds/{$id}", ['kind' => 'old_water'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
        $seed = $this->putJson("/api/systems/long-vat/seeds/{$id}", ['kind' => 'culture'])
            ->assertOk()
            ->json('seeds.0');
        self::assertEqualsWithDelta(0.0, $seed['low_g_d'], 1e-12);
        self::assertEqualsWithDelta(10, $seed['high_g_d'] / $seed['gain_g_d'], 1e-6);
    }

    public function test_a_school_holds_for_the_site_until_a_system_chooses_its_own(): void
    {
        $this->build($this->system, 700);
        $this->systemOf($this->site, 'Other', 'other');
        $of = fn(string $slug): array => collect($this->page('limits', $slug)['topics'])->firstWhere('id', 'nitrate');

        $this->putJson('/api/systems/long-vat/schools/nitrate', ['school' => 'ten', 'for' => 'site'])->assertOk();
        self::assertSame(['ten', null, 'ten'], [$of('other')['follows'], $of('other')['own'], $of('other')['site']]);
        $this->putJson('/api/systems/other/schools/nitrate', ['school' => 'usual', 'reason' => 'pond'])->assertOk();
        self::assertSame(['usual', 'usual'], [$of('other')['follows'], $of('other')['own']]);
        self::assertSame('ten', $of('long-vat')['follows']);
        $this->putJson('/api/systems/other/schools/nitrate', ['school' => null])->assertOk();
        self::assertSame('ten', $of('other')['follows']);
        $this->putJson('/api/systems/long-vat/schools/nitrate', ['school' => null, 'for' => 'site'])->assertOk();
        self::assertSame('usual', $of('other')['follows']);
        $this->putJson('/api/systems/other/schools/nitrate', ['school' => 'none', 'for' => 'site'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['school']]);
    }

    public function test_since_when_is_asked_where_a_form_asks_it(): void
    {
        $stage = [
            'name' => 'Mats',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '50',
            'flow_l_h' => '900',
        ];
        $put = fn(array $more): \Illuminate\Testing\TestResponse => $this->putJson(
            '/api/systems/long-vat/stages/01JD00000000000000000000S1',
            [...$stage, ...$more],
        );

        $put(['began' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['began']]);
        $put(['began' => 'since', 'since' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['since']]);
        $put(['began' => 'today'])->assertOk();
        self::assertSame(now('Europe/London')->toDateString(), Stage::query()->firstOrFail()->since?->toDateString());
        $put(['began' => 'unknown'])->assertOk();
        self::assertNull(Stage::query()->firstOrFail()->since);
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '3',
            'length_cm' => '30',
            'came' => '',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['came']]);
    }
}
