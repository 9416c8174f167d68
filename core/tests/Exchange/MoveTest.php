<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Exchange\Move;
use PHPUnit\Framework\TestCase;

final class MoveTest extends TestCase
{
    public function test_what_is_apart_by_more_than_fish_stand_at_once_takes_so_many_days(): void
    {
        $now = ['temp_c' => 14.0, 'ph' => 7.2, 'salinity_g_l' => 0.0];
        // 7 °C at 2 °C a day: 4 days; 0.3 pH is just borne, 0.9 g/L of salt too.
        $apart = Move::between($now, ['temp_c' => 21.0, 'ph' => 7.5, 'salinity_g_l' => 0.9]);
        self::assertSame(['temp_c'], array_column($apart, 'key'));
        self::assertSame(4, $apart[0]->days);
        // The other way round it is as far.
        self::assertSame(4, Move::between(['temp_c' => 21.0], $now)[0]->days);
    }

    public function test_the_farthest_apart_stands_first_and_what_is_not_known_is_left_out(): void
    {
        $apart = Move::between(
            ['ph' => 7.0, 'temp_c' => 10.0],
            ['ph' => 8.6, 'temp_c' => 15.0, 'hardness_mg_l' => 900.0],
        );
        self::assertSame(['ph', 'temp_c'], array_column($apart, 'key'));
        self::assertSame([6, 3], array_column($apart, 'days'));
    }
}
