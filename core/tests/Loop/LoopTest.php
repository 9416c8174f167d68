<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Flow\Airlift;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Flow\Valve;
use Ironwort\Core\Loop\AirPump;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopStage;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** A gravity loop as keepers build it: drain to a chamber, pump at the clean end, return over the water. */
final class LoopTest extends TestCase
{
    private function loop(
        float $bore = 103.6,
        bool $on = true,
        ?float $valve = 100.0,
        float $lip = 0.1,
        float $mayDrop = 0.1,
        float $strength = 1.0,
        bool $netted = true,
        ?string $airOn = 'B',
    ): Loop {
        $curve = new PumpCurve([0, 8000 / 3.6e6, 14000 / 3.6e6], [4.0 * $strength, 2.6 * $strength, 0.3 * $strength]);

        return new Loop(
            [new LoopVessel('bay', 'Bay', true, $netted)],
            [new LoopStage('chamber', 'Chamber', 0.01, 10000 / 3.6e6, 0.1, $mayDrop)],
            [new LoopPump('pump', 'Pump', $curve, 120, $on, 'A')],
            [
                new LoopLine(
                    id: 'drain',
                    name: 'Drain',
                    from: Place::vessel('bay'),
                    to: Place::stage('chamber'),
                    boreMm: $bore,
                    lengthM: 6,
                    fittingsK: 2.1,
                    valveOpenPct: $valve,
                ),
                new LoopLine('suction', 'Suction', Place::stage('chamber'), Place::pump('pump'), 63, 1, 1.5),
                new LoopLine(
                    id: 'return',
                    name: 'Return',
                    from: Place::pump('pump'),
                    to: Place::vessel('bay'),
                    boreMm: 50,
                    lengthM: 4,
                    fittingsK: 4,
                    valveOpenPct: null,
                    checkValve: false,
                    endsAboveM: $lip,
                ),
                new LoopLine(
                    id: 'waste',
                    name: 'Waste',
                    from: Place::stage('chamber'),
                    to: Place::outside(),
                    boreMm: 50,
                    lengthM: 2,
                    fittingsK: 1,
                    valveOpenPct: 0.0,
                    checkValve: false,
                    endsAboveM: 0.0,
                    waste: true,
                ),
            ],
            20.0,
            $airOn === null ? [] : [new AirPump('Air', $airOn, true)],
        );
    }

    use Calculations;

    /** @return list<string> */
    private function said(Loop $loop): array
    {
        return array_map(static fn(Caution $c): string => $c->message->code, LoopCheck::of($loop, LoopFlow::of($loop)));
    }

    public function test_what_leaves_the_bay_comes_back_and_the_chamber_stands_lower(): void
    {
        $flow = LoopFlow::of($this->loop());
        self::assertEqualsWithDelta($flow->lineFlow('drain'), $flow->returned(), 0.1);
        self::assertEqualsWithDelta($flow->pumpFlow('pump'), $flow->stageFlow('chamber'), 0.1);
        self::assertLessThan(0.0, $flow->stageLevel('chamber'));
        self::assertEqualsWithDelta(0.0, $flow->lineFlow('waste'), 1e-9);
        $lost =
            $this->figure(
                'flow.gravity',
                [
                    'flow_l_h' => $flow->lineFlow('drain'),
                    'bore_mm' => 103.6,
                    'length_m' => 6,
                    'fittings_k' => 2.1 + Valve::k(100.0),
                ],
                'level_drop_mm',
            ) / 1000;
        self::assertEqualsWithDelta(
            $lost,
            -$flow->stageLevel('chamber') - 0.01 * ($flow->stageFlow('chamber') / 10000) ** 2,
            2e-4,
        );
    }

    public function test_a_narrow_drain_draws_the_chamber_down_until_the_pump_draws_air(): void
    {
        self::assertLessThan(
            LoopFlow::of($this->loop(103.6))->stageLevel('chamber'),
            LoopFlow::of($this->loop(70))->stageLevel('chamber'),
        );
        self::assertContains('loop.loop_level_drawn_mm_mm', $this->said($this->loop(70, mayDrop: 0.05)));
        self::assertNotContains('loop.loop_level_drawn_mm_mm', $this->said($this->loop(103.6)));
    }

    public function test_a_pump_that_is_off_moves_nothing_and_is_named(): void
    {
        $off = $this->loop(on: false);
        self::assertEqualsWithDelta(0.0, LoopFlow::of($off)->returned(), 1e-9);
        self::assertContains('loop.loop_off_nothing_feeds_flow', $this->said($off));
    }

    public function test_a_half_shut_valve_lowers_the_flow_and_a_shut_one_stops_it(): void
    {
        $full = LoopFlow::of($this->loop())->returned();
        self::assertLessThan($full, LoopFlow::of($this->loop(valve: 40.0))->returned());
        $shut = $this->loop(valve: 0.0);
        self::assertEqualsWithDelta(0.0, LoopFlow::of($shut)->lineFlow('drain'), 1e-9);
        self::assertContains('loop.loop_line_is_shut', $this->said($shut));
    }

    public function test_a_lip_above_what_the_pump_reaches_has_no_answer_and_says_why(): void
    {
        $this->expectException(UnsolvableNetwork::class);
        $this->expectExceptionMessage('cannot lift that high');
        LoopFlow::of($this->loop(lip: 1.5, strength: 0.3));
    }

    public function test_what_is_missing_from_the_build_is_said(): void
    {
        self::assertContains('loop.loop_valve_feeds_cannot_emptied', $this->said($this->loop(valve: null)));
        self::assertContains('loop.vessel_net_koi_jump_most', $this->said($this->loop(netted: false)));
        self::assertContains('loop.loop_pump_air_circuit_trip', $this->said($this->loop(airOn: 'A')));
        self::assertContains('loop.loop_return_breaks_surface_water', $this->said($this->loop(lip: 0.0)));
        self::assertSame([], $this->said($this->loop(bore: 85)), 'a sound loop is left in peace');
    }

    /** Four tubs that spill into a sump below them, from where a pump feeds them again. */
    private function tubsOverASump(float $standpipe = 50, bool $on = true): Loop
    {
        $tubs = $lines = [];
        foreach ([1, 2, 3, 4] as $i) {
            $tubs[] = new LoopVessel("t{$i}", "Tub {$i}", freeboardM: 0.1);
            $lines[] = new LoopLine(
                id: "feed{$i}",
                name: "Feed {$i}",
                from: Place::pump('pump'),
                to: Place::vessel("t{$i}"),
                boreMm: 20,
                lengthM: 1.0 + $i,
                fittingsK: 6,
                endsAboveM: 0.05,
            );
            $lines[] = new LoopLine(
                id: "fall{$i}",
                name: "Fall {$i}",
                from: Place::vessel("t{$i}"),
                to: Place::vessel('sump'),
                boreMm: $standpipe,
                lengthM: 1.5,
                fittingsK: 1.5,
                overflow: true,
            );
        }

        return new Loop(
            [...$tubs, new LoopVessel('sump', 'Sump', false, levelM: -0.6)],
            [],
            [new LoopPump('pump', 'Pump', new PumpCurve([0, 1500 / 3.6e6, 4000 / 3.6e6], [3.2, 2.5, 0.3]), 38, $on)],
            [...$lines, new LoopLine('suction', 'Suction', Place::vessel('sump'), Place::pump('pump'), 38, 0.5, 1.5)],
        );
    }

    public function test_tubs_that_spill_over_pass_on_just_what_comes_to_them(): void
    {
        $loop = $this->tubsOverASump();
        $flow = LoopFlow::of($loop);
        foreach ([1, 2, 3, 4] as $i) {
            self::assertEqualsWithDelta($flow->lineFlow("feed{$i}"), $flow->lineFlow("fall{$i}"), 0.05);
        }
        self::assertEqualsWithDelta($flow->lineFlow('suction'), $flow->pumpFlow('pump'), 0.05);
        self::assertGreaterThan($flow->lineFlow('feed4'), $flow->lineFlow('feed1'), 'the nearest tub gets most');
        // Francis by hand: h = (Q / (1.84 π d))^(2/3).
        self::assertEqualsWithDelta(
            ($flow->lineFlow('fall1') / 3.6e6 / (1.84 * M_PI * 0.05)) ** (2 / 3),
            $flow->riseOverLip($loop->vessels[0]),
            1e-6,
        );
        // The pump lifts from the sump to the lip of the returns: 0.65 m before any friction.
        self::assertGreaterThan(0.65, $flow->pumpHead($loop->pumps[0]));
        self::assertContains('loop.vessel_pipe_narrow_cannot_carry', $this->said($this->tubsOverASump(standpipe: 12)));
        self::assertSame(0.0, LoopFlow::of($this->tubsOverASump(on: false))->lineFlow('fall1'));
    }

    public function test_an_overflow_into_a_chamber_is_drawn_off_by_the_pump_behind_it(): void
    {
        $flow = LoopFlow::of(
            new Loop(
                [new LoopVessel('tub', 'Tub'), new LoopVessel('sump', 'Sump', false, levelM: -0.5)],
                [new LoopStage('mats', 'Mats', 0.01, 3000 / 3.6e6)],
                [
                    new LoopPump(
                        'pump',
                        'Pump',
                        new PumpCurve([0, 4000 / 3.6e6], [2.0, 0.5]),
                        30,
                        true,
                        insideVessel: 'sump',
                    ),
                ],
                [
                    new LoopLine(
                        id: 'fall',
                        name: 'Fall',
                        from: Place::vessel('tub'),
                        to: Place::stage('mats'),
                        boreMm: 75,
                        lengthM: 1,
                        fittingsK: 1,
                        overflow: true,
                    ),
                    new LoopLine('on', 'On', Place::stage('mats'), Place::vessel('sump'), 75, 0.5, 1.5),
                    new LoopLine(
                        id: 'up',
                        name: 'Up',
                        from: Place::pump('pump'),
                        to: Place::vessel('tub'),
                        boreMm: 32,
                        lengthM: 3,
                        fittingsK: 4,
                        endsAboveM: 0.1,
                    ),
                ],
            ),
        );
        self::assertGreaterThan(1000.0, $flow->pumpFlow('pump'));
        self::assertEqualsWithDelta($flow->lineFlow('up'), $flow->stageFlow('mats'), 0.1);
        self::assertEqualsWithDelta($flow->lineFlow('up'), $flow->lineFlow('on'), 0.1);
        // The chamber stands just so far above the sump that the line carries the flow on.
        self::assertGreaterThan(-0.5, $flow->stageLevel('mats'));
    }

    public function test_a_sponge_in_a_tub_is_driven_by_its_airlift_alone(): void
    {
        $lift = new Airlift(10 / 60000, 0.5, 0.025);
        $loop = static fn(bool $bypassed = false): Loop => new Loop(
            [new LoopVessel('tub', 'Tub')],
            [new LoopStage('sponge', 'Sponge', 0.002, 500 / 3.6e6, insideVessel: 'tub', bypassed: $bypassed)],
            [new LoopPump('lift', 'Airlift', $lift->curve(), 8, true, insideVessel: 'tub', lipM: 0.03)],
            [new LoopLine('riser', 'Riser foot', Place::stage('sponge'), Place::pump('lift'), 25, 0.05, 0.5)],
        );
        $flow = LoopFlow::of($loop());
        $free = $this->figure(
            'flow.airlift',
            ['air_l_min' => 10, 'submergence_m' => 0.5, 'lift_m' => 0.03, 'bore_mm' => 25],
            'flow_l_h',
        );
        self::assertGreaterThan(0.3 * $free, $flow->returned());
        self::assertLessThan($free, $flow->returned());
        self::assertEqualsWithDelta($flow->pumpFlow('lift'), $flow->stageFlow('sponge'), 0.05);
        self::assertContains('loop.loop_bypassed_water_passes_lives', $this->said($loop(true)));
    }

    public function test_a_pump_in_the_water_does_not_break_its_surface_and_an_airlift_with_a_lip_does(): void
    {
        $curve = new PumpCurve([0, 8000 / 3.6e6, 14000 / 3.6e6], [4.0, 2.6, 0.3]);
        $loop = static fn(float $lipM): Loop => new Loop(
            [new LoopVessel('tub', 'Tub')],
            [new LoopStage('mat', 'Mat', 0.002, 8000 / 3.6e6)],
            [new LoopPump('pump', 'Pump', $curve, 40, true, insideVessel: 'tub', lipM: $lipM)],
            [
                new LoopLine('up', 'Up', Place::pump('pump'), Place::stage('mat'), 50, 2, 2),
                new LoopLine('back', 'Back', Place::stage('mat'), Place::vessel('tub'), 75, 2, 2),
            ],
        );
        self::assertContains('loop.loop_return_breaks_surface_water', $this->said($loop(0.0)));
        self::assertNotContains('loop.loop_return_breaks_surface_water', $this->said($loop(0.05)));
    }

    public function test_every_flow_can_be_asked_for_again_as_one_calculation(): void
    {
        $flow = LoopFlow::of($this->loop());
        $again = $this->calculate('flow.network', $flow->proof($flow->asked('line', 'drain')));
        self::assertEqualsWithDelta($flow->lineFlow('drain'), $again->number('flow_l_h'), 1e-6);
        $level = $this->calculate('flow.network', $flow->proof($flow->lowestPoint('chamber')));
        self::assertEqualsWithDelta(1000 * $flow->stageLevel('chamber'), $level->number('level_mm'), 1e-6);
        self::assertStringContainsString('in: Chamber', $level->working[1]->with);
        self::assertSame(['ask'], array_keys($this->errors('flow.network', [...$flow->rows, 'ask' => 'nobody'])));
    }

    public function test_water_that_comes_and_goes_at_one_end_or_blows_across_is_named(): void
    {
        $loop = static fn(string $out, ?string $aim): Loop => new Loop(
            [new LoopVessel('bay', 'Bay', overflow: false, floatValve: true, long: true)],
            [],
            [new LoopPump('pump', 'Pump', new PumpCurve([0, 0.002], [2.0, 0.5]), 30, true)],
            [
                new LoopLine(
                    id: 'suction',
                    name: 'Suction',
                    from: Place::vessel('bay'),
                    to: Place::pump('pump'),
                    boreMm: 50,
                    lengthM: 1,
                    fittingsK: 1,
                    valveOpenPct: 100.0,
                    checkValve: true,
                    withinReach: false,
                    spot: 'one_end',
                ),
                new LoopLine(
                    id: 'return',
                    name: 'Return',
                    from: Place::pump('pump'),
                    to: Place::vessel('bay'),
                    boreMm: 50,
                    lengthM: 4,
                    fittingsK: 4,
                    spot: $out,
                    aim: $aim,
                ),
            ],
        );
        $bad = $this->said($loop('one_end', 'across'));
        foreach (
            [
                'loop.vessel_water_comes_goes_same',
                'loop.vessel_blows_across_along_length',
                'loop.loop_mouth_reach_cannot_reached',
                'loop.vessel_float_valve_overflow_sticks',
            ]
            as $fault
        ) {
            self::assertContains($fault, $bad);
        }
        self::assertNotContains('loop.vessel_water_comes_goes_same', $this->said($loop('far_end', 'along')));
    }
}
