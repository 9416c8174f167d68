<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BookVisit;
use App\Http\Resources\VisitResource;
use App\Models\System;
use App\Models\Vessel;
use App\Reports\LatestWater;
use App\Reports\WaterMeaning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Ironwort\Core\Book\LogEntry;
use Ironwort\Core\Book\LogFault;
use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Book\LogTime;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Reading;

/** The log bar: what a line is understood as, and keeping it. */
final class LogController extends Controller
{
    public function meaning(Request $request, System $system, WaterMeaning $meaning): JsonResponse
    {
        $system->load(['site', 'vessels']);
        $line = $this->line($request, $system);
        $understood = $meaning->of($system, LatestWater::of($system), $this->readings($line));
        $typed = array_keys($this->readings($line));

        return new JsonResponse([
            'readings' => array_values(array_filter($understood['strips'], static fn (array $strip): bool => in_array($strip['parameter'], $typed, true)
                || ($strip['figure'] !== null && $typed !== []))),
            'taken_at' => $line->time === null ? null : $this->time($line->time, $system->site->timezone)->toIso8601ZuluString(),
            'place' => $line->place,
            'faults' => array_map(static fn (LogFault $fault): array => ['at' => $fault->at, 'length' => $fault->length, 'message' => $fault->message], $line->faults),
        ]);
    }

    public function store(Request $request, System $system, BookVisit $book): JsonResponse
    {
        Gate::authorize('write');
        /** @var array{id: string} $given */
        $given = $request->validate(['id' => ['required', 'ulid']]);
        $line = $this->line($request, $system);
        if ($line->faults !== []) {
            throw BadInput::at('line', $line->faults[0]->message);
        }
        if ($line->entries === []) {
            throw BadInput::at('line', 'Type at least one reading, as am .5 ph 7.8 t 18.');
        }
        $typed = [];
        foreach ($line->entries as $entry) {
            $typed[$entry->reading->parameter->value] = ['typed' => $entry->typed, 'unit' => $entry->unit];
        }
        $takenAt = $line->time === null ? Carbon::now() : $this->time($line->time, $system->site->timezone);
        try {
            $visit = $book->book(strtoupper($given['id']), $system, $this->person($request), $takenAt, $this->readings($line), $typed, $system->vessels->firstWhere('name', $line->place)?->id);
        } catch (BadInput $bad) {
            throw BadInput::at('line', implode(' ', $bad->errors));
        }
        $visit->load(['readings', 'user', 'vessel']);

        return new JsonResponse(VisitResource::of($visit), $visit->wasRecentlyCreated ? 201 : 200);
    }

    private function line(Request $request, System $system): LogLine
    {
        $text = $request->input('line');
        if (! is_string($text) || mb_strlen($text) > 500) {
            throw BadInput::at('line', 'One line of at most 500 characters is expected.');
        }

        return LogLine::read($text, array_values($system->vessels->map(static fn (Vessel $vessel): string => $vessel->name)->all()));
    }

    /** @return array<string, Reading> */
    private function readings(LogLine $line): array
    {
        return array_column(array_map(static fn (LogEntry $entry): array => [$entry->reading->parameter->value, $entry->reading], $line->entries), 1, 0);
    }

    private function time(LogTime $time, string $timezone): Carbon
    {
        $day = Carbon::now($timezone);

        return ($time->yesterday ? $day->subDay() : $day)->setTime($time->hour, $time->minute)->utc();
    }
}
