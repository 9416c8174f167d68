<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Words\Message;

/**
 * Whether something may be given, with all that is in the water and the loop.
 *
 *     agent salt, temp_c 20, present ["zeolite"]  →  allowed false, codes.0 dose.salt_with_zeolite
 *
 * @see Conflicts
 */
final readonly class ConflictsCalculator implements Calculator
{
    public function __construct(private Conflicts $conflicts) {}

    public function name(): string
    {
        return 'dose.conflicts';
    }

    public function title(): string
    {
        return 'What must never meet';
    }

    public function inputs(): array
    {
        return [
            Input::choice('agent', 'To be given', $this->conflicts->things()),
            ...ConflictState::inputs($this->conflicts),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('allowed'),
            new Output('refusals'),
            new Output('conditions'),
            new Output('pairs'),
            new Output('codes'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $agent = $given->text('agent');
        $judged = $this->conflicts->judge($agent, ConflictState::from($given));
        $work = new Working();
        $words = static fn(string $id): string => str_replace('_', ' ', $id);
        foreach ($judged->pairs as $pair) {
            $other = (string) $pair->with;
            $work->step(
                ucfirst($words($agent)) . " with {$words($other)}.",
                $pair->reason->text,
                $other,
                $pair->verdict->value,
            );
        }
        $work->cite('dose-conflicts');
        foreach ($judged->refusals as $refusal) {
            $work->danger($refusal);
        }
        foreach ($judged->conditions as $condition) {
            $work->watch($condition);
        }

        return $work->result([
            'allowed' => !$judged->isRefused(),
            'refusals' => Message::texts($judged->refusals),
            'conditions' => Message::texts($judged->conditions),
            'pairs' => array_map(
                static fn(Meeting $pair): array => [
                    'with' => (string) $pair->with,
                    'verdict' => $pair->verdict->value,
                    'reason' => $pair->reason->text,
                ],
                $judged->pairs,
            ),
            'codes' => Message::codes([...$judged->refusals, ...$judged->conditions]),
        ]);
    }
}
