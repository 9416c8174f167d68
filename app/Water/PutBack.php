<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Figure;
use App\Models\Course;
use App\Models\Good;
use App\Models\System;
use App\Readings\LimitsInForce;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Exchange\NewWater;
use Ironwort\Core\Judge\Parameter;
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
        $chlorine = $waters->source->reading(Parameter::Chlorine->value) ?? 0.0;
        if ($chlorine > 0) {
            $items[] = $this->conditioner($system, $waters, $litres, $chlorine);
        }
        $salt = $waters->now['salinity_g_l'] ?? 0.0;
        if ($salt >= NewWater::SALTED_G_L) {
            $input = [
                'volume_l' => $litres,
                'now_g_l' => $waters->new['salinity_g_l'] ?? 0.0,
                'target_g_l' => $salt,
                'steps' => 1,
            ];
            $grams = $this->registry->run('dose.salt', $input)->number('total_g');
            $items[] = new PutBackItem(
                what: 'salt',
                good: 'salt',
                name: 'Salt',
                text: Measures::grams($grams, true) .
                    ' of salt, dissolved, for the new water; not with zeolite in the loop',
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
                text: Measures::grams($grams) . ' of sodium bicarbonate, so that KH stays',
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
                    ', for the new water alone; the Course page knows what all of it needs',
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

    private function conditioner(System $system, TwoWaters $waters, float $litres, float $chlorine): PutBackItem
    {
        $kind = $waters->source?->chloramine() === true ? 'chloramine' : 'free';
        $good = Good::inUse($system->site_id, 'conditioner');
        $input = [
            'volume_l' => $litres,
            'chlorine_mg_l' => $chlorine,
            'kind' => $kind,
            ...$good === null ? [] : $good->label,
        ];
        $result = $this->registry->run('exchange.dechlorinate', $input);
        $key = is_numeric($result->figures['conditioner_ml']) ? 'conditioner_ml' : 'thiosulfate_g';
        $text =
            $key === 'conditioner_ml'
                ? Measures::millilitres($result->number($key), $good?->cap_ml) . " of {$good?->name}"
                : Measures::grams($result->number($key)) .
                    ' of sodium thiosulfate, or the conditioner of your own label';
        $school = $this->judging->following($system)->in('dechlorination');
        $how = match (true) {
            $school->id === 'spray' && $kind === 'chloramine' => '; spraying does not help, it is chloramine',
            $school->id === 'spray' => '; or sprayed in, which drives free chlorine off',
            $school->id === 'carbon' => '; or through the carbon, slowly enough',
            default => '',
        };

        return new PutBackItem(
            what: 'conditioner',
            good: $key === 'conditioner_ml' ? 'conditioner' : 'thiosulfate',
            name: 'Chlorine',
            text: $text . ', before fish meet it' . $how,
            figure: new Figure(
                $key === 'conditioner_ml' ? 'Conditioner' : 'Thiosulfate',
                $result->number($key),
                $key === 'conditioner_ml' ? 'mL' : 'g',
                'exchange.dechlorinate',
                $key,
                $input,
                $waters->origins,
            ),
        );
    }
}
