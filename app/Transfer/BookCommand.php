<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Console\Command;

/** What the commands of whole books share: a file named from where the line was typed, a passphrase. */
abstract class BookCommand extends Command
{
    protected function file(): string
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '';
        $from = getenv('IRONWORT_CWD');

        return $file === '' || $file[0] === '/' || $from === false ? $file : "{$from}/{$file}";
    }

    /** Of the environment, or asked for where somebody is there to be asked. */
    protected function passphrase(): ?string
    {
        $kept = config('ironwort.passphrase');
        $said = is_string($kept) && $kept !== '' ? $kept : null;
        if ($said === null && $this->input->isInteractive()) {
            $typed = $this->secret('Passphrase');
            $said = is_string($typed) && $typed !== '' ? $typed : null;
        }

        return $said;
    }

    /** @param  array<string, int>  $counts  rows by table */
    protected function told(array $counts): string
    {
        return array_sum($counts) .
            " rows, {$counts['sites']} site" .
            ($counts['sites'] === 1 ? '' : 's') .
            ", {$counts['systems']} systems, {$counts['readings']} readings";
    }
}
