<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Data\Row;

/**
 * What an agent does to those who handle it and to all that lives in the water.
 *
 * Plants and invertebrates have a verdict each, as pairs of things have: `refused`, `conditions` or `allowed`.
 *
 * @source agent-hazards-from-memory
 */
final readonly class Hazards
{
    /**
     * @param  array{verdict: string, reason: string}  $plants
     * @param  array{verdict: string, reason: string}  $invertebrates
     */
    private function __construct(
        public string $people,
        public string $fish,
        public string $filter,
        public array $plants,
        public array $invertebrates,
    ) {}

    public static function from(Row $row): self
    {
        $living = static fn(string $key): array => [
            'verdict' => $row->row($key)->text('verdict'),
            'reason' => $row->row($key)->text('says'),
        ];

        return new self(
            $row->text('people'),
            $row->text('fish'),
            $row->text('filter'),
            $living('plants'),
            $living('invertebrates'),
        );
    }

    /** @return array<string, string> by whom it concerns, as it is read out */
    public function said(): array
    {
        return [
            'People' => $this->people,
            'Fish' => $this->fish,
            'Filter' => $this->filter,
            'Plants' => $this->plants['reason'],
            'Snails, mussels, crayfish' => $this->invertebrates['reason'],
        ];
    }
}
