<?php

declare(strict_types=1);

namespace App\Report;

/** One line of a report: what, as it is read, and as it is reckoned with. */
final readonly class ReportRow
{
    /** @param  string  $section  water, to_act, feed, fish, doses, service or costs */
    public function __construct(
        public string $section,
        public string $name,
        public string $text,
        public float $value,
        public ?string $unit,
    ) {}
}
