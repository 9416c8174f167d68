<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Numeric\Root;

/**
 * How much more feed, or how many more fish at the same ration, until each limit is reached.
 *
 * Negative where a limit is passed already: so much must go. Found to a thousandth.
 */
final readonly class Headroom
{
    /** Beyond this many times what is there nothing is sought. */
    private const FARTHEST = 4096.0;

    public function __construct(private SystemLimits $limits, private Balance $balance) {}

    /**
     * @return list<array{limit: string, feed_g_d: ?float, kg: float, fish: float}> no feed where feed never reaches it
     */
    public function rows(): array
    {
        return array_map(function (string $limit): array {
            $kg = $this->until(
                $limit,
                fn(float $kg): array => [$kg, 0.0],
                max(1.0, $this->limits->kg()),
                $this->limits->kg(),
            );

            return [
                'limit' => $limit,
                'feed_g_d' =>
                    $limit === SystemLimits::DENSITY
                        ? null
                        : $this->until(
                            $limit,
                            fn(float $feed): array => [0.0, $feed],
                            max(10.0, $this->limits->feed()),
                            $this->limits->feed(),
                        ),
                'kg' => $kg,
                'fish' => $kg >= 0 ? floor($kg / $this->limits->oneFishKg()) : -ceil(-$kg / $this->limits->oneFishKg()),
            ];
        }, $this->limits->names());
    }

    /**
     * The limit that is reached first as feed grows, or as fish are added: the smallest over all of them.
     *
     * @param  list<array{limit: string, feed_g_d: ?float, kg: float, fish: float}>  $rows
     * @param  'feed_g_d'|'kg'  $by
     * @return ?array{limit: string, feed_g_d: ?float, kg: float, fish: float}
     */
    public static function first(array $rows, string $by = 'feed_g_d'): ?array
    {
        $first = null;
        foreach ($rows as $row) {
            $first = $row[$by] !== null && ($first === null || $row[$by] < $first[$by]) ? $row : $first;
        }

        return $first;
    }

    /**
     * Whether nitrate alone is past its limit: it is changed away, and no fish need go for it.
     *
     * @param  list<array{limit: string, feed_g_d: ?float, kg: float, fish: float}>  $rows
     */
    public static function changedAway(array $rows): bool
    {
        $past = array_column(array_filter($rows, static fn(array $row): bool => $row['kg'] < 0), 'limit');

        return $past === ['nitrate'];
    }

    /** @param  \Closure(float): array{float, float}  $added  kg and feed */
    private function until(string $limit, \Closure $added, float $scale, float $present): float
    {
        $margin = fn(float $more): float => $this->limits->margin(
            $limit,
            $this->limits->load(...$added($more)),
            max(0.0, $this->limits->kg() + $added($more)[0]),
            $this->balance,
        );
        if ($margin(0.0) < 0) {
            return $margin(-$present) >= 0 ? Root::between($margin, -$present, 0.0, 1e-3 * $scale) : -$present;
        }
        $far = Root::bracket($margin, $scale, self::FARTHEST * $scale);

        return $far === null ? 4 * self::FARTHEST * $scale : Root::between($margin, 0.0, $far, 1e-3 * $scale);
    }
}
