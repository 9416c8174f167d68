<?php

declare(strict_types=1);

namespace App\Service;

use App\Capacity\BookFlush;
use App\Models\Flush;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Models\User;
use App\Models\WaterChange;
use App\Water\BookLostWater;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Service\Job;

/**
 * What follows from a job that is done, booked by itself: the stage is clean, the filter lost so much, so much water
 * left. Stands in a transaction of its system.
 */
final readonly class EndService
{
    public function __construct(
        private RunService $runs,
        private BookFlush $flushes,
        private BookLostWater $water,
        private StageKinds $kinds,
        private MediaTable $media,
    ) {}

    /** @throws BadInput at `end` while flow was not seen, or something is still off */
    public function end(Service $run, System $system, User $user, ?Job $job, ClosingNotes $notes): void
    {
        if (!$run->open()) {
            return;
        }
        $open = $this->runs->open($run, $system);
        if ($open !== []) {
            throw BadInput::at('end', implode(' ', array_column($open, 'text')), array_column($open, 'code'));
        }
        $this->close($run, $system, $user, $job, Carbon::now(), $notes);
    }

    /** Booked as done at a time: a fact, whatever was or was not seen here. */
    public function close(Service $run, System $system, User $user, ?Job $job, Carbon $at, ClosingNotes $notes): void
    {
        $stage = $run->part_kind === 'stage' ? $system->stages->firstWhere('id', $run->part_id) : null;
        $run->fill([
            'ended_at' => $at,
            'ended_by' => $user->id,
            'water_l' => $notes->waterL ?? $run->water_l,
            'cost' => $notes->cost,
            'note' => $notes->note,
        ]);
        if ($stage instanceof Stage && $job !== null) {
            $run->was = [
                'sleeve_wiped_on' => $stage->sleeve_wiped_on?->toDateString(),
                'lamp_fitted_on' => $stage->lamp_fitted_on?->toDateString(),
            ];
            $this->stage($run, $system, $user, $stage, $job, $at);
        }
        $litres = (float) $run->water_l;
        if ($litres >= self::LEAST_L) {
            $run->change_id = $this->water->book($system, $user, $litres, $at)->id;
        }
        $run->save();
    }

    /** Less than this is not a change of water. */
    private const LEAST_L = 1.0;

    private function stage(Service $run, System $system, User $user, Stage $stage, Job $job, Carbon $at): void
    {
        $day = $at->copy()->setTimezone($system->site->timezone)->toDateString();
        if ($job->id === 'wipe_sleeve') {
            $stage->update(['sleeve_wiped_on' => $day]);
        }
        if ($job->id === 'change_lamp') {
            $stage->update(['lamp_fitted_on' => $day, 'sleeve_wiped_on' => $day]);
        }
        if ($job->cleans) {
            $newest = Flush::latest($stage->id);
            // One booked for later than this stands: it knows more.
            if ($newest === null || $at->gte($newest->happened_at)) {
                $id = strtoupper((string) Str::ulid());
                $this->flushes->book($id, $system, $user, $stage, $at, null);
                $run->flush_id = $id;
            }
        }
        $deed = $job->deed($run->rinse);
        $share = $job->share() * $this->shareOf($system, $stage);
        if ($deed !== null && $share > 0) {
            $costs = $deed->costs(0.0, $share);
            $run->setback_id = Setback::query()->create([
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'happened_on' => $day,
                'kind' => $deed,
                'share_pct' => 100 * $share,
                'lost_pct' => $costs['lost'],
                'low_pct' => $costs['low'],
                'high_pct' => $costs['high'],
            ])->id;
        }
    }

    /** A stage's share of the bacteria of its filter, by what its media could take grown, 0 to 1. */
    public function shareOf(System $system, Stage $stage): float
    {
        $grown = function (Stage $one): float {
            $perM3 = $one->area_m2_m3 ?? ($one->medium === null ? 0.0 : $this->media->get($one->medium)->areaM2M3);

            return $one->bypassed ? 0.0 : $this->kinds->get($one->kind)->grownMgD(($perM3 * $one->media_l) / 1000);
        };
        $all = $system->stages->sum($grown);

        return $all > 0 ? $grown($stage) / $all : 0.0;
    }

    /** Takes a run back, with all that followed from it. */
    public function undo(Service $run, System $system): void
    {
        $stage = $run->part_kind === 'stage' ? $system->stages->firstWhere('id', $run->part_id) : null;
        $flush = $run->flush_id === null ? null : Flush::query()->find($run->flush_id);
        if ($flush !== null && $flush->withdrawn_at === null) {
            $this->flushes->undo($flush, $system);
        }
        if ($run->setback_id !== null) {
            Setback::query()->whereKey($run->setback_id)->delete();
        }
        if ($run->change_id !== null) {
            WaterChange::query()
                ->whereKey($run->change_id)
                ->update(['withdrawn_at' => Carbon::now()]);
        }
        if ($stage instanceof Stage && in_array($run->job, ['wipe_sleeve', 'change_lamp'], true)) {
            $stage->update(
                array_intersect_key(
                    $run->was,
                    $run->job === 'wipe_sleeve'
                        ? ['sleeve_wiped_on' => 0]
                        : ['sleeve_wiped_on' => 0, 'lamp_fitted_on' => 0],
                ),
            );
        }
        $run->update(['withdrawn_at' => Carbon::now()]);
    }
}
