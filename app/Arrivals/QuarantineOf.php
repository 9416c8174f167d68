<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Expected\Residuals;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\Look;
use App\Models\Note;
use App\Models\Quarantine;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\WaterMeaning;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Arrival\Gate;
use Ironwort\Core\Arrival\GateFacts;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Judge\State;

/** How a quarantine stands: its days from the last fish that came, and what keeps its gate shut. */
final readonly class QuarantineOf
{
    public function __construct(
        private Registry $registry,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private WaterMeaning $meaning,
    ) {}

    public static function protocol(System $system): Quarantine
    {
        return Quarantine::query()->where('system_id', $system->id)->first() ?? new Quarantine(Quarantine::USUAL);
    }

    /** The day on which the last fish came into this water; null where nobody said when. */
    public static function since(System $system): ?Carbon
    {
        $arrived = $system->fish->max(static fn(FishGroup $one): ?Carbon => $one->arrived_on);
        $moved = FishEvent::query()->where('to_system_id', $system->id)->max('happened_on');
        $days = array_filter([
            $arrived instanceof Carbon ? $arrived->toDateString() : null,
            is_string($moved) ? substr($moved, 0, 10) : null,
        ]);

        return $days === [] ? null : Carbon::parse(max($days), $system->site->timezone)->startOfDay();
    }

    /** Whole days since then. */
    public static function day(System $system, Carbon $since): int
    {
        return (int) $since->diffInDays(Carbon::now($system->site->timezone)->startOfDay());
    }

    public function length(System $system, LatestWater $water, Quarantine $protocol, float $days): Result
    {
        return $this->registry->run('quarantine.length', [
            'temp_c' => $water->valueOrAssumed(Parameter::Temperature),
            'protocol_days' => $protocol->days,
            'life_cycle' => $protocol->life_cycle,
            'days_since_last_arrival' => max(0.0, $days),
        ]);
    }

    public function gate(System $system, LatestWater $water, float $daysLeft): Gate
    {
        $today = Carbon::now($system->site->timezone)->startOfDay();
        $lost = FishEvent::query()
            ->where('from_system_id', $system->id)
            ->where('kind', 'lost')
            ->where('happened_on', '>', $today->copy()->subDays((int) Gate::WEEK_D)->toDateString())
            ->get();
        $three = $today->copy()->subDays(3)->toDateString();
        $notes = Note::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('taken_at', '>', Carbon::now()->subDays(Rounds::LOOK_AGAIN_D))
            ->with('look')
            ->orderByDesc('taken_at')
            ->get()
            ->filter(static fn(Note $note): bool => $note->seen !== [] || $note->look !== null);
        $looks = $this->looks($notes);
        $ammonia = $water->get(Parameter::Ammonia);
        $nitrite = $water->get(Parameter::Nitrite);
        $state = $this->meaning->of($system, $water)->state;
        $in = [];
        foreach ($this->bodies->all($system) as $body) {
            array_push($in, ...array_column($this->residuals->now($system, $body), 'name'));
        }

        return Gate::of(
            new GateFacts(
                daysLeft: $daysLeft,
                fish: self::count($system->fish),
                lostThree: self::count(
                    $lost->filter(static fn(FishEvent $one): bool => $one->happened_on->toDateString() > $three),
                ),
                lostWeek: self::count($lost),
                testedD: $ammonia === null || $nitrite === null ? null : max($ammonia->ageH(), $nitrite->ageH()) / 24,
                bad: $state !== null && $state->worseThan(State::Watch),
                lookedD: $notes->first()?->taken_at->diffInDays(Carbon::now()),
                signs: array_values(
                    array_unique(
                        array_merge(
                            [],
                            ...array_values(
                                $notes->map(static fn(Note $note): array => Rounds::ailing($note->seen))->all(),
                            ),
                        ),
                    ),
                ),
                residuals: array_values(array_unique(array_map(lcfirst(...), $in))),
                ill: self::ill($looks[0] ?? null),
                illBefore: isset($looks[1]) ? self::ill($looks[1]) : null,
            ),
        );
    }

    /** @param  iterable<FishEvent|FishGroup>  $some */
    private static function count(iterable $some): int
    {
        $count = 0;
        foreach ($some as $one) {
            $count += $one->count;
        }

        return $count;
    }

    /**
     * The days on which fish were looked at one by one, with what was seen on each: the newest of the last three days
     * first, then the one before it. Several looks of one day are one: each may be at another group.
     *
     * @param  Collection<int, Note>  $notes  the newest first
     * @return list<list<Look>>
     */
    private function looks(Collection $notes): array
    {
        $days = [];
        foreach ($notes as $note) {
            if ($note->look !== null) {
                $days[$note->taken_at->toDateString()][] = $note->look;
            }
        }
        $newest = array_key_first($days);

        return $newest === null || Carbon::parse($newest)->diffInDays(Carbon::today()) > 3
            ? []
            : array_slice(array_values($days), 0, 2);
    }

    /** @param  ?list<Look>  $looks  of one day */
    private static function ill(?array $looks): int
    {
        $of = [];
        foreach ($looks ?? [] as $look) {
            foreach ($look->signs as $one) {
                $of[$one['sign']] = ($of[$one['sign']] ?? 0) + $one['count'];
            }
        }

        return $of === [] ? 0 : max($of);
    }
}
