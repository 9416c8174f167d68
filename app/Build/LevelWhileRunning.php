<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\RunningFall;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** How far the level of a system may fall with its pumps running, and how much water that is. */
final readonly class LevelWhileRunning
{
    public function __construct(private BuiltLoop $built, private LoopSums $sums) {}

    /** @return ?array{mm: float, litres: float, by: string} null where nothing in its build says so */
    public function of(System $system, LatestWater $water): ?array
    {
        $loop = $this->built->of($system, $water->valueOrAssumed(Parameter::Temperature));
        try {
            $fall = $loop->pumps === [] || $loop->lines === [] ? null : RunningFall::of($loop, LoopFlow::of($loop));
        } catch (UnsolvableNetwork) {
            return null;
        }

        return $fall === null
            ? null
            : [
                'mm' => 1000 * $fall->metres,
                'litres' => 1000 * $fall->metres * $this->sums->surface($system),
                'by' => $fall->name,
            ];
    }

    /** What is to be said of letting so much out while the pumps run; null where it may be, or nothing says. */
    public function caution(System $system, LatestWater $water, float $litres): ?Caution
    {
        $may = $system->vessels->contains(static fn(Vessel $vessel): bool => $vessel->retired_at === null)
            ? $this->of($system, $water)
            : null;
        if ($may === null || $litres <= $may['litres']) {
            return null;
        }

        return new Caution(
            Level::Danger,
            Message::of('exchange.change_draws_air', [
                'falls' => Format::number((1000 * $litres) / 1000 / max(1e-6, $this->sums->surface($system)), 2),
                'by' => $may['by'],
                'may' => Format::number($may['mm'], 2),
                'litres' => Format::about($may['litres'], 2),
            ]),
        );
    }
}
