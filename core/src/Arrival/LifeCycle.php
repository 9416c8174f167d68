<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

use Ironwort\Core\Data\Row;

/**
 * How long something takes from one generation to the next, by water temperature: in a straight line of the logarithm
 * between the temperatures of its table, held beyond them. Days, °C.
 */
final readonly class LifeCycle
{
    /**
     * @param  list<float>  $tempsC  rising
     * @param  list<float>  $days
     * @param  ?float  $holdsFromC  in colder water it does not show, however long one waits
     */
    private function __construct(
        public string $id,
        public string $name,
        private array $tempsC,
        private array $days,
        public ?float $holdsFromC,
        public ?float $holdsToC,
        public string $source,
    ) {}

    public static function from(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->numbers('temps_c'),
            $row->numbers('days'),
            $row->numberOrNull('holds_from_c'),
            $row->numberOrNull('holds_to_c'),
            $row->text('source'),
        );
    }

    /** Null for nothing in particular. */
    public function days(float $tempC): ?float
    {
        if ($this->tempsC === []) {
            return null;
        }
        foreach ($this->tempsC as $i => $right) {
            if ($tempC <= $right) {
                if ($i === 0) {
                    return $this->days[0];
                }
                $left = $this->tempsC[$i - 1];
                $share = ($tempC - $left) / ($right - $left);

                return exp((1 - $share) * log($this->days[$i - 1]) + $share * log($this->days[$i]));
            }
        }

        return $this->days[count($this->days) - 1];
    }

    /** Whether fish that carry it would show it in such water at all. */
    public function shows(float $tempC): bool
    {
        return ($this->holdsFromC === null || $tempC >= $this->holdsFromC) &&
            ($this->holdsToC === null || $tempC <= $this->holdsToC);
    }
}
