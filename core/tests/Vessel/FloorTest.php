<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Vessel;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Floors under any outline, against depths added up over a fine grid: at every point the floor falls by how far
 * the point lies in from the outline on its ray from the middle.
 */
final class FloorTest extends TestCase
{
    use Calculations;

    private const GRID = 240;

    /** @return list<array{float, float}> corners of an outline */
    private static function outline(string $shape): array
    {
        $round = static fn(float $a, float $b, int $n, float $turn): array => array_map(
            static fn(int $i): array => [
                $a * cos((2 * M_PI * $i) / $n + $turn),
                $b * sin((2 * M_PI * $i) / $n + $turn),
            ],
            range(0, $n - 1),
        );

        return match ($shape) {
            'box' => [[0, 0], [3.0, 0], [3.0, 1.6], [0, 1.6]],
            'wedge' => [[0, -0.6], [9.6, -0.85], [9.6, 0.85], [0, 0.6]],
            'ellipse' => $round(1.5, 0.8, 90, 0.0),
            'cylinder' => $round(0.9, 0.9, 90, 0.0),
            default => $round(1 / cos(M_PI / 8), 1 / cos(M_PI / 8), 8, M_PI / 8),
        };
    }

    /**
     * How far in from the outline a point lies: 0 at the outline, 1 at the middle; negative outside.
     *
     * @param  list<array{float, float}>  $outline
     * @param  array{float, float}  $middle
     */
    private static function in(array $outline, array $middle, float $x, float $y): float
    {
        [$dx, $dy] = [$x - $middle[0], $y - $middle[1]];
        $least = INF;
        foreach ($outline as $i => [$ax, $ay]) {
            [$bx, $by] = $outline[($i + 1) % count($outline)];
            [$ex, $ey] = [$bx - $ax, $by - $ay];
            $across = $dx * $ey - $dy * $ex;
            if (abs($across) < 1e-12) {
                continue;
            }
            $along = (($ax - $middle[0]) * $ey - ($ay - $middle[1]) * $ex) / $across;
            $at = (($ax - $middle[0]) * $dy - ($ay - $middle[1]) * $dx) / $across;
            if ($along > 0 && $at >= -1e-9 && $at <= 1 + 1e-9) {
                $least = min($least, $along);
            }
        }

        return $least === INF ? 1.0 : 1 - 1 / $least;
    }

    /** Litres in a floor that falls by `fall`, added up over a grid. */
    private static function added(string $shape, string $floor, float $fall): float
    {
        $outline = self::outline($shape);
        [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];
        $area = $mx = $my = 0.0;
        foreach ($outline as $i => [$ax, $ay]) {
            [$bx, $by] = $outline[($i + 1) % count($outline)];
            $cross = $ax * $by - $bx * $ay;
            $area += $cross / 2;
            $mx += ($ax + $bx) * $cross;
            $my += ($ay + $by) * $cross;
        }
        $middle = [$mx / (6 * $area), $my / (6 * $area)];
        [$wide, $high] = [max($xs) - min($xs), max($ys) - min($ys)];
        $sum = 0.0;
        for ($i = 0; $i < self::GRID; $i++) {
            for ($j = 0; $j < self::GRID / 6; $j++) {
                $x = min($xs) + (($i + 0.5) * $wide) / self::GRID;
                $y = min($ys) + (($j + 0.5) * $high) / (self::GRID / 6);
                $in = self::in($outline, $middle, $x, $y);
                if ($in >= 0) {
                    $sum += match ($floor) {
                        'coned' => $in,
                        'dished' => 1 - (1 - $in) ** 2,
                        default => ($x - min($xs)) / $wide,
                    };
                }
            }
        }

        return (1000 * $fall * $sum * $wide * $high) / (self::GRID * (self::GRID / 6));
    }

    #[TestWith(['box', 'coned', ['length_m' => 3, 'width_m' => 1.6]])]
    #[TestWith(['wedge', 'coned', ['length_m' => 9.6, 'width_a_m' => 1.2, 'width_b_m' => 1.7]])]
    #[TestWith(['wedge', 'dished', ['length_m' => 9.6, 'width_a_m' => 1.2, 'width_b_m' => 1.7]])]
    #[TestWith(['wedge', 'pitched', ['length_m' => 9.6, 'width_a_m' => 1.2, 'width_b_m' => 1.7]])]
    #[TestWith(['ellipse', 'dished', ['length_m' => 3, 'width_m' => 1.6]])]
    #[TestWith(['cylinder', 'coned', ['diameter_m' => 1.8]])]
    #[TestWith(['octagon', 'dished', ['across_flats_m' => 2]])]
    #[TestWith(['octagon', 'pitched', ['across_flats_m' => 2]])]
    public function test_a_floor_holds_what_its_depths_add_up_to(string $shape, string $floor, array $measures): void
    {
        $vessel = ['shape' => $shape, ...$measures, 'depth_m' => 1.15, 'freeboard_m' => 0.12];
        $flat = $this->calculate('volume.vessel', $vessel)->number('volume_l');
        $with = $this->calculate('volume.vessel', [...$vessel, 'floor' => $floor, 'floor_m' => 0.2])->number(
            'volume_l',
        );
        $added = self::added($shape, $floor, 0.2);
        self::assertEqualsWithDelta($added, $with - $flat, 0.01 * $added);
    }

    /** Length × mean width × depth under the freeboard: 9.6 × 1.45 × 1.03 m = 14,337.6 L. */
    public function test_five_bays_in_one_wedge_hold_fourteen_cubic_metres_before_their_floors(): void
    {
        $result = $this->calculate('volume.vessel', [
            'shape' => 'wedge',
            'length_m' => 9.6,
            'width_a_m' => 1.2,
            'width_b_m' => 1.7,
            'depth_m' => 1.15,
            'freeboard_m' => 0.12,
        ]);
        self::assertEqualsWithDelta(14337.6, $result->number('volume_l'), 0.1);
    }

    #[TestWith([['floor' => 'coned'], 'floor_m'])]
    #[TestWith([['floor_m' => 0.2], 'floor_m'])]
    #[TestWith([['floor' => 'sloping'], 'floor'])]
    #[
        TestWith([
            [
                'shape' => 'cone_frustum',
                'top_diameter_m' => 1,
                'bottom_diameter_m' => 0.8,
                'length_m' => null,
                'width_m' => null,
                'floor' => 'dished',
                'floor_m' => 0.1,
            ],
            'floor',
        ]),
    ]
    public function test_a_floor_that_cannot_be_is_refused_at_its_field(array $wrong, string $field): void
    {
        try {
            $this->calculate(
                'volume.vessel',
                array_filter(
                    ['shape' => 'box', 'length_m' => 2, 'width_m' => 1, 'depth_m' => 1, ...$wrong],
                    static fn(mixed $one): bool => $one !== null,
                ),
            );
            self::fail();
        } catch (BadInput $bad) {
            self::assertArrayHasKey($field, $bad->errors);
        }
    }
}
