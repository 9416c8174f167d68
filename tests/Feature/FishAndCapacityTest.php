<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Fish\FeedPlan;
use App\Models\FeedFigure;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\Role;
use App\Models\System;
use Database\Factories\SiteFactory;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Fish that grow, move and die; feed as planned and given; what a filter takes of it. */
final class FishAndCapacityTest extends TestCase
{
    private const KOI = '01JD00000000000000000000F1';

    private System $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->other = $this->systemOf($this->site, 'Other', 'other');
        (new LayBuild())->lay($this->system, [
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
                    'name' => 'Brushes',
                    'kind' => 'brush',
                    'medium' => 'brush',
                    'media_l' => 150,
                    'flow_l_h' => 8000,
                    'since' => now()->subDays(900)->toDateString(),
                    'cleaned_on' => now()->subDays(20)->toDateString(),
                ],
                [
                    'name' => 'Bed',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 250,
                    'flow_l_h' => 8000,
                    'air_l_min' => 60,
                    'since' => now()->subDays(900)->toDateString(),
                ],
            ],
            'pumps' => [['name' => 'Air', 'kind' => 'air', 'air_l_min' => 150, 'power_w' => 90]],
        ]);
        $this->fish(['name' => 'Koi', 'count' => '20', 'length_cm' => '50'])->assertOk();
        $this->feed(['feed_g_d' => '200', 'protein_pct' => '38'])->assertOk();
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD00000000000000000000V1',
            'line' => 'am .1 ph 7.6 t 18 do 8 kh 5 na 20',
        ])->assertCreated();
    }

    private function fish(array $typed, string $id = self::KOI): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/fish/{$id}", $typed);
    }

    private function feed(array $typed): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/feed', $typed);
    }

    private function happens(string $what, array $typed, string $id = '01JD00000000000000000000E1'): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/fish/' . self::KOI . "/{$what}/{$id}", $typed);
    }

    private function capacity(string $query = ''): array
    {
        return $this->getJson("/api/systems/long-vat/capacity{$query}")
            ->assertOk()
            ->json();
    }

    public function test_a_weight_tells_the_length_and_both_the_condition_and_an_impossible_fish_is_refused(): void
    {
        $group = fn(): array => $this->getJson('/api/systems/long-vat/fish')->assertOk()->json('groups.0');
        $this->fish(['name' => 'Koi', 'count' => '20', 'weight_g' => '1875'])->assertOk();
        self::assertEqualsWithDelta(50.0, $group()['length_cm'], 1e-6);
        self::assertEqualsWithDelta(1875, $group()['weight_g'], 1e-9);
        $this->fish(['name' => 'Koi', 'count' => '20', 'length_cm' => '50', 'weight_g' => '2125'])->assertOk();
        self::assertEqualsWithDelta(1.7, $group()['condition'], 1e-6);
        $this->fish(['name' => 'Koi', 'count' => '20', 'length_cm' => '50', 'weight_g' => '9000'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['weight_g']]);
        $this->fish(['name' => 'Koi', 'count' => '-3', 'length_cm' => '50'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['count']]);
        $this->fish(['name' => 'Koi', 'count' => '2'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.length_cm', 'Give a length or a weight.');
    }

    public function test_measured_again_they_have_grown_and_an_old_measurement_changes_nothing_of_today(): void
    {
        $this->happens('measures', [
            'length_cm' => '48',
            'measured_on' => now()->subDays(60)->toDateString(),
        ])->assertOk();
        $this->happens(
            'measures',
            ['length_cm' => '51', 'measured_on' => now()->toDateString()],
            '01JD00000000000000000000E2',
        )
            ->assertOk()
            ->assertJsonPath('groups.0.length_cm', 51);
        $page = $this->happens(
            'measures',
            ['length_cm' => '49', 'measured_on' => now()->subDays(30)->toDateString()],
            '01JD00000000000000000000E3',
        )->assertOk();
        self::assertSame(51, $page->json('groups.0.length_cm'));
        self::assertEqualsWithDelta(1.5, $page->json('groups.0.grows_cm_month'), 0.01);
        $this->happens('measures', ['length_cm' => 'long'], '01JD00000000000000000000E4')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['length_cm']]);
        $this->happens('measures', ['length_cm' => '50', 'measured_on' => '2099-01-01'], '01JD00000000000000000000E4')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['measured_on']]);
    }

    public function test_fish_move_with_a_history_once_however_often_it_is_sent(): void
    {
        $this->happens('moved', ['count' => '5', 'to' => 'other', 'reason' => 'room'])
            ->assertOk()
            ->assertJsonPath('groups.0.count', 15);
        $this->happens('moved', ['count' => '5', 'to' => 'other', 'reason' => 'room'])
            ->assertOk()
            ->assertJsonPath('groups.0.count', 15);
        $there = $this->getJson('/api/systems/other/fish')->assertOk();
        self::assertSame(['Koi', 5], [$there->json('groups.0.name'), $there->json('groups.0.count')]);
        self::assertTrue($there->json('events.0.came'));
        $this->happens('moved', ['count' => '3', 'to' => 'other'], '01JD00000000000000000000E2')->assertOk();
        self::assertSame(
            8,
            $this->getJson('/api/systems/other/fish')->json('groups.0.count'),
            'they meet their own again',
        );
        $this->happens('moved', ['count' => '30', 'to' => 'other'], '01JD00000000000000000000E3')
            ->assertUnprocessable()
            ->assertJsonPath('errors.count', 'There are only 12.');
        $this->happens('moved', ['count' => '1', 'to' => 'nowhere'], '01JD00000000000000000000E3')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
        $this->happens('moved', ['count' => '1', 'to' => 'long-vat'], '01JD00000000000000000000E3')
            ->assertUnprocessable()
            ->assertJsonPath('errors.to', 'They are there already.');
        self::assertSame(2, FishEvent::query()->count());
    }

    /** Within a twentieth of their length they are one group there; those that have grown past it stay their own. */
    #[TestWith([1.04, [8]])]
    #[TestWith([1.06, [5, 3]])]
    public function test_fish_of_one_name_are_one_group_where_they_are_of_one_size(float $grown, array $groups): void
    {
        $this->happens('moved', ['count' => '5', 'to' => 'other', 'reason' => 'room'])->assertOk();
        FishGroup::query()
            ->whereKey(self::KOI)
            ->increment('length_cm', ($grown - 1) * FishGroup::query()->findOrFail(self::KOI)->length_cm);
        $this->happens('moved', ['count' => '3', 'to' => 'other'], '01JD00000000000000000000E2')->assertOk();
        self::assertSame($groups, $this->getJson('/api/systems/other/fish')->json('groups.*.count'));
    }

    public function test_losses_are_counted_dated_and_explained_and_the_last_one_ends_the_group(): void
    {
        $this->happens('lost', [
            'count' => '20',
            'reason' => 'power cut',
            'happened_on' => now()->subDay()->toDateString(),
        ])
            ->assertOk()
            ->assertJsonPath('groups', [])
            ->assertJsonPath('events.0.reason', 'power cut');
        self::assertSame(0, $this->getJson('/api/systems/long-vat')->json('fish_count'));
        self::assertSame(0, FishGroup::query()->findOrFail(self::KOI)->count, 'the group stays in the book');
        $elsewhere = $this->person('b@b.example', Role::Owner, SiteFactory::new()->createOne(['name' => 'B']));
        $this->actingAs($elsewhere);
        $this->happens('lost', ['count' => '1'])->assertNotFound();
    }

    public function test_feed_counts_by_days_of_the_week_moisture_and_what_is_left(): void
    {
        $load = fn(): float => $this->capacity()['load']['value'];
        $every = $load();
        $this->feed(['feed_g_d' => '200', 'protein_pct' => '38', 'days_a_week' => '5'])
            ->assertOk()
            ->assertJsonPath('plan.mean_g_d', (200 * 5) / 7);
        self::assertEqualsWithDelta(($every * 5) / 7, $load(), 1e-6);
        $this->feed(['feed_g_d' => '200', 'protein_pct' => '38', 'uneaten_pct' => '20'])->assertOk();
        self::assertGreaterThan(1.1 * $every, $load(), 'what rots gives more than what is digested');
        $this->feed(['protein_pct' => '40', 'by_ration' => 'yes'])->assertOk();
        $page = $this->getJson('/api/systems/long-vat/fish');
        self::assertEqualsWithDelta($page->json('ration.value'), $page->json('plan.mean_g_d'), 1e-9);
        self::assertLessThan(
            $load(),
            $this->capacity('?temp_c=12')['load']['value'],
            'by the table they get less when it is cold',
        );
        $this->feed(['feed_g_d' => '', 'protein_pct' => '380', 'meals' => '2.5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['feed_g_d', 'protein_pct']]);
    }

    public function test_one_warm_day_after_a_cold_week_asks_for_no_more_feed_and_a_cold_snap_for_less_at_once(): void
    {
        $this->feed(['protein_pct' => '40', 'by_ration' => 'yes'])->assertOk();
        $given = fn(): float => (float) $this->getJson('/api/systems/long-vat/fish')->json('plan.mean_g_d');
        $read = fn(string $line, string $id): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'id' => "01JD00000000000000000000{$id}",
            'line' => $line,
        ])->assertCreated();
        foreach ([6, 5, 4, 3, 2, 1] as $ago) {
            $this->travelTo(now()->subDays($ago));
            $read('t 9', "A{$ago}");
            $this->travelBack();
        }
        $read('t 18', 'B1');
        $plan = app(FeedPlan::class);
        $system = $this->system->refresh();
        $figure = $system->feed();
        self::assertNotNull($figure);
        self::assertEqualsWithDelta($plan->at($system, $figure, (6 * 9 + 18) / 7), $given(), 1e-9);
        self::assertGreaterThan(1.5 * $given(), $plan->at($system, $figure, 18.0), 'what today alone would ask for');
        $read('t 7', 'B2');
        self::assertSame(0.0, $given(), 'nothing below 8 °C, however warm the week was');
    }

    public function test_feeds_given_are_logged_beside_the_plan_and_can_be_taken_back(): void
    {
        $id = '01JD00000000000000000000G1';
        $this->putJson("/api/systems/long-vat/feeds/{$id}", [
            'feed_g' => '180',
            'came_up' => 'slowly',
            'left_some' => 'yes',
        ])
            ->assertOk()
            ->assertJsonPath('week_g', 180)
            ->assertJsonPath('feeds.0.left_some', true);
        $this->putJson("/api/systems/long-vat/feeds/{$id}", ['feed_g' => '180'])
            ->assertOk()
            ->assertJsonPath('week_g', 180);
        $this->putJson('/api/systems/long-vat/feeds/01JD00000000000000000000G2', ['feed_g' => '-1'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['feed_g']]);
        $this->deleteJson("/api/systems/long-vat/feeds/{$id}")
            ->assertOk()
            ->assertJsonPath('feeds', []);
    }

    public function test_room_left_is_told_at_once_and_in_steps_with_what_runs_out_first(): void
    {
        $now = $this->capacity();
        self::assertSame(20, (int) $now['room']['kept_back_pct']);
        $this->putJson('/api/systems/long-vat/schools/margin', ['school' => 'measured'])->assertOk();
        $kept = $now['room']['fish_now']['value'];
        $now = $this->capacity();
        self::assertGreaterThan($kept, $now['room']['fish_now']['value'], 'what is kept back is no room');
        self::assertGreaterThan(0, $now['room']['fish_now']['value']);
        self::assertGreaterThanOrEqual($now['room']['fish_now']['value'], $now['room']['fish_grown']['value']);
        self::assertSame($now['room']['limits'][0]['fish_now'], $now['room']['fish_now']['value']);
        $more = (int) $now['room']['fish_grown']['value'] + 1;
        $past = $this->capacity("?fish_more={$more}");
        self::assertLessThan(0, $past['room']['fish_grown']['value'], 'one more than fits does not fit');
        self::assertGreaterThan($now['settles'][0]['value'], $past['settles'][0]['value']);
        $oxygen = static fn(array $capacity): float => collect($capacity['settles'])->firstWhere('label', 'Oxygen')[
            'value'
        ];
        self::assertEqualsWithDelta(8.0, $oxygen($now), 0.1, 'held to the reading');
        self::assertLessThan($oxygen($now), $oxygen($past), 'the same air for more fish');
        self::assertGreaterThan(
            0,
            $this->capacity('?fish_more=-10')['room']['fish_now']['value'] - $now['room']['fish_now']['value'],
        );
        // Opened, a figure leads to the calculation it came from.
        $again = $this->postJson('/api/calc/filter.balance', $now['settles'][0]['input'])->assertOk();
        self::assertEqualsWithDelta($now['settles'][0]['value'], $again->json('figures.tan_mg_l'), 1e-12);
    }

    public function test_what_ifs_of_the_filter_work_each_in_its_direction_and_nonsense_is_told_at_its_field(): void
    {
        $now = $this->capacity();
        $bed = $this->system->stages()->where('name', 'Bed')->firstOrFail()->id;
        $takes = static fn(array $capacity): float => $capacity['capacity']['value'];
        self::assertLessThan(0.3 * $takes($now), $takes($this->capacity("?stage_off={$bed}")));
        $more = $this->capacity("?media_stage={$bed}&media_more_l=100");
        self::assertEqualsWithDelta(
            $takes($now),
            $takes($more),
            0.02 * $takes($now),
            'on new medium nothing lives yet',
        );
        self::assertGreaterThan(1.2 * $now['grown']['value'], $more['grown']['value']);
        self::assertEqualsWithDelta(0.5, $takes($this->capacity('?lost_pct=50')) / $takes($now), 0.05);
        self::assertLessThan($takes($now), $takes($this->capacity('?flow_pct=10')));
        self::assertGreaterThan($takes($now), $takes($this->capacity('?temp_c=24')));
        self::assertContains(
            'Nitrate',
            array_column($this->capacity('?change_l_d=800&source_no3_mg_l=14')['room']['limits'], 'name'),
        );
        $this->getJson('/api/systems/long-vat/capacity?fish_more=many&lost_pct=120&stage_off=none&temp_c=60')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['temp_c']]);
        $this->getJson('/api/systems/long-vat/capacity?fish_more=many&lost_pct=120')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['fish_more', 'lost_pct']]);
        $this->getJson('/api/systems/long-vat/capacity?stage_off=none')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['stage_off']]);
    }

    public function test_a_what_if_is_kept_by_name_and_worked_out_anew_each_time(): void
    {
        $id = '01JD00000000000000000000W1';
        $this->putJson("/api/systems/long-vat/what-ifs/{$id}", ['name' => 'July', 'temp_c' => '24', 'fish_more' => '3'])
            ->assertOk()
            ->assertJsonPath('0.name', 'July');
        $july = $this->getJson("/api/systems/long-vat/what-ifs/{$id}")->assertOk();
        self::assertEqualsWithDelta(
            $this->capacity('?temp_c=24&fish_more=3')['capacity']['value'],
            $july->json('capacity.value'),
            1e-9,
        );
        $this->putJson('/api/systems/long-vat/what-ifs/01JD00000000000000000000W2', [
            'name' => 'july',
            'temp_c' => '22',
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.name', 'This name is taken.');
        $this->putJson('/api/systems/long-vat/what-ifs/01JD00000000000000000000W2', [
            'name' => 'August',
            'temp_c' => '22',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/what-ifs/01JD00000000000000000000W3', ['name' => 'Nothing'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.name', 'Change something first.');
        $this->putJson('/api/systems/long-vat/what-ifs/01JD00000000000000000000W3', ['name' => 'Hot', 'temp_c' => '60'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['temp_c']]);
        $this->deleteJson("/api/systems/long-vat/what-ifs/{$id}")
            ->assertOk()
            ->assertJsonCount(1);
    }

    public function test_what_lives_there_follows_the_feed_of_the_last_weeks_and_what_befell_it(): void
    {
        $now = $this->capacity()['capacity']['value'];
        FeedFigure::query()
            ->where('system_id', $this->system->id)
            ->update(['since' => now()->subDays(40)->toDateString(), 'feed_g_d' => 20]);
        $this->feed(['feed_g_d' => '200', 'protein_pct' => '38'])->assertOk();
        $young = $this->capacity();
        self::assertLessThan($now, $young['capacity']['value'], 'fed little for weeks, it has shrunk');
        self::assertEqualsWithDelta($this->capacity()['grown']['value'], $young['grown']['value'], 1e-9);
        $page = $this->putJson('/api/systems/long-vat/filter/setbacks/01JD00000000000000000000B1', [
            'kind' => 'hosed_chlorinated',
        ])->assertOk();
        self::assertSame('hosed_chlorinated', $page->json('setbacks.0.kind'));
        self::assertSame(
            [60, 30, 90],
            array_map($page->json(...), ['setbacks.0.lost_pct', 'setbacks.0.low_pct', 'setbacks.0.high_pct']),
        );
        self::assertEqualsWithDelta(0.4, $this->capacity()['capacity']['value'] / $young['capacity']['value'], 0.06);
        $this->putJson('/api/systems/long-vat/filter/setbacks/01JD00000000000000000000B2', [
            'kind' => 'magic',
            'share_pct' => '160',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind', 'share_pct']]);
        $this->putJson('/api/systems/long-vat/filter/setbacks/01JD00000000000000000000B3', ['kind' => 'stood_closed'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['hours']]);
        $this->deleteJson('/api/systems/long-vat/filter/setbacks/01JD00000000000000000000B1')
            ->assertOk()
            ->assertJsonPath('setbacks', []);
    }

    /** A clean test of ammonia and nitrite in each of the last eight weeks. */
    private function cleanWeeks(): void
    {
        foreach (range(1, 8) as $week) {
            $this->postJson('/api/systems/long-vat/visits', [
                'id' => '01JD00000000000000000000W' . $week,
                'taken_at' => now()
                    ->subDays(7 * $week - 3)
                    ->toIso8601ZuluString(),
                'readings' => $this->typed(['tan_mg_l' => '0.1', 'no2_n_mg_l' => '0.05']),
            ])->assertCreated();
        }
    }

    public function test_a_filter_begins_when_it_begins(): void
    {
        $takes = function (?int $days): array {
            $this->system->stages()->update([
                'since' => $days === null ? null : now()->subDays($days)->toDateString(),
            ]);
            $capacity = $this->capacity();
            $origin = collect($capacity['capacity']['origins'])->firstWhere('key', 'maturity_pct');

            return [$capacity['capacity']['value'], $origin['kind'], $capacity['grown']['value']];
        };
        [$old, $kind] = $takes(500);
        self::assertSame('computed', $kind);
        [$silent, $kind] = $takes(null);
        self::assertSame('assumed', $kind);
        self::assertLessThan(0.01 * $old, $silent, 'nothing is known of it, and eight weeks of tests are not there');
        $unknown = $this->capacity();
        self::assertSame('watch', $unknown['state'], 'not known is not an emergency');
        self::assertSame('filter.capacity_not_known', $unknown['gap']['code']);
        self::assertSame('filter.since_unknown', $unknown['living']['asks']['code']);
        self::assertEqualsWithDelta($old, $unknown['band']['high_g_d'], 0.1 * $old);
        [$today, , $grown] = $takes(0);
        self::assertLessThan(0.01 * $grown, $today, 'put in today it takes nothing yet');
        $before = $today;
        foreach ([7, 21, 42, 80] as $days) {
            [$now] = $takes($days);
            self::assertGreaterThan($before, $now, "after {$days} days");
            self::assertLessThanOrEqual($old * 1.0001, $now);
            $before = $now;
        }
        $this->system
            ->stages()
            ->where('name', 'Brushes')
            ->update(['since' => now()->subDays(300)->toDateString()]);
        $this->system
            ->stages()
            ->where('name', 'Bed')
            ->update(['since' => now()->toDateString()]);
        self::assertLessThan(0.6 * $old, $this->capacity()['capacity']['value'], 'on new media nothing lives yet');
        $this->cleanWeeks();
        [$proven, $kind] = $takes(null);
        self::assertSame('assumed', $kind);
        self::assertSame('filter.since_proven', $this->capacity()['living']['asks']['code']);
        self::assertEqualsWithDelta($old, $proven, 0.02 * $old);
    }

    public function test_a_filter_measured_is_set_against_what_was_reckoned_and_believed_on_demand(): void
    {
        $before = $this->capacity()['capacity']['value'];
        // 8,000 L/h × 24 × (0.10 − 0.085) = 2.88 g N a day.
        $page = $this->putJson('/api/systems/long-vat/filter/tests/01JD00000000000000000000T1', [
            'flow_l_h' => '8000',
            'in_mg_l' => '0.1',
            'out_mg_l' => '0.085',
        ])->assertOk();
        self::assertEqualsWithDelta(2.88, $page->json('tests.0.removal.value'), 1e-9);
        $ratio = $page->json('tests.0.ratio');
        self::assertEqualsWithDelta(2.88 / $page->json('tests.0.expected_g_d'), $ratio, 1e-9);
        self::assertEqualsWithDelta(
            $before,
            $this->capacity()['capacity']['value'],
            1e-9,
            'nothing changes before it is believed',
        );
        $this->putJson('/api/systems/long-vat/filter/believed', ['test' => '01JD00000000000000000000T1'])
            ->assertOk()
            ->assertJsonPath('tests.0.in_use', true);
        self::assertSame($ratio < 1, $this->capacity()['capacity']['value'] < $before);
        $this->putJson('/api/systems/long-vat/filter/believed', ['test' => null])->assertOk();
        self::assertEqualsWithDelta($before, $this->capacity()['capacity']['value'], 1e-9);
        $this->putJson('/api/systems/long-vat/filter/believed', ['test' => 'nothing'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['test']]);
    }

    public function test_a_run_of_readings_measures_the_filter_and_a_second_one_is_not_held_against_the_first(): void
    {
        $run = fn(string $id): TestResponse => $this->putJson(
            "/api/systems/long-vat/filter/runs/01JD000000000000000000000{$id}",
        );
        $run('1')
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.readings',
                'The book holds 1 readings of ammonia in the last 28 days. Four over a week or more are needed.',
            );
        foreach ([20, 15, 10, 5] as $i => $ago) {
            $at = now()->subDays($ago)->toDateTimeString('minute');
            $this->postJson('/api/systems/long-vat/visits', [
                'id' => "01JD00000000000000000000R{$i}",
                'taken_at' => $at,
                'readings' => $this->typed(['tan_mg_l' => '0.2']),
            ])->assertCreated();
        }
        $test = $run('1')->assertOk()->json('tests.0');
        self::assertTrue($test['run']);
        // Nothing rose and nothing was changed: all that the fish gave was taken, 200 g/d × 38 % × 0.092.
        self::assertEqualsWithDelta(6.99, $test['removal']['value'], 0.2);
        $this->putJson('/api/systems/long-vat/filter/believed', ['test' => $test['id']])->assertOk();
        self::assertEqualsWithDelta($test['ratio'], $run('2')->json('tests.0.ratio'), 1e-6);
    }

    public function test_behind_the_capacity_stand_oxygen_dirt_nitrate_and_sizing(): void
    {
        $page = $this->getJson('/api/systems/long-vat/filter')->assertOk();
        $oxygen = array_column($page->json('oxygen.figures'), 'value', 'label');
        self::assertLessThanOrEqual($oxygen['By day'], $oxygen['At dawn']);
        self::assertSame('Air', $page->json('oxygen.devices.0.name'));
        self::assertSame(['Brushes', 'Bed'], array_column($page->json('dirt'), 'name'));
        self::assertGreaterThan(0, $page->json('dirt.0.stored_g'));
        self::assertSame(
            'Moving bed',
            collect($this->getJson('/api/vocabulary')->json('stage_kinds'))->firstWhere(
                'id',
                $page->json('size.rows.0.kind'),
            )['name'],
        );
        // What is said to be needed does carry them.
        $row = $page->json('size.rows.1');
        $carried = $this->postJson('/api/calc/filter.capacity', [
            'temp_c' => 18,
            'ph' => 7.6,
            'do_in_mg_l' => 8,
            'tan_mg_l' => 0.25,
            'alkalinity_mg_l' => 5 * 17.848,
            'stages' => [
                [
                    'kind' => $row['kind'],
                    'medium' => $row['medium'],
                    'media_l' => $row['media_l'],
                    'flow_l_h' => $row['flow_l_h'],
                ],
            ],
        ]);
        self::assertEqualsWithDelta($this->capacity()['load']['value'], $carried->json('figures.total_g_d'), 0.02);
        $brushes = $page->json('dirt.0.id');
        $this->putJson('/api/systems/long-vat/filter/flushes/01JD00000000000000000000F1', ['stage' => $brushes])
            ->assertOk()
            ->assertJsonPath('dirt.0.stored_g', 0);
    }
}
