<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Words\Message;

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

    /**
     * Where a start stands before there is enough read to follow it: it waits for nothing that is not brought.
     *
     * @param  ?float  $tanMgL  ammonia as it was read last, mg/L as N; null where it never was
     * @param  bool  $given  whether ammonia was given since it began
     */
    public static function before(bool $fish, ?float $tanMgL, bool $given): self
    {
        return $fish || $given || ($tanMgL ?? 0.0) > 0.0 ? self::Waiting : self::Unfed;
    }

    public function says(): Message
    {
        return Message::of(
            match ($this) {
                self::Unfed => 'model.phase_unfed',
                self::Waiting => 'model.phase_waiting',
                self::Ammonia => 'model.phase_ammonia',
                self::Nitrite => 'model.phase_nitrite',
                self::Proving => 'model.phase_proving',
                self::Ready => 'model.phase_ready',
            },
        );
    }

    /**
     * What a keeper goes on doing. Common practice, no source.
     *
     * @return list<Message>
     */
    public function does(bool $fish): array
    {
        return array_map(
            static fn(string $code): Message => Message::of($code),
            match (true) {
                $this === self::Unfed => ['model.do_bring_ammonia', 'model.do_test_12h'],
                $this === self::Ready => ['model.do_feed_till_fish', 'model.do_test_daily'],
                $fish => ['model.do_keep_up', 'model.do_feed_lightly', 'model.do_leave_filter'],
                default => ['model.do_keep_up', 'model.do_dose_again', 'model.do_no_change'],
            },
        );
    }
}
