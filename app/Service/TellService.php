<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\Service;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Ironwort\Core\Book\LogService;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Service\Job;

/** A job told in a line of the log bar: done already, and booked with all that follows. */
final readonly class TellService
{
    public function __construct(
        private DueJobs $due,
        private ServiceReport $report,
        private SettingOf $settings,
        private RunService $runs,
        private EndService $ends,
    ) {}

    /** @throws BadInput at `line` */
    public function tell(string $id, System $system, User $user, Carbon $at, LogService $line): void
    {
        if (Service::query()->whereKey($id)->exists()) {
            return;
        }
        [$part, $job] = $this->meant($system->unsetRelations(), $line);
        $setting = $this->settings->part($system, LatestWater::of($system), $part);
        $plan = PlannedRun::part($job, $part, $setting, false, $this->report->rinse($system));
        $run = $this->runs->begin($id, $system, $user, $plan);
        $run->fill(['way' => 'told', 'steps' => [], 'started_at' => $at])->save();
        $litres = $line->seconds === null || $setting->wasteLS === null ? null : $line->seconds * $setting->wasteLS;
        $this->ends->close($run, $system, $user, $job, $at, new ClosingNotes(waterL: $litres));
    }

    /** Takes back what a line told. */
    public function undo(string $id, System $system): void
    {
        $run = Service::query()->where('system_id', $system->id)->whereKey($id)->whereNull('withdrawn_at')->first();
        if ($run !== null) {
            $this->ends->undo($run, $system->unsetRelations());
        }
    }

    /**
     * @return array{ServicedPart, Job}
     *
     * @throws BadInput at `line`
     */
    private function meant(System $system, LogService $line): array
    {
        $book = ServiceBook::of($system);
        $found = $names = [];
        foreach (ServicedPart::all($system) as $part) {
            foreach (LogService::WORDS[$line->word] ?? [] as $steps) {
                $job = $this->job($part, $book, $steps);
                if ($job !== null) {
                    $names[] = $part->name;
                    $said = str_contains(mb_strtolower($part->name), $line->name) || $part->kinds === [$line->name];
                    if ($said) {
                        $found[] = [$part, $job];
                    }
                    break;
                }
            }
        }

        return count($found) === 1
            ? $found[0]
            : throw BadInput::at(
                'line',
                $names === []
                    ? "There is nothing to {$line->word} in this system."
                    : "Which one? {$line->word}, then " . implode(', ', $names) . '.',
            );
    }

    private function job(ServicedPart $part, ServiceBook $book, string $steps): ?Job
    {
        foreach ($this->due->jobsOf($part, $book) as $job) {
            if ($job->steps === $steps) {
                return $job;
            }
        }

        return null;
    }
}
