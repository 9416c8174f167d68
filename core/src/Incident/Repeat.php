<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/**
 * Which steps of an incident are done again and again until it has ended, and what it costs to skip one.
 *
 * Common practice, no source: tests every 12 hours; changes, binder and the word on feed each day. The rest once.
 */
final readonly class Repeat
{
    private const TEST_H = 12.0;

    private const DAILY_H = 24.0;

    /**
     * @param  bool  $worse  whether a reading got worse since it was opened: then twice as often
     * @return ?float hours; null for what is done once
     */
    public static function hours(AnswerStep $step, bool $worse = false): ?float
    {
        $hours = match (true) {
            $step->page === 'test' => self::TEST_H,
            $step->changesPct > 0, $step->bindsMgL > 0, self::feeds($step) => self::DAILY_H,
            default => null,
        };

        return $hours === null || !$worse || self::feeds($step) ? $hours : $hours / 2;
    }

    public static function skipping(AnswerStep $step): Message
    {
        return Message::of(
            match (true) {
                $step->page === 'test' => 'incident.skip_test',
                $step->changesPct > 0 => 'incident.skip_change',
                $step->bindsMgL > 0 => 'incident.skip_bind',
                self::feeds($step) => 'incident.skip_feed',
                $step->cause === Cause::Oxygen => 'incident.skip_air',
                default => 'incident.skip_other',
            },
        );
    }

    /**
     * How a step stands: `due`, `done`, `skipped`, or `again` where its time has come round, or where it is one that
     * comes round and something got worse after it was done.
     *
     * @param  ?float  $agoH  hours since it was last ticked; null where it never was
     * @param  ?float  $worseH  hours since a reading showed that it got worse; null where none did
     */
    public static function stands(?float $everyH, ?float $agoH, bool $skipped, ?float $worseH = null): string
    {
        return match (true) {
            $agoH === null => 'due',
            $everyH !== null && $agoH >= $everyH => 'again',
            $everyH !== null && $worseH !== null && $agoH > $worseH => 'again',
            $skipped => 'skipped',
            default => 'done',
        };
    }

    private static function feeds(AnswerStep $step): bool
    {
        return str_contains($step->do->code, 'feed');
    }
}
