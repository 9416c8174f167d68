<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** The agents that are known, and what is not offered and why. From core/data/agents.json. */
final readonly class AgentTable
{
    /**
     * @param  array<string, Agent>  $agents  by id
     * @param  list<array{name: string, why: string}>  $notOffered
     */
    private function __construct(public array $agents, public array $notOffered) {}

    public static function from(Row $table): self
    {
        $agents = [];
        foreach ($table->rows('agents') as $row) {
            $agents[$row->text('id')] = Agent::from($row);
        }

        return new self(
            $agents,
            array_map(
                static fn(Row $row): array => ['name' => $row->text('name'), 'why' => $row->text('why')],
                $table->rows('not_offered'),
            ),
        );
    }

    /** @throws BrokenTable */
    public function get(string $id): Agent
    {
        return $this->agents[$id] ?? throw new BrokenTable("There is no agent {$id}.");
    }
}
