<?php

declare(strict_types=1);

namespace App\Readings;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Sentence;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/** What the readings of a system mean together: each on its scale, the worst of them, what is worth asking again. */
final readonly class Meaning
{
    /** Null where nothing was read. */
    public ?State $state;

    /** The sentence about the worst reading; null where all is well. */
    public ?string $worst;

    /**
     * @param  list<Strip>  $strips
     * @param  array<string, Message>  $asks  by parameter
     */
    public function __construct(public array $strips, public array $asks)
    {
        $worst = null;
        foreach ($strips as $strip) {
            if ($worst === null || $strip->verdict->state->worseThan($worst->verdict->state)) {
                $worst = $strip;
            }
        }
        $this->state = $worst?->verdict->state;
        $this->worst =
            $worst === null || $worst->verdict->state === State::Good
                ? null
                : Sentence::of($worst->reading, $worst->verdict, $worst->fish);
    }

    /** How one reading stands; good where it was not read. */
    public function of(Parameter $parameter): State
    {
        foreach ($this->strips as $strip) {
            if ($strip->reading->parameter === $parameter) {
                return $strip->verdict->state;
            }
        }

        return State::Good;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'strips' => array_map(static fn(Strip $strip): array => $strip->toArray(), $this->strips),
            'asks' => (object) array_map(static fn(Message $ask): array => $ask->toArray(), $this->asks),
            'state' => $this->state?->value,
            'worst' => $this->worst,
        ];
    }
}
