<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What keeps fish in quarantine: each condition with whether it is met, and what is missing.
 *
 * Common practice, no source: no loss in a week, ammonia and nitrite read clean in the last three days, every fish
 * looked at in the last week and nothing found, nothing given that stands in the water still. Several deaths, or a sign
 * on half of the fish or on twice as many as at the last look, shut it for the whole loop.
 *
 * @source cp-quarantine
 */
final readonly class Gate
{
    public const WEEK_D = 7.0;

    private const TESTED_D = 3.0;

    /** Deaths in three days, or a share of the fish in a week, that shut the whole loop. */
    private const SEVERAL = 3;

    private const SHARE = 0.1;

    /** Ill fish that are too many for chance; the share of all that makes an outbreak or, where it grows, one soon. */
    private const ILL = 3;

    private const HALF = 0.5;

    private const QUARTER = 0.25;

    private const TWICE = 2;

    /**
     * @param  array<string, ?Message>  $conditions  null where it is met; else what is missing
     * @param  ?Message  $shut  why nothing leaves at all
     */
    private function __construct(public array $conditions, public ?Message $shut) {}

    public static function of(GateFacts $facts): self
    {
        $several =
            $facts->lostThree >= self::SEVERAL ||
            ($facts->lostWeek >= 2 && $facts->lostWeek >= self::SHARE * ($facts->fish + $facts->lostWeek));

        return new self(
            [
                'days' =>
                    $facts->daysLeft > 0
                        ? Message::of('arrival.gate_days', ['days' => Format::number(ceil($facts->daysLeft), 3)])
                        : null,
                'losses' =>
                    $facts->lostWeek > 0
                        ? Message::of('arrival.gate_losses', ['count' => (string) $facts->lostWeek])
                        : null,
                'tests' => match (true) {
                    $facts->testedD === null => Message::of('arrival.gate_never_tested'),
                    $facts->testedD > self::TESTED_D => Message::of('arrival.gate_tests_old', [
                        'days' => Format::number(floor($facts->testedD), 3),
                    ]),
                    $facts->bad => Message::of('arrival.gate_tests_bad'),
                    default => null,
                },
                'inspection' => match (true) {
                    $facts->signs !== [] => Message::of('arrival.gate_signs', [
                        'signs' => implode(', ', $facts->signs),
                    ]),
                    $facts->lookedD === null || $facts->lookedD > self::WEEK_D => Message::of(
                        'arrival.gate_not_looked',
                    ),
                    default => null,
                },
                'residuals' =>
                    $facts->residuals !== []
                        ? Message::of('arrival.gate_residual', ['what' => implode(', ', $facts->residuals)])
                        : null,
            ],
            match (true) {
                $several => Message::of('arrival.gate_shut', ['count' => (string) $facts->lostWeek]),
                self::spreads($facts) => Message::of('arrival.gate_spreads', [
                    'ill' => (string) $facts->ill,
                    'fish' => (string) $facts->fish,
                ]),
                default => null,
            },
        );
    }

    private static function spreads(GateFacts $facts): bool
    {
        $grows = $facts->illBefore !== null && $facts->ill >= self::TWICE * max(1, $facts->illBefore);

        return $facts->ill >= self::ILL &&
            ($facts->ill >= self::HALF * $facts->fish || ($grows && $facts->ill >= self::QUARTER * $facts->fish));
    }

    public function open(): bool
    {
        return $this->shut === null && array_filter($this->conditions) === [];
    }

    /** @return list<Message> what is missing, the gravest first */
    public function missing(): array
    {
        return array_values(array_filter([$this->shut, ...array_values($this->conditions)]));
    }
}
