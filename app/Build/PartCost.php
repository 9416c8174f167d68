<?php

declare(strict_types=1);

namespace App\Build;

use Ironwort\Core\Calc\Input;

/** What a part cost or would cost, in the money of the site; nobody has to say. */
final readonly class PartCost
{
    public const KEY = 'cost';

    public static function input(): Input
    {
        return Input::number(self::KEY, 'Cost', null, 0, 1e7)->optional();
    }
}
