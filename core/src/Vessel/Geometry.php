<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/**
 * Water in a vessel filled to a height below its rim: volume and water surface.
 *
 * Lengths in metres, volume in litres, surface in m². `freeboard` is the dry height below the rim
 * and must not pass the depth of the straight (or sloping) side; the caller checks that.
 */
final readonly class Geometry
{
    private function __construct(public float $volumeL, public float $surfaceM2) {}

    /** A vessel with upright walls on any plan. */
    public static function prism(float $planM2, float $depthM, float $freeboardM): self
    {
        return new self(1000 * $planM2 * ($depthM - $freeboardM), $planM2);
    }

    /** The same with a floor that falls away below the walls. */
    public function over(Floor $floor, float $fallM, float $middle = 0.5): self
    {
        return new self($this->volumeL + 1000 * $this->surfaceM2 * $fallM * $floor->share($middle), $this->surfaceM2);
    }

    /** A tub that narrows downwards, or widens. */
    public static function coneFrustum(float $topM, float $bottomM, float $depthM, float $freeboardM): self
    {
        $height = $depthM - $freeboardM;
        $atWater = $bottomM + (($topM - $bottomM) * $height) / $depthM;

        return new self(
            ((1000 * M_PI * $height) / 12) * ($atWater ** 2 + $atWater * $bottomM + $bottomM ** 2),
            self::circle($atWater),
        );
    }

    /** A round tub whose bottom is a spherical cap. */
    public static function dishedCylinder(float $diameterM, float $sideM, float $dishM, float $freeboardM): self
    {
        $cap = ((M_PI * $dishM) / 6) * (3 * ($diameterM / 2) ** 2 + $dishM ** 2);

        return new self(1000 * (self::circle($diameterM) * ($sideM - $freeboardM) + $cap), self::circle($diameterM));
    }

    /** A round tub whose bottom runs to a point. */
    public static function conedCylinder(float $diameterM, float $sideM, float $coneM, float $freeboardM): self
    {
        return new self(
            1000 * self::circle($diameterM) * ($sideM - $freeboardM + $coneM / 3),
            self::circle($diameterM),
        );
    }

    public static function circle(float $diameterM): float
    {
        return (M_PI / 4) * $diameterM ** 2;
    }

    /** Regular octagon measured across its flats: 2(√2 − 1) s². */
    public static function octagon(float $acrossFlatsM): float
    {
        return 2 * (M_SQRT2 - 1) * $acrossFlatsM ** 2;
    }
}
