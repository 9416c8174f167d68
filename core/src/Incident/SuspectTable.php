<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Data\Row;

/**
 * What may be behind trouble, ranked by what the book says: the same book gives the same order.
 *
 * @source cp-suspects
 */
final readonly class SuspectTable
{
    /** What has less is not told. */
    private const LEAST = 1;

    /** @param  list<Suspect>  $suspects */
    private function __construct(public array $suspects) {}

    public static function from(Row $table): self
    {
        return new self(array_map(Suspect::from(...), $table->rows('suspects')));
    }

    /**
     * The most points first, and of as many the one that stands first in the table. Where nothing at all speaks for
     * any, those that stand nearest are told still: somebody has to begin somewhere.
     *
     * @param  list<Cause>  $causes  that were found
     * @return list<Suspicion>
     */
    public function rank(array $causes, Facts $now): array
    {
        $found = array_values(
            array_filter(
                array_map(static fn(Suspect $one): ?Suspicion => $one->weigh($causes, $now), $this->suspects),
                static fn(?Suspicion $one): bool => $one !== null && $one->score >= self::LEAST,
            ),
        );
        usort($found, static fn(Suspicion $a, Suspicion $b): int => $b->score <=> $a->score);

        return $found;
    }
}
