<?php

declare(strict_types=1);

namespace App\Looks;

use App\Models\FishGroup;
use App\Models\Quarantine;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Fish\LookDue;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Words\Message;

/** Which fish are due to be looked at: for many systems at once, by as many queries as for one. */
final readonly class LooksDue
{
    public function __construct(private LimitsInForce $limits) {}

    /**
     * @param  Collection<int, System>  $systems
     * @param  array<string, LatestWater>  $water  by system id
     * @param  array<string, ?float>  $monthAgoC  by system id
     * @return array<string, ?Message> by system id; null where they are not due
     */
    public function of(Collection $systems, array $water, array $monthAgoC): array
    {
        $due = array_fill_keys($systems->map(static fn(System $one): string => $one->id)->all(), null);
        $held = $systems->filter(
            static fn(System $one): bool => $one->fish->contains(static fn(FishGroup $some): bool => $some->count > 0),
        );
        $ids = array_values($held->map(static fn(System $one): string => $one->id)->all());
        if ($ids === []) {
            return $due;
        }
        $looked = self::looked($ids);
        $highest = self::highest($ids);
        $protocols = Quarantine::query()->whereIn('system_id', $ids)->get()->keyBy('system_id');
        foreach ($held as $system) {
            $rules =
                $system->kind === 'quarantine' ? $protocols[$system->id] ?? new Quarantine(Quarantine::USUAL) : null;
            $due[$system->id] = LookDue::why(
                $looked[$system->id] ?? null,
                $rules?->looks_every_d,
                $this->incident($system, $highest[$system->id] ?? []),
                $water[$system->id]->get(Parameter::Temperature)?->value,
                $monthAgoC[$system->id] ?? null,
            );
        }

        return $due;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, float> days since somebody looked at the fish one by one, by system id
     */
    private static function looked(array $ids): array
    {
        $rows = DB::table('looks')
            ->join('notes', 'notes.id', '=', 'looks.id')
            ->whereNull('notes.withdrawn_at')
            ->whereIn('looks.system_id', $ids)
            ->groupBy('looks.system_id')
            ->selectRaw('looks.system_id AS id, max(notes.taken_at) AS at')
            ->get();
        $days = [];
        foreach ($rows as $row) {
            /** @var object{id: string, at: string} $row */
            $days[$row->id] = Carbon::parse($row->at)->diffInMinutes(Carbon::now()) / 1440;
        }

        return $days;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, list<object{parameter: string, value: string, low: string, high: string,
     *     taken_at: string}>> ammonia and nitrite read of late, by system id, the newest first
     */
    private static function highest(array $ids): array
    {
        $since = Carbon::now()->subDays((int) LookDue::AFTER_INCIDENT_D);
        $rows = DB::table('readings')
            ->join('visits', 'visits.id', '=', 'readings.visit_id')
            ->whereNull('visits.withdrawn_at')
            ->whereIn('readings.system_id', $ids)
            ->whereIn('readings.parameter', [Parameter::Ammonia->value, Parameter::Nitrite->value])
            ->where('readings.taken_at', '>', $since)
            // The same said of the visits, which are else read one and all.
            ->whereIn('visits.system_id', $ids)
            ->where('visits.taken_at', '>', $since)
            ->where('readings.value', '>', 0)
            ->orderByDesc('readings.taken_at')
            ->get([
                'readings.system_id',
                'readings.parameter',
                'readings.value',
                'readings.low',
                'readings.high',
                'readings.taken_at',
            ]);
        $found = [];
        foreach ($rows as $row) {
            /** @var object{system_id: string, parameter: string, value: string, low: string, high: string,
             *     taken_at: string} $row */
            $found[$row->system_id][] = $row;
        }

        return $found;
    }

    /**
     * @param  list<object{parameter: string, value: string, low: string, high: string, taken_at: string}>  $readings
     */
    private function incident(System $system, array $readings): ?float
    {
        foreach ($readings as $one) {
            $read = new Reading(
                Parameter::from($one->parameter),
                (float) $one->value,
                Interval::between((float) $one->low, (float) $one->high),
            );
            if ($this->limits->for($system, $read->parameter)->judge($read->heard())->state->worseThan(State::Watch)) {
                return Carbon::parse($one->taken_at)->diffInMinutes(Carbon::now()) / 1440;
            }
        }

        return null;
    }
}
