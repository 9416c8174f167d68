<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Flow;

use Ironwort\Core\Flow\LineElement;
use Ironwort\Core\Flow\Link;
use Ironwort\Core\Flow\Network;
use Ironwort\Core\Flow\Pipe;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Flow\PumpElement;
use Ironwort\Core\Flow\ResistanceElement;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

final class NetworkTest extends TestCase
{
    use Calculations;

    private static function line(
        string $id,
        string $from,
        string $to,
        float $bore,
        float $length,
        float $k,
        bool $check = false,
    ): Link {
        return new Link($id, $from, $to, new LineElement(new Pipe($bore, $length, $k), $check));
    }

    private static function pump(string $id, string $from, string $to, float $strength = 1.0): Link
    {
        $flows = array_map(static fn(int $l): float => $l / 3.6e6, [0, 3000, 7000, 9000, 14000]);

        return new Link(
            $id,
            $from,
            $to,
            new PumpElement(
                new PumpCurve(
                    $flows,
                    array_map(static fn(float $h): float => $h * $strength, [6.0, 5.6, 4.1, 3.0, 0.5]),
                ),
            ),
        );
    }

    /** @return list<Link> */
    private static function gravityLoop(): array
    {
        return [
            self::line('drain 1', 'pond', 'chamber', 0.1036, 6, 2.1),
            self::line('drain 2', 'pond', 'chamber', 0.0758, 4, 2.6),
            self::pump('pump', 'chamber', 'out'),
            self::line('riser', 'out', 'manifold', 0.05, 1.5, 3),
            self::line('return 1', 'manifold', 'lip', 0.05, 8, 6),
            self::line('return 2', 'manifold', 'lip', 0.04, 3, 4),
        ];
    }

    /**
     * White, Fluid Mechanics, example 6.17 (from memory): three pipes side by side under 20.3 m of head
     * carry 62.5, 25.9 and 11.4 m³/h.
     */
    public function test_pipes_side_by_side_carry_what_the_textbook_says(): void
    {
        $pipe = static fn(string $id, float $bore, float $length, float $roughness): Link => new Link(
            $id,
            'a',
            'b',
            new LineElement(new Pipe($bore, $length, 0, $roughness, 19.4)),
        );
        $flow = (new Network(
            ['a' => 20.3, 'b' => 0.0],
            [$pipe('1', 0.08, 100, 0.24e-3), $pipe('2', 0.06, 150, 0.12e-3), $pipe('3', 0.04, 80, 0.2e-3)],
        ))->solve();
        foreach (['1' => 62.5, '2' => 25.9, '3' => 11.4] as $id => $m3h) {
            self::assertEqualsWithDelta($m3h, 3600 * $flow->flows[$id], 0.01 * $m3h);
        }
    }

    /** The same loop written out and solved by scipy's fsolve with the friction of the fluids library. */
    public function test_a_gravity_loop_with_two_drains_and_two_returns_agrees_with_scipy_to_a_tenth_of_a_litre(): void
    {
        [$drain1, $drain2, $pump, $return1, $return2, $chamber] = Reference::python('flow_fluids.py', ['n 0']);
        $flow = (new Network(['pond' => 0.0, 'lip' => 0.1], self::gravityLoop()))->solve();
        foreach (
            [
                'drain 1' => $drain1,
                'drain 2' => $drain2,
                'pump' => $pump,
                'return 1' => $return1,
                'return 2' => $return2,
            ]
            as $id => $litres
        ) {
            self::assertEqualsWithDelta($litres, 3.6e6 * $flow->flows[$id], 0.1, $id);
        }
        self::assertEqualsWithDelta($chamber, $flow->heads['chamber'], 1e-6);
    }

    public function test_water_is_neither_made_nor_lost_and_every_line_loses_its_head(): void
    {
        $links = self::gravityLoop();
        $flow = (new Network(['pond' => 0.0, 'lip' => 0.1], $links))->solve();
        foreach (['chamber', 'out', 'manifold'] as $point) {
            $balance = 0.0;
            foreach ($links as $link) {
                $balance +=
                    ($link->to === $point ? 1 : 0) * $flow->flows[$link->id] -
                    ($link->from === $point ? 1 : 0) * $flow->flows[$link->id];
            }
            self::assertEqualsWithDelta(0.0, 3.6e6 * $balance, 0.1, $point);
        }
        foreach ($links as $link) {
            self::assertEqualsWithDelta(
                $flow->heads[$link->from] - $flow->heads[$link->to],
                $link->element->headLoss($flow->flows[$link->id]),
                1e-6,
                $link->id,
            );
        }
    }

    public function test_a_wider_drain_leaves_the_chamber_higher(): void
    {
        $level = static function (float $bore): float {
            $links = [
                self::line('drain', 'pond', 'chamber', $bore, 6, 2.1),
                self::pump('pump', 'chamber', 'out'),
                self::line('return', 'out', 'pond', 0.05, 5, 5),
            ];

            return (float) (new Network(['pond' => 0.0], $links))->solve()->heads['chamber'];
        };
        self::assertLessThan($level(0.1036), $level(0.0758));
        self::assertLessThan(0.0, $level(0.1036));
    }

    public function test_a_pump_that_cannot_lift_says_so_and_a_check_valve_lets_nothing_back(): void
    {
        $up = [self::pump('pump', 'pond', 'out', 0.1), self::line('riser', 'out', 'tank', 0.05, 3, 2)];
        try {
            (new Network(['pond' => 0.0, 'tank' => 2.0], $up))->solve();
            self::fail('A pump of 0.6 m cannot lift 2 m.');
        } catch (UnsolvableNetwork $no) {
            self::assertSame('pump', $no->link);
            self::assertStringContainsString('cannot lift that high', $no->getMessage());
        }
        $held = (new Network(
            ['pond' => 0.0, 'tank' => 2.0],
            [self::line('riser', 'pond', 'tank', 0.05, 3, 2, true)],
        ))->solve();
        self::assertEqualsWithDelta(0.0, $held->flows['riser'], 1e-12);
        $back = (new Network(
            ['pond' => 0.0, 'tank' => 2.0],
            [self::line('riser', 'pond', 'tank', 0.05, 3, 2)],
        ))->solve();
        self::assertLessThan(0.0, $back->flows['riser']);
    }

    public function test_what_is_cut_off_neither_flows_nor_spoils_the_rest(): void
    {
        $links = [...self::gravityLoop(), self::line('dead', 'far', 'further', 0.05, 2, 1)];
        $flow = (new Network(['pond' => 0.0, 'lip' => 0.1], $links))->solve();
        self::assertEqualsWithDelta(0.0, $flow->flows['dead'], 1e-12);
        self::assertNull($flow->heads['far']);
        self::assertGreaterThan(0.001, $flow->flows['pump']);
    }

    public function test_random_loops_of_thirty_parts_all_settle(): void
    {
        mt_srand(7);
        $any = static fn(float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
        for ($n = 0; $n < 40; $n++) {
            $links = [self::pump('p', 'c0', 'm0', $any(0.5, 1.5))];
            for ($i = 0; $i < 9; $i++) {
                $links[] = self::line("d{$i}", 'pond', "c{$i}", $any(0.04, 0.11), $any(1, 12), $any(0.5, 8));
                $links[] = new Link(
                    "s{$i}",
                    "c{$i}",
                    'c' . ($i + 1) % 9,
                    new ResistanceElement($any(1e-3, 4e-3), $any(0, 0.2)),
                );
                $links[] = self::line("r{$i}", 'm0', 'pond', $any(0.025, 0.06), $any(1, 12), $any(1, 20), $i % 3 === 0);
            }
            $flow = (new Network(['pond' => 0.0], $links))->solve();
            $returned = array_sum(array_map(static fn(int $i): float => $flow->flows["r{$i}"], range(0, 8)));
            self::assertEqualsWithDelta(3.6e6 * $flow->flows['p'], 3.6e6 * $returned, 0.1, "loop {$n}");
        }
    }

    public function test_a_loop_that_is_described_wrongly_is_met_at_the_row_that_is_wrong(): void
    {
        $surfaces = [['point' => 'bay', 'head_m' => 0], ['point' => 'sump', 'head_m' => -0.5]];
        $pipe = [
            'name' => 'drain',
            'kind' => 'pipe',
            'from' => 'bay',
            'to' => 'sump',
            'bore_mm' => 100,
            'length_m' => 3,
        ];
        $wrong = fn(array $given): array => array_keys(
            $this->errors('flow.network', ['surfaces' => $surfaces, 'links' => [$pipe], ...$given]),
        );
        self::assertSame(['surfaces.1.point'], $wrong(['surfaces' => [$surfaces[0], $surfaces[0]]]));
        self::assertSame(['links.1.name'], $wrong(['links' => [$pipe, $pipe]]));
        self::assertSame(['links.0.to'], $wrong(['links' => [[...$pipe, 'to' => 'bay']]]));
        self::assertSame(['links.0.length_m'], $wrong(['links' => [array_diff_key($pipe, ['length_m' => 0])]]));
        self::assertSame(['links.0.curve'], $wrong(['links' => [[...$pipe, 'kind' => 'pump']]]));
        // A pump that gives more against more head.
        self::assertStringStartsWith(
            'links.0.curve',
            $wrong([
                'links' => [
                    [
                        ...$pipe,
                        'kind' => 'pump',
                        'curve' => [['flow_l_h' => 0, 'head_m' => 1], ['flow_l_h' => 9000, 'head_m' => 3]],
                    ],
                ],
            ])[0],
        );
    }
}
