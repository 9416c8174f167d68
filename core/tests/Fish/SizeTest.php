<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Fish\Size;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SizeTest extends TestCase
{
    public function test_what_was_not_measured_follows_from_the_factor(): void
    {
        self::assertSame([50.0, null, 1.5], self::told(Size::of(50.0, null)));
        self::assertEqualsWithDelta(50.0, Size::of(null, 1875.0)->lengthCm, 1e-9);
        // A group that was once found stout stays so when only its length is taken again.
        self::assertSame(1.7, Size::of(50.0, null, 1.7)->condition);
        self::assertEqualsWithDelta(1.6, Size::of(50.0, 2000.0, 1.3)->condition, 1e-9);
    }

    /** @return iterable<string, array{?float, ?float, string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing measured' => [null, null, 'length_cm', 'fish.size_missing'];
        yield 'grams typed as kilograms' => [50.0, 1.9, 'weight_g', 'fish.size_cannot_be'];
        yield 'just over the stoutest' => [10.0, 30.01, 'weight_g', 'fish.size_cannot_be'];
        yield 'just under the thinnest' => [10.0, 4.99, 'weight_g', 'fish.size_cannot_be'];
    }

    #[DataProvider('refused')]
    public function test_what_no_fish_has_is_refused_at_its_field(
        ?float $length,
        ?float $weight,
        string $key,
        string $code,
    ): void {
        try {
            Size::of($length, $weight);
            self::fail('It was taken.');
        } catch (BadInput $bad) {
            self::assertSame([[$key], [$code]], [array_keys($bad->errors), $bad->codes]);
        }
    }

    public function test_the_bounds_themselves_are_taken(): void
    {
        self::assertSame(3.0, Size::of(10.0, 30.0)->condition);
        self::assertSame(0.5, Size::of(10.0, 5.0)->condition);
    }

    /** @return array{float, ?float, float} */
    private static function told(Size $size): array
    {
        return [$size->lengthCm, $size->weightG, $size->condition];
    }
}
