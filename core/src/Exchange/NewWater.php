<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * What new water may differ by before something is put back, and what drained water may hold. Common practice, no
 * source.
 */
final readonly class NewWater
{
    /** New water hotter than the system by so much scalds where it comes in, °C. */
    public const SCALDS_C = 8.0;

    /** Less salt than this was put in by nobody, g/L. */
    public const SALTED_G_L = 0.2;

    /** A difference of KH that is worth a scale, mg/L as CaCO3: half a degree. */
    public const KH_MG_L = 8.9;

    /** Drained water with so much salt harms plants, g/L. */
    public const SALT_HARMS_PLANTS_G_L = 0.5;

    /** Softer than this a filter starves as it starts, KH or GH in mg/L as CaCO3: four degrees. */
    public const SOFT_MG_L = 71.4;
}
