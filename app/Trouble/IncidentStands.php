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
use Ironwort\Core\Words\Message;

/** How an open incident stands: which of its steps were done by whom, which are due again, and what keeps it open. */
final readonly class IncidentStands
{
    public function __construct(private IncidentEnds $ends) {}

    /** @return ?array{id: string, event: string, opened_at: string, missing: list<array{code: string, text: string}>} */
    public function of(System $system, ?Incident $incident): ?array
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
            ];
    }

    public static function key(Cause $cause, AnswerStep $step): string
    {
        return "{$cause->value} {$step->do->code}";
    }

    /** @return array<string, ?string> of a step: due, done, skipped or due again; by whom, and when */
    public static function tick(?Incident $incident, Cause $cause, AnswerStep $step): array
    {
        $key = self::key($cause, $step);
        $tick = $incident?->ticks->last(static fn(IncidentTick $one): bool => $one->step === $key);
        $ago = $tick === null ? null : $tick->at->diffInMinutes(Carbon::now()) / 60;

        return [
            'stands' => Repeat::stands(Repeat::hours($step), $ago, $tick?->what === 'skipped'),
            'id' => $tick?->id,
            'what' => $tick?->what,
            'by' => $tick?->user?->name,
            'at' => $tick?->at->toIso8601ZuluString(),
            'why' => $tick?->why,
        ];
    }
}
