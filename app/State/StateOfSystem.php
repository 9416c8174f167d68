<?php

declare(strict_types=1);

namespace App\State;

use App\Running\Standing;
use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Judge\State;

/** How a system stands, in one word, and the one worst thing. */
final readonly class StateOfSystem
{
    /** @param  list<Danger>  $dangers  that stand in the water, the worst first */
    public function __construct(
        public ?State $state,
        public ?string $worst,
        public array $dangers,
        public ?Overload $overload = null,
        public ?Standing $standing = null,
    ) {}
}
