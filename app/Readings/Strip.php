<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\Figure;
use App\Models\Age;
use App\Models\Reading as Entry;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\Sentence;
use Ironwort\Core\Judge\Verdict;
use Ironwort\Core\Measure\Format;

/** One reading on the scale of its limits: what it is, how it stands, who read it, or what it was worked out from. */
final readonly class Strip
{
    /** @param  ?\Closure(): Figure  $figure  what it was worked out from, made where a page shows it */
    public function __construct(
        public Reading $reading,
        public Verdict $verdict,
        private Limits $limits,
        private ?Entry $entry,
        private ?\Closure $figure,
        public bool $fish,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $parameter = $this->reading->parameter;
        $shown = $parameter->shown(...);

        return [
            'parameter' => $parameter->value,
            'name' => $parameter->name(),
            'unit' => $parameter->symbol(),
            'text' => Format::number($shown($this->reading->value), 3),
            'value' => $shown($this->reading->value),
            'low' => $shown($this->reading->interval->low),
            'high' => $shown($this->reading->interval->high),
            'scale' => ['from' => $shown($this->limits->scaleFrom), 'to' => $shown($this->limits->scaleTo)],
            'bands' => array_map(
                static fn(array $band): array => [
                    'from' => $shown($band['from']),
                    'to' => $shown($band['to']),
                    'state' => $band['state']->value,
                ],
                $this->limits->bands(),
            ),
            'state' => $this->verdict->state->value,
            'sentence' => Sentence::of($this->reading, $this->verdict, $this->fish),
            'passed' => Sentence::passed($this->reading, $this->verdict),
            'taken_at' => $this->entry?->taken_at->toIso8601ZuluString(),
            'age' => $this->entry === null ? null : Age::of($this->entry->taken_at),
            'by' => $this->entry?->visit->user?->name,
            'figure' => $this->figure === null ? null : ($this->figure)()->toArray(),
        ];
    }
}
