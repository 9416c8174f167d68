<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Reading as BookReading;
use App\Models\System;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Derived;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\State;

/**
 * The readings of a system since an instant, each judged by the limits in force now; with the un-ionised ammonia of
 * every test that read what it follows from, since the worse of both decides.
 */
final readonly class BadReadings
{
    public function __construct(private LimitsInForce $limits) {}

    /** @return array<string, list<BadReading>> by parameter, in order of time */
    public function since(System $system, Carbon $from, ?Carbon $until = null): array
    {
        $rows = BookReading::query()
            ->join('visits', 'visits.id', '=', 'readings.visit_id')
            ->whereNull('visits.withdrawn_at')
            ->where('readings.system_id', $system->id)
            ->whereBetween('readings.taken_at', [$from, $until ?? Carbon::now()])
            ->orderBy('readings.taken_at')
            ->orderBy('readings.id')
            ->get([
                'readings.id',
                'readings.visit_id',
                'readings.parameter',
                'readings.value',
                'readings.low',
                'readings.high',
                'readings.taken_at',
            ]);
        $found = $visits = $times = [];
        foreach ($rows as $row) {
            $read = $row->judged();
            $found[$read->parameter->value][] = $this->judge($system, $read, $row->taken_at);
            $visits[$row->visit_id][$read->parameter->value] = $read;
            $times[$row->visit_id] = $row->taken_at;
        }
        foreach ($visits as $id => $of) {
            $free = self::unionised($of);
            if ($free !== null) {
                $found[$free->parameter->value][] = $this->judge($system, $free, $times[$id]);
            }
        }

        return $found;
    }

    private function judge(System $system, Reading $read, Carbon $at): BadReading
    {
        $state = $this->limits->for($system, $read->parameter)->judge($read->heard())->state;

        return new BadReading($read, $at, $state, $state->worseThan(State::Watch));
    }

    /** @param  array<string, Reading>  $of  one visit */
    private static function unionised(array $of): ?Reading
    {
        $ammonia = $of[Parameter::Ammonia->value] ?? null;
        $ph = $of[Parameter::Ph->value] ?? null;
        $temp = $of[Parameter::Temperature->value] ?? null;

        return $ammonia === null || $ph === null || $temp === null
            ? null
            : Derived::unionisedAmmonia($ammonia, $ph, $temp, $of[Parameter::Salinity->value]->value ?? 0.0);
    }
}
