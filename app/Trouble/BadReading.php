<?php

declare(strict_types=1);

namespace App\Trouble;

use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\State;

/** A reading of the book as it is judged now. */
final readonly class BadReading
{
    /** @param  bool  $bad  whether it was to be acted on */
    public function __construct(public Reading $reading, public Carbon $at, public State $state, public bool $bad) {}
}
