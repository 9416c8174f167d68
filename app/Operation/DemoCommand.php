<?php

declare(strict_types=1);

namespace App\Operation;

use App\Models\Site;
use App\Transfer\RemoveSite;
use Illuminate\Console\Command;

/** Takes the demo out of the book, with all in it and its logins. */
final class DemoCommand extends Command
{
    protected $signature = 'ironwort:demo {action : remove}';

    protected $description = 'Remove the invented demo';

    public function handle(RemoveSite $remove): int
    {
        if ($this->argument('action') !== 'remove') {
            $this->error('It can be removed: bin/ironwort demo remove');

            return 2;
        }
        $demo = Site::query()->where('is_demo', true)->get();
        if ($demo->isEmpty()) {
            $this->line('The demo is not in this book.');

            return self::SUCCESS;
        }
        $rows = $demo->sum(static fn(Site $site): int => $remove->remove($site));
        $this->line("The demo is gone, {$rows} rows of it, with its logins. Your own sites are as they were.");
        if (FirstOwner::wanted()) {
            $this->line('The first owner comes in by this link, once, within a day:');
            $this->line('  ' . FirstOwner::link());
        }

        return self::SUCCESS;
    }
}
