<?php

declare(strict_types=1);

namespace App\Site;

use App\Models\Role;
use App\Models\Site;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Adds a person to a site, and makes the site when there is none of that name. */
final class PersonCommand extends Command
{
    protected $signature = 'ironwort:user {action : add, or password}
        {--site= : name of the site}
        {--name= : what the person is called}
        {--email= : address to sign in with}
        {--role=owner : owner, helper or reader}
        {--timezone=UTC : of a new site, as Europe/London}';

    protected $description = 'Add a person, and the site when there is none of that name yet';

    public function handle(): int
    {
        if ($this->argument('action') === 'password') {
            return $this->password();
        }
        $role = Role::tryFrom($this->text('role'));
        [$site, $name, $email, $timezone] = array_map($this->text(...), ['site', 'name', 'email', 'timezone']);
        $fault = match (true) {
            $this->argument('action') !== 'add' => 'It can add, or give a new password.',
            $site === '' || $name === '' => 'Give --site and --name.',
            filter_var($email, FILTER_VALIDATE_EMAIL) === false => 'Give --email, as name@example.org.',
            $role === null => 'The role is owner, helper or reader.',
            !in_array($timezone, timezone_identifiers_list(), true)
                => "There is no time zone {$timezone}; they are written as Europe/London.",
            User::query()
                ->whereRaw('lower(email) = lower(?)', [$email])
                ->exists()
                => "{$email} has a login already.",
            default => null,
        };
        if ($fault !== null) {
            $this->error($fault);

            return 2;
        }
        $password = $this->secret('Password, 10 characters or more');
        if (!is_string($password) || mb_strlen($password) < 10) {
            $this->error('The password needs 10 characters or more.');

            return 2;
        }
        DB::transaction(
            static fn() => User::query()->create([
                'site_id' => Site::query()->firstOrCreate(['name' => $site], ['timezone' => $timezone])->id,
                'name' => $name,
                'email' => $email,
                'role' => $role,
                'password' => $password,
            ]),
        );
        $this->line("{$name} can sign in as {$email}.");

        return self::SUCCESS;
    }

    private function password(): int
    {
        /** @var ?User $user */
        $user = User::query()
            ->whereRaw('lower(email) = lower(?)', [$this->text('email')])
            ->first();
        $password = $user === null ? null : $this->secret('New password, 10 characters or more');
        if ($user === null || !is_string($password) || mb_strlen($password) < 10) {
            $this->error(
                $user === null ? 'Nobody signs in with that --email.' : 'The password needs 10 characters or more.',
            );

            return 2;
        }
        $user->password = $password;
        $user->save();
        $this->line("{$user->name} has a new password.");

        return self::SUCCESS;
    }

    private function text(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) ? trim($value) : '';
    }
}
