<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Expected\ExpectedWater;
use App\Fish\FeedPlan;
use App\Living\Past;
use App\Models\Reading;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Model\StartWithFish;
use Ironwort\Core\Words\Message;

/** A start with fish in it: whether this is one, and what its clock says. */
final readonly class FishIn
{
    public function __construct(
        private Registry $registry,
        private Past $past,
        private LimitsInForce $limits,
        private ExpectedWater $expected,
        private VolumeReport $volumes,
        private LoopSums $systems,
        private FeedPlan $feeds,
    ) {}

    /** Whether it may be one, as far as can be told without its capacity: fish, and a filter that is young or woke. */
    public function may(System $system): bool
    {
        return $system->fish->isNotEmpty() && $system->asleep_since === null && $this->past->begins($system) !== null;
    }

    /**
     * Null where it is none.
     *
     * @param  float  $load  what its fish give, g N/d
     * @param  float  $takes  what its filter takes, g N/d
     */
    public function of(System $system, LatestWater $water, float $load, float $takes): ?FishInStart
    {
        $since = $this->may($system) ? $this->past->begins($system) : null;
        if ($since === null || !StartWithFish::is($load, $takes, max(0.0, $since->diffInDays(Carbon::now())))) {
            return null;
        }
        $following = $this->limits->following($system);
        $school = $following->in('fish_start');
        $ammonia = $water->get(Parameter::Ammonia);
        $says = [
            Message::fromTable('school.fish_start', $school->says),
            ...$system->stages->contains('kind', 'uv')
                ? [Message::fromTable('school.start_uv', 'UV: ' . $following->in('start_uv')->says)]
                : [],
        ];
        if ($ammonia === null) {
            return new FishInStart($since, null, [Message::of('model.fish_in_test_first')], $says);
        }
        $input = $this->input($system, $water, $load, $takes, $ammonia);
        $found = $this->registry->run('start.fish_in', [
            ...$input,
            'trigger_tan_mg_l' => $following->fishInTrigger(),
            'change_pct' => $school->figure('change_pct'),
        ]);

        return new FishInStart(
            $since,
            $found,
            array_map(static fn($caution): Message => $caution->message, $found->cautions),
            $says,
            [
                ...$input,
                'trigger_tan_mg_l' => $following->fishInTrigger(),
                'change_pct' => $school->figure('change_pct'),
            ],
        );
    }

    /** @return array<string, mixed> of `start.fish_in`, as it is now: what the fish made since the test is counted */
    private function input(System $system, LatestWater $water, float $load, float $takes, Reading $ammonia): array
    {
        $volume = max(1.0, $this->volumes->inUse($system)->value);
        $plan = $system->feed();
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $now = $this->expected->now($system, $water)[Parameter::Ammonia->value] ?? $ammonia->value;
        // It can only rise since: what a filter takes beyond the load is no reason to count on less.
        $risen =
            max(0.0, (1000 * ($load - $takes)) / $volume) * max(0.0, $ammonia->taken_at->diffInDays(Carbon::now()));
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $new = [];
        foreach (WaterMix::KEYS as $key) {
            $value = $source?->reading($key);
            if ($value !== null) {
                $new[$key] = $value;
            }
        }

        return [
            'volume_l' => $volume,
            'biomass_kg' => $this->systems->biomass($system)->value,
            'feed_g_d' => $plan === null ? 0.0 : $this->feeds->perDay($system, $plan, $temp),
            'protein_pct' => max(5.0, $this->feeds->protein($plan)),
            'removal_g_d' => $takes,
            'tan_mg_l' => min(100.0, $now + $risen),
            'ph' => $water->valueOrAssumed(Parameter::Ph),
            'temp_c' => $temp,
            'alkalinity_mg_l' => $water->valueOrAssumed(Parameter::Alkalinity),
            ...$new === [] ? [] : ['source' => $new],
            'trigger_nh3_n_mg_l' => min(1.0, $this->limits->unionised($system)),
        ];
    }
}
