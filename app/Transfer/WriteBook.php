<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Book\ReadingsCsv;
use App\Models\Site;
use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use ZipArchive;

/**
 * A whole book as one zip: each table as JSON Lines, photos as files, readings once more as CSV, and a manifest.
 *
 * All of it is one snapshot of the database, whatever is written meanwhile, and no table is ever in memory. The format
 * is described in docs/open-formats.md.
 */
final readonly class WriteBook
{
    public const FORMAT = 'ironwort-book';

    public const VERSION = 2;

    private const ROWS_AT_ONCE = 1000;

    /** A picture is a few hundred kilobytes. */
    private const PHOTOS_AT_ONCE = 8;

    public const TYPES = ['image/jpeg' => 'jpg', 'image/png' => 'png', 'image/webp' => 'webp'];

    public function __construct(private ReadingsCsv $csv) {}

    /**
     * @param  Collection<int, Site>  $sites
     * @param  bool  $secrets  whether people's hashed passwords go with it
     * @return array<string, int> rows by table
     *
     * @throws BadInput at `file`
     */
    public function write(Collection $sites, string $file, bool $secrets): array
    {
        $folder = dirname($file) . '/.' . basename($file) . '.' . Str::random(8);
        if (!is_dir(dirname($file)) || !is_writable(dirname($file)) || !mkdir($folder, 0700)) {
            throw BadInput::at('file', "{$file} cannot be written.");
        }
        try {
            $manifest = DB::transaction(function () use ($sites, $folder, $secrets): array {
                if (DB::transactionLevel() === 1) {
                    DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY');
                }

                return $this->snapshot($sites, $folder, $secrets);
            });
            self::pack($folder, $file, $manifest);

            return $manifest['rows'];
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /**
     * @param  Collection<int, Site>  $sites
     * @return array{rows: array<string, int>, ...}
     */
    private function snapshot(Collection $sites, string $folder, bool $secrets): array
    {
        $ids = array_values($sites->map(static fn(Site $site): string => $site->id)->all());
        foreach (['tables', 'photos', 'readings'] as $part) {
            mkdir("{$folder}/{$part}");
        }
        $rows = [];
        foreach (BookTables::present() as $table) {
            $out = self::open("{$folder}/tables/{$table}.jsonl");
            $rows[$table] = self::each(
                BookTables::query($table, $ids, $secrets),
                self::ROWS_AT_ONCE,
                static fn(object $row) => fwrite($out, ($row->row ?? '') . "\n"),
            );
            fclose($out);
        }
        self::photos($ids, "{$folder}/photos");
        $systems = System::query()->with('site')->whereIn('site_id', $ids)->orderBy('id')->get();
        foreach ($systems as $system) {
            $out = self::open("{$folder}/readings/{$system->slug}-{$system->id}.csv");
            $this->csv->write($system, Carbon::now()->subYears(100), Carbon::now()->addDay(), static function (
                string $line,
            ) use ($out): void {
                fwrite($out, $line);
            });
            fclose($out);
        }
        file_put_contents("{$folder}/schema.json", json_encode(BookTables::columns(), JSON_PRETTY_PRINT));

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'sites' => $sites->pluck('name')->all(),
            'written' => now()->toIso8601ZuluString(),
            'migration' => DB::table('migrations')->max('migration'),
            'passwords' => $secrets,
            'rows' => $rows,
        ];
    }

    /** @param  list<string>  $sites */
    private static function photos(array $sites, string $folder): void
    {
        $in = implode(', ', array_map(static fn(string $id): string => DB::getPdo()->quote($id), $sites));
        self::each(
            "SELECT id, type, picture FROM photos WHERE site_id IN ({$in}) ORDER BY id",
            self::PHOTOS_AT_ONCE,
            static fn(object $row) => file_put_contents(
                "{$folder}/{$row->id}." . self::TYPES[$row->type],
                base64_decode($row->picture, true),
            ),
        );
    }

    /**
     * Every row of a query in turn, so many at a time.
     *
     * @param  \Closure(object{row: string, id: string, type: string, picture: string}): mixed  $do
     * @return int how many
     */
    private static function each(string $query, int $atOnce, \Closure $do): int
    {
        DB::statement("DECLARE book NO SCROLL CURSOR FOR {$query}");
        $count = 0;
        do {
            /** @var list<object{row: string, id: string, type: string, picture: string}> $rows */
            $rows = DB::select("FETCH {$atOnce} FROM book");
            foreach ($rows as $row) {
                $do($row);
            }
            $count += count($rows);
        } while ($rows !== []);
        DB::statement('CLOSE book');

        return $count;
    }

    /** @param  array<string, mixed>  $manifest */
    private static function pack(string $folder, string $file, array $manifest): void
    {
        $zip = new ZipArchive();
        if ($zip->open("{$folder}/book.zip", ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw BadInput::at('file', "{$file} cannot be written.");
        }
        $sums = [];
        foreach (File::allFiles($folder) as $part) {
            $name = $part->getRelativePathname();
            $sums[$name] = hash_file('sha256', $part->getPathname());
            $zip->addFile($part->getPathname(), $name);
            // A photo is pressed already.
            if (str_starts_with($name, 'photos/')) {
                $zip->setCompressionName($name, ZipArchive::CM_STORE);
            }
        }
        ksort($sums);
        $zip->addFromString(
            'manifest.json',
            (string) json_encode(
                [...$manifest, 'sha256' => (object) $sums],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        );
        // Nobody ever finds half a file under the name that was asked for.
        if (!$zip->close() || !chmod("{$folder}/book.zip", 0600) || !rename("{$folder}/book.zip", $file)) {
            throw BadInput::at('file', "{$file} cannot be written.");
        }
    }

    /** @return resource */
    private static function open(string $file)
    {
        $out = fopen($file, 'w');

        return $out === false ? throw BadInput::at('file', "{$file} cannot be written.") : $out;
    }
}
