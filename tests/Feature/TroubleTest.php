<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\FishGroup;
use App\Models\Role;
use App\Models\System;
use Tests\TestCase;

/** What to do in one system: fresh readings, what is seen, the schools followed and what stands on the shelf. */
final class TroubleTest extends TestCase
{
    private int $n = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 5, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '12',
            'length_cm' => '45',
        ])->assertOk();
    }

    private function log(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD000000000000000000V' . str_pad((string) ++$this->n, 3, '0', STR_PAD_LEFT),
            'line' => $line,
        ])->assertCreated();
    }

    private function trouble(string $seen = ''): array
    {
        return $this->getJson("/api/systems/long-vat/trouble?seen={$seen}")
            ->assertOk()
            ->json();
    }

    private function told(string $seen = ''): string
    {
        $causes = $this->trouble($seen)['causes'];

        return implode(
            ' | ',
            array_merge(
                ...array_map(
                    static fn(array $cause): array => array_map(
                        static fn(array $step): string => trim("{$step['code']} {$step['measure']} {$step['do']}"),
                        $cause['steps'],
                    ),
                    $causes,
                ),
            ),
        );
    }

    /** The step of that code, whatever cause it stands under. */
    private function step(string $code, string $seen = ''): array
    {
        foreach ($this->trouble($seen)['causes'] as $cause) {
            foreach ($cause['steps'] as $step) {
                if ($step['code'] === $code) {
                    return $step;
                }
            }
        }
        self::fail("There is no step {$code}.");
    }

    /** What is told here, shown on the page a step leads to, and booked there is one figure. */
    public function test_what_a_step_carries_over_is_what_the_bench_shows_and_what_is_booked(): void
    {
        $water = '01JD00000000000000000000W1';
        $this->putJson("/api/waters/{$water}", ['name' => 'Well', 'kind' => 'well', 'unit_name' => ''])->assertOk();
        $this->putJson("/api/waters/{$water}/tests/01JD00000000000000000000T1", [
            'side' => 'raw',
            'readings' => ['no3_n_mg_l' => ['typed' => '2', 'unit' => null]],
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/source', ['water' => $water])->assertOk();
        $this->log('am 1 ni 1.2 na 10 ph 7.6 t 20 do 8 kh 6 sa 0');
        $this->putJson('/api/goods/01JD00000000000000000000G1', [
            'kind' => 'binder',
            'name' => 'Can',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'label_binds_mg_l' => '1',
        ])->assertOk();
        foreach (['incident.ammonia_binder' => 'dose_ml', 'incident.nitrite_salt' => 'salt_g'] as $code => $key) {
            $step = $this->step($code);
            $bench = $this->getJson('/api/systems/long-vat/dose?' . http_build_query($step['fill']))
                ->assertOk()
                ->json('thing');
            self::assertSame($key, $bench['bench']['figures'][0]['key']);
            self::assertEqualsWithDelta($step['figure']['value'], $bench['amount'], 1e-6, $code);
            self::assertSame($step['measure'], explode(' (', $bench['measure'])[0], $code);
            $this->travel(20)->minutes();
            $this->putJson('/api/systems/long-vat/doses/01JD0000000000000000000D' . strtoupper($key[0]) . '1', [
                ...$step['fill'],
                'reason' => 'as told',
            ])->assertOk();
            $given = $this->getJson('/api/systems/long-vat/dose')->json('given.0.text');
            self::assertStringContainsString(explode(' (', $bench['measure'])[0], $given);
        }
        $change = $this->step('incident.ammonia_change_each_day');
        $litres = $this->getJson('/api/systems/long-vat/water?' . http_build_query($change['fill']))->json(
            'change.litres',
        );
        self::assertStringContainsString(number_format($litres), $change['do']);
    }

    public function test_fish_are_judged_by_the_fish_though_the_filter_is_being_started(): void
    {
        System::query()
            ->where('slug', 'long-vat')
            ->update(['life_stage' => 'starting']);
        $this->log('am 3 ni 5 ph 7.6 t 20 do 8 kh 6');
        self::assertSame('emergency', $this->getJson('/api/systems/long-vat')->json('water.state'));
        self::assertSame(['ammonia', 'nitrite'], array_column($this->trouble()['causes'], 'id'));
        FishGroup::query()->update(['count' => 0]);
        self::assertNotSame('emergency', $this->getJson('/api/systems/long-vat')->json('water.state'));
    }

    public function test_a_bad_reading_is_answered_with_amounts_for_this_water_by_what_stands_on_the_shelf(): void
    {
        $this->log('am 1 ni .05 na 10 ph 7.6 t 20 do 8 kh 6');
        self::assertStringContainsString('binder by the label of your bottle', $this->told());
        $this->putJson('/api/goods/01JD00000000000000000000G1', [
            'kind' => 'binder',
            'name' => 'Can',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'label_binds_mg_l' => '1',
        ])->assertOk();
        $told = $this->told();
        // 1 mg/L in 10,000 L, halved: 0.5 mg/L is left, half a dose of the label for 10,000 L.
        self::assertStringContainsString('Change 5,000 L (50 %)', $told);
        self::assertStringContainsString('250 mL Give binder for what is left', $told);
        $figure = $this->step('incident.ammonia_binder')['figure'];
        self::assertSame(['dose.binder', 'dose_ml'], [$figure['calc'], $figure['key']]);
        $again = $this->postJson('/api/calc/dose.binder', $figure['input'])->assertOk()->json();
        self::assertEqualsWithDelta(
            $figure['value'],
            $again['figures']['dose_ml'],
            1e-9,
            'the slip works it out again',
        );
    }

    public function test_the_schools_this_system_follows_change_the_answer(): void
    {
        $this->log('am 1 ni .5 na 10 ph 7.6 t 20 do 8 kh 6');
        self::assertStringContainsString('incident.nitrite_salt', $this->told());
        foreach (['ammonia' => 'dilute', 'trouble_feed' => 'none_day', 'salt' => 'never'] as $topic => $school) {
            $this->putJson("/api/systems/long-vat/schools/{$topic}", [
                'school' => $school,
                'reason' => 'mine',
            ])->assertOk();
        }
        $told = $this->told();
        self::assertStringNotContainsString('inder', $told);
        self::assertStringNotContainsString('salt', strtolower($told));
        self::assertStringContainsString('Do not feed for a day', $told);
    }

    public function test_a_change_made_since_the_test_is_reckoned_with(): void
    {
        $this->log('am 1 ni .05 na 10 ph 7.6 t 20 do 8 kh 6');
        $this->travel(1)->hours();
        $this->putJson('/api/systems/long-vat/changes/01JD00000000000000000000C1', [
            'kind' => 'batch',
            'change_pct' => '50',
            'now' => ['tan_mg_l' => '1'],
        ])->assertOk();
        $trouble = $this->trouble();
        self::assertStringContainsString('Test again first', (string) $trouble['changed']);
        self::assertSame('0.5 mg/L as N', array_column($trouble['readings'], 'text', 'name')['Ammonia']);
        self::assertStringContainsString('0.25 mg/L', $this->step('incident.ammonia_change_once')['why']['text']);
    }

    public function test_old_readings_are_not_gone_by_and_what_is_missing_is_asked_for(): void
    {
        $this->log('am 3 do 3 ph 7.6 t 20');
        self::assertSame(['oxygen', 'ammonia'], array_column($this->trouble()['causes'], 'id'));
        $this->travel(5)->days();
        $trouble = $this->trouble('flashing');
        self::assertSame(['sickness'], array_column($trouble['causes'], 'id'));
        self::assertContains('Ammonia', $trouble['tests']);
        self::assertContains('Ammonia, 5 days ago', $trouble['old']);
        self::assertSame([], $this->trouble()['causes'], 'without a sign nothing is made up');
    }

    public function test_what_is_seen_is_picked_from_a_list_and_anybody_may_ask(): void
    {
        self::assertSame(
            ['oxygen', 'chlorine', 'stopped_filter'],
            array_column($this->trouble('after_fill,pump_stopped')['causes'], 'id'),
        );
        self::assertSame(
            ['after_fill', 'pump_stopped'],
            array_column(
                array_filter(
                    $this->trouble('after_fill,pump_stopped')['signs'],
                    static fn(array $sign): bool => $sign['seen'],
                ),
                'id',
            ),
        );
        $this->getJson('/api/systems/long-vat/trouble?seen=ghosts')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['seen']]);
        $this->owner->forceFill(['role' => Role::Reader])->save();
        $this->getJson('/api/systems/long-vat/trouble?seen=gasping')->assertOk();
    }

    public function test_without_a_volume_no_amount_is_worked_out(): void
    {
        $this->systemOf($this->site, 'Bare', 'bare');
        $this->putJson('/api/systems/bare/fish/01JD00000000000000000000G1', [
            'name' => 'Koi',
            'count' => '3',
            'length_cm' => '40',
        ])->assertOk();
        $this->postJson('/api/systems/bare/log', [
            'id' => '01JD00000000000000000000G2',
            'line' => 'am 3 ph 8 t 20 kh 1',
        ])->assertCreated();
        $page = $this->getJson('/api/systems/bare/trouble')
            ->assertOk()
            ->assertJsonPath('no_volume.code', 'incident.no_volume');
        $steps = array_merge(...array_column($page->json('causes'), 'steps'));
        self::assertNotSame([], $steps);
        self::assertSame([null], array_values(array_unique(array_column($steps, 'measure'), SORT_REGULAR)));
        self::assertSame([[]], array_values(array_unique(array_column($steps, 'fill'), SORT_REGULAR)));
    }
}
