<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Models\Site;
use Illuminate\Console\Command;
use Ironwort\Core\Calc\BadInput;

final class ExportCommand extends Command
{
    protected $signature =
        'ironwort:export {file : the zip to write} {--site= : name of the ' . 'site, where there is more than one}';

    protected $description = 'Write a whole book as one zip of JSON and CSV with a manifest';

    public function handle(WholeBook $book): int
    {
        $name = $this->option('site');
        $sites = Site::query()
            ->when(is_string($name) && $name !== '', static fn($query) => $query->where('name', $name))
            ->get();
        if ($sites->count() !== 1) {
            $this->error(
                $sites->isEmpty() ? 'There is no such site.' : 'There is more than one site: say which with --site.',
            );

            return 2;
        }
        $file = $this->argument('file');
        try {
            $counts = $book->export($sites->firstOrFail(), is_string($file) ? $file : '');
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        }
        $this->line(array_sum($counts) . " rows, {$counts['systems']} systems, {$counts['readings']} readings.");

        return self::SUCCESS;
    }
}
