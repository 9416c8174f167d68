<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * A system in trouble: its water and how each reading is judged, what is kept in it, and what comes out of the tap.
 *
 * Canonical units; null where nobody knows.
 */
final readonly class Situation
{
    /** Fish shorter than this cannot go long without feed, cm. Common practice, no source. */
    public const SMALL_CM = 12.0;

    /**
     * @param  array<string, float>  $water  by parameter
     * @param  array<string, State>  $states  by parameter, the worse end of each reading
     * @param  array<string, float>  $source  of the water it is filled from, `chlorine_mg_l` with the rest
     * @param  float  $tanGD  ammonia made in a day, g N
     * @param  float  $tanLimit  total ammonia that may stand, mg/L as N, by pH and temperature
     * @param  ?array{label_ml: float, label_treats_l: float, label_binds_mg_l: float}  $binder  by its label
     * @param  ?array{label_ml: float, label_treats_l: float}  $conditioner
     * @param  ?string  $treatment  that is in the water, by name
     * @param  float  $changedPct  of the water, by what was already told to do
     * @param  bool  $feedTold  whether it was already said what to feed
     * @param  array{bind: bool, bindFirst: bool, feedShare: float, feedDays: float, salt: bool}  $follows  schools
     * @param  list<Danger>  $overdosed  what stands in the water that no plan would have let in
     */
    public function __construct(
        public float $volumeL,
        public array $water,
        public array $states,
        public array $source,
        public bool $chloramine,
        public float $tanGD,
        public float $feedGD,
        public bool $fish,
        public bool $fragile,
        public bool $zeoliteIn,
        public float $tanLimit,
        public float $no2Limit,
        public float $no3Limit,
        public float $doLimit,
        public ?array $binder,
        public ?array $conditioner,
        public array $follows,
        public ?string $treatment = null,
        public float $changedPct = 0.0,
        public bool $feedTold = false,
        public array $overdosed = [],
    ) {}

    /** As it is after a step that was told: part of the water changed, and what is fed said once. */
    public function after(float $pct, bool $feedTold): self
    {
        $water = $this->water;
        foreach (['tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'alkalinity_mg_l', 'hardness_mg_l', 'salinity_g_l'] as $key) {
            if (isset($water[$key])) {
                $water[$key] +=
                    ($pct / 100) *
                    (($this->source[$key] ??
                        ($key === 'alkalinity_mg_l' || $key === 'hardness_mg_l' ? $water[$key] : 0.0)) -
                        $water[$key]);
            }
        }

        return new self(
            volumeL: $this->volumeL,
            water: $water,
            states: $this->states,
            source: $this->source,
            chloramine: $this->chloramine,
            tanGD: $this->tanGD,
            feedGD: $this->feedGD,
            fish: $this->fish,
            fragile: $this->fragile,
            zeoliteIn: $this->zeoliteIn,
            tanLimit: $this->tanLimit,
            no2Limit: $this->no2Limit,
            no3Limit: $this->no3Limit,
            doLimit: $this->doLimit,
            binder: $this->binder,
            conditioner: $this->conditioner,
            follows: $this->follows,
            treatment: $this->treatment,
            changedPct: max($pct, $this->changedPct),
            feedTold: $this->feedTold || $feedTold,
            overdosed: $this->overdosed,
        );
    }

    public function reading(string $key): ?float
    {
        return $this->water[$key] ?? null;
    }

    public function state(string $key): State
    {
        return $this->states[$key] ?? State::Good;
    }

    /** Whether a reading is at least so bad. */
    public function atLeast(string $key, State $state): bool
    {
        return $this->state($key) === $state || $this->state($key)->worseThan($state);
    }

    /** How ammonia stands: total and un-ionised are both judged, and the worse decides. */
    public function ammonia(): State
    {
        $total = $this->state('tan_mg_l');
        $free = $this->state('nh3_n_mg_l');

        return $free->worseThan($total) ? $free : $total;
    }

    public function unionised(): ?float
    {
        $tan = $this->reading('tan_mg_l');
        $ph = $this->reading('ph');
        $temp = $this->reading('temp_c');

        return $tan === null || $ph === null || $temp === null
            ? null
            : UnionisedAmmonia::of($tan, $ph, $temp, $this->reading('salinity_g_l') ?? 0.0)->nh3N;
    }

    /**
     * Share of the water that must go to bring a reading down to a level, percent; null where the new water is no
     * better.
     */
    public function share(string $key, float $to): ?float
    {
        $now = $this->reading($key) ?? 0.0;
        $new = $this->source[$key] ?? 0.0;

        return $new >= $to || $now <= $to ? null : (100 * ($now - $to)) / ($now - $new);
    }
}
