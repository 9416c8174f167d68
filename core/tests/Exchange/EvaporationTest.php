<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Exchange\Evaporation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EvaporationTest extends TestCase
{
    /**
     * @return iterable<string, array{float, float, float, float, float, float}> surface, batch, trickle, booked; topped
     *     up, leaves
     */
    public static function waters(): iterable
    {
        yield 'nobody booked it' => [10.0, 50.0, 0.0, 0.0, 20.0, 50.0];
        yield 'booked in full and more' => [10.0, 50.0, 0.0, 35.0, 35.0, 50.0];
        yield 'booked in part' => [10.0, 50.0, 0.0, 5.0, 20.0, 50.0];
        yield 'the trickle makes it good first' => [10.0, 0.0, 100.0, 0.0, 20.0, 80.0];
        yield 'a trickle that does not keep up' => [10.0, 0.0, 15.0, 0.0, 20.0, 0.0];
        yield 'a pond nobody measured' => [0.0, 7.0, 0.0, 0.0, 0.0, 7.0];
    }

    #[DataProvider('waters')]
    public function test_what_evaporates_is_made_good_and_the_rest_leaves(
        float $surface,
        float $batch,
        float $trickle,
        float $booked,
        float $toppedUp,
        float $leaves,
    ): void {
        $water = new Evaporation($surface, $batch, $trickle, $booked);
        self::assertEqualsWithDelta($toppedUp, $water->topUpLD, 1e-9);
        self::assertEqualsWithDelta($leaves, $water->leavesLD, 1e-9);
    }
}
