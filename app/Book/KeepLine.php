<?php

declare(strict_types=1);

namespace App\Book;

use App\Forms\LocalTime;
use App\Http\ClientKey;
use App\Http\MadeAt;
use App\Maturing\BookSeed;
use App\Maturing\PlannedSeed;
use App\Models\Feed;
use App\Models\Kit;
use App\Models\Note;
use App\Models\Pump;
use App\Models\Seed;
use App\Models\Service;
use App\Models\Site;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\User;
use App\Models\Vessel;
use App\Models\Visit;
use App\Models\WaterChange;
use App\Readings\BookVisit;
use App\Running\SwitchThing;
use App\Service\TellService;
use App\Water\BookChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Book\LogEntry;
use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Book\LogSeed;
use Ironwort\Core\Book\LogSwitch;
use Ironwort\Core\Book\LogTime;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Filter\SeedKind;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Measure\UnitChoice;

/** One line of the log bar, from a page or a shell: read, and kept whole or not at all. */
final readonly class KeepLine
{
    /** What one line may book, all under its key. */
    public const KINDS = [
        Feed::class,
        Note::class,
        WaterChange::class,
        Seed::class,
        Switching::class,
        Service::class,
        Visit::class,
    ];

    public function __construct(
        private BookVisit $book,
        private BookChange $changes,
        private BookSeed $seeds,
        private SwitchThing $switches,
        private TellService $services,
    ) {}

    /** The line as the system's bays and the site's kits give it meaning. */
    public function read(System $system, string $text, UnitChoice $units): LogLine
    {
        $kits = array_map(static fn(Kit $kit): array => [$kit->unit, $kit->judge()], Kit::inUse($system->site));

        return LogLine::read(
            $text,
            array_values($system->vessels->map(static fn(Vessel $vessel): string => $vessel->name)->all()),
            kits: $kits,
            altitudeM: $system->site->altitude_m,
            units: $units,
            systems: preg_match('/\bseed\b/i', $text) === 1 ? self::others($system) : [],
        );
    }

    /** @return list<string> names and addresses of the other systems of the site */
    private static function others(System $system): array
    {
        $names = [];
        foreach (System::ofSite($system->site)->whereKeyNot($system->id)->get() as $other) {
            array_push($names, $other->slug, $other->name);
        }

        return $names;
    }

    /**
     * @return ?Visit null where the line held no reading
     *
     * @throws BadInput at `line`
     */
    public function keep(System $system, User $user, string $id, LogLine $line): ?Visit
    {
        if ($line->faults !== []) {
            throw BadInput::at('line', $line->faults[0]->message);
        }
        if (
            $line->entries === [] &&
            $line->feedG === null &&
            $line->note === null &&
            $line->seed === null &&
            $line->switch === null &&
            $line->service === null &&
            $line->changeL === null &&
            $line->changePct === null
        ) {
            throw BadInput::at('line', 'Type at least one reading, as am .5 ph 7.8 t 18.');
        }
        $at = self::when($line->time, $system->site->timezone);
        LocalTime::refuseFuture($at, $system->site->timezone, 'line');
        if ($line->feedG !== null && $line->feedG > 500000) {
            throw BadInput::at('line', 'So much feed cannot be.');
        }

        return DB::transaction(function () use ($system, $user, $id, $line, $at): ?Visit {
            // What is moved between two systems is held by their site.
            if ($line->seed !== null) {
                Site::query()->whereKey($system->site_id)->lock('for no key update')->firstOrFail();
            }
            $system->hold();
            foreach (self::KINDS as $class) {
                ClientKey::refuseForeign($class, $id, $system->site_id, $system->id);
            }
            // Feed and words take their keys from the line's own, so that a line sent twice is kept once.
            $own = ['site_id' => $system->site_id, 'system_id' => $system->id, 'user_id' => $user->id];
            if ($line->feedG !== null) {
                Feed::query()->firstOrCreate(['id' => $id], [...$own, 'feed_g' => $line->feedG, 'fed_at' => $at]);
            }
            if ($line->note !== null) {
                Note::query()->firstOrCreate(
                    ['id' => $id],
                    [...$own, 'words' => mb_substr($line->note, 0, 1000), 'seen' => [], 'taken_at' => $at],
                );
            }
            if ($line->changeL !== null || $line->changePct !== null) {
                $this->changes->fromLine($system, $user, $id, $at, $line);
            }
            if ($line->seed !== null) {
                $this->seed($system, $user, $id, $at, $line->seed);
            }
            if ($line->switch !== null) {
                $this->switch($system, $user, $id, $at, $line->switch);
            }
            if ($line->service !== null) {
                $this->services->tell($id, $system, $user, $at, $line->service);
            }
            if ($line->entries === []) {
                return null;
            }
            $typed = [];
            foreach ($line->entries as $entry) {
                $typed[$entry->reading->parameter->value] = ['typed' => $entry->typed, 'unit' => $entry->unit];
            }
            try {
                return $this->book->book(
                    $id,
                    $system,
                    $user,
                    $at,
                    self::readings($line),
                    $typed,
                    $system->vessels->firstWhere('name', $line->place)?->id,
                    spot: $line->spot,
                );
            } catch (BadInput $bad) {
                throw BadInput::at('line', implode(' ', $bad->errors));
            }
        });
    }

    /** @throws BadInput at `line` */
    private function switch(System $system, User $user, string $id, Carbon $at, LogSwitch $switch): void
    {
        if (Switching::query()->whereKey($id)->exists()) {
            return;
        }
        $kinds = LogSwitch::WORDS[$switch->word] ?? [];
        $parts = [
            ...$system->pumps->filter(static fn(Pump $pump): bool => in_array($pump->kind, $kinds, true))->all(),
            ...in_array('lamp', $kinds, true)
                ? $system->stages->filter(static fn(Stage $stage): bool => $stage->kind === 'uv')->all()
                : [],
        ];
        $meant = array_values(
            array_filter(
                $parts,
                static fn(Pump|Stage $part): bool => $switch->name === '' ||
                    str_contains(mb_strtolower($part->name), $switch->name),
            ),
        );
        if (count($meant) !== 1) {
            $names = implode(', ', array_map(static fn(Pump|Stage $part): string => $part->name, $parts));
            throw BadInput::at(
                'line',
                $parts === []
                    ? 'Nothing of this kind is in this system.'
                    : "Which one? {$switch->word}, then a name of {$names}, then {$switch->state}.",
            );
        }
        try {
            $to =
                $switch->to === null
                    ? null
                    : System::ofSite($system->site)->where('slug', $switch->to)->first() ??
                        throw BadInput::at('line', "There is no system {$switch->to}.");
            $this->switches->switch($id, $system, $user, $meant[0], $switch->state, $at, null, $to);
        } catch (BadInput $bad) {
            throw BadInput::at('line', implode(' ', $bad->errors));
        }
    }

    /** @throws BadInput at `line` */
    private function seed(System $system, User $user, string $id, Carbon $at, LogSeed $seed): void
    {
        try {
            $this->seeds->book(
                $id,
                $system,
                $user,
                new PlannedSeed(
                    kind: $seed->from === null ? SeedKind::Culture : SeedKind::OwnMedia,
                    litres: $seed->litres,
                    medium: null,
                    from: $seed->from,
                    fromStage: null,
                    // Nobody is asked on a line: it is kept as not known.
                    donor: 'unknown',
                    madeUp: true,
                    on: $at->copy()->setTimezone($system->site->timezone)->toDateString(),
                ),
            );
        } catch (BadInput $bad) {
            throw BadInput::at('line', implode(' ', $bad->errors));
        }
    }

    /** @return array<string, Reading> */
    public static function readings(LogLine $line): array
    {
        return array_column(
            array_map(
                static fn(LogEntry $entry): array => [$entry->reading->parameter->value, $entry->reading],
                $line->entries,
            ),
            1,
            0,
        );
    }

    /** @throws BadInput at `line` where a clock that changed leaves it open */
    public static function when(?LogTime $time, string $timezone): Carbon
    {
        if ($time === null) {
            return MadeAt::now();
        }
        $day = MadeAt::now()->timezone($timezone);
        $date = ($time->yesterday ? $day->subDay() : $day)->format('Y-m-d');
        $clock = sprintf(' %02d:%02d', $time->hour, $time->minute);

        return LocalTime::read($date . $clock . $time->offset, $timezone, 'line', $time->yesterday ? 'H:iP' : '@H:iP');
    }
}
