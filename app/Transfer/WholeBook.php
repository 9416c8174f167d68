<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Book\ReadingsCsv;
use App\Models\Site;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;

/**
 * A whole book as one zip: every table as JSON, its readings as CSV for other programs, and a manifest.
 *
 * Passwords are left out; whoever is to sign in to the copy is given a new one. A book comes into an
 * empty one only, all of it or nothing.
 */
final readonly class WholeBook
{
    public const FORMAT = 'ironwort-book';

    private const VERSION = 1;

    /** In the order in which they can be written again: what is referred to comes first. */
    private const TABLES = [
        'sites',
        'users',
        'waters',
        'water_tests',
        'kits',
        'systems',
        'vessels',
        'stages',
        'pumps',
        'lines',
        'shut_offs',
        'fish_groups',
        'fish_measures',
        'fish_events',
        'feed_figures',
        'feeds',
        'visits',
        'readings',
        'notes',
        'photos',
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
        'seeds',
        'sleeps',
        'filter_tests',
        'what_ifs',
        'own_limits',
        'school_choices',
        'test_plans',
        'probe_readings',
        'probe_sums',
    ];

    /** Columns that refer to another row of their own table, written in a second round. */
    private const OWN_KIND = ['lines' => 'three_way_id', 'visits' => 'corrects_id'];

    private const CHUNK = 500;

    public function __construct(private ReadingsCsv $csv) {}

    /** @return array<string, int> rows by table */
    public function export(Site $site, string $file): array
    {
        $zip = new \ZipArchive();
        if ($zip->open($file, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw BadInput::at('file', "{$file} cannot be written.");
        }
        $counts = [];
        foreach (self::TABLES as $table) {
            $rows = $this->rows($site, $table);
            $counts[$table] = count($rows);
            $zip->addFromString(
                "tables/{$table}.json",
                (string) json_encode($rows, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
            );
        }
        foreach ($site->systems()->get() as $system) {
            $text = '';
            $this->csv->write($system, Carbon::now()->subYears(100), Carbon::now()->addDay(), static function (
                string $line,
            ) use (&$text): void {
                $text .= $line;
            });
            $zip->addFromString("readings/{$system->slug}.csv", $text);
        }
        $zip->addFromString(
            'manifest.json',
            (string) json_encode(
                [
                    'format' => self::FORMAT,
                    'version' => self::VERSION,
                    'site' => $site->name,
                    'written' => now()->toIso8601ZuluString(),
                    'rows' => $counts,
                    'about' =>
                        'tables/*.json hold the whole book, times in UTC; readings/*.csv hold ' .
                        'the readings of each system for other programs, units in the head.',
                ],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        );
        $zip->close();

        return $counts;
    }

    /**
     * @return array<string, int> rows by table
     *
     * @throws BadInput at `file`
     */
    public function import(string $file): array
    {
        if (Site::query()->exists()) {
            throw BadInput::at('file', 'This book is not empty. A book comes into an empty one only.');
        }
        $zip = new \ZipArchive();
        if ($zip->open($file, \ZipArchive::RDONLY) !== true) {
            throw BadInput::at('file', 'This is no zip that can be read.');
        }
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        if (
            !is_array($manifest) ||
            ($manifest['format'] ?? null) !== self::FORMAT ||
            ($manifest['version'] ?? null) !== self::VERSION
        ) {
            throw BadInput::at('file', 'There is no book of this kind in it.');
        }
        $counts = [];
        DB::transaction(function () use ($zip, &$counts): void {
            foreach (self::TABLES as $table) {
                $rows = json_decode((string) $zip->getFromName("tables/{$table}.json"), true);
                if (!is_array($rows)) {
                    throw BadInput::at('file', "tables/{$table}.json is missing or broken; nothing was kept.");
                }
                $counts[$table] = $this->write($table, array_values(array_filter($rows, is_array(...))));
            }
        });
        $zip->close();

        return $counts;
    }

    /** @return list<array<string, mixed>> */
    private function rows(Site $site, string $table): array
    {
        $query = DB::table($table);
        match ($table) {
            'sites' => $query->where('id', $site->id),
            'probe_readings', 'probe_sums' => $query->whereIn('system_id', $site->systems()->pluck('id')),
            default => $query->where('site_id', $site->id),
        };
        $without = ['users' => ['password', 'remember_token'], 'readings' => ['id']][$table] ?? [];
        $rows = [];
        foreach ($query->orderBy(str_starts_with($table, 'probe_') ? 'system_id' : 'id')->get() as $row) {
            /** @var array<string, mixed> $values */
            $values = get_object_vars($row);
            $rows[] = array_diff_key($values, array_flip($without));
        }

        return $rows;
    }

    /** @param  list<array<array-key, mixed>>  $rows */
    private function write(string $table, array $rows): int
    {
        $own = self::OWN_KIND[$table] ?? null;
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            DB::table($table)->insert(
                array_map(
                    static fn(array $row): array => [
                        ...$row,
                        ...$own === null ? [] : [$own => null],
                        ...$table === 'users' ? ['password' => Hash::make(Str::random(40))] : [],
                    ],
                    $chunk,
                ),
            );
        }
        foreach ($own === null ? [] : $rows as $row) {
            if (($row[$own] ?? null) !== null) {
                DB::table($table)
                    ->where('id', $row['id'])
                    ->update([$own => $row[$own]]);
            }
        }

        return count($rows);
    }
}
