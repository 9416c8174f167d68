<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Words\Message;

/**
 * A system in trouble: its water and how each reading is judged, what is kept in it, and what comes out of the tap.
 *
 * Canonical units; null where nobody knows.
 */
final readonly class Situation
{
    /** Fish shorter than this cannot go long without feed, cm. Common practice, no source. */
    public const SMALL_CM = 12.0;

    private const MOST_A_DAY_PCT = 50.0;

    private const MIXES = [
        'tan_mg_l',
        'no2_n_mg_l',
        'no3_n_mg_l',
        'alkalinity_mg_l',
        'hardness_mg_l',
        'salinity_g_l',
        'temp_c',
    ];

    /**
     * @param  array<string, float>  $water  by parameter
     * @param  array<string, State>  $states  by parameter, the worse end of each reading
     * @param  array<string, float>  $source  of the water it is filled from, `chlorine_mg_l` with the rest
     * @param  float  $tanGD  ammonia made in a day, g N
     * @param  float  $tanLimit  total ammonia that may stand, mg/L as N, by pH and temperature
     * @param  ?array{label_ml: float, label_treats_l: float, label_binds_mg_l: float}  $binder  by its label
     * @param  ?array{label_ml: float, label_treats_l: float, label_chlorine_mg_l?: float}  $conditioner
     * @param  ?string  $treatment  that is in the water, by name
     * @param  float  $changedPct  of the water, by what was already told to do
     * @param  bool  $feedTold  whether it was already said what to feed
     * @param  array{bind: bool, bindFirst: bool, feedShare: float, feedDays: float, salt: bool,
     *     mostPct?: float}  $follows  schools; `mostPct` of the water in a day where it is not severe
     * @param  array<string, string>  $ways  schools that change words alone: school by topic, as usual where none
     * @param  ?float  $filterTakesGD  of that ammonia, what the filter takes; null where nobody knows
     * @param  float  $unionisedLimit  un-ionised ammonia that may stand, mg/L as N
     * @param  bool  $changeFollows  whether a change for something else is told further on
     * @param  bool  $noChlorine  new water surely brings none, though nobody tested it: from a well, of rain
     * @param  bool  $saltToCome  whether salt against nitrite is part of the plan: no zeolite then
     * @param  State  $overload  how the filter stands to its load, whatever is read
     * @param  float  $protein  of the feed, 0 to 1
     * @param  array<string, string>  $sides  by parameter, above or below the line that was passed
     * @param  bool  $chlorineRuns  new water runs in all the while and may hold it
     * @param  ?float  $filterMayStandMin  minutes without flow, of `Stop`; null where nobody described it
     * @param  array<string, Message>  $refuses  why a thing may not go in now, by what is in the water
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
        public ?float $filterTakesGD = null,
        public float $unionisedLimit = 0.02,
        public bool $saltToCome = false,
        public bool $noChlorine = false,
        public bool $changeFollows = false,
        public State $overload = State::Good,
        public float $biomassKg = 0.0,
        public float $protein = DailyLoad::USUAL_PROTEIN,
        public bool $chlorineRuns = false,
        public array $sides = [],
        public ?float $filterMayStandMin = null,
        public array $refuses = [],
        public array $ways = [],
    ) {}

    /**
     * As it is after a step that was told: part of the water changed, all of it mixed, pH by its carbon. What new water
     * was not tested for it is taken to have as the old has KH, GH and warmth, and none of the rest.
     */
    public function after(float $pct): self
    {
        if ($pct <= 0) {
            return $this;
        }
        $share = $pct / 100;
        $mixed = $this->water;
        foreach (self::MIXES as $key) {
            if (isset($mixed[$key])) {
                $mixed[$key] += $share * (($this->source[$key] ?? $this->usual($key)) - $mixed[$key]);
            }
        }
        [$water, $source] = $this->mix('ph');
        if (isset($water->values['ph'])) {
            $mixed['ph'] = $water->with($source, $share)->values['ph'];
        }

        return $this->with(water: $mixed, changedPct: max($pct, $this->changedPct));
    }

    /** The same once something is bound: what burns is harmless for a day or two. */
    public function bound(float $mgL): self
    {
        return isset($this->water['tan_mg_l'])
            ? $this->with(water: [...$this->water, 'tan_mg_l' => max(0.0, $this->water['tan_mg_l'] - $mgL)])
            : $this;
    }

    public function salting(): self
    {
        return $this->with(saltToCome: true);
    }

    /** A change for something else is told further on. */
    public function changingLater(): self
    {
        return $this->with(changeFollows: true);
    }

    /** One thing more may not go in. */
    public function refusing(string $thing, Message $why): self
    {
        return $this->with(refuses: [$thing => $why, ...$this->refuses]);
    }

    public function fed(): self
    {
        return $this->with(feedTold: true);
    }

    /**
     * @param  ?array<string, float>  $water
     * @param  ?array<string, Message>  $refuses
     */
    private function with(
        ?array $water = null,
        ?float $changedPct = null,
        bool $feedTold = false,
        bool $saltToCome = false,
        bool $changeFollows = false,
        ?array $refuses = null,
    ): self {
        return new self(
            volumeL: $this->volumeL,
            water: $water ?? $this->water,
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
            changedPct: $changedPct ?? $this->changedPct,
            feedTold: $feedTold || $this->feedTold,
            overdosed: $this->overdosed,
            filterTakesGD: $this->filterTakesGD,
            unionisedLimit: $this->unionisedLimit,
            saltToCome: $saltToCome || $this->saltToCome,
            noChlorine: $this->noChlorine,
            changeFollows: $changeFollows || $this->changeFollows,
            overload: $this->overload,
            biomassKg: $this->biomassKg,
            protein: $this->protein,
            chlorineRuns: $this->chlorineRuns,
            sides: $this->sides,
            filterMayStandMin: $this->filterMayStandMin,
            refuses: $refuses ?? $this->refuses,
            ways: $this->ways,
        );
    }

    /**
     * The water and the new water as they mix, by what is known of both, and of one thing in any case.
     *
     * @return array{WaterMix, WaterMix}
     */
    public function mix(string $key): array
    {
        $known = array_intersect_key($this->source, $this->water);
        if (!isset($known['alkalinity_mg_l'], $known['temp_c'])) {
            unset($known['ph']);
        }
        $now = array_intersect_key($this->water, $known);
        if ($key !== 'ph' && isset($this->water[$key])) {
            $now[$key] = $this->water[$key];
            $known[$key] = $this->source[$key] ?? 0.0;
        }

        return [WaterMix::known($now), WaterMix::known($known)];
    }

    /** What new water is taken to hold of what it was not tested for. */
    private function usual(string $key): float
    {
        return in_array($key, ['alkalinity_mg_l', 'hardness_mg_l', 'temp_c'], true) ? $this->water[$key] ?? 0.0 : 0.0;
    }

    /** The school followed in a topic that changes words alone. */
    public function way(string $topic): string
    {
        return $this->ways[$topic] ?? 'usual';
    }

    /** The most that is changed in a day where nothing is severe, percent of the water. */
    public function mostADayPct(): float
    {
        return $this->follows['mostPct'] ?? self::MOST_A_DAY_PCT;
    }

    public function reading(string $key): ?float
    {
        return $this->water[$key] ?? null;
    }

    public function state(string $key): State
    {
        return $this->states[$key] ?? State::Good;
    }

    /** Whether it is above or below the line it passed; null where it passed none. */
    public function side(string $key): ?string
    {
        return $this->sides[$key] ?? null;
    }

    /** Whether a reading is past its line on one side, and to be acted on. */
    public function acts(string $key, string $side): bool
    {
        return $this->atLeast($key, State::Act) && ($this->side($key) ?? $side) === $side;
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
}
