<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Judge\Following;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\Turnover;
use PHPUnit\Framework\TestCase;

/** Where keepers differ: what a school changes, and what it may not. Common practice, no source. */
final class SchoolsTest extends TestCase
{
    public function test_a_nitrate_ceiling_of_forty_lets_grown_fish_have_more_and_fry_no_more_than_before(): void
    {
        $limits = Library::shipped()->limits();
        $forty = $this->following(['nitrate' => 'forty']);
        $watch = static fn(string $stage): float => 4.4268 *
            $forty->limits($stage, $limits->for($stage, Parameter::Nitrate))->above->watch;

        self::assertEqualsWithDelta(40, $watch('adult'), 0.01);
        self::assertEqualsWithDelta(10, $watch('fry'), 0.01);
        self::assertEqualsWithDelta(100, $watch('starting'), 0.01);
        self::assertSame(
            $limits->for('adult', Parameter::Ammonia),
            $forty->limits('adult', $limits->for('adult', Parameter::Ammonia)),
        );
    }

    public function test_the_stricter_school_is_stricter_for_fry_too(): void
    {
        $limits = Library::shipped()->limits()->for('fry', Parameter::Nitrate);
        $ten = $this->following(['nitrate' => 'ten'])->limits('fry', $limits);

        self::assertEqualsWithDelta(20 / 4.4268, $ten->above->act, 0.01);
        self::assertEqualsWithDelta(50 / 4.4268, $ten->above->emergency, 0.01);
    }

    public function test_once_an_hour_is_enough_for_one_school_and_slow_for_another(): void
    {
        self::assertSame([], Turnover::check('quarantine', $this->following([]), 1.1, 1.1));
        self::assertCount(1, Turnover::check('quarantine', $this->following(['turnover' => 'fast']), 1.1, 1.1));
        self::assertSame([], Turnover::check('quarantine', $this->following(['turnover' => 'slow']), 0.1, 0.1));
        self::assertSame([], Turnover::check('display', $this->following([]), 0.6, 0.6));
        self::assertStringContainsString(
            '4',
            Turnover::check('display', $this->following(['circulation' => 'four']), 0.6, 2.0)[0]->text,
        );
    }

    /** @param  array<string, string>  $chosen */
    private function following(array $chosen): Following
    {
        return new Following(Library::shipped()->schools(), $chosen);
    }
}
