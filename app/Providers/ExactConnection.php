<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\LooksAtMany;
use Illuminate\Database\PostgresConnection;
use Illuminate\Database\Query\Grammars\PostgresGrammar;
use Illuminate\Database\QueryException;
use PDO;

/**
 * PostgreSQL with times to the microsecond and with their zone. Cut down to seconds, what was done earlier in the same
 * second as something else would count as done after it.
 *
 * A page that only reads may ask the same thing from several sides: it is then asked once, so that all of the page
 * rests on one answer. A page that lists many asks the same of each: it is then asked for all of them at the first.
 * And what a page asked when it was last looked at is asked in one go.
 */
final class ExactConnection extends PostgresConnection implements LooksAtMany
{
    /** @var ?array<string, array<mixed>> answers by question; null where every question is asked anew */
    private ?array $answers = null;

    /** @var list<string> keys of what is looked at together */
    private array $together = [];

    /** @var array<string, array{list<\stdClass>, Question}> answers fetched before they were asked for, by question */
    private array $ahead = [];

    private ?AskedBefore $before = null;

    /** From here on the same question has the same answer, until something is written. */
    public function readOnce(): void
    {
        $this->answers = [];
    }

    /** Asks in one go what was asked here before, and keeps in mind what is asked from here on. */
    public function askAhead(AskedBefore $before): void
    {
        if ($this->answers === null) {
            return;
        }
        $this->before = $before;
        try {
            // PostgreSQL takes longer to plan one query of seventy parts than seven of ten.
            foreach (array_chunk($before->last(), 10) as $some) {
                $one = new OneQuery($some);
                foreach ($one->answers($this->lists($one->sql, $one->bindings)) as $n => $rows) {
                    if ($rows !== null) {
                        $key = self::question($some[$n]->sql, $this->prepareBindings($some[$n]->bindings));
                        $this->ahead[$key] = [$rows, $some[$n]];
                    }
                }
            }
        } catch (QueryException) {
            // Such as after an upgrade, when a column is no longer there.
            $before->forget();
        }
    }

    /**
     * @param  list<mixed>  $bindings
     * @return list<list<int|string|null>> rows, each as a list
     */
    private function lists(string $query, array $bindings): array
    {
        /** @var list<list<int|string|null>> */
        return $this->run($query, $bindings, function (string $query, array $bindings): array {
            $statement = $this->getPdo()->prepare($query);
            $this->bindValues($statement, $this->prepareBindings($bindings));
            $statement->execute();

            return $statement->fetchAll(PDO::FETCH_NUM);
        });
    }

    public function readAnew(): void
    {
        $this->before?->keep();
        $this->answers = null;
        $this->together = [];
        $this->ahead = [];
        $this->before = null;
    }

    /**
     * What is asked of one of these is asked of all of them at once, while the same question has the same answer.
     *
     * @param  list<string>  $keys  ULIDs
     */
    public function lookAtTogether(array $keys): void
    {
        $this->together = count($keys) > 1 ? $keys : [];
    }

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     * @param  bool  $useReadPdo
     * @return array<mixed>
     */
    public function select($query, $bindings = [], $useReadPdo = true)
    {
        if ($this->answers === null) {
            return parent::select($query, $bindings, $useReadPdo);
        }
        $question = self::question($query, $this->prepareBindings($bindings));
        if (!isset($this->answers[$question]) && !$this->askedOfAll($query, $bindings)) {
            $this->answers[$question] = $this->ask($query, $bindings);
        }

        // What one reader makes of its rows is no other's.
        return array_map(
            static fn(mixed $row): mixed => is_object($row) ? clone $row : $row,
            $this->answers[$question] ?? [],
        );
    }

    /**
     * @param  array<mixed>  $bindings
     * @return array<mixed>
     */
    private function ask(string $query, array $bindings): array
    {
        $question = self::question($query, $this->prepareBindings($bindings));
        [$rows, $known] = $this->ahead[$question] ?? [parent::select($query, $bindings), null];
        $this->before?->asked(
            $question,
            $known === null
                ? Question::answered($query, $bindings, $rows)
                : new Question($query, array_values($bindings), $known->columns),
        );

        return $rows;
    }

    /** @param  array<mixed>  $bindings */
    private static function question(string $query, array $bindings): string
    {
        return $query . serialize($bindings);
    }

    /**
     * Puts the question once for each of the keys that are looked at together, in one query, and keeps all answers.
     *
     * @param  array<mixed>  $bindings
     * @return bool whether it could be asked so
     */
    private function askedOfAll(string $query, array $bindings): bool
    {
        $bindings = array_values($bindings);
        $keys = array_values(array_intersect($this->together, array_filter($bindings, is_string(...))));
        if (count($keys) !== 1 || preg_match('/^\s*select\b(?!.*\bfor\s+(?:no\s+key\s+)?update\b)/is', $query) !== 1) {
            return false;
        }
        $parts = explode('?', $query);
        if (count($parts) !== count($bindings) + 1) {
            return false;
        }
        $others = [];
        $asked = $parts[0];
        foreach ($bindings as $i => $value) {
            $asked .= ($value === $keys[0] ? 'each_key.id' : '?') . $parts[$i + 1];
            if ($value !== $keys[0]) {
                $others[] = $value;
            }
        }
        $rows = $this->ask(
            'SELECT each_key.id AS each_key, one.* FROM unnest(?::char(26)[]) WITH ORDINALITY each_key(id, n), ' .
                "LATERAL (SELECT row_number() OVER () AS each_row, asked.* FROM ({$asked}) asked) one " .
                'ORDER BY each_key.n, one.each_row',
            ['{' . implode(',', $this->together) . '}', ...$others],
        );
        foreach ($this->together as $key) {
            $of = array_map(static fn(mixed $value): mixed => $value === $keys[0] ? $key : $value, $bindings);
            $this->answers[self::question($query, $this->prepareBindings($of))] = [];
        }
        foreach ($rows as $row) {
            /** @var \stdClass $row */
            $of = array_map(static fn(mixed $value): mixed => $value === $keys[0] ? $row->each_key : $value, $bindings);
            $question = self::question($query, $this->prepareBindings($of));
            $row = clone $row;
            unset($row->each_key, $row->each_row);
            $this->answers[$question][] = $row;
        }

        return true;
    }

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     */
    public function statement($query, $bindings = [])
    {
        $this->wrote($query);

        return parent::statement($query, $bindings);
    }

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     */
    public function affectingStatement($query, $bindings = [])
    {
        $this->wrote($query);

        return parent::affectingStatement($query, $bindings);
    }

    private function wrote(string $query): void
    {
        // What a page keeps for its next look changes nothing that is in the book.
        if ($this->answers !== null && preg_match('/^\s*(?:insert into|update|delete from) "cache"/i', $query) !== 1) {
            $this->answers = [];
            $this->ahead = [];
        }
    }

    protected function getDefaultQueryGrammar(): PostgresGrammar
    {
        return new class ($this) extends PostgresGrammar {
            public function getDateFormat(): string
            {
                return 'Y-m-d H:i:s.uP';
            }
        };
    }
}
