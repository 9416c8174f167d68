<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Models\Line;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Loop\PlaceKind;

/** The bodies of water that are dosed and changed apart: the loop, and each bay whose every line is shut. */
final readonly class WaterBodies
{
    public function __construct(private LoopSums $sums, private VolumeReport $volumes) {}

    /** @return list<Vessel> vessels that lines lead to, all of them shut */
    public static function shut(System $system): array
    {
        $carrying = $system->carrying();

        return array_values(
            $system->vessels
                ->filter(static function (Vessel $vessel) use ($system, $carrying): bool {
                    $lines = self::lines($system, $vessel);

                    return $lines !== [] &&
                        array_filter($lines, static fn(Line $line): bool => in_array($line->id, $carrying, true)) ===
                            [];
                })
                ->all(),
        );
    }

    /** @return list<Line> what joins a vessel to its loop */
    public static function lines(System $system, Vessel $vessel): array
    {
        $at = static fn(Line $line): bool => ($line->from()->id === $vessel->id || $line->to()->id === $vessel->id) &&
            $line->to()->kind !== PlaceKind::Outside;

        return array_values($system->lines->filter($at)->all());
    }

    /** @return list<WaterBody> the loop as it stands, then each bay shut off from it */
    public function all(System $system): array
    {
        $whole = $this->volumes->inUse($system)->value;
        $built = $this->sums->volume($system)->value;
        $shut = array_map(
            fn(Vessel $vessel): WaterBody => new WaterBody(
                $vessel->id,
                $vessel->name,
                $built > 0 ? ($whole * $this->sums->vessel($vessel)->value) / $built : 0.0,
            ),
            self::shut($system),
        );
        $loop = $whole - array_sum(array_map(static fn(WaterBody $bay): float => $bay->volumeL, $shut));

        return [new WaterBody(null, $system->name, $loop), ...$shut];
    }

    /** @throws BadInput at `body` for a bay that is not shut off */
    public function find(System $system, ?string $vesselId): WaterBody
    {
        foreach ($this->all($system) as $body) {
            if ($body->vesselId === ($vesselId === '' ? null : $vesselId)) {
                return $body;
            }
        }

        throw BadInput::at('body', 'This bay is not shut off: its water is part of the loop.');
    }
}
