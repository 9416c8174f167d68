<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Water\Salt;

/** What one parameter may be for one life stage. A reading is judged by its worse end. */
final readonly class Limits
{
    /** Salt leaves by changes only: a reading this old still stands, days. Common practice, no source. */
    public const SALT_STANDS_D = 14.0;

    public function __construct(
        public Parameter $parameter,
        public ?Bounds $below,
        public ?Bounds $above,
        public float $scaleFrom,
        public float $scaleTo,
        public string $source,
    ) {}

    /** What is written down and never raises a word: clarity is a taste, and hardness a habit. */
    public static function none(Parameter $parameter): self
    {
        $scale = match ($parameter) {
            Parameter::Hardness => [0.0, 450.0],
            Parameter::Clarity => [0.0, 200.0],
            Parameter::Silt => [0.0, 20.0],
            Parameter::Redox => [0.0, 500.0],
            default => $parameter->possible(),
        };

        return new self($parameter, null, null, $scale[0], $scale[1], 'cp-limits');
    }

    /** The same with other lines; a side that is not given stays as it was. */
    public function with(?Bounds $below, ?Bounds $above): self
    {
        $lines = array_filter(
            [$below?->emergency, $above?->emergency],
            static fn(?float $line): bool => $line !== null,
        );

        return new self(
            $this->parameter,
            $below ?? $this->below,
            $above ?? $this->above,
            min([$this->scaleFrom, ...$lines]),
            max([$this->scaleTo, ...array_map(static fn(float $line): float => 1.2 * $line, $lines)]),
            $this->source,
        );
    }

    /**
     * Nitrite as chloride shields the fish from it: up to a tenth of the chloride it is watched rather than acted
     * on. What is an emergency stays one, since salt buys time and mends nothing. Others stay as they are.
     *
     * @param  float  $salinityGL  of sodium chloride, 60.66 % of it chloride; the low end of the reading
     *
     * @source cp-advice
     */
    public function shielded(float $salinityGL): self
    {
        if ($this->parameter !== Parameter::Nitrite || $this->above === null) {
            return $this;
        }
        $act = min($this->above->emergency, max($this->above->act, Salt::chlorideMgL($salinityGL) / 10));

        return $act === $this->above->act
            ? $this
            : $this->with($this->below, new Bounds($this->above->watch, $act, $this->above->emergency));
    }

    public function judge(Interval $reading): Verdict
    {
        $low = $this->beyond($this->below, -$reading->low, -1);
        $high = $this->beyond($this->above, $reading->high, 1);

        return $low->state->worseThan($high->state) ? $low : $high;
    }

    /**
     * The whole scale in pieces of one state each, from left to right.
     *
     * @return list<array{from: float, to: float, state: State}>
     */
    public function bands(): array
    {
        $edges = [[$this->scaleFrom, State::Good]];
        if ($this->below !== null) {
            $edges = [
                [$this->scaleFrom, State::Emergency],
                [$this->below->emergency, State::Act],
                [$this->below->act, State::Watch],
                [$this->below->watch, State::Good],
            ];
        }
        if ($this->above !== null) {
            array_push(
                $edges,
                [$this->above->watch, State::Watch],
                [$this->above->act, State::Act],
                [$this->above->emergency, State::Emergency],
            );
        }
        $bands = [];
        foreach ($edges as $i => [$from, $state]) {
            $to = $edges[$i + 1][0] ?? $this->scaleTo;
            if ($to > $from) {
                $bands[] = ['from' => $from, 'to' => $to, 'state' => $state];
            }
        }

        return $bands;
    }

    private function beyond(?Bounds $bounds, float $worse, int $sign): Verdict
    {
        if ($bounds === null) {
            return new Verdict(State::Good);
        }
        foreach (
            [[State::Emergency, $bounds->emergency], [State::Act, $bounds->act], [State::Watch, $bounds->watch]]
            as [$state, $line]
        ) {
            if ($worse > $sign * $line + 1e-9) {
                return new Verdict($state, $line, $sign > 0 ? 'above' : 'below');
            }
        }

        return new Verdict(State::Good);
    }
}
