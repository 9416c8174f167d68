<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;

final class RestoreCommand extends BookCommand
{
    protected $signature = 'ironwort:restore {file : a backup or an export}
        {--beside : as further sites, beside what is in the book}';

    protected $aliases = ['ironwort:import'];

    protected $description = 'Bring a backup or an export back, all of it or nothing';

    public function handle(ReadBook $book): int
    {
        $file = $this->file();
        $opened = null;
        try {
            if (Sealed::is($file)) {
                $passphrase = $this->passphrase() ?? throw BadInput::at('file', 'It is sealed: give its passphrase.');
                $opened = sys_get_temp_dir() . '/ironwort-' . Str::random(16) . '.zip';
                Sealed::open($file, $opened, $passphrase);
            }
            $counts = $book->read($opened ?? $file, $this->option('beside') === true);
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        } finally {
            if ($opened !== null && is_file($opened)) {
                unlink($opened);
            }
        }
        $this->line(
            $this->told($counts) . '. An export holds no passwords: whoever came by one is given a new one with',
        );
        $this->line('  bin/ironwort user password --email=…');

        return self::SUCCESS;
    }
}
