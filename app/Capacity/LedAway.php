<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Models\AirOutlet;

/** What the fish keep of oxygen while all the air of a pump goes to a bed. */
final readonly class LedAway
{
    /**
     * @param  string  $bed  name of the stage
     * @param  float  $airLMin  of the pump
     * @param  float  $fishLMin  that the fish get of it now
     * @param  float  $afterMgL  oxygen by day after half an hour
     * @param  Figure  $settles  where oxygen comes to rest if it stays so
     */
    public function __construct(
        public AirOutlet $outlet,
        public string $bed,
        public float $airLMin,
        public float $fishLMin,
        public float $afterMgL,
        public Figure $settles,
    ) {}

    /**
     * @return array{outlet: string, to: string, air_l_min: float, fish_l_min: float, after_mg_l: float,
     *     settles: array<string, mixed>}
     */
    public function toArray(): array
    {
        return [
            'outlet' => $this->outlet->name,
            'to' => $this->bed,
            'air_l_min' => $this->airLMin,
            'fish_l_min' => $this->fishLMin,
            'after_mg_l' => $this->afterMgL,
            'settles' => $this->settles->toArray(),
        ];
    }
}
