<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Figure;

/** One thing the new water of a change is short of, or has that fish must not meet: how much of what to put in. */
final readonly class PutBackItem
{
    /**
     * @param  string  $what  its key on the change
     * @param  string  $good  the kind of it on the shelf
     * @param  string  $text  the amount in the keeper's measures
     */
    public function __construct(
        public string $what,
        public string $good,
        public string $name,
        public string $text,
        public Figure $figure,
    ) {}

    /** @return array{what: string, name: string, text: string, figure: array<string, mixed>} as the contract has it */
    public function toArray(): array
    {
        return [
            'what' => $this->what,
            'name' => $this->name,
            'text' => $this->text,
            'figure' => $this->figure->toArray(),
        ];
    }

    /**
     * As it stands on a booked change until it is ticked off.
     *
     * @return array{what: string, name: string, text: string, done: bool, good: string, amount: float, unit: ?string}
     */
    public function open(): array
    {
        return [
            'what' => $this->what,
            'name' => $this->name,
            'text' => $this->text,
            'done' => false,
            'good' => $this->good,
            'amount' => $this->figure->value,
            'unit' => $this->figure->unit,
        ];
    }
}
