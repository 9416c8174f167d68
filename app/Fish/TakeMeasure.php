<?php

declare(strict_types=1);

namespace App\Fish;

use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\SingleFish;
use App\Models\SingleMeasure;
use App\Models\User;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Fish\Size;

/** Fish were measured: of a group it is how they stand from now on, unless a later one is there. */
final readonly class TakeMeasure
{
    /**
     * @param  array{length_cm: ?float, weight_g: ?float, measured_on: string}  $measure
     *
     * @throws BadInput where the two cannot be of one fish
     */
    public function ofGroup(string $id, FishGroup $group, array $measure, User $person): void
    {
        $size = Size::of($measure['length_cm'], $measure['weight_g'], $group->condition);
        FishMeasure::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [...$measure, 'site_id' => $group->site_id, 'fish_group_id' => $group->id, 'user_id' => $person->id],
        );
        $later = FishMeasure::query()
            ->where('fish_group_id', $group->id)
            ->where('measured_on', '>', $measure['measured_on'])
            ->exists();
        if (!$later) {
            $group
                ->fill([
                    'length_cm' => $size->lengthCm,
                    'weight_g' => $size->weightG,
                    'condition' => $size->condition,
                ])
                ->save();
        }
    }

    /**
     * @param  array{length_cm: ?float, weight_g: ?float, measured_on: string}  $measure
     *
     * @throws BadInput where the two cannot be of one fish
     */
    public function ofSingle(string $id, SingleFish $fish, array $measure, User $person): void
    {
        Size::of($measure['length_cm'], $measure['weight_g']);
        SingleMeasure::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [...$measure, 'site_id' => $fish->site_id, 'single_fish_id' => $fish->id, 'user_id' => $person->id],
        );
    }
}
