<?php

declare(strict_types=1);

namespace App\Operation;

use App\Models\Site;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** What bin/start says at the end: the demo logins, or the link by which an empty book gets its first owner. */
final class WelcomeCommand extends Command
{
    protected $signature = 'ironwort:welcome';

    protected $description = 'Print the demo logins, or the link for the first owner of an empty book';

    public function handle(): int
    {
        if (FirstOwner::wanted()) {
            $this->line('Nobody has a login yet. The first owner comes in by this link, once, within a day:');
            $this->line('  ' . FirstOwner::link());
        } elseif (Site::query()->where('is_demo', true)->exists() && Loopback::only()) {
            $this->line('Demo logins, told on this machine only:');
            foreach (DemoSeeder::logins() as $login) {
                $this->line(sprintf('  %-24s %s   (%s)', $login['email'], $login['password'], $login['who']));
            }
            $this->line('When you begin with your own:  bin/ironwort demo remove');
        }

        return self::SUCCESS;
    }
}
