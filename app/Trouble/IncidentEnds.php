<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\FishEvent;
use App\Models\Incident;
use App\Models\Note;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Incident\Ending;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Words\Message;

/** What keeps an incident open by the book: readings that are not good yet, fish that are not well, deaths. */
final readonly class IncidentEnds
{
    public function __construct(private BadReadings $readings) {}

    /** @return list<Message> */
    public function missing(System $system, Incident $incident): array
    {
        $clean = [];
        foreach ($this->readings->since($system, $incident->opened_at->copy()->subDay()) as $key => $rows) {
            $bad = array_keys(array_filter($rows, static fn(BadReading $one): bool => $one->bad));
            if ($bad === []) {
                continue;
            }
            $after = array_slice($rows, max($bad) + 1);
            $clean[Parameter::from($key)->name()] =
                $after === [] ? null : $after[0]->at->diffInMinutes($after[count($after) - 1]->at) / 60;
        }

        return Ending::missing($clean, $this->signs($system, $incident), $this->deaths($system, $incident));
    }

    private function signs(System $system, Incident $incident): ?float
    {
        $note = Note::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('taken_at', '>=', $incident->opened_at)
            ->orderByDesc('taken_at')
            ->get()
            ->first(static fn(Note $one): bool => Rounds::ailing($one->seen) !== []);

        return $note === null ? null : $note->taken_at->diffInMinutes(Carbon::now()) / 60;
    }

    private function deaths(System $system, Incident $incident): ?float
    {
        $last = FishEvent::query()
            ->where('from_system_id', $system->id)
            ->where('kind', 'lost')
            ->where('happened_on', '>=', $incident->opened_at->toDateString())
            ->max('happened_on');

        return is_string($last) ? Carbon::parse($last)->diffInMinutes(Carbon::now()) / 60 : null;
    }
}
