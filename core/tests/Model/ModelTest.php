<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Model;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class ModelTest extends TestCase
{
    use Calculations;

    private const TUB = [
        'volume_l' => 4500,
        'days' => 60,
        'grown_mg_l_d' => 25,
        'feed_g_d' => 60,
        'temp_c' => 23,
        'do_mg_l' => 7,
        'ph' => 8.0,
        'points_a_day' => 4,
        'now' => ['alkalinity_mg_l' => 150],
    ];

    /**
     * Against scipy's stiff solver, core/tests/reference/model_scipy.py, to 0.1 %, on the way up, at the turns and
     * after.
     */
    #[Group('slow')]
    public function test_the_days_follow_their_differential_equations(): void
    {
        $cases = [];
        foreach ([9, 17, 26, 34, 55] as $days) {
            $cases[] = [...self::TUB, 'days' => $days];
            $cases[] = [
                ...self::TUB,
                'days' => $days,
                'temp_c' => 25,
                'ph' => 8.2,
                'grown_mg_l_d' => 6,
                'flow_l_h' => 30,
                'source' => ['no3_n_mg_l' => 4, 'alkalinity_mg_l' => 120],
            ];
        }
        $loads = array_map(
            fn(array $case): float => (float) $this->calculate('fish.load', [
                'biomass_kg' => 0,
                'feed_g_d' => 60,
                'protein_pct' => 38,
                'temp_c' => $case['temp_c'],
            ])->figures['tan_g_d'] / 4.5,
            $cases,
        );
        $lines = array_map(
            static fn(array $case, float $load): string => implode(' ', [
                $load,
                $case['temp_c'],
                7,
                $case['ph'],
                $case['grown_mg_l_d'],
                150,
                (24 * ($case['flow_l_h'] ?? 0)) / 4500,
                $case['source']['no3_n_mg_l'] ?? 0,
                $case['source']['alkalinity_mg_l'] ?? 0,
                $case['days'],
            ]),
            $cases,
            $loads,
        );
        $expected = array_chunk(Reference::python('model_scipy.py', $lines), 6);
        foreach ($cases as $i => $case) {
            $end = $this->calculate('model.run', $case)->figures['end'];
            foreach (
                [
                    'tan_mg_l',
                    'no2_n_mg_l',
                    'no3_n_mg_l',
                    'alkalinity_mg_l',
                    'active_ammonia_mg_l_d',
                    'active_nitrite_mg_l_d',
                ]
                as $j => $key
            ) {
                self::assertEqualsWithDelta(
                    $expected[$i][$j],
                    $end[$key],
                    1e-3 * abs($expected[$i][$j]) + 1e-6,
                    "{$key}, case {$i}",
                );
            }
        }
    }

    /** Common practice, no source: five to seven weeks from nothing in warm water; ammonia first, nitrite after. */
    public function test_a_filter_starts_in_the_weeks_that_keepers_know(): void
    {
        $usual = $this->calculate('model.run', self::TUB);
        // Calibration of the model's own constants, no source: about 6.7 on day 18, 14.5 on day 35.
        self::assertEqualsWithDelta(6.69, $usual->number('peak_tan_mg_l'), 0.05);
        self::assertEqualsWithDelta(17.7, $usual->number('peak_tan_day'), 0.5);
        self::assertEqualsWithDelta(14.45, $usual->number('peak_no2_n_mg_l'), 0.1);
        self::assertEqualsWithDelta(35, $usual->number('peak_no2_day'), 0.5);
        self::assertEqualsWithDelta(45, $usual->number('complete_day'), 0.5);
        // Where KH lasts: about 42 days at 23 °C, 65 at 18, 36 at 25.
        foreach ([18 => 66, 23 => 43, 25 => 37] as $temp => $day) {
            $kept = [...self::TUB, 'temp_c' => $temp, 'days' => 90, 'now' => ['alkalinity_mg_l' => 1000]];
            self::assertEqualsWithDelta($day, $this->figure('model.run', $kept, 'complete_day'), 1.5, "{$temp} °C");
        }
        foreach ([22, 23, 24, 25] as $temp) {
            $run = $this->calculate('model.run', [...self::TUB, 'temp_c' => $temp]);
            self::assertGreaterThan(5 * 7, $run->number('complete_day'), "{$temp} °C");
            self::assertLessThan(7 * 7, $run->number('complete_day'), "{$temp} °C");
            self::assertLessThan($run->number('peak_no2_day'), $run->number('peak_tan_day'));
        }
        self::assertNull($this->calculate('model.run', [...self::TUB, 'days' => 30])->figures['complete_day']);
        // 0.47 mg N/L a day takes net 1.7 mg/L of alkalinity: 150 are gone in about three months.
        $dry = $this->calculate('model.run', [...self::TUB, 'days' => 120]);
        self::assertEqualsWithDelta((150 - 15) / 1.66, $dry->number('alkalinity_out_day'), 2);
        self::assertContains(
            'model.run_alkalinity_runs_out',
            array_map(static fn($c) => $c->message->code, $dry->cautions),
        );
    }

    public function test_no_nitrogen_is_lost_through_changes_doses_and_new_feed(): void
    {
        $events = [
            ['at_d' => 5.3, 'kind' => 'change', 'pct' => 30],
            ['at_d' => 2, 'kind' => 'dose', 'mg_l' => 2],
            ['at_d' => 8, 'kind' => 'seed', 'value' => 1.5],
            ['at_d' => 20, 'kind' => 'feed', 'value' => 120],
            ['at_d' => 30, 'kind' => 'wash', 'pct' => 50],
            ['at_d' => 31, 'kind' => 'flow', 'value' => 40],
            ['at_d' => 40, 'kind' => 'temperature', 'value' => 17],
        ];
        $run = $this->calculate('model.run', [
            ...self::TUB,
            'events' => $events,
            'source' => ['no3_n_mg_l' => 6, 'tan_mg_l' => 0.1, 'alkalinity_mg_l' => 90],
        ]);
        self::assertEqualsWithDelta(0.0, $run->number('nitrogen_balance'), 1e-6);
        self::assertSame(
            ['now.alkalinity_mg_l'],
            array_keys($this->errors('model.run', [...self::TUB, 'now' => ['tan_mg_l' => 1]])),
        );
        self::assertSame(
            ['source.alkalinity_mg_l'],
            array_keys($this->errors('model.run', [...self::TUB, 'flow_l_h' => 5])),
        );
        self::assertSame(
            ['events.0.pct'],
            array_keys($this->errors('model.run', [...self::TUB, 'events' => [['at_d' => 1, 'kind' => 'wash']]])),
        );
    }

    public function test_a_seed_helps_and_most_of_the_bacteria_can_go_unseen_where_the_filter_is_ample(): void
    {
        $bare = $this->calculate('model.run', self::TUB);
        $seeded = $this->calculate('model.run', [
            ...self::TUB,
            'events' => [['at_d' => 0, 'kind' => 'seed', 'value' => 1]],
        ]);
        self::assertLessThan($bare->number('complete_day') - 14, $seeded->number('complete_day'));

        $grown = [
            ...self::TUB,
            'days' => 10,
            'points_a_day' => 24,
            'active_ammonia_mg_l_d' => 20,
            'active_nitrite_mg_l_d' => 20,
        ];
        $peak = fn(float $killed): float => $this->figure(
            'model.run',
            [...$grown, 'events' => [['at_d' => 2, 'kind' => 'wash', 'pct' => $killed]]],
            'peak_tan_mg_l',
        );
        self::assertLessThan(0.25, $peak(60));
        self::assertGreaterThan(0.6, $peak(99));
    }

    public function test_without_alkalinity_the_ammonia_stays(): void
    {
        $run = $this->calculate('model.run', [...self::TUB, 'days' => 120, 'now' => ['alkalinity_mg_l' => 60]])
            ->figures;
        self::assertGreaterThanOrEqual(0.0, $run['end']['alkalinity_mg_l']);
        self::assertNull($run['complete_day']);
    }
}
