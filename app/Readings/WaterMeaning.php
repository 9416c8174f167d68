<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Reading as Entry;
use App\Models\System;
use App\Models\WaterSource;
use Ironwort\Core\Judge\Derived;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Plausible;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What readings mean for one system: strips with state words, the figures that follow, the worst of all.
 *
 * Works alike on readings just typed and on those in the book; what was typed goes before what is booked.
 */
final readonly class WaterMeaning
{
    public function __construct(private LimitsInForce $limits) {}

    /** @param  array<string, Reading>  $typed  by parameter */
    public function of(System $system, LatestWater $booked, array $typed = []): Meaning
    {
        $strips = [];
        $salt = $this->salt($booked, $typed);
        foreach (Parameter::measured() as $parameter) {
            $entry = $booked->get($parameter);
            $reading = $typed[$parameter->value] ?? $entry?->judged();
            if ($reading !== null) {
                $strips[] = $this->strip($system, $reading, isset($typed[$parameter->value]) ? null : $entry, $salt);
            }
        }
        foreach ($this->derived($system, $booked, $typed) as [$reading, $figure]) {
            $strips[] = $this->strip($system, $reading, null, $salt, $figure);
        }

        return new Meaning($strips, $this->asks($system, $booked, $typed, $strips));
    }

    /**
     * @param  array<string, Reading>  $typed
     * @param  list<Strip>  $strips
     * @return array<string, Message>
     */
    private function asks(System $system, LatestWater $booked, array $typed, array $strips): array
    {
        $saturation = null;
        $last = [];
        foreach ($strips as $strip) {
            $saturation =
                $strip->reading->parameter === Parameter::OxygenSaturation ? $strip->reading->value : $saturation;
        }
        foreach (array_keys($typed) as $key) {
            $entry = $booked->get(Parameter::from($key));
            if ($entry !== null) {
                $last[$key] = $entry->judged();
            }
        }

        return Plausible::ask(
            $typed,
            $last,
            $saturation,
            $system->water_id !== null &&
                WaterSource::query()->where('id', $system->water_id)->where('softened', true)->exists(),
        );
    }

    /**
     * @param  array<string, Reading>  $typed
     * @return list<array{Reading, \Closure(): Figure}>
     */
    private function derived(System $system, LatestWater $booked, array $typed): array
    {
        $pick = static fn(Parameter $p): ?Reading => $typed[$p->value] ?? $booked->get($p)?->judged();
        [$ammonia, $ph, $temperature, $oxygen] = array_map($pick, [
            Parameter::Ammonia,
            Parameter::Ph,
            Parameter::Temperature,
            Parameter::Oxygen,
        ]);
        $salt = $this->saltReading($booked, $typed);
        $salinity = $salt->value ?? 0.0;
        $ofSalt = fn(): Origin => $salt === null
            ? new Origin('salinity_g_l', 'Salinity', '0 g/L', 'assumed', 'assumed: fresh water')
            : $this->origin($salt, $booked, $typed);
        $derived = [];
        if ($ammonia !== null && $ph !== null && $temperature !== null) {
            $derived[] = [
                ($unionised = Derived::unionisedAmmonia($ammonia, $ph, $temperature, $salinity)),
                fn(): Figure => new Figure(
                    'Un-ionised ammonia',
                    $unionised->value,
                    'mg/L as N',
                    'ammonia.unionised',
                    'nh3_n_mg_l',
                    [
                        'tan_mg_l' => $ammonia->value,
                        'ph' => $ph->value,
                        'temp_c' => $temperature->value,
                        'salinity_g_l' => $salinity,
                    ],
                    [
                        ...array_map(fn(Reading $r): Origin => $this->origin($r, $booked, $typed), [
                            $ammonia,
                            $ph,
                            $temperature,
                        ]),
                        $ofSalt(),
                    ],
                ),
            ];
        }
        if ($oxygen !== null && $temperature !== null) {
            $altitude = $system->site->altitude_m;
            $derived[] = [
                ($saturation = Derived::oxygenSaturation($oxygen, $temperature, $salinity, $altitude)),
                fn(): Figure => new Figure(
                    'Oxygen saturation',
                    $saturation->value,
                    '%',
                    'oxygen.percent',
                    'sat_pct',
                    [
                        'do_mg_l' => $oxygen->value,
                        'temp_c' => $temperature->value,
                        'salinity_g_l' => $salinity,
                        'altitude_m' => $altitude,
                    ],
                    [
                        ...array_map(fn(Reading $r): Origin => $this->origin($r, $booked, $typed), [
                            $oxygen,
                            $temperature,
                        ]),
                        $ofSalt(),
                        new Origin(
                            'altitude_m',
                            'Altitude',
                            Format::number($altitude) . ' m',
                            'build',
                            "as set for {$system->site->name}",
                        ),
                    ],
                ),
            ];
        }

        $alkalinity = $pick(Parameter::Alkalinity);
        if ($ph !== null && $alkalinity !== null && $temperature !== null) {
            $derived[] = [
                ($dioxide = Derived::carbonDioxide($ph, $alkalinity, $temperature, $salinity)),
                fn(): Figure => new Figure(
                    'CO₂',
                    $dioxide->value,
                    'mg/L',
                    'carbonate.co2',
                    'co2_mg_l',
                    [
                        'ph' => $ph->value,
                        'alkalinity_mg_l' => $alkalinity->value,
                        'temp_c' => $temperature->value,
                        'salinity_g_l' => $salinity,
                    ],
                    [
                        ...array_map(fn(Reading $r): Origin => $this->origin($r, $booked, $typed), [
                            $ph,
                            $alkalinity,
                            $temperature,
                        ]),
                        $ofSalt(),
                    ],
                ),
            ];
        }

        return $derived;
    }

    /** @param  ?\Closure(): Figure  $figure */
    private function strip(
        System $system,
        Reading $reading,
        ?Entry $entry,
        float $salt,
        ?\Closure $figure = null,
    ): Strip {
        $limits = $this->limits->for($system, $reading->parameter)->shielded($salt);

        return new Strip(
            $reading,
            $limits->judge($reading->heard()),
            $limits,
            $entry,
            $figure,
            $system->judgedAs() !== 'starting',
        );
    }

    /**
     * The salt that surely is in the water, g/L; nothing where it was not measured lately.
     *
     * @param  array<string, Reading>  $typed
     */
    private function salt(LatestWater $booked, array $typed): float
    {
        return $this->saltReading($booked, $typed)->interval->low ?? 0.0;
    }

    /**
     * Salt as typed, or as measured not too long ago.
     *
     * @param  array<string, Reading>  $typed
     */
    private function saltReading(LatestWater $booked, array $typed): ?Reading
    {
        $entry = $booked->get(Parameter::Salinity);

        return $typed[Parameter::Salinity->value] ??
            ($entry === null || $entry->taken_at->diffInDays(now()) > Limits::SALT_STANDS_D ? null : $entry->judged());
    }

    /** @param  array<string, Reading>  $typed */
    private function origin(Reading $reading, LatestWater $booked, array $typed): Origin
    {
        $entry = isset($typed[$reading->parameter->value]) ? null : $booked->get($reading->parameter);

        return ReadingOrigin::of($reading, $entry);
    }
}
