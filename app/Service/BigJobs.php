<?php

declare(strict_types=1);

namespace App\Service;

use App\Expected\ExpectedWater;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use App\Water\ChangeContext;
use App\Water\PutBack;
use App\Water\PutBackItem;
use App\Water\TwoWaters;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Service\BigWork;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Words\Message;

/** What a job that empties or fills a whole system means for this one. */
final readonly class BigJobs
{
    /** Filled in parts from so much on: the first is looked at before the rest follows. */
    private const PARTS_FROM_L = 1000.0;

    private const PARTS = 3;

    public function __construct(
        private Registry $registry,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private WaterBodies $bodies,
        private ExpectedWater $expected,
        private PutBack $putBack,
        private ChangeContext $changes,
        private LimitsInForce $limits,
    ) {}

    public function work(System $system, LatestWater $water, Job $job, BigAsked $asked): BigWork
    {
        $volume = $this->volumes->inUse($system)->value;
        $kept = ($volume * $asked->keptPct) / 100;
        $kg = $job->steps === 'fill' ? 0.0 : $this->systems->biomass($system)->value;
        $held = $kg > 0 ? $this->held($system, $water, $kg, $asked->tubL ?? 1000.0, true) : null;
        $hours = is_numeric($held?->figures['hours_to_ammonia']) ? $held->number('hours_to_ammonia') : null;

        return new BigWork(
            volumeL: $volume,
            keptL: $kept,
            hours: $asked->hours,
            fishKg: $kg,
            tubL: $asked->tubL,
            // Twice the water takes twice as long to foul.
            leastTubL: $hours === null || $hours <= 0 ? null : (($asked->tubL ?? 1000.0) * $asked->hours) / $hours,
            staysH: $asked->tubL === null ? null : $hours,
            airlessMin: $kg > 0 && $asked->tubL !== null
                ? $this->held($system, $water, $kg, $asked->tubL, false)->number('minutes_to_low_oxygen')
                : null,
            fills: $this->fills($system, $water, $job, $volume - $kept),
            standing: Deed::StoodOpen->costs($asked->hours, 1.0),
            siltL: self::silt($system, $water),
            plants: $system->vessels->contains(static fn(Vessel $one): bool => $one->plants_m2 > 0),
        );
    }

    private function held(System $system, LatestWater $water, float $kg, float $tubL, bool $aired): Result
    {
        return $this->registry->run('fish.shut_off', [
            'volume_l' => $tubL,
            'biomass_kg' => $kg,
            'temp_c' => $water->valueOrAssumed(Parameter::Temperature),
            'ph' => $water->valueOrAssumed(Parameter::Ph),
            'tan_mg_l' => $water->get(Parameter::Ammonia)->value ?? 0.0,
            'aired' => $aired ? 'yes' : 'no',
            'nh3_limit_mg_l' => min(1.0, $this->limits->unionised($system)),
            ...($oxygen = $water->get(Parameter::Oxygen)?->value) === null ? [] : ['do_mg_l' => $oxygen],
        ]);
    }

    /** @return list<string> the new water part by part, with what takes the chlorine out of each */
    private function fills(System $system, LatestWater $water, Job $job, float $litres): array
    {
        $waters = TwoWaters::of($system, $water, $this->expected, $this->bodies->all($system)[0], null);
        if ($job->steps === 'fill') {
            return array_map(
                static fn(Message $one): string => $one->text,
                $this->changes->firstFill($waters, $this->putBack, $system),
            );
        }
        $parts = $litres >= self::PARTS_FROM_L ? self::PARTS : 1;
        $given =
            $waters->source === null
                ? []
                : $this->putBack->chlorine($system, $waters->source, $waters->origins, $litres / $parts);
        $texts = [];
        for ($n = 1; $n <= $parts; $n++) {
            $texts[] = Message::of($given === [] ? 'exchange.fill_part' : 'exchange.fill_part_given', [
                'n' => (string) $n,
                'of' => (string) $parts,
                'litres' => Format::about($litres / $parts, 2),
                'water' => $waters->source->name ?? 'water free of chlorine',
                'given' => implode(', ', array_map(static fn(PutBackItem $one): string => $one->text, $given)),
            ])->text;
        }

        return $texts;
    }

    /** Litres of silt, where its depth was read. */
    private static function silt(System $system, LatestWater $water): ?float
    {
        $depth = $water->get(Parameter::Silt)?->value;
        $area = $system->vessels->sum('silt_m2');

        return $depth === null || !is_numeric($area) || (float) $area <= 0 ? null : 10 * $depth * (float) $area;
    }
}
