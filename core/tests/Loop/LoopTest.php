<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Loop\AirPump;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopStage;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use PHPUnit\Framework\TestCase;

/** A gravity loop as keepers build it: drain to a chamber, pump at the clean end, return over the water. */
final class LoopTest extends TestCase
{
    private function loop(float $bore = 103.6, bool $on = true, ?float $valve = 100.0, float $lip = 0.1, float $mayDrop = 0.1, float $strength = 1.0, bool $netted = true, ?string $airOn = 'B'): Loop
    {
        $curve = new PumpCurve([0, 8000 / 3.6e6, 14000 / 3.6e6], [4.0 * $strength, 2.6 * $strength, 0.3 * $strength]);

        return new Loop([new LoopVessel('bay', 'Bay', true, $netted)], [new LoopStage('chamber', 'Chamber', 0.01, 10000 / 3.6e6, 0.1, $mayDrop)], [new LoopPump('pump', 'Pump', $curve, 120, $on, 'A')], [
            new LoopLine('drain', 'Drain', Place::vessel('bay'), Place::stage('chamber'), $bore, 6, 2.1, $valve),
            new LoopLine('suction', 'Suction', Place::stage('chamber'), Place::pump('pump'), 63, 1, 1.5),
            new LoopLine('return', 'Return', Place::pump('pump'), Place::vessel('bay'), 50, 4, 4, null, false, $lip),
            new LoopLine('waste', 'Waste', Place::stage('chamber'), Place::outside(), 50, 2, 1, 0.0, false, 0.0, true),
        ], 20.0, $airOn === null ? [] : [new AirPump('Air', $airOn, true)]);
    }

    /** @return list<string> */
    private function said(Loop $loop): array
    {
        return array_map(static fn (Caution $c): string => $c->text, LoopCheck::of($loop, LoopFlow::of($loop)));
    }

    public function test_what_leaves_the_bay_comes_back_and_the_chamber_stands_lower(): void
    {
        $flow = LoopFlow::of($this->loop());
        self::assertEqualsWithDelta($flow->lineFlow('drain'), $flow->returned(), 0.1);
        self::assertEqualsWithDelta($flow->pumpFlow('pump'), $flow->stageFlow('chamber'), 0.1);
        self::assertLessThan(0.0, $flow->stageLevel('chamber'));
        self::assertEqualsWithDelta(0.0, $flow->lineFlow('waste'), 1e-9);
        $drain = $this->loop()->lines[0];
        self::assertEqualsWithDelta($flow->lineLoss($drain), -$flow->stageLevel('chamber') - 0.01 * ($flow->stageFlow('chamber') / 10000) ** 2, 2e-4);
    }

    public function test_a_narrow_drain_draws_the_chamber_down_until_the_pump_draws_air(): void
    {
        self::assertLessThan(LoopFlow::of($this->loop(103.6))->stageLevel('chamber'), LoopFlow::of($this->loop(70))->stageLevel('chamber'));
        self::assertStringContainsString('draws air', implode(' ', $this->said($this->loop(70, mayDrop: 0.05))));
        self::assertStringNotContainsString('draws air', implode(' ', $this->said($this->loop(103.6))));
    }

    public function test_a_pump_that_is_off_moves_nothing_and_is_named(): void
    {
        $off = $this->loop(on: false);
        self::assertEqualsWithDelta(0.0, LoopFlow::of($off)->returned(), 1e-9);
        self::assertStringContainsString('Pump is off', implode(' ', $this->said($off)));
    }

    public function test_a_half_shut_valve_lowers_the_flow_and_a_shut_one_stops_it(): void
    {
        $full = LoopFlow::of($this->loop())->returned();
        self::assertLessThan($full, LoopFlow::of($this->loop(valve: 40.0))->returned());
        $shut = $this->loop(valve: 0.0);
        self::assertEqualsWithDelta(0.0, LoopFlow::of($shut)->lineFlow('drain'), 1e-9);
        self::assertStringContainsString('Drain is shut.', implode(' ', $this->said($shut)));
    }

    public function test_a_lip_above_what_the_pump_reaches_has_no_answer_and_says_why(): void
    {
        $this->expectException(UnsolvableNetwork::class);
        $this->expectExceptionMessage('cannot lift that high');
        LoopFlow::of($this->loop(lip: 1.5, strength: 0.3));
    }

    public function test_what_is_missing_from_the_build_is_said(): void
    {
        self::assertStringContainsString('Drain: no valve', implode(' ', $this->said($this->loop(valve: null))));
        self::assertStringContainsString('Bay has no net', implode(' ', $this->said($this->loop(netted: false))));
        self::assertStringContainsString('one trip stops both', implode(' ', $this->said($this->loop(airOn: 'A'))));
        self::assertStringContainsString('No return breaks the surface', implode(' ', $this->said($this->loop(lip: 0.0))));
        self::assertSame([], $this->said($this->loop(bore: 85)), 'a sound loop is left in peace');
    }
}
