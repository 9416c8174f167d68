<?php

declare(strict_types=1);

namespace App\Operation;

use App\Models\Role;
use App\Models\Site;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** How a book without people gets its first owner: by a link that bin/start prints, which works once and for a day. */
final readonly class FirstOwner
{
    private const HOURS = 24;

    /** Only while nobody has a login. */
    public static function wanted(): bool
    {
        return !User::query()->exists();
    }

    /** A new link; those before it are void. */
    public static function link(): string
    {
        $key = bin2hex(random_bytes(24));
        DB::transaction(static function () use ($key): void {
            DB::table('first_owner_links')->delete();
            DB::table('first_owner_links')->insert([
                'hash' => hash('sha256', $key),
                'expires_at' => Carbon::now()->addHours(self::HOURS),
            ]);
        });
        $url = config('app.url');

        return (is_string($url) ? rtrim($url, '/') : '') . "/first-owner?key={$key}";
    }

    public static function open(string $key): bool
    {
        return self::wanted() &&
            DB::table('first_owner_links')
                ->where('hash', hash('sha256', $key))
                ->where('expires_at', '>', Carbon::now())
                ->exists();
    }

    /** @throws BadInput at `key` */
    public static function make(FirstOwnerRequest $request): User
    {
        return DB::transaction(static function () use ($request): User {
            // Two who hold the same link come one after the other, and the second finds it used.
            DB::statement('LOCK TABLE first_owner_links IN EXCLUSIVE MODE');
            if (!self::open($request->key())) {
                throw BadInput::at(
                    'key',
                    'This link was used, or is more than a day old. Start Ironwort again for a new one.',
                );
            }
            $site = Site::query()->create([
                'name' => $request->text('site'),
                'timezone' => $request->text('timezone'),
            ]);
            $owner = User::query()->create([
                'site_id' => $site->id,
                'name' => $request->text('name'),
                'email' => $request->text('email'),
                'role' => Role::Owner,
                'password' => $request->string('password')->toString(),
            ]);
            DB::table('first_owner_links')->delete();

            return $owner;
        });
    }
}
