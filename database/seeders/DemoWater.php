<?php

declare(strict_types=1);

namespace Database\Seeders;

use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\Oxygen;

/**
 * The water of an invented system day by day, by the project's own model, with what its keepers did to it.
 *
 * A story gives the first day's water, how warm it is, what is fed, the trickle, and what happened by days ago.
 */
final readonly class DemoWater
{
    /** Day of the warmest water, counted back from now: the demo always ends in late summer. */
    private const WARMEST_DAYS_AGO = 30;

    public function __construct(private Registry $registry, private MediaTable $media, private StageKinds $kinds) {}

    /** What of a full feed is given on a day so warm: nothing at 8 °C, all from 16 °C on. */
    public static function appetite(float $tempC): float
    {
        return max(0.0, min(1.0, ($tempC - 8) / 8));
    }

    /** @param  array{mean: float, swing: float, weather?: float}  $warmth */
    public static function temperature(array $warmth, float $daysAgo): float
    {
        $weather = $warmth['weather'] ?? 0.0;

        return $warmth['mean'] +
            $warmth['swing'] * cos((2 * M_PI * ($daysAgo - self::WARMEST_DAYS_AGO)) / 365) +
            ($weather * (sin($daysAgo / 2.3) + sin($daysAgo / 5.1 + 1))) / 2;
    }

    /**
     * @param  array<string, mixed>  $plan  of DemoSystems, with its `story`
     * @param  array<string, array<string, float>>  $sources  canonical, by key
     * @return array<int, array<string, float>> by days ago: readings in canonical units, and what was fed
     */
    public function days(array $plan, float $volumeL, float $biomassKg, float $altitudeM, array $sources): array
    {
        $story = $plan['story'];
        $full = $this->grownFull($plan['stages'], $volumeL);
        $water = $story['start'];
        $active = ['ammonia' => $story['grown'] * $full, 'nitrite' => $story['grown'] * $full];
        // A charge of zeolite takes the rest of what the fish give.
        $share = $story['load_share'] ?? 1.0;
        $salt = 0.0;
        $appetite = 1.0;
        $days = [];
        for ($ago = $story['days']; $ago >= 0; $ago--) {
            $temp = self::temperature($story['warmth'], $ago);
            foreach ($story['events'][$ago] ?? [] as [$what, $value]) {
                match ($what) {
                    'ammonia' => ($water['tan_mg_l'] += $value),
                    'buffer' => ($water['alkalinity_mg_l'] += $value),
                    'killed' => ($active = array_map(
                        static fn(float $rate): float => $rate * (1 - $value / 100),
                        $active,
                    )),
                    'salt' => ($salt += $value),
                    'appetite' => ($appetite = $value),
                    default => null,
                };
            }
            $changed = 0.0;
            $source = $sources[$story['source']];
            foreach ($story['events'][$ago] ?? [] as [$what, $value]) {
                if (isset($sources[$what])) {
                    [$changed, $source] = [$value, $sources[$what]];
                }
            }
            $fed = round($plan['feed_g_d'] * self::appetite($temp) * $appetite);
            $saturation = Oxygen::saturation($temp, $salt, Oxygen::pressureAtAltitude($altitudeM));
            $ph = (new Carbonate($temp, max(1.0, $water['alkalinity_mg_l']), $salt))->phWithCo2($story['co2_mg_l']);
            $days[$ago] = [
                ...$water,
                'ph' => $ph,
                'temp_c' => $temp,
                'do_mg_l' => $story['oxygen'] * $saturation,
                'salinity_g_l' => $salt,
                'fed_g' => $fed,
            ];
            $trickle = $story['trickle_pct_d'] / 100;
            $end = $this->registry->run('model.run', [
                'volume_l' => $volumeL,
                'days' => 1,
                'now' => $water,
                'active_ammonia_mg_l_d' => $active['ammonia'],
                'active_nitrite_mg_l_d' => $active['nitrite'],
                'grown_mg_l_d' => $full,
                'biomass_kg' => $biomassKg * $share,
                'feed_g_d' => $fed * $share,
                'protein_pct' => $plan['protein_pct'] ?? 38,
                'temp_c' => $temp,
                'ph' => $ph,
                'do_mg_l' => $days[$ago]['do_mg_l'],
                'flow_l_h' => ($volumeL * $trickle) / 24,
                'source' => $source,
                'points_a_day' => 1,
                'events' => $changed > 0 ? [['at_d' => 0.02, 'kind' => 'change', 'pct' => $changed]] : [],
            ])->figures['end'];
            $salt *= (1 - $changed / 100) * exp(-$trickle);
            $water = array_intersect_key($end, $water);
            $water['no3_n_mg_l'] = max(
                0.0,
                $water['no3_n_mg_l'] - ($this->taken($story, $water, $temp) / $volumeL) * 1000,
            );
            $active = ['ammonia' => $end['active_ammonia_mg_l_d'], 'nitrite' => $end['active_nitrite_mg_l_d']];
        }

        return $days;
    }

    /**
     * Nitrate that plants and bog take in a day, g N.
     *
     * @param  array<string, mixed>  $story
     * @param  array<string, float>  $water
     */
    private function taken(array $story, array $water, float $temp): float
    {
        if (!isset($story['plants_m2'])) {
            return 0.0;
        }
        $sinks = $this->registry->run('nitrate.sinks', [
            'no3_n_mg_l' => $water['no3_n_mg_l'],
            'temp_c' => $temp,
            'plants_m2' => $story['plants_m2'],
            'bog_m2' => $story['bog_m2'],
        ]);

        return $sinks->number('plants_g_d') + $sinks->number('bog_g_d');
    }

    /**
     * What the filter could take at 20 °C grown full, mg N/L/d.
     *
     * @param  list<array<string, mixed>>  $stages
     */
    private function grownFull(array $stages, float $volumeL): float
    {
        $grams = 0.0;
        foreach ($stages as $stage) {
            $grams += isset($stage['medium'])
                ? (($stage['media_l'] ?? 0) / 1000) *
                    $this->media->get($stage['medium'])->areaM2M3 *
                    $this->kinds->get($stage['kind'])->r20
                : 0.0;
        }

        return (1000 * $grams) / $volumeL;
    }
}
