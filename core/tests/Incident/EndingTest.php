<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Ending;
use Ironwort\Core\Incident\Event;
use Ironwort\Core\Incident\Repeat;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Words\Message;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EndingTest extends TestCase
{
    /** @return iterable<string, array{list<string>, array<string, ?float>, ?float, ?float}> codes, then the facts */
    public static function cases(): iterable
    {
        yield 'nothing was bad' => [[], [], null, null];
        yield 'not read good since' => [['incident.end_not_clean'], ['Ammonia' => null], null, null];
        yield 'read good once' => [['incident.end_clean_for'], ['Ammonia' => 0.0], null, null];
        yield 'just under two days' => [['incident.end_clean_for'], ['Ammonia' => 47.9], null, null];
        yield 'two days' => [[], ['Ammonia' => 48.0], null, null];
        yield 'one of two is not' => [['incident.end_not_clean'], ['Ammonia' => 60.0, 'Nitrite' => null], null, null];
        yield 'seen yesterday' => [['incident.end_signs'], [], 24.0, null];
        yield 'seen two days ago' => [[], [], 48.0, null];
        yield 'died the day before yesterday' => [['incident.end_death'], [], null, 71.9];
        yield 'died three days ago' => [[], [], null, 72.0];
    }

    /**
     * @param  list<string>  $codes
     * @param  array<string, ?float>  $clean
     */
    #[DataProvider('cases')]
    public function test_what_keeps_it_open(array $codes, array $clean, ?float $signs, ?float $death): void
    {
        $missing = Ending::missing($clean, $signs, $death);
        self::assertSame($codes, array_map(static fn(Message $one): string => $one->code, $missing));
    }

    public function test_a_step_stands_by_when_it_was_ticked_and_how_often_it_comes_round(): void
    {
        self::assertSame('due', Repeat::stands(24.0, null, false));
        self::assertSame('done', Repeat::stands(24.0, 23.9, false));
        self::assertSame('again', Repeat::stands(24.0, 24.0, false));
        self::assertSame('skipped', Repeat::stands(24.0, 1.0, true));
        self::assertSame('again', Repeat::stands(24.0, 25.0, true));
        self::assertSame('done', Repeat::stands(null, 1e4, false));
    }

    public function test_changes_and_binder_come_daily_tests_twice_and_the_rest_once(): void
    {
        $step = static fn(?string $page): AnswerStep => AnswerStep::to(
            Cause::Ammonia,
            Message::of('incident.acid_air'),
            page: $page,
        );
        self::assertSame(12.0, Repeat::hours($step('test')));
        self::assertSame(24.0, Repeat::hours($step('water')->changing(50.0)));
        self::assertSame(24.0, Repeat::hours($step('dose')->binding(1.0)));
        self::assertNull(Repeat::hours($step(null)));
        self::assertSame('incident.skip_change', Repeat::skipping($step('water')->changing(50.0))->code);
        self::assertSame('incident.skip_test', Repeat::skipping($step('test'))->code);
    }

    public function test_every_event_has_a_name_and_every_sign_on_fish_leads_to_trouble(): void
    {
        foreach (Event::cases() as $event) {
            self::assertNotSame('', $event->name());
        }
        self::assertSame([Sign::PumpStopped], Event::PowerCut->signs());
        foreach (Rounds::signs() as $word) {
            $sign = Sign::ofSeen($word);
            self::assertNotNull($sign, $word);
            self::assertNotSame([], $sign->pointsTo());
        }
        self::assertNull(Sign::ofSeen('fed well'));
    }
}
