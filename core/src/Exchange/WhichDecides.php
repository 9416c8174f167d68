<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/**
 * Which reading decides the size of a change when ammonia asks for a large one and nitrate for small steps.
 *
 * Ammonia that is to be acted on decides, and the shock limit of nitrate gives way to it; as long as ammonia is
 * only watched, nitrate keeps its steps. Un-ionised and total ammonia are both judged, and the worse counts.
 *
 * @source cp-advice
 */
final readonly class WhichDecides
{
    private function __construct(public bool $nitrateGivesWay, public ?Message $says) {}

    public static function of(State $ammonia, State $nitrate): self
    {
        $acts = !State::Act->worseThan($ammonia);

        return match (true) {
            $acts && $nitrate !== State::Good => new self(true, Message::of('exchange.decides_ammonia_over_nitrate')),
            $acts => new self(true, Message::of('exchange.decides_ammonia')),
            $nitrate !== State::Good && $ammonia !== State::Good => new self(
                false,
                Message::of('exchange.decides_nitrate_keeps'),
            ),
            default => new self(false, null),
        };
    }
}
