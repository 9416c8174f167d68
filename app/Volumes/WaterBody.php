<?php

declare(strict_types=1);

namespace App\Volumes;

/** One body of water that is dosed and changed: the loop as it stands, or a bay that is shut off. */
final readonly class WaterBody
{
    /** @param  ?string  $vesselId  the bay; null for the loop */
    public function __construct(public ?string $vesselId, public string $name, public float $volumeL) {}

    /** @return array{vessel_id: ?string, name: string, volume_l: float} */
    public function toArray(): array
    {
        return ['vessel_id' => $this->vesselId, 'name' => $this->name, 'volume_l' => $this->volumeL];
    }

    /** @return array{id: string, name: string, litres: float} as pages offer it to choose from */
    public function choice(): array
    {
        return ['id' => $this->vesselId ?? '', 'name' => $this->name, 'litres' => $this->volumeL];
    }
}
