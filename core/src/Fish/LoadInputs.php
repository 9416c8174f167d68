<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Input;

/** Feed as calculators ask for it. */
final readonly class LoadInputs
{
    public static function feed(): Input
    {
        return Input::number('feed_g_d', 'Feed', 'g/d', 0, 1e7);
    }

    public static function protein(): Input
    {
        return Input::number('protein_pct', 'Protein', '%', 5, 80)->or(100 * DailyLoad::USUAL_PROTEIN);
    }

    /** Oxygen that dirt takes as it rots. */
    public static function dirt(): Input
    {
        return Input::number('dirt_o2_g_g', 'Oxygen that dirt takes', 'g/g of feed', 0, 1)->or(DailyLoad::DIRT_O2_G_G);
    }
}
