<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Role;
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
                        static fn(array $step): string => trim("{$step['measure']} {$step['do']}"),
                        $cause['steps'],
                    ),
                    $causes,
                ),
            ),
        );
    }

    public function test_a_bad_reading_is_answered_with_amounts_for_this_water_by_what_stands_on_the_shelf(): void
    {
        $this->log('am 1 ni .05 na 10 ph 7.6 t 20 do 8 kh 6');
        self::assertStringContainsString('Binder by the label of your bottle', $this->told());
        $this->putJson('/api/goods/01JD00000000000000000000G1', [
            'kind' => 'binder',
            'name' => 'Can',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'label_binds_mg_l' => '1',
        ])->assertOk();
        $told = $this->told();
        // 1 mg/L in 10,000 L, halved: 0.5 mg/L is left, half a dose of the label for 10,000 L.
        self::assertStringContainsString('Change 5,000 L, 50 % of the water', $told);
        self::assertStringContainsString('250 mL Binder for what is left', $told);
        $figure = $this->trouble()['causes'][0]['steps'][1]['figure'];
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
        self::assertStringContainsString('Salt, dissolved', $this->told());
        foreach (['ammonia' => 'dilute', 'trouble_feed' => 'none_day', 'salt' => 'never'] as $topic => $school) {
            $this->putJson("/api/systems/long-vat/schools/{$topic}", [
                'school' => $school,
                'reason' => 'mine',
            ])->assertOk();
        }
        $told = $this->told();
        self::assertStringNotContainsString('inder', $told);
        self::assertStringNotContainsString('Salt', $told);
        self::assertStringContainsString('No feed for a day', $told);
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
        self::assertStringContainsString('0.25 mg/L', $trouble['causes'][0]['steps'][0]['why']['text']);
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
}
