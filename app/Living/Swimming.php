<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\FishGroup;
use Ironwort\Core\Fish\Condition;

/** One group of fish and the days on which it became more or fewer. */
final readonly class Swimming
{
    /** @param  list<array{day: string, count: int}>  $events  what to add to today's count for every day before each */
    public function __construct(public FishGroup $group, private array $events) {}

    /** How many were there at the end of a day. */
    public function on(string $day): int
    {
        $arrived = $this->arrived();
        if ($arrived !== null && $arrived > $day) {
            return 0;
        }
        $count = $this->group->count;
        foreach ($this->events as $event) {
            $count += $event['day'] > $day ? $event['count'] : 0;
        }

        return max(0, $count);
    }

    /** Of one fish; what it weighs now it is taken to have weighed then. */
    public function kg(): float
    {
        return Condition::weight($this->group->length_cm, $this->group->condition) / 1000;
    }

    /** @return list<string> days on which their number changed */
    public function days(): array
    {
        $arrived = $this->arrived();

        return [...array_column($this->events, 'day'), ...$arrived === null ? [] : [$arrived]];
    }

    private function arrived(): ?string
    {
        return $this->group->arrived_on?->toDateString();
    }
}
