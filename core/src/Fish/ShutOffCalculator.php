<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\Oxygen;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * How long fish may stay in water that is cut off from its filter, and perhaps from its air.
 *
 * Oxygen runs down by what the fish breathe, ammonia up by what they excrete; nothing is counted as
 * coming through the surface, so the time is on the short side. Both count from `do_mg_l` and `tan_mg_l`.
 *
 *     volume_l 3000, biomass_kg 30, temp_c 20, do_mg_l 8, aired no, tan_mg_l 0.1, ph 7.8  →  minutes 300, decides
 *       oxygen
 *
 * @see DailyLoad for the sources of what fish breathe and excrete
 *
 * @source oxygen-danger  3 mg/L
 */
final readonly class ShutOffCalculator implements Calculator
{
    /** Under this carp are in danger, mg/L. */
    public const DANGER_MG_L = 3.0;

    public function name(): string
    {
        return 'fish.shut_off';
    }

    public function title(): string
    {
        return 'How long fish may stay cut off';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            LoadInputs::feed()->or(0.0),
            LoadInputs::protein(),
            WaterInputs::temperature(),
            Input::number('do_mg_l', 'Dissolved oxygen', 'mg/L', 0, 40)->optional(),
            Input::choice('aired', 'Its own air runs', ['yes', 'no']),
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L N', 0, 100)->or(0.0),
            WaterInputs::ph(),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L N', 0.001, 1)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('minutes', 'min'),
            new Output('minutes_to_low_oxygen', 'min'),
            new Output('hours_to_ammonia', 'h'),
            new Output('decides'),
            new Output('o2_use_mg_l_h', 'mg/L/h'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $temp = $given->number('temp_c');
        $load = DailyLoad::usual($given);
        $aired = $given->text('aired') === 'yes';
        $work = new Working();

        $use = (($load->oxygen() / 24) * 1000) / $volume;
        $start = $given->numberOrNull('do_mg_l') ?? Oxygen::saturation($temp);
        $minutes = $aired || $use <= 0 ? null : (60 * max(0.0, $start - self::DANGER_MG_L)) / $use;
        $work->step(
            'What the fish breathe.',
            'oxygen a day / 24 / volume',
            Format::number($load->oxygen()) . ' g/d, ' . Format::number($volume, 5) . ' L',
            Format::number($use) . ' mg/L an hour',
        );
        if ($minutes !== null) {
            $work->step(
                'Until oxygen is down to 3 mg/L, nothing coming in.',
                '(now − 3) / use',
                Format::number($start) . ' mg/L',
                Format::number($minutes) . ' min',
            );
        }

        $fraction = UnionisedAmmonia::of(1.0, $given->number('ph'), $temp, 0.0)->fraction;
        $most = $given->number('nh3_limit_mg_l') / $fraction;
        $rise = (($load->tan() / 24) * 1000) / $volume;
        $hours = $rise <= 0 ? null : max(0.0, $most - $given->number('tan_mg_l')) / $rise;
        $work->step(
            'Total ammonia at which the un-ionised part is too much.',
            'limit / share',
            Format::number($given->number('nh3_limit_mg_l')) . ' / ' . Format::number($fraction),
            Format::number($most) . ' mg/L',
        );
        if ($hours !== null) {
            $work->step(
                'Until it is reached without a filter.',
                '(limit − now) / rise',
                Format::number($rise) . ' mg/L an hour',
                Format::number($hours) . ' h',
            );
        }
        if ($given->numberOrNull('do_mg_l') === null && !$aired) {
            $work->watch(Message::of('fish.shut_off_oxygen_measured_reckoned_full'));
        }
        if (!$aired) {
            $work->note(Message::of('fish.shut_off_surface_takes_little_itself'));
        }
        $work->cite('fish-oxygen', 'floor-excretion', 'timmons-ebeling', 'emerson-1975', 'oxygen-danger');

        $least = min($minutes ?? INF, 60 * ($hours ?? INF));

        return $work->result([
            'minutes' => is_finite($least) ? $least : null,
            'minutes_to_low_oxygen' => $minutes,
            'hours_to_ammonia' => $hours,
            'decides' => match (true) {
                !is_finite($least) => null,
                $minutes !== null && $minutes <= 60 * ($hours ?? INF) => 'oxygen',
                default => 'ammonia',
            },
            'o2_use_mg_l_h' => $use,
        ]);
    }
}
