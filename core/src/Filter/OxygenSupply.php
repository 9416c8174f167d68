<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** How oxygen reaches the bacteria of a stage, which decides how lack of it slows them. */
enum OxygenSupply: string
{
    /** With the water that flows through: the rate falls as DO/(0.5 + DO). */
    case Water = 'water';

    /** Into a thick film on a moving carrier: ammonia above DO/3.2 goes unused. */
    case Carrier = 'carrier';

    /** Through a thin film of falling water: never short. */
    case Film = 'film';
}
