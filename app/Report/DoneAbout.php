<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Dose;
use App\Models\Service;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Spell;
use Ironwort\Core\Measure\Format;

/** What was done in a system in a period: asked for once, and told for each spell of trouble in it. */
final readonly class DoneAbout
{
    /** What is done on the day after belongs to it still. */
    private const AFTER_D = 2;

    /**
     * @param  list<array{at: Carbon, litres: float}>  $changes
     * @param  list<array{at: Carbon, name: string}>  $deeds  doses, then service
     */
    private function __construct(private string $zone, private array $changes, private array $deeds) {}

    public static function in(System $system, Period $period): self
    {
        $times = [$period->from, $period->until->copy()->addDays(self::AFTER_D)];
        $changes = WaterChange::query()->where('system_id', $system->id)->whereNull('withdrawn_at');
        $doses = Dose::query()->where('system_id', $system->id)->whereNull('withdrawn_at');
        $done = Service::query()->where('system_id', $system->id)->whereNull('withdrawn_at');
        $deeds = [];
        foreach ($doses->whereBetween('given_at', $times)->orderBy('given_at')->get() as $dose) {
            $deeds[] = ['at' => $dose->given_at, 'name' => lcfirst($dose->name)];
        }
        foreach ($done->whereBetween('ended_at', $times)->orderBy('ended_at')->get() as $service) {
            if ($service->ended_at !== null) {
                $deeds[] = ['at' => $service->ended_at, 'name' => lcfirst($service->job_name)];
            }
        }

        return new self(
            $system->site->timezone,
            array_values(
                $changes
                    ->where('kind', 'batch')
                    ->whereBetween('changed_at', $times)
                    ->get()
                    ->map(static fn(WaterChange $one): array => ['at' => $one->changed_at, 'litres' => $one->litres])
                    ->all(),
            ),
            $deeds,
        );
    }

    /** @return list<string> water first, then doses, then service; each with how often */
    public function while(Spell $spell): array
    {
        $from = Carbon::parse($spell->from, $this->zone);
        $until = Carbon::parse($spell->until, $this->zone)->addDays(self::AFTER_D);
        $then = static fn(array $one): bool => $one['at'] >= $from && $one['at'] < $until;
        $litres = array_sum(array_column(array_filter($this->changes, $then), 'litres'));
        $counted = array_count_values(array_column(array_filter($this->deeds, $then), 'name'));

        return [
            ...$litres >= 1 ? [Format::about($litres, 2) . ' L changed'] : [],
            ...array_map(
                static fn(int|string $name, int $times): string => $times === 1 ? (string) $name : "{$name} ({$times})",
                array_keys($counted),
                array_values($counted),
            ),
        ];
    }
}
