<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** One step of the working: what is done in words, the formula, the numbers put in, the outcome. */
final readonly class WorkingStep
{
    public function __construct(
        public string $say,
        public string $formula,
        public string $with,
        public string $gives,
    ) {}
}
