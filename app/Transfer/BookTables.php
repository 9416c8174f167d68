<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Support\Facades\DB;

/** The tables of a book, in the order in which they can be written: what is referred to comes first. */
final readonly class BookTables
{
    public const ALL = [
        'sites',
        'users',
        'waters',
        'water_tests',
        'kits',
        'systems',
        'vessels',
        'stages',
        'pumps',
        'junctions',
        'lines',
        'air_outlets',
        'build_changes',
        'shut_offs',
        'shipments',
        'bags',
        'fish_groups',
        'fish_measures',
        'single_fish',
        'single_measures',
        'fish_events',
        'feed_figures',
        'feeds',
        'visits',
        'readings',
        'notes',
        'photos',
        'looks',
        'incidents',
        'incident_ticks',
        'rounds',
        'round_marks',
        'changes',
        'trickles',
        'goods',
        'courses',
        'doses',
        'charges',
        'volume_measures',
        'volume_choices',
        'switchings',
        'flushes',
        'meter_readings',
        'setbacks',
        'services',
        'own_jobs',
        'job_intervals',
        'seeds',
        'sleeps',
        'quarantines',
        'filter_tests',
        'what_ifs',
        'own_limits',
        'school_choices',
        'test_plans',
        'probe_readings',
        'probe_sums',
    ];

    /** Columns that refer to another row of their own table, written in a second round. */
    public const OWN_KIND = [
        'systems' => 'variant_of_id',
        'stages' => 'chamber_id',
        'lines' => 'three_way_id',
        'visits' => 'corrects_id',
    ];

    /** What tells the rows of a table apart, where it is not their id. */
    private const ORDER = [
        'readings' => 'visit_id, parameter',
        'probe_readings' => 'system_id, parameter, taken_at',
        'probe_sums' => 'system_id, parameter, width, begins_at',
    ];

    /** A picture is a file of its own; the number of a reading is the database's. */
    private const WITHOUT = ['photos' => ['picture'], 'readings' => ['id']];

    /** Kept in a backup, from which people sign in again, and left out of an export, which goes to others. */
    private const SECRET = ['users' => ['password', 'remember_token', 'calendar_key']];

    /**
     * @param  list<string>  $sites  ids
     * @return string a query for its rows as JSON, in their own order
     */
    public static function query(string $table, array $sites, bool $secrets): string
    {
        $without = [...self::WITHOUT[$table] ?? [], ...$secrets ? [] : self::SECRET[$table] ?? []];
        $minus = implode('', array_map(static fn(string $column): string => " - '{$column}'", $without));
        $in = implode(', ', array_map(static fn(string $id): string => DB::getPdo()->quote($id), $sites));
        $where = match ($table) {
            'sites' => "id IN ({$in})",
            'probe_readings', 'probe_sums' => "system_id IN (SELECT id FROM systems WHERE site_id IN ({$in}))",
            default => "site_id IN ({$in})",
        };

        return "SELECT (to_jsonb(t){$minus})::text AS row FROM {$table} t WHERE {$where} ORDER BY " .
            self::order($table);
    }

    public static function order(string $table): string
    {
        return self::ORDER[$table] ?? 'id';
    }

    /** @return list<string> those there are: before an upgrade a book is backed up by the code that brings new ones */
    public static function present(): array
    {
        $columns = self::columns();

        return array_values(array_filter(self::ALL, static fn(string $table): bool => $columns[$table] !== []));
    }

    /** @return array<string, array<string, string>> column to type, by table, of what can be written */
    public static function columns(): array
    {
        $columns = array_fill_keys(self::ALL, []);
        $rows = DB::select(
            'SELECT table_name, column_name, udt_name FROM information_schema.columns ' .
                "WHERE table_schema = 'public' AND is_generated = 'NEVER' AND is_identity = 'NO' " .
                'ORDER BY table_name, ordinal_position',
        );
        foreach ($rows as $row) {
            /** @var object{table_name: string, column_name: string, udt_name: string} $row */
            if (isset($columns[$row->table_name])) {
                $columns[$row->table_name][$row->column_name] = $row->udt_name;
            }
        }

        return $columns;
    }
}
