<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\TypedFields;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Measure\Format;

/** How much is changed, by litres, by share, by a fall of the level, or by the meter. */
final readonly class ChangeAmount
{
    public function __construct(private Registry $registry) {}

    /** @return ?float litres; null where nothing was typed or it could not be read */
    public function of(System $system, WaterBody $body, TypedFields $typed): ?float
    {
        $volume = $body->volumeL;
        $litres = $typed->number(Input::number('change_l', 'Litres', 'L', 0.01, 1e8));
        $share = $typed->number(Input::number('change_pct', 'Share', '%', 0.01, 100));
        $level = $typed->number(Input::number('level_cm', 'The level falls by', 'cm', 0.1, 1000));
        $before = $typed->number(Input::number('meter_before', 'Meter before', 'L', 0, 1e12));
        $after = $typed->number(Input::number('meter_after', 'Meter after', 'L', 0, 1e12));
        if ($typed->errors !== []) {
            return null;
        }
        if (
            count(array_filter([$litres, $share, $level, $after], static fn(?float $said): bool => $said !== null)) > 1
        ) {
            $typed->refuse(
                $share !== null ? 'change_pct' : ($level !== null ? 'level_cm' : 'meter_after'),
                'Say it one way only.',
            );

            return null;
        }
        if ($after !== null) {
            if ($before === null || $after <= $before) {
                $typed->refuse(
                    $before === null ? 'meter_before' : 'meter_after',
                    $before === null
                        ? 'Enter the meter reading before the change.'
                        : 'The meter ran backwards: ' .
                            Format::number($before, 7) .
                            ' to ' .
                            Format::number($after, 7) .
                            '.',
                );

                return null;
            }
            $litres = $after - $before;
        } elseif ($level !== null) {
            $litres = $typed->attempt(fn(): float => $this->fall($system, $body, $level));
        } elseif ($share !== null) {
            $litres = ($share / 100) * $volume;
        }
        if ($litres !== null && $litres > $volume * (1 + 1e-9)) {
            $typed->refuse(
                $after !== null ? 'meter_after' : ($level !== null ? 'level_cm' : 'change_l'),
                'No more can be changed than the volume: ' . Format::number($volume, 4) . ' L.',
            );

            return null;
        }

        return $litres;
    }

    /** Litres that leave when the level of every bay falls by so much, from the shapes they have. */
    private function fall(System $system, WaterBody $body, float $cm): float
    {
        $shut = array_map(static fn(Vessel $vessel): string => $vessel->id, WaterBodies::shut($system));
        $bays = $system->vessels->filter(
            static fn(Vessel $vessel): bool => $body->vesselId === null
                ? $vessel->holdsFish() && !in_array($vessel->id, $shut, true)
                : $vessel->id === $body->vesselId,
        );
        if ($bays->isEmpty()) {
            throw BadInput::at('level_cm', 'Describe the vessels on Build first.');
        }

        return $bays->sum(function (Vessel $vessel) use ($cm): float {
            $full = $vessel->calculation();
            if ($vessel->shape === 'sections') {
                throw BadInput::at(
                    'level_cm',
                    "{$vessel->name} is known by its sections only: say it in litres, or by the meter.",
                );
            }
            $freeboard = is_numeric($full['freeboard_m'] ?? null) ? (float) $full['freeboard_m'] : 0.0;
            try {
                $left = $this->registry
                    ->run('volume.vessel', [...$full, 'freeboard_m' => $freeboard + $cm / 100, 'displaced_l' => 0.0])
                    ->number('volume_l');
            } catch (BadInput) {
                throw BadInput::at('level_cm', "{$vessel->name} is not so deep.");
            }

            return $this->registry->run('volume.vessel', [...$full, 'displaced_l' => 0.0])->number('volume_l') - $left;
        });
    }
}
