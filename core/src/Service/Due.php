<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * When a job is due again: by its interval, the season, the feed, what was seen, and the hours run.
 *
 * Due at the interval, late at half as much again; nothing is early before three quarters of it. By the school that
 * waits until it slows, only what was seen makes it due.
 *
 * Common practice, no source.
 */
final readonly class Due
{
    /** Share of its flow that a part may lose, and of its surface that may be seen buried, before it is due. */
    public const FALLEN = 0.2;

    public const FOULED_PCT = 50.0;

    private const EARLY = 0.75;

    private const LATE = 1.5;

    /** What is done once a season was done in this one where it is not longer ago, days. */
    private const THIS_SEASON_D = 150.0;

    /**
     * @param  ?float  $everyD  null where only what is seen makes it due
     * @param  list<Message>  $why
     */
    private function __construct(
        public string $stands,
        public ?float $everyD,
        public ?float $leftD,
        public array $why,
    ) {}

    /** @param  ?float  $sinceD  days since it was done last; null where nobody knows */
    public static function of(Job $job, JobTable $table, ServiceWater $water, ?float $sinceD, Wear $wear): self
    {
        if ($job->once !== null) {
            return self::ofSeason($job, $water, $sinceD);
        }
        $why = [];
        $every = $wear->ownD ?? ($job->in[$water->systemKind] ?? $job->everyD);
        if ($wear->ownD === null && $job->bySeason && $water->steadyC !== null) {
            foreach ($table->seasons as $pace) {
                if ($pace->fits($water->steadyC)) {
                    $every *= $pace->times;
                    $why[] = $pace->message();
                    break;
                }
            }
        }
        if ($wear->ownD === null && $job->byFeed && $water->feedPct !== null) {
            foreach ($table->feeds as $pace) {
                if ($pace->fits($water->feedPct)) {
                    $every *= $pace->times;
                    $why[] = $pace->message();
                    break;
                }
            }
        }
        if ($job->cleans && $wear->blocksD !== null && $wear->blocksD < $every) {
            $every = max(1.0, $wear->blocksD);
            $why[] = Message::of('service.blocks_sooner', ['days' => Format::number($every, 2)]);
        }
        $seen = self::seen($job, $wear);
        array_push($why, ...$seen);
        $by = $wear->onlyWhenSlow && $job->cleans;

        return new self(
            match (true) {
                $seen !== [] => 'due',
                $by => 'early',
                $sinceD === null => 'unknown',
                $sinceD >= self::LATE * $every => 'late',
                $sinceD >= $every => 'due',
                $sinceD >= self::EARLY * $every => 'soon',
                default => 'early',
            },
            $by ? null : $every,
            $by || $sinceD === null ? null : $every - $sinceD,
            $by ? [...$why, Message::of('service.only_when_slow')] : $why,
        );
    }

    /** Once, while the water shows that time of the year. */
    private static function ofSeason(Job $job, ServiceWater $water, ?float $sinceD): self
    {
        $season = $water->season;
        $done = $sinceD !== null && $sinceD < self::THIS_SEASON_D;

        return $season === null || $season !== $job->once || $done
            ? new self('early', null, null, [])
            : new self('due', null, null, [self::season($season)]);
    }

    private static function season(YearSeason $season): Message
    {
        return Message::of(
            match ($season) {
                YearSeason::Spring => 'service.season_spring',
                YearSeason::Summer => 'service.season_summer',
                YearSeason::Autumn => 'service.season_autumn',
                YearSeason::Winter => 'service.season_winter',
            },
        );
    }

    /** Whether it belongs on the round. */
    public function now(): bool
    {
        return in_array($this->stands, ['due', 'late'], true);
    }

    /** @return list<Message> what was seen that makes it due at once */
    private static function seen(Job $job, Wear $wear): array
    {
        return array_values(
            array_filter([
                $job->hours !== null && $wear->hours !== null && $wear->hours >= $job->hours
                    ? Message::of('service.hours_over', ['hours' => Format::number(round($wear->hours, -2), 5)])
                    : null,
                $job->cleans && $wear->flowShare !== null && $wear->flowShare <= 1 - self::FALLEN
                    ? Message::of('service.flow_fallen', [
                        'pct' => Format::number(100 * (1 - $wear->flowShare), 2),
                    ])
                    : null,
                $job->cleans && $wear->fouledPct !== null && $wear->fouledPct >= self::FOULED_PCT
                    ? Message::of('service.seen_fouled', ['pct' => Format::number($wear->fouledPct, 2)])
                    : null,
                $job->cleans && $wear->pressedShare !== null && $wear->pressedShare >= 1 + self::FALLEN
                    ? Message::of('service.pressure_up', [
                        'pct' => Format::number(100 * ($wear->pressedShare - 1), 2),
                    ])
                    : null,
            ]),
        );
    }
}
