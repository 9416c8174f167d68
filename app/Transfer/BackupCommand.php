<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Support\Facades\Schema;
use Ironwort\Core\Calc\BadInput;

final class BackupCommand extends BookCommand
{
    protected $signature = 'ironwort:backup
        {--due : only where the newest is a day old}
        {--before-migration : only where the database is about to be changed}
        {--seal : under a passphrase, asked for or given in IRONWORT_BACKUP_PASSPHRASE}';

    protected $description = 'Back up the whole book, all sites, into the folder of backups';

    public function handle(BackUp $backUp): int
    {
        $beforeMigration = $this->option('before-migration') === true;
        if (
            ($this->option('due') === true && !BackUp::due()) ||
            ($beforeMigration && (!Schema::hasTable('migrations') || !$this->changes()))
        ) {
            return self::SUCCESS;
        }
        $kept = config('ironwort.passphrase');
        $passphrase = match (true) {
            $this->option('seal') === true => $this->passphrase() ?? '',
            is_string($kept) && $kept !== '' => $kept,
            default => null,
        };
        if ($passphrase === '') {
            $this->error('A passphrase is needed to seal it.');

            return 2;
        }
        try {
            $file = $backUp->make($beforeMigration, $passphrase);
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        }
        $this->line($file ?? 'There is nothing in the book yet.');

        return self::SUCCESS;
    }

    /** Whether there are migrations that did not run yet. */
    private function changes(): bool
    {
        $migrator = app('migrator');
        $ran = $migrator->getRepository()->getRan();

        return array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $ran) !== [];
    }
}
