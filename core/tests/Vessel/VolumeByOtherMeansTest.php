<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Vessel;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Vessel\VolumeComparison;
use PHPUnit\Framework\TestCase;

final class VolumeByOtherMeansTest extends TestCase
{
    use Calculations;

    public function test_salt_gives_the_volume_and_how_far_it_may_be_off(): void
    {
        $volume = $this->calculate('volume.by_salt', [
            'salt_g' => 9000,
            'before_g_l' => 0.2,
            'after_g_l' => 1.2,
            'reading_error_g_l' => 0.05,
        ]);
        self::assertEqualsWithDelta(9000, $volume->number('volume_l'), 1e-9);
        self::assertEqualsWithDelta(9000 / 1.1, $volume->number('low_l'), 1e-9);
        self::assertEqualsWithDelta(9000 / 0.9, $volume->number('high_l'), 1e-9);
    }

    public function test_conductivity_stands_in_for_salinity_but_not_beside_it(): void
    {
        $volume = $this->figure(
            'volume.by_salt',
            ['salt_g' => 5100, 'before_us_cm' => 500, 'after_us_cm' => 1500],
            'volume_l',
        );
        self::assertEqualsWithDelta(10000, $volume, 1e-6);
        self::assertArrayHasKey(
            'after_us_cm',
            $this->errors('volume.by_salt', ['salt_g' => 1, 'before_g_l' => 0, 'after_g_l' => 1, 'after_us_cm' => 1]),
        );
    }

    public function test_a_rise_that_drowns_in_the_error_is_refused(): void
    {
        self::assertSame(
            ['after_g_l'],
            array_keys($this->errors('volume.by_salt', ['salt_g' => 100, 'before_g_l' => 0.2, 'after_g_l' => 0.23])),
        );
        self::assertSame(
            ['after_g_l'],
            array_keys($this->errors('volume.by_salt', ['salt_g' => 100, 'before_g_l' => 0.2, 'after_g_l' => 0.1])),
        );
        self::assertSame(
            ['before_g_l'],
            array_keys($this->errors('volume.by_salt', ['salt_g' => 100, 'after_g_l' => 1.0])),
        );
    }

    public function test_the_meter_counts_what_was_there_and_not_what_went_elsewhere(): void
    {
        $volume = $this->calculate('volume.by_meter', [
            'meter_before_l' => 4210,
            'meter_after_l' => 13310,
            'already_l' => 90,
            'elsewhere_l' => 200,
            'error_pct' => 2,
        ]);
        self::assertEqualsWithDelta(8990, $volume->number('volume_l'), 1e-9);
        self::assertEqualsWithDelta(8990 - 178, $volume->number('low_l'), 1e-9);
        self::assertSame(
            ['meter_after_l'],
            array_keys($this->errors('volume.by_meter', ['meter_before_l' => 10, 'meter_after_l' => 10])),
        );
    }

    /** Keepers know 10,000 L as 2,642 US or 2,200 imperial gallons (NIST Handbook 44, UK regulations 1995). */
    public function test_a_ratio_of_gallons_is_named_and_other_ratios_are_not(): void
    {
        self::assertStringContainsString(
            'US gallons were taken for litres',
            VolumeComparison::of('A', 10000, 'B', 2642)->sentence,
        );
        self::assertStringContainsString(
            'imperial gallons were taken for litres',
            VolumeComparison::of('A', 2200, 'B', 10000)->sentence,
        );
        self::assertStringContainsString('taken for one another', VolumeComparison::of('A', 2642, 'B', 2200)->sentence);
        self::assertTrue(VolumeComparison::of('A', 9000, 'B', 9300)->agree);
        self::assertSame('B is 50 % more than A.', VolumeComparison::of('A', 6000, 'B', 9000)->sentence);
    }
}
