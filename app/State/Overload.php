<?php

declare(strict_types=1);

namespace App\State;

use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/** A filter that does not carry its load with what is to be kept back, or of which that is not known. */
final readonly class Overload
{
    public function __construct(public State $state, public Message $message) {}
}
