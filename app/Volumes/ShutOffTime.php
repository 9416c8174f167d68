<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\Figure;
use App\Models\Age;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\State;

/** How long one bay has been shut off from its loop, and how long its fish may stay so. */
final readonly class ShutOffTime
{
    /** Half of the time is where to act. */
    private const ACT = 0.5;

    /** @param  ?Figure  $limit  minutes, 0 where they are over from the first; null where no fish set one */
    public function __construct(
        public string $vesselId,
        public string $name,
        public float $volumeL,
        public Carbon $since,
        public ?Figure $limit,
    ) {}

    public function minutes(): ?float
    {
        return $this->limit?->value;
    }

    public function state(): State
    {
        $minutes = $this->minutes();
        $gone = $this->since->diffInMinutes(Carbon::now());

        return match (true) {
            $minutes === null => State::Watch,
            $gone >= $minutes => State::Emergency,
            $gone >= self::ACT * $minutes => State::Act,
            default => State::Watch,
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'vessel_id' => $this->vesselId,
            'name' => $this->name,
            'volume_l' => $this->volumeL,
            'since' => $this->since->toIso8601ZuluString(),
            'age' => Age::of($this->since),
            'minutes' => $this->minutes(),
            'limit' => $this->limit?->toArray(),
            'state' => $this->state()->value,
        ];
    }
}
