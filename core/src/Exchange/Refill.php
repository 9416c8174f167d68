<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What a float valve puts back by itself when water was taken out: at its full rate, through whatever treats it.
 *
 * A valve that is open wide lets in many times what evaporates, and carbon that keeps up with a trickle does not keep
 * up with it. Rates in L/min, carbon in L.
 *
 * @see CarbonCalculator for how long water has to stay in the carbon
 */
final readonly class Refill
{
    /**
     * @param  ?float  $rateLMin  with the valve open wide; null where nobody timed it
     * @param  bool  $chlorinated  whether the water brings chlorine as it comes, or was never tested for it
     * @param  bool  $chloramine  whether that is chloramine
     * @param  ?string  $unit  what it runs through; null for nothing
     * @param  ?float  $carbonL  in that; null where it is no carbon or nobody said how much
     */
    public function __construct(
        public string $vessel,
        public string $water,
        public ?float $rateLMin,
        public bool $chlorinated,
        public bool $chloramine = false,
        public ?string $unit = null,
        public ?float $carbonL = null,
    ) {}

    /** Minutes until so much is put back; null where its rate is not known. */
    public function minutes(float $litres): ?float
    {
        return $this->rateLMin === null ? null : $litres / $this->rateLMin;
    }

    /** The most that the carbon treats, L/min; null where there is none, or nothing to treat. */
    public function fastestLMin(): ?float
    {
        return $this->unit === null || $this->carbonL === null || !$this->chlorinated
            ? null
            : $this->carbonL / CarbonCalculator::neededMin($this->chloramine ? 'chloramine' : 'free');
    }

    /** Whether it may run as it will: nothing to treat, or treated as fast as it comes. */
    public function safe(): bool
    {
        $fastest = $this->fastestLMin();

        return !$this->chlorinated || ($fastest !== null && $this->rateLMin !== null && $this->rateLMin <= $fastest);
    }

    /** What is wrong with it, or not known; null where it is safe. */
    public function caution(): ?Caution
    {
        $fastest = $this->fastestLMin();
        $names = ['vessel' => $this->vessel, 'name' => $this->water, 'unit' => $this->unit ?? ''];

        return match (true) {
            $this->safe() => null,
            $this->unit === null => new Caution(
                Level::Danger,
                Message::of('exchange.float_valve_with_chlorine', $names),
            ),
            $fastest === null || $this->rateLMin === null => new Caution(
                Level::Watch,
                Message::of('exchange.refill_not_known', $names),
            ),
            default => new Caution(
                Level::Danger,
                Message::of('exchange.refill_outruns_carbon', [
                    ...$names,
                    'rate' => Format::number($this->rateLMin, 2),
                    'carbon' => Format::number((float) $this->carbonL, 2),
                    'fastest' => Format::number(self::down($fastest), 2),
                ]),
            ),
        };
    }

    /** How it goes where it is safe. */
    public function says(float $litres): ?Message
    {
        $minutes = $this->minutes($litres);

        return $minutes === null || !$this->safe()
            ? null
            : Message::of('exchange.refill_goes', [
                'vessel' => $this->vessel,
                'litres' => Format::about($litres, 2),
                'minutes' => Format::number(max(1.0, round($minutes)), 2),
            ]);
    }

    /** A most that is told is never rounded up. */
    private static function down(float $rate): float
    {
        $step = 10 ** (floor(log10($rate)) - 1);

        return floor($rate / $step + 1e-9) * $step;
    }
}
