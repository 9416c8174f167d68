<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * A start with fish in it: when water is changed again, how much, and how much may be fed.
 *
 * Ammonia rises by what the fish give less what the filter takes by now, until the earlier of two triggers: total, and
 * un-ionised at this pH and temperature. The most to feed is what one such change a day still holds: it grows with the
 * filter. Three days are gone through; what the filter takes is held as it is.
 *
 *     volume_l 4320, biomass_kg 10, feed_g_d 56, protein_pct 40, tan_mg_l 0.1, ph 7.2, temp_c 20, alkalinity_mg_l
 *       100  →  hours_to_trigger 20, rise_mg_l_d 0.477, change_l 2160
 *
 * @source timmons-ebeling  what the fish give
 * @source cp-fish-in-start  change half at 0.5; tests every 12 h
 */
final readonly class FishInCalculator implements Calculator
{
    private const DAYS = 3;

    /** More changes in a day than anybody makes. */
    private const MOST_A_DAY = 12;

    public function name(): string
    {
        return 'start.fish_in';
    }

    public function title(): string
    {
        return 'A start with fish in it';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            LoadInputs::feed(),
            LoadInputs::protein(),
            Input::number('removal_g_d', 'The filter takes by now', 'g N/d', 0, 1e7)->or(0.0),
            Input::number('tan_mg_l', 'Ammonia now', 'mg/L as N', 0, 100),
            WaterInputs::ph(),
            WaterInputs::temperature(),
            WaterInputs::alkalinity(),
            WaterMix::input('source', 'New water')->optional(),
            Input::number('trigger_tan_mg_l', 'Change at', 'mg/L as N', 0.05, 10)->or(0.5),
            Input::number('trigger_nh3_n_mg_l', 'or at un-ionised', 'mg/L as N', 0.001, 1)->or(0.02),
            Input::number('change_pct', 'Share changed', '%', 1, 99)->or(50.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('hours_to_trigger', 'h'),
            new Output('trigger_mg_l', 'mg/L as N'),
            new Output('change_l', 'L'),
            new Output('after_mg_l', 'mg/L as N'),
            new Output('rise_mg_l_d', 'mg/L a day'),
            new Output('feed_ceiling_g_d', 'g/d'),
            new Output('days'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $share = $given->number('change_pct') / 100;
        $load = DailyLoad::usual($given);
        $rise = (1000 * ($load->tan() - $given->number('removal_g_d'))) / $volume;
        $water = $this->water($given, $rise);
        $trigger = $water->trigger();
        $left = $water->daysLeft();
        $after = $water->later($left ?? 0.0)->changed($share);
        $source = $given->object('source')?->numberOrNull('tan_mg_l') ?? 0.0;
        $ceiling = $this->ceiling($given, $volume * $share * max(0.0, $trigger - $source));

        $work = new Working();
        $work->step(
            'The earlier of total and un-ionised ammonia decides.',
            'min(total, un-ionised / share)',
            Format::number($given->number('trigger_tan_mg_l')) .
                ', ' .
                Format::number($given->number('trigger_nh3_n_mg_l')) .
                ' at pH ' .
                Format::number($given->number('ph')) .
                ' and ' .
                Format::number($given->number('temp_c'), 3) .
                ' °C',
            Format::number($trigger, 3) . ' mg/L',
        );
        $work->step(
            'Ammonia rises by what the fish give less what the filter takes.',
            '(load − removal) / volume',
            '(' .
                Format::number($load->tan(), 3) .
                ' − ' .
                Format::number($given->number('removal_g_d'), 3) .
                ') g N/d, ' .
                Format::number($volume, 5) .
                ' L',
            Format::number($rise, 3) . ' mg/L a day',
        );
        $work->step(
            'Until then.',
            '(trigger − now) / rise',
            Format::number($given->number('tan_mg_l'), 3) . ' mg/L now',
            $left === null ? 'never: the filter takes it all' : Format::number(24 * $left, 3) . ' h',
        );
        $work->step(
            'The most to feed is what one such change a day holds.',
            '(removal + volume · share · (trigger − source)) / (protein · 0.092)',
            Format::number(100 * $share) . ' % of ' . Format::number($volume, 5) . ' L',
            Format::number($ceiling, 3) . ' g/d',
        );
        $work->cite('timmons-ebeling', 'floor-excretion', 'emerson-1975', 'cp-fish-in-start');
        $this->warn($work, $given, $load, $after, $left, $ceiling);

        return $work->result([
            'hours_to_trigger' => $left === null ? null : 24 * $left,
            'trigger_mg_l' => $trigger,
            'change_l' => $volume * $share,
            'after_mg_l' => $after->ammonia(),
            'rise_mg_l_d' => $rise,
            'feed_ceiling_g_d' => $ceiling,
            'days' => $this->days($water, $share),
        ]);
    }

    private function water(Given $given, float $rise): FishInWater
    {
        $now = [
            'tan_mg_l' => $given->number('tan_mg_l'),
            'ph' => $given->number('ph'),
            'temp_c' => $given->number('temp_c'),
            'alkalinity_mg_l' => $given->number('alkalinity_mg_l'),
        ];
        $source = ['tan_mg_l' => 0.0, ...$given->object('source')?->numbers() ?? []];
        $known = array_intersect_key($now, $source);
        // pH mixes by its carbon, and that only where both waters are known for it.
        if (!isset($source['ph'], $source['temp_c'], $source['alkalinity_mg_l'])) {
            unset($known['ph']);
        }

        return new FishInWater(
            WaterMix::known($known),
            WaterMix::known(array_intersect_key($source, $known)),
            $rise,
            $now['ph'],
            $now['temp_c'],
            $given->number('trigger_tan_mg_l'),
            $given->number('trigger_nh3_n_mg_l'),
        );
    }

    /** Feed at which one change a day still holds it, g/d. */
    private function ceiling(Given $given, float $carriedOffMgD): float
    {
        $perGram = ($given->number('protein_pct') / 100) * DailyLoad::TAN_PER_PROTEIN;

        return ($given->number('removal_g_d') + $carriedOffMgD / 1000) / $perGram;
    }

    /** @return list<array<string, int|float|list<float>>> each day's changes, and its ammonia at the end and at most */
    private function days(FishInWater $water, float $share): array
    {
        $days = [];
        for ($day = 1; $day <= self::DAYS; $day++) {
            [$now, $highest, $burns, $changes] = [0.0, $water->ammonia(), $water->unionised(), []];
            while ($now < 1) {
                $left = $water->daysLeft();
                if ($left === null || $now + $left >= 1 || count($changes) >= self::MOST_A_DAY) {
                    $water = $water->later(1 - $now);
                    $now = 1.0;
                } else {
                    $water = $water->later($left);
                    $now += $left;
                }
                $highest = max($highest, $water->ammonia());
                $burns = max($burns, $water->unionised());
                $then = $water->changed($share);
                if ($now < 1) {
                    if ($then->daysLeft() === 0.0) {
                        // New water that holds as much mends nothing.
                        $water = $water->later(1 - $now);
                        $now = 1.0;
                        $highest = max($highest, $water->ammonia());
                        $burns = max($burns, $water->unionised());
                    } else {
                        $changes[] = 24 * ($day - 1 + $now);
                        $water = $then;
                        $burns = max($burns, $water->unionised());
                    }
                }
            }
            $days[] = [
                'day' => $day,
                'changes_at_h' => $changes,
                'tan_mg_l' => $water->ammonia(),
                'tan_max_mg_l' => $highest,
                'nh3_n_max_mg_l' => $burns,
            ];
        }

        return $days;
    }

    private function warn(
        Working $work,
        Given $given,
        DailyLoad $load,
        FishInWater $after,
        ?float $left,
        float $ceiling,
    ): void {
        if ($left !== null && $after->daysLeft() === 0.0) {
            $work->danger(
                Message::of(
                    $after->unionised() > $given->number('trigger_nh3_n_mg_l')
                        ? 'model.fish_in_change_burns'
                        : 'model.fish_in_change_too_small',
                ),
            );
        }
        $unfed = DailyLoad::of($given->number('biomass_kg'), 0.0, 0.1, 0.8, 0.0, $given->number('temp_c'))->tan();
        $most = $ceiling * ($given->number('protein_pct') / 100) * DailyLoad::TAN_PER_PROTEIN;
        if ($unfed > $most) {
            $work->danger(Message::of('model.fish_in_too_many'));
        } elseif ($given->number('feed_g_d') > $ceiling) {
            $work->watch(Message::of('model.fish_in_feed', ['ceiling' => Format::number($ceiling, 2)]));
        }
        $work->note(Message::of('model.fish_in_tests'));
        if ($load->tan() > 0 && $left === null) {
            $work->note(Message::of('model.fish_in_taken'));
        }
    }
}
