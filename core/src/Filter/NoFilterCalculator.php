<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Holding a tub without a filter by changing water: how much a day, or how many fish.
 *
 * With one change a day ammonia peaks just before it, at rise / share + source; with a trickle it
 * stands at load / flow + source. The stricter of the limits of total and un-ionised ammonia holds.
 *
 *     volume_l 600, biomass_kg 1.5, temp_c 20, ph 7.4  →  rise_mg_l_d 0.2, change_pct_d 40, trickle_l_d 240
 *
 * @see DailyLoad for what the fish give
 */
final readonly class NoFilterCalculator implements Calculator
{
    public function name(): string
    {
        return 'filter.no_filter';
    }

    public function title(): string
    {
        return 'A tub without a filter';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            LoadInputs::feed()->or(0.0),
            LoadInputs::protein(),
            WaterInputs::temperature(),
            WaterInputs::ph(),
            Input::number('tan_limit_mg_l', 'Most total ammonia', 'mg/L as N', 0.01, 10)->or(0.5),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
            Input::number('source_tan_mg_l', 'Ammonia in new water', 'mg/L as N', 0, 10)->or(0.0),
            Input::number('change_pct_d', 'Changed a day', '%', 0.1, 100)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('tan_allowed_mg_l', 'mg/L as N'),
            new Output('rise_mg_l_d', 'mg/L'),
            new Output('change_pct_d', '%'),
            new Output('change_l_d', 'L'),
            new Output('trickle_l_d', 'L'),
            new Output('hours_between', 'h'),
            new Output('biomass_held_kg', 'kg'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $temp = $given->number('temp_c');
        $load = DailyLoad::usual($given)->tan();
        $fraction = UnionisedAmmonia::of(1.0, $given->number('ph'), $temp)->fraction;
        $allowed = min($given->number('tan_limit_mg_l'), $given->number('nh3_limit_mg_l') / $fraction);
        $room = $allowed - $given->number('source_tan_mg_l');
        if ($room <= 0) {
            throw BadInput::at(
                'source_tan_mg_l',
                'New water holds as much ammonia as is allowed, or more: changes cannot help.',
            );
        }
        $rise = (1000 * $load) / $volume;
        $share = $rise / $room;
        $change = $given->numberOrNull('change_pct_d');
        $perKg =
            $given->number('biomass_kg') > 0
                ? $load / $given->number('biomass_kg')
                : DailyLoad::of(1.0, 0.0, 0.38, DailyLoad::USUAL_DIGESTIBILITY, 0.0, $temp)->tan();

        $work = new Working();
        $work->step(
            'Ammonia allowed: the stricter of total and un-ionised.',
            'min(total, un-ionised / share)',
            Format::number($given->number('tan_limit_mg_l')) .
                ', ' .
                Format::number($given->number('nh3_limit_mg_l')) .
                ' / ' .
                Format::number($fraction),
            Format::number($allowed) . ' mg/L',
        );
        $work->step(
            'What it rises by in a day.',
            'load / volume',
            Format::number($load) . ' g N/d, ' . Format::number($volume, 5) . ' L',
            Format::number($rise) . ' mg/L',
        );
        $work->step(
            'One change a day that keeps the peak before it at what is allowed.',
            'rise / (allowed − source)',
            Format::number($rise) . ' / ' . Format::number($room),
            Format::number(100 * $share, 3) . ' %',
        );
        $work->step(
            'The same as a trickle, day and night.',
            'load / (allowed − source)',
            Format::number($load) . ' g N/d',
            Format::number((1000 * $load) / $room, 3) . ' L/d',
        );
        $work->cite('timmons-ebeling', 'floor-excretion', 'emerson-1975');
        if ($share > 1) {
            $work->danger(Message::of('filter.no_change_day_cannot_hold', ['share' => Format::number(24 / $share, 2)]));
        } elseif ($share > 0.5) {
            $work->watch(Message::of('filter.no_half_day_much_new'));
        }

        return $work->result([
            'tan_allowed_mg_l' => $allowed,
            'rise_mg_l_d' => $rise,
            'change_pct_d' => min(100.0, 100 * $share),
            'change_l_d' => min(1.0, $share) * $volume,
            'trickle_l_d' => (1000 * $load) / $room,
            'hours_between' => $share > 1 ? 24 / $share : 24.0,
            'biomass_held_kg' => $change === null ? null : (($change / 100) * $room * $volume) / 1000 / $perKg,
        ]);
    }
}
