<?php

declare(strict_types=1);

namespace App\Water;

use App\Models\Site;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** A source water goes, unless a system is filled from it or the book rests on it. */
final readonly class RemoveSourceWater
{
    /** @throws BadInput at `id` where it is in use */
    public function remove(string $id, Site $site): void
    {
        DB::transaction(function () use ($id, $site): void {
            $water = WaterSource::query()
                ->where('site_id', $site->id)
                ->whereKey(strtoupper($id))
                ->lockForUpdate()
                ->first();
            if ($water === null) {
                return;
            }
            $filled = System::query()->where('water_id', $water->id)->orderBy('name')->pluck('name');
            if ($filled->isNotEmpty()) {
                throw BadInput::at(
                    'id',
                    $filled->implode(', ') . ' filled from it. Choose another source water there first.',
                );
            }
            if (
                WaterChange::query()->where('water_id', $water->id)->exists() ||
                Trickle::query()->where('water_id', $water->id)->exists()
            ) {
                throw BadInput::at('id', 'Changes or trickles in the book used it, so it stays.');
            }
            $water->delete();
        });
    }
}
