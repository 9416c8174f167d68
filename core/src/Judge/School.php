<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** One way of keeping fish where keepers differ, with what it asks for as figures. */
final readonly class School
{
    /**
     * @param  string  $says  what is done, and its reason
     * @param  string  $risk  what it may cost
     * @param  array<string, float>  $figures  what they are is said by the table they come from
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $says,
        public string $risk,
        public array $figures,
        public string $source,
    ) {}

    public function figure(string $key): float
    {
        return $this->figures[$key] ?? 0.0;
    }
}
