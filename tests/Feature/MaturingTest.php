<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Dose;
use App\Models\Stage;
use Ironwort\Core\Catalogue\Registry;
use Tests\TestCase;

/** A start is followed from the book, through its doses, changes and colder days, to the day it is ready. */
final class MaturingTest extends TestCase
{
    private int $n = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-05-04 08:00');
        $this->system->forceFill(['kind' => 'start', 'life_stage' => 'starting'])->save();
    }

    private function id(string $of): string
    {
        return '01JD000000000000000000' . $of . str_pad((string) ++$this->n, 3, '0', STR_PAD_LEFT);
    }

    private function log(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => $this->id('V'), 'line' => $line])->assertCreated();
    }

    private function filter(): void
    {
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 2, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Carrier',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 60,
                    'flow_l_h' => 4000,
                    'since' => now()->toDateString(),
                ],
            ],
        ]);
        $this->system->refresh();
    }

    private function start(string $query = ''): array
    {
        return $this->getJson("/api/systems/long-vat/maturing{$query}")
            ->assertOk()
            ->json();
    }

    public function test_what_is_missing_is_asked_for_one_after_the_other(): void
    {
        self::assertSame('model.start_no_filter', $this->start()['says']['code']);
        $this->filter();
        $does = fn(): array => array_column($this->start()['does'], 'code');
        self::assertSame('model.start_unread', $this->start()['says']['code']);
        self::assertSame(['model.do_bring_ammonia', 'model.do_test_12h'], $does());
        $this->log('am 0');
        self::assertSame('model.start_no_kh', $this->start()['says']['code']);
        self::assertContains('model.do_bring_ammonia', $does());
        $this->travel(1)->hours();
        $this->log('kh 8 am 2');
        self::assertSame('model.start_few_readings', $this->start()['says']['code']);
        self::assertStringContainsString('twice', $this->start()['says']['text']);
        self::assertContains('model.do_dose_again', $does());
    }

    public function test_a_start_fed_from_a_bottle_is_followed_to_its_day(): void
    {
        $this->filter();
        $water = ['tan_mg_l' => 3.0, 'no2_n_mg_l' => 0.0, 'no3_n_mg_l' => 2.0, 'alkalinity_mg_l' => 178.5];
        // The truth, as the model has it: a surface of this size, at 22 °C, with 2 mg/L more on day 10.
        $truth = app(Registry::class)->run('model.run', [
            'volume_l' => 4000,
            'grown_mg_l_d' => 6,
            'days' => 24,
            'now' => $water,
            'temp_c' => 22,
            'ph' => 7.8,
            'do_mg_l' => 8,
            'points_a_day' => 1,
            'events' => [['at_d' => 10.2, 'kind' => 'dose', 'mg_l' => 2]],
        ])->figures['series'];
        foreach ($truth as $point) {
            if ((int) $point['day'] % 3 === 0 && $point['day'] <= 21) {
                $this->travelTo('2026-05-04 08:00');
                $this->travel((int) $point['day'])->days();
                $this->log(
                    sprintf(
                        'am %.2f ni %.2f ph 7.8 t 22 do 8 %s',
                        $point['tan_mg_l'],
                        $point['no2_n_mg_l'],
                        (int) $point['day'] === 0 ? 'kh 10' : '',
                    ),
                );
            }
            if ((int) $point['day'] === 10) {
                $this->travelTo('2026-05-14 12:48');
                $this->putJson('/api/systems/long-vat/doses/' . $this->id('D'), [
                    'thing' => 'ammonium',
                    'product' => 'ammonium_chloride',
                    'target_mg_l' => '2',
                    'tan_mg_l' => '0',
                ])->assertOk();
            }
        }
        // 2 mg/L of nitrogen in 4,000 L: 8 g, as ammonium chloride 30.6 g.
        self::assertEqualsWithDelta(30.6, Dose::query()->firstOrFail()->amount, 0.7);
        self::assertEqualsWithDelta(2, (float) Dose::query()->firstOrFail()->mg_l, 0.05);
        $this->travelTo('2026-05-25 09:00');
        $start = $this->start();
        self::assertTrue($start['starting']);
        self::assertSame('2026-05-04T08:00:00Z', $start['since']);
        self::assertCount(7, $start['readings']);
        self::assertGreaterThan('2026-05-25', $start['ready_on']);
        self::assertLessThan('2026-07-25', $start['ready_on']);
        self::assertLessThanOrEqual($start['ready_on'], $start['early_on']);
        self::assertSame(
            ['dose_to_mg_l' => 2, 'hold_alkalinity_mg_l' => 10],
            array_column($start['fields'], 'value', 'key'),
        );
        self::assertStringContainsString('seed', $start['ways'][0]['what']);
        self::assertSame(
            [],
            array_values(
                array_filter(
                    $start['cautions'],
                    static fn(array $caution): bool => str_contains($caution['text'], 'another story'),
                ),
            ),
            'the dose of day ten is in the reckoning',
        );
        // Less ammonia each time is cleared sooner.
        self::assertLessThanOrEqual($start['ready_on'], $this->start('?dose_to_mg_l=1')['ready_on']);
        $this->getJson('/api/systems/long-vat/maturing?dose_to_mg_l=9&hold_alkalinity_mg_l=much')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['dose_to_mg_l', 'hold_alkalinity_mg_l']]);

        Dose::query()->delete();
        self::assertContains(
            'model.maturation_these_readings_tell_another',
            array_column($this->start()['cautions'], 'code'),
            'without it the readings make no sense',
        );
    }

    public function test_with_fish_in_it_is_proved_for_a_week_and_a_wash_sets_it_back(): void
    {
        $this->filter();
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '6',
            'length_cm' => '35',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '50', 'protein_pct' => '38'])->assertOk();
        // As the model has it for 50 g a day: ammonia rises by 0.35 mg/L a day and is first taken in the second week.
        foreach (
            [0 => [0, 0], 4 => [1.5, 0.02], 8 => [2.9, 0.1], 12 => [4.1, 0.4], 16 => [3.4, 2.2], 19 => [0.8, 5.8]]
            as $day => [$tan, $no2]
        ) {
            $this->travelTo('2026-05-04 08:00');
            $this->travel($day)->days();
            $this->log(sprintf('am %.2f ni %.2f ph 7.8 t 23 do 8 %s', $tan, $no2, $day === 0 ? 'kh 10' : ''));
        }
        $start = $this->start();
        self::assertContains('hold_days', array_column($start['fields'], 'key'));
        self::assertContains('model.do_feed_lightly', array_column($start['does'], 'code'));
        self::assertNotNull($start['ready_on']);
        self::assertLessThan($start['ready_on'], $this->start('?hold_days=1')['ready_on']);
        $this->putJson('/api/systems/long-vat/filter/setbacks/01JD00000000000000000000S1', [
            'kind' => 'stood_closed',
            'hours' => '6',
            'happened_on' => '2026-05-22',
        ])->assertOk();
        self::assertNotSame($start['ready_on'], $this->start()['ready_on']);
    }

    public function test_ammonia_is_never_dosed_where_fish_are(): void
    {
        $this->filter();
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '3',
            'length_cm' => '40',
        ])->assertOk();
        self::assertSame(
            'dose.ammonium_with_fish',
            $this->getJson('/api/systems/long-vat/dose?thing=ammonium')->assertOk()->json('thing.refusals.0.code'),
        );
        $this->putJson('/api/systems/long-vat/doses/' . $this->id('D'), [
            'thing' => 'ammonium',
            'product' => 'ammonium_chloride',
            'target_mg_l' => '2',
            'reason' => 'all the same',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['thing']]);
        self::assertSame(0, Dose::query()->count());
    }

    public function test_a_grown_system_is_no_start(): void
    {
        $this->filter();
        $this->system->forceFill(['kind' => 'holding', 'life_stage' => 'adult'])->save();
        $this->travel(200)->days();
        $start = $this->start();
        self::assertFalse($start['starting']);
        self::assertSame('model.start_none_young', $start['says']['code']);
        // Of what nobody said it is not said that it is old.
        Stage::query()->update(['since' => null]);
        self::assertSame('model.start_age_unknown', $this->start()['says']['code']);
    }

    /** Floss is exchanged every few days, and a vortex has walls: neither makes a young filter of a grown one. */
    public function test_new_floss_in_a_grown_filter_starts_nothing(): void
    {
        $this->filter();
        $this->travel(200)->days();
        (new LayBuild())->lay($this->system, [
            'stages' => [
                [
                    'name' => 'Floss',
                    'kind' => 'floss',
                    'media_l' => 20,
                    'area_m2_m3' => 300,
                    'flow_l_h' => 4000,
                    'since' => now()->toDateString(),
                ],
            ],
        ]);
        $this->system->forceFill(['kind' => 'holding', 'life_stage' => 'adult'])->save();
        $start = $this->start();
        self::assertSame('model.start_none_young', $start['says']['code']);
        $state = array_column($this->getJson('/api/systems/long-vat/dose')->json('state'), 'text', 'label');
        self::assertStringContainsString('Carrier, the youngest stage', $state['Filter']);
    }
}
