<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\Quarantine;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Arrival\HeldWarmth;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** The temperature a quarantine is held at: how it gets there, what that takes with the trickle running, and a cut. */
final readonly class QuarantineHold
{
    public function __construct(private Registry $registry, private VolumeReport $volumes, private LoopSums $sums) {}

    /** @return list<Message> nothing where no temperature is to be held */
    public function says(System $system, LatestWater $water, Quarantine $protocol): array
    {
        $hold = $protocol->hold_c;
        $volume = $this->volumes->inUse($system)->value;
        if ($hold === null || $volume < 1.0) {
            return [];
        }
        $now = $water->get(Parameter::Temperature)?->value;
        $air = $protocol->air_c ?? HeldWarmth::AIR_C;
        $heaters = 0.0;
        foreach ($system->pumps as $pump) {
            $heaters += $pump->kind === 'heater' ? $pump->power_w : 0.0;
        }
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $comes = $source?->reading(Parameter::Temperature->value);
        $flow = Trickle::running($system)->flow_l_h ?? 0.0;
        $found = $this->registry->run('exchange.heat_balance', [
            'volume_l' => $volume,
            'temp_c' => $hold,
            'air_c' => $air,
            'surface_m2' => $this->sums->surface($system),
            'walls_m2' => $this->sums->walls($system),
            'flow_l_h' => $flow,
            ...$comes === null ? [] : ['source_temp_c' => $comes],
            ...$heaters > 0 ? ['heater_w' => $heaters] : [],
            'to_c' => max(0.0, $hold - HeldWarmth::FALLS_C),
        ]);
        $needed = max(0.0, $found->number('needed_w'));
        $says = [];
        if ($now !== null) {
            $days = abs($hold - $now) / $protocol->c_a_day;
            $says[] = Message::of(abs($hold - $now) <= 0.5 ? 'arrival.hold_there' : 'arrival.hold_ramp', [
                'from' => Format::number($now, 3),
                'to' => Format::number($hold, 3),
                'rate' => Format::number($protocol->c_a_day),
                'days' => Format::number(ceil($days), 3),
            ]);
        }
        $told = [
            'to' => Format::number($hold, 3),
            'air' => Format::number($air, 3),
            'watts' => Format::about($needed, 2),
        ];
        $says[] =
            $flow > 0 && $comes !== null
                ? Message::of('arrival.hold_heat', [
                    ...$told,
                    'trickle' => Format::about(max(0.0, $found->number('trickle_w')), 2),
                ])
                : Message::of('arrival.hold_heat_alone', $told);
        if ($flow > 0 && $comes === null) {
            $says[] = Message::of('arrival.hold_trickle_unknown');
        }
        if ($protocol->air_c === null) {
            $says[] = Message::of('arrival.hold_air_assumed', ['air' => Format::number($air)]);
        }
        $says[] = match (true) {
            $heaters <= 0 => Message::of('arrival.hold_no_heater'),
            $heaters >= $needed => Message::of('arrival.hold_heaters_do', [
                'have' => Format::number($heaters),
                'share' => Format::about((100 * $needed) / $heaters, 2),
            ]),
            default => Message::of('arrival.hold_heaters_short', [
                'have' => Format::number($heaters),
                'holds' => Format::number($found->number('holds_c'), 3),
                'more' => Format::about($needed - $heaters, 2),
            ]),
        };
        $hours = $found->figures['hours_to_c'];
        $fall = ['fall' => Format::number($found->number('falls_c_h'), 2)];
        $says[] = is_numeric($hours)
            ? Message::of('arrival.hold_cut', [...$fall, 'hours' => Format::number((float) $hours, 2)])
            : Message::of('arrival.hold_cut_slow', $fall);

        return $says;
    }
}
