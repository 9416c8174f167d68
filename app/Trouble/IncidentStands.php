<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Repeat;
use Ironwort\Core\Incident\Worse;
use Ironwort\Core\Words\Message;

/** How an open incident stands: which of its steps were done by whom, which are due again, and what keeps it open. */
final readonly class IncidentStands
{
    public function __construct(private IncidentEnds $ends, private BadReadings $readings) {}

    /**
     * @param  list<Worsened>  $worse
     * @return ?array{id: string, event: string, opened_at: string, missing: list<array{code: string, text: string}>,
     *     worse: list<array{code: string, text: string}>}
     */
    public function of(System $system, ?Incident $incident, array $worse): ?array
    {
        return $incident === null
            ? null
            : [
                'id' => $incident->id,
                'event' => $incident->event->name(),
                'opened_at' => $incident->opened_at->toIso8601ZuluString(),
                'missing' => array_map(
                    static fn(Message $one): array => $one->toArray(),
                    $this->ends->missing($system, $incident),
                ),
                'worse' => array_map(static fn(Message $one): array => $one->toArray(), [
                    ...array_map(static fn(Worsened $one): Message => $one->says, $worse),
                    ...$worse === [] ? [] : Worse::deeds(),
                ]),
            ];
    }

    /** @return list<Worsened> readings that got worse since it was opened */
    public function worse(System $system, ?Incident $incident): array
    {
        if ($incident === null) {
            return [];
        }
        $found = [];
        $opened = $incident->opened_at;
        foreach ($this->readings->since($system, $opened->copy()->subDay()) as $rows) {
            $before = array_filter($rows, static fn(BadReading $one): bool => $one->at->lte($opened));
            $then = $rows[max(0, count($before) - 1)];
            $now = $rows[count($rows) - 1];
            $of = $then->reading->parameter;
            if (
                $now !== $then &&
                Worse::is($of, $then->reading->value, $now->reading->value, $then->state, $now->state)
            ) {
                $found[] = new Worsened(Worse::says($of, $then->reading->value, $now->reading->value), $now->at);
            }
        }

        return $found;
    }

    public static function key(Cause $cause, AnswerStep $step): string
    {
        return "{$cause->value} {$step->do->code}";
    }

    /**
     * @param  list<Worsened>  $worse
     * @return array<string, ?string> of a step: due, done, skipped or due again; by whom, and when
     */
    public static function tick(?Incident $incident, Cause $cause, AnswerStep $step, array $worse): array
    {
        $key = self::key($cause, $step);
        $tick = $incident?->ticks->last(static fn(IncidentTick $one): bool => $one->step === $key);
        $ago = $tick === null ? null : $tick->at->diffInMinutes(Carbon::now()) / 60;

        return [
            'stands' => Repeat::stands(
                Repeat::hours($step, $worse !== []),
                $ago,
                $tick?->what === 'skipped',
                $worse === [] ? null : max(array_column($worse, 'at'))->diffInMinutes(Carbon::now()) / 60,
            ),
            'id' => $tick?->id,
            'what' => $tick?->what,
            'by' => $tick?->user?->name,
            'at' => $tick?->at->toIso8601ZuluString(),
            'why' => $tick?->why,
        ];
    }
}
