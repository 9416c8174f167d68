<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** What a calculator answers: the figures, how they came about, what to mind, and whence. */
final readonly class Result
{
    /**
     * @param  array<string, mixed>  $figures  by output key
     * @param  list<WorkingStep>  $working
     * @param  list<Caution>  $cautions
     * @param  list<string>  $sources  bibliography ids
     */
    public function __construct(
        public array $figures,
        public array $working,
        public array $cautions,
        public array $sources,
    ) {}

    public function withCaution(Caution $caution): self
    {
        return new self($this->figures, $this->working, [...$this->cautions, $caution], $this->sources);
    }

    /** @throws \LogicException when the figure is not a number */
    public function number(string $key): float
    {
        $value = $this->figures[$key] ?? null;

        return is_float($value) || is_int($value)
            ? (float) $value
            : throw new \LogicException("Figure {$key} is not a number.");
    }

    /** @return list<FigureRow> none where the figure is not a list */
    public function rows(string $key): array
    {
        $value = $this->figures[$key] ?? null;

        return array_map(
            static fn(mixed $row): FigureRow => new FigureRow(is_array($row) ? $row : (array) $row),
            is_array($value) ? array_values($value) : [],
        );
    }

    /** @return ?FigureRow null where the figure is no object */
    public function row(string $key): ?FigureRow
    {
        $value = $this->figures[$key] ?? null;

        return is_array($value) || is_object($value) ? new FigureRow((array) $value) : null;
    }

    public function text(string $key): string
    {
        $value = $this->figures[$key] ?? null;

        return is_string($value) ? $value : throw new \LogicException("Figure {$key} is not text.");
    }

    /**
     * @return array{figures: object, working: list<array{say: string, formula: string, with: string, gives: string}>,
     *     cautions: list<array{level: string, code: string, text: string}>, sources: list<string>}
     */
    public function toArray(): array
    {
        return [
            'figures' => (object) $this->figures,
            'working' => array_map(
                static fn(WorkingStep $s): array => [
                    'say' => $s->say,
                    'formula' => $s->formula,
                    'with' => $s->with,
                    'gives' => $s->gives,
                ],
                $this->working,
            ),
            'cautions' => array_map(static fn(Caution $c): array => $c->toArray(), $this->cautions),
            'sources' => $this->sources,
        ];
    }
}
