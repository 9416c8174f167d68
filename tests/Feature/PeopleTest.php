<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Site;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class PeopleTest extends TestCase
{
    /** @param  array<string, string>  $wrong */
    #[TestWith([['--email' => 'nobody'], 'Give --email'])]
    #[TestWith([['--role' => 'king'], 'The role is owner, helper or reader.'])]
    #[TestWith([['--timezone' => 'Mars/Olympus'], 'There is no time zone Mars/Olympus'])]
    #[TestWith([['--email' => 'OWNER@yard.example'], 'has a login already'])]
    #[TestWith([['--name' => ' '], 'Give --site and --name.'])]
    public function test_a_person_who_cannot_be_added_is_refused_with_the_reason(array $wrong, string $reason): void
    {
        $code = Artisan::call('ironwort:user', [
            'action' => 'add',
            '--site' => 'Yard',
            '--name' => 'Ada',
            '--email' => 'ada@yard.example',
            ...$wrong,
            '--no-interaction' => true,
        ]);
        self::assertSame(2, $code);
        self::assertStringContainsString($reason, Artisan::output());
        self::assertSame([1, 1], [User::query()->count(), Site::query()->count()]);
    }

    public function test_a_password_is_asked_for_and_none_is_no_password(): void
    {
        $code = Artisan::call('ironwort:user', [
            'action' => 'add',
            '--site' => 'Yard',
            '--name' => 'Ada',
            '--email' => 'ada@yard.example',
            '--no-interaction' => true,
        ]);
        self::assertSame(2, $code);
        self::assertStringContainsString('10 characters or more', Artisan::output());
    }
}
