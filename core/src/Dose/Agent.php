<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Data\Row;

/** One agent as its table describes it; ranges are least, most and usual, of the product as its basis says. */
final readonly class Agent
{
    /**
     * @param  ?array{float, float, float}  $prolonged
     * @param  ?array{float, float, float}  $bath
     * @param  ?array{float, float, float}  $dip
     * @param  list<string>  $purposes
     * @param  ?float  $halfLifeH  hours until half is gone by itself in a running system; null where nothing takes it
     * @param  list<array{float, float}>  $intervals  up to a temperature, days
     * @param  array<string, array{per_pass_pct: float, holds_mg_per_g: ?float}>  $adsorbed  by carbon or zeolite
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $basis,
        public string $unit,
        public ?float $strengthPct,
        public bool $needsStrength,
        public bool $oxidiser,
        public bool $sparesFilter,
        public float $oxygenPerMgL,
        public ?float $oxygenWithinH,
        public ?array $prolonged,
        public ?array $bath,
        public ?float $bathMin,
        public ?float $warmC,
        public ?float $bathWarmMax,
        public int $repeats,
        public array $intervals,
        public Hazards $hazards,
        public array $adsorbed,
        public string $stop,
        public string $disposal,
        public string $storage,
        public string $source,
        public array $purposes,
        public ?float $halfLifeH,
        public ?array $dip,
        public ?float $dipMin,
    ) {}

    public static function from(Row $row): self
    {
        $keys = $row->keys();
        $range = static function (string $key) use ($row, $keys): ?array {
            if (!in_array($key, $keys, true)) {
                return null;
            }
            [$least, $most, $usual] = $row->numbers($key);

            return [$least, $most, $usual];
        };
        $intervals = [];
        foreach ($row->pairs('interval_d') as [$upTo, $days]) {
            $intervals[] = [$upTo, $days];
        }

        $adsorbed = [];
        foreach ($row->rows('adsorbed') as $by) {
            $adsorbed[$by->text('by')] = [
                'per_pass_pct' => $by->number('per_pass_pct'),
                'holds_mg_per_g' => $by->numberOrNull('holds_mg_per_g'),
            ];
        }

        return new self(
            id: $row->text('id'),
            name: $row->text('name'),
            basis: $row->text('basis'),
            unit: $row->text('unit'),
            strengthPct: $row->numberOrNull('strength_pct'),
            needsStrength: $row->flag('needs_strength'),
            oxidiser: $row->flag('oxidiser'),
            sparesFilter: $row->flag('on_filter'),
            oxygenPerMgL: $row->number('oxygen_per_mg_l'),
            oxygenWithinH: $row->numberOrNull('oxygen_within_h'),
            prolonged: $range('prolonged_mg_l'),
            bath: $range('bath_mg_l'),
            bathMin: $row->numberOrNull('bath_min'),
            warmC: $row->numberOrNull('warm_c'),
            bathWarmMax: $row->numberOrNull('bath_warm_max'),
            repeats: (int) $row->number('repeats'),
            intervals: $intervals,
            hazards: Hazards::from($row->text('id'), $row->row('hazards')),
            adsorbed: $adsorbed,
            stop: $row->text('stop'),
            disposal: $row->text('disposal'),
            storage: $row->text('storage'),
            source: $row->text('source'),
            purposes: $row->texts('purpose'),
            halfLifeH: $row->numberOrNull('half_life_h'),
            dip: $range('dip_mg_l'),
            dipMin: $row->numberOrNull('dip_min'),
        );
    }

    /**
     * Least, most and usual of one way of giving it; null where it is not given so.
     *
     * @return ?array{float, float, float}
     */
    public function range(string $way): ?array
    {
        return match ($way) {
            'bath' => $this->bath,
            'dip' => $this->dip,
            default => $this->prolonged,
        };
    }

    /** What everybody near it is told: what it does to people and fish, and when to stop. */
    public function caution(): string
    {
        return "{$this->hazards->people} {$this->hazards->fish} {$this->stop}";
    }

    /** How long fish may be in it, minutes; null where it stays in the water. */
    public function exposure(string $way): ?float
    {
        return match ($way) {
            'bath' => $this->bathMin,
            'dip' => $this->dipMin,
            default => null,
        };
    }

    /**
     * Oxygen that a level of it takes while fish are in it, mg/L.
     *
     *     Library::shipped()->agents()->agents['formalin']->oxygenTaken(250.0, 'bath')  →  1.4
     *
     * @source uf-ifas-vm77  1 mg/L to 5 of formalin within 30 to 36 h; that it goes evenly is from memory
     */
    public function oxygenTaken(float $levelMgL, string $way): float
    {
        $minutes = $this->exposure($way);
        $share =
            $minutes === null || $this->oxygenWithinH === null ? 1.0 : min(1.0, $minutes / 60 / $this->oxygenWithinH);

        return $this->oxygenPerMgL * $levelMgL * $share;
    }

    /** The share of a level that is gone by itself after so many hours; none of what nothing takes. */
    public function fadesBy(float $hours): float
    {
        return $this->halfLifeH === null ? 0.0 : 1 - 2 ** (-$hours / $this->halfLifeH);
    }

    /** Days until the next dose of a course, by temperature. */
    public function interval(float $tempC): float
    {
        foreach ($this->intervals as [$upTo, $days]) {
            if ($tempC <= $upTo) {
                return $days;
            }
        }

        return $this->intervals[count($this->intervals) - 1][1];
    }
}
