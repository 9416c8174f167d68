<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Measure\UnitChoice;

/**
 * A person who signs in.
 *
 * @property string $id
 * @property string $site_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property ?array<string, string> $units that it reads in; null where nothing was chosen
 * @property ?string $calendar_key of the address of its calendar feed, as a hash
 * @property Site $site
 */
final class User extends Authenticatable
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected static function booted(): void
    {
        // Whoever had the old password is out, wherever they came in.
        self::updated(static function (self $person): void {
            if ($person->wasChanged('password')) {
                DB::table('sessions')->where('user_id', $person->id)->delete();
            }
        });
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'units' => 'array'];
    }

    public function unitChoice(): UnitChoice
    {
        return UnitChoice::from($this->units ?? []);
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }
}
