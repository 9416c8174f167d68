<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/** How far one thing is suspected of being behind trouble, with what speaks for it and against it in this book. */
final readonly class Suspicion
{
    /** From so many points it is the likely one, and from so many it may be. */
    private const LIKELY = 6;

    private const POSSIBLE = 3;

    /**
     * @param  int  $score  points; they rank, and are no probability
     * @param  list<Message>  $for
     * @param  list<Message>  $against
     * @param  Message  $decides  the test that would tell
     * @param  string  $page  where that is done
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $score,
        public array $for,
        public array $against,
        public Message $decides,
        public string $page,
    ) {}

    public function word(): string
    {
        return match (true) {
            $this->score >= self::LIKELY && $this->for !== [] => 'likely',
            $this->score >= self::POSSIBLE => 'possible',
            default => 'less likely',
        };
    }
}
