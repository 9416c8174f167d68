<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\System;
use Illuminate\Support\Facades\DB;

/**
 * The parts of a build as they stand in their tables, to tell what a change changed and to put it back.
 *
 * @phpstan-type ChangedPart array{table: string, id: string, before: ?array<string, mixed>,
 *     after: ?array<string, mixed>}
 */
final readonly class BuildRows
{
    /** In the order in which they can be written: what is referred to comes first. */
    public const TABLES = ['vessels', 'stages', 'pumps', 'junctions', 'lines', 'air_outlets'];

    /** What refers to another row of its own table. */
    private const OWN_KIND = ['stages' => 'chamber_id', 'lines' => 'three_way_id'];

    private const NO_CHANGE = ['updated_at' => 0, 'created_at' => 0];

    /** @return array<string, array<string, array<string, mixed>>> columns of each by table and id */
    public static function of(System $system): array
    {
        $queries = array_map(
            static fn(string $table): string => "SELECT '{$table}' AS name, id, to_jsonb(t)::text AS columns " .
                "FROM {$table} t WHERE system_id = ?",
            self::TABLES,
        );
        /** @var list<object{name: string, id: string, columns: string}> $found */
        $found = DB::select(implode(' UNION ALL ', $queries), array_fill(0, count(self::TABLES), $system->id));
        $rows = array_fill_keys(self::TABLES, []);
        foreach ($found as $row) {
            /** @var array<string, mixed> $columns */
            $columns = json_decode($row->columns, true, flags: JSON_THROW_ON_ERROR);
            $rows[$row->name][$row->id] = $columns;
        }

        return $rows;
    }

    /**
     * @param  array<string, array<string, array<string, mixed>>>  $before  columns of each
     * @param  array<string, array<string, array<string, mixed>>>  $after
     * @return list<ChangedPart> of what was changed only the columns that differ, of the rest the whole row
     */
    public static function difference(array $before, array $after): array
    {
        $parts = [];
        foreach (self::TABLES as $table) {
            foreach (array_unique([...array_keys($before[$table]), ...array_keys($after[$table])]) as $id) {
                $was = $before[$table][$id] ?? null;
                $is = $after[$table][$id] ?? null;
                if ($was !== null && $is !== null) {
                    $changed = array_filter(
                        array_diff_key($is, self::NO_CHANGE),
                        static fn(mixed $value, string $key): bool => $value !== ($was[$key] ?? null),
                        ARRAY_FILTER_USE_BOTH,
                    );
                    if ($changed === []) {
                        continue;
                    }
                    [$was, $is] = [array_intersect_key($was, $changed), $changed];
                }
                $parts[] = ['table' => $table, 'id' => (string) $id, 'before' => $was, 'after' => $is];
            }
        }

        return $parts;
    }

    /** @param  array<string, mixed>  $columns  columns of the whole row */
    public static function insert(string $table, array $columns): void
    {
        $own = self::OWN_KIND[$table] ?? null;
        $row = $own === null ? $columns : [...$columns, $own => null];
        DB::insert("INSERT INTO {$table} SELECT * FROM jsonb_populate_record(NULL::{$table}, ?::jsonb)", [
            json_encode($row, JSON_THROW_ON_ERROR),
        ]);
    }

    /**
     * What a row refers to in its own table, once all of them are there.
     *
     * @param  array<string, mixed>  $columns  columns of the whole row
     */
    public static function refer(string $table, string $id, array $columns): void
    {
        $own = self::OWN_KIND[$table] ?? null;
        if ($own !== null && $columns[$own] !== null) {
            self::update($table, $id, [$own => $columns[$own]]);
        }
    }

    /** @param  array<string, mixed>  $columns  columns of it that change */
    public static function update(string $table, string $id, array $columns): void
    {
        $names = implode(', ', array_map(static fn(string $key): string => "\"{$key}\"", array_keys($columns)));
        DB::update(
            "UPDATE {$table} SET ({$names}, updated_at) = (SELECT {$names}, now() FROM " .
                "jsonb_populate_record(NULL::{$table}, ?::jsonb)) WHERE id = ?",
            [json_encode($columns, JSON_THROW_ON_ERROR), $id],
        );
    }

    public static function delete(string $table, string $id): void
    {
        DB::delete("DELETE FROM {$table} WHERE id = ?", [$id]);
    }
}
