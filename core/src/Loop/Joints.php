<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/**
 * Which lines of a loop can carry water as its valves stand: a line into a junction carries only what another line
 * takes on from there.
 */
final readonly class Joints
{
    /**
     * @param  list<array{id: string, from: Place, to: Place, open: bool}>  $lines  without those to waste
     * @return list<string> ids of the lines that can carry water
     */
    public static function carrying(array $lines): array
    {
        $open = array_filter($lines, static fn(array $line): bool => $line['open']);
        do {
            $before = count($open);
            $meet = [];
            foreach ($open as $line) {
                foreach (self::junctions($line) as $id) {
                    $meet[$id] = ($meet[$id] ?? 0) + 1;
                }
            }
            $open = array_filter(
                $open,
                static fn(array $line): bool => array_filter(
                    self::junctions($line),
                    static fn(string $id): bool => $meet[$id] < 2,
                ) === [],
            );
        } while (count($open) < $before);

        return array_values(array_map(static fn(array $line): string => $line['id'], $open));
    }

    /**
     * @param  array{id: string, from: Place, to: Place, open: bool}  $line
     * @return list<string>
     */
    private static function junctions(array $line): array
    {
        return array_values(
            array_map(
                static fn(Place $end): string => $end->id,
                array_filter(
                    [$line['from'], $line['to']],
                    static fn(Place $end): bool => $end->kind === PlaceKind::Junction,
                ),
            ),
        );
    }
}
