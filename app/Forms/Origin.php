<?php

declare(strict_types=1);

namespace App\Forms;

/**
 * One number that went into a figure, and where it came from.
 *
 * Kinds: `measured` (a reading), `build` (what the system is built of), `plan` (the feed figure),
 * `limit` (a limit of the life stage), `typed` (just now), `computed`, `assumed` (nobody said).
 */
final readonly class Origin
{
    public function __construct(
        public string $key,
        public string $label,
        public string $text,
        public string $kind,
        public string $from,
    ) {}

    /** @return array{key: string, label: string, text: string, kind: string, from: string} */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'label' => $this->label,
            'text' => $this->text,
            'kind' => $this->kind,
            'from' => $this->from,
        ];
    }
}
