<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Words\Message;

/** One step of a run: what to do, and what it switches or is asked to have seen. */
final readonly class Step
{
    /**
     * @param  ?string  $switches  key of a pump, lamp, heater or valve that is switched with it
     * @param  bool  $on  whether it is switched on
     * @param  bool  $flow  whether flow is to be seen: a figure, or a look at every return
     * @param  bool  $afterFlow  whether it waits until flow was seen
     * @param  bool  $caution  whether it is a caution to be read before one goes on
     */
    public function __construct(
        public Message $message,
        public ?string $switches = null,
        public bool $on = false,
        public bool $flow = false,
        public bool $afterFlow = false,
        public bool $caution = false,
    ) {}
}
