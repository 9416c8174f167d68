<?php

declare(strict_types=1);

namespace App\Models;

use Ironwort\Core\Aeration\AirSplit;

/**
 * Where air of an air pump comes out: in a vessel, or in a stage.
 *
 * @property string $name
 * @property string $pump_id
 * @property ?string $vessel_id
 * @property ?string $stage_id
 * @property float $share of the pump's air while all its outlets are open, against the other outlets
 * @property bool $open
 * @property bool $valve whether it can be shut
 * @property int $position
 */
final class AirOutlet extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['share' => 'float', 'open' => 'boolean', 'valve' => 'boolean'];
    }

    public function state(): string
    {
        return $this->open ? 'on' : 'off';
    }

    /** How the air of a pump of a system is divided; null where it has no outlets and all of it is for the fish. */
    public static function split(System $system, Pump $pump): ?AirSplit
    {
        $outlets = $system->airOutlets->where('pump_id', $pump->id);

        return $outlets->isEmpty()
            ? null
            : new AirSplit(
                (float) $pump->air_l_min,
                $outlets
                    ->mapWithKeys(
                        static fn(self $one): array => [
                            $one->id => [
                                'share' => $one->share,
                                'open' => $one->open,
                                'fish' => $one->vessel_id !== null,
                            ],
                        ],
                    )
                    ->all(),
            );
    }

    /** Stages that air is led to have the air of their outlets, anew whenever one is switched. */
    public static function feedStages(System $system): void
    {
        $air = [];
        foreach ($system->pumps->where('kind', 'air') as $pump) {
            $each = self::split($system, $pump)?->each() ?? [];
            foreach ($system->airOutlets->where('pump_id', $pump->id)->whereNotNull('stage_id') as $outlet) {
                $air[$outlet->stage_id] =
                    ($air[$outlet->stage_id] ?? 0.0) + ($pump->running ? $each[$outlet->id] ?? 0.0 : 0.0);
            }
        }
        foreach ($air as $stage => $litres) {
            $part = $system->stages->firstWhere('id', $stage);
            if ($part instanceof Stage && $part->air_l_min !== $litres) {
                $part->air_l_min = $litres;
                $part->save();
            }
        }
    }
}
