<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Calc\Level;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Exchange\Refill;
use Ironwort\Core\Service\Procedure;
use Ironwort\Core\Service\Setting;
use Ironwort\Core\Service\Step;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Water that a float valve lets in by itself: treated as fast as it comes, or a danger. */
final class RefillTest extends TestCase
{
    use Calculations;

    /** @return iterable<string, array{Refill, bool, ?string, ?Level}> */
    public static function refills(): iterable
    {
        $of = static fn(array $with): Refill => new Refill(...['vessel' => 'Bay', 'water' => 'Tap', ...$with]);
        $carbon = ['chlorinated' => true, 'unit' => 'Carbon', 'carbonL' => 10.0];
        yield 'nothing to treat' => [$of(['rateLMin' => 30.0, 'chlorinated' => false]), true, null, null];
        yield 'no carbon at all' => [
            $of(['rateLMin' => 1.0, 'chlorinated' => true]),
            false,
            'exchange.float_valve_with_chlorine',
            Level::Danger,
        ];
        yield 'nobody timed it' => [
            $of([...$carbon, 'rateLMin' => null]),
            false,
            'exchange.refill_not_known',
            Level::Watch,
        ];
        yield 'no litres of carbon' => [
            $of(['rateLMin' => 1.0, 'chlorinated' => true, 'unit' => 'Softener']),
            false,
            'exchange.refill_not_known',
            Level::Watch,
        ];
        // A minute in the bed for free chlorine: 10 L treat 10 L/min, and no more.
        yield 'just fast enough' => [$of([...$carbon, 'rateLMin' => 10.0]), true, null, null];
        yield 'just too fast' => [
            $of([...$carbon, 'rateLMin' => 10.01]),
            false,
            'exchange.refill_outruns_carbon',
            Level::Danger,
        ];
        yield 'chloramine takes longer' => [
            $of([...$carbon, 'rateLMin' => 2.0, 'chloramine' => true]),
            false,
            'exchange.refill_outruns_carbon',
            Level::Danger,
        ];
    }

    #[DataProvider('refills')]
    public function test_it_is_safe_only_as_fast_as_it_is_treated(
        Refill $refill,
        bool $safe,
        ?string $code,
        ?Level $level,
    ): void {
        self::assertSame($safe, $refill->safe());
        self::assertSame([$code, $level], [$refill->caution()?->message->code, $refill->caution()?->level]);
    }

    /** The same bed and rate as `exchange.carbon` judges them. */
    public function test_it_is_the_carbon_of_the_calculator(): void
    {
        foreach (['free' => false, 'chloramine' => true] as $kind => $chloramine) {
            $says = $this->calculate('exchange.carbon', [
                'bed_l' => 25,
                'trickle_l_min' => 1,
                'fast_l_min' => 5,
                'kind' => $kind,
            ]);
            $refill = new Refill('Bay', 'Tap', 5.0, true, $chloramine, 'Carbon', 25.0);
            self::assertSame($says->figures['fastest_l_min'], $refill->fastestLMin());
            self::assertSame($says->figures['enough_fast'], $refill->safe());
        }
    }

    public function test_a_most_is_not_told_higher_than_it_is(): void
    {
        $text = (new Refill('Bay', 'Tap', 9.0, true, true, 'Carbon', 11.99))->caution()->text ?? '';
        self::assertStringContainsString('treat 1.9 L/min', $text);
    }

    public function test_a_drain_shuts_a_valve_that_outruns_its_carbon_first_and_opens_it_last(): void
    {
        $codes = static fn(Refill $refill): array => array_map(
            static fn(Step $step): string => $step->message->code,
            Procedure::of(
                Library::shipped()->jobs()->get('flush_settling'),
                new Setting('Vortex', waste: 'Waste', wasteLS: 3.0, refill: $refill),
                false,
            ),
        );
        $wild = $codes(new Refill('Bay', 'Tap', 20.0, true, false, 'Carbon', 10.0));
        self::assertSame('service.step_shut_float', $wild[0]);
        self::assertSame('service.step_open_float', $wild[count($wild) - 1]);
        $tame = $codes(new Refill('Bay', 'Tap', 5.0, true, false, 'Carbon', 10.0));
        self::assertNotContains('service.step_shut_float', $tame);
        self::assertSame('service.step_float_refills', $tame[count($tame) - 1]);
    }
}
