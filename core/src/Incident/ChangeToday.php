<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\Programme;
use Ironwort\Core\Exchange\ProgrammeLimits;
use Ironwort\Core\Exchange\Shock;

/**
 * The change of water that an answer begins with today: the first step of the programme that leads to a goal.
 *
 * @see Programme
 *
 * @source cp-incident
 */
final readonly class ChangeToday
{
    /** New water so much colder or warmer that less than this may be changed is not changed with as it is. */
    private const WORTH_SHARE = 0.25;

    /**
     * @param  float  $share  of the water, 0 to 1
     * @param  int  $days  on which it is done in all; 0 where it is as long as it lasts
     * @param  bool  $burns  un-ionised ammonia would rise past its limit
     * @param  float  $apartC  by which new water is colder (below 0) or warmer, where that is what stands in the way
     */
    private function __construct(
        public float $share,
        public int $days,
        public bool $burns,
        public float $apartC,
        public float $after,
    ) {}

    /**
     * @param  float  $goal  canonical
     * @param  float  $mostPct  at once
     * @param  float  $madeMgL  a day, of what is to come down
     * @return ?self null where new water is no better, or nothing is to be done
     */
    public static function of(Situation $now, string $key, float $goal, float $mostPct, float $madeMgL = 0.0): ?self
    {
        $value = $now->reading($key) ?? 0.0;
        if ($value <= $goal || ($now->source[$key] ?? 0.0) >= $goal) {
            return null;
        }
        [$water, $source] = $now->mix($key);
        $limits = static fn(float $made): ProgrammeLimits => new ProgrammeLimits(
            aDay: array_intersect_key(Shock::A_DAY, $water->values),
            mostShare: $mostPct / 100,
            made: [$key => $made],
            tanActs: $key === 'tan_mg_l' ? 0.0 : null,
        );
        $programme = Programme::of($water, $source, [$key => $goal], $limits($madeMgL));
        $lasts = $programme->steps === [];
        $programme = $lasts ? Programme::of($water, $source, [$key => $goal], $limits(0.0)) : $programme;
        $first = $programme->steps[0] ?? null;
        if ($first === null) {
            return null;
        }
        $apart = ($source->values['temp_c'] ?? 0.0) - ($water->values['temp_c'] ?? 0.0);
        $cold =
            in_array('temp_c', $programme->binds, true) &&
            $first->share < min(self::WORTH_SHARE, $mostPct / 100) - 1e-9;

        return new self(
            share: $first->share,
            days: $lasts ? 0 : $programme->steps[count($programme->steps) - 1]->day + 1,
            burns: $first->burns($now->unionisedLimit),
            apartC: $cold ? $apart : 0.0,
            after: $first->after->values[$key],
        );
    }

    public function pct(): float
    {
        return 100 * $this->share;
    }

    /** Whether new water is too far from the old to be of use as it is. */
    public function tooFar(): bool
    {
        return abs($this->apartC) > 0;
    }
}
