<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * How far the water that fish leave is from the one they go to, where that is more than they stand at once.
 *
 * @see Shock for the most at once
 */
final readonly class Move
{
    private function __construct(
        public string $key,
        public float $from,
        public float $to,
        public float $most,
        public int $days,
    ) {}

    /**
     * @param  array<string, float>  $from  canonical, by key
     * @param  array<string, float>  $to
     * @return list<self> the farthest apart first
     */
    public static function between(array $from, array $to): array
    {
        $apart = [];
        foreach (Shock::A_DAY as $key => $most) {
            if (isset($from[$key], $to[$key]) && abs($to[$key] - $from[$key]) > $most + 1e-9) {
                $days = (int) ceil(abs($to[$key] - $from[$key]) / $most - 1e-9);
                $apart[] = new self($key, $from[$key], $to[$key], $most, $days);
            }
        }
        usort($apart, static fn(self $a, self $b): int => $b->days <=> $a->days);

        return $apart;
    }
}
