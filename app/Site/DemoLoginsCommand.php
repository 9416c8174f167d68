<?php

declare(strict_types=1);

namespace App\Site;

use App\Models\Site;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** Prints the demo logins, when the demo is what the book holds. */
final class DemoLoginsCommand extends Command
{
    protected $signature = 'ironwort:logins';

    protected $description = 'Print the demo logins when the demo is loaded';

    public function handle(): int
    {
        if (Site::query()->where('is_demo', true)->exists()) {
            $this->line('Demo logins:');
            foreach (DemoSeeder::logins() as $login) {
                $this->line(sprintf('  %-24s %s   (%s)', $login['email'], $login['password'], $login['who']));
            }
        }

        return self::SUCCESS;
    }
}
