<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Forms\TypedFields;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Ironwort\Core\Arrival\BagState;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;

/**
 * A bag of fish at the door of a system: what opening it would do, and how they get from their water into ours. What
 * was not measured of the bag is reckoned from its fish and hours, and shown as assumed.
 */
final readonly class BagReport
{
    public function __construct(private Registry $registry, private LimitsInForce $limits) {}

    /**
     * @param  array<array-key, mixed>  $query  as typed
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $query): array
    {
        $typed = new TypedFields($query);
        $read = static fn(Input $field): ?float => $typed->number($field);
        $litres = $read(Input::number('litres', 'Water in the bag', 'L', 0.5, 2000));
        $kg = $read(Input::number('kg', 'Fish in it', 'kg', 0.01, 500));
        $hours = $read(Input::number('hours', 'Closed for', 'h', 0, 96));
        $temp = $read(Input::number('temp_c', 'Temperature', '°C', 0, 40));
        $ph = $read(Input::number('ph', 'pH', null, 5, 9.5));
        $tan = $read(Input::number('tan_mg_l', 'Ammonia', 'mg/L as N', 0, 200));
        $salt = $read(Input::number('salinity_g_l', 'Salt', 'g/L', 0, 40));
        $nitrate = $read(Input::number('no3_mg_l', 'Nitrate', 'mg/L as NO₃', 0, 1000));
        $nitrate = $nitrate === null ? null : $nitrate / MolarMass::NO3_PER_N;
        $kh = $read(Input::number('kh', 'KH', 'dKH', 0, 50));
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
        $turns = $bag?->figures['turns'] === true;
        $drip = $turns || $litres === null ? null : $this->drip($system, $water, $their, $litres, $typed);

        return [
            'reckoned' =>
                $reckoned === null
                    ? null
                    : ['tan_mg_l' => $reckoned->tanMgL, 'ph' => $reckoned->ph, 'co2_mg_l' => $reckoned->co2MgL],
            'bag' => $bag === null ? null : $this->opened($bag),
            'turns' => $turns,
            'drip' => $drip,
            'cautions' => array_map(
                static fn(Caution $one): array => $one->toArray(),
                $bag === null ? [] : $bag->cautions,
            ),
            'ours' => $this->ours($water),
            'errors' => (object) $typed->errors,
        ];
    }

    /** @return array<string, mixed> */
    private function opened(Result $bag): array
    {
        return [
            'co2_mg_l' => $bag->number('co2_mg_l'),
            'nh3_in_bag_mg_l' => $bag->number('nh3_n_in_bag_mg_l'),
            'ph_aired' => $bag->number('ph_aired'),
            'nh3_aired_mg_l' => $bag->number('nh3_n_aired_mg_l'),
        ];
    }

    /**
     * @param  array<string, float>  $their
     * @return ?array<string, mixed>
     */
    private function drip(System $system, LatestWater $water, array $their, float $litres, TypedFields $typed): ?array
    {
        $ours = array_intersect_key($this->ours($water), $their);
        $their = array_intersect_key($their, $ours);
        if ($ours === []) {
            return null;
        }
        $asked = $typed->number(Input::number('drip_l_min', 'Drip', 'L/min', 0.001, 1000));
        $input = [
            'from' => $their,
            'to' => $ours,
            'tub_l' => $litres,
            ...$asked === null ? [] : ['drip_l_min' => $asked],
        ];
        $found = $typed->attempt(fn(): Result => $this->registry->run('arrival.acclimatise', $input));
        if ($found === null) {
            return null;
        }
        $figure = static fn(string $label, string $key, string $unit): ?array => is_numeric($found->figures[$key])
            ? (new Figure($label, $found->number($key), $unit, 'arrival.acclimatise', $key, $input, [
                new Origin('tub_l', 'Their water', Format::number($litres) . ' L', 'typed', 'as typed'),
            ]))->toArray()
            : null;

        return [
            'minutes' => $figure('Drip for', 'minutes', 'min'),
            'drip_l_min' => $figure('Drip at', 'drip_l_min', 'L/min'),
            'added_l' => $figure('Water added', 'added_l', 'L'),
            'limiting' => is_string($found->figures['limiting'])
                ? Parameter::from($found->figures['limiting'])->name()
                : null,
            'match_first' => $found->figures['match_first'] !== [],
            'cautions' => array_map(static fn(Caution $one): array => $one->toArray(), $found->cautions),
        ];
    }

    /** @return array<string, float> as last read */
    private function ours(LatestWater $water): array
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
