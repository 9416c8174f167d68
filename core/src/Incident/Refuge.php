<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/**
 * Where fish go out of trouble.
 *
 * @source cp-incident
 */
final readonly class Refuge
{
    /** Of what room there is, so much is used in a hurry. */
    public const SHARE = 0.5;

    /** Kinds of system that take none: their own fish are new or ill, or there is no filter yet. */
    public const TAKE_NONE = ['quarantine', 'hospital', 'start'];
}
