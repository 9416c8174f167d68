<?php

declare(strict_types=1);

namespace App\Water;

use App\Models\System;
use App\Models\User;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Water that left by a service, as the change that it is: made good from the water the system is filled from. */
final readonly class BookLostWater
{
    public function __construct(private BookChange $changes, private WaterBodies $bodies) {}

    public function book(System $system, User $user, float $litres, Carbon $at): WaterChange
    {
        $body = $this->bodies->all($system)[0];

        return $this->changes->book(
            strtoupper((string) Str::ulid()),
            $system,
            $user,
            $at,
            new PlannedChange(
                kind: 'batch',
                litres: min($litres, max(1.0, $body->volumeL)),
                body: $body,
                source: $system->water_id === null ? null : WaterSource::query()->find($system->water_id),
                plannedMin: null,
                dangerMin: null,
                dangerBy: null,
                putBack: $this->changes->lacking($system, $body, $litres),
                done: true,
            ),
        );
    }
}
