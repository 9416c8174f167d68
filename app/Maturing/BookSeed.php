<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Capacity\CapacityReport;
use App\Models\Seed;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use App\Volumes\VolumeReport;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\SeedKind;
use Ironwort\Core\Filter\StageKinds;

/**
 * Books a seed: what it brings goes to the one filter, and what was moved is gone from the other.
 *
 * Stands in a transaction that holds the site, for it writes to two systems.
 */
final readonly class BookSeed
{
    public function __construct(
        private Registry $registry,
        private CapacityReport $capacity,
        private VolumeReport $volumes,
        private StageKinds $kinds,
        private MediaTable $media,
    ) {}

    /** @throws BadInput at the field */
    public function book(string $id, System $system, User $user, PlannedSeed $seed): void
    {
        if (Seed::query()->whereKey($id)->exists()) {
            return;
        }
        $own = [
            'id' => $id,
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $user->id,
            'happened_on' => $seed->on,
            'kind' => $seed->kind->value,
            'litres' => $seed->kind->isMedia() ? $seed->litres : null,
            'donor' => $seed->donor,
        ];
        if ($seed->kind !== SeedKind::OwnMedia) {
            $gain = $this->gain(
                $seed->kind->isMedia()
                    ? array_filter(
                        ['litres' => $seed->litres, 'medium' => $seed->medium],
                        static fn(mixed $value): bool => $value !== null,
                    )
                    : ['volume_l' => max(1.0, $this->volumes->inUse($system)->value)],
                $seed->kind,
            );
            Seed::query()->create([...$own, ...$gain, 'medium' => $seed->kind->isMedia() ? $seed->medium : null]);

            return;
        }
        $from = $this->donor($system, $seed);
        $stage = $this->stage($from, $seed);
        $litres = $seed->litres ?? throw BadInput::at('litres', 'Enter the litres of media.');
        if ($litres > $stage->media_l + 1e-9) {
            throw BadInput::at('litres', "{$stage->name} holds only {$stage->media_l} L.");
        }
        $lives = $this->capacity->of($from, LatestWater::of($from))->living;
        $gain = $this->gain(
            [
                'litres' => $litres,
                ...$stage->medium === null ? ['area_m2_m3' => $stage->area_m2_m3 ?? 0.0] : ['medium' => $stage->medium],
                'stage_kind' => $stage->kind,
                'grown_pct' => $lives->pct ?? 0.0,
                'grown_low_pct' => $lives->lowPct ?? 0.0,
                'grown_high_pct' => $lives->highPct ?? 0.0,
            ],
            $seed->kind,
        );
        Seed::query()->create([
            ...$own,
            ...$gain,
            'medium' => $stage->medium,
            'from_system_id' => $from->id,
            'from_stage_id' => $stage->id,
            'made_up' => $seed->madeUp,
            'setback_id' => $this->lost($from, $stage, $litres, $seed, $user),
        ]);
    }

    /** It was not done after all: the donor has it back. */
    public function undo(Seed $seed): void
    {
        if ($seed->setback_id !== null) {
            Setback::query()->whereKey($seed->setback_id)->delete();
        } elseif ($seed->from_stage_id !== null && $seed->litres !== null) {
            Stage::query()->whereKey($seed->from_stage_id)->increment('media_l', $seed->litres);
        }
        $seed->delete();
    }

    /**
     * What the donor loses: with new medium in its place bacteria, else medium and bacteria alike.
     *
     * @return ?string key of what befell it
     */
    private function lost(System $from, Stage $stage, float $litres, PlannedSeed $seed, User $user): ?string
    {
        if (!$seed->madeUp) {
            $stage->media_l -= $litres;
            $stage->save();

            return null;
        }
        $grown = fn(Stage $one): float => $this->kinds->get($one->kind)->r20 * $one->media_l * $this->area($one);
        $all = $from->stages->sum($grown);
        $share = $all > 0 ? ($grown($stage) * $litres) / $stage->media_l / $all : 0.0;
        $costs = Deed::Moved->costs(share: $share);
        $id = strtoupper((string) Str::ulid());
        Setback::query()->create([
            'id' => $id,
            'site_id' => $from->site_id,
            'system_id' => $from->id,
            'user_id' => $user->id,
            'happened_on' => $seed->on,
            'kind' => Deed::Moved->value,
            'share_pct' => 100 * $share,
            'lost_pct' => $costs['lost'],
            'low_pct' => $costs['low'],
            'high_pct' => $costs['high'],
        ]);

        return $id;
    }

    private function area(Stage $stage): float
    {
        return $stage->medium === null ? $stage->area_m2_m3 ?? 0.0 : $this->media->get($stage->medium)->areaM2M3;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array{gain_g_d: float, low_g_d: float, high_g_d: float}
     */
    private function gain(array $given, SeedKind $kind): array
    {
        $result = $this->registry->run('filter.seed', ['kind' => $kind->value, ...$given]);

        return [
            'gain_g_d' => $result->number('gain_g_d'),
            'low_g_d' => $result->number('low_g_d'),
            'high_g_d' => $result->number('high_g_d'),
        ];
    }

    private function donor(System $system, PlannedSeed $seed): System
    {
        $said = mb_strtolower(trim((string) $seed->from));
        $from = System::query()
            ->where('site_id', $system->site_id)
            ->where(static fn($query) => $query->where('slug', $said)->orWhereRaw('lower(name) = ?', [$said]))
            ->first();

        return match (true) {
            $from === null => throw BadInput::at('from', 'Choose the donor system.'),
            $from->id === $system->id => throw BadInput::at('from', 'The donor is this system. Choose another.'),
            default => $from->hold()->unsetRelations(),
        };
    }

    private function stage(System $from, PlannedSeed $seed): Stage
    {
        $stages = $from->stages->filter(
            fn(Stage $stage): bool => $this->kinds->get($stage->kind)->matures($stage->media_l),
        );
        $stage =
            $seed->fromStage === null
                ? $stages
                    ->sortByDesc(fn(Stage $stage): float => $this->kinds->get($stage->kind)->r20 * $this->area($stage))
                    ->first()
                : $stages->firstWhere('id', $seed->fromStage);

        return $stage ?? throw BadInput::at('from_stage', "{$from->name} has no stage with media to move.");
    }
}
