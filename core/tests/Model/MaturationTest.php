<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Model;

use Ironwort\Core\Model\Fit;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Where a start stands, found from readings of a start whose truth is known; and by scipy. */
final class MaturationTest extends TestCase
{
    use Calculations;

    private const TUB = [
        'volume_l' => 4500,
        'grown_mg_l_d' => 25,
        'feed_g_d' => 60,
        'temp_c' => 23,
        'do_mg_l' => 7,
        'ph' => 8.0,
    ];

    private const STEPS = [0, 0.25, 0.5, 1, 2, 4, 8, 20];

    /**
     * Readings of a start as it truly went, every few days up to one of them.
     *
     * @return list<array<string, float>>
     */
    private function readings(float $until, array $truth = [], bool $kit = false, float $every = 2.0): array
    {
        $rows = [];
        foreach (
            $this->calculate('model.run', [...self::TUB, 'days' => 60, 'now' => ['alkalinity_mg_l' => 400], ...$truth])
                ->figures['series']
            as $point
        ) {
            if ($point['day'] > 0 && $point['day'] <= $until && fmod($point['day'], $every) < 0.01) {
                $ends = static function (float $value) use ($kit): array {
                    if (!$kit) {
                        return [max(0, $value - 0.05), $value + 0.05];
                    }
                    // Read as the nearest colour, which stands for half way to its neighbours.
                    $i = array_keys(
                        self::STEPS,
                        min(
                            array_filter(
                                self::STEPS,
                                static fn(float $step): bool => abs($step - $value) <=
                                    min(array_map(static fn(float $s): float => abs($s - $value), self::STEPS)) + 1e-9,
                            ),
                        ),
                    )[0];

                    return [
                        $i === 0 ? 0 : (self::STEPS[$i - 1] + self::STEPS[$i]) / 2,
                        (self::STEPS[$i] + (self::STEPS[$i + 1] ?? 40)) / 2,
                    ];
                };
                [$tanLow, $tanHigh] = $ends($point['tan_mg_l']);
                [$no2Low, $no2High] = $ends($point['no2_n_mg_l']);
                $rows[] = [
                    'day' => $point['day'],
                    'tan_low_mg_l' => $tanLow,
                    'tan_high_mg_l' => $tanHigh,
                    'no2_low_mg_l' => $no2Low,
                    'no2_high_mg_l' => $no2High,
                ];
            }
        }

        return $rows;
    }

    private function maturation(array $more): array
    {
        return $this->calculate('filter.maturation', [
            ...self::TUB,
            'then' => ['alkalinity_mg_l' => 400],
            ...$more,
        ])->figures;
    }

    public function test_a_start_is_known_again_from_its_readings_and_its_end_foretold_better_each_week(): void
    {
        $width = INF;
        foreach ([12 => 'ammonia', 20 => 'ammonia', 30 => 'nitrite', 40 => 'nitrite'] as $until => $stage) {
            $found = $this->maturation(['readings' => $this->readings($until)]);
            self::assertEqualsWithDelta(0.006, $found['start_ammonia_mg_l_d'], 0.0003, "day {$until}");
            self::assertEqualsWithDelta(0.006, $found['start_nitrite_mg_l_d'], 0.0006, "day {$until}");
            // The model itself is under both limits from day 43.5 on: a week later it has proved it.
            self::assertEqualsWithDelta(50.5, $found['ready_day'], 1, "day {$until}");
            self::assertLessThanOrEqual($found['ready_day'], $found['ready_early_day']);
            self::assertGreaterThanOrEqual($found['ready_day'], $found['ready_late_day']);
            self::assertLessThan(
                $width,
                $width = $found['ready_late_day'] - $found['ready_early_day'],
                'the band narrows',
            );
            self::assertSame($stage, $found['stage'], "day {$until}");
        }
        self::assertLessThan(4, $width);
    }

    public function test_a_kit_of_colours_leaves_the_truth_inside_the_band(): void
    {
        foreach ([[], ['active_ammonia_mg_l_d' => 0.05, 'active_nitrite_mg_l_d' => 0.02]] as $truth) {
            $ready =
                $this->calculate('model.run', [
                    ...self::TUB,
                    'days' => 60,
                    'now' => ['alkalinity_mg_l' => 400],
                    ...$truth,
                ])->number('complete_day') + 7;
            $found = $this->maturation(['readings' => $this->readings(18, $truth, kit: true, every: 3)]);
            self::assertLessThanOrEqual($ready, $found['ready_early_day']);
            self::assertGreaterThanOrEqual($ready, $found['ready_late_day']);
            self::assertEqualsWithDelta($ready, $found['ready_day'], 7);
        }
    }

    /** By scipy's minimize_scalar over solve_ivp, core/tests/reference/maturation_scipy.py. */
    #[Group('slow')]
    public function test_the_bacteria_found_are_those_of_least_cost(): void
    {
        foreach (
            [
                $this->readings(16, ['active_ammonia_mg_l_d' => 0.02, 'active_nitrite_mg_l_d' => 0.3], kit: true),
                $this->readings(30, [], kit: true, every: 4),
            ]
            as $readings
        ) {
            $of = static fn(string $key): array => array_map(
                static fn(array $row): array => [
                    $row['day'],
                    ($row["{$key}_low_mg_l"] + $row["{$key}_high_mg_l"]) / 2,
                    max(
                        ($row["{$key}_high_mg_l"] - $row["{$key}_low_mg_l"]) / 2,
                        0.05,
                        0.05 * ($row["{$key}_low_mg_l"] + $row["{$key}_high_mg_l"]),
                    ),
                ],
                $readings,
            );
            $load =
                $this->figure(
                    'fish.load',
                    ['biomass_kg' => 0, 'feed_g_d' => 60, 'protein_pct' => 38, 'temp_c' => 23],
                    'tan_g_d',
                ) / 4.5;
            [$first, $second] = Reference::python('maturation_scipy.py', [
                (string) json_encode([
                    'load' => $load,
                    'temp' => 23,
                    'do' => 7,
                    'ph' => 8.0,
                    'xmax' => 25,
                    'alk' => 400,
                    'tan' => $of('tan'),
                    'no2' => $of('no2'),
                ]),
            ]);
            $found = $this->maturation(['readings' => $readings]);
            self::assertEqualsWithDelta(1, $found['start_ammonia_mg_l_d'] / $first, 0.005);
            self::assertEqualsWithDelta(1, $found['start_nitrite_mg_l_d'] / $second, 0.01);
        }
    }

    public function test_a_reading_that_says_at_least_holds_from_below_only(): void
    {
        $readings = $this->readings(20);
        // On day 14 and after the kit was at its end: 2 or more.
        $ended = array_map(
            static fn(array $row): array => $row['tan_low_mg_l'] < 2
                ? $row
                : [...$row, 'tan_low_mg_l' => 2, 'tan_high_mg_l' => 200],
            $readings,
        );
        self::assertNotEquals($readings, $ended);
        self::assertEqualsWithDelta(50.5, $this->maturation(['readings' => $ended])['ready_day'], 3);
    }

    public function test_a_seed_brings_the_day_nearer_and_low_alkalinity_is_told_before_it_stops_the_start(): void
    {
        $readings = $this->readings(14);
        $bare = $this->maturation(['readings' => $readings]);
        $seeded = $this->maturation([
            'readings' => $readings,
            'events' => [['at_d' => 15, 'kind' => 'seed', 'value' => 1]],
        ]);
        self::assertLessThan($bare['ready_day'] - 5, $seeded['ready_day']);
        [$both, $seed, $warm] = $bare['ways'];
        self::assertSame(
            ['Both: the seed, and 26 °C', 'A seed of mature media, a twentieth of this filter', 'Water at 26 °C'],
            [$both['what'], $seed['what'], $warm['what']],
        );
        // The same seed given as an event of day 14.
        $same = $this->maturation([
            'readings' => $readings,
            'events' => [['at_d' => 14, 'kind' => 'seed', 'value' => 1.25]],
        ]);
        self::assertEqualsWithDelta($same['ready_day'], $seed['ready_day'], 1);
        $soft = $this->calculate('filter.maturation', [
            ...self::TUB,
            'then' => ['alkalinity_mg_l' => 70],
            'readings' => $readings,
        ]);
        self::assertLessThan(50, $soft->number('kh_low_day'));
        self::assertStringContainsString(
            'Buffer before',
            implode(' ', array_column($soft->toArray()['cautions'], 'text')),
        );
    }

    public function test_a_start_fed_by_doses_is_ready_when_a_dose_is_gone_in_a_day(): void
    {
        $bottle = [
            'volume_l' => 4000,
            'grown_mg_l_d' => 30,
            'temp_c' => 23,
            'do_mg_l' => 8,
            'ph' => 8.0,
            'then' => ['tan_mg_l' => 4, 'alkalinity_mg_l' => 200],
        ];
        $run = $this->calculate('model.run', [
            ...array_diff_key($bottle, ['then' => 0]),
            'days' => 20,
            'now' => $bottle['then'],
        ]);
        $readings = array_map(
            static fn(array $point): array => [
                'day' => $point['day'],
                'tan_low_mg_l' => $point['tan_mg_l'],
                'tan_high_mg_l' => $point['tan_mg_l'],
                'no2_low_mg_l' => $point['no2_n_mg_l'],
                'no2_high_mg_l' => $point['no2_n_mg_l'],
            ],
            array_values(
                array_filter(
                    $run->figures['series'],
                    static fn(array $point): bool => fmod($point['day'], 2) < 0.01 && $point['day'] > 0,
                ),
            ),
        );
        $found = $this->calculate('filter.maturation', [
            ...$bottle,
            'readings' => $readings,
            'dose_to_mg_l' => 2,
            'hold_alkalinity_mg_l' => 150,
        ])->figures;
        self::assertGreaterThan(20, $found['ready_day']);
        self::assertLessThan(60, $found['ready_day']);
        $waits = array_values(
            array_filter(
                $found['series'],
                static fn(array $point): bool => $point['day'] > 20 && $point['no2_n_mg_l'] > 6,
            ),
        );
        self::assertNotSame([], $waits);
        foreach (array_slice($waits, 3) as $point) {
            self::assertLessThan(0.5, $point['tan_mg_l'], 'no ammonia goes in while nitrite stands high');
        }
        // By the model itself: on that day a dose of 2 mg/L given the day before is down to both limits.
        $before = array_values(
            array_filter(
                $found['series'],
                static fn(array $point): bool => abs($point['day'] - $found['ready_day']) < 0.01,
            ),
        )[0];
        self::assertLessThanOrEqual(0.25, max($before['tan_mg_l'], $before['no2_n_mg_l']));
        // Nitrogen oxidised from day 20 to that day costs 7.14 mg/L of KH each; what was not there is buffered.
        $today = array_values(
            array_filter($found['series'], static fn(array $point): bool => $point['day'] === 20.0),
        )[0];
        $made = $before['no3_n_mg_l'] + $before['no2_n_mg_l'] - $today['no3_n_mg_l'] - $today['no2_n_mg_l'];
        self::assertEqualsWithDelta(
            (7.14 * $made - $today['alkalinity_mg_l'] + $before['alkalinity_mg_l']) * 4 * 1.6787,
            $found['bicarbonate_g'],
            40,
        );
    }

    public function test_readings_that_cannot_be_are_refused_and_those_of_another_story_are_told(): void
    {
        $of = static fn(array $values): array => array_map(
            static fn(int $i, float $tan): array => [
                'day' => 3 * $i + 1,
                'tan_low_mg_l' => max(0, $tan - 0.1),
                'tan_high_mg_l' => $tan + 0.1,
            ],
            array_keys($values),
            $values,
        );
        $given = [...self::TUB, 'then' => ['alkalinity_mg_l' => 400]];
        self::assertSame(
            ['readings'],
            array_keys($this->errors('filter.maturation', [...$given, 'readings' => $of([1, 2])])),
        );
        self::assertSame(
            ['readings.1.tan_high_mg_l'],
            array_keys(
                $this->errors('filter.maturation', [
                    ...$given,
                    'readings' => [
                        ['day' => 1, 'tan_low_mg_l' => 1, 'tan_high_mg_l' => 2],
                        ['day' => 2, 'tan_low_mg_l' => 3, 'tan_high_mg_l' => 2],
                        ['day' => 3, 'tan_low_mg_l' => 3, 'tan_high_mg_l' => 4],
                    ],
                ]),
            ),
        );
        self::assertSame(
            ['then.alkalinity_mg_l'],
            array_keys($this->errors('filter.maturation', [...self::TUB, 'readings' => $of([1, 2, 3])])),
        );
        $odd = $this->calculate('filter.maturation', [...$given, 'readings' => $of([4, 0.2, 5, 0.1, 6])]);
        $said = implode(' ', array_column($odd->toArray()['cautions'], 'text'));
        self::assertStringContainsString('do not fit the model', $said);
        self::assertStringContainsString('Nitrite was never tested', $said);
    }

    /** Of a parabola in powers of ten with its least at 3 and a cost of 4 a power of ten away. */
    public function test_a_fit_finds_the_least_and_its_band(): void
    {
        $fit = Fit::of(static fn(float $x): float => 7 + (2 * log10($x / 3)) ** 2, 1e-4, 1e4);
        self::assertEqualsWithDelta([3, 7], [$fit->best, $fit->cost], 0.02);
        self::assertEqualsWithDelta([0.3, 30], [$fit->low, $fit->high], 1.0);
        $open = Fit::of(static fn(float $x): float => max(0, log10($x)), 1e-3, 10);
        self::assertEqualsWithDelta([1e-3, 10], [$open->low, $open->high], 1e-9, 'all of it would do');
    }
}
