<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * What becomes of one dose in the water: C' = −(ln 2/half-life + Σ q/V) C between what happens, C (1 − x) at a change.
 *
 * Closed form from one event to the next; the hour at which an adsorber is full is an event as well, found from
 * ∫ q C dt = q C0/k (1 − e^(−k t)). Volume L, dose mg/L, hours since it was given.
 *
 *     Fading::of(1000.0, 10.0, null, [], [new Clearing('carbon', 0.0, 24.0, 100.0, 5.0)], 24.0)->left(24.0)  →  5.0
 */
final readonly class Fading
{
    /** Events this close together are one. */
    private const SAME_H = 1e-9;

    /**
     * @param  list<array{h: float, mg_l: float, rate: float}>  $pieces  from each hour on: the level, and what falls
     *     of it in an hour
     */
    private function __construct(private array $pieces, public float $adsorbedG) {}

    /**
     * @param  ?float  $halfLifeH  null where nothing takes it by itself
     * @param  list<array{at_h: float, change_pct: float}>  $changes
     * @param  list<Clearing>  $clearings
     */
    public static function of(
        float $volumeL,
        float $doseMgL,
        ?float $halfLifeH,
        array $changes,
        array $clearings,
        float $hours,
    ): self {
        $decay = $halfLifeH === null ? 0.0 : log(2) / $halfLifeH;
        $times = [$hours, ...array_column($changes, 'at_h')];
        foreach ($clearings as $clearing) {
            array_push($times, $clearing->fromH, $clearing->toH);
        }
        sort($times);
        $times = array_values(
            array_filter(
                $times,
                static fn(float $at, int $i): bool => $at > self::SAME_H &&
                    $at <= $hours &&
                    ($i === 0 || $at - $times[$i - 1] > self::SAME_H),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $held = array_fill(0, count($clearings), 0.0);
        $full = array_fill(0, count($clearings), false);
        $level = $doseMgL * self::kept($changes, 0.0);
        $now = 0.0;
        $pieces = [];
        foreach ($times as $until) {
            while ($now < $until) {
                $running = array_filter(
                    array_keys($clearings),
                    static fn(int $i): bool => !$full[$i] && $clearings[$i]->runs($now),
                );
                $rate =
                    $decay +
                    array_sum(array_map(static fn(int $i): float => $clearings[$i]->litresPerH / $volumeL, $running));
                $pieces[] = ['h' => $now, 'mg_l' => $level, 'rate' => $rate];
                $step = $until - $now;
                $fills = null;
                foreach ($running as $i) {
                    $in = self::fillsIn($clearings[$i], $held[$i], $level, $rate);
                    if ($in !== null && $in < $step) {
                        [$step, $fills] = [$in, $i];
                    }
                }
                $passed = $rate > 0 ? ($level / $rate) * (1 - exp(-$rate * $step)) : $level * $step;
                foreach ($running as $i) {
                    $held[$i] += ($clearings[$i]->litresPerH * $passed) / 1000;
                }
                $level *= exp(-$rate * $step);
                if ($fills === null) {
                    $now = $until;
                } else {
                    $full[$fills] = true;
                    $now += $step;
                }
            }
            $level *= self::kept($changes, $until);
        }
        $pieces[] = ['h' => $now, 'mg_l' => $level, 'rate' => 0.0];
        $adsorbed = array_sum(
            array_map(
                static fn(Clearing $clearing, float $grams): float => $clearing->by === 'trickle' ? 0.0 : $grams,
                $clearings,
                $held,
            ),
        );

        return new self($pieces, $adsorbed);
    }

    /** mg/L at an hour of those that were asked for. */
    public function left(float $hour): float
    {
        $piece = $this->pieces[0] ?? ['h' => 0.0, 'mg_l' => 0.0, 'rate' => 0.0];
        foreach ($this->pieces as $next) {
            if ($next['h'] > $hour) {
                break;
            }
            $piece = $next;
        }

        return max(0.0, $piece['mg_l'] * exp(-$piece['rate'] * ($hour - $piece['h'])));
    }

    /**
     * Days until less than counts is left of a dose, by decay and a trickle that runs on.
     *
     * @return ?float null where neither takes it
     */
    public static function goneInD(
        float $doseMgL,
        float $leftMgL,
        ?float $halfLifeH,
        float $trickleLH,
        float $volumeL,
    ): ?float {
        $rate = ($halfLifeH === null ? 0.0 : log(2) / $halfLifeH) + $trickleLH / $volumeL;

        return $rate <= 0 || $doseMgL <= 0 ? null : max(0.0, log($leftMgL / (Validity::GONE * $doseMgL)) / $rate / 24);
    }

    /** @param  list<array{at_h: float, change_pct: float}>  $changes */
    private static function kept(array $changes, float $at): float
    {
        return array_product(
            array_map(
                static fn(array $change): float => abs($change['at_h'] - $at) <= self::SAME_H
                    ? 1 - $change['change_pct'] / 100
                    : 1.0,
                $changes,
            ),
        );
    }

    /** Hours until it holds all it can; null where it never does. */
    private static function fillsIn(Clearing $clearing, float $heldG, float $level, float $rate): ?float
    {
        if ($clearing->holdsG === null || $clearing->litresPerH * $level <= 0) {
            return null;
        }
        // Past q C an hour it takes 1000 mg to the gram; k is never nothing where litres pass.
        $share = (1000 * ($clearing->holdsG - $heldG) * $rate) / ($clearing->litresPerH * $level);

        return $share >= 1 ? null : -log(1 - max(0.0, $share)) / $rate;
    }
}
