<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What is fed a day, from one day on until the next figure.
 *
 * @property Carbon $since
 * @property float $feed_g_d
 * @property float $protein_pct
 * @property ?string $product
 * @property ?float $digestibility_pct
 * @property ?float $moisture_pct
 * @property float $uneaten_pct
 * @property ?float $carbon_g_d sugar or starch for microbes; null is none
 * @property float $fertiliser_g_week for the plants of the same water
 * @property ?float $fertiliser_n_pct nitrogen in that
 * @property bool $by_ration the ration table decides, by temperature and size
 * @property ?int $meals a day
 * @property int $days_a_week
 * @property ?User $user
 */
final class FeedFigure extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'since' => 'date',
            'feed_g_d' => 'float',
            'protein_pct' => 'float',
            'digestibility_pct' => 'float',
            'moisture_pct' => 'float',
            'uneaten_pct' => 'float',
            'carbon_g_d' => 'float',
            'fertiliser_g_week' => 'float',
            'fertiliser_n_pct' => 'float',
            'by_ration' => 'boolean',
            'meals' => 'integer',
            'days_a_week' => 'integer',
        ];
    }

    /** Nitrogen that reaches the water with plant fertiliser, g N/d: all of it counts as nitrate. */
    public function fertiliserGD(): float
    {
        return ($this->fertiliser_g_week * ($this->fertiliser_n_pct ?? 0.0)) / 700;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
