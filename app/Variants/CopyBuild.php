<?php

declare(strict_types=1);

namespace App\Variants;

use App\Build\BuildRows;
use App\Models\Slug;
use App\Models\System;
use Illuminate\Support\Str;

/** Another build beside the one that stands: every part of it once more, to be changed before anything is glued. */
final readonly class CopyBuild
{
    /** Columns that name another part of the same build. */
    private const NAMES = [
        'vessel_id',
        'stage_id',
        'pump_id',
        'chamber_id',
        'three_way_id',
        'from_vessel_id',
        'from_stage_id',
        'from_pump_id',
        'from_junction_id',
        'to_vessel_id',
        'to_stage_id',
        'to_pump_id',
        'to_junction_id',
    ];

    /** Stands in a transaction of the system. */
    public static function of(System $system, string $id, string $name): System
    {
        $made = System::query()->create([
            'id' => $id,
            'site_id' => $system->site_id,
            'slug' => Slug::free($system->site_id, $name),
            'name' => $name,
            'kind' => $system->kind,
            'life_stage' => $system->life_stage,
            'water_id' => $system->water_id,
            'position' => $system->position,
            'variant_of_id' => $system->variant_of_id ?? $system->id,
        ]);
        $rows = array_map(
            static fn(array $of): array => array_filter(
                $of,
                static fn(array $row): bool => ($row['retired_at'] ?? null) === null,
            ),
            BuildRows::of($system),
        );
        $keys = [];
        foreach (BuildRows::TABLES as $table) {
            foreach (array_keys($rows[$table]) as $old) {
                $keys[$old] = strtoupper((string) Str::ulid());
            }
        }
        $copies = [];
        foreach (BuildRows::TABLES as $table) {
            foreach ($rows[$table] as $old => $row) {
                $copy = [...$row, 'id' => $keys[$old], 'system_id' => $made->id];
                foreach (self::NAMES as $column) {
                    if (is_string($row[$column] ?? null)) {
                        $copy[$column] = $keys[$row[$column]] ?? null;
                    }
                }
                // What is lent now would be there.
                $copies[] = [$table, $keys[$old], array_key_exists('lent_to_id', $copy) ? self::athome($copy) : $copy];
            }
        }
        foreach ($copies as [$table, , $copy]) {
            BuildRows::insert($table, $copy);
        }
        foreach ($copies as [$table, $key, $copy]) {
            BuildRows::refer($table, $key, $copy);
        }

        return $made;
    }

    /**
     * @param  array<string, mixed>  $pump
     * @return array<string, mixed>
     */
    private static function athome(array $pump): array
    {
        return $pump['lent_to_id'] === null
            ? $pump
            : [...$pump, 'lent_to_id' => null, 'state' => 'on', 'running' => true];
    }
}
