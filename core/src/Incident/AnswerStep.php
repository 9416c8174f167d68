<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/**
 * One thing to do, with why, and the amount where there is one: a figure of a calculator that can be run again.
 *
 * `page` is where it is done or booked: water, dose, buffer, test, capacity or none.
 */
final readonly class AnswerStep
{
    /** @param  ?array{calc: string, key: string, input: array<string, mixed>, value: float, unit: string}  $amount */
    private function __construct(
        public Cause $cause,
        public Message $do,
        public ?Message $why,
        public ?array $amount,
        public ?string $page,
        public ?Message $caution,
        public float $changesPct = 0.0,
        public float $bindsMgL = 0.0,
    ) {}

    public static function to(
        Cause $cause,
        Message $do,
        ?Message $why = null,
        ?string $page = null,
        ?Message $caution = null,
    ): self {
        return new self($cause, $do, $why, null, $page, $caution);
    }

    /** A change of so much of the water, percent: what comes after is reckoned on what it leaves. */
    public function changing(float $pct): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            $this->amount,
            $this->page,
            $this->caution,
            $pct,
            $this->bindsMgL,
        );
    }

    /** So much ammonia bound, mg/L as N: what comes after is reckoned without it. */
    public function binding(float $mgL): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            $this->amount,
            $this->page,
            $this->caution,
            $this->changesPct,
            $mgL,
        );
    }

    public function weighing(CalculatedAmount $worked, string $unit): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            [
                'calc' => $worked->calc,
                'key' => $worked->key,
                'input' => $worked->input,
                'value' => $worked->value,
                'unit' => $unit,
            ],
            $this->page,
            $this->caution,
            $this->changesPct,
            $this->bindsMgL,
        );
    }
}
