<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** Loss coefficients of fittings, by id. */
final readonly class FittingTable
{
    /**
     * @param  array<string, string>  $names
     * @param  array<string, float>  $ks
     */
    private function __construct(public array $names, public array $ks) {}

    public static function from(Row $table): self
    {
        $names = $ks = [];
        foreach ($table->rows('fittings') as $row) {
            $names[$row->text('id')] = $row->text('name');
            $ks[$row->text('id')] = $row->number('k');
        }

        return new self($names, $ks);
    }

    /**
     * Sum of K of a line's fittings.
     *
     * @param  array<string, int>  $counts  how many of each
     *
     * @throws BrokenTable when a fitting is not in the table
     */
    public function sum(array $counts): float
    {
        $sum = 0.0;
        foreach ($counts as $id => $count) {
            $sum += $count * ($this->ks[$id] ?? throw new BrokenTable("There is no fitting {$id}."));
        }

        return $sum;
    }
}
