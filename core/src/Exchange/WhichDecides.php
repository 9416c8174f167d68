<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Judge\State;

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
    private function __construct(public bool $nitrateGivesWay, public ?string $says) {}

    public static function of(State $ammonia, State $nitrate): self
    {
        $acts = !State::Act->worseThan($ammonia);

        return match (true) {
            $acts && $nitrate !== State::Good => new self(
                true,
                'Ammonia decides: it asks for a large change now, and nitrate’s limit of a day ' .
                    'gives way to it. Afterwards nitrate is brought down in its own steps.',
            ),
            $acts => new self(true, 'Ammonia decides: it asks for a large change now.'),
            $nitrate !== State::Good && $ammonia !== State::Good => new self(
                false,
                'Ammonia is only watched, so nitrate keeps its steps.',
            ),
            default => new self(false, null),
        };
    }
}
