<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;

/**
 * Where a course of doses stands: which were given, when the next is due, and what to do about one that was missed.
 *
 * The interval is that of the temperature now, so a course moves when the water warms. A dose late by less than
 * an interval is given at once and counts on from there; late by a whole one, the life cycle has got ahead and
 * the course begins anew.
 *
 *     CoursePlan::of(repeats: 3, intervalD: 7.0, given: [0.0], today: 8.0)->doses[1]['state']  →  late
 *
 * @source cp-course
 */
final readonly class CoursePlan
{
    /** How long after its hour a dose still counts as on its day, days. */
    private const GRACE_D = 0.5;

    /** @param  list<array{n: int, day: float, state: string}>  $doses  given, due, late, missed or to_come */
    private function __construct(
        public array $doses,
        public string $says,
        public bool $complete,
        public bool $broken,
    ) {}

    /**
     * @param  list<float>  $given  days since the first dose on which doses were given, the first of them 0
     * @param  float  $today  the same count
     */
    public static function of(int $repeats, float $intervalD, array $given, float $today): self
    {
        $doses = [];
        foreach (array_slice($given, 0, $repeats) as $i => $day) {
            $doses[] = ['n' => $i + 1, 'day' => $day, 'state' => 'given'];
        }
        $last = $given === [] ? -$intervalD : $given[count($given) - 1];
        for ($n = count($doses) + 1; $n <= $repeats; $n++) {
            $day = $last + ($n - count($given)) * $intervalD;
            $late = $today - $day;
            $next = $n === count($given) + 1;
            $doses[] = [
                'n' => $n,
                'day' => $day,
                'state' => match (true) {
                    !$next => 'to_come',
                    $late > $intervalD => 'missed',
                    $late > self::GRACE_D => 'late',
                    $late >= -self::GRACE_D => 'due',
                    default => 'to_come',
                },
            ];
        }
        $next =
            array_values(array_filter($doses, static fn(array $dose): bool => $dose['state'] !== 'given'))[0] ?? null;
        if ($next === null) {
            return new self($doses, 'All doses are given.', true, false);
        }
        $which = 'Dose ' . $next['n'] . ' of ' . $repeats;

        return new self(
            $doses,
            match ($next['state']) {
                'missed'
                    => "{$which} was missed by a whole interval: the life cycle has got ahead. Begin the course anew.",
                'late' => "{$which} is late by " .
                    Format::days($today - $next['day']) .
                    ': give it now; the rest counts on from it.',
                'due' => "{$which} is due now.",
                default => "{$which} is due in " . Format::days($next['day'] - $today) . '.',
            },
            false,
            $next['state'] === 'missed',
        );
    }
}
