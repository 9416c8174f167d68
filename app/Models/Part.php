<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What belongs to one system: vessels, stages, fish, feed.
 *
 * @property string $id
 * @property string $site_id
 * @property string $system_id
 * @property Carbon $updated_at
 * @property System $system
 */
abstract class Part extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** To the microsecond, so that two changes within one second are told apart. */
    protected $dateFormat = 'Y-m-d H:i:s.uP';

    /** @return BelongsTo<System, $this> */
    public function system(): BelongsTo
    {
        return $this->belongsTo(System::class);
    }

    /** Which state of the part somebody has seen; it changes with every save. */
    public function version(): string
    {
        return $this->updated_at->format('U.u');
    }
}
