<?php

declare(strict_types=1);

namespace App\Round;

use App\Dosing\CourseReport;
use App\Looks\LooksDue;
use App\Maturing\FishIn;
use App\Models\Age;
use App\Models\Course;
use App\Models\Incident;
use App\Models\NewestOfEach;
use App\Models\Note;
use App\Models\Round;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use App\Models\Visit;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Readings\TestsDue;
use App\Service\DueJob;
use App\Service\DueJobs;
use App\Service\ServiceBook;
use App\State\Carried;
use App\State\SystemState;
use App\Trouble\IncidentsOpen;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Words\Message;

/**
 * The round: every system by urgency, then in walking order, with what is due there and what changed since it was
 * last looked at.
 */
final readonly class RoundReport
{
    private const NOTES = 10;

    private const COURSES = 20;

    public function __construct(
        private SystemState $states,
        private TestsDue $tests,
        private CourseReport $courses,
        private LimitsInForce $limits,
        private AgentTable $agents,
        private FishIn $fishIn,
        private Carried $carried,
        private DueJobs $service,
        private LooksDue $looks,
        private IncidentsOpen $incidents,
        private SinceMine $mine,
    ) {}

    /** @return array<string, mixed> */
    public function of(Site $site, User $person): array
    {
        $systems = System::awakeOf($site);
        System::lookAtTogether($systems);
        $water = LatestWater::ofAll($systems);
        $seen = $this->tests->seenOf($systems);
        $dosed = SystemState::dosed($systems);
        $versions = Carried::versions($systems);
        $this->states->ahead($systems, $water, $versions);
        $visits = self::lastVisits($systems);
        $notes = self::notes($systems);
        $courses = self::courses($systems);
        $monthAgo = array_map(static fn(array $one): ?float => $one['month_ago_c'], $seen);
        $books = ServiceBook::ofAll($systems, $monthAgo);
        $looks = $this->looks->of($systems, $water, $monthAgo);
        $incidents = $this->incidents->of($site);
        $last = Round::lastOf($person);
        $since = $last === null ? [] : $this->mine->of($systems, $water, $last);
        $readings = $last === null ? self::readings($visits) : [];
        $rows = [];
        foreach ($systems as $system) {
            $row = $this->row(
                $system,
                $water[$system->id],
                $seen[$system->id],
                $dosed,
                $versions[$system->id] ?? '',
                $visits[$system->id],
                $readings,
                $notes[$system->id],
                $courses[$system->id],
                $books[$system->id],
                $looks[$system->id] ?? null,
                $incidents[$system->id] ?? null,
            );
            $rows[] = [...$row, 'changed' => $last === null ? $row['changed'] : $since[$system->id] ?? []];
        }
        $rank = static fn(array $row): int => is_string($row['state']) ? State::from($row['state'])->rank() : 0;
        usort($rows, static fn(array $a, array $b): int => $rank($b) <=> $rank($a));

        return [
            'rows' => $rows,
            'since' => $last === null ? null : Age::of($last),
            'walked' => count(array_filter($rows, static fn(array $row): bool => $row['looked'] !== null)),
        ];
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, Collection<int, Visit>> the last two of each
     */
    private static function lastVisits(Collection $systems): array
    {
        return NewestOfEach::of($systems, Visit::standing(), 2);
    }

    /**
     * Hundreds of readings of which only the words are told: read as they are judged, without a model of each.
     *
     * @param  array<string, Collection<int, Visit>>  $visits  by system
     * @return array<string, list<Reading>> by visit
     */
    private static function readings(array $visits): array
    {
        $ids = array_merge([], ...array_values(array_map(static fn($some): array => $some->modelKeys(), $visits)));
        $columns = ['visit_id', 'parameter', 'value', 'low', 'high'];
        $found = [];
        foreach (DB::table('readings')->select($columns)->whereIn('visit_id', $ids)->orderBy('id')->get() as $row) {
            /** @var object{visit_id: string, parameter: string, value: string, low: string, high: string} $row */
            $found[$row->visit_id][] = new Reading(
                Parameter::from($row->parameter),
                (float) $row->value,
                Interval::between((float) $row->low, (float) $row->high),
            );
        }

        return $found;
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, Collection<int, Note>> what was seen of late, the newest first
     */
    private static function notes(Collection $systems): array
    {
        $seen = Note::query()->where('taken_at', '>', Carbon::now()->subDays(Rounds::LOOK_AGAIN_D));
        $seen->whereNull('withdrawn_at')->orderByDesc('taken_at')->orderByDesc('id');

        return NewestOfEach::of($systems, $seen, self::NOTES);
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, Collection<int, Course>> those that are not ended, the newest first
     */
    private static function courses(Collection $systems): array
    {
        $open = Course::query()->with('doses')->whereNull('ended_at')->orderByDesc('id');

        return NewestOfEach::of($systems, $open, self::COURSES);
    }

    /**
     * @param  array{month_ago_c: ?float, washed_h: ?float, dawn: array<string, Carbon>}  $seen
     * @param  list<string>  $dosed  ids of systems with anything in their water
     * @param  Collection<int, Visit>  $visits  the last two
     * @param  array<string, list<Reading>>  $readings  by visit
     * @param  Collection<int, Note>  $notes
     * @param  Collection<int, Course>  $courses
     * @return array{slug: string, name: string, state: ?string, worst: ?string, last: ?string, looked: ?string,
     *     due: list<array{name: string,
     *     stands: string}>, doses: list<string>, incident: ?array{code: string, text: string},
     *     look: ?array{code: string, text: string},
     *     fish: list<string>, changed: list<string>}
     */
    private function row(
        System $system,
        LatestWater $water,
        array $seen,
        array $dosed,
        string $version,
        Collection $visits,
        array $readings,
        Collection $notes,
        Collection $courses,
        ServiceBook $book,
        ?Message $look,
        ?Incident $incident,
    ): array {
        $standing = $this->states->of($system, $water, $dosed, $version);
        $state = $standing->state?->value;
        $due = array_values(
            array_filter(
                $this->tests->of($system, $water, $state, $seen)['tests'],
                static fn(array $test): bool => $test['stands'] !== 'done',
            ),
        );
        $visited = $visits->first()?->taken_at;
        $looked = collect([$visited, $notes->first()?->taken_at])
            ->filter()
            ->max();

        return [
            'slug' => $system->slug,
            'name' => $system->name,
            'state' => $state,
            'worst' => $standing->worst,
            'last' => $visited === null ? null : Age::of($visited),
            'looked' =>
                $looked instanceof Carbon && $looked->diffInHours(Carbon::now()) <= Rounds::LASTS_H
                    ? Age::of($looked)
                    : null,
            'due' => array_map(
                static fn(array $test): array => ['name' => $test['name'], 'stands' => $test['stands']],
                $due,
            ),
            'doses' => $this->doses($courses, $water),
            'water' => $this->fishIn($system, $water, $version),
            'service' => $this->service($system, $water, $book),
            'incident' => $incident === null ? null : $this->incidents->says($system, $water, $incident)->toArray(),
            'look' => $look?->toArray(),
            'fish' => $this->fish($notes),
            'changed' => $this->changed($system, $visits, $readings),
        ];
    }

    /** @return list<string> jobs that are due */
    private function service(System $system, LatestWater $water, ServiceBook $book): array
    {
        return array_values(
            array_map(
                static fn(DueJob $one): string => $one->text(),
                array_filter(
                    $this->service->of($system, $water, $book),
                    static fn(DueJob $one): bool => $one->due->now() || $one->open !== null,
                ),
            ),
        );
    }

    /** @return list<string> the next change of a start with fish in it */
    private function fishIn(System $system, LatestWater $water, string $version): array
    {
        $balance = $this->fishIn->may($system) ? $this->carried->balance($system, $water, $version) : null;
        $start = $balance === null ? null : $this->fishIn->of($system, $water, $balance['load'], $balance['takes']);
        if ($start === null) {
            return [];
        }
        $minutes = $start->minutes();

        return $minutes === null
            ? array_map(static fn(Message $one): string => $one->text, array_slice($start->says, 0, 1))
            : [
                Message::of($minutes <= 0 ? 'model.fish_in_change_now' : 'model.fish_in_change_later', [
                    'litres' => Format::about((float) $start->changeL(), 3),
                    'hours' => Format::number($minutes / 60, 2),
                ])->text,
            ];
    }

    /**
     * @param  Collection<int, Course>  $courses
     * @return list<string> courses with a dose to give now
     */
    private function doses(Collection $courses, LatestWater $water): array
    {
        $texts = [];
        foreach ($courses as $course) {
            $plan = $this->courses->plan($course, $water->valueOrAssumed(Parameter::Temperature));
            if (
                $plan->complete ||
                array_intersect(['due', 'late', 'missed'], array_column($plan->doses, 'state')) !== []
            ) {
                $texts[] = $this->agents->get($course->thing)->name . ": {$plan->says}";
            }
        }

        return $texts;
    }

    /**
     * @param  Collection<int, Note>  $notes
     * @return list<string> what was seen of late and is looked for again
     */
    private function fish(Collection $notes): array
    {
        $texts = [];
        foreach ($notes as $note) {
            $signs = Rounds::ailing($note->seen);
            if ($signs !== []) {
                $texts[] = implode(', ', $signs) . ', ' . Age::of($note->taken_at);
            }
        }

        return $texts;
    }

    private function word(System $system, Reading $reading): string
    {
        return $this->limits->for($system, $reading->parameter)->judge($reading->heard())->state->value;
    }

    /**
     * @param  Collection<int, Visit>  $visits  the last two
     * @param  array<string, list<Reading>>  $readings  by visit
     * @return list<string> readings whose word is another than the time before
     */
    private function changed(System $system, Collection $visits, array $readings): array
    {
        [$now, $before] = [$visits->get(0), $visits->get(1)];
        $texts = $was = [];
        foreach ($before === null ? [] : $readings[$before->id] ?? [] as $reading) {
            $was[$reading->parameter->value] = $this->word($system, $reading);
        }
        foreach ($now === null || $was === [] ? [] : $readings[$now->id] ?? [] as $reading) {
            $old = $was[$reading->parameter->value] ?? null;
            $word = $old === null ? null : $this->word($system, $reading);
            if ($old !== $word) {
                $texts[] = "{$reading->parameter->name()} was {$old}, is {$word}";
            }
        }

        return $texts;
    }
}
