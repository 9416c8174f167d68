<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/** Small dense linear systems, by elimination with row pivoting. */
final readonly class LinearSystem
{
    /**
     * @param  array<int, array<int, float>>  $matrix  square
     * @param  array<int, float>  $right
     * @return array<int, float>
     *
     * @throws SingularMatrix
     */
    public static function solve(array $matrix, array $right): array
    {
        $size = count($right);
        for ($column = 0; $column < $size; $column++) {
            $pivot = $column;
            for ($row = $column + 1; $row < $size; $row++) {
                if (abs($matrix[$row][$column]) > abs($matrix[$pivot][$column])) {
                    $pivot = $row;
                }
            }
            if (abs($matrix[$pivot][$column]) < 1e-300) {
                throw new SingularMatrix();
            }
            [$matrix[$column], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$column]];
            [$right[$column], $right[$pivot]] = [$right[$pivot], $right[$column]];
            for ($row = $column + 1; $row < $size; $row++) {
                $share = $matrix[$row][$column] / $matrix[$column][$column];
                if (abs($share) > 0) {
                    for ($i = $column; $i < $size; $i++) {
                        $matrix[$row][$i] -= $share * $matrix[$column][$i];
                    }
                    $right[$row] -= $share * $right[$column];
                }
            }
        }
        for ($row = $size - 1; $row >= 0; $row--) {
            for ($i = $row + 1; $i < $size; $i++) {
                $right[$row] -= $matrix[$row][$i] * $right[$i];
            }
            $right[$row] /= $matrix[$row][$row];
        }

        return $right;
    }
}
