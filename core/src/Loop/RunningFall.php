<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Flow\SubmergenceCalculator;

/**
 * How far the level of a loop may fall while its pumps run, and what sets the bound: a vessel its keeper said it of, a
 * chamber that would run dry, a suction that would draw air.
 *
 * Chambers are drawn down below the vessels already, and the mouth of a suction wants water above it.
 *
 * @see SubmergenceCalculator
 */
final readonly class RunningFall
{
    private function __construct(public float $metres, public string $name) {}

    /** Null where nothing of the loop says how far it may fall. */
    public static function of(Loop $loop, LoopFlow $flow): ?self
    {
        $bounds = [];
        foreach ($loop->vessels as $vessel) {
            if ($vessel->mayFallM !== null) {
                $bounds[] = new self(max(0.0, $vessel->mayFallM), $vessel->name);
            }
        }
        foreach ($loop->stages as $stage) {
            $level = $flow->stageLevel($stage->id);
            if ($stage->mayDropM !== null && $level !== null && !$stage->bypassed) {
                $bounds[] = new self(max(0.0, $stage->mayDropM + $level), $stage->name);
            }
        }
        $ways = new Ways($loop);
        foreach ($loop->lines as $line) {
            if ($line->mouthM === null || !$line->open() || !self::sucks($ways, $line)) {
                continue;
            }
            $level = $line->from->kind === PlaceKind::Stage ? $flow->stageLevel($line->from->id) ?? 0.0 : 0.0;
            $needs = SubmergenceCalculator::metres(PipeInputs::m3s($flow->lineFlow($line->id)), $line->boreMm / 1000);
            $bounds[] = new self(max(0.0, $line->mouthM + $level - $needs), $line->name);
        }
        usort($bounds, static fn(self $a, self $b): int => $a->metres <=> $b->metres);

        return $bounds[0] ?? null;
    }

    private static function sucks(Ways $ways, LoopLine $line): bool
    {
        return array_filter(
            $ways->reachedBy($line),
            static fn(Place $place): bool => $place->kind === PlaceKind::Pump,
        ) !== [];
    }
}
