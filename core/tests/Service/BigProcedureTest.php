<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Service;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Service\BigProcedure;
use Ironwort\Core\Service\BigWork;
use Ironwort\Core\Service\Setting;
use Ironwort\Core\Service\Step;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Jobs of a whole system in order: fish first out and last in, nothing burns dry, chlorine is looked for. */
final class BigProcedureTest extends TestCase
{
    private const SETTING = ['name' => 'Pond', 'pumps' => ['P' => 'Pump'], 'heaters' => ['H' => 'Heater']];

    /** @return list<Step> */
    private static function steps(string $job, mixed ...$work): array
    {
        return BigProcedure::of(
            Library::shipped()->jobs()->get($job),
            new Setting(...[...self::SETTING, 'returns' => ['Return']]),
            new BigWork(
                ...[
                    'volumeL' => 9000.0,
                    'keptL' => 900.0,
                    'hours' => 5.0,
                    'fishKg' => 20.0,
                    'tubL' => 1500.0,
                    'leastTubL' => 800.0,
                    'staysH' => 9.0,
                    'airlessMin' => 40.0,
                    'fills' => ['First', 'Second'],
                    ...$work,
                ],
            ),
        );
    }

    /** @return list<string> */
    private static function codes(Step ...$steps): array
    {
        return array_values(array_map(static fn(Step $step): string => $step->message->code, $steps));
    }

    /** @return iterable<string, array{string}> */
    public static function emptied(): iterable
    {
        yield 'drained' => ['drain_clean'];
        yield 'moved' => ['move_system'];
    }

    #[DataProvider('emptied')]
    public function test_fish_go_out_first_and_come_back_last(string $job): void
    {
        $codes = self::codes(...self::steps($job));
        $at = static fn(string $code): int => (int) array_search("service.{$code}", $codes, true);
        $order = array_map($at, [
            'big_mains',
            'big_tub_stays',
            'step_off_first',
            'step_pump_off',
            'big_drain',
            'big_kept_back',
            'big_fill',
            'big_chlorine_looked',
            'step_pump_on',
            'step_look_at_returns',
            'step_on_again',
            'big_fish_back',
        ]);
        $sorted = $order;
        sort($sorted);
        self::assertSame($sorted, $order);
        self::assertSame(array_unique($order), $order, 'each of them is there');
    }

    public function test_a_tub_too_small_is_a_caution_with_one_that_is_not(): void
    {
        $small = self::steps('drain_clean', tubL: 300.0, leastTubL: 833.0, staysH: 1.8);
        $found = array_values(
            array_filter($small, static fn(Step $step): bool => $step->message->code === 'service.big_tub_small'),
        );
        self::assertCount(1, $found);
        self::assertTrue($found[0]->caution);
        self::assertStringContainsString('840 L', $found[0]->message->text, 'rounded up, never down');
        self::assertContains('service.big_tub_least', self::codes(...self::steps('drain_clean', tubL: null)));
    }

    public function test_without_fish_nobody_is_held(): void
    {
        $codes = implode(' ', self::codes(...self::steps('drain_clean', fishKg: 0.0)));
        self::assertStringNotContainsString('big_tub', $codes);
        self::assertStringNotContainsString('big_fish', $codes);
    }

    public function test_every_part_of_the_new_water_is_a_step(): void
    {
        $fills = array_filter(
            self::steps('drain_clean'),
            static fn(Step $step): bool => $step->message->code === 'service.big_fill',
        );
        self::assertSame(
            ['First', 'Second'],
            array_values(array_map(static fn(Step $step): string => $step->message->text, $fills)),
        );
    }
}
