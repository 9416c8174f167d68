<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Dose;
use App\Models\FishEvent;
use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\Note;
use App\Models\Service;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** An incident as its page tells it: what was read, done and lost in order of time, and what would have shown it. */
final readonly class IncidentReport
{
    /** How far back the book is searched for a first sign, days. */
    private const BEFORE_D = 14;

    public function __construct(private BadReadings $readings) {}

    /** @return array<string, mixed> */
    public function of(System $system, Incident $incident): array
    {
        $incident->load(['ticks.user', 'user', 'ender']);
        $until = $incident->ended_at ?? Carbon::now();
        $lines = [
            ...$this->read($system, $incident->opened_at->copy()->subDay(), $until),
            ...self::ticked($incident),
            ...self::deeds($system, $incident->opened_at, $until),
        ];
        usort($lines, static fn(array $a, array $b): int => $a['at'] <=> $b['at']);
        $litres = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereBetween('changed_at', [$incident->opened_at, $until])
            ->sum('litres');
        $lost = self::lost($system, $incident, $until);

        return [
            'id' => $incident->id,
            'event' => $incident->event->name(),
            'opened_at' => $incident->opened_at->toIso8601ZuluString(),
            'opened_by' => $incident->user?->name,
            'ended_at' => $incident->ended_at?->toIso8601ZuluString(),
            'ended_by' => $incident->ender?->name,
            'cause' => $incident->cause?->name(),
            'prevent' => $incident->prevent,
            'early_why' => $incident->early_why,
            'lines' => $lines,
            'litres' => (float) $litres,
            'lost' => $lost['count'],
            'lost_kg' => $lost['kg'],
            ...IncidentCost::of($system, $incident, $until, (float) $litres),
            'first' => $this->first($system, $incident)->toArray(),
        ];
    }

    /** @return list<array{at: string, kind: string, text: string, by: ?string}> what was to be acted on */
    private function read(System $system, Carbon $from, Carbon $until): array
    {
        $lines = [];
        foreach ($this->readings->since($system, $from, $until) as $rows) {
            $was = State::Good;
            foreach ($rows as $one) {
                // As it turned: not each reading that says the same again.
                if ($one->state !== $was && ($one->bad || $was->worseThan(State::Watch))) {
                    $lines[] = self::line($one->at, 'reading', self::words($one), null);
                }
                $was = $one->state;
            }
        }

        return $lines;
    }

    private static function words(BadReading $one): string
    {
        $parameter = $one->reading->parameter;

        return trim(
            "{$parameter->name()} " .
                Format::number($parameter->shown($one->reading->value), 3) .
                " {$parameter->symbol()}",
        ) . ", {$one->state->value}";
    }

    /** @return list<array{at: string, kind: string, text: string, by: ?string}> */
    private static function ticked(Incident $incident): array
    {
        return array_values(
            $incident->ticks
                ->map(
                    static fn(IncidentTick $one): array => self::line(
                        $one->at,
                        $one->what,
                        $one->what === 'done' ? $one->words : "Skipped: {$one->words} ({$one->why})",
                        $one->user?->name,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<array{at: string, kind: string, text: string, by: ?string}> */
    private static function deeds(System $system, Carbon $from, Carbon $until): array
    {
        $lines = [];
        foreach (self::between(WaterChange::query(), $system, 'changed_at', $from, $until) as $one) {
            $text = Format::about($one->litres, 3) . ' L changed';
            $lines[] = self::line($one->changed_at, 'change', $text, $one->user?->name);
        }
        foreach (self::between(Dose::query(), $system, 'given_at', $from, $until) as $one) {
            $lines[] = self::line($one->given_at, 'dose', $one->text(), $one->user?->name);
        }
        foreach (self::between(Service::query(), $system, 'started_at', $from, $until) as $one) {
            $text = "{$one->name}: " . lcfirst($one->job_name);
            $lines[] = self::line($one->started_at, 'service', $text, $one->user?->name);
        }
        foreach (self::between(Note::query(), $system, 'taken_at', $from, $until) as $one) {
            $text = trim(implode(', ', $one->seen) . ($one->seen === [] ? '' : ': ') . $one->words, ' :');
            $lines[] = self::line($one->taken_at, 'note', $text, $one->user?->name);
        }

        return $lines;
    }

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @return Collection<int, T> that stand in the book
     */
    private static function between(Builder $query, System $system, string $at, Carbon $from, Carbon $until): Collection
    {
        $query->where('system_id', $system->id)->whereNull('withdrawn_at');

        return $query
            ->with('user')
            ->whereBetween($at, [$from, $until])
            ->get();
    }

    /** @return array{count: int, kg: float} */
    private static function lost(System $system, Incident $incident, Carbon $until): array
    {
        [$count, $kg] = [0, 0.0];
        $events = FishEvent::query()
            ->where('from_system_id', $system->id)
            ->where('kind', 'lost')
            ->whereBetween('happened_on', [$incident->opened_at->toDateString(), $until->toDateString()])
            ->get();
        foreach ($events as $one) {
            $count += $one->count;
            $kg += ($one->count * $one->mean_weight_g) / 1000;
        }

        return ['count' => $count, 'kg' => $kg];
    }

    /** What stood in the book before anybody opened it. */
    private function first(System $system, Incident $incident): Message
    {
        $from = $incident->opened_at->copy()->subDays(self::BEFORE_D);
        $first = null;
        $shown = array_column($incident->cause?->shownBy() ?? Parameter::measured(), 'value');
        $before = $this->readings->since($system, $from, $incident->opened_at->copy()->subHour());
        foreach (array_intersect_key($before, array_flip($shown)) as $rows) {
            foreach ($rows as $one) {
                if ($one->bad && ($first === null || $one->at->isBefore($first->at))) {
                    $first = $one;
                }
            }
        }
        if ($first === null) {
            return Message::of('incident.first_sign_none');
        }
        $parameter = $first->reading->parameter;

        return Message::of('incident.first_sign', [
            'name' => $parameter->inSentence(),
            'value' => trim(Format::number($parameter->shown($first->reading->value), 3) . " {$parameter->symbol()}"),
            'day' => $first->at->timezone($system->site->timezone)->format('j F'),
            'days' => Format::days($first->at->diffInDays($incident->opened_at)),
        ]);
    }

    /** @return array{at: string, kind: string, text: string, by: ?string} */
    private static function line(Carbon $at, string $kind, string $text, ?string $by): array
    {
        return ['at' => $at->toIso8601ZuluString(), 'kind' => $kind, 'text' => $text, 'by' => $by];
    }
}
