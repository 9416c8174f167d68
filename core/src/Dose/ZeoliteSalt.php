<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * Salt and a charge of zeolite: from where on it lets go of its ammonia, and what counts as a rise.
 *
 * @source zeolite-from-memory  danger from 0.5 g/L, and on any rise with a loaded charge
 */
final readonly class ZeoliteSalt
{
    public const LETS_GO_G_L = 0.5;

    /** Less than this two readings do not differ, g/L. */
    private const TOLD_APART_G_L = 0.1;

    /** @param  ?float  $beforeGL  when the charge went in; null where nobody measured */
    public static function rose(?float $beforeGL, float $nowGL): bool
    {
        return $beforeGL !== null && $nowGL - $beforeGL >= self::TOLD_APART_G_L;
    }
}
