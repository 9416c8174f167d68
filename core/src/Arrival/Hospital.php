<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

/** What a sick fish asks of its tub. Common practice, no source, for all of it. */
final readonly class Hospital
{
    /** Salt that eases a wound, g/L. */
    public const SALT_G_L = 3.0;

    /** Water for each kg of a sick fish, L. */
    public const L_PER_KG = 150.0;

    /** Under it the air is too weak, mg/L. */
    public const OXYGEN_MG_L = 7.0;
}
