<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Dose\CoursePlan;
use Ironwort\Core\Dose\Culture;
use Ironwort\Core\Dose\Fading;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where a rule of doses begins and ends: the line itself, just under and just over. Common practice, no source. */
final class LinesTest extends TestCase
{
    #[TestWith([6.4, 'due to come', 'the next in 0.6 days'])]
    #[TestWith([6.6, 'due', 'one is due'])]
    #[TestWith([0.0, 'a week off', 'the next in 7 days'])]
    public function test_a_culture_is_asked_for_once_a_week_while_the_filter_is_young(
        float $daysSince,
        string $why,
        string $says,
    ): void {
        self::assertStringContainsString($says, Culture::says($daysSince, 20.0, false), $why);
    }

    public function test_a_dose_is_gone_at_a_twentieth_of_it(): void
    {
        // Half in a day: from all of it to a twentieth in log2(20) days.
        self::assertEqualsWithDelta(log(20, 2), Fading::goneInD(10.0, 10.0, 24.0, 0.0, 1000.0), 1e-9);
        self::assertSame(0.0, Fading::goneInD(10.0, 0.5, 24.0, 0.0, 1000.0));
    }

    #[TestWith([6.4, 'to_come'])]
    #[TestWith([6.5, 'due'])]
    #[TestWith([7.5, 'due'])]
    #[TestWith([7.6, 'late'])]
    #[TestWith([14.0, 'late'])]
    #[TestWith([14.1, 'missed'])]
    public function test_a_dose_of_a_course_is_due_on_its_day_give_or_take_half_a_day(float $today, string $state): void
    {
        self::assertSame($state, CoursePlan::of(3, 7.0, [0.0], $today)->doses[1]['state']);
    }
}
