<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Service;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\LessAir;
use Ironwort\Core\Service\Procedure;
use Ironwort\Core\Service\Rinse;
use Ironwort\Core\Service\Setting;
use Ironwort\Core\Service\Step;
use PHPUnit\Framework\TestCase;

/** Steps of a service run in order: nothing burns dry, nothing is closed without flow, dirt goes where it may. */
final class ProcedureTest extends TestCase
{
    private static function job(string $id): Job
    {
        return Library::shipped()->jobs()->get($id);
    }

    private static function setting(): Setting
    {
        return new Setting(
            name: 'Mats',
            pumps: ['P' => 'Main pump'],
            dryPumps: ['Main pump'],
            lamps: ['L' => 'UV lamp'],
            heaters: ['H' => 'Heater'],
            valves: ['Drain 1'],
            layers: ['Bags'],
            returns: ['Return 1', 'Return 2'],
            waste: 'Waste',
            wasteLS: 2.0,
            waterL: 400.0,
            inWater: ['salt'],
            drainsTo: 'garden',
        );
    }

    /** @return list<string> */
    private static function codes(Step ...$steps): array
    {
        return array_values(array_map(static fn(Step $step): string => $step->message->code, $steps));
    }

    /** In every job that stops the pump: off before anything else, on and seen before what burns dry. */
    public function test_heater_and_lamp_go_off_before_the_pump_and_on_only_after_flow_was_seen(): void
    {
        foreach (Library::shipped()->jobs()->all() as $job) {
            $steps = Procedure::of($job, self::setting(), true);
            $at = static fn(?string $switches, bool $on): array => array_keys(
                array_filter($steps, static fn(Step $step): bool => $step->switches === $switches && $step->on === $on),
            );
            $off = $at('P', false);
            if ($off === []) {
                continue;
            }
            $seen = array_keys(array_filter($steps, static fn(Step $step): bool => $step->flow));
            foreach (['L', 'H'] as $burns) {
                self::assertLessThan($off[0], $at($burns, false)[0], "{$job->id}: {$burns} off before the pump");
                self::assertGreaterThan($seen[0], $at($burns, true)[0], "{$job->id}: {$burns} on after flow");
                self::assertTrue($steps[$at($burns, true)[0]]->afterFlow);
            }
            self::assertGreaterThan($at('P', true)[0], $seen[0], "{$job->id}: flow seen after the pump is on");
            self::assertSame(
                array_map(static fn(array $one): int => count($one), [$off, $at('L', false), $at('H', false)]),
                array_map(static fn(array $one): int => count($one), [$at('P', true), $at('L', true), $at('H', true)]),
                "{$job->id}: what goes off comes on",
            );
        }
    }

    public function test_a_wash_is_told_by_what_lies_there_and_how_it_is_rinsed(): void
    {
        $codes = self::codes(...Procedure::of(self::job('wash_pads'), self::setting(), true));

        self::assertSame(
            [
                'service.step_off_first',
                'service.step_off_first',
                'service.step_shut_valves',
                'service.step_pump_off',
                'service.step_lift_layers',
                'service.step_rinse_system',
                'service.step_not_on_garden',
                'service.step_drain',
                'service.step_put_back',
                'service.step_open_valves',
                'service.step_prime',
                'service.step_pump_on',
                'service.step_look_at_returns',
                'service.step_on_again',
                'service.step_on_again',
            ],
            $codes,
        );
        $hosed = Procedure::of(self::job('wash_pads'), self::setting(), true, Rinse::Chlorinated);
        self::assertContains('service.step_rinse_chlorinated', self::codes(...$hosed));
        self::assertSame(Deed::HosedChlorinated, self::job('wash_pads')->deed(Rinse::Chlorinated));
        self::assertSame(Deed::Swished, self::job('wash_pads')->deed(Rinse::System));
        self::assertNull(self::job('flush_settling')->deed(Rinse::System));
    }

    public function test_with_the_pump_throttled_nothing_is_switched_and_flow_is_looked_at_all_the_same(): void
    {
        $steps = Procedure::of(self::job('wash_pads'), self::setting(), false);

        self::assertSame([], array_filter($steps, static fn(Step $step): bool => $step->switches !== null));
        self::assertContains('service.step_throttle', self::codes(...$steps));
        self::assertCount(1, array_filter($steps, static fn(Step $step): bool => $step->flow));
    }

    /** 5 s at 2 L/s are 10 L; a bed drained is its water; a floor is vacuumed at 20 L a minute. */
    public function test_the_water_a_run_takes_is_worked_out_and_not_known_where_its_waste_is_not(): void
    {
        $takes = static fn(string $job, bool $stops = true): ?float => Procedure::takesL(
            self::job($job),
            self::setting(),
            $stops,
        );

        self::assertSame(10.0, $takes('flush_settling'));
        self::assertSame(120.0, $takes('backwash'));
        self::assertSame(400.0, $takes('wash_pads'));
        self::assertSame(0.0, $takes('wash_pads', false));
        self::assertSame(600.0, $takes('vacuum'));
        self::assertSame(0.0, $takes('wipe_sleeve'));
        self::assertNull(Procedure::takesL(self::job('flush_settling'), new Setting('Vortex', waste: 'Waste'), true));
    }

    public function test_a_lamp_is_off_before_its_housing_is_opened_and_once_only(): void
    {
        $lamp = new Setting(
            name: 'UV lamp',
            pumps: ['P' => 'Pump'],
            lamps: ['L' => 'UV lamp'],
            returns: ['Return'],
            selfId: 'L',
        );
        $steps = Procedure::of(self::job('wipe_sleeve'), $lamp, true);
        $codes = self::codes(...$steps);

        self::assertSame('service.step_lamp_off', $codes[0]);
        self::assertTrue($steps[0]->caution);
        self::assertSame('service.step_lamp_on', $codes[count($codes) - 1]);
        self::assertCount(2, array_filter($steps, static fn(Step $step): bool => $step->switches === 'L'));
    }

    /** The fish's own air is not led away without a word of their oxygen; a bed's own pump takes nothing from them. */
    public function test_oxygen_is_said_before_air_is_led_away_from_the_fish(): void
    {
        $steps = static fn(bool $fish, ?LessAir $less): array => Procedure::of(
            self::job('stir_bed'),
            new Setting('Bed', air: 'Wash', fishAir: $fish, lessAir: $less),
            false,
        );
        $said = static fn(Step ...$steps): array => array_values(
            array_filter($steps, static fn(Step $one): bool => str_contains($one->message->code, 'less_air')),
        );
        $enough = $said(...$steps(true, new LessAir(7.1, 6.8, 6.0)));
        $low = $said(...$steps(true, new LessAir(5.4, 4.9, 6.0)));

        self::assertSame('service.step_less_air', $enough[0]->message->code);
        self::assertFalse($enough[0]->caution);
        self::assertSame('service.step_less_air_low', $low[0]->message->code);
        self::assertTrue($low[0]->caution);
        preg_match_all('/([\d.]+) mg\/L/', $low[0]->message->text, $figures);
        self::assertSame(['5.4', '4.9'], $figures[1]);
        self::assertSame('service.step_less_air_unknown', $said(...$steps(true, null))[0]->message->code);
        self::assertSame([], $said(...$steps(false, null)));

        $codes = self::codes(...$steps(true, null));
        $lead = array_search('service.step_stir_by_air', $codes, true);
        self::assertSame('service.step_less_air_unknown', $codes[(int) $lead - 1]);
        self::assertContains('service.step_air_back', $codes);
        self::assertContains('service.step_air_off', self::codes(...$steps(false, null)));
    }

    /** Every job has its steps, whatever is described of its part. */
    public function test_no_job_is_without_steps_where_nothing_is_described(): void
    {
        foreach (Library::shipped()->jobs()->all() as $job) {
            self::assertNotSame([], Procedure::of($job, new Setting('It'), Procedure::usuallyStops($job)));
        }
    }
}
