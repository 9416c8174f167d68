<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Loop\Joints;
use Ironwort\Core\Loop\Junction;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopStage;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use Ironwort\Core\Loop\RunningFall;
use Ironwort\Core\Loop\SplitOpening;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines that meet: four drains into one collecting pipe, one return that feeds four bays. */
final class JunctionTest extends TestCase
{
    use Calculations;

    private const BAYS = ['a', 'b', 'c', 'd'];

    /** A curve so steep that the pump moves 20,000 L/h whatever stands against it. */
    private static function pump(float $aboveM = 0.0): LoopPump
    {
        $curve = new PumpCurve([0, 19990 / 3.6e6, 20010 / 3.6e6], [40.0, 20.0, 0.0]);

        return new LoopPump(id: 'pump', name: 'Pump', curve: $curve, powerW: 100, on: true, aboveM: $aboveM);
    }

    /** @param  ?float  $common  the valve of the collecting pipe; null without one */
    private static function loop(bool $joined, ?float $common = null, float $aboveM = 0.0, bool $check = false): Loop
    {
        $lines = [];
        $line = static function (
            string $id,
            Place $from,
            Place $to,
            float $bore,
            float $length,
            ?float $valve = null,
        ) use (&$lines): void {
            $lines[] = new LoopLine(
                id: $id,
                name: ucfirst($id),
                from: $from,
                to: $to,
                boreMm: $bore,
                lengthM: $length,
                fittingsK: 1.5,
                valveOpenPct: $valve,
            );
        };
        foreach (self::BAYS as $bay) {
            $to = $joined ? Place::junction('collector') : Place::stage('settlement');
            $line("drain {$bay}", Place::vessel($bay), $to, 103.6, $joined ? 1.5 : 7.5);
            $line("return {$bay}", Place::junction('manifold'), Place::vessel($bay), 50, 4);
        }
        if ($joined) {
            $line('collector', Place::junction('collector'), Place::stage('settlement'), 103.6, 6, $common);
        }
        $lines[] = new LoopLine(
            id: 'suction',
            name: 'Suction',
            from: Place::stage('settlement'),
            to: Place::pump('pump'),
            boreMm: 75,
            lengthM: 1,
            fittingsK: 1,
            checkValve: $check,
            guarded: $check,
        );
        $line('delivery', Place::pump('pump'), Place::junction('manifold'), 63, 2);

        return new Loop(
            array_map(static fn(string $bay): LoopVessel => new LoopVessel($bay, ucfirst($bay)), self::BAYS),
            [new LoopStage('settlement', 'Settlement', 0.005, 20000 / 3.6e6, 0.2)],
            [self::pump($aboveM)],
            $lines,
            junctions: [
                ...$joined ? [new Junction('collector', 'Collector')] : [],
                new Junction('manifold', 'Manifold'),
            ],
        );
    }

    private function drop(float $flow, float $length): float
    {
        $pipe = ['flow_l_h' => $flow, 'bore_mm' => 103.6, 'length_m' => $length, 'fittings_k' => 1.5];

        return $this->figure('flow.gravity', $pipe, 'level_drop_mm');
    }

    public function test_one_pipe_that_collects_four_drains_drops_ten_times_what_four_lines_of_their_own_do(): void
    {
        $joined = LoopFlow::of(self::loop(true));
        $apart = LoopFlow::of(self::loop(false));
        self::assertEqualsWithDelta(20000, $joined->pumpFlow('pump'), 15);
        self::assertEqualsWithDelta(
            $this->drop(5000, 1.5) + $this->drop(20000, 6),
            -1000 * (float) $joined->stageLevel('settlement') - 5,
            0.5,
        );
        self::assertEqualsWithDelta($this->drop(5000, 7.5), -1000 * (float) $apart->stageLevel('settlement') - 5, 0.3);
        self::assertGreaterThan(
            10 * $this->drop(5000, 7.5),
            -1000 * (float) $joined->stageLevel('settlement'),
            'one pipe for all is no four pipes',
        );
        self::assertEqualsWithDelta(20000, $joined->lineFlow('collector'), 15);
        foreach (self::BAYS as $bay) {
            self::assertEqualsWithDelta(5000, $joined->lineFlow("drain {$bay}"), 10);
            self::assertEqualsWithDelta(5000, $joined->lineFlow("return {$bay}"), 10);
        }
        self::assertEqualsWithDelta(20000, $joined->returned(), 15);
    }

    /** @return list<string> */
    private static function codes(Loop $loop): array
    {
        return array_map(
            static fn(Caution $one): string => $one->message->code,
            LoopCheck::of($loop, LoopFlow::of($loop)),
        );
    }

    public function test_a_valve_in_the_collecting_pipe_serves_all_its_drains(): void
    {
        self::assertContains('loop.loop_valve_feeds_cannot_emptied', self::codes(self::loop(true)));
        self::assertNotContains('loop.loop_valve_feeds_cannot_emptied', self::codes(self::loop(true, 100.0)));
        self::assertContains('loop.loop_valve_feeds_cannot_emptied', self::codes(self::loop(false)));
    }

    public function test_only_a_dry_pump_above_its_water_has_a_prime_to_lose(): void
    {
        self::assertNotContains('loop.loop_check_valve_pump_loses', self::codes(self::loop(true)));
        self::assertContains('loop.loop_check_valve_pump_loses', self::codes(self::loop(true, aboveM: 0.4)));
        self::assertNotContains('loop.loop_check_valve_pump_loses', self::codes(self::loop(true, null, 0.4, true)));
    }

    public function test_every_suction_wants_its_guard(): void
    {
        self::assertContains('loop.loop_guard_suction_fry_frogs', self::codes(self::loop(true)));
        self::assertNotContains('loop.loop_guard_suction_fry_frogs', self::codes(self::loop(true, null, 0.0, true)));
    }

    public function test_a_junction_at_which_nothing_meets_is_told(): void
    {
        $loop = self::loop(true);
        $alone = new Loop(
            $loop->vessels,
            $loop->stages,
            $loop->pumps,
            $loop->lines,
            junctions: [...$loop->junctions, new Junction('spare', 'Spare')],
        );
        self::assertNotContains('loop.junction_leads_nowhere', self::codes($loop));
        self::assertContains('loop.junction_leads_nowhere', self::codes($alone));
    }

    /** @return iterable<string, array{array<string, bool>, list<string>}> */
    public static function valves(): iterable
    {
        yield 'all open' => [[], ['d1', 'd2', 'pipe', 'up', 'r1']];
        yield 'one drain shut' => [['d1' => false], ['d2', 'pipe', 'up', 'r1']];
        yield 'the collecting pipe shut: the drains join the bays to one another' => [
            ['pipe' => false],
            ['d1', 'd2', 'up', 'r1'],
        ];
        yield 'the pipe and one drain shut: the other leads nowhere' => [
            ['pipe' => false, 'd1' => false],
            ['up', 'r1'],
        ];
        yield 'what feeds the manifold shut' => [['up' => false], ['d1', 'd2', 'pipe']];
    }

    /**
     * @param  array<string, bool>  $open
     * @param  list<string>  $carrying
     */
    #[DataProvider('valves')]
    public function test_a_line_into_a_junction_carries_what_another_takes_on(array $open, array $carrying): void
    {
        $ends = [
            'd1' => [Place::vessel('a'), Place::junction('collector')],
            'd2' => [Place::vessel('b'), Place::junction('collector')],
            'pipe' => [Place::junction('collector'), Place::stage('s')],
            'up' => [Place::stage('s'), Place::junction('manifold')],
            'r1' => [Place::junction('manifold'), Place::vessel('a')],
        ];
        self::assertSame(
            $carrying,
            Joints::carrying(
                array_map(
                    static fn(string $id): array => [
                        'id' => $id,
                        'from' => $ends[$id][0],
                        'to' => $ends[$id][1],
                        'open' => $open[$id] ?? true,
                    ],
                    array_keys($ends),
                ),
            ),
        );
    }

    /**
     * A loop of one bay, a chamber and a pump at 20,000 L/h, with what bounds its level.
     *
     * @param  ?float  $mayDrop  of the chamber, m
     * @param  ?float  $mouth  of the suction under still water, m
     */
    private static function bounded(?float $mayFall, ?float $mayDrop, ?float $mouth): Loop
    {
        $line = static fn(string $id, Place $from, Place $to, ?float $mouthM = null): LoopLine => new LoopLine(
            id: $id,
            name: ucfirst($id),
            from: $from,
            to: $to,
            boreMm: 103.6,
            lengthM: 6,
            fittingsK: 1.5,
            mouthM: $mouthM,
        );

        return new Loop(
            [new LoopVessel(id: 'bay', name: 'Bay', mayFallM: $mayFall)],
            [new LoopStage(id: 'chamber', name: 'Chamber', lossM: 0.0, lossAtM3s: 1e-3, mayDropM: $mayDrop)],
            [self::pump()],
            [
                $line('drain', Place::vessel('bay'), Place::stage('chamber')),
                $line('suction', Place::stage('chamber'), Place::pump('pump'), $mouth),
                $line('return', Place::pump('pump'), Place::vessel('bay')),
            ],
        );
    }

    /** The chamber stands lower by the drop of the drain; the mouth wants S = D (1 + 2.3 v/√(g D)) above it. */
    public function test_the_level_may_fall_until_the_first_thing_runs_dry(): void
    {
        $of = static fn(?float $vessel, ?float $chamber, ?float $mouth): ?RunningFall => RunningFall::of(
            $loop = self::bounded($vessel, $chamber, $mouth),
            LoopFlow::of($loop),
        );
        $drop = $this->drop(20000, 6) / 1000;
        $needs = $this->figure('flow.submergence', ['flow_l_h' => 20000, 'bore_mm' => 103.6], 'submergence_m');
        self::assertNull($of(null, null, null));
        self::assertEqualsWithDelta(0.15, $of(0.15, null, null)?->metres, 1e-9);
        self::assertEqualsWithDelta(0.4 - $drop, $of(0.35, 0.4, null)?->metres, 1e-3);
        self::assertSame('Chamber', $of(0.35, 0.4, null)?->name);
        self::assertEqualsWithDelta(0.7 - $drop - $needs, $of(null, 0.6, 0.7)?->metres, 1e-3);
        self::assertSame('Suction', $of(null, 0.6, 0.7)?->name);
        self::assertSame(0.0, $of(null, null, 0.2)?->metres, 'it draws air already');
    }

    /** Two suctions of one pump behind a three-way valve, one longer than the other. */
    public function test_a_three_way_valve_is_turned_to_the_split_one_wants(): void
    {
        $line = static fn(string $id, Place $from, Place $to, float $length, ?float $valve = null) => new LoopLine(
            id: $id,
            name: ucfirst($id),
            from: $from,
            to: $to,
            boreMm: 63,
            lengthM: $length,
            fittingsK: 2,
            valveOpenPct: $valve,
        );
        $loop = new Loop(
            [new LoopVessel(id: 'bay', name: 'Bay')],
            [],
            [self::pump()],
            [
                $line('floor', Place::vessel('bay'), Place::pump('pump'), 12, 50.0),
                $line('skimmer', Place::vessel('bay'), Place::pump('pump'), 2, 50.0),
                $line('return', Place::pump('pump'), Place::vessel('bay'), 4),
            ],
        );
        $before = 0.0;
        foreach ([0.2, 0.35, 0.5, 0.7] as $share) {
            $opening = SplitOpening::of($loop, 'floor', 'skimmer', $share);
            self::assertGreaterThan($before, $opening);
            $flow = LoopFlow::of(SplitOpening::turned($loop, 'floor', 'skimmer', (float) $opening));
            self::assertEqualsWithDelta($share, $flow->lineFlow('floor') / $flow->pumpFlow('pump'), 0.003);
            $before = (float) $opening;
        }
        self::assertGreaterThan(50.0, SplitOpening::of($loop, 'floor', 'skimmer', 0.5), 'the longer one stands wider');
        self::assertNull(SplitOpening::of($loop, 'floor', 'return', 0.3), 'these two share nothing');
    }
}
