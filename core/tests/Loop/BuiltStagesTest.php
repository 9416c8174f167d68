<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Loop\Circulator;
use Ironwort\Core\Loop\Current;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLayer;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopStage;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use Ironwort\Core\Loop\StageCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Stages as they are built: layers in one chamber, closed vessels, slow chambers, lamps; the current of a vessel. */
final class BuiltStagesTest extends TestCase
{
    /**
     * Bay, drain, the first stage, pump, the other stages one after the other, and back along the bay.
     *
     * @param  list<LoopStage>  $stages
     */
    private function loop(array $stages, ?LoopVessel $bay = null, float $shutOff = 4.0, string $aim = 'along'): Loop
    {
        $stops = [Place::stage($stages[0]->id), Place::pump('pump')];
        foreach (array_slice($stages, 1) as $stage) {
            $stops[] = Place::stage($stage->id);
        }
        $stops[] = Place::vessel('bay');
        $lines = [];
        $from = Place::vessel('bay');
        foreach ($stops as $i => $to) {
            $lines[] = new LoopLine(
                id: "line{$i}",
                name: "Line {$i}",
                from: $from,
                to: $to,
                boreMm: 103.6,
                lengthM: 1,
                fittingsK: 1.5,
                valveOpenPct: 100,
                aim: $aim,
            );
            $from = $to;
        }

        return new Loop(
            [$bay ?? new LoopVessel('bay', 'Bay')],
            $stages,
            [new LoopPump('pump', 'Pump', new PumpCurve([0, 10000 / 3.6e6], [$shutOff, 0.1]), 100, true)],
            $lines,
        );
    }

    private function chamber(LoopLayer ...$layers): LoopStage
    {
        return new LoopStage('chamber', 'Chamber', 0.01, 10000 / 3.6e6, layers: array_values($layers));
    }

    /** @return list<string> codes of what is said */
    private function codes(Loop $loop): array
    {
        return array_map(
            static fn(Caution $caution): string => $caution->message->code,
            LoopCheck::of($loop, LoopFlow::of($loop)),
        );
    }

    /** Head lost goes by the square of the flow: 20 mm at half the flow are 80 mm at the whole. */
    public function test_layers_hold_back_as_one_stage_of_their_sum_would_and_the_same_water_passes_each(): void
    {
        $pads = new LoopLayer('pads', 'Pads', 0.02, 5000 / 3.6e6);
        $bags = new LoopLayer('bags', 'Bags', 0.03, 10000 / 3.6e6);
        $layered = LoopFlow::of($this->loop([$this->chamber($pads, $bags)]));
        $single = LoopFlow::of($this->loop([new LoopStage('chamber', 'Chamber', 0.12, 10000 / 3.6e6)]));
        $bare = LoopFlow::of($this->loop([$this->chamber()]));

        self::assertEqualsWithDelta($single->stageFlow('chamber'), $layered->stageFlow('chamber'), 0.01);
        self::assertLessThan($bare->stageFlow('chamber') - 1, $layered->stageFlow('chamber'));
        self::assertSame($layered->stageFlow('chamber'), $layered->stageFlow('bags'));
        self::assertEqualsWithDelta($single->stageLevel('chamber'), $layered->stageLevel('chamber'), 1e-6);
    }

    /** @return iterable<string, array{float, float, ?string}> made for, shut-off head, what is said */
    public static function pressures(): iterable
    {
        yield 'holds all its pump can press' => [5.0, 4.0, null];
        yield 'not with its outlet shut' => [3.5, 4.0, 'loop.pressure_over_when_shut'];
        yield 'not as it runs' => [0.5, 4.0, 'loop.pressure_over'];
    }

    #[DataProvider('pressures')]
    public function test_a_closed_vessel_is_held_against_what_presses_on_it(
        float $may,
        float $shutOff,
        ?string $code,
    ): void {
        $closed = new LoopStage(
            id: 'bead',
            name: 'Bead',
            lossM: 1.0,
            lossAtM3s: 5000 / 3.6e6,
            underPressure: true,
            mayPressM: $may,
        );
        $loop = $this->loop([$this->chamber(), $closed], shutOff: $shutOff);
        $said = array_filter(
            $this->codes($loop),
            static fn(string $one): bool => str_starts_with($one, 'loop.pressure_over'),
        );

        self::assertSame($code === null ? [] : [$code], array_values($said));
        self::assertGreaterThan(0.5, LoopFlow::of($loop)->headInto('bead'));
        self::assertContains('loop.pressure_no_waste', $this->codes($loop));
    }

    public function test_a_slow_chamber_is_told_when_water_rises_too_fast_in_it(): void
    {
        $slow = static fn(float $plan): LoopStage => new LoopStage(
            id: 'chamber',
            name: 'Slow',
            lossM: 0.01,
            lossAtM3s: 10000 / 3.6e6,
            planM2: $plan,
            upflow: true,
        );

        self::assertContains('loop.upflow_too_fast', $this->codes($this->loop([$slow(2.0)])));
        self::assertNotContains('loop.upflow_too_fast', $this->codes($this->loop([$slow(10.0)])));
    }

    public function test_a_lamp_is_placed_against_the_biofilter(): void
    {
        $lamp = new LoopStage('lamp', 'Lamp', 0.05, 10000 / 3.6e6, lamp: true);
        $bed = new LoopStage('bed', 'Bed', 0.05, 10000 / 3.6e6, grows: true);
        $other = new LoopStage('other', 'Other', 0.05, 10000 / 3.6e6);
        $before = $this->loop([$this->chamber(), $lamp, $bed]);

        self::assertFalse(StageCheck::lampAfter($before, $lamp));
        self::assertContains('loop.lamp_before_biofilter', $this->codes($before));
        self::assertTrue(StageCheck::lampAfter($this->loop([$this->chamber(), $bed, $lamp]), $lamp));
        self::assertNull(StageCheck::lampAfter($this->loop([$this->chamber(), $other, $lamp]), $lamp));
    }

    /** 7,200 L/h through 0.04 m² are 5 cm/s: half a length a second of a fish of 10 cm, one of 5 cm. */
    public function test_the_current_is_held_against_the_smallest_fish(): void
    {
        $pond = static fn(?float $fish): LoopVessel => new LoopVessel(
            id: 'bay',
            name: 'Bay',
            long: true,
            sectionM2: 0.04,
            smallestFishM: $fish,
        );
        $blown = fn(float $fish, string $aim = 'along'): Loop => new Loop(
            [$pond($fish)],
            [],
            [new LoopPump('pump', 'Pump', new PumpCurve([0, 1e-4], [0.2, 0.1]), 5, true, insideVessel: 'bay')],
            [],
            circulators: [new Circulator('Blower', 'bay', true, true, 'one_end', $aim, 7200.0)],
        );
        $current = Current::of($blown(0.2), LoopFlow::of($blown(0.2)), $pond(0.2));

        self::assertNotNull($current);
        self::assertEqualsWithDelta(0.05, $current->metresS, 1e-9);
        self::assertEqualsWithDelta(0.25, $current->lengths($pond(0.2)), 1e-9);
        self::assertNull($current->lengths($pond(null)));
        self::assertNull(Current::of($blown(0.2, 'across'), LoopFlow::of($blown(0.2, 'across')), $pond(0.2)));
        $levels = [];
        foreach ([0.2, 0.08, 0.04] as $fish) {
            foreach (LoopCheck::of($blown($fish), LoopFlow::of($blown($fish))) as $caution) {
                if (str_starts_with($caution->message->code, 'loop.current')) {
                    $levels[(string) $fish] = $caution->level;
                }
            }
        }
        self::assertSame(['0.08' => Level::Watch, '0.04' => Level::Danger], $levels);
    }
}
