<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * What a programme of changes keeps to: how far water may move in a day and at once, how much is changed at once and
 * how often, what is made meanwhile, and from where ammonia decides.
 */
final readonly class ProgrammeLimits
{
    /**
     * @param  array<string, float>  $aDay  most it may move, by key
     * @param  array<string, float>  $atOnce
     * @param  array<string, float>  $made  mg/L a day by key
     * @param  ?float  $tanActs  total ammonia that is to be acted on, mg/L as N; null where only the un-ionised is
     */
    public function __construct(
        private array $aDay,
        private array $atOnce = [],
        private float $mostShare = 0.5,
        public int $stepsADay = 1,
        public array $made = [],
        private ?float $tanActs = null,
        private float $unionisedActs = 0.05,
    ) {}

    public function ammoniaActs(float $tan, ?float $unionised): bool
    {
        return ($this->tanActs !== null && $tan >= $this->tanActs) ||
            ($unionised !== null && $unionised >= $this->unionisedActs);
    }

    /** @param  list<string>  $keys */
    public function givingWay(array $keys): self
    {
        $left = array_flip($keys);

        return new self(
            aDay: array_diff_key($this->aDay, $left),
            atOnce: array_diff_key($this->atOnce, $left),
            mostShare: $this->mostShare,
            stepsADay: $this->stepsADay,
            made: $this->made,
            tanActs: $this->tanActs,
            unionisedActs: $this->unionisedActs,
        );
    }

    /** @return list<string> what may not move at all */
    public function never(): array
    {
        return array_keys(array_filter($this->aDay + $this->atOnce, static fn(float $most): bool => $most <= 0));
    }

    /**
     * The largest share of new water that moves nothing further than its limit, and what holds it; null where it is
     * only how much is changed at once.
     *
     * @param  WaterMix  $morning  as it stood when the day began
     * @return array{float, ?string}
     */
    public function allowed(WaterMix $water, WaterMix $morning, WaterMix $source): array
    {
        $share = $this->mostShare;
        $held = null;
        foreach ([[$this->aDay, $morning], [$this->atOnce, $water]] as [$limits, $since]) {
            foreach ($limits as $key => $most) {
                $may = self::share($key, $most, $water, $since, $source);
                if ($may < $share - 1e-12) {
                    [$share, $held] = [$may, $key];
                }
            }
        }

        return [$share, $held];
    }

    private static function share(string $key, float $most, WaterMix $water, WaterMix $since, WaterMix $source): float
    {
        if ($key === 'ph') {
            return self::byPh($most, $water, $since, $source);
        }
        $apart = $source->values[$key] - $water->values[$key];
        // What earlier steps of the day moved in this direction is used up.
        $left = $most - ($apart <=> 0) * ($water->values[$key] - $since->values[$key]);

        return abs($apart) > 0 ? max(0.0, $left) / abs($apart) : 1.0;
    }

    /** pH does not mix by volume: found by halving. */
    private static function byPh(float $most, WaterMix $water, WaterMix $since, WaterMix $source): float
    {
        $fits = static fn(float $part): bool => abs(
            $water->with($source, $part)->values['ph'] - $since->values['ph'],
        ) <= $most;
        if ($fits(1.0)) {
            return 1.0;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $fits($middle) ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }
}
