<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** What holds a stage back. */
enum Limit: string
{
    /** The surface, with what grows on it in this water. */
    case Surface = 'surface';

    /** The oxygen that reaches it. */
    case Oxygen = 'oxygen';

    /** The ammonia that the flow brings. */
    case Transport = 'transport';

    private const STRIPPED = 0.95;

    /**
     * The shortest of the three, each in g N/d.
     *
     * A surface limit within 5 % of the transport limit is named transport: the water leaves
     * stripped, and more surface would add next to nothing.
     */
    public static function shortest(float $surface, float $oxygen, float $transport): self
    {
        return match (true) {
            $oxygen < min($surface, $transport) => self::Oxygen,
            $transport <= 0, $surface > self::STRIPPED * $transport => self::Transport,
            default => self::Surface,
        };
    }
}
