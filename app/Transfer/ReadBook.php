<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Models\Site;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use ZipArchive;

/** Brings a written book back, into an empty one or beside what is there as further sites: all of it or nothing. */
final readonly class ReadBook
{
    private const ROWS_AT_ONCE = 500;

    /** Tables whose rows are not written just as they were. */
    private const TOUCHED = ['sites', 'users', 'photos'];

    /**
     * @param  bool  $beside  whether it comes in under new keys, beside the sites that are there
     * @return array<string, int> rows by table
     *
     * @throws BadInput at `file`
     */
    public function read(string $file, bool $beside): array
    {
        $zip = new ZipArchive();
        if (!is_file($file) || $zip->open($file, ZipArchive::RDONLY) !== true) {
            throw BadInput::at('file', "{$file} is no zip that can be read.");
        }
        try {
            $manifest = self::manifest($zip);
            self::verify($zip, $manifest['sha256']);

            return DB::transaction(static function () use ($zip, $manifest, $beside): array {
                // Two that are brought in at the same instant come one after the other.
                DB::statement('LOCK TABLE sites IN EXCLUSIVE MODE');
                if (!$beside && Site::query()->exists()) {
                    throw BadInput::at(
                        'file',
                        'This book is not empty. Bring it in beside what is there with --beside, or into an empty ' .
                            'database.',
                    );
                }
                $keys = $beside ? NewKeys::random() : null;
                $counts = [];
                foreach (BookTables::ALL as $table) {
                    if (!isset($manifest['rows'][$table]) && $zip->locateName("tables/{$table}.jsonl") === false) {
                        // It is younger than the book.
                        continue;
                    }
                    $counts[$table] = self::table($zip, $table, $keys);
                    if ($counts[$table] !== ($manifest['rows'][$table] ?? 0)) {
                        throw BadInput::at('file', "tables/{$table}.jsonl has not the rows the manifest tells of.");
                    }
                }

                return $counts;
            });
        } finally {
            $zip->close();
        }
    }

    /** @return array{rows: array<string, int>, sha256: array<string, string>} */
    private static function manifest(ZipArchive $zip): array
    {
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        if (!is_array($manifest) || ($manifest['format'] ?? null) !== WriteBook::FORMAT) {
            throw BadInput::at('file', 'There is no book of this kind in it.');
        }
        if (($manifest['version'] ?? null) !== WriteBook::VERSION) {
            throw BadInput::at('file', 'This book was written in another version of the format.');
        }
        $migration = $manifest['migration'] ?? '';
        if (!is_string($migration) || strcmp($migration, self::newest()) > 0) {
            throw BadInput::at('file', 'A newer Ironwort wrote this book. Upgrade this one first.');
        }
        $rows = $manifest['rows'] ?? null;
        $sums = $manifest['sha256'] ?? null;
        if (!is_array($rows) || !is_array($sums)) {
            throw BadInput::at('file', 'Its manifest is broken.');
        }
        /** @var array{rows: array<string, int>, sha256: array<string, string>} $manifest */
        return $manifest;
    }

    /** @param  array<string, string>  $sums */
    private static function verify(ZipArchive $zip, array $sums): void
    {
        foreach ($sums as $name => $sum) {
            $stream = $zip->getStream($name);
            $hash = hash_init('sha256');
            if ($stream !== false) {
                hash_update_stream($hash, $stream);
                fclose($stream);
            }
            if ($stream === false || !hash_equals($sum, hash_final($hash))) {
                throw BadInput::at('file', "{$name} in it is damaged. Nothing was brought in.");
            }
        }
    }

    private static function table(ZipArchive $zip, string $table, ?NewKeys $keys): int
    {
        $stream = $zip->getStream("tables/{$table}.jsonl");
        if ($stream === false) {
            throw BadInput::at('file', "tables/{$table}.jsonl is missing. Nothing was brought in.");
        }
        $schema = json_decode((string) $zip->getFromName('schema.json'), true);
        $theirs = is_array($schema) && is_array($schema[$table] ?? null) ? $schema[$table] : [];
        $columns = array_keys(array_intersect_key(BookTables::columns()[$table], $theirs));
        $own = BookTables::OWN_KIND[$table] ?? null;
        $count = 0;
        $rows = [];
        $later = [];
        while (($line = fgets($stream)) !== false) {
            $json = $keys === null ? $line : $keys->line($line);
            if ($own !== null || in_array($table, self::TOUCHED, true)) {
                /** @var \stdClass $row */
                $row = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
                match ($table) {
                    'sites' => self::site($row, $keys !== null),
                    'users' => self::person($row),
                    // The file is named by the key it had.
                    'photos' => ($row->picture = base64_encode(self::photo($zip, $line))),
                    default => null,
                };
                if ($own !== null && ($row->{$own} ?? null) !== null) {
                    $later[self::text($row->id)] = $row->{$own};
                    $row->{$own} = null;
                }
                $json = json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
            }
            $rows[] = $json;
            $count++;
            if (count($rows) >= ($table === 'photos' ? 5 : self::ROWS_AT_ONCE)) {
                self::insert($table, $columns, $rows);
                $rows = [];
            }
        }
        fclose($stream);
        self::insert($table, $columns, $rows);
        foreach ($later as $id => $other) {
            DB::table($table)
                ->where('id', $id)
                ->update([$own => $other]);
        }

        return $count;
    }

    /**
     * @param  list<string>  $columns  all that this book and the other have
     * @param  list<string>  $rows  of JSON
     */
    private static function insert(string $table, array $columns, array $rows): void
    {
        if ($rows === []) {
            return;
        }
        $list = implode(', ', array_map(static fn(string $name): string => "\"{$name}\"", $columns));
        DB::insert(
            "INSERT INTO {$table} ({$list}) SELECT {$list} FROM jsonb_populate_recordset(null::{$table}, ?::jsonb)",
            ['[' . implode(',', $rows) . ']'],
        );
    }

    private static function photo(ZipArchive $zip, string $line): string
    {
        /** @var object{id: string, type: string} $row */
        $row = json_decode($line, false, 512, JSON_THROW_ON_ERROR);

        return (string) $zip->getFromName("photos/{$row->id}." . (WriteBook::TYPES[$row->type] ?? ''));
    }

    private static function site(\stdClass $row, bool $beside): void
    {
        // Told apart by its name from the one it was taken from.
        if ($beside) {
            $row->name = Str::limit(self::text($row->name), 45, '') . ', restored ' . now()->format('j M Y H:i:s');
        }
    }

    /** Whoever has a login here already signs in to the copy by another address. */
    private static function person(\stdClass $row): void
    {
        $email = $was = self::text($row->email);
        $taken = static fn(string $address): bool => DB::table('users')
            ->whereRaw('lower(email) = lower(?)', [$address])
            ->exists();
        for ($i = 1; $taken($email); $i++) {
            $email = 'restored' . ($i > 1 ? $i : '') . '+' . $was;
        }
        $row->email = $email;
        $row->password ??= Hash::make(Str::random(40));
        $row->remember_token = null;
        // The address of a calendar leads to one person: to whoever has it already.
        $key = $row->calendar_key ?? null;
        $row->calendar_key = DB::table('users')->where('calendar_key', $key)->exists() ? null : $key;
    }

    private static function newest(): string
    {
        return self::text(DB::table('migrations')->max('migration'));
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}
