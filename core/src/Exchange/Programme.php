<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The fewest safe changes that bring the water to a goal, or why it cannot be reached.
 *
 * One change a day or several, each as large as the limits of a step and of a day allow; what the fish make meanwhile
 * is counted. Where ammonia is to be acted on and is what is aimed at, it decides: the limits of what only shocks give
 * way to it, all but temperature.
 *
 * @source cp-shock  @source mass-balance
 */
final readonly class Programme
{
    private const MOST_STEPS = 730;

    /** Limits that give way where ammonia decides: cold kills faster than it. */
    private const GIVE_WAY = ['no3_n_mg_l', 'alkalinity_mg_l', 'hardness_mg_l', 'salinity_g_l', 'ph'];

    /**
     * @param  ?Message  $reason  why it cannot be reached; null where it can
     * @param  ?array{key: string, from: float, to: float, source: float}  $bound  the figures of that
     * @param  list<ProgrammeStep>  $steps
     * @param  list<string>  $binds  keys whose limit made a step smaller
     */
    private function __construct(
        public ?Message $reason,
        public ?array $bound,
        public array $steps,
        public array $binds,
        public bool $ammoniaDecides,
        public WaterMix $after,
    ) {}

    /** @param  array<string, float>  $target */
    public static function of(WaterMix $now, WaterMix $source, array $target, ProgrammeLimits $limits): self
    {
        $decides =
            isset($target['tan_mg_l']) && $limits->ammoniaActs($now->values['tan_mg_l'] ?? 0.0, $now->unionised());
        $limits = $decides ? $limits->givingWay(self::GIVE_WAY) : $limits;
        $bound = self::bound($now, $source, $target, $limits);
        if ($bound !== null) {
            [$reason, $figures] = $bound;

            return new self($reason, $figures, [], [], $decides, $now);
        }

        return self::followed($now, $source, $target, $limits, $decides);
    }

    /** In all, as shares of the volume one after another. */
    public function total(): float
    {
        return array_sum(array_map(static fn(ProgrammeStep $step): float => $step->share, $this->steps));
    }

    /** @param  array<string, float>  $target */
    private static function followed(
        WaterMix $now,
        WaterMix $source,
        array $target,
        ProgrammeLimits $limits,
        bool $decides,
    ): self {
        $steps = $binds = [];
        $water = $morning = $yesterday = $now;
        for ($count = 0; !self::reached($now, $water, $target) && $count < self::MOST_STEPS; $count++) {
            $water = $count === 0 ? $water : $water->plus($limits->made, 1 / $limits->stepsADay);
            $of = $count % $limits->stepsADay;
            if ($of === 0) {
                if ($count > 0 && !self::nearer($yesterday, $water, $target, $now)) {
                    return self::made($water, $source, $target, $steps, $now, $decides, $limits);
                }
                $morning = $yesterday = $water;
            }
            [$may, $held] = $limits->allowed($water, $morning, $source);
            $needed = self::needed($water, $source, $target, $now);
            $share = min($may, $needed);
            if ($needed > $may + 1e-9 && $held !== null) {
                $binds[$held] = true;
            }
            $before = $water;
            $water = $water->with($source, $share);
            // A day whose limit was used up early has steps of nothing: they are no changes.
            if ($share > 1e-9) {
                $steps[] = new ProgrammeStep(intdiv($count, $limits->stepsADay), $of + 1, $share, $before, $water);
            }
        }
        $reason = self::reached($now, $water, $target) ? null : Message::of('exchange.plan_takes_years');

        return new self($reason, null, $steps, array_keys($binds), $decides, $water);
    }

    /**
     * What is made in a day is as much as may be changed: the goal is never reached.
     *
     * @param  array<string, float>  $target
     * @param  list<ProgrammeStep>  $steps
     */
    private static function made(
        WaterMix $water,
        WaterMix $source,
        array $target,
        array $steps,
        WaterMix $start,
        bool $decides,
        ProgrammeLimits $limits,
    ): self {
        $share = $steps === [] ? 0.0 : $steps[count($steps) - 1]->share;
        $settled = $steps[count($steps) - 1]->after ?? $water;
        foreach ($target as $key => $goal) {
            if (($start->values[$key] <=> $goal) * ($settled->values[$key] - $goal) > 1e-9) {
                // Where as much is changed out as is made: after a change it stands at (1 − x)/x of a step's making.
                $rests =
                    $share > 0
                        ? $source->values[$key] +
                            (((1 - $share) / $share) * ($limits->made[$key] ?? 0.0)) / $limits->stepsADay
                        : $settled->values[$key];

                return new self(
                    Message::of('exchange.plan_more_is_made', [
                        'settles' => WaterMix::say($key, $rests),
                        'to' => Format::number($goal, 3),
                    ]),
                    [
                        'key' => $key,
                        'from' => $start->values[$key],
                        'to' => $goal,
                        'source' => $source->values[$key],
                    ],
                    [],
                    [],
                    $decides,
                    $settled,
                );
            }
        }

        return new self(Message::of('exchange.plan_takes_years'), null, [], [], $decides, $settled);
    }

    /**
     * What stands in the way from the start, with its figures, so that it can be said in any unit.
     *
     * @param  array<string, float>  $target
     * @return ?array{Message, array{key: string, from: float, to: float, source: float}}
     */
    private static function bound(WaterMix $now, WaterMix $source, array $target, ProgrammeLimits $limits): ?array
    {
        foreach ($target as $key => $goal) {
            $from = $now->values[$key];
            $new = $source->values[$key];
            if (abs($from - $goal) > 1e-12 && ($goal - $new) * ($from - $goal) <= 0) {
                return [
                    Message::of(
                        $goal < $from ? 'exchange.plan_new_water_too_high' : 'exchange.plan_new_water_too_low',
                        [
                            'source' => WaterMix::say($key, $new),
                            'from' => Format::number($from, 3),
                            'to' => Format::number($goal, 3),
                        ],
                    ),
                    ['key' => $key, 'from' => $from, 'to' => $goal, 'source' => $new],
                ];
            }
        }
        foreach ($limits->never() as $key) {
            if (abs($source->values[$key] - $now->values[$key]) > 1e-9) {
                return [
                    Message::of('exchange.plan_may_not_move', ['name' => WaterMix::label($key)]),
                    [
                        'key' => $key,
                        'from' => $now->values[$key],
                        'to' => $now->values[$key],
                        'source' => $source->values[$key],
                    ],
                ];
            }
        }

        return null;
    }

    /** @param  array<string, float>  $target */
    private static function reached(WaterMix $start, WaterMix $water, array $target): bool
    {
        foreach ($target as $key => $goal) {
            $side = $start->values[$key] <=> $goal;
            if ($side * ($water->values[$key] - $goal) > 1e-9 * max(1.0, abs($goal))) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether a day brought the water nearer to what is not reached yet.
     *
     * @param  array<string, float>  $target
     */
    private static function nearer(WaterMix $before, WaterMix $water, array $target, WaterMix $start): bool
    {
        foreach ($target as $key => $goal) {
            $side = $start->values[$key] <=> $goal;
            $missing = $side * ($water->values[$key] - $goal);
            if ($missing > 0 && $side * ($before->values[$key] - $water->values[$key]) > 1e-4 * $missing) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, float>  $target */
    private static function needed(WaterMix $water, WaterMix $source, array $target, WaterMix $start): float
    {
        $share = 0.0;
        foreach ($target as $key => $goal) {
            if (($start->values[$key] <=> $goal) * ($water->values[$key] - $goal) > 0) {
                $share = max($share, ($water->values[$key] - $goal) / ($water->values[$key] - $source->values[$key]));
            }
        }

        return min(1.0, $share);
    }
}
