<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What belongs to one system: vessels, stages, fish, feed.
 *
 * @property string $id
 * @property string $site_id
 * @property string $system_id
 * @property System $system
 */
abstract class Part extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return BelongsTo<System, $this> */
    public function system(): BelongsTo
    {
        return $this->belongsTo(System::class);
    }
}
