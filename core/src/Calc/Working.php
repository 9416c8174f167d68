<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

use Ironwort\Core\Words\Message;

/** Collects the steps, cautions and sources of one calculation while it is made. */
final class Working
{
    /** @var list<WorkingStep> */
    private array $steps = [];

    /** @var list<Caution> */
    private array $cautions = [];

    /** @var array<string, true> */
    private array $sources = [];

    public function step(string $say, string $formula, string $with, string $gives): void
    {
        $this->steps[] = new WorkingStep($say, $formula, $with, $gives);
    }

    public function note(Message $message): void
    {
        $this->cautions[] = new Caution(Level::Note, $message);
    }

    public function watch(Message $message): void
    {
        $this->cautions[] = new Caution(Level::Watch, $message);
    }

    public function danger(Message $message): void
    {
        $this->cautions[] = new Caution(Level::Danger, $message);
    }

    public function cite(string ...$ids): void
    {
        foreach ($ids as $id) {
            $this->sources[$id] = true;
        }
    }

    /** @param  array<string, mixed>  $figures */
    public function result(array $figures): Result
    {
        return new Result($figures, $this->steps, $this->cautions, array_keys($this->sources));
    }
}
