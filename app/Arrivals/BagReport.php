<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Forms\TypedFields;
use App\Models\Bag;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\VolumeReport;
use Ironwort\Core\Arrival\BagState;
use Ironwort\Core\Arrival\TubMatch;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;

/**
 * A bag of fish at the door of a system: what opening it would do, and how they get from their water into ours. What
 * was not measured of the bag is reckoned from its fish and hours, and shown as assumed.
 */
final readonly class BagReport
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private VolumeReport $volumes,
    ) {}

    /** @return list<Input> what may be measured of the water of a bag, all of it optional */
    public static function water(): array
    {
        return array_map(static fn(Input $one): Input => $one->optional(), [
            Input::number('litres', 'Water in the bag', 'L', 0.5, 2000),
            Input::number('temp_c', 'Temperature', '°C', 0, 40),
            Input::number('ph', 'pH', null, 5, 9.5),
            Input::number('tan_mg_l', 'Ammonia', 'mg/L as N', 0, 200),
            Input::number('kh', 'KH', 'dKH', 0, 50),
            Input::number('salinity_g_l', 'Salt', 'g/L', 0, 40),
            Input::number('no3_mg_l', 'Nitrate', 'mg/L as NO₃', 0, 1000),
        ]);
    }

    public static function drips(): Input
    {
        return Input::number('drip_l_min', 'Drip', 'L/min', 0.001, 1000);
    }

    /** @return list<Input> */
    private static function fields(): array
    {
        return [
            ...self::water(),
            Input::number('kg', 'Fish in it', 'kg', 0.01, 500),
            Input::number('hours', 'Closed for', 'h', 0, 96),
        ];
    }

    /** A bag of the book: its fish are known by their length, and its hours by when it was packed. */
    public function stored(System $system, LatestWater $water, Bag $bag, ?float $drip = null): BagAnswer
    {
        $hours = $bag->hours();
        $known = [
            'litres' => $bag->litres,
            'kg' => max(0.01, $bag->kg()),
            'hours' => $hours === null ? null : min(96.0, $hours),
            'temp_c' => $bag->temp_c,
            'ph' => $bag->ph,
            'tan_mg_l' => $bag->tan_mg_l,
            'kh' => $bag->kh_dkh,
            'salinity_g_l' => $bag->salinity_g_l,
            'no3_mg_l' => $bag->no3_n_mg_l === null ? null : $bag->no3_n_mg_l * MolarMass::NO3_PER_N,
            'drip_l_min' => $drip,
        ];

        return $this->of($system, $water, array_filter($known, static fn(?float $one): bool => $one !== null));
    }

    /** @param  array<array-key, mixed>  $query  as typed */
    public function of(System $system, LatestWater $water, array $query): BagAnswer
    {
        $typed = new TypedFields($query);
        $read = [];
        foreach (self::fields() as $field) {
            $read[$field->key] = $typed->number($field);
        }
        ['litres' => $litres, 'kg' => $kg, 'hours' => $hours, 'temp_c' => $temp, 'ph' => $ph] = $read;
        ['tan_mg_l' => $tan, 'salinity_g_l' => $salt, 'no3_mg_l' => $nitrate, 'kh' => $kh] = $read;
        $nitrate = $nitrate === null ? null : $nitrate / MolarMass::NO3_PER_N;
        $alkalinity = $kh === null ? null : Unit::CarbonateDegree->toCanonical($kh, Quantity::Alkalinity);
        $reckoned =
            $temp === null || $litres === null || $kg === null || $hours === null
                ? null
                : BagState::after($kg, $litres, $hours, $temp, $alkalinity ?? BagState::ALKALINITY);
        $their = array_filter(
            [
                'temp_c' => $temp,
                'ph' => $ph ?? $reckoned?->ph,
                'salinity_g_l' => $salt,
                'no3_n_mg_l' => $nitrate,
            ],
            static fn(?float $value): bool => $value !== null,
        );
        $tan ??= $reckoned?->tanMgL;
        $bag =
            $temp === null || $tan === null || !isset($their['ph'])
                ? null
                : $typed->attempt(
                    fn(): Result => $this->registry->run('arrival.bag', [
                        'bag_ph' => $their['ph'],
                        'bag_tan_mg_l' => min(200.0, $tan),
                        'alkalinity_mg_l' => $alkalinity ?? BagState::ALKALINITY,
                        'temp_c' => $temp,
                        'nh3_limit_mg_l' => min(1.0, $this->limits->unionisedRefused($system)),
                    ]),
                );
        $ours = self::ours($water);
        $both = array_intersect_key($their, $ours);
        $input = $litres === null || $both === [] ? [] : $this->asked($both, $ours, $litres, $typed);
        $turns = $bag?->figures['turns'] === true;
        $drip =
            $turns || $input === []
                ? null
                : $typed->attempt(fn(): Result => $this->registry->run('arrival.acclimatise', $input));
        $far = array_values(array_filter((array) ($drip->figures['match_first'] ?? []), is_string(...)));

        return new BagAnswer(
            reckoned: $reckoned,
            bag: $bag,
            drip: $drip,
            asked: $input,
            match: $drip === null ? [] : TubMatch::says($both, $ours, $far, $this->volumes->inUse($system)->value),
            ours: $ours,
            errors: $typed->errors,
        );
    }

    /**
     * @param  array<string, float>  $their
     * @param  array<string, float>  $ours
     * @return array<string, mixed> of `arrival.acclimatise`
     */
    private function asked(array $their, array $ours, float $litres, TypedFields $typed): array
    {
        $drip = $typed->number(self::drips());

        return [
            'from' => $their,
            'to' => array_intersect_key($ours, $their),
            'tub_l' => $litres,
            ...$drip === null ? [] : ['drip_l_min' => $drip],
        ];
    }

    /** @return array<string, float> as last read */
    private static function ours(LatestWater $water): array
    {
        $ours = [];
        foreach ([Parameter::Temperature, Parameter::Ph, Parameter::Salinity, Parameter::Nitrate] as $parameter) {
            $value = $water->get($parameter)?->value;
            if ($value !== null) {
                $ours[$parameter->value] = $value;
            }
        }

        return $ours;
    }
}
