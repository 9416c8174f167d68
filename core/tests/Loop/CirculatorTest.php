<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Loop\Circulator;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A long pond whose water comes and goes at one end, with a circulator in it. */
final class CirculatorTest extends TestCase
{
    /** @return list<string> */
    private static function said(Circulator ...$circulators): array
    {
        $line = static fn(string $id, Place $from, Place $to): LoopLine => new LoopLine(
            id: $id,
            name: ucfirst($id),
            from: $from,
            to: $to,
            boreMm: 63,
            lengthM: 3,
            fittingsK: 2,
            valveOpenPct: 100.0,
            spot: 'one_end',
        );
        $curve = new PumpCurve([0, 10000 / 3.6e6], [4.0, 0.2]);
        $loop = new Loop(
            [new LoopVessel(id: 'pond', name: 'Pond', long: true)],
            [],
            [new LoopPump(id: 'pump', name: 'Pump', curve: $curve, powerW: 90, on: true)],
            [
                $line('suction', Place::vessel('pond'), Place::pump('pump')),
                $line('return', Place::pump('pump'), Place::vessel('pond')),
            ],
            circulators: array_values($circulators),
        );

        return array_map(
            static fn(Caution $one): string => $one->message->code,
            LoopCheck::of($loop, LoopFlow::of($loop)),
        );
    }

    /** @return iterable<string, array{list<Circulator>, bool}> */
    public static function circulators(): iterable
    {
        $of = static fn(bool $on, ?string $spot, ?string $aim, ?string $vessel = 'pond'): array => [
            new Circulator(name: 'Circulator', insideVessel: $vessel, on: $on, spot: $spot, aim: $aim),
        ];
        yield 'none' => [[], true];
        yield 'along the length' => [$of(true, 'one_end', 'along'), false];
        yield 'at the other end' => [$of(true, 'far_end', null), false];
        yield 'across, where the water comes in' => [$of(true, 'one_end', 'across'), true];
        yield 'off' => [$of(false, 'far_end', 'along'), true];
        yield 'in another vessel' => [$of(true, 'far_end', 'along', 'tub'), true];
        yield 'nobody said where' => [$of(true, null, null), true];
    }

    /** @param  list<Circulator>  $circulators */
    #[DataProvider('circulators')]
    public function test_the_other_end_is_stagnant_until_something_moves_it(array $circulators, bool $stagnant): void
    {
        self::assertSame($stagnant, in_array('loop.vessel_water_comes_goes_same', self::said(...$circulators), true));
    }

    public function test_one_that_blows_across_a_long_pond_is_told_of(): void
    {
        $across = new Circulator(name: 'Circulator', insideVessel: 'pond', on: true, aim: 'across');
        $along = new Circulator(name: 'Circulator', insideVessel: 'pond', on: true, aim: 'along');
        self::assertContains('loop.vessel_blows_across_along_length', self::said($across));
        self::assertNotContains('loop.vessel_blows_across_along_length', self::said($along));
    }

    public function test_no_guard_is_told_and_an_unknown_one_is_not_blamed(): void
    {
        $of = static fn(?bool $guarded): array => self::said(
            new Circulator(name: 'Circulator', insideVessel: 'pond', on: true, guarded: $guarded),
        );
        self::assertContains('loop.circulator_without_guard', $of(false));
        self::assertNotContains('loop.circulator_without_guard', $of(true));
        self::assertNotContains('loop.circulator_without_guard', $of(null));
    }
}
