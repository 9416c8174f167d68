<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;

/**
 * Whether something may be given, with all that is in the water and the loop.
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
        return [new Output('allowed'), new Output('refusals'), new Output('conditions'), new Output('pairs')];
    }

    public function calculate(Given $given): Result
    {
        $judged = ConflictState::judge($this->conflicts, $given->text('agent'), $given);
        $work = new Working();
        foreach ($judged['pairs'] as $pair) {
            $work->step(
                ucfirst(str_replace('_', ' ', $given->text('agent'))) .
                    ' with ' .
                    str_replace('_', ' ', $pair['with']) .
                    '.',
                $pair['reason'],
                $pair['with'],
                $pair['verdict'],
            );
        }
        $work->cite('dose-conflicts');
        foreach ($judged['refusals'] as $refusal) {
            $work->danger($refusal);
        }
        foreach ($judged['conditions'] as $condition) {
            $work->watch($condition);
        }

        return $work->result(['allowed' => $judged['refusals'] === [], ...$judged]);
    }
}
