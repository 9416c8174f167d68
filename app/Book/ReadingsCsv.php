<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\System;
use App\Models\User;
use App\Readings\BookVisit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Unit;

/**
 * Readings as CSV: one row a visit, one column a parameter with its unit in the head.
 *
 * Out: `taken_at` (UTC, ISO 8601), `bay`, `by`, then as `Ammonia [mg/L as N]`, cells as they were typed.
 * In: the same, or any CSV whose columns are mapped to parameters and units. All rows or none.
 */
final readonly class ReadingsCsv
{
    /** Visits that are read from the book at once. */
    private const PAGE = 1000;

    /** @param  \Closure(string): void  $out */
    public function write(System $system, Carbon $from, Carbon $to, \Closure $out): void
    {
        $columns = array_map(
            static fn(Parameter $parameter): string => $parameter->name() .
                ($parameter->symbol() === null ? '' : " [{$parameter->symbol()}]"),
            Parameter::measured(),
        );
        $out(implode(',', array_map(CsvTable::field(...), ['taken_at', 'bay', 'by', ...$columns])) . "\r\n");
        foreach (self::visits($system, $from, $to) as $row) {
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

    /** @return \Generator<int, object{id: string, taken_at: string, bay: ?string, by: ?string, readings: string}> */
    private static function visits(System $system, Carbon $from, Carbon $to): \Generator
    {
        $after = [$from->format('Y-m-d H:i:s.uP'), ''];
        do {
            /** @var list<object{id: string, taken_at: string, bay: ?string, by: ?string, readings: string}> $rows */
            $rows = DB::select(
                <<<'SQL'
                SELECT v.id, v.taken_at, b.name AS bay, u.name AS by, jsonb_object_agg(r.parameter,
                    jsonb_build_array(r.typed, r.unit, r.value)) AS readings
                FROM (SELECT * FROM visits WHERE system_id = ? AND withdrawn_at IS NULL
                    AND (taken_at, id) > (?::timestamptz, ?) AND taken_at <= ? ORDER BY taken_at, id LIMIT ?) v
                JOIN readings r ON r.visit_id = v.id LEFT JOIN vessels b ON b.id = v.vessel_id
                LEFT JOIN users u ON u.id = v.user_id
                GROUP BY v.id, v.taken_at, b.name, u.name ORDER BY v.taken_at, v.id
                SQL
                ,
                [$system->id, ...$after, $to, self::PAGE],
            );
            foreach ($rows as $row) {
                yield $row;
                $after = [$row->taken_at, $row->id];
            }
        } while ($rows !== []);
    }

    /** @param  ?array<int, array{parameter: string, unit: ?string}>  $mapping */
    public function preview(System $system, string $text, ?array $mapping): CsvPreview
    {
        $table = CsvTable::read($text);
        $mapping ??= $this->guess($table->head);
        try {
            $rows = new CsvRows($system, $table, $mapping);
            foreach ($rows->chunks() as $chunk) {
                // Counted as they pass.
                unset($chunk);
            }
            $counts = [$rows->visits, $rows->readings, $rows->known, $rows->errors, $rows->faults];
        } catch (BadInput $bad) {
            // The columns are shown all the same, so that it can be said what they are.
            $counts = [0, 0, 0, ['the file' => implode(' ', $bad->errors)], 1];
        }

        return new CsvPreview($table, $mapping, ...$counts);
    }

    /**
     * @param  ?array<int, array{parameter: string, unit: ?string}>  $mapping
     * @param  ?\Closure(float): void  $progress  told the share that is done, 0 to 1
     * @return array{visits: int, readings: int, known: int}
     *
     * @throws BadInput when any row cannot be used; nothing is then kept
     */
    public function import(System $system, User $user, string $text, ?array $mapping, ?\Closure $progress = null): array
    {
        $table = CsvTable::read($text);
        $rows = new CsvRows($system, $table, $mapping ?? $this->guess($table->head));

        return DB::transaction(static function () use ($system, $user, $rows, $table, $progress): array {
            foreach ($rows->chunks() as $chunk) {
                $progress?->__invoke($table->done());
                // What follows a fault is looked through and not kept: all of it or nothing.
                if ($rows->faults === 0) {
                    self::keep($system, $user, $chunk);
                }
            }
            if ($rows->faults > 0) {
                throw BadInput::at(
                    'csv',
                    "{$rows->faults} of its cells cannot be used; nothing was kept. " .
                        array_key_first($rows->errors) .
                        ': ' .
                        reset($rows->errors),
                );
            }
            if ($rows->visits === 0 && $rows->known === 0) {
                throw BadInput::at('csv', 'No column has readings. Choose what the columns are.');
            }

            return ['visits' => $rows->visits, 'readings' => $rows->readings, 'known' => $rows->known];
        });
    }

    /** @param  list<CsvVisit>  $chunk */
    private static function keep(System $system, User $user, array $chunk): void
    {
        $visits = $readings = [];
        foreach ($chunk as $visit) {
            $id = strtoupper((string) Str::ulid());
            $visits[] = [
                'id' => $id,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'vessel_id' => $visit->vesselId,
                'taken_at' => $visit->at,
                'booked_at' => Carbon::now()->max($visit->at),
            ];
            array_push($readings, ...BookVisit::rows($id, $system, $visit->at, $visit->readings, $visit->typed));
        }
        DB::table('visits')->insert($visits);
        foreach (array_chunk($readings, 4 * CsvRows::CHUNK) as $rows) {
            DB::table('readings')->insert($rows);
        }
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
}
