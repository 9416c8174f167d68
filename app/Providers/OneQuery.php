<?php

declare(strict_types=1);

namespace App\Providers;

use stdClass;

/**
 * Many questions as one: each row comes back with the number of its question, as a JSON list in the order of its
 * columns. Of a question that had no rows when its columns were learned only this is asked, whether it still has none.
 */
final readonly class OneQuery
{
    public string $sql;

    /** @var list<mixed> */
    public array $bindings;

    /** @param  non-empty-list<Question>  $questions */
    public function __construct(private array $questions)
    {
        $asked = array_map(self::part(...), array_keys($questions), $questions);
        $this->sql = 'SELECT q, r FROM (' . implode(' UNION ALL ', $asked) . ') each(q, n, r) ORDER BY q, n';
        $this->bindings = array_merge(
            ...array_map(static fn(Question $question): array => array_values($question->bindings), $questions),
        );
    }

    /**
     * @param  array<mixed>  $rows  what came back
     * @return list<?list<stdClass>> the answer to each question; null where it has to be asked for itself
     */
    public function answers(array $rows): array
    {
        $answers = array_map(static fn(): array => [], $this->questions);
        foreach ($rows as $row) {
            /** @var object{q: int, r: ?string} $row */
            $columns = $this->questions[$row->q]->columns;
            if ($columns === null) {
                // It had no rows, and now it has.
                $answers[$row->q] = null;
                continue;
            }
            /** @var list<?string> $values */
            $values = json_decode((string) $row->r, flags: JSON_THROW_ON_ERROR);
            $answers[$row->q][] = self::row($columns, $values);
        }

        return array_values($answers);
    }

    /**
     * @param  list<Column>  $columns
     * @param  list<?string>  $values
     */
    private static function row(array $columns, array $values): stdClass
    {
        $row = new stdClass();
        foreach ($columns as $i => $column) {
            $row->{$column->name} = $column->read($values[$i]);
        }

        return $row;
    }

    private static function part(int $n, Question $question): string
    {
        if ($question->columns === null) {
            return "(SELECT {$n} q, 1::bigint n, NULL::json r FROM ({$question->sql}) a LIMIT 1)";
        }
        $cells = implode(', ', array_map(static fn(Column $one): string => $one->sql('a'), $question->columns));

        return "SELECT {$n}, a.n_th, array_to_json(ARRAY[{$cells}]::text[]) FROM " .
            "(SELECT row_number() OVER () n_th, b.* FROM ({$question->sql}) b) a";
    }
}
