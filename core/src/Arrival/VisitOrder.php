<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

/**
 * In which order the systems of a yard are visited: clean to dirty, so that wet hands carry nothing to clean water.
 *
 * Common practice: resident fish first, then quarantine by its day (the longest held first), then what is shut or
 * treated for illness, last of all.
 *
 * @source cp-quarantine
 */
final readonly class VisitOrder
{
    private const RANK = ['quarantine' => 1, 'hospital' => 2];

    /**
     * @param  list<array{name: string, kind: string, day: ?int, shut: bool}>  $systems  in the order they are walked
     * @return list<string> names
     */
    public static function of(array $systems): array
    {
        $ranked = [];
        foreach ($systems as $place => $one) {
            $rank = $one['shut'] ? 3 : self::RANK[$one['kind']] ?? 0;
            $ranked[] = [[$rank, -($one['day'] ?? 0), $place], $one['name']];
        }
        sort($ranked);

        return array_column($ranked, 1);
    }
}
