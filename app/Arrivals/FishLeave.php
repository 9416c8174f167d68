<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\SingleFish;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Fish\Condition;

/** Takes fish out of a group: into another system, sold, or dead. Written once, under a key made by whoever writes. */
final readonly class FishLeave
{
    /**
     * @param  array{count: int, happened_on: string, reason: ?string}  $leaving
     *
     * @throws BadInput
     */
    public function leave(
        string $id,
        FishGroup $group,
        string $kind,
        array $leaving,
        User $user,
        ?System $to = null,
        ?SingleFish $single = null,
    ): void {
        if ($to !== null && $to->id === $group->system_id) {
            throw BadInput::at('to', 'They are there already.');
        }
        DB::transaction(static function () use ($id, $group, $kind, $leaving, $user, $to, $single): void {
            /** @var FishGroup $group */
            $group = FishGroup::query()->whereKey($group->id)->lockForUpdate()->firstOrFail();
            if (FishEvent::query()->whereKey($id)->exists()) {
                return;
            }
            if ($leaving['count'] > $group->count) {
                throw BadInput::at('count', "There are only {$group->count} by now.");
            }
            FishEvent::query()->create([
                ...$leaving,
                'id' => $id,
                'site_id' => $group->site_id,
                'kind' => $kind,
                'from_system_id' => $group->system_id,
                'to_system_id' => $to?->id,
                'group_name' => $group->name,
                'mean_weight_g' => Condition::weight($group->length_cm, $group->condition),
                'user_id' => $user->id,
                'single_fish_id' => $single?->id,
                'bag_id' => $group->bag_id,
            ]);
            $group->count -= $leaving['count'];
            $group->save();
            if ($to === null) {
                $single?->update([
                    'gone' => $kind === 'lost' ? 'died' : 'sold',
                    'gone_on' => $leaving['happened_on'],
                    'gone_why' => $leaving['reason'],
                ]);

                return;
            }
            $to = $to->hold();
            // Fish of the same group that went before are met again; others of the name stay their own.
            $there = FishGroup::query()
                ->where('system_id', $to->id)
                ->where('name', $group->name)
                ->where('bag_id', $group->bag_id)
                ->where('count', '>', 0)
                ->lockForUpdate()
                ->first();
            if ($there !== null && abs($there->length_cm - $group->length_cm) < 0.05 * $group->length_cm) {
                $there->count += $leaving['count'];
                $there->save();
                $single?->update(['system_id' => $to->id, 'fish_group_id' => $there->id]);

                return;
            }
            $position = FishGroup::query()->where('system_id', $to->id)->max('position');
            $fresh = FishGroup::query()->create([
                'site_id' => $group->site_id,
                'system_id' => $to->id,
                'name' => $group->name,
                'count' => $leaving['count'],
                'length_cm' => $group->length_cm,
                'condition' => $group->condition,
                'weight_g' => $group->weight_g,
                'arrived_on' => $leaving['happened_on'],
                'bag_id' => $group->bag_id,
                'position' => (is_numeric($position) ? (int) $position : 0) + 1,
            ]);
            $single?->update(['system_id' => $to->id, 'fish_group_id' => $fresh->id]);
        });
    }
}
