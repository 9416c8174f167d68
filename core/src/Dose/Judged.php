<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Words\Message;

/** What the state of the water says to one thing that is to be given. */
final readonly class Judged
{
    /**
     * @param  list<Message>  $refusals
     * @param  list<Message>  $conditions
     * @param  list<Meeting>  $pairs  with each thing that is there
     */
    public function __construct(public array $refusals = [], public array $conditions = [], public array $pairs = []) {}

    /** @param  list<Meeting>  $meetings */
    public static function by(array $meetings): self
    {
        $of = static fn(Verdict $verdict): array => array_values(
            array_map(
                static fn(Meeting $one): Message => $one->refusal(),
                array_filter($meetings, static fn(Meeting $one): bool => $one->verdict === $verdict),
            ),
        );

        return new self(
            $of(Verdict::Refused),
            $of(Verdict::Conditions),
            array_values(array_filter($meetings, static fn(Meeting $one): bool => $one->with !== null)),
        );
    }

    public function refusing(Message ...$more): self
    {
        return new self([...$this->refusals, ...array_values($more)], $this->conditions, $this->pairs);
    }

    public function on(Message ...$more): self
    {
        return new self($this->refusals, [...$this->conditions, ...array_values($more)], $this->pairs);
    }

    /** Both of them together. */
    public function and(self $other): self
    {
        return new self(
            [...$this->refusals, ...$other->refusals],
            [...$this->conditions, ...$other->conditions],
            [...$this->pairs, ...$other->pairs],
        );
    }

    public function isRefused(): bool
    {
        return $this->refusals !== [];
    }
}
