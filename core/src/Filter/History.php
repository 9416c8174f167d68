<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * What lives in a filter today, as its own past fed it and nothing before it: share of its grown surface, 0 to 1.
 *
 * It begins with nothing on the surface that went in, or, where it ran for longer than is looked back, settled
 * under the load of then. Each load, temperature, loss, seed and sleep since is gone through in order of time; never
 * is there more than the surface that stood.
 *
 * @see Colony for how it grows and dies
 *
 * @source model-calibrated  growth ± 20 %
 * @source manser-2006  0.015 to 0.15 a day starved
 */
final readonly class History
{
    /** How far back a filter is followed, days. A year ago is forgotten. */
    public const LOOKED_BACK_D = 365.0;

    private function __construct(public float $share, public float $low, public float $high) {}

    /**
     * @param  float  $greatest  g N/d that the whole grown surface takes at `tempC`
     * @param  float  $hardest  most of that rate that the water allows, 0 to 1
     * @param  float  $tempC  today
     * @param  float  $days  since it is followed
     * @param  array{load: float, standing: Happening, tempC: float}  $then  as it was then: load in g N/d, of today's
     *     surface what had long stood
     * @param  list<Happening>  $since
     */
    public static function of(
        float $greatest,
        float $hardest,
        float $tempC,
        float $days,
        array $then,
        array $since,
    ): self {
        usort($since, static fn(Happening $a, Happening $b): int => $b->daysAgo <=> $a->daysAgo);
        $told = static fn(Telling $telling): float => self::told(
            $greatest,
            $hardest,
            $tempC,
            $days,
            $then,
            $since,
            $telling,
        );
        $likely = $told(Telling::Likely);

        return new self($likely, min($likely, $told(Telling::Least)), max($likely, $told(Telling::Most)));
    }

    /**
     * @param  array{load: float, standing: Happening, tempC: float}  $then
     * @param  list<Happening>  $since
     */
    private static function told(
        float $greatest,
        float $hardest,
        float $tempC,
        float $days,
        array $then,
        array $since,
        Telling $telling,
    ): float {
        [$load, $warmth, $standing] = [$then['load'], $then['tempC'], $then['standing']->in($telling)];
        // Of the surface that stands, how much lives: what has not gone in yet neither grows nor holds anything back.
        $colony = static fn(float $standing, float $warmth): Colony => new Colony(
            ($greatest * $standing * ArealRate::warmth($warmth)) / ArealRate::warmth($tempC),
            $hardest,
            $warmth,
            $telling->quickness(),
            $telling->starving(),
        );
        $lives = $standing > 0 ? $colony($standing, $warmth)->settles($load) : 0.0;
        $ago = $days;
        foreach ($since as $happening) {
            $at = min($ago, $happening->daysAgo);
            $lives = $standing > 0 ? $colony($standing, $warmth)->after($lives, $load, $ago - $at) : 0.0;
            $ago = $at;
            $value = $happening->in($telling);
            switch ($happening->kind) {
                case HappeningKind::Load:
                    $load = $value;
                    break;
                case HappeningKind::Warmth:
                    $warmth = $value;
                    break;
                case HappeningKind::Media:
                    $lives = $value > 0 ? min(1.0, ($lives * $standing) / $value) : 0.0;
                    $standing = $value;
                    break;
                case HappeningKind::Lost:
                    $lives *= 1 - $value;
                    break;
                case HappeningKind::Seeded:
                    $room = ($greatest * $standing) / ArealRate::warmth($tempC);
                    $lives = $room > 0 ? min(1.0, $lives + $value / $room) : 0.0;
                    break;
                case HappeningKind::Slept:
                    $slept = min($value, $ago);
                    $lives *= exp(-$telling->starving() * Idle::warmth($warmth) * $slept);
                    $ago -= $slept;
            }
        }

        return ($standing > 0 ? $colony($standing, $warmth)->after($lives, $load, $ago) : 0.0) * $standing;
    }
}
