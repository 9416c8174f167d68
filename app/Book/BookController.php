<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\Controller;
use App\Models\Note;
use App\Models\Photo;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The book of a system: its entries, its score, words beside numbers, and CSV out and in. */
final class BookController extends Controller
{
    public function show(SpanRequest $request, System $system, BookReport $book): JsonResponse
    {
        return new JsonResponse($book->of($system, $request->kinds(), $request->before()));
    }

    public function score(SpanRequest $request, System $system, ScoreReport $score): JsonResponse
    {
        [$from, $to] = $request->span();

        return new JsonResponse($score->of($system, $from, $to, $request->pixels()));
    }

    public function note(NoteRequest $request, System $system, string $id, KeepNote $notes): JsonResponse
    {
        $notes->keep($id, $system, $this->person($request), $request->words(), $request->seen(), $request->photo());

        return new JsonResponse(['id' => strtoupper($id)]);
    }

    public function picture(System $system, string $id): Response
    {
        Note::query()->where('system_id', $system->id)->findOrFail(strtoupper($id));
        $photo = Photo::query()->findOrFail(strtoupper($id));

        return new Response((string) base64_decode($photo->picture, true), 200, [
            'Content-Type' => $photo->type,
            'Cache-Control' => 'private, max-age=86400',
            'X-Content-Type-Options' => 'nosniff',
            'Content-Disposition' => 'inline',
        ]);
    }

    public function withdrawNote(System $system, string $id): JsonResponse
    {
        Note::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->update(['withdrawn_at' => now()]);

        return new JsonResponse(['id' => strtoupper($id)]);
    }

    public function probe(ProbeRequest $request, System $system, ProbeBook $probes): JsonResponse
    {
        return new JsonResponse(['kept' => $probes->keep($system, $request->parameter(), $request->points())]);
    }

    public function csv(SpanRequest $request, System $system, ReadingsCsv $csv): StreamedResponse
    {
        [$from, $to] = $request->span();

        return response()->streamDownload(
            static function () use ($csv, $system, $from, $to): void {
                $csv->write($system, $from, $to, static function (string $line): void {
                    echo $line;
                });
            },
            "{$system->slug}-readings.csv",
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    /** What a CSV would bring, column by column and row by row. Nothing is kept. */
    public function preview(CsvRequest $request, System $system, ReadingsCsv $csv): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($csv->preview($system, $request->csv(), $request->columns())->toArray());
    }

    /** All of it or none. */
    public function import(CsvRequest $request, System $system, ReadingsCsv $csv): JsonResponse
    {
        $system->unsetRelations();
        $key = $request->progress();
        $told = Cache::store('file');

        return new JsonResponse(
            $csv->import(
                $system,
                $this->person($request),
                $request->csv(),
                $request->columns(),
                $key === null
                    ? null
                    : static function (float $done) use ($told, $key): void {
                        $told->put("import-{$key}", $done, 3600);
                    },
            ),
        );
    }

    /** How far an import is, 0 to 1; nothing before it begins. */
    public function progress(string $id): JsonResponse
    {
        return new JsonResponse(['done' => Cache::store('file')->get("import-{$id}")]);
    }
}
