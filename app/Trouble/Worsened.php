<?php

declare(strict_types=1);

namespace App\Trouble;

use Illuminate\Support\Carbon;
use Ironwort\Core\Words\Message;

/** A reading that got worse since an incident was opened, and when that was read. */
final readonly class Worsened
{
    public function __construct(public Message $says, public Carbon $at) {}
}
