<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** One declared figure of a calculator. The unit is null for pure numbers, words and lists. */
final readonly class Output
{
    public function __construct(public string $key, public ?string $unit = null) {}

    /** @return array{key: string, unit: ?string} */
    public function describe(): array
    {
        return ['key' => $this->key, 'unit' => $this->unit];
    }
}
