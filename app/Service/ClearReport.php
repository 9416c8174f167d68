<?php

declare(strict_types=1);

namespace App\Service;

use App\Fish\FeedPlan;
use App\Models\Reading;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\CalendarSeason;
use Ironwort\Core\Service\ClearWay;
use Ironwort\Core\Service\ClearWays;
use Ironwort\Core\Service\LampWeek;
use Ironwort\Core\Words\Message;

/** Ways to clear the water of a system beside one another, and what a lamp that was lit did to how far one sees. */
final readonly class ClearReport
{
    public function __construct(private LoopSums $systems, private VolumeReport $volumes, private FeedPlan $feeds) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $plan = $system->feed();
        $nitrate = $water->get(Parameter::Nitrate)?->value;
        $lamps = $system->stages->filter(static fn(Stage $one): bool => $one->kind === 'uv');
        $ways = new ClearWays(
            surfaceM2: $this->systems->surface($system),
            volumeL: $this->volumes->inUse($system)->value,
            tempC: $temp,
            nitrateMgL: $nitrate ?? 0.0,
            season: CalendarSeason::ofMonth(Carbon::now($system->site->timezone)->month)->value,
            biomassKg: $this->systems->biomass($system)->value,
            feedGD: $plan === null ? 0.0 : $this->feeds->perDay($system, $plan, $temp),
            protein: $this->feeds->protein($plan) / 100,
            lampW: (float) $lamps->sum(
                static fn(Stage $one): float => match ($one->lamp_state) {
                    'on' => (float) $one->lamp_w,
                    'alternate' => 0.5 * (float) $one->lamp_w,
                    default => 0.0,
                },
            ),
        );

        return [
            'ways' => array_map(fn(ClearWay $way): array => self::way($system, $way), $ways->all()),
            'nitrate_known' => $nitrate !== null,
            'surface_m2' => $this->systems->surface($system),
            'clarity_cm' => $water->get(Parameter::Clarity)?->value,
            'lamps' => array_values($lamps->map(fn(Stage $one): array => $this->lamp($system, $one))->all()),
        ];
    }

    /** @return array<string, mixed> */
    private static function way(System $system, ClearWay $way): array
    {
        $price = $system->site->price_per_kwh;

        return [
            'id' => $way->id,
            'nitrate_g_d' => $way->nitrateGD,
            'night_g_h' => $way->nightGH,
            'watts' => $way->watts,
            'cost_d' => $price === null ? null : 0.024 * $way->watts * $price,
            'says' => array_map(static fn(Message $one): array => $one->toArray(), $way->says),
        ];
    }

    /** @return array<string, mixed> */
    private function lamp(System $system, Stage $lamp): array
    {
        $lit = self::lit($lamp);
        $answer = ['name' => $lamp->name, 'lit_at' => $lit?->toIso8601ZuluString(), 'watts' => $lamp->lamp_w];
        if ($lit === null) {
            return [...$answer, 'spot' => null, 'before' => null, 'after' => null, 'says' => null];
        }
        $before = self::sight($system, $lit->copy()->subDays((int) LampWeek::BEFORE_D), $lit, null, 'desc');
        $spot = $before?->visit->spot;
        $after =
            $before === null
                ? null
                : self::sight(
                    $system,
                    $lit->copy()->addDays((int) LampWeek::AFTER_FROM_D),
                    $lit->copy()->addDays((int) LampWeek::AFTER_UNTIL_D),
                    (string) $spot,
                    'asc',
                );
        $read = static fn(?Reading $one): ?array => $one === null
            ? null
            : ['cm' => $one->value, 'at' => $one->taken_at->toIso8601ZuluString()];

        return [
            ...$answer,
            'spot' => $spot,
            'before' => $read($before),
            'after' => $read($after),
            'says' => LampWeek::says($before?->value, $after?->value, $lit->diffInDays(Carbon::now()))->toArray(),
        ];
    }

    /** When it was last lit, as switched or as fitted; null where it is off, or nobody said since when it burns. */
    private static function lit(Stage $lamp): ?Carbon
    {
        if ($lamp->lamp_state === 'off') {
            return null;
        }
        $at = null;
        $off = null;
        $rows = Switching::query()
            ->where('part_id', $lamp->id)
            ->whereNull('withdrawn_at')
            ->orderBy('happened_at')
            ->get();
        foreach ($rows as $row) {
            if ($row->state === 'off') {
                $off = $row->happened_at;
            } elseif (
                $row->was === 'off' &&
                ($off === null || $off->diffInHours($row->happened_at) >= LampWeek::OUT_H)
            ) {
                // Out for a wipe of its sleeve it is not lit anew.
                $at = $row->happened_at;
            }
        }
        $fitted = $lamp->lamp_fitted_on;

        return $at !== null && $fitted !== null ? $at->max($fitted) : $at ?? $fitted;
    }

    /** @param  'asc'|'desc'  $order */
    private static function sight(System $system, Carbon $from, Carbon $until, ?string $spot, string $order): ?Reading
    {
        return Reading::query()
            ->with('visit')
            ->where('system_id', $system->id)
            ->where('parameter', Parameter::Clarity->value)
            ->whereBetween('taken_at', [$from, $until])
            ->whereHas('visit', static function (Builder $visit) use ($spot): void {
                $visit->whereNull('withdrawn_at');
                if ($spot !== null) {
                    $visit->whereRaw("coalesce(spot, '') = ?", [$spot]);
                }
            })
            ->orderBy('taken_at', $order)
            ->first();
    }
}
