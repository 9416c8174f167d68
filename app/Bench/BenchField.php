<?php

declare(strict_types=1);

namespace App\Bench;

/** One field of a bench as a page shows it: what stands there, where from, and whether it is to be typed. */
final readonly class BenchField
{
    /**
     * @param  list<array{value: string, label: string}>  $choices
     * @param  ?string  $value  what stands there unless something is typed
     * @param  bool  $filled  the book or a default has filled it in
     * @param  bool  $needed  nothing can be worked out without it
     */
    public function __construct(
        public string $key,
        public string $label,
        public ?string $unit,
        public array $choices,
        public ?string $value,
        public string $from,
        public bool $filled,
        public bool $needed,
    ) {}
}
