<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/**
 * Every pair of things against the verdict written down for it.
 *
 * Common practice, no source: the table was gone through line by line, and stands apart from the rules that make it.
 */
final class MeetingsTest extends TestCase
{
    public function test_every_pair_has_the_verdict_of_the_table(): void
    {
        $conflicts = new Conflicts(Library::shipped()->agents());
        $seen = [];
        foreach (Reference::csv('meetings.csv') as $row) {
            $meeting = $conflicts->pair($row['one'], $row['other']);
            self::assertSame(
                [$row['verdict'], $row['code']],
                [$meeting->verdict->value, $meeting->reason->code],
                "{$row['one']} with {$row['other']}",
            );
            $seen["{$row['one']}|{$row['other']}"] = true;
        }
        $things = $conflicts->things();
        foreach ($things as $i => $one) {
            foreach (array_slice($things, $i) as $other) {
                self::assertArrayHasKey("{$one}|{$other}", $seen, 'a pair that the table does not know');
            }
        }
    }
}
