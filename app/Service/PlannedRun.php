<?php

declare(strict_types=1);

namespace App\Service;

use Ironwort\Core\Service\BigProcedure;
use Ironwort\Core\Service\BigWork;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\Procedure;
use Ironwort\Core\Service\Rinse;
use Ironwort\Core\Service\Setting;
use Ironwort\Core\Service\Step;

/** A job on a part of a system as it is about to be done: its steps, what it takes of time and water. */
final readonly class PlannedRun
{
    /**
     * @param  list<Step>  $steps
     * @param  bool  $stops  whether the pump is off meanwhile
     * @param  ?float  $waterL  that it takes out; null where that is not known
     */
    private function __construct(
        public Job $job,
        public ServicedPart $part,
        public array $steps,
        public bool $stops,
        public Rinse $rinse,
        public float $minutes,
        public ?float $waterL,
    ) {}

    public static function part(Job $job, ServicedPart $part, Setting $setting, bool $stops, Rinse $rinse): self
    {
        return new self(
            $job,
            $part,
            Procedure::of($job, $setting, $stops, $rinse),
            $stops && $setting->pumps !== [],
            $rinse,
            $job->minutes,
            Procedure::takesL($job, $setting, $stops),
        );
    }

    public static function whole(Job $job, ServicedPart $part, Setting $setting, BigWork $work): self
    {
        return new self(
            $job,
            $part,
            BigProcedure::of($job, $setting, $work),
            $setting->pumps !== [],
            Rinse::System,
            60 * $work->hours,
            // Where nothing stood yet nothing is taken out.
            $job->steps === 'fill' ? 0.0 : $work->refillL(),
        );
    }
}
