<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Models\Site;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ironwort\Core\Calc\BadInput;

/** The folder of backups: what is due is made, what the rule no longer keeps goes. */
final readonly class BackUp
{
    private const DUE_H = 24;

    /** Any number, the same in every process: two nodes never back up at once. */
    private const LOCK = 720_417;

    public function __construct(private WriteBook $book) {}

    public static function folder(): string
    {
        $folder = config('ironwort.backups');

        return is_string($folder) ? $folder : storage_path('backups');
    }

    /**
     * @param  ?string  $passphrase  null leaves it open
     * @return ?string the file; null where there is nothing in the book yet, or another node is at it
     *
     * @throws BadInput at `file`
     */
    public function make(bool $beforeUpgrade, ?string $passphrase): ?string
    {
        if (!Schema::hasTable('sites') || !Site::query()->exists()) {
            return null;
        }
        $locked = DB::selectOne('SELECT pg_try_advisory_lock(?) AS got', [self::LOCK]);
        if (!is_object($locked) || ($locked->got ?? false) !== true) {
            return null;
        }
        try {
            $folder = self::folder();
            if (!is_dir($folder) && !@mkdir($folder, 0700, true)) {
                throw BadInput::at('file', "{$folder} cannot be written.");
            }
            $name = 'ironwort-' . now()->format('Ymd-His') . ($beforeUpgrade ? '-before-upgrade' : '') . '.zip';
            $file = "{$folder}/{$name}";
            $this->book->write(Site::query()->orderBy('id')->get(), $file, secrets: true);
            if ($passphrase !== null) {
                Sealed::seal($file, "{$file}.sealed", $passphrase);
                unlink($file);
                $file .= '.sealed';
            }
            self::clearUp();

            return $file;
        } finally {
            DB::select('SELECT pg_advisory_unlock(?)', [self::LOCK]);
        }
    }

    /** Whether the newest is a day old, or there is none. */
    public static function due(): bool
    {
        $made = self::made();

        return $made === [] || max($made)->lt(Carbon::now()->subHours(self::DUE_H));
    }

    /** @return array<string, Carbon> when, by file */
    public static function made(): array
    {
        $made = [];
        foreach (glob(self::folder() . '/ironwort-*.zip*') ?: [] as $file) {
            if (preg_match('/ironwort-(\d{8}-\d{6})(-before-upgrade)?\.zip(\.sealed)?$/', $file, $found) === 1) {
                $made[$file] = Carbon::createFromFormat('Ymd-His', $found[1], 'UTC') ?? Carbon::now();
            }
        }

        return $made;
    }

    private static function clearUp(): void
    {
        $made = self::made();
        $upgrades = array_values(
            array_filter(array_keys($made), static fn(string $file): bool => str_contains($file, '-before-upgrade')),
        );
        foreach (KeepRule::spare($made, $upgrades, Carbon::now()) as $file) {
            unlink($file);
        }
    }
}
