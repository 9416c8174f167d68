<?php

declare(strict_types=1);

namespace App\Shelf;

/** What was counted off something on the shelf: never more than stood there. */
final readonly class Taken
{
    public function __construct(public string $goodId, public float $amount) {}
}
