<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\Controller;
use App\Models\Note;
use App\Models\Photo;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Rounds;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The book of a system: its entries, its score, words beside numbers, and CSV out and in. */
final class BookController extends Controller
{
    private const LONGEST_YEARS = 11;

    public function show(Request $request, System $system, BookReport $book): JsonResponse
    {
        $kinds = $request->query('kinds');
        $before = $request->query('before');

        return new JsonResponse(
            $book->of(
                $system,
                is_string($kinds) && $kinds !== '' ? explode(',', $kinds) : BookReport::KINDS,
                is_string($before) && $before !== '' ? self::time($before, 'before') : null,
            ),
        );
    }

    public function score(Request $request, System $system, Score $score): JsonResponse
    {
        [$from, $to] = $this->span($request);
        $pixels = $request->query('pixels');

        return new JsonResponse($score->of($system, $from, $to, is_numeric($pixels) ? (int) $pixels : 800));
    }

    public function note(Request $request, System $system, string $id): JsonResponse
    {
        /** @var array{words?: ?string, seen?: list<string>} $given */
        $given = $request->validate(
            [
                'words' => ['nullable', 'string', 'max:1000'],
                'seen' => ['array', 'max:20'],
                'seen.*' => ['string', 'in:' . implode(',', Rounds::seen())],
            ],
            ['words.max' => 'A note has at most 1,000 characters.'],
        );
        $words = trim($given['words'] ?? '');
        if ($words === '' && ($given['seen'] ?? []) === [] && $request->input('photo') !== null) {
            $words = 'A picture.';
        }
        if ($words === '' && ($given['seen'] ?? []) === []) {
            throw BadInput::at('words', 'Write something, or pick what you see.');
        }
        $photo = $this->photo($request);
        Note::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                'words' => $words,
                'seen' => $given['seen'] ?? [],
                'taken_at' => Carbon::now(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ],
        );

        if ($photo !== null) {
            Photo::query()->firstOrCreate(['id' => strtoupper($id)], [...$photo, 'site_id' => $system->site_id]);
        }

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

    /** What a probe sends: a parameter in its canonical unit, and points of time and value. */
    public function probe(Request $request, System $system, ProbeBook $probes): JsonResponse
    {
        $key = $request->input('parameter');
        $parameter = is_string($key) ? Parameter::tryFrom($key) : null;
        if ($parameter === null || !in_array($parameter, ProbeBook::PARAMETERS, true)) {
            throw BadInput::at('parameter', 'Probes send temp_c, do_mg_l, ph, redox_mv or salinity_g_l.');
        }
        $given = $request->input('points');
        if (!is_array($given) || $given === [] || count($given) > 50000) {
            throw BadInput::at('points', 'One to 50,000 points are expected, each as [time, value].');
        }
        [$least, $most] = $parameter->possible();
        $points = [];
        foreach (array_values($given) as $i => $point) {
            $value = is_array($point) ? $point[1] ?? null : null;
            if (
                !is_array($point) ||
                !is_string($point[0] ?? null) ||
                !(is_int($value) || is_float($value)) ||
                $value < $least ||
                $value > $most
            ) {
                throw BadInput::at("points.{$i}", "A point is a time as text and a value from {$least} to {$most}.");
            }
            $at = self::time($point[0], "points.{$i}");
            if ($at->isAfter(now()->addMinutes(2))) {
                throw BadInput::at("points.{$i}", 'This time is still to come.');
            }
            $points[] = [(float) $at->format('U.u'), (float) $value];
        }

        return new JsonResponse(['kept' => $probes->keep($system, $parameter, $points)]);
    }

    public function csv(Request $request, System $system, ReadingsCsv $csv): StreamedResponse
    {
        [$from, $to] = $this->span($request);

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
    public function preview(Request $request, System $system, ReadingsCsv $csv): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($csv->preview($system, $this->text($request), $this->mapping($request)));
    }

    /** All of it or none. */
    public function import(Request $request, System $system, ReadingsCsv $csv): JsonResponse
    {
        $system->unsetRelations();

        $key = $request->input('progress');
        $told = Cache::store('file');
        $tell =
            is_string($key) && Str::isUlid($key)
                ? static fn(float $done): bool => $told->put("import-{$key}", $done, 3600)
                : null;

        return new JsonResponse(
            $csv->import(
                $system,
                $this->person($request),
                $this->text($request),
                $this->mapping($request),
                $tell === null
                    ? null
                    : static function (float $done) use ($tell): void {
                        $tell($done);
                    },
            ),
        );
    }

    /** How far an import is, 0 to 1; nothing before it begins. */
    public function progress(string $id): JsonResponse
    {
        return new JsonResponse(['done' => Cache::store('file')->get("import-{$id}")]);
    }

    /** @return ?array{type: string, picture: string} */
    private function photo(Request $request): ?array
    {
        $sent = $request->input('photo');
        if (!is_string($sent) || $sent === '') {
            return null;
        }
        $bytes = base64_decode((string) preg_replace('/^data:[a-z\/]+;base64,/', '', $sent), true);
        if ($bytes === false || strlen($bytes) > Photo::MOST_BYTES) {
            throw BadInput::at('photo', $bytes === false ? 'This is no picture.' : 'The picture is larger than 4 MB.');
        }
        foreach (Photo::KINDS as $begins => $type) {
            if (str_starts_with($bytes, $begins)) {
                return ['type' => $type, 'picture' => base64_encode($bytes)];
            }
        }
        throw BadInput::at('photo', 'A picture is a JPEG, PNG or WebP.');
    }

    private function text(Request $request): string
    {
        $text = $request->input('csv');

        return is_string($text) && trim($text) !== ''
            ? $text
            : throw BadInput::at('csv', 'Choose a file with readings in it.');
    }

    /** @return ?array<int, array{parameter: string, unit: ?string}> by column */
    private function mapping(Request $request): ?array
    {
        $given = $request->input('columns');
        if (!is_array($given)) {
            return null;
        }
        $mapping = [];
        foreach ($given as $i => $column) {
            $mapping[(int) $i] = [
                'parameter' => is_array($column) && is_string($column['parameter'] ?? null) ? $column['parameter'] : '',
                'unit' =>
                    is_array($column) && is_string($column['unit'] ?? null) && $column['unit'] !== ''
                        ? $column['unit']
                        : null,
            ];
        }

        return $mapping;
    }

    /** @return array{Carbon, Carbon} */
    private function span(Request $request): array
    {
        $from = $request->query('from');
        $to = $request->query('to');
        $end = is_string($to) && $to !== '' ? self::time($to, 'to') : Carbon::now();
        $start = is_string($from) && $from !== '' ? self::time($from, 'from') : $end->copy()->subDays(90);
        if ($start >= $end) {
            throw BadInput::at('from', 'It begins after it ends.');
        }
        if ($start->diffInYears($end) > self::LONGEST_YEARS) {
            throw BadInput::at('from', 'That is more than ' . self::LONGEST_YEARS . ' years.');
        }

        return [$start, $end];
    }

    private static function time(string $text, string $key): Carbon
    {
        try {
            return Carbon::parse($text)->utc();
        } catch (\Exception) {
            throw BadInput::at($key, 'Write the time as 2026-05-31T07:10.');
        }
    }
}
