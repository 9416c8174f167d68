<?php

declare(strict_types=1);

namespace App\Bench;

use App\Capacity\SystemLoad;
use App\Expected\ExpectedWater;
use App\Expected\WaterTurned;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\Good;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\Salt;

/** What is known of a system, by the keys under which calculators ask for it, with where it is from. */
final readonly class BenchContext
{
    private const READINGS = [
        'tan_mg_l',
        'no2_n_mg_l',
        'alkalinity_mg_l',
        'hardness_mg_l',
        'ph',
        'temp_c',
        'salinity_g_l',
        'do_mg_l',
    ];

    public function __construct(
        private VolumeReport $volumes,
        private ExpectedWater $expected,
        private LoopSums $systems,
        private SystemLoad $load,
        private LimitsInForce $judging,
    ) {}

    /**
     * @param  list<string>  $wanted  keys; nothing is worked out that no field asks for
     * @return array<string, array{float|string, Origin}> by key; a reading that is stale says so
     */
    public function of(System $system, LatestWater $water, array $wanted): array
    {
        $known = [];
        $wants = static fn(string ...$keys): bool => array_intersect($keys, $wanted) !== [];
        $keep = static function (
            string $key,
            string $label,
            float|string $value,
            string $text,
            string $kind,
            string $from,
        ) use (&$known): void {
            $known[$key] = [$value, new Origin($key, $label, $text, $kind, $from)];
        };
        $volume = $wants('volume_l') ? $this->volumes->inUse($system)->value : 0.0;
        if ($volume > 0) {
            $keep('volume_l', 'Volume', $volume, Format::number($volume, 5) . ' L', 'build', 'as doses use it');
        }
        $asked = $wants('now_g_l', 'chloride_mg_l') ? [...$wanted, 'salinity_g_l'] : $wanted;
        $readings = array_intersect(self::READINGS, $asked);
        $reckoned = $readings === [] ? [] : $this->expected->now($system, $water);
        foreach ($readings as $key) {
            $entry = $water->get(Parameter::from($key));
            if ($entry === null) {
                continue;
            }
            $parameter = Parameter::from($key);
            $value = $reckoned[$key] ?? $entry->value;
            $stale = $entry->taken_at->diffInDays(now()) > Validity::READING_D ? ', stale: test again' : '';
            $keep(
                $key,
                $parameter->name(),
                $value,
                trim(Format::number($parameter->shown($value), 3) . ' ' . $parameter->symbol()),
                isset($reckoned[$key]) ? 'computed' : 'measured',
                (isset($reckoned[$key]) ? 'estimated since the reading ' : 'measured ') .
                    Age::of($entry->taken_at) .
                    $stale,
            );
        }
        if (isset($known['salinity_g_l'])) {
            $known['now_g_l'] = $known['salinity_g_l'];
            $chloride = Salt::chlorideMgL((float) $known['salinity_g_l'][0]);
            $keep(
                'chloride_mg_l',
                'Chloride',
                $chloride,
                Format::number($chloride, 3) . ' mg/L',
                'computed',
                'from the salt ' . $known['salinity_g_l'][1]->from,
            );
        }
        if ($wants('nh3_limit_mg_l')) {
            $burns = $this->judging->unionisedRefused($system);
            $keep(
                'nh3_limit_mg_l',
                'Most un-ionised ammonia',
                $burns,
                Format::number($burns) . ' mg/L as N',
                'limit',
                'the act limit of this life stage',
            );
        }
        if ($wants('chlorine_mg_l', 'kind', 'source_temp_c')) {
            $this->source($system, $keep);
        }
        if ($wants('trickle_l_min')) {
            self::trickle($system, $keep);
        }
        if ($wants('flow_l_h')) {
            $this->comes($system, $keep);
        }
        if ($wants('treated_l')) {
            $litres = self::treated($system);
            $keep(
                'treated_l',
                'Treated so far',
                $litres,
                Format::number($litres, 4) . ' L',
                'computed',
                'by the trickles and changes in the book',
            );
        }
        if ($wants('label_chlorine_mg_l')) {
            $this->conditioner($system, $keep);
        }
        if ($wants('surface_m2')) {
            $surface = $this->systems->surface($system);
            $keep(
                'surface_m2',
                'Open surface',
                $surface,
                Format::number($surface, 3) . ' m²',
                'build',
                'from the shapes of the vessels',
            );
        }
        if ($wants('walls_m2')) {
            $walls = $this->systems->walls($system);
            $keep(
                'walls_m2',
                'Walls and floor',
                $walls,
                Format::number($walls, 3) . ' m²',
                'build',
                'from the shapes of the vessels',
            );
        }
        if ($wants('production_g_d') && $system->fish->isNotEmpty()) {
            $load = $this->load->now($system, $water)->value;
            $keep(
                'production_g_d',
                'Ammonia made',
                $load,
                Format::number($load, 3) . ' g N/d',
                'computed',
                'all that the fish give',
            );
        }

        return $known;
    }

    /** @param  \Closure(string, string, float|string, string, string, string): void  $keep */
    private function source(System $system, \Closure $keep): void
    {
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        if ($source !== null) {
            $chlorine = $source->reading('chlorine_mg_l');
            if ($chlorine !== null) {
                $keep(
                    'chlorine_mg_l',
                    'Chlorine',
                    $chlorine,
                    Format::number($chlorine) . ' mg/L',
                    'measured',
                    "test of {$source->name}",
                );
                $keep(
                    'kind',
                    'It is',
                    $source->chloramine() ? 'chloramine' : 'free',
                    $source->chloramine() ? 'chloramine' : 'free chlorine',
                    'measured',
                    "test of {$source->name}",
                );
            }
            $temp = $source->reading('temp_c');
            if ($temp !== null) {
                $keep(
                    'source_temp_c',
                    'New water',
                    $temp,
                    Format::number($temp) . ' °C',
                    'measured',
                    "test of {$source->name}",
                );
            }
        }
    }

    /** @param  \Closure(string, string, float|string, string, string, string): void  $keep */
    private static function trickle(System $system, \Closure $keep): void
    {
        $trickle = Trickle::running($system);
        if ($trickle !== null) {
            $keep(
                'trickle_l_min',
                'Trickle',
                $trickle->flow_l_h / 60,
                Format::number($trickle->flow_l_h / 60, 3) . ' L/min',
                'plan',
                'the trickle that runs',
            );
        }
    }

    /**
     * All new water, whichever way it comes in: each litre has to be warmed.
     *
     * @param  \Closure(string, string, float|string, string, string, string): void  $keep
     */
    private function comes(System $system, \Closure $keep): void
    {
        $turned = WaterTurned::of($system, $this->systems->surface($system));
        $flow = $turned->comesLD() / 24;
        $keep('flow_l_h', 'New water', $flow, Format::number($flow, 3) . ' L/h', 'computed', $turned->comesFrom());
        $temp = $turned->brings['temp_c'] ?? null;
        if ($temp !== null) {
            $keep(
                'source_temp_c',
                'New water',
                $temp,
                Format::number($temp, 3) . ' °C',
                'measured',
                'tests of the waters that come in',
            );
        }
    }

    /** All that came out of the water this system is filled from, for the whole site: one train serves it. */
    private static function treated(System $system): float
    {
        $changed = WaterChange::query()
            ->where('site_id', $system->site_id)
            ->where('water_id', $system->water_id)
            ->whereNull('withdrawn_at')
            ->sum('litres');
        $trickled = Trickle::query()
            ->where('site_id', $system->site_id)
            ->where('water_id', $system->water_id)
            ->get()
            ->sum(
                static fn(Trickle $trickle): float => $trickle->flow_l_h *
                    $trickle->started_at->diffInHours($trickle->ended_at ?? now()),
            );

        return (float) $changed + $trickled;
    }

    /** @param  \Closure(string, string, float|string, string, string, string): void  $keep */
    private function conditioner(System $system, \Closure $keep): void
    {
        $good = Good::inUse($system->site_id, 'conditioner');
        foreach ($good->label ?? [] as $key => $value) {
            $keep($key, 'Label', (float) $value, Format::number((float) $value), 'typed', "label of {$good?->name}");
        }
    }
}
