<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The water beside the water it is filled from: one change, a programme, a trickle, and what was changed. */
final class WaterTest extends TestCase
{
    private const WATER = '01JD00000000000000000000W1';

    private const CHANGE = '01JD00000000000000000000C1';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->system->vessels()->create([
            'site_id' => $this->site->id,
            'name' => 'Bay 2',
            'kind' => 'bay',
            'shape' => 'box',
            'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
            'freeboard_m' => 0,
            'displaced_l' => 0,
        ]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD0000000000000000000001',
            'line' => 'am .5 na 60 ph 7.6 t 20 kh 6',
        ])->assertCreated();
    }

    private function source(): void
    {
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Well',
            'kind' => 'well',
            'unit_name' => '',
        ])->assertOk();
        $readings = [
            'no3_n_mg_l' => ['typed' => '20', 'unit' => 'mg_l_no3'],
            'temp_c' => ['typed' => '12', 'unit' => 'c'],
            'ph' => ['typed' => '7.2', 'unit' => null],
            'alkalinity_mg_l' => ['typed' => '10', 'unit' => 'dkh'],
        ];
        $this->putJson('/api/waters/' . self::WATER . '/tests/01JD00000000000000000000T1', [
            'side' => 'raw',
            'readings' => $readings,
        ])->assertOk();
    }

    private function water(string $query = ''): array
    {
        return $this->getJson("/api/systems/long-vat/water{$query}")
            ->assertOk()
            ->json();
    }

    private function book(array $typed, string $id = self::CHANGE): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/changes/{$id}", [
            'kind' => 'batch',
            'water' => self::WATER,
            ...$typed,
        ]);
    }

    public function test_without_a_source_water_it_says_what_is_missing(): void
    {
        self::assertSame('exchange.no_source_water', $this->water('?change_pct=20')['missing']['code']);
    }

    public function test_a_change_is_booked_from_the_log_bar_and_no_more_than_there_is(): void
    {
        $this->source();
        $this->putJson('/api/systems/long-vat/source', ['water' => self::WATER])->assertOk();
        $log = fn(string $line, string $id): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'id' => "01JD00000000000000000000{$id}",
            'line' => $line,
        ]);
        $log('wc 10% am .2', 'B1')->assertCreated();
        $log('wc 10% am .2', 'B1')->assertSuccessful();
        $volume = $this->water()['volume']['value'];
        self::assertCount(1, $this->water()['changes']);
        self::assertStringContainsString(
            number_format(0.1 * $volume) . ' L changed, 10 % of the water from Well',
            $this->water()['changes'][0]['text'],
        );
        $this->deleteJson('/api/systems/long-vat/log/01JD00000000000000000000B1')->assertNoContent();
        self::assertSame([], $this->water()['changes']);
        self::assertSame(
            0.5,
            collect($this->getJson('/api/systems/long-vat')->json('visits.0.readings'))->firstWhere(
                'parameter',
                'tan_mg_l',
            )['value'],
            'its reading is gone with it',
        );
        $log('wc 900000', 'B2')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['line']]);
    }

    public function test_without_a_volume_nothing_is_booked(): void
    {
        $this->source();
        $this->system->vessels()->delete();
        self::assertSame('exchange.volume_unknown', $this->water('?change_pct=20')['missing']['code']);
        $this->book(['change_pct' => '20'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['change_l']]);
    }

    public function test_one_change_mixes_what_is_known_of_both_and_says_what_is_assumed(): void
    {
        $this->source();
        $rows = collect($this->water('?change_pct=25')['rows'])->keyBy('parameter');
        // By hand: 3/4 of 60 and 1/4 of 20; 3/4 of 20 °C and 1/4 of 12 °C; ammonia to 3/4.
        self::assertSame(
            ['50', '18', '0.375', '7'],
            [
                $rows['no3_n_mg_l']['after'],
                $rows['temp_c']['after'],
                $rows['tan_mg_l']['after'],
                $rows['alkalinity_mg_l']['after'],
            ],
        );
        self::assertTrue($rows['tan_mg_l']['assumed']);
        self::assertFalse($rows['no3_n_mg_l']['assumed']);
        self::assertStringContainsString(
            'shock',
            implode(' ', array_column($this->water('?change_pct=60')['change']['cautions'], 'text')),
        );
        self::assertArrayHasKey('change_pct', $this->water('?change_pct=120')['errors']);
        self::assertArrayHasKey('change_l', $this->water('?change_l=much')['errors']);
    }

    public function test_a_goal_is_reached_in_steps_or_the_reason_why_not_is_given(): void
    {
        $this->source();
        $plan = $this->water('?goal=no3_n_mg_l&target=30&fill_l_min=10')['plan'];
        self::assertTrue($plan['reachable']);
        self::assertGreaterThan(2, count($plan['steps']), 'no more than 2 °C a day: a quarter of the water at first');
        self::assertLessThanOrEqual(25.01, $plan['steps'][0]['pct']);
        self::assertSame('30 mg/L as NO₃', end($plan['steps'])['after']);
        self::assertEqualsWithDelta($plan['steps'][0]['litres'] / 10, $plan['steps'][0]['minutes'], 1e-6);
        $never = $this->water('?goal=no3_n_mg_l&target=15')['plan'];
        self::assertFalse($never['reachable']);
        self::assertStringContainsString('Blend', $never['reason']);
    }

    public function test_a_trickle_in_the_keepers_measures_and_where_it_leads(): void
    {
        $this->source();
        $page = $this->water('?pct_per_week=10&jug_l=2');
        $volume = $page['volume']['value'];
        self::assertEqualsWithDelta(2000, $volume, 1e-6);
        self::assertEqualsWithDelta($volume / 70, $page['trickle']['litres'], 0.01);
        self::assertEqualsWithDelta($volume / 10 / 7 / 1440, $page['trickle']['l_min']['value'], 1e-4);
        self::assertEqualsWithDelta(
            (2 * 60) / $page['trickle']['l_min']['value'],
            $page['trickle']['jug']['value'],
            0.5,
        );
        self::assertArrayHasKey('jug_l', $this->water('?pct_per_week=10&jug_l=0')['errors']);
    }

    public function test_a_change_is_booked_once_stands_in_the_book_and_can_be_taken_back(): void
    {
        $this->source();
        $this->book([])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['change_l']]);
        $this->book(['change_l' => '99999999'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['change_l']]);
        $this->book(['change_pct' => '20', 'kind' => 'flood'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
        $this->book(['change_pct' => '20'])->assertOk();
        self::assertCount(
            1,
            $this->book(['change_pct' => '20'])
                ->assertOk()
                ->json('changes'),
        );
        $entries = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/book?kinds=water')->assertOk()->json('entries'),
            'text',
        );
        self::assertStringContainsString('20 % of the water from Well', $entries()[0]);
        $this->book(['change_l' => '15', 'kind' => 'topup'], '01JD00000000000000000000C2')->assertOk();
        self::assertContains('15 L topped up for evaporation from Well', $entries());
        $this->deleteJson('/api/systems/long-vat/changes/' . self::CHANGE)->assertOk();
        self::assertCount(1, $entries());

        $this->actingAs($this->person('vet@yard.example', Role::Reader));
        $this->book(['change_pct' => '5'], '01JD00000000000000000000C3')->assertForbidden();
    }

    public function test_a_change_is_told_by_level_or_meter_too_and_the_meter_never_runs_back(): void
    {
        $this->source();
        // 2 × 1 m of bay: 20 L to the centimetre.
        self::assertEqualsWithDelta(200, $this->water('?level_cm=10')['change']['litres'], 1e-6);
        self::assertEqualsWithDelta(100 * 3.785411784, $this->water('?change_l=100%20gal')['change']['litres'], 1e-6);
        self::assertStringContainsString('L', $this->water('?change_l=100%20kg')['errors']['change_l']);
        self::assertEqualsWithDelta(350, $this->water('?meter_before=1200&meter_after=1550')['change']['litres'], 1e-9);
        self::assertStringContainsString(
            'backwards',
            $this->water('?meter_before=1550&meter_after=1200')['errors']['meter_after'],
        );
        self::assertArrayHasKey('level_cm', $this->water('?level_cm=140')['errors']);
        self::assertArrayHasKey('change_pct', $this->water('?change_l=10&change_pct=10')['errors']);
        $this->book(['meter_before' => '1550', 'meter_after' => '1200'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['meter_after']]);
        $this->book(['level_cm' => '10'])->assertOk();
        self::assertStringContainsString('200 L changed, 10 %', $this->water()['changes'][0]['text']);
    }

    public function test_water_eight_degrees_hotter_is_refused_at_its_field_and_nothing_is_booked(): void
    {
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Boiler',
            'kind' => 'tap',
            'unit_name' => '',
        ])->assertOk();
        $this->putJson('/api/waters/' . self::WATER . '/tests/01JD00000000000000000000T2', [
            'side' => 'raw',
            'readings' => ['temp_c' => ['typed' => '31', 'unit' => 'c']],
        ])->assertOk();
        $page = $this->water('?change_pct=10&water=' . self::WATER);
        self::assertStringContainsString('11 °C warmer', $page['errors']['water']);
        self::assertNull($page['change']);
        $this->book(['change_pct' => '10'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['water']]);
    }

    public function test_a_change_with_the_pump_off_stays_open_until_flow_is_seen(): void
    {
        $this->source();
        $this->book(['change_pct' => '20', 'pump_off' => 'yes'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['planned_min']]);
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '20',
            'length_cm' => '50',
        ])->assertOk();
        $this->book(['change_pct' => '20', 'pump_off' => 'yes', 'planned_min' => '25'])->assertOk();
        $timer = $this->getJson('/api/timers')->assertOk()->json('0');
        self::assertSame(['pump_off', 25, 'oxygen'], [$timer['kind'], $timer['planned'], $timer['by']]);
        // 37.5 kg of unfed koi at 20 °C breathe 3.75 g an hour; 1,600 L hold 6.09 mg/L over the dangerous three.
        self::assertEqualsWithDelta(((1600 * 6.09) / 3.75 / 1000) * 60, $timer['minutes'], 1.0);
        $this->deleteJson('/api/systems/long-vat/changes/' . self::CHANGE)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['flow']]);
        self::assertTrue($this->water()['changes'][0]['running']);
        $this->putJson('/api/systems/long-vat/changes/' . self::CHANGE . '/flow')->assertOk();
        self::assertSame([], $this->getJson('/api/timers')->json());
        $this->deleteJson('/api/systems/long-vat/changes/' . self::CHANGE)->assertOk();
    }

    public function test_after_a_change_the_page_reckons_on_and_the_score_shows_what_to_expect(): void
    {
        $this->source();
        $this->travel(1)->minutes();
        $this->book(['change_pct' => '25'])->assertOk();
        $this->travel(1)->minutes();
        $rows = collect($this->water()['rows'])->keyBy('parameter');
        // By hand: 3/4 of 60 and 1/4 of 20.
        self::assertSame(['50', 'estimated'], [$rows['no3_n_mg_l']['now'], $rows['no3_n_mg_l']['age']]);
        $strip = collect(
            $this->getJson(
                '/api/systems/long-vat/score?from=' .
                    urlencode(now()->subDay()->toIso8601String()) .
                    '&to=' .
                    urlencode(now()->toIso8601String()) .
                    '&pixels=400',
            )
                ->assertOk()
                ->json('strips'),
        )->firstWhere('parameter', 'no3_n_mg_l');
        self::assertEqualsWithDelta(50, $strip['expected'][0]['v'], 1e-9);
        // A new reading stands over what was reckoned.
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD0000000000000000000002',
            'line' => 'na 47',
        ])->assertCreated();
        self::assertSame('47', collect($this->water()['rows'])->firstWhere('parameter', 'no3_n_mg_l')['now']);
    }

    public function test_what_the_new_water_lacks_is_put_back_for_the_new_water_only(): void
    {
        $this->putJson('/api/waters/' . self::WATER, ['name' => 'Tap', 'kind' => 'tap', 'unit_name' => ''])->assertOk();
        $this->putJson('/api/waters/' . self::WATER . '/tests/01JD00000000000000000000T3', [
            'side' => 'raw',
            'chloramine' => 'yes',
            'readings' => [
                'chlorine_mg_l' => ['typed' => '0.5', 'unit' => null],
                'alkalinity_mg_l' => ['typed' => '2', 'unit' => 'dkh'],
            ],
        ])->assertOk();
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD0000000000000000000003',
            'line' => 'sa 3',
        ])->assertCreated();
        $items = collect($this->water('?change_l=400')['change']['put_back'])->keyBy('what');
        // 0.5 mg/L in 400 L, 7.0 g a gram; 3 g/L in 400 L; 4 dKH in 400 L at 29.96 g per 1,000 L and degree.
        self::assertEqualsWithDelta(1.4, $items['conditioner']['figure']['value'], 0.01);
        self::assertEqualsWithDelta(1200, $items['salt']['figure']['value'], 1e-6);
        self::assertEqualsWithDelta(4 * 0.4 * 29.96, $items['buffer']['figure']['value'], 0.1);
        $this->book(['change_l' => '400'])->assertOk();
        $this->putJson('/api/systems/long-vat/changes/' . self::CHANGE . '/put-back/salt')->assertOk();
        self::assertSame(
            ['conditioner' => false, 'binder' => false, 'salt' => true, 'buffer' => false],
            collect($this->water()['changes'][0]['put_back'])
                ->pluck('done', 'what')
                ->all(),
        );
    }

    public function test_ammonia_decides_over_nitrate_where_it_must_be_acted_on(): void
    {
        $this->source();
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD0000000000000000000004',
            'line' => 'am 2 na 160 ph 8 t 20',
        ])->assertCreated();
        $plan = $this->water('?goal=tan_mg_l&target=1&delivery=vat&vat_l=1500')['plan'];
        self::assertContains('exchange.decides_ammonia_over_limits', array_column($plan['cautions'], 'code'));
        self::assertStringNotContainsString('NO₃', $plan['limits']);
        self::assertStringContainsString('NO₃', $this->water('?goal=no3_n_mg_l&target=100')['plan']['limits']);
        $dosed = $this->water('?goal=dosed&target=10&max_change_pct=40&delivery=bucket&bucket_l=15')['plan'];
        self::assertSame(['what was dosed', '10 % left'], [$dosed['name'], end($dosed['steps'])['after']]);
        self::assertSame((int) ceil($dosed['steps'][0]['litres'] / 15), $dosed['steps'][0]['buckets']);
    }

    public function test_a_trickle_runs_one_at_a_time_and_counts_towards_the_schools_minimum(): void
    {
        $this->source();
        $this->putJson('/api/systems/long-vat/schools/exchange', ['school' => 'trickle'])->assertOk();
        self::assertEqualsWithDelta(200, $this->water()['minimum']['week_l'], 1e-9);
        $open = fn(array $typed, string $id): TestResponse => $this->putJson(
            "/api/systems/long-vat/trickles/01JD00000000000000000000{$id}",
            ['water' => self::WATER, ...$typed],
        );
        $open([], 'R1')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['pct_per_week']]);
        $open(['pct_per_week' => '10'], 'R1')->assertOk();
        $open(['jug_s' => '30', 'jug_l' => '2'], 'R2')->assertOk();
        $running = $this->water()['running'];
        self::assertEqualsWithDelta(15, $running['jug_s'], 1e-9);
        $this->travel(24)->hours();
        self::assertEqualsWithDelta(240 * 24, $this->water()['minimum']['done_l'], 1);
        self::assertArrayHasKey(
            'trickle_meter_after',
            $this->water('?trickle_meter_before=50&trickle_meter_after=20&trickle_meter_h=2')['errors'],
        );
        $this->deleteJson("/api/systems/long-vat/trickles/{$running['id']}")->assertOk();
        self::assertNull($this->water()['running']);
        $followed = collect($this->water()['schools'])->firstWhere('followed', true);
        self::assertSame('trickle', $followed['id']);
    }

    public function test_benches_fill_in_what_the_book_knows_and_refuse_what_would_burn(): void
    {
        $bench = fn(string $name, string $query = ''): array => $this->getJson(
            "/api/systems/long-vat/bench/{$name}{$query}",
        )
            ->assertOk()
            ->json();
        $buffer = $bench('buffer', '?target_alkalinity_mg_l=8&agent=sodium_bicarbonate&tan_mg_l=0');
        // 2 dKH in 2,000 L at 29.96 g per 1,000 L and degree.
        self::assertEqualsWithDelta(2 * 2 * 29.96, $buffer['figures'][0]['value'], 0.2);
        self::assertSame('119 g', $buffer['measure'], 'weighed down to a gram, never up');
        $burns = $bench('buffer', '?target_alkalinity_mg_l=9&agent=sodium_carbonate&tan_mg_l=2');
        self::assertTrue($burns['refused']);
        self::assertNull($burns['measure']);
        self::assertNotContains('g', array_column($burns['figures'], 'unit'));
        self::assertArrayHasKey(
            'target_alkalinity_mg_l',
            $bench('buffer', '?target_alkalinity_mg_l=3&agent=sodium_bicarbonate')['errors'],
        );
        self::assertArrayHasKey('volume_l', $bench('dechlorinate', '?volume_l=lots')['errors']);
        self::assertContains('New water', $bench('dechlorinate')['missing']);
        $this->getJson('/api/systems/long-vat/bench/nothing')->assertNotFound();
    }

    public function test_water_is_made_of_two_and_minerals_do_the_rest(): void
    {
        $this->source();
        $this->putJson('/api/waters/01JD00000000000000000000W2', [
            'name' => 'RO',
            'kind' => 'ro',
            'unit_name' => '',
        ])->assertOk();
        $this->putJson('/api/waters/01JD00000000000000000000W2/tests/01JD00000000000000000000T4', [
            'side' => 'raw',
            'readings' => [
                'no3_n_mg_l' => ['typed' => '0', 'unit' => 'mg_l_no3'],
                'alkalinity_mg_l' => ['typed' => '0', 'unit' => 'dkh'],
            ],
        ])->assertOk();
        $blend = $this->getJson('/api/systems/long-vat/bench/blend?target_no3_n_mg_l=5&volume_l=200')
            ->assertOk()
            ->json();
        self::assertEqualsWithDelta(
            ['RO' => 75, 'Well' => 25],
            array_column($blend['parts'], 'share_pct', 'name'),
            1e-6,
        );
        self::assertTrue($blend['reached']);
        self::assertStringContainsString('no minerals', implode(' ', $blend['cautions']));
        $short = $this->getJson(
            '/api/systems/long-vat/bench/blend?target_no3_n_mg_l=5&target_alkalinity_mg_l=6&volume_l=200',
        )
            ->assertOk()
            ->json();
        self::assertStringContainsString('sodium bicarbonate', implode(' ', $short['minerals']));
        self::assertArrayHasKey(
            'water_2',
            $this->getJson('/api/systems/long-vat/bench/blend?target_hardness_mg_l=6')->json('errors'),
        );
    }
}
