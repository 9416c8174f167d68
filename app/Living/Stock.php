<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\System;
use Illuminate\Support\Carbon;

/**
 * Who was in the water of a system on a day, kg: fish that are here, from the day they arrived, with those that went
 * since then put back.
 */
final readonly class Stock
{
    /** @param  list<Swimming>  $groups */
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
            $byName[$event->group_name][] = [
                'day' => $event->happened_on->toDateString(),
                'count' => $event->from_system_id === $system->id ? $event->count : -$event->count,
            ];
        }
        $groups = [];
        foreach (FishGroup::query()->where('system_id', $system->id)->orderBy('position')->get() as $group) {
            // Groups of one name share what happened under it: it is counted once.
            $groups[] = new Swimming($group, $byName[$group->name] ?? []);
            unset($byName[$group->name]);
        }

        return new self($groups);
    }

    /** Kilograms at the end of a day. */
    public function kgOn(string $day): float
    {
        return array_sum(
            array_map(static fn(Swimming $group): float => $group->on($day) * $group->kg(), $this->groups),
        );
    }

    /** @return list<array{group: FishGroup, count: int}> who was there at the end of a day */
    public function on(string $day): array
    {
        return array_map(
            static fn(Swimming $group): array => ['group' => $group->group, 'count' => $group->on($day)],
            $this->groups,
        );
    }

    /** @return list<string> days on which it changed */
    public function days(): array
    {
        $days = [];
        foreach ($this->groups as $group) {
            array_push($days, ...$group->days());
        }

        return array_values(array_unique($days));
    }
}
