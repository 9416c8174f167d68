<?php

declare(strict_types=1);

namespace App\Http;

/** How many queries a request made so far. */
final class QueryCount
{
    private int $count = 0;

    public function begin(): void
    {
        $this->count = 0;
    }

    public function one(): void
    {
        $this->count++;
    }

    public function count(): int
    {
        return $this->count;
    }
}
