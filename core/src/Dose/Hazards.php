<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;
use Ironwort\Core\Words\Message;

/**
 * What an agent does to those who handle it and to all that lives in the water.
 *
 * Plants and invertebrates have a verdict each, as pairs of things have: `refused`, `conditions` or `allowed`.
 *
 * @source agent-hazards-from-memory
 */
final readonly class Hazards
{
    private function __construct(
        public string $people,
        public string $fish,
        public string $filter,
        public Meeting $plants,
        public Meeting $invertebrates,
    ) {}

    /** @param  string  $agent  id of the agent, for the codes of what is said */
    public static function from(string $agent, Row $row): self
    {
        $living = static fn(string $key): Meeting => Meeting::told(
            Verdict::tryFrom($row->row($key)->text('verdict')) ?? throw new BrokenTable("{$agent}: no such verdict."),
            Message::fromTable("hazard.{$agent}.{$key}", $row->row($key)->text('says')),
        );

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
            'Plants' => $this->plants->reason->text,
            'Snails, mussels, crayfish' => $this->invertebrates->reason->text,
        ];
    }
}
