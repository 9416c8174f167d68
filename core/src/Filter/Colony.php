<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * How much of a surface its ammonia oxidisers fill, and how that follows the load.
 *
 * `share` runs 0 to 1. Bacteria grow at mu s (1 − share) and die at b; s is how hard they must work to
 * take the load, never more than what the water allows. Rates per day at 25 °C, θ 1.09, held above 32 °C. What has
 * next to nothing to do starves, and dies faster.
 *
 *     (new Colony(greatest: 10.0, hardest: 1.0, tempC: 25.0))->settles(1.0)  →  0.76
 *
 * @source model-calibrated  mu 0.477, b 0.015
 * @source manser-2006  what starves, b 0.077 at 25 °C: 0.05 at 20
 */
final readonly class Colony
{
    public const MU1 = 0.477;

    public const B1 = 0.015;

    public const MU2 = 0.4;

    public const B2 = 0.015;

    /** Growth is a range and no number: so much of it either way. */
    public const MU_SPREAD = 0.2;

    /** What is lost besides where there is nothing to do, and the effort below which that begins. */
    private const STARVING = 0.062;

    private const FED_FROM = 0.02;

    /** A past is followed in steps of half a day: a year of them is gone through for every page. */
    private const STEP_D = 0.5;

    /** Share of a seed that is as good as none, so that growth can begin. */
    private const SEED = 1e-4;

    /**
     * @param  float  $greatest  g N/d that the whole grown surface takes at this temperature, nothing short
     * @param  float  $hardest  most of that rate that the water allows, 0 to 1: at the ammonia allowed for what is to
     *     come; at any ammonia for what has been, since ammonia then rose until the load was taken
     * @param  float  $quickness  growth against what is usual
     * @param  ?float  $starving  what dies in a day at 20 °C with nothing to do; as usual where it is not given
     */
    public function __construct(
        private float $greatest,
        private float $hardest,
        private float $tempC,
        private float $quickness = 1.0,
        private ?float $starving = null,
    ) {}

    /** Growth and death against those at 25 °C. */
    public static function warmth(float $tempC): float
    {
        return ArealRate::THETA ** (min($tempC, ArealRate::HELD_ABOVE_C) - 25);
    }

    /** Death a day at 25 °C of bacteria that work so hard, 0 to 1. */
    public static function dying(float $effort): float
    {
        return self::B1 + self::STARVING * max(0.0, 1 - $effort / self::FED_FROM);
    }

    /** What it settles at under a load in g N/d that never ends. */
    public function settles(float $load): float
    {
        if ($load <= 0 || $this->greatest <= 0) {
            return 0.0;
        }
        // share = 1 − b/(mu s) and load = greatest · share · s together.
        $share = 1 / (1 + ((self::B1 / $this->mu()) * $this->greatest) / $load);

        return $load / ($this->greatest * $share) <= $this->hardest
            ? $share
            : ($this->hardest <= 0
                ? 0.0
                : max(0.0, 1 - self::B1 / ($this->mu() * $this->hardest)));
    }

    private function mu(): float
    {
        return self::MU1 * $this->quickness;
    }

    /** Death a day at 25 °C of those that work so hard. */
    private function dies(float $effort): float
    {
        if ($this->starving === null) {
            return self::dying($effort);
        }
        $starved = $this->starving * ArealRate::THETA ** 5;

        return self::B1 + max(0.0, $starved - self::B1) * max(0.0, 1 - $effort / self::FED_FROM);
    }

    /** The share after some days under one load. */
    public function after(float $share, float $load, float $days): float
    {
        $warmth = self::warmth($this->tempC);
        $steps = max(1, (int) ceil($days / self::STEP_D));
        $step = $days / $steps;
        for ($i = 0; $i < $steps && $days > 0; $i++) {
            $share = max(self::SEED, $share);
            $effort = $this->greatest > 0 ? min($this->hardest, $load / ($this->greatest * $share)) : 0.0;
            $share = min(
                1.0,
                $share * exp(($this->mu() * $effort * (1 - $share) - $this->dies($effort)) * $warmth * $step),
            );
        }

        return $share;
    }

    /** What it can take at once, g N/d, at the hardest it may work. */
    public function takes(float $share): float
    {
        return $this->greatest * $share * $this->hardest;
    }

    /**
     * The steps from one load to another, each no more than lives there by then.
     *
     * @return list<array{day: float, load_g_d: float}> from today on; ends early where it would take more than a year
     */
    public function steps(float $share, float $from, float $to): array
    {
        $load = $from;
        $steps = [];
        for ($day = 0.0; $day <= 365; $day += 1.0) {
            $can = $this->takes($share);
            // A step worth the trouble: a tenth of the way, or the last one.
            if ($load < $to && ($can >= $to || $can - $load >= 0.1 * ($to - $from))) {
                $load = min($to, $can);
                $steps[] = ['day' => $day, 'load_g_d' => $load];
            }
            if ($load >= $to - 1e-9) {
                break;
            }
            $share = $this->after($share, $load, 1.0);
        }

        return $steps;
    }
}
