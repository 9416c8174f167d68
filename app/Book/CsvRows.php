<?php

declare(strict_types=1);

namespace App\Book;

use App\Forms\LocalTime;
use App\Models\System;
use App\Models\Vessel;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;

/**
 * The rows of a CSV as visits, so many at a time, with what cannot be used and what the book has already.
 *
 * A row is known where a visit of the same time and place has all of its values. Never is the whole file in memory.
 */
final class CsvRows
{
    public const CHUNK = 500;

    private const MOST_ROWS = 200000;

    /** Errors beyond these are counted and not kept. */
    private const MOST_ERRORS = 50;

    public int $known = 0;

    public int $visits = 0;

    public int $readings = 0;

    public int $faults = 0;

    /** @var array<string, string> by place in the file */
    public array $errors = [];

    private readonly int $time;

    /** @var array<string, string> id by name */
    private readonly array $bays;

    /**
     * @param  array<int, array{parameter: string, unit: ?string}>  $mapping
     *
     * @throws BadInput at `csv`
     */
    public function __construct(
        private readonly System $system,
        private readonly CsvTable $table,
        private readonly array $mapping,
    ) {
        $this->time =
            array_key_first(
                array_filter($mapping, static fn(array $column): bool => $column['parameter'] === 'taken_at'),
            ) ?? throw BadInput::at('csv', 'No column is a time. Choose one.');
        /** @var array<string, string> $bays */
        $bays = $system->vessels
            ->mapWithKeys(static fn(Vessel $vessel): array => [mb_strtolower($vessel->name) => $vessel->id])
            ->all();
        $this->bays = $bays;
    }

    /**
     * @return \Generator<int, list<CsvVisit>> what is new, so many at a time
     *
     * @throws BadInput at `csv` where there are too many rows
     */
    public function chunks(): \Generator
    {
        $chunk = [];
        $count = 0;
        foreach ($this->table->rows() as $n => $row) {
            if (++$count > self::MOST_ROWS) {
                throw BadInput::at('csv', 'More than ' . number_format(self::MOST_ROWS) . ' rows: cut it into parts.');
            }
            $visit = $this->visit($n, $row);
            if ($visit !== null) {
                $chunk[] = $visit;
            }
            if (count($chunk) === self::CHUNK) {
                yield $this->unknown($chunk);
                $chunk = [];
            }
        }
        if ($chunk !== []) {
            yield $this->unknown($chunk);
        }
    }

    /** @param  list<string>  $row */
    private function visit(int $n, array $row): ?CsvVisit
    {
        try {
            $at = self::when($row[$this->time] ?? '', $this->system->site->timezone);
        } catch (BadInput $bad) {
            $cell = mb_substr($row[$this->time] ?? '', 0, 30);
            $this->fault("row {$n}", "“{$cell}”: " . implode(' ', $bad->errors));

            return null;
        }
        $vessel = null;
        $readings = $typed = [];
        foreach ($this->mapping as $i => $column) {
            $cell = trim($row[$i] ?? '');
            if ($cell === '' || $column['parameter'] === '' || $i === $this->time) {
                continue;
            }
            if ($column['parameter'] === 'bay') {
                $vessel = $this->bays[mb_strtolower($cell)] ?? null;

                continue;
            }
            $parameter = Parameter::tryFrom($column['parameter']);
            if ($parameter === null || !in_array($parameter, Parameter::measured(), true)) {
                $this->fault("column {$this->table->head[$i]}", 'This is not something that can be tested here.');

                continue;
            }
            try {
                $readings[$parameter->value] = TypedReading::read($parameter, mb_substr($cell, 0, 20), $column['unit']);
                $typed[$parameter->value] = ['typed' => $cell, 'unit' => $column['unit']];
            } catch (UnreadableReading $fault) {
                $this->fault("row {$n}, {$this->table->head[$i]}", $fault->getMessage());
            }
        }

        return $readings === [] ? null : new CsvVisit($at, $vessel, $readings, $typed);
    }

    /**
     * @param  list<CsvVisit>  $chunk
     * @return list<CsvVisit>
     */
    private function unknown(array $chunk): array
    {
        $booked = $this->booked($chunk);
        $new = [];
        foreach ($chunk as $visit) {
            $values = array_map(static fn(Reading $reading): float => $reading->value, $visit->readings);
            $known = array_filter(
                $booked[$visit->place()] ?? [],
                static fn(array $one): bool => array_udiff_assoc($values, $one, self::apart(...)) === [],
            );
            if ($known !== []) {
                $this->known++;

                continue;
            }
            // The same row twice in one file is one visit.
            $booked[$visit->place()][] = $values;
            $new[] = $visit;
            $this->visits++;
            $this->readings += count($values);
        }

        return $new;
    }

    private static function apart(float $a, float $b): int
    {
        return abs($a - $b) <= 1e-9 * max(1.0, abs($a)) ? 0 : $a <=> $b;
    }

    /**
     * @param  list<CsvVisit>  $chunk
     * @return array<string, list<array<string, float>>> values by parameter of each visit, by its time and place
     */
    private function booked(array $chunk): array
    {
        $times = array_map(static fn(CsvVisit $visit): string => $visit->at->format('Y-m-d H:i:s.uP'), $chunk);
        /** @var list<object{t: string, vessel_id: ?string, readings: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT (extract(epoch FROM v.taken_at) * 1000000)::bigint::text AS t, v.vessel_id,
                jsonb_object_agg(r.parameter, r.value)::text AS readings
            FROM visits v JOIN readings r ON r.visit_id = v.id
            WHERE v.system_id = ? AND v.withdrawn_at IS NULL AND v.taken_at = ANY (?::timestamptz[])
            GROUP BY v.id
            SQL
            ,
            [$this->system->id, '{"' . implode('","', $times) . '"}'],
        );
        $booked = [];
        foreach ($rows as $row) {
            /** @var array<string, float> $values */
            $values = json_decode($row->readings, true);
            $booked["{$row->t} {$row->vessel_id}"][] = $values;
        }

        return $booked;
    }

    private function fault(string $place, string $message): void
    {
        $this->faults++;
        if (count($this->errors) < self::MOST_ERRORS) {
            $this->errors[$place] = $message;
        }
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
