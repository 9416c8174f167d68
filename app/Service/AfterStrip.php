<?php

declare(strict_types=1);

namespace App\Service;

use App\Capacity\CapacityReport;
use App\Capacity\FilterInputs;
use App\Fish\FeedPlan;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What the water would do if most of what lives in a filter went at once: the model run on from today, fed as now and
 * with nothing changed or bound.
 */
final readonly class AfterStrip
{
    /** Longer than this nobody waits without doing something. */
    private const DAYS = 21;

    public function __construct(
        private Registry $registry,
        private CapacityReport $capacity,
        private FilterInputs $filter,
        private VolumeReport $volumes,
        private LoopSums $systems,
        private FeedPlan $feeds,
    ) {}

    /**
     * @param  float  $lostPct  of the bacteria that live there now
     * @return ?Message null where there is no load or nothing that lives
     */
    public function says(System $system, LatestWater $water, float $lostPct): ?Message
    {
        $found = $this->run($system, $water, $lostPct);
        $tan = $found?->figures['peak_tan_mg_l'] ?? null;
        if ($found === null || !is_numeric($tan)) {
            return null;
        }
        $back = $found->figures['complete_day'];

        return Message::of(is_numeric($back) ? 'service.strip_follows' : 'service.strip_stays', [
            'tan' => Format::number((float) $tan, 2),
            'tan_day' => Format::number(ceil($found->number('peak_tan_day')), 2),
            'no2' => Format::number($found->number('peak_no2_n_mg_l'), 2),
            'no2_day' => Format::number(ceil($found->number('peak_no2_day')), 2),
            'back' => is_numeric($back) ? Format::number(ceil((float) $back), 2) : '',
            'days' => (string) self::DAYS,
        ]);
    }

    private function run(System $system, LatestWater $water, float $lostPct): ?Result
    {
        $volume = $this->volumes->inUse($system)->value;
        $verdict = $this->capacity->of($system, $water);
        $grown = (1000 * $this->filter->grownAt20($system, $water)) / max(1.0, $volume);
        $lives = ($grown * ($verdict->living->pct ?? 0.0)) / 100;
        if ($volume < 1 || $lives <= 0 || $verdict->load->value <= 0) {
            return null;
        }
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $left = $lives * (1 - min(100.0, $lostPct) / 100);
        $plan = $system->feed();
        $now = [];
        foreach (WaterMix::KEYS as $key) {
            $value = $water->get(Parameter::from($key))?->value;
            if ($value !== null) {
                $now[$key] = $value;
            }
        }
        try {
            return $this->registry->run('model.run', [
                'volume_l' => $volume,
                'grown_mg_l_d' => $grown,
                'biomass_kg' => $this->systems->biomass($system)->value,
                'feed_g_d' => $plan === null ? 0.0 : $this->feeds->perDay($system, $plan, $temp),
                'protein_pct' => max(5.0, $this->feeds->protein($plan)),
                'temp_c' => $temp,
                'ph' => $water->valueOrAssumed(Parameter::Ph),
                'days' => self::DAYS,
                'now' => ['alkalinity_mg_l' => $water->valueOrAssumed(Parameter::Alkalinity), ...$now],
                'active_ammonia_mg_l_d' => $left,
                'active_nitrite_mg_l_d' => $left,
            ]);
        } catch (BadInput) {
            // Such as a feed that nobody could give: said where it was typed, and no reason to keep the page.
            return null;
        }
    }
}
