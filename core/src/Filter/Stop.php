<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * What hours without flow cost a filter of several stages: each by whether it is packed, weighed by what it carries.
 *
 * @see Deed for the table
 * @source cp-stopped-filter
 */
final readonly class Stop
{
    /** A shorter stop is none that a filter is watched for, hours. Common practice, no source. */
    public const COUNTS_H = 1.0;

    /** A filter may stand until it has lost so much of what lives in it, %. Common practice, no source. */
    public const MAY_LOSE_PCT = 20.0;

    private const LONGEST_H = 72.0;

    private function __construct(public Deed $deed, public float $lost, public float $low, public float $high) {}

    /**
     * How long it may stand: a packed one about two hours, an open and wet one about six.
     *
     * @param  list<array{packed: bool, carries: float}>  $stages
     * @return ?float minutes; null where nothing carries
     */
    public static function mayStandMin(array $stages): ?float
    {
        $lost = static fn(float $hours): float => self::of(max(self::COUNTS_H, $hours), $stages)->lost ?? 0.0;
        if ($lost(self::LONGEST_H) < self::MAY_LOSE_PCT) {
            return null;
        }
        [$low, $high] = [self::COUNTS_H, self::LONGEST_H];
        while ($high - $low > 0.005) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $lost($middle) < self::MAY_LOSE_PCT ? [$middle, $high] : [$low, $middle];
        }

        return 60 * $low;
    }

    /**
     * @param  list<array{packed: bool, carries: float}>  $stages  what each takes when grown, in one unit
     * @return ?self null where nothing carries, or it stood for less than an hour
     */
    public static function of(float $hours, array $stages): ?self
    {
        $all = array_sum(array_column($stages, 'carries'));
        if ($hours < self::COUNTS_H || $all <= 0) {
            return null;
        }
        $sum = ['lost' => 0.0, 'low' => 0.0, 'high' => 0.0];
        $packed = 0.0;
        foreach ($stages as $stage) {
            $costs = Deed::stop($stage['packed'])->costs($hours, $stage['carries'] / $all);
            foreach ($costs as $end => $pct) {
                $sum[$end] += $pct;
            }
            $packed += $stage['packed'] ? $stage['carries'] : 0.0;
        }

        return new self(Deed::stop($packed > $all / 2), $sum['lost'], $sum['low'], $sum['high']);
    }
}
