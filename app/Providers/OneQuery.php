<?php

declare(strict_types=1);

namespace App\Providers;

use stdClass;

/**
 * Many questions as one: each row comes back with the number of its question and its columns as text, in their order,
 * with nothing in those that another question has more. Of a question that had no rows when its columns were learned
 * only this is asked, whether it still has none.
 */
final readonly class OneQuery
{
    public string $sql;

    /** @var list<mixed> */
    public array $bindings;

    /** @param  non-empty-list<Question>  $questions */
    public function __construct(private array $questions)
    {
        $most = max(array_map(static fn(Question $question): int => count($question->columns ?? []), $questions));
        $asked = array_map(
            static fn(int $n, Question $question): string => self::part($n, $question, $most),
            array_keys($questions),
            $questions,
        );
        $this->sql = 'SELECT * FROM (' . implode(' UNION ALL ', $asked) . ') each ORDER BY 1, 2';
        $this->bindings = array_merge(
            ...array_map(static fn(Question $question): array => array_values($question->bindings), $questions),
        );
    }

    /**
     * @param  list<list<int|string|null>>  $rows  the number of the question, that of the row, the cells
     * @return list<?list<stdClass>> the answer to each question; null where it has to be asked for itself
     */
    public function answers(array $rows): array
    {
        $answers = array_map(static fn(): array => [], $this->questions);
        foreach ($rows as $row) {
            $q = (int) $row[0];
            if (!isset($answers[$q])) {
                continue;
            }
            $read = self::row($this->questions[$q]->columns, $row);
            if ($read === null) {
                $answers[$q] = null;
            } else {
                $answers[$q][] = $read;
            }
        }

        return array_values($answers);
    }

    /**
     * @param  ?list<Column>  $columns
     * @param  list<int|string|null>  $row
     * @return ?stdClass null where something stands now that nothing is known of
     */
    private static function row(?array $columns, array $row): ?stdClass
    {
        if ($columns === null) {
            return null;
        }
        $read = new stdClass();
        foreach ($columns as $i => $column) {
            /** @var ?string $cell */
            $cell = $row[$i + 2];
            if (!$column->reads($cell)) {
                return null;
            }
            $read->{$column->name} = $column->read($cell);
        }

        return $read;
    }

    /** @param  int  $most  columns that every part has */
    private static function part(int $n, Question $question, int $most): string
    {
        $cells = array_map(static fn(Column $one): string => $one->sql('a'), $question->columns ?? []);
        $row = implode(
            '',
            array_map(static fn(string $cell): string => ", {$cell}", array_pad($cells, $most, 'NULL::text')),
        );

        return $question->columns === null
            ? "SELECT {$n} q, 1::bigint n{$row} WHERE EXISTS ({$question->sql})"
            : "SELECT {$n} q, a.n_th n{$row} FROM (SELECT row_number() OVER () n_th, b.* FROM ({$question->sql}) b) a";
    }
}
