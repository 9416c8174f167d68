<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Course;
use App\Models\Good;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LimitsInForce;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\SaltCalculator;
use Ironwort\Core\Exchange\NewWater;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;

/**
 * What new water lacks that the old had, or has that fish must not meet: for the new water only, in the keeper's
 * measures.
 */
final readonly class PutBack
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $judging,
        private AgentTable $agents,
    ) {}

    /** @return list<PutBackItem> */
    public function of(System $system, TwoWaters $waters, float $litres): array
    {
        if ($litres <= 0 || $waters->source === null) {
            return [];
        }
        $items = [];
        array_push($items, ...$this->chlorine($system, $waters->source, $waters->origins, $litres));
        $salt = $waters->now['salinity_g_l'] ?? 0.0;
        if ($salt >= NewWater::SALTED_G_L && $salt > ($waters->new['salinity_g_l'] ?? 0.0)) {
            $input = [
                'volume_l' => $litres,
                'now_g_l' => min(SaltCalculator::STANDING_G_L, $waters->new['salinity_g_l'] ?? 0.0),
                // Above what may stand nothing is put back: the change thins it.
                'target_g_l' => min(SaltCalculator::STANDING_G_L, $salt),
            ];
            $grams = $this->registry->run('dose.salt', $input)->number('total_g');
            $items[] = new PutBackItem(
                what: 'salt',
                good: 'salt',
                name: 'Salt',
                text: Measures::grams($grams, true) .
                    ' of salt, dissolved, for the new water. Not with zeolite in the loop',
                figure: new Figure('Salt', $grams, 'g', 'dose.salt', 'total_g', $input, $waters->origins),
            );
        }
        $lacks = ($waters->now['alkalinity_mg_l'] ?? 0.0) - ($waters->new['alkalinity_mg_l'] ?? INF);
        if ($lacks > NewWater::KH_MG_L) {
            $input = [
                'volume_l' => $litres,
                'alkalinity_mg_l' => $waters->new['alkalinity_mg_l'],
                'target_alkalinity_mg_l' => $waters->now['alkalinity_mg_l'],
                'agent' => 'sodium_bicarbonate',
                'ph' => $waters->now['ph'] ?? AssumedWater::PH,
                'temp_c' => $waters->now['temp_c'] ?? AssumedWater::TEMPERATURE_C,
                'max_step_mg_l' => 1000,
            ];
            $grams = $this->registry->run('carbonate.buffer', $input)->number('dose_g');
            $items[] = new PutBackItem(
                what: 'buffer',
                good: 'bicarbonate',
                name: 'Buffer',
                text: Measures::grams($grams) . ' of sodium bicarbonate, to keep KH as it is',
                figure: new Figure('Bicarbonate', $grams, 'g', 'carbonate.buffer', 'dose_g', $input, $waters->origins),
            );
        }

        /** @var Collection<int, Course> $courses */
        $courses = Course::query()
            ->where('system_id', $system->id)
            ->whereNull('ended_at')
            ->whereNull('vessel_id')
            ->get();
        foreach ($courses as $course) {
            $agent = $this->agents->get($course->thing);
            $input = [
                'volume_l' => $litres,
                'dose_mg_l' => 0.0,
                'target_mg_l' => $course->dose_mg_l,
                'hours' => 0.0,
            ];
            $amount = $this->registry->run('dose.residual', $input)->number('top_up_g');
            $items[] = new PutBackItem(
                what: "course_{$course->thing}",
                good: $course->thing,
                name: $agent->name,
                text: ($agent->unit === 'mL' ? Measures::millilitres($amount) : Measures::grams($amount)) .
                    ' of ' .
                    lcfirst($agent->name) .
                    ', for the new water only. Course shows the dose for the whole volume',
                figure: new Figure(
                    $agent->name,
                    $amount,
                    $agent->unit,
                    'dose.residual',
                    'top_up_g',
                    $input,
                    $waters->origins,
                ),
            );
        }

        return $items;
    }

    /**
     * What takes the chlorine out of so much of a water, and what takes the ammonia that chloramine leaves. Mains water
     * that nobody tested is not taken as free of it.
     *
     * @param  list<Origin>  $origins
     * @return list<PutBackItem>
     */
    public function chlorine(System $system, WaterSource $source, array $origins, float $litres): array
    {
        $tested = $source->reading(Parameter::Chlorine->value);
        $chlorine = $tested ?? ($source->fromMains() ? AssumedWater::MAINS_CHLORINE_MG_L : 0.0);
        if ($chlorine <= 0 || $litres <= 0) {
            return [];
        }
        $kind = $source->chloramine() ? 'chloramine' : 'free';
        $good = Good::inUse($system->site_id, 'conditioner');
        $input = [
            'volume_l' => $litres,
            'chlorine_mg_l' => $chlorine,
            'kind' => $kind,
            ...$good === null ? [] : $good->label,
        ];
        $result = $this->registry->run('exchange.dechlorinate', $input);
        $conditions = is_numeric($result->figures['conditioner_ml']);
        $key = $conditions ? 'conditioner_ml' : 'thiosulfate_g';
        $text = $conditions
            ? Measures::millilitres($result->number($key), $good?->cap_ml) . " of {$good?->name}"
            : Measures::grams($result->number($key)) . ' of sodium thiosulfate, or your conditioner by its label';
        $school = $this->judging->following($system)->in('dechlorination');
        $how = match (true) {
            $tested === null => "; as if it held {$chlorine} mg/L, for nobody tested {$source->name}: test it",
            $school->id === 'spray' && $kind === 'chloramine' => '; spraying does not remove chloramine',
            $school->id === 'spray' => ', or spray it in to drive free chlorine off',
            $school->id === 'carbon' => ', or run it through the carbon slowly enough',
            default => '',
        };
        $figure = static fn(string $label, float $value, string $unit, string $of): Figure => new Figure(
            $label,
            $value,
            $unit,
            'exchange.dechlorinate',
            $of,
            $input,
            $origins,
        );

        return [
            new PutBackItem(
                what: 'conditioner',
                good: $conditions ? 'conditioner' : 'thiosulfate',
                name: 'Chlorine',
                text: $text . ', before fish meet it' . $how,
                figure: $figure(
                    $conditions ? 'Conditioner' : 'Thiosulfate',
                    $result->number($key),
                    $conditions ? 'mL' : 'g',
                    $key,
                ),
            ),
            ...!$conditions && $kind === 'chloramine'
                ? [$this->binder($system, $litres, $result->number('tan_released_mg_l'), $origins)]
                : [],
        ];
    }

    /**
     * Thiosulfate breaks chloramine and leaves its ammonia: what binds that in the new water.
     *
     * @param  list<Origin>  $origins
     */
    private function binder(System $system, float $litres, float $tan, array $origins): PutBackItem
    {
        $good = Good::inUse($system->site_id, 'binder');
        $said = Format::number($tan, 2) . ' mg/L of ammonia left by the chloramine';
        $label = array_map(floatval(...), $good->label ?? []);
        if (!isset($label['label_ml'], $label['label_treats_l'], $label['label_binds_mg_l'])) {
            return new PutBackItem(
                what: 'binder',
                good: 'binder',
                name: 'Ammonia left',
                text: "Binder by its label, for the {$said}",
                figure: new Figure('Ammonia left', $tan, 'mg/L as N', origins: $origins),
            );
        }
        $input = ['volume_l' => $litres, 'tan_mg_l' => $tan, ...$label];
        $ml = $this->registry->run('dose.binder', $input)->number('dose_ml');

        return new PutBackItem(
            what: 'binder',
            good: 'binder',
            name: 'Ammonia left',
            text: Measures::millilitres($ml, $good?->cap_ml) . " of {$good?->name}, for the {$said}",
            figure: new Figure('Binder', $ml, 'mL', 'dose.binder', 'dose_ml', $input, $origins),
        );
    }
}
