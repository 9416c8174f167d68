<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Kit;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Kits, source waters, limits of one's own, and when to test. */
final class ShelfTest extends TestCase
{
    private const KIT = '01JD00000000000000000000K1';

    private const WATER = '01JD00000000000000000000W1';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    private function kit(array $typed, string $id = self::KIT): TestResponse
    {
        return $this->putJson("/api/kits/{$id}", [
            'name' => 'Ammonia drops',
            'kind' => 'drops',
            'parameter' => 'tan_mg_l',
            'unit' => 'mg_l_n',
            'steps' => '0 ,25 .5 1',
            ...$typed,
        ]);
    }

    private function strip(string $parameter): array
    {
        return collect($this->getJson('/api/systems/long-vat')->assertOk()->json('water.strips'))->firstWhere(
            'parameter',
            $parameter,
        );
    }

    private function log(string $line): void
    {
        static $n = 0;
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD000000000000000000' . str_pad((string) ++$n, 4, '0', STR_PAD_LEFT),
            'line' => $line,
        ])->assertCreated();
    }

    public function test_the_kit_in_use_decides_what_a_typed_number_means(): void
    {
        $this->kit([])
            ->assertOk()
            ->assertJsonPath('kits.0.steps', [0, 0.25, 0.5, 1]);
        $this->log('am .25');
        self::assertEqualsWithDelta(
            [0.125, 0.375],
            [$this->strip('tan_mg_l')['low'], $this->strip('tan_mg_l')['high']],
            1e-9,
        );
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000V9',
            'readings' => $this->typed(['tan_mg_l' => '1']),
        ])->assertCreated();
        self::assertSame('emergency', $this->strip('tan_mg_l')['state'], 'the last colour says at least');
        // Typed in another unit it was read on another kit.
        $this->log('am .3nh4');
        self::assertEqualsWithDelta(0.05 / 1.2879, $this->strip('tan_mg_l')['high'] - 0.3 / 1.2879, 1e-3);
        $this->kit(['name' => 'New drops', 'steps' => '0 1 2'], '01JD00000000000000000000K2')->assertOk();
        self::assertSame(['New drops'], Kit::query()->where('in_use', true)->pluck('name')->all());
        $this->kit(['steps' => '0 2 1', 'name' => 'X'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.steps', 'Each step must be higher than the one before.');
        $this->kit(['steps' => 'blue', 'kind' => 'smell', 'unit' => 'dkh'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
        $this->kit(['steps' => '', 'resolution' => '.01', 'range_from' => '3', 'range_to' => '1'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['range_to']]);
        $this->kit(['unit' => 'dkh'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['unit']]);
    }

    public function test_every_kit_that_ships_can_be_put_on_the_shelf_as_it_is(): void
    {
        $common = $this->getJson('/api/shelf')->assertOk()->json('common_kits');
        self::assertGreaterThan(8, count($common));
        foreach ($common as $i => $kit) {
            $typed = array_map(
                static fn(mixed $value): string => is_array($value) ? implode(' ', $value) : (string) $value,
                $kit,
            );
            $this->putJson('/api/kits/01JD00000000000000000000' . sprintf('A%d', $i % 10) . '', [
                ...$typed,
                'name' => "{$kit['name']} {$i}",
            ])->assertOk();
        }
        $this->log('am 3');
        self::assertSame('emergency', $this->strip('tan_mg_l')['state']);
    }

    public function test_a_limit_of_ones_own_has_a_reason_and_decides_the_word(): void
    {
        $this->log('na 30');
        self::assertSame('watch', $this->strip('no3_n_mg_l')['state']);
        $limit = fn(array $above, string $reason): TestResponse => $this->putJson(
            '/api/systems/long-vat/limits/no3_n_mg_l',
            ['above' => $above, 'reason' => $reason],
        );
        $limit(['watch' => '40', 'act' => '60', 'emergency' => '100'], '')
            ->assertUnprocessable()
            ->assertJsonPath('errors.reason', 'Give the reason for your own limit.');
        $limit(['watch' => '40', 'act' => '30', 'emergency' => '100'], 'school')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['above.act']]);
        $limit(['watch' => 'x', 'act' => '60', 'emergency' => '100'], 'school')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['above.watch']]);
        $limit(['watch' => '40', 'act' => '60', 'emergency' => '100'], 'the tap has 35')->assertOk();
        self::assertSame('good', $this->strip('no3_n_mg_l')['state']);
        $this->deleteJson('/api/systems/long-vat/limits/no3_n_mg_l')->assertOk();
        self::assertSame('watch', $this->strip('no3_n_mg_l')['state']);
    }

    public function test_ones_own_limit_holds_for_the_filter_too(): void
    {
        $this->log('am .1 ph 7 t 15 do 8 kh 6');
        $allowed = fn(): string => collect(
            $this->getJson('/api/systems/long-vat/capacity')->assertOk()->json('conditions'),
        )->firstWhere('key', 'tan_mg_l')['text'];
        self::assertSame('0.25 mg/L as N', $allowed());
        $this->putJson('/api/systems/long-vat/limits/tan_mg_l', [
            'above' => ['watch' => '0.15', 'act' => '0.3', 'emergency' => '1'],
            'reason' => 'show fish',
        ])->assertOk();
        self::assertSame('0.15 mg/L as N', $allowed());
    }

    public function test_nitrite_is_judged_with_the_salt_that_is_in_the_water(): void
    {
        // Nothing is booked before it happens, and at night six o'clock is still to come.
        $this->travelTo(now()->startOfDay()->addHours(12));
        $this->log('ni .5 @6:00');
        self::assertSame('act', $this->strip('no2_n_mg_l')['state']);
        $this->log('sa 1 @6:05');
        self::assertSame('watch', $this->strip('no2_n_mg_l')['state']);
        $this->travel(15)->days();
        self::assertSame('act', $this->strip('no2_n_mg_l')['state'], 'salt measured too long ago shields nobody');
    }

    public function test_a_kit_has_one_test_less_after_each_and_none_for_a_correction(): void
    {
        $this->kit(['tests_left' => '2'])->assertOk();
        $left = static fn(): ?int => Kit::query()->where('in_use', true)->value('tests_left');
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000V1',
            'readings' => $this->typed(['tan_mg_l' => '1']),
        ])->assertCreated();
        self::assertSame(1, $left());
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000V2',
            'corrects' => '01JD00000000000000000000V1',
            'readings' => $this->typed(['tan_mg_l' => '.5']),
        ])->assertCreated();
        self::assertSame(1, $left());
        $this->log('am .5');
        $this->log('am .5');
        self::assertSame(0, $left());
    }

    public function test_a_source_water_is_tested_on_both_sides_and_its_nitrate_bounds_the_advice(): void
    {
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Tap',
            'kind' => 'tap',
            'unit_name' => 'carbon',
        ])->assertOk();
        $test = fn(string $id, string $side, string $nitrate): TestResponse => $this->putJson(
            '/api/waters/' . self::WATER . "/tests/{$id}",
            ['side' => $side, 'readings' => ['no3_n_mg_l' => ['typed' => $nitrate, 'unit' => 'mg_l_no3']]],
        );
        $test('01JD00000000000000000000T1', 'raw', '38')->assertOk();
        $test('01JD00000000000000000000T2', 'treated', '36')->assertOk()->assertJsonCount(2, 'waters.0.tests');
        $test('01JD00000000000000000000T3', 'raw', 'much')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['readings.no3_n_mg_l']]);
        $this->putJson('/api/systems/long-vat/source', ['water' => self::WATER])
            ->assertOk()
            ->assertJsonPath('water_id', self::WATER);
        $this->log('na 45');
        $advice = implode(' ', array_column($this->getJson('/api/systems/long-vat')->json('advice'), 'text'));
        self::assertStringContainsString('36 mg/L as NO₃', $advice);
        $this->putJson('/api/systems/long-vat/source', ['water' => 'none'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['water']]);
    }

    public function test_tests_are_due_and_late_and_the_interval_can_be_set(): void
    {
        $due = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat')->json('schedule.tests'),
            'stands',
            'name',
        );
        self::assertSame('due', $due()['Ammonia'], 'not tested');
        $this->log('am .1 ph 7.8');
        self::assertSame('done', $due()['Ammonia']);
        $this->travel(12)->days();
        self::assertSame('late', $due()['Ammonia']);
        self::assertContains(['name' => 'Ammonia', 'stands' => 'late'], $this->getJson('/api/systems')->json('0.due'));
        $this->putJson('/api/systems/long-vat/schedule/tan_mg_l', ['way' => 'own', 'every_h' => '672'])->assertOk();
        self::assertSame('done', $due()['Ammonia']);
        $this->putJson('/api/systems/long-vat/schedule/ph', ['way' => 'never'])->assertOk();
        self::assertArrayNotHasKey('pH', $due());
        $this->putJson('/api/systems/long-vat/schedule/ph', ['way' => 'own', 'every_h' => '0'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['every_h']]);
        $this->putJson('/api/systems/long-vat/schedule/ph', ['way' => 'usual'])->assertOk();
        self::assertSame('late', $due()['pH']);
        $this->log('am 1.5');
        self::assertSame('incident', $this->getJson('/api/systems/long-vat')->json('schedule.context'));
    }

    public function test_the_water_tells_the_season_and_warm_water_wants_oxygen_at_dawn(): void
    {
        $schedule = fn(): array => $this->getJson('/api/systems/long-vat')->assertOk()->json('schedule');
        $stands = fn(string $name): ?string => array_column($schedule()['tests'], 'stands', 'name')[$name] ?? null;
        self::assertNull($schedule()['season']);

        $this->travelTo('2026-03-02 12:00');
        $this->log('t 6 am 0');
        self::assertSame('cold', $schedule()['season']['id']);
        $this->travelTo('2026-03-30 12:00');
        $this->log('t 11 am 0');
        self::assertSame('warming', $schedule()['season']['id'], 'risen by 5 °C in four weeks');
        $this->travel(4)->days();
        self::assertSame('due', $stands('Ammonia'), 'twice a week now');

        $this->travelTo('2026-07-06 13:00');
        $this->log('t 22 do 8');
        self::assertSame('warm', $schedule()['season']['id']);
        self::assertSame('due', $stands('Oxygen at dawn'), 'read at noon');
        $this->log('do 6.5 @5:10');
        self::assertSame('done', $stands('Oxygen at dawn'));
        $this->travel(15)->days();
        self::assertNull($schedule()['season'], 'a fortnight later nobody knows how warm it is');
    }

    public function test_a_school_is_followed_with_its_reason_and_goes_into_the_limits_under_ones_own(): void
    {
        $follow = fn(string $topic, string $school): TestResponse => $this->putJson(
            "/api/systems/long-vat/schools/{$topic}",
            ['school' => $school, 'reason' => 'old fish'],
        );
        $this->log('na 30');
        self::assertSame('watch', $this->strip('no3_n_mg_l')['state']);
        $nitrate = collect($follow('nitrate', 'forty')->assertOk()->json('topics'))->firstWhere('id', 'nitrate');
        self::assertSame(['forty', 'old fish'], [$nitrate['follows'], $nitrate['reason']]);
        self::assertSame('good', $this->strip('no3_n_mg_l')['state']);
        $this->putJson('/api/systems/long-vat/limits/no3_n_mg_l', [
            'above' => ['watch' => '28', 'act' => '60', 'emergency' => '90'],
            'reason' => 'these show it early',
        ])->assertOk();
        self::assertSame('watch', $this->strip('no3_n_mg_l')['state'], 'what the keeper set stands over the school');
        $this->deleteJson('/api/systems/long-vat/limits/no3_n_mg_l')->assertOk();
        $follow('nitrate', 'usual')->assertOk();
        self::assertSame('watch', $this->strip('no3_n_mg_l')['state']);
        $follow('nitrate', 'ninety')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['school']]);
        $follow('music', 'usual')->assertUnprocessable();
    }

    public function test_clarity_is_seen_at_a_spot_and_kh_above_gh_is_asked_about_unless_a_softener_makes_it(): void
    {
        $this->log('cy 60 at the bridge');
        self::assertSame(['the bridge'], $this->getJson('/api/systems/long-vat')->json('spots'));
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000V8',
            'spot' => 'the bridge',
            'readings' => $this->typed(['clarity_cm' => '40']),
        ])
            ->assertCreated()
            ->assertJsonPath('spot', 'the bridge');
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000V7',
            'spot' => 'nowhere',
            'readings' => $this->typed(['ph' => '7.4']),
        ])
            ->assertCreated()
            ->assertJsonPath('spot', null);

        $asks = fn(): array => $this->postJson('/api/systems/long-vat/meaning', [
            'readings' => $this->typed(['alkalinity_mg_l' => '9', 'hardness_mg_l' => '2']),
        ])->json('asks');
        self::assertArrayHasKey('alkalinity_mg_l', $asks());
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Tap',
            'kind' => 'tap',
            'unit_name' => 'softener',
            'softened' => 'yes',
        ])
            ->assertOk()
            ->assertJsonPath('waters.0.softened', true);
        $this->putJson('/api/systems/long-vat/source', ['water' => self::WATER])->assertOk();
        self::assertArrayNotHasKey('alkalinity_mg_l', $asks());
    }

    public function test_whoever_only_reads_changes_none_of_it(): void
    {
        $this->actingAs($this->person('reader@yard.example', \App\Models\Role::Reader));
        $this->kit([])->assertForbidden();
        $this->putJson('/api/waters/' . self::WATER, ['name' => 'Tap', 'kind' => 'tap'])->assertForbidden();
        $this->putJson('/api/systems/long-vat/limits/ph', [])->assertForbidden();
        $this->putJson('/api/systems/long-vat/source', [])->assertForbidden();
        $this->putJson('/api/systems/long-vat/schools/nitrate', ['school' => 'forty'])->assertForbidden();
    }
}
