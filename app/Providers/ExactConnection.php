<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Database\PostgresConnection;
use Illuminate\Database\Query\Grammars\PostgresGrammar;

/**
 * PostgreSQL with times to the microsecond and with their zone. Cut down to seconds, what was done earlier in the same
 * second as something else would count as done after it.
 *
 * A page that only reads may ask the same thing from several sides: it is then asked once, so that all of the page
 * rests on one answer.
 */
final class ExactConnection extends PostgresConnection
{
    /** @var ?array<string, array<mixed>> answers by question; null where every question is asked anew */
    private ?array $answers = null;

    /** From here on the same question has the same answer, until something is written. */
    public function readOnce(): void
    {
        $this->answers = [];
    }

    public function readAnew(): void
    {
        $this->answers = null;
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
        $question = $query . serialize($this->prepareBindings($bindings));
        $this->answers[$question] ??= parent::select($query, $bindings, $useReadPdo);

        // What one reader makes of its rows is no other's.
        return array_map(
            static fn(mixed $row): mixed => is_object($row) ? clone $row : $row,
            $this->answers[$question],
        );
    }

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     */
    public function statement($query, $bindings = [])
    {
        $this->wrote();

        return parent::statement($query, $bindings);
    }

    /**
     * @param  string  $query
     * @param  array<mixed>  $bindings
     */
    public function affectingStatement($query, $bindings = [])
    {
        $this->wrote();

        return parent::affectingStatement($query, $bindings);
    }

    private function wrote(): void
    {
        if ($this->answers !== null) {
            $this->answers = [];
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
