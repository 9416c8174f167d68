<?php

declare(strict_types=1);

namespace Tests\Agreement;

use App\Build\LayBuild;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\Reading;
use App\Models\Setback;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Str;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\Parameter;

/**
 * A system with a build and a history of its own, made by a seed: anything a book may hold, and hardly what one does.
 */
final class RandomSystem
{
    private const STAGES = [
        ['matting', 'coarse_matting'],
        ['moving_bed', 'small_carrier'],
        ['static_bed', 'small_carrier'],
        ['brush', 'brush'],
        ['shower', 'ball'],
        ['sponge', 'foam_10ppi'],
        ['bead_vessel', 'floating_bead'],
    ];

    public static function make(Site $site, User $user, int $seed): System
    {
        mt_srand($seed);
        // In this order, so that a seed stays the system it was.
        $kinds = ['holding', 'quarantine', 'start', 'display', 'fry', 'hospital'];
        $kind = $kinds[mt_rand(0, count($kinds) - 1)];
        $system = System::query()->create([
            'site_id' => $site->id,
            'name' => "System {$seed}",
            'slug' => "system-{$seed}",
            'kind' => $kind,
            'life_stage' => $kind === 'start' ? 'starting' : ['adult', 'grow_on', 'fry', 'quarantine'][mt_rand(0, 3)],
        ]);
        self::build($system);
        self::fish($system);
        self::readings($system, $user);
        for ($i = mt_rand(0, 2); $i > 0; $i--) {
            self::setBack($system, Deed::told()[mt_rand(0, 7)], mt_rand(0, 60));
        }
        if (mt_rand(0, 7) === 0) {
            $system->update(['asleep_since' => now()->subDays(mt_rand(1, 90))]);
        }

        return $system->unsetRelations()->refresh();
    }

    public static function setBack(System $system, Deed $deed, int $daysAgo): void
    {
        $hours = $deed->byHours() ? (float) mt_rand(1, 30) : null;
        $costs = $deed->costs($hours ?? 0.0);
        Setback::query()->create([
            'id' => self::key(),
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'happened_on' => now()->subDays($daysAgo)->toDateString(),
            'kind' => $deed->value,
            'hours' => $hours,
            'share_pct' => 100,
            'lost_pct' => $costs['lost'],
            'low_pct' => $costs['low'],
            'high_pct' => $costs['high'],
        ]);
    }

    public static function addFish(System $system, int $count, float $cm, ?int $daysAgo): void
    {
        FishGroup::query()->create([
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'name' => 'Koi ' . mt_rand(1, 9999999),
            'count' => $count,
            'length_cm' => $cm,
            'condition' => 1.5,
            'arrived_on' => $daysAgo === null ? null : now()->subDays($daysAgo)->toDateString(),
            'position' => 1,
        ]);
    }

    private static function build(System $system): void
    {
        $length = mt_rand(10, 60) / 10;
        $stages = [];
        for ($i = mt_rand(0, 3); $i > 0; $i--) {
            [$kind, $medium] = self::STAGES[mt_rand(0, count(self::STAGES) - 1)];
            $stages[] = [
                'name' => "Stage {$i}",
                'kind' => $kind,
                'medium' => $medium,
                'media_l' => mt_rand(5, 300),
                'flow_l_h' => mt_rand(500, 12000),
                'air_l_min' => $kind === 'moving_bed' ? mt_rand(0, 60) : 0,
                'since' => mt_rand(0, 3) === 0 ? null : now()->subDays(mt_rand(0, 500))->toDateString(),
                'maturity_pct' => mt_rand(0, 9) === 0 ? mt_rand(0, 100) : null,
                'cleaned_on' => mt_rand(0, 1) === 0 ? null : now()->subDays(mt_rand(0, 90))->toDateString(),
            ];
        }
        (new LayBuild())->lay($system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => $length, 'width_m' => mt_rand(8, 30) / 10, 'depth_m' => 1.2],
                    'freeboard_m' => 0.1,
                    'netted' => true,
                ],
            ],
            'stages' => $stages,
            'pumps' =>
                mt_rand(0, 2) === 0
                    ? []
                    : [['name' => 'Air', 'kind' => 'air', 'air_l_min' => mt_rand(5, 150), 'power_w' => 40]],
        ]);
    }

    private static function fish(System $system): void
    {
        for ($i = mt_rand(0, 3); $i > 0; $i--) {
            self::addFish(
                $system,
                mt_rand(1, 30),
                (float) mt_rand(8, 65),
                mt_rand(0, 1) === 0 ? null : mt_rand(0, 300),
            );
        }
        for ($i = mt_rand(0, 2); $i > 0; $i--) {
            FeedFigure::query()->updateOrCreate(
                ['system_id' => $system->id, 'since' => now()->subDays(mt_rand(0, 200))->toDateString()],
                [
                    'site_id' => $system->site_id,
                    'feed_g_d' => mt_rand(5, 400),
                    'protein_pct' => mt_rand(28, 50),
                    'uneaten_pct' => mt_rand(0, 1) * mt_rand(0, 20),
                    'by_ration' => mt_rand(0, 3) === 0,
                    'days_a_week' => mt_rand(4, 7),
                ],
            );
        }
    }

    private static function readings(System $system, User $user): void
    {
        $usual = [
            [Parameter::Ammonia, 0.0, mt_rand(0, 2) === 0 ? 3.0 : 0.2],
            [Parameter::Nitrite, 0.0, mt_rand(0, 2) === 0 ? 2.0 : 0.2],
            [Parameter::Nitrate, 2.0, 25.0],
            [Parameter::Ph, 6.6, 8.6],
            [Parameter::Temperature, 6.0, 27.0],
            [Parameter::Oxygen, 4.0, 10.0],
            [Parameter::Alkalinity, 30.0, 200.0],
        ];
        $days = [];
        for ($i = mt_rand(0, 12); $i > 0; $i--) {
            $days[] = mt_rand(0, 90);
        }
        foreach (array_unique($days) as $ago) {
            $at = now()->subDays($ago)->subMinutes(mt_rand(1, 600));
            $visit = Visit::query()->create([
                'id' => self::key(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'taken_at' => $at,
            ]);
            foreach ($usual as [$parameter, $least, $most]) {
                if (mt_rand(0, 3) > 0) {
                    $value = $least + (mt_rand(0, 1000) / 1000) * ($most - $least);
                    Reading::query()->create([
                        'site_id' => $system->site_id,
                        'system_id' => $system->id,
                        'visit_id' => $visit->id,
                        'parameter' => $parameter->value,
                        'value' => $value,
                        'low' => max(0.0, $value - 0.02),
                        'high' => $value + 0.02,
                        'typed' => (string) round($value, 2),
                        'taken_at' => $at,
                    ]);
                }
            }
        }
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }
}
