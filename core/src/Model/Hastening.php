<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Measure\Format;

/**
 * What would bring the end of a start nearer, each tried in the model from today on.
 *
 * A seed is mature media of a twentieth of what this filter grows to; warmth goes to 27 °C at most. Common practice,
 * no source.
 */
final readonly class Hastening
{
    private const WARMER_C = 3.0;

    private const WARMEST_C = 27.0;

    private const SEED_SHARE = 0.05;

    /**
     * @param  \Closure(Run): ?float  $ready  the day a run is ready on
     * @param  float  $grown  mg N/L/d at 20 °C
     * @return list<array{what: string, ready_day: float, gained_d: float}> those that gain a day or more, the best
     *     first
     */
    public static function of(Run $run, float $today, float $grown, ?float $day, \Closure $ready): array
    {
        if ($day === null || $day <= $today) {
            return [];
        }
        $now = $run->temperature($today);
        $to = min(self::WARMEST_C, $now + self::WARMER_C);
        $seed = Event::seed($today, self::SEED_SHARE * $grown);
        $warm = Event::temperature($today, $to);
        $tries = ['A seed of mature media, a twentieth of this filter' => [$seed]];
        if ($to >= $now + 1) {
            $tries['Water at ' . Format::number($to, 3) . ' °C'] = [$warm];
            $tries['Both: the seed, and ' . Format::number($to, 3) . ' °C'] = [$seed, $warm];
        }
        $found = [];
        foreach ($tries as $what => $events) {
            $then = $ready($run->with(...$events));
            if ($then !== null && $day - $then >= 1) {
                $found[] = ['what' => $what, 'ready_day' => $then, 'gained_d' => $day - $then];
            }
        }
        usort($found, static fn(array $a, array $b): int => $b['gained_d'] <=> $a['gained_d']);

        return $found;
    }
}
