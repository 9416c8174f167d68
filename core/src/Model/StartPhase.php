<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/** How far a start has come, as it shows in the water. */
enum StartPhase: string
{
    /** No ammonia was read and none is brought: standing water never matures. */
    case Unfed = 'unfed';

    /** Ammonia rises; nothing takes it yet. */
    case Waiting = 'waiting';

    /** Ammonia is being taken, and nitrite appears. */
    case Ammonia = 'ammonia';

    /** Ammonia is down; nitrite stands. */
    case Nitrite = 'nitrite';

    /** Both are down, not yet for long enough. */
    case Proving = 'proving';

    case Ready = 'ready';

    /** Nitrite from which it shows, mg/L as N. */
    private const SHOWS_MG_L = 0.05;

    /**
     * @param  array<string, float>  $now  a point of the water
     * @param  bool  $fed  whether ammonia was ever read in it, or is brought
     */
    public static function of(array $now, float $tanLimit, float $no2Limit, bool $ready, bool $fed = true): self
    {
        return match (true) {
            !$fed => self::Unfed,
            $ready => self::Ready,
            $now['tan_mg_l'] <= $tanLimit && $now['no2_n_mg_l'] <= $no2Limit => self::Proving,
            $now['tan_mg_l'] <= $tanLimit => self::Nitrite,
            $now['no2_n_mg_l'] > self::SHOWS_MG_L => self::Ammonia,
            default => self::Waiting,
        };
    }

    public function says(): string
    {
        return match ($this) {
            self::Unfed => 'Nothing brings ammonia, and none was read: a filter does not mature by standing.',
            self::Waiting => 'Ammonia stands, and nothing takes it yet. Nitrite will be the first sign.',
            self::Ammonia => 'Ammonia is being taken: nitrite shows.',
            self::Nitrite => 'Ammonia is down; nitrite stands, and what takes it grows more slowly.',
            self::Proving => 'Ammonia and nitrite are both down. It is done when they have stayed there.',
            self::Ready => 'It is ready. More fish in steps, each as large as the last was taken without a reading.',
        };
    }

    /**
     * What a keeper goes on doing. Common practice, no source.
     *
     * @return list<string>
     */
    public function does(bool $fish): array
    {
        $always = ['Ammonia and nitrite every 12 h; oxygen high; KH above 4 dKH.'];

        return match (true) {
            $this === self::Unfed => [
                'Give it a source of ammonia: bottled ammonia to 2 mg/L, a pinch of feed each day, something left to ' .
                'rot, or fish in a start with fish.',
                'Then ammonia and nitrite every 12 h.',
            ],
            $this === self::Ready => [
                'Feed it until the fish come: a filter without ammonia starves.',
                'Ammonia and nitrite daily for a week after each step.',
            ],
            $fish => [
                ...$always,
                'Feed lightly. Change water before ammonia harms, and leave a trace of it: without any, nothing grows.',
                'No wash of the filter, no new media, no treatment on it. UV off.',
            ],
            default => [
                ...$always,
                'Ammonia again when it is below a half, never above 5 mg/L, and not while ' .
                'nitrite stands above 5: more holds back what is to grow.',
                'No change of water but to bring nitrite or KH back. UV off.',
            ],
        };
    }
}
