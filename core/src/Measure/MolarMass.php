<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * Molar masses in g/mol, the one table behind every stoichiometric factor.
 *
 * @source iupac-2007
 */
final readonly class MolarMass
{
    public const H = 1.00794;

    public const C = 12.0107;

    public const N = 14.0067;

    public const O = 15.9994;

    public const CA = 40.078;

    public const NA = 22.98977;

    public const MG = 24.305;

    public const S = 32.065;

    public const CL = 35.453;

    public const K = 39.0983;

    public const CU = 63.546;

    public const H2O = 2 * self::H + self::O;

    public const NO2 = self::N + 2 * self::O;

    public const NO3 = self::N + 3 * self::O;

    /** What a nitrate reading as the ion is of one as nitrogen. */
    public const NO3_PER_N = self::NO3 / self::N;

    public const NH3 = self::N + 3 * self::H;

    public const NH4 = self::N + 4 * self::H;

    public const O2 = 2 * self::O;

    public const CO2 = self::C + 2 * self::O;

    public const CAO = self::CA + self::O;

    public const CACO3 = self::CA + self::C + 3 * self::O;
}
