<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** A cause of fast blocking: the figure that tells of it, and from where it counts. */
final readonly class BlockingCause
{
    private function __construct(
        public string $id,
        public string $name,
        public string $figure,
        public string $unit,
        public float $from,
        private bool $over,
        public string $code,
        public string $source,
    ) {}

    /** @throws BrokenTable */
    public static function from(Row $row): self
    {
        $over = $row->numberOrNull('over');
        $under = $row->numberOrNull('under');

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('figure'),
            $row->text('unit'),
            $over ?? ($under ?? throw new BrokenTable('A cause counts from somewhere.')),
            $over !== null,
            $row->text('code'),
            $row->text('source'),
        );
    }

    /** How far its figure is past where it counts, 1 and more; null where it is not, or nobody knows it. */
    public function weight(?float $value): ?float
    {
        $ratio = match (true) {
            $value === null => 0.0,
            $this->over => $value / $this->from,
            $value <= 0 => 0.0,
            default => $this->from / $value,
        };

        return $ratio >= 1 ? $ratio : null;
    }
}
