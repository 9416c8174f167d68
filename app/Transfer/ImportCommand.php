<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Console\Command;
use Ironwort\Core\Calc\BadInput;

final class ImportCommand extends Command
{
    protected $signature = 'ironwort:import {file : the zip to read}';

    protected $description = 'Bring a whole book into an empty one, all of it or nothing';

    public function handle(WholeBook $book): int
    {
        $file = $this->argument('file');
        try {
            $counts = $book->import(is_string($file) ? $file : '');
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        }
        $this->line(
            array_sum($counts) .
                " rows, {$counts['systems']} systems, {$counts['readings']} readings. Give its people new passwords " .
                'with: ironwort ' .
                'user password --email=…',
        );

        return self::SUCCESS;
    }
}
