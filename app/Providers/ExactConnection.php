<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Database\PostgresConnection;
use Illuminate\Database\Query\Grammars\PostgresGrammar;

/**
 * PostgreSQL with times to the microsecond and with their zone. Cut down to seconds, what was done earlier in the same
 * second as something else would count as done after it.
 */
final class ExactConnection extends PostgresConnection
{
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
