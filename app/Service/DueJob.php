<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\Service;
use Illuminate\Support\Carbon;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Service\Due;
use Ironwort\Core\Service\Job;

/** One job on one part: when it was done, and how it stands. */
final readonly class DueJob
{
    public function __construct(
        public Job $job,
        public ServicedPart $part,
        public Due $due,
        public ?Carbon $doneAt,
        public ?Service $open,
        public bool $own,
    ) {}

    /** As a round says it. */
    public function text(): string
    {
        $left = $this->due->leftD;

        return "{$this->part->name}: " .
            lcfirst($this->job->name) .
            match (true) {
                $this->open !== null => ', begun',
                $this->due->stands === 'late' && $left !== null => ', late by ' . Format::days(-$left),
                default => '',
            };
    }

    /** The day on which it is due; null where nobody knows when it was done, or only what is seen makes it due. */
    public function dueOn(): ?Carbon
    {
        return $this->due->leftD === null ? null : Carbon::now()->addMinutes((int) round(1440 * $this->due->leftD));
    }
}
