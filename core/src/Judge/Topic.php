<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** Something keepers do in more than one good way. */
final readonly class Topic
{
    /**
     * @param  string  $changes  what follows from the choice, in words
     * @param  string  $why  ours, the first, is what it is
     * @param  non-empty-array<string, School>  $schools  by id; the first holds when nothing is chosen
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $changes,
        public string $why,
        public array $schools,
    ) {}

    public function school(?string $id): School
    {
        return $this->schools[$id ?? ''] ?? $this->schools[array_key_first($this->schools)];
    }
}
