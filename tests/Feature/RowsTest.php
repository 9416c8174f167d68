<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Reading;
use App\Models\Vessel;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Parameter;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is read from a row, which is done without the framework's detours. */
final class RowsTest extends TestCase
{
    /** @return array<string, array{string, string}> what PostgreSQL writes, and the instant it is */
    public static function moments(): array
    {
        return [
            'a whole second' => ['2026-11-22 16:21:42+00', '2026-11-22T16:21:42.000000Z'],
            'a part of one' => ['2026-11-22 16:21:42.5+00', '2026-11-22T16:21:42.500000Z'],
            'a microsecond' => ['2026-11-22 16:21:42.000001+00', '2026-11-22T16:21:42.000001Z'],
            'elsewhere' => ['2026-11-22 16:21:42-03:30', '2026-11-22T19:51:42.000000Z'],
            'a day' => ['2026-11-22', '2026-11-22T00:00:00.000000Z'],
        ];
    }

    #[DataProvider('moments')]
    public function test_a_moment_is_the_instant_that_was_written(string $written, string $instant): void
    {
        Carbon::setTestNow('2026-11-29 12:00:00');
        $visit = (new Visit())->newFromBuilder(['taken_at' => $written, 'withdrawn_at' => null]);
        self::assertSame($instant, $visit->taken_at->toISOString());
        self::assertNull($visit->withdrawn_at);
        $was = $visit->taken_at->copy();
        $visit->taken_at->addDay();
        self::assertTrue($visit->taken_at->eq($was), 'what one reader makes of it changed the row');
    }

    public function test_what_is_made_of_one_row_is_not_made_of_another(): void
    {
        $one = (new Vessel())->newFromBuilder([
            'id' => 'A',
            'name' => 'Vat 1',
            'created_at' => '2026-11-22 16:21:42+00',
        ]);
        $other = (new Vessel())->newFromBuilder((object) ['id' => 'B', 'name' => 'Vat 2']);
        $one->name = 'Vat 3';
        $one->setRelation('system', null);
        self::assertTrue($one->isDirty('name'));
        self::assertInstanceOf(Carbon::class, $one->getAttribute('created_at'));
        self::assertSame(['Vat 2', false, false], [$other->name, $other->isDirty(), $other->relationLoaded('system')]);
        self::assertTrue($other->exists);
        self::assertFalse($other->wasRecentlyCreated);
    }

    public function test_numbers_and_kinds_are_cast_and_a_query_may_ask_for_a_cast_of_its_own(): void
    {
        $row = ['value' => '0.25', 'low' => null, 'parameter' => 'tan_mg_l', 'typed' => '0.25', 'unit' => null];
        $reading = (new Reading())->newFromBuilder($row);
        self::assertSame(
            [0.25, null, Parameter::Ammonia, '0.25', null],
            array_map($reading->getAttribute(...), array_keys($row)),
        );
        $asked = (new Reading())->mergeCasts(['typed' => 'float'])->newFromBuilder($row);
        self::assertSame(0.25, $asked->getAttribute('typed'));
        self::assertSame('0.25', (new Reading())->newFromBuilder($row)->typed);
    }
}
