<?php

declare(strict_types=1);

namespace App\Book;

use App\Forms\LocalTime;
use App\Models\System;
use App\Models\User;
use App\Models\Vessel;
use App\Readings\BookVisit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\Unit;

/**
 * Readings as CSV: one row a visit, one column a parameter with its unit in the head.
 *
 * Out: `taken_at` (UTC, ISO 8601), `bay`, `by`, then as `Ammonia [mg/L as N]`, cells as they were typed.
 * In: the same, or any CSV whose columns are mapped to parameters and units. All rows or none.
 */
final readonly class ReadingsCsv
{
    private const MOST_ROWS = 200000;

    private const CHUNK = 500;

    /** @param  \Closure(string): void  $out */
    public function write(System $system, Carbon $from, Carbon $to, \Closure $out): void
    {
        $columns = array_map(
            static fn(Parameter $parameter): string => $parameter->name() .
                ($parameter->symbol() === null ? '' : " [{$parameter->symbol()}]"),
            Parameter::measured(),
        );
        $out(implode(',', array_map(CsvTable::field(...), ['taken_at', 'bay', 'by', ...$columns])) . "\r\n");
        $rows = DB::select(
            <<<'SQL'
            SELECT v.id, v.taken_at, b.name AS bay, u.name AS by, jsonb_object_agg(r.parameter,
                jsonb_build_array(r.typed, r.unit, r.value)) AS readings
            FROM visits v JOIN readings r ON r.visit_id = v.id LEFT JOIN vessels b ON b.id = v.vessel_id LEFT
            JOIN users u ON u.id = v.user_id
            WHERE v.system_id = ? AND v.withdrawn_at IS NULL AND v.taken_at BETWEEN ? AND ?
            GROUP BY v.id, b.name, u.name ORDER BY v.taken_at
            SQL
            ,
            [$system->id, $from, $to],
        );
        foreach ($rows as $row) {
            /** @var object{taken_at: string, bay: ?string, by: ?string, readings: string} $row */
            $readings = json_decode($row->readings, true);
            $cells = array_map(static function (Parameter $parameter) use ($readings): string {
                $reading = is_array($readings) ? $readings[$parameter->value] ?? null : null;
                if (!is_array($reading)) {
                    return '';
                }
                $usual = ($parameter->units()[0] ?? null)?->value;
                $typed = is_string($reading[0]) ? $reading[0] : '';

                // What was typed in another unit is written in the column's own.
                return $reading[1] === $usual || $reading[1] === null
                    ? $typed
                    : (string) round($parameter->shown(is_numeric($reading[2]) ? (float) $reading[2] : 0.0), 4);
            }, Parameter::measured());
            $out(
                implode(
                    ',',
                    array_map(CsvTable::field(...), [
                        Carbon::parse($row->taken_at)->utc()->toIso8601ZuluString(),
                        $row->bay,
                        $row->by,
                        ...$cells,
                    ]),
                ) . "\r\n",
            );
        }
    }

    /** @param  ?array<int, array{parameter: string, unit: ?string}>  $mapping */
    public function preview(System $system, string $text, ?array $mapping): CsvPreview
    {
        $table = CsvTable::read($text);
        $mapping ??= $this->guess($table->head);
        try {
            [$visits, $errors, $known] = $this->visits($system, $table, $mapping);
        } catch (BadInput $bad) {
            // The columns are shown all the same, so that it can be said what they are.
            [$visits, $errors, $known] = [[], ['the file' => implode(' ', $bad->errors)], 0];
        }

        return new CsvPreview(
            table: $table,
            mapping: $mapping,
            visits: count($visits),
            readings: array_sum(array_map(static fn(array $visit): int => count($visit['readings']), $visits)),
            known: $known,
            errors: $errors,
        );
    }

    /**
     * @param  ?array<int, array{parameter: string, unit: ?string}>  $mapping
     * @param  ?\Closure(float): void  $progress  told the share that is done, 0 to 1: reading to a half, writing to
     *     the end
     * @return array{visits: int, readings: int, known: int}
     *
     * @throws BadInput when any row cannot be used; nothing is then kept
     */
    public function import(System $system, User $user, string $text, ?array $mapping, ?\Closure $progress = null): array
    {
        $table = CsvTable::read($text);
        [$visits, $errors, $known] = $this->visits($system, $table, $mapping ?? $this->guess($table->head), $progress);
        if ($errors !== []) {
            throw BadInput::at(
                'csv',
                count($errors) .
                    ' of its cells cannot be used; nothing was kept. ' .
                    array_key_first($errors) .
                    ': ' .
                    reset($errors),
            );
        }
        if ($visits === [] && $known === 0) {
            throw BadInput::at('csv', 'No column of it holds readings: say what its columns are.');
        }
        $readings = 0;
        DB::transaction(static function () use ($system, $user, $visits, $progress, &$readings): void {
            foreach (array_chunk($visits, self::CHUNK) as $n => $chunk) {
                $progress?->__invoke(0.5 + (0.5 * $n * self::CHUNK) / count($visits));
                $visitRows = $readingRows = [];
                foreach ($chunk as $visit) {
                    $id = strtoupper((string) Str::ulid());
                    $visitRows[] = [
                        'id' => $id,
                        'site_id' => $system->site_id,
                        'system_id' => $system->id,
                        'user_id' => $user->id,
                        'vessel_id' => $visit['vessel_id'],
                        'taken_at' => $visit['at'],
                        'booked_at' => Carbon::now()->max($visit['at']),
                    ];
                    array_push(
                        $readingRows,
                        ...BookVisit::rows($id, $system, $visit['at'], $visit['readings'], $visit['typed']),
                    );
                }
                DB::table('visits')->insert($visitRows);
                foreach (array_chunk($readingRows, 4 * self::CHUNK) as $rows) {
                    DB::table('readings')->insert($rows);
                    $readings += count($rows);
                }
            }
        });

        return ['visits' => count($visits), 'readings' => $readings, 'known' => $known];
    }

    /**
     * @param  list<string>  $head
     * @return array<int, array{parameter: string, unit: ?string}>
     */
    private function guess(array $head): array
    {
        $mapping = [];
        foreach ($head as $i => $text) {
            $mapping[$i] = ['parameter' => '', 'unit' => null];
            $name = mb_strtolower(trim((string) preg_replace('/[\[(].*$/', '', $text)));
            if (in_array($name, ['taken_at', 'time', 'date', 'datum', 'when', 'timestamp', 'date and time'], true)) {
                $mapping[$i]['parameter'] = 'taken_at';
            } elseif (in_array($name, ['bay', 'vessel', 'tank', 'tub'], true)) {
                $mapping[$i]['parameter'] = 'bay';
            }
            foreach (Parameter::measured() as $parameter) {
                if (
                    $name === mb_strtolower($parameter->name()) ||
                    $name === $parameter->code() ||
                    $name === $parameter->value
                ) {
                    $inside = preg_match('/[\[(]([^\])]+)[\])]/', $text, $parts) === 1 ? $parts[1] : null;
                    $unit =
                        array_values(
                            array_filter(
                                $parameter->units(),
                                static fn(Unit $unit): bool => $inside !== null &&
                                    mb_strtolower($unit->symbol()) === mb_strtolower($inside),
                            ),
                        )[0] ??
                        ($parameter->units()[0] ?? null);
                    $mapping[$i] = ['parameter' => $parameter->value, 'unit' => $unit?->value];
                }
            }
        }

        return $mapping;
    }

    /**
     * @param  array<int, array{parameter: string, unit: ?string}>  $mapping
     * @param  ?\Closure(float): void  $progress
     * @return array{list<array{at: Carbon, vessel_id: ?string, readings: array<string, Reading>, typed: array<string,
     *     array{typed: string, unit: ?string}>}>, array<string, string>, int} visits, errors by place, rows the book
     *     has already
     */
    private function visits(System $system, CsvTable $table, array $mapping, ?\Closure $progress = null): array
    {
        if (count($table->rows) > self::MOST_ROWS) {
            throw BadInput::at('csv', 'More than ' . number_format(self::MOST_ROWS) . ' rows: cut it into parts.');
        }
        $time = array_key_first(
            array_filter($mapping, static fn(array $column): bool => $column['parameter'] === 'taken_at'),
        );
        if ($time === null) {
            throw BadInput::at('csv', 'No column of it is a time: say which one.');
        }
        $bays = $system->vessels->mapWithKeys(
            static fn(Vessel $vessel): array => [mb_strtolower($vessel->name) => $vessel->id],
        );
        $booked = [];
        /** @var list<object{t: string}> $times */
        $times = DB::select(
            'SELECT extract(epoch FROM taken_at)::bigint AS t FROM visits WHERE system_id = ' .
                '? AND withdrawn_at IS NULL',
            [$system->id],
        );
        foreach ($times as $visit) {
            $booked[(int) $visit->t] = true;
        }
        $visits = $errors = [];
        $known = 0;
        foreach ($table->rows as $n => $row) {
            if ($n % self::CHUNK === 0) {
                $progress?->__invoke((0.5 * $n) / count($table->rows));
            }
            try {
                $at = self::when($row[$time] ?? '', $system->site->timezone);
            } catch (BadInput $bad) {
                $errors['row ' . ($n + 2)] =
                    '“' . mb_substr($row[$time] ?? '', 0, 30) . '”: ' . implode(' ', $bad->errors);

                continue;
            }
            if (isset($booked[$at->getTimestamp()])) {
                $known++;

                continue;
            }
            $visit = [
                'at' => $at,
                'vessel_id' => null,
                'readings' => [],
                'typed' => [],
            ];
            foreach ($mapping as $i => $column) {
                $cell = trim($row[$i] ?? '');
                if ($cell === '' || $column['parameter'] === '' || $i === $time) {
                    continue;
                }
                if ($column['parameter'] === 'bay') {
                    $visit['vessel_id'] = $bays[mb_strtolower($cell)] ?? null;

                    continue;
                }
                $parameter = Parameter::tryFrom($column['parameter']);
                if ($parameter === null || !in_array($parameter, Parameter::measured(), true)) {
                    $errors["column {$table->head[$i]}"] = 'This is not something that is tested here.';

                    continue;
                }
                try {
                    $visit['readings'][$parameter->value] = TypedReading::read(
                        $parameter,
                        mb_substr($cell, 0, 20),
                        $column['unit'],
                    );
                    $visit['typed'][$parameter->value] = ['typed' => $cell, 'unit' => $column['unit']];
                } catch (UnreadableReading $fault) {
                    $errors['row ' . ($n + 2) . ", {$table->head[$i]}"] = $fault->getMessage();
                }
            }
            if ($visit['readings'] !== []) {
                $visits[] = $visit;
            }
        }

        return [$visits, $errors, $known];
    }

    /**
     * A time with or without a zone, day first where the day stands first; the site's own where none is said.
     *
     * @throws BadInput
     */
    private static function when(string $text, string $zone): Carbon
    {
        $text = (string) preg_replace('#^(\d{1,2})[./](\d{1,2})[./](\d{4})#', '$3-$2-$1', trim($text));

        return LocalTime::past($text, $zone, 'time');
    }
}
