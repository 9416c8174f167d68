<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/**
 * When something that was left open begins to matter: a pump that is off, a bay that is shut, fish in a bath.
 *
 * Minutes since it began; it is watched from the start. Common practice, no source: one acts when the time that was
 * planned is over, or half of what is safe where nothing was planned; it is an emergency when what is safe is over.
 */
final readonly class OpenTimer
{
    private const ACT_AT_SHARE = 0.5;

    private function __construct(public ?float $actAtMin, public ?float $emergencyAtMin) {}

    /** @param  ?float  $safeMin  null where nothing is in danger */
    public static function of(?float $safeMin, ?float $plannedMin): self
    {
        $half = $safeMin === null ? null : self::ACT_AT_SHARE * $safeMin;

        return new self(
            $plannedMin !== null && $safeMin !== null ? min($plannedMin, $safeMin) : $plannedMin ?? $half,
            $safeMin,
        );
    }

    public function state(float $minutes): State
    {
        return match (true) {
            $this->emergencyAtMin !== null && $minutes >= $this->emergencyAtMin => State::Emergency,
            $this->actAtMin !== null && $minutes >= $this->actAtMin => State::Act,
            default => State::Watch,
        };
    }
}
