<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/**
 * Days in a row on which a reading was to be acted on: from the first to the last before it was read good again.
 *
 * Days on which nobody read do not end it, unless there are more than a fortnight of them. Common practice, no source.
 */
final readonly class Spell
{
    private const FORGOTTEN_D = 14;

    /**
     * @param  string  $from  as 2026-05-31
     * @param  bool  $over  whether it was read good since
     */
    private function __construct(
        public string $from,
        public string $until,
        public float $worst,
        public string $worstOn,
        public bool $over,
    ) {}

    /** Days from its first to its last, both counted. */
    public function days(): int
    {
        return self::between($this->from, $this->until) + 1;
    }

    /**
     * @param  array<string, float>  $bad  the worst reading of each bad day
     * @param  list<string>  $read  all days on which it was read, the bad ones too
     * @param  bool  $low  whether less is worse
     * @return list<self> in order of time
     */
    public static function of(array $bad, array $read, bool $low): array
    {
        $days = array_values(array_unique([...$read, ...array_keys($bad)]));
        sort($days);
        $spells = [];
        $now = [];
        foreach ($days as $day) {
            if (!isset($bad[$day])) {
                $spells[] = self::made($now, $low, true);
                $now = [];
                continue;
            }
            $last = array_key_last($now);
            if ($last !== null && self::between($last, $day) > self::FORGOTTEN_D) {
                $spells[] = self::made($now, $low, false);
                $now = [];
            }
            $now[$day] = $bad[$day];
        }

        return array_values(array_filter([...$spells, self::made($now, $low, false)]));
    }

    /** @param  array<string, float>  $days  in order */
    private static function made(array $days, bool $low, bool $over): ?self
    {
        if ($days === []) {
            return null;
        }
        $worst = $low ? min($days) : max($days);

        return new self(
            (string) array_key_first($days),
            (string) array_key_last($days),
            $worst,
            (string) array_search($worst, $days, true),
            $over,
        );
    }

    private static function between(string $from, string $until): int
    {
        return (int) round((strtotime("{$until} UTC") - strtotime("{$from} UTC")) / 86400);
    }
}
