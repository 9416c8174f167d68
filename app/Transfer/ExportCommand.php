<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Models\Site;
use Ironwort\Core\Calc\BadInput;

final class ExportCommand extends BookCommand
{
    protected $signature = 'ironwort:export {file : the zip to write}
        {--site= : name of the site, where there is more than one}';

    protected $description = 'Write the book of one site as a zip for other programs, without passwords';

    public function handle(WriteBook $book): int
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
        try {
            $counts = $book->write($sites->toBase(), $this->file(), secrets: false);
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        }
        $this->line($this->told($counts) . '.');

        return self::SUCCESS;
    }
}
