<?php

declare(strict_types=1);

namespace App\Bench;

/**
 * One calculator laid out for use on a system: which fields are asked for, in what order, and what is shown of the
 * answer.
 *
 * Fields come filled from the book; whatever is typed stands over it.
 */
final readonly class Bench
{
    /**
     * @param  list<string>  $fields  keys of the calculator's inputs
     * @param  array<string, array{string, string}>  $figures  label and unit by key of an output; the first is the
     *     answer
     * @param  array<string, string>  $words  what a key of choice is called
     * @param  list<string>  $asked  keys that the book could fill and that are asked for all the same
     * @param  bool  $dangerRefuses  whether a danger takes the amounts away, so that nobody weighs them out
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $calculator,
        public array $fields,
        public array $figures,
        public array $words = [],
        public bool $dangerRefuses = false,
        public array $asked = [],
    ) {}
}
