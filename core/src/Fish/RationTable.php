<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/**
 * Daily ration in percent of body weight, by purpose, temperature and size.
 *
 * Between its temperatures the table is read in a straight line, between its weights in a straight
 * line on the logarithm of weight; beyond its smallest and largest fish it is held. Nothing is fed
 * below the table's lowest temperature, nor in heat above another; between its highest row and that the row is held.
 *
 * @source cp-ration  @source huisman-1976-from-memory  maintenance of large fish
 */
final readonly class RationTable
{
    /**
     * @param  list<float>  $weightsG  rising
     * @param  list<float>  $tempsC  rising
     * @param  array<string, list<list<float>>>  $percents  by purpose, then temperature, then weight
     * @param  array<string, string>  $purposes  purpose to its description
     * @param  list<array{from: ?float, below: ?float, name: string}>  $kinds  of feed, by temperature
     */
    private function __construct(
        public array $weightsG,
        public array $tempsC,
        private array $percents,
        public array $purposes,
        public float $fastingAboveC,
        private array $kinds,
    ) {}

    public static function from(Row $table): self
    {
        $percents = [];
        $purposes = [];
        foreach ($table->rows('purposes') as $purpose) {
            $rows = array_map(static fn(Row $row): array => $row->numbers('pct'), $purpose->rows('rows'));
            $percents[$purpose->text('id')] = $rows;
            $purposes[$purpose->text('id')] = $purpose->text('say');
        }

        return new self(
            $table->numbers('weights_g'),
            $table->numbers('temps_c'),
            $percents,
            $purposes,
            $table->number('fasting_above_c'),
            array_map(
                static fn(Row $row): array => [
                    'from' => $row->numberOrNull('from_c'),
                    'below' => $row->numberOrNull('below_c'),
                    'name' => $row->text('name'),
                ],
                $table->rows('kinds'),
            ),
        );
    }

    /** What is fed at this steady temperature. Common practice, no source. */
    public function kind(float $tempC): string
    {
        foreach ($this->kinds as $kind) {
            if (
                ($kind['from'] === null || $tempC >= $kind['from']) &&
                ($kind['below'] === null || $tempC < $kind['below'])
            ) {
                return $kind['name'];
            }
        }
        throw new BrokenTable("There is no kind of feed at {$tempC} °C.");
    }

    /** Below this no food is given, °C. */
    public function fastingBelowC(): float
    {
        return $this->tempsC[0] ?? throw new BrokenTable('The ration table has no temperatures.');
    }

    /** @throws BrokenTable when the purpose is not in the table */
    public function percent(float $weightG, float $tempC, string $purpose): float
    {
        $rows = $this->percents[$purpose] ?? throw new BrokenTable("There is no ration for {$purpose}.");
        if ($tempC < $this->fastingBelowC() || $tempC > $this->fastingAboveC) {
            return 0.0;
        }
        $logWeights = array_map(log(...), $this->weightsG);
        $bySize = array_map(static fn(array $row): float => self::between($logWeights, $row, log($weightG)), $rows);

        return self::between($this->tempsC, $bySize, $tempC);
    }

    /**
     * Straight line between rising points, held at both ends.
     *
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     */
    private static function between(array $xs, array $ys, float $x): float
    {
        foreach ($xs as $i => $right) {
            if ($x <= $right) {
                if ($i === 0) {
                    return $ys[0];
                }
                $left = $xs[$i - 1];

                return $ys[$i - 1] + (($ys[$i] - $ys[$i - 1]) * ($x - $left)) / ($right - $left);
            }
        }

        return $ys[count($ys) - 1];
    }
}
