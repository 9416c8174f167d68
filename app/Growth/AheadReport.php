<?php

declare(strict_types=1);

namespace App\Growth;

use App\Capacity\CapacityReport;
use App\Fish\GrowthOf;
use App\Fish\SteadyWater;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What these fish weigh in some weeks by what was measured of them, and whether the filter can grow to it. The water
 * is taken to stay as warm as it is.
 */
final readonly class AheadReport
{
    public const WEEKS = 12.0;

    /** The length at which added weight is counted as fish, cm: only the weight matters. */
    private const COUNTED_CM = 50.0;

    public function __construct(
        private GrowthOf $growth,
        private SteadyWater $steady,
        private LoopSums $sums,
        private CapacityReport $capacity,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water, float $weeks): array
    {
        $temp = $this->steady->temperature($system, $water->valueOrAssumed(Parameter::Temperature));
        $groups = [];
        $more = 0.0;
        $fitted = true;
        foreach ($system->fish->load('measures') as $group) {
            if ($group->count === 0) {
                continue;
            }
            $now = (1000 * $this->sums->group($group)->value) / $group->count;
            $growth = $this->growth->of($system, $group->measures, $group->condition, $temp, $group->length_cm);
            $then = $growth->after($now, 7 * $weeks, $temp);
            $fitted = $fitted && $growth->fitted;
            $more += ($group->count * ($then - $now)) / 1000;
            $groups[] = [
                'id' => $group->id,
                'name' => $group->name,
                'now_g' => $now,
                'then_g' => $then,
                'tgc' => $growth->tgc,
                'fitted' => $growth->fitted,
                'then_cm' => Condition::length($then, $group->condition),
            ];
        }

        return [
            'weeks' => $weeks,
            'on' => Carbon::now($system->site->timezone)->addDays((int) round(7 * $weeks))->toDateString(),
            'temp_c' => $temp,
            'more_kg' => $more,
            'groups' => $groups,
            'says' =>
                $groups === []
                    ? []
                    : array_map(static fn(Message $one): array => $one->toArray(), [
                        $this->verdict($system, $water, $more, $weeks),
                        Message::of($fitted ? 'fish.ahead_fitted' : 'fish.ahead_usual'),
                    ]),
        ];
    }

    private function verdict(System $system, LatestWater $water, float $moreKg, float $weeks): Message
    {
        if ($moreKg < 0.001) {
            return Message::of('fish.ahead_cold');
        }
        $told = [
            'date' => Carbon::now($system->site->timezone)->addDays((int) round(7 * $weeks))->format('j F Y'),
            'kg' => Format::number($moreKg, 2),
        ];
        try {
            $verdict = $this->capacity->of($system, $water, [
                'fish_more' => (string) min(
                    10000.0,
                    round((1000 * $moreKg) / Condition::weight(self::COUNTED_CM, Condition::USUAL), 6),
                ),
                'fish_length_cm' => (string) self::COUNTED_CM,
            ]);
        } catch (BadInput) {
            return Message::of('fish.ahead_no_filter', $told);
        }
        if ($verdict->grown === null) {
            return Message::of('fish.ahead_no_filter', $told);
        }
        $short = $verdict->load->value - $verdict->grown->value;
        $told = [
            ...$told,
            'load' => Format::number($verdict->load->value, 3),
            'takes' => Format::number($verdict->grown->value, 3),
        ];

        return $short > 0
            ? Message::of('fish.ahead_short', [...$told, 'short' => Format::number($short, 2)])
            : Message::of('fish.ahead_carries', $told);
    }
}
