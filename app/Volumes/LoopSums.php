<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\FishGroup;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Vessel\OpenSurface;
use Ironwort\Core\Vessel\Shape;
use Ironwort\Core\Vessel\WettedSurface;

/** Volume, surfaces and fish of a system, as sums whose parts can be opened. */
final readonly class LoopSums
{
    public function __construct(private Registry $registry) {}

    public function volume(System $system): Figure
    {
        $parts = [
            ...array_values($system->vessels->map($this->vessel(...))->all()),
            ...array_map(self::chamber(...), self::chambers($system)),
        ];

        return new Figure(
            'Volume',
            array_sum(array_map(static fn(Figure $f): float => $f->value, $parts)),
            'L',
            parts: $parts,
            say: 'The water in all vessels, each from its shape, and in the chambers whose water is entered with ' .
                'their stage. Pipes are not counted.',
        );
    }

    /** @return list<Stage> with water of their own beside the vessels */
    private static function chambers(System $system): array
    {
        return array_values(
            $system->stages
                ->filter(static fn(Stage $stage): bool => $stage->vessel_id === null && $stage->water_l > 0)
                ->all(),
        );
    }

    private static function chamber(Stage $stage): Figure
    {
        return new Figure(
            "Chamber: {$stage->name}",
            (float) $stage->water_l,
            'L',
            say: 'As entered with the stage: the water that stands in it.',
        );
    }

    public function vessel(Vessel $vessel): Figure
    {
        $input = $vessel->calculation();

        return new Figure(
            $vessel->name,
            $this->registry->run('volume.vessel', $input)->number('volume_l'),
            'L',
            'volume.vessel',
            'volume_l',
            $input,
            [new Origin('shape', 'Shape and measures', 'as built', 'build', "from the build of {$vessel->name}")],
        );
    }

    /** Walls, floors and stones under water, m². */
    public function walls(System $system): float
    {
        return $system->vessels->sum(
            static fn(Vessel $vessel): float => WettedSurface::of(
                Shape::from($vessel->shape),
                $vessel->measures,
                $vessel->freeboard_m,
            ) + $vessel->stones_m2,
        );
    }

    /** Open to the air, m². */
    public function surface(System $system): float
    {
        return $system->vessels->sum(function (Vessel $vessel): float {
            $surface = $this->registry->run('volume.vessel', $vessel->calculation())->figures['surface_m2'];

            return OpenSurface::of(is_float($surface) ? $surface : null, $this->vessel($vessel)->value);
        });
    }

    /** Weight of all fish, kg. */
    public function biomass(System $system): Figure
    {
        $parts = array_values($system->fish->map($this->group(...))->all());

        return new Figure(
            'Weight of fish',
            array_sum(array_map(static fn(Figure $f): float => $f->value, $parts)),
            'kg',
            parts: $parts,
            say: 'Number of fish times the weight of one, for every group.',
        );
    }

    /** Ammonia its fish give a day as they are fed now, g N. */
    public function tanGD(System $system, float $tempC): float
    {
        $feed = $system->feed();

        return DailyLoad::of(
            $this->biomass($system)->value,
            $feed->feed_g_d ?? 0.0,
            $feed === null ? DailyLoad::USUAL_PROTEIN : $feed->protein_pct / 100,
            DailyLoad::USUAL_DIGESTIBILITY,
            0.0,
            $tempC,
        )->tan();
    }

    public function group(FishGroup $group): Figure
    {
        $weight = $this->registry->run('fish.weight', $group->calculation())->number('weight_g');
        $one = new Figure(
            "One fish of {$group->name}",
            $weight,
            'g',
            'fish.weight',
            'weight_g',
            $group->calculation(),
            [
                new Origin(
                    'length_cm',
                    'Length',
                    Format::number($group->length_cm) . ' cm',
                    'build',
                    "mean of {$group->name}",
                ),
                new Origin(
                    'condition',
                    'Condition factor',
                    Format::number($group->condition),
                    'build',
                    "as set for {$group->name}",
                ),
            ],
        );

        return new Figure(
            $group->name,
            ($group->count * $weight) / 1000,
            'kg',
            parts: [$one],
            say: "{$group->count} fish of " . Format::number($weight, 3) . ' g each.',
        );
    }
}
