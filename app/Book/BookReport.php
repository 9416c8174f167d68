<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\Dose;
use App\Models\Feed;
use App\Models\FishEvent;
use App\Models\MeterReading;
use App\Models\Note;
use App\Models\Reading;
use App\Models\System;
use App\Models\Visit;
use App\Models\WaterChange;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Dose\BoundAmmonia;
use Ironwort\Core\Judge\Parameter;

/** The entries of a system's book, newest first: what was tested, fed, seen, done, and what came and went. */
final readonly class BookReport
{
    public const KINDS = ['tests', 'feeds', 'notes', 'water', 'doses', 'fish', 'filter', 'rounds'];

    private const PAGE = 40;

    public function __construct(private WaterBodies $bodies) {}

    /**
     * @param  list<string>  $kinds
     * @return array{entries: list<array<string, mixed>>, next: ?string}
     */
    public function of(System $system, array $kinds, ?Carbon $before): array
    {
        /** @var Collection<int, BookEntry> $entries */
        $entries = collect();
        foreach (array_intersect(self::KINDS, $kinds) as $kind) {
            $entries = $entries->concat(
                $this->kind($system, $kind, $before ?? Carbon::now()->addDay(), self::PAGE + 1),
            );
        }
        $sorted = $entries->sortByDesc(static fn(BookEntry $entry): string => $entry->order())->values();
        $page = array_values($sorted->take(self::PAGE)->all());

        $last = $page[self::PAGE - 1] ?? null;

        return [
            'entries' => array_map(static fn(BookEntry $entry): array => $entry->toArray(), $page),
            'next' => $sorted->count() > self::PAGE ? $last?->at->toIso8601ZuluString() : null,
        ];
    }

    /**
     * What runs as a mark through every strip of the score.
     *
     * @return list<array{at: string, kind: string, text: string}>
     */
    public function marks(System $system, Carbon $from, Carbon $to): array
    {
        $marks = [];
        foreach (['notes', 'water', 'doses', 'fish', 'filter'] as $kind) {
            foreach ($this->kind($system, $kind, $to, 200) as $entry) {
                if ($entry->at->gte($from)) {
                    $marks[] = [
                        'at' => $entry->at->toIso8601ZuluString(),
                        'kind' => $kind,
                        'text' => $entry->text,
                    ];
                }
            }
        }

        return $marks;
    }

    /** @return Collection<int, BookEntry> */
    private function kind(System $system, string $kind, Carbon $before, int $most): Collection
    {
        return match ($kind) {
            'tests' => $this->tests($system, $before, $most),
            'feeds' => $this->feeds($system, $before, $most),
            'notes' => $this->notes($system, $before, $most),
            'water' => $this->water($system, $before, $most),
            'doses' => $this->doses($system, $before, $most),
            'fish' => $this->fish($system, $before, $most),
            'rounds' => RoundEntries::before($system, $before, $most),
            default => FilterEntries::before($system, $before, $most),
        };
    }

    /** @return Collection<int, BookEntry> */
    private function tests(System $system, Carbon $before, int $most): Collection
    {
        $query = Visit::bookedAt($system)->with('corrects.readings');
        $query->where('taken_at', '<', $before);
        /** @var Collection<int, Visit> $visits */
        $visits = $query->limit($most)->get();

        $oldest = $visits->last();
        /** @var Collection<int, Dose> $binders */
        $binders =
            $oldest === null
                ? collect()
                : Dose::query()
                    ->where('system_id', $system->id)
                    ->whereNull('withdrawn_at')
                    ->where('thing', 'binder')
                    ->where('given_at', '>=', $oldest->taken_at->copy()->subHours(BoundAmmonia::HOURS))
                    ->limit(500)
                    ->get();
        $bound = static fn(Visit $visit): string => $visit->readings->contains(
            static fn(Reading $reading): bool => $reading->parameter === Parameter::Ammonia,
        ) &&
        $binders->contains(
            static fn(Dose $dose): bool => $dose->given_at->lte($visit->taken_at) &&
                $dose->given_at->diffInHours($visit->taken_at) <= BoundAmmonia::HOURS,
        )
            ? BoundAmmonia::MARK
            : '';

        return $visits->map(
            fn(Visit $visit): BookEntry => new BookEntry(
                $visit->id,
                'tests',
                $visit->taken_at,
                $visit->user?->name,
                $bound($visit),
                $visit,
                $visit->corrects,
            ),
        );
    }

    /** @return Collection<int, BookEntry> */
    private function feeds(System $system, Carbon $before, int $most): Collection
    {
        $query = Feed::query()->where('system_id', $system->id)->with('user');
        $query->whereNull('withdrawn_at')->where('fed_at', '<', $before)->orderByDesc('fed_at');
        /** @var Collection<int, Feed> $feeds */
        $feeds = $query->limit($most)->get();
        $came = ['yes' => 'came up', 'slowly' => 'came up slowly', 'no' => 'did not come up'];

        return $feeds->map(
            static fn(Feed $feed): BookEntry => new BookEntry(
                $feed->id,
                'feeds',
                $feed->fed_at,
                $feed->user?->name,
                implode(
                    ', ',
                    array_filter([
                        "Fed {$feed->feed_g} g",
                        $came[$feed->came_up] ?? null,
                        $feed->left_some ? 'left some' : null,
                    ]),
                ),
            ),
        );
    }

    /** @return Collection<int, BookEntry> */
    private function notes(System $system, Carbon $before, int $most): Collection
    {
        $query = Note::query()
            ->where('system_id', $system->id)
            ->with(['user', 'photo:id']);
        $query->whereNull('withdrawn_at')->where('taken_at', '<', $before)->orderByDesc('taken_at');
        /** @var Collection<int, Note> $notes */
        $notes = $query->limit($most)->get();

        return $notes->map(
            static fn(Note $note): BookEntry => new BookEntry(
                $note->id,
                'notes',
                $note->taken_at,
                $note->user?->name,
                implode('. ', array_filter([ucfirst(implode(', ', $note->seen)), $note->words])),
                photo: $note->getRelation('photo') !== null,
            ),
        );
    }

    /** @return Collection<int, BookEntry> */
    private function fish(System $system, Carbon $before, int $most): Collection
    {
        $query = FishEvent::query()->with(['from', 'to', 'user']);
        $query
            ->where(
                static fn($either) => $either
                    ->where('from_system_id', $system->id)
                    ->orWhere('to_system_id', $system->id),
            )
            ->where('happened_on', '<', $before)
            ->orderByDesc('happened_on');
        /** @var Collection<int, FishEvent> $events */
        $events = $query->limit($most)->get();

        return $events->map(static function (FishEvent $event) use ($system): BookEntry {
            $text = match (true) {
                $event->kind === 'lost' => "{$event->count} {$event->group_name} died",
                $event->kind === 'sold' => "{$event->count} {$event->group_name} sold",
                $event->to_system_id === $system->id
                    => "{$event->count} {$event->group_name} came from {$event->from->name}",
                default => "{$event->count} {$event->group_name} moved to {$event->to?->name}",
            };

            return new BookEntry(
                $event->id,
                'fish',
                $event->happened_on,
                $event->user?->name,
                $text . ($event->reason === null ? '' : ": {$event->reason}"),
            );
        });
    }

    /** @return Collection<int, BookEntry> */
    private function water(System $system, Carbon $before, int $most): Collection
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with(['water', 'user', 'vessel'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('changed_at', '<', $before)
            ->orderByDesc('changed_at')
            ->limit($most)
            ->get();

        /** @var Collection<int, MeterReading> $read */
        $read = MeterReading::query()
            ->with('user')
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('read_at', '<', $before)
            ->orderByDesc('read_at')
            ->limit($most)
            ->get();

        return $changes
            ->map(
                static fn(WaterChange $change): BookEntry => new BookEntry(
                    $change->id,
                    'water',
                    $change->changed_at,
                    $change->user?->name,
                    $change->text(),
                ),
            )
            ->concat(
                $read->map(
                    static fn(MeterReading $row): BookEntry => new BookEntry(
                        $row->id,
                        'water',
                        $row->read_at,
                        $row->user?->name,
                        $row->text(),
                    ),
                ),
            );
    }

    /** @return Collection<int, BookEntry> each with what a volume corrected since makes of it */
    private function doses(System $system, Carbon $before, int $most): Collection
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->with(['vessel', 'user', 'good'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('given_at', '<', $before)
            ->orderByDesc('given_at')
            ->limit($most)
            ->get();
        if ($doses->isEmpty()) {
            return new Collection();
        }
        $volumes = [];
        foreach ($this->bodies->all($system) as $body) {
            $volumes[$body->vesselId ?? ''] = $body->volumeL;
        }

        return $doses->map(
            static fn(Dose $dose): BookEntry => new BookEntry(
                $dose->id,
                'doses',
                $dose->given_at,
                $dose->user?->name,
                implode(
                    ' ',
                    array_filter([
                        ucfirst($dose->text()) . '.',
                        $dose->override_reason === null ? null : "Given all the same: {$dose->override_reason}.",
                        $dose->afterwards($volumes[$dose->vessel_id ?? ''] ?? 0.0),
                    ]),
                ),
            ),
        );
    }
}
