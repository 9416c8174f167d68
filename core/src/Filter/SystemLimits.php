<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Given;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * What a system may not pass, and how far each limit is with more feed or more fish.
 *
 * Margins are positive while the limit holds, and fall as feed or fish grow. Units as in `filter.balance`.
 */
final readonly class SystemLimits
{
    /** The one limit that more feed to the same fish never reaches. */
    public const DENSITY = 'density';

    /** Feed of fish that get none yet, share of their weight a day: assumed where no ration is known. */
    private const RATION = 0.01;

    /** The stricter of total and un-ionised ammonia, mg/L as N. */
    public float $tan;

    private float $tanByUnionised;

    public float $oxygen;

    public function __construct(private Given $given)
    {
        $fraction = UnionisedAmmonia::of(
            1.0,
            $given->number('ph'),
            $given->number('temp_c'),
            $given->number('salinity_g_l'),
        )->fraction;
        $this->tanByUnionised = $given->number('nh3_limit_mg_l') / $fraction;
        $this->tan = min($given->number('tan_limit_mg_l'), $this->tanByUnionised);
        $this->oxygen = $given->number('do_limit_mg_l');
    }

    /** @return list<string> the limits that can run out here */
    public function names(): array
    {
        return [
            'ammonia',
            'unionised_ammonia',
            'oxygen',
            'alkalinity',
            ...$this->given->number('change_l_d') > 0 ? ['nitrate'] : [],
            ...$this->given->numberOrNull('density_limit_kg_m3') !== null ? [self::DENSITY] : [],
        ];
    }

    /** Fish and feed with something added: kg, and g/d beyond the ration of those kg. */
    public function load(float $kg, float $feed): DailyLoad
    {
        return DailyLoad::of(
            max(0.0, $this->given->number('biomass_kg') + $kg),
            max(0.0, $this->given->number('feed_g_d') + $feed + 1000 * $kg * $this->ration()),
            $this->given->number('protein_pct') / 100,
            $this->given->number('digestibility_pct') / 100,
            $this->given->number('uneaten_pct') / 100,
            $this->given->number('temp_c'),
        );
    }

    /** Feed a day as a share of weight. */
    public function ration(): float
    {
        $kg = $this->given->number('biomass_kg');

        return $kg > 0 && $this->given->number('feed_g_d') > 0
            ? $this->given->number('feed_g_d') / 1000 / $kg
            : self::RATION;
    }

    public function kg(): float
    {
        return $this->given->number('biomass_kg');
    }

    public function feed(): float
    {
        return $this->given->number('feed_g_d');
    }

    /** One fish of the length asked for, kg. */
    public function oneFishKg(): float
    {
        return (Condition::USUAL * $this->given->number('length_cm') ** 3) / 1e5;
    }

    private function usable(): float
    {
        return 1 - $this->given->number('kept_back_pct') / 100;
    }

    /** @param  float  $biomassKg  of all fish under that load */
    public function margin(string $limit, DailyLoad $load, float $biomassKg, Balance $balance): float
    {
        $tan = match ($limit) {
            'ammonia' => $this->given->number('tan_limit_mg_l'),
            'unionised_ammonia' => $this->tanByUnionised,
            default => null,
        };
        if ($tan !== null) {
            // What is kept back of the filter is no room.
            return $this->usable() *
                $balance->carries(
                    $tan,
                    $balance->oxygen(
                        $load->tan() - $balance->changed($tan),
                        $load->oxygenWithDirt($this->given->number('dirt_o2_g_g')),
                    ),
                ) -
                $load->tan();
        }

        return match ($limit) {
            'oxygen' => $balance->oxygen($load->tan(), $load->oxygenWithDirt($this->given->number('dirt_o2_g_g'))) -
                $this->oxygen,
            self::DENSITY => (float) $this->given->numberOrNull('density_limit_kg_m3') -
                (1000 * $biomassKg) / $this->given->number('volume_l'),
            'alkalinity' => $this->given->number('alkalinity_fall_mg_l_w') - $this->alkalinityFall($load->tan()),
            default => $this->given->number('no3_n_limit_mg_l') - (float) $this->nitrate($load->tan()),
        };
    }

    /** mg/L of CaCO3 that go in a week; negative where new water brings more. */
    public function alkalinityFall(float $nitrified): float
    {
        $source = $this->given->numberOrNull('source_alkalinity_mg_l') ?? $this->given->number('alkalinity_mg_l');
        $brought =
            ($this->given->number('change_l_d') / 1000) * ($source - $this->given->number('alkalinity_mg_l')) +
            ($this->given->number('topup_l_d') / 1000) * $source;

        return (7 * (DailyLoad::NET_ALKALINITY_PER_N * $nitrified - $brought)) /
            ($this->given->number('volume_l') / 1000);
    }

    /** Nitrate it settles at with the present changes; null without any. */
    public function nitrate(float $nitrified): ?float
    {
        $change = $this->given->number('change_l_d') / 1000;

        $source = $this->given->number('source_no3_n_mg_l');
        $toppedUp = ($this->given->number('topup_l_d') / 1000) * $source;

        return $change > 0 ? $source + ($nitrified + $toppedUp) / $change : null;
    }
}
