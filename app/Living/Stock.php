<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\Condition;

/**
 * Who was in the water of a system on a day, kg: fish that are here, from the day they arrived, with those that went
 * since then put back. What a fish weighs now it is taken to have weighed then.
 */
final readonly class Stock
{
    /**
     * @param  list<array{arrived: ?string, count: int, kg: float, events: list<array{day: string, count:
     *     int}>}>  $groups  kg of one fish; events are what to add to today's count for every day before them
     */
    private function __construct(private array $groups) {}

    /** @param  Carbon  $from  what happened before it is not asked for */
    public static function of(System $system, Carbon $from): self
    {
        $events = FishEvent::query()->where('happened_on', '>=', $from->toDateString());
        $events->where(
            static fn($query) => $query->where('from_system_id', $system->id)->orWhere('to_system_id', $system->id),
        );
        $byName = [];
        foreach ($events->orderBy('happened_on')->get() as $event) {
            $byName[$event->group_name][] = $event;
        }
        $groups = [];
        foreach (FishGroup::query()->where('system_id', $system->id)->orderBy('position')->get() as $group) {
            $arrived = $group->arrived_on?->toDateString();
            $own = [];
            foreach ($byName[$group->name] ?? [] as $event) {
                $day = $event->happened_on->toDateString();
                $own[] = [
                    'day' => $day,
                    'count' => $event->from_system_id === $system->id ? $event->count : -$event->count,
                ];
            }
            // Groups of one name share what happened under it: it is counted once.
            unset($byName[$group->name]);
            $groups[] = [
                'arrived' => $arrived,
                'count' => $group->count,
                'kg' => Condition::weight($group->length_cm, $group->condition) / 1000,
                'events' => $own,
            ];
        }

        return new self($groups);
    }

    /** Kilograms at the end of a day. */
    public function kgOn(string $day): float
    {
        $kg = 0.0;
        foreach ($this->groups as $group) {
            if ($group['arrived'] !== null && $group['arrived'] > $day) {
                continue;
            }
            $count = $group['count'];
            foreach ($group['events'] as $event) {
                $count += $event['day'] > $day ? $event['count'] : 0;
            }
            $kg += max(0, $count) * $group['kg'];
        }

        return $kg;
    }

    /** @return list<string> days on which it changed */
    public function days(): array
    {
        $days = [];
        foreach ($this->groups as $group) {
            $days = [...$days, ...array_column($group['events'], 'day')];
            if ($group['arrived'] !== null) {
                $days[] = $group['arrived'];
            }
        }

        return array_values(array_unique($days));
    }
}
