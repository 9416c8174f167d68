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
        $this->system->vessels()->create(['site_id' => $this->site->id, 'name' => 'Bay 2', 'kind' => 'bay', 'shape' => 'box', 'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1], 'freeboard_m' => 0, 'displaced_l' => 0]);
        $this->postJson('/api/systems/long-vat/log', ['id' => '01JD0000000000000000000001', 'line' => 'am .5 na 60 ph 7.6 t 20 kh 6'])->assertCreated();
    }

    private function source(): void
    {
        $this->putJson('/api/waters/'.self::WATER, ['name' => 'Well', 'kind' => 'well', 'unit_name' => ''])->assertOk();
        $readings = ['no3_n_mg_l' => ['typed' => '20', 'unit' => 'mg_l_no3'], 'temp_c' => ['typed' => '12', 'unit' => 'c'], 'ph' => ['typed' => '7.2', 'unit' => null], 'alkalinity_mg_l' => ['typed' => '10', 'unit' => 'dkh']];
        $this->putJson('/api/waters/'.self::WATER.'/tests/01JD00000000000000000000T1', ['side' => 'raw', 'readings' => $readings])->assertOk();
    }

    private function water(string $query = ''): array
    {
        return $this->getJson("/api/systems/long-vat/water{$query}")->assertOk()->json();
    }

    private function book(array $typed, string $id = self::CHANGE): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/changes/{$id}", ['kind' => 'batch', 'water' => self::WATER, ...$typed]);
    }

    public function test_without_a_source_water_it_says_what_is_missing(): void
    {
        self::assertStringContainsString('add it there', $this->water('?change_pct=20')['missing']);
    }

    public function test_a_change_is_booked_from_the_log_bar_and_no_more_than_there_is(): void
    {
        $this->source();
        $this->putJson('/api/systems/long-vat/source', ['water' => self::WATER])->assertOk();
        $log = fn (string $line, string $id): TestResponse => $this->postJson('/api/systems/long-vat/log', ['id' => "01JD00000000000000000000{$id}", 'line' => $line]);
        $log('wc 10% am .2', 'B1')->assertCreated();
        $log('wc 10% am .2', 'B1')->assertSuccessful();
        $volume = $this->water()['volume']['value'];
        self::assertCount(1, $this->water()['changes']);
        self::assertStringContainsString(number_format(0.1 * $volume).' L changed, 10 % of the water from Well', $this->water()['changes'][0]['text']);
        $log('wc 900000', 'B2')->assertUnprocessable()->assertJsonStructure(['errors' => ['line']]);
    }

    public function test_without_a_volume_nothing_is_booked(): void
    {
        $this->source();
        $this->system->vessels()->delete();
        self::assertStringContainsString('Build', $this->water('?change_pct=20')['missing']);
        $this->book(['change_pct' => '20'])->assertUnprocessable()->assertJsonStructure(['errors' => ['change_l']]);
    }

    public function test_one_change_mixes_what_is_known_of_both_and_says_what_is_assumed(): void
    {
        $this->source();
        $rows = collect($this->water('?change_pct=25')['rows'])->keyBy('parameter');
        // By hand: 3/4 of 60 and 1/4 of 20; 3/4 of 20 °C and 1/4 of 12 °C; ammonia to 3/4.
        self::assertSame(['50', '18', '0.375', '7'], [$rows['no3_n_mg_l']['after'], $rows['temp_c']['after'], $rows['tan_mg_l']['after'], $rows['alkalinity_mg_l']['after']]);
        self::assertTrue($rows['tan_mg_l']['assumed']);
        self::assertFalse($rows['no3_n_mg_l']['assumed']);
        self::assertStringContainsString('shock', implode(' ', array_column($this->water('?change_pct=60')['change']['cautions'], 'text')));
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
        self::assertSame('30', end($plan['steps'])['after']);
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
        self::assertEqualsWithDelta(2 * 60 / $page['trickle']['l_min']['value'], $page['trickle']['jug']['value'], 0.5);
        self::assertArrayHasKey('jug_l', $this->water('?pct_per_week=10&jug_l=0')['errors']);
    }

    public function test_a_change_is_booked_once_stands_in_the_book_and_can_be_taken_back(): void
    {
        $this->source();
        $this->book([])->assertUnprocessable()->assertJsonStructure(['errors' => ['change_l']]);
        $this->book(['change_l' => '99999999'])->assertUnprocessable()->assertJsonStructure(['errors' => ['change_l']]);
        $this->book(['change_pct' => '20', 'kind' => 'flood'])->assertUnprocessable()->assertJsonStructure(['errors' => ['kind']]);
        $this->book(['change_pct' => '20'])->assertOk();
        self::assertCount(1, $this->book(['change_pct' => '20'])->assertOk()->json('changes'));
        $entries = fn (): array => array_column($this->getJson('/api/systems/long-vat/book?kinds=water')->assertOk()->json('entries'), 'text');
        self::assertStringContainsString('20 % of the water from Well', $entries()[0]);
        $this->book(['change_l' => '15', 'kind' => 'topup'], '01JD00000000000000000000C2')->assertOk();
        self::assertContains('15 L topped up for evaporation from Well', $entries());
        $this->deleteJson('/api/systems/long-vat/changes/'.self::CHANGE)->assertOk();
        self::assertCount(1, $entries());

        $this->actingAs($this->person('vet@yard.example', Role::Reader));
        $this->book(['change_pct' => '5'], '01JD00000000000000000000C3')->assertForbidden();
    }
}
