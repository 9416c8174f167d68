<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Measure\Say;
use Ironwort\Core\Water\Oxygen;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Water\WaterInputs;

/**
 * The water of a system day by day: ammonia, nitrite, nitrate, alkalinity and what oxidises them.
 *
 * `events` change the course at an hour of a day: a change of water, ammonia dosed, a seed, a wash or stop
 * that kills part, another feed or temperature from then on.
 *
 *     23 °C, 4,500 L, 60 g/d of 38 % from nothing  →  ammonia peaks at 6.5 on day 17, nitrite at 13.8 on day 34
 *
 * @see Water, DormandPrince
 *
 * @source model-calibrated
 */
final readonly class RunCalculator implements Calculator
{
    public const INOCULUM = 0.006;

    private const KINDS = ['change', 'dose', 'seed', 'wash', 'stop', 'feed', 'temperature', 'flow'];

    public function name(): string
    {
        return 'model.run';
    }

    public function title(): string
    {
        return 'The water day by day';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('days', 'Days', 'd', 0.1, 730),
            WaterMix::input('now', 'The water now')->optional(),
            Input::number('active_ammonia_mg_l_d', 'Ammonia oxidisers now', 'mg N/L/d at 20 °C', 0, 10000)->or(self::INOCULUM),
            Input::number('active_nitrite_mg_l_d', 'Nitrite oxidisers now', 'mg N/L/d at 20 °C', 0, 10000)->or(self::INOCULUM),
            Input::number('grown_mg_l_d', 'Grown full', 'mg N/L/d at 20 °C', 0, 10000),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6)->or(0.0),
            Input::number('feed_g_d', 'Feed', 'g/d', 0, 1e7)->or(0.0),
            Input::number('protein_pct', 'Protein', '%', 5, 80)->or(38.0),
            WaterInputs::temperature(),
            WaterInputs::ph()->or(7.6),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30)->optional(),
            Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e7)->or(0.0),
            WaterMix::input('source', 'New water')->optional(),
            Input::rows('events', 'Events', [
                Input::number('at_d', 'On day', 'd', 0, 730),
                Input::choice('kind', 'What', self::KINDS),
                Input::number('pct', 'Share', '%', 0, 100)->optional(),
                Input::number('mg_l', 'Ammonia', 'mg/L as N', 0, 100)->optional(),
                Input::number('value', 'From then on', null, 0, 1e7)->optional(),
            ], 0, 500)->optional(),
            Input::number('tan_limit_mg_l', 'Ammonia limit', 'mg/L as N', 0.01, 20)->or(0.25),
            Input::number('no2_limit_mg_l', 'Nitrite limit', 'mg/L as N', 0.01, 20)->or(0.25),
            Input::number('points_a_day', 'Points a day', null, 1, 48)->or(2.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('series'), new Output('peak_tan_mg_l', 'mg/L as N'), new Output('peak_tan_day', 'd'), new Output('peak_no2_n_mg_l', 'mg/L as N'), new Output('peak_no2_day', 'd'),
            new Output('complete_day', 'd'), new Output('nitrogen_balance'), new Output('end'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $now = $given->object('now')?->numbers() ?? [];
        $y = [
            $now['tan_mg_l'] ?? 0.0, $now['no2_n_mg_l'] ?? 0.0, $now['no3_n_mg_l'] ?? 0.0, $now['alkalinity_mg_l'] ?? throw BadInput::at('now.alkalinity_mg_l', 'Give the alkalinity: nitrification stops without it.'),
            $given->number('active_ammonia_mg_l_d'), $given->number('active_nitrite_mg_l_d'), 0.0, 0.0,
        ];
        $start = self::nitrogen($y);
        $moved = 0.0;
        $forcing = ['feed' => $given->number('feed_g_d'), 'temperature' => $given->number('temp_c'), 'flow' => $given->number('flow_l_h')];
        $events = $this->events($given);
        $solver = new DormandPrince;
        $series = [];
        $t = 0.0;
        $end = $given->number('days');
        $every = 1 / $given->number('points_a_day');
        $mark = 0.0;
        while (true) {
            while ($events !== [] && $events[0]->number('at_d') <= $t + 1e-9) {
                $before = self::nitrogen($y);
                $y = $this->happens(array_shift($events), $y, $forcing, $given);
                $moved += self::nitrogen($y) - $before;
            }
            if ($t >= $mark - 1e-9) {
                $series[] = $this->point($t, $y, $forcing, $given);
                $mark += $every;
            }
            if ($t >= $end - 1e-9) {
                break;
            }
            $to = min($end, $mark, $events === [] ? INF : $events[0]->number('at_d'));
            $parameters = $this->parameters($given, $forcing);
            $y = array_map(static fn (float $value): float => max(0.0, $value), array_slice($y, 0, 6)) + $y;
            $y = $solver->integrate(static fn (float $time, array $state): array => Water::rates($state, $parameters), $y, $t, $to, 0.01);
            $t = $to;
        }

        $loaded = $y[Water::LOADED];
        $balance = $start + $loaded + $y[Water::EXCHANGED] + $moved - self::nitrogen($y);
        $peak = static function (string $key) use ($series): array {
            [$highest, $day] = [-1.0, 0.0];
            foreach ($series as $point) {
                if ($point[$key] > $highest) {
                    [$highest, $day] = [$point[$key], $point['day']];
                }
            }

            return [$highest, $day];
        };
        [$peakTan, $peakTanDay] = $peak('tan_mg_l');
        [$peakNo2, $peakNo2Day] = $peak('no2_n_mg_l');
        $complete = $this->complete($series, $given);

        $work = new Working;
        $work->step('Load of ammonia.', 'the larger of feed and fasting floor', Say::number($given->number('feed_g_d')).' g/d, '.Say::number($given->number('biomass_kg')).' kg, '.Say::number($given->number('volume_l'), 5).' L', Say::number($this->parameters($given, ['feed' => $given->number('feed_g_d'), 'temperature' => $given->number('temp_c'), 'flow' => 0.0])->load, 3).' mg N/L a day');
        $work->step('Ammonia oxidisers take it, nitrite oxidisers what they leave; both grow on it and die.', 'r = X s 1.09^(T − 20); dX = [mu s (1 − X/Xmax) − b] X 1.09^(T − 25)', 'grown full '.Say::number($given->number('grown_mg_l_d')).' mg N/L/d', 'steps that keep to a ten-millionth');
        $work->step('Ammonia and nitrite at their highest.', 'max', '', Say::number($peakTan, 3).' mg/L on day '.Say::number($peakTanDay, 3).', '.Say::number($peakNo2, 3).' on day '.Say::number($peakNo2Day, 3));
        $work->step('Nitrogen in and out.', 'start + load + exchanged + events − end', '', Say::number($balance, 2).' mg/L missing');
        $work->cite('model-calibrated', 'dormand-prince-1980', 'timmons-ebeling', 'rusten-2006', 'emerson-1975');
        $work->note($complete === null ? 'Within these days it is not complete.' : 'From day '.Say::number($complete, 3).' on both stay under their limits.');
        $work->note('Calibrated to the usual six weeks of a start (common practice), not published: your own readings are worth more.');

        return $work->result([
            'series' => $series, 'peak_tan_mg_l' => $peakTan, 'peak_tan_day' => $peakTanDay, 'peak_no2_n_mg_l' => $peakNo2, 'peak_no2_day' => $peakNo2Day,
            'complete_day' => $complete, 'nitrogen_balance' => $balance / max(1e-9, $start + $loaded + abs($moved)), 'end' => $series[count($series) - 1],
        ]);
    }

    /** @param  list<float>  $y */
    private static function nitrogen(array $y): float
    {
        return $y[Water::TAN] + $y[Water::NO2] + $y[Water::NO3];
    }

    /** @return list<Given> in order of time */
    private function events(Given $given): array
    {
        $events = $given->rows('events');
        foreach ($events as $i => $event) {
            $needs = match ($event->text('kind')) {
                'change', 'wash', 'stop' => 'pct',
                'dose' => 'mg_l',
                'seed' => null,
                default => 'value',
            };
            if ($needs !== null && $event->numberOrNull($needs) === null) {
                throw BadInput::at("events.{$i}.{$needs}", "A {$event->text('kind')} needs this.");
            }
        }
        $incoming = $given->number('flow_l_h') > 0 || array_filter($events, static fn (Given $event): bool => in_array($event->text('kind'), ['change', 'flow'], true)) !== [];
        if ($incoming && ! isset(($given->object('source')?->numbers() ?? [])['alkalinity_mg_l'])) {
            throw BadInput::at('source.alkalinity_mg_l', 'New water comes in: give its alkalinity.');
        }
        usort($events, static fn (Given $a, Given $b): int => $a->number('at_d') <=> $b->number('at_d'));

        return $events;
    }

    /**
     * @param  list<float>  $y
     * @param  array{feed: float, temperature: float, flow: float}  $forcing
     * @return list<float>
     */
    private function happens(Given $event, array $y, array &$forcing, Given $given): array
    {
        $share = ($event->numberOrNull('pct') ?? 0.0) / 100;
        $source = $given->object('source')?->numbers() ?? [];
        switch ($event->text('kind')) {
            case 'change':
                foreach ([Water::TAN => 'tan_mg_l', Water::NO2 => 'no2_n_mg_l', Water::NO3 => 'no3_n_mg_l', Water::ALK => 'alkalinity_mg_l'] as $i => $key) {
                    $y[$i] = (1 - $share) * $y[$i] + $share * ($source[$key] ?? 0.0);
                }
                break;
            case 'dose':
                $y[Water::TAN] += $event->numberOrNull('mg_l') ?? 0.0;
                break;
            case 'seed':
                $seed = $event->numberOrNull('value') ?? 10 * self::INOCULUM;
                $y[Water::X1] += $seed;
                $y[Water::X2] += $seed;
                break;
            case 'wash':
            case 'stop':
                $y[Water::X1] *= 1 - $share;
                $y[Water::X2] *= 1 - $share;
                break;
            case 'feed':
                $forcing['feed'] = (float) $event->numberOrNull('value');
                break;
            case 'temperature':
                $forcing['temperature'] = min(40.0, (float) $event->numberOrNull('value'));
                break;
            default:
                $forcing['flow'] = (float) $event->numberOrNull('value');
        }

        return array_values($y);
    }

    /** @param  array{feed: float, temperature: float, flow: float}  $forcing */
    private function parameters(Given $given, array $forcing): Parameters
    {
        $volume = $given->number('volume_l');
        $load = DailyLoad::of($given->number('biomass_kg'), $forcing['feed'], $given->number('protein_pct') / 100, DailyLoad::USUAL_DIGESTIBILITY, 0.0, $forcing['temperature']);
        $source = $given->object('source')?->numbers() ?? [];

        return new Parameters(1000 * $load->tan() / $volume, $forcing['temperature'], $given->numberOrNull('do_mg_l') ?? 0.9 * Oxygen::saturation($forcing['temperature']), $given->number('ph'), $source['salinity_g_l'] ?? 0.0, 24 * $forcing['flow'] / $volume, $source, $given->number('grown_mg_l_d'));
    }

    /**
     * @param  list<float>  $y
     * @param  array{feed: float, temperature: float, flow: float}  $forcing
     * @return array<string, float>
     */
    private function point(float $day, array $y, array $forcing, Given $given): array
    {
        $tan = max(0.0, $y[Water::TAN]);

        return [
            'day' => $day, 'tan_mg_l' => $tan, 'no2_n_mg_l' => max(0.0, $y[Water::NO2]), 'no3_n_mg_l' => max(0.0, $y[Water::NO3]), 'alkalinity_mg_l' => max(0.0, $y[Water::ALK]),
            'nh3_n_mg_l' => UnionisedAmmonia::of($tan, $given->number('ph'), $forcing['temperature'])->nh3N, 'active_ammonia_mg_l_d' => $y[Water::X1], 'active_nitrite_mg_l_d' => $y[Water::X2],
        ];
    }

    /**
     * The day from which both stay under their limits to the end; null when they do not.
     *
     * @param  list<array<string, float>>  $series
     */
    private function complete(array $series, Given $given): ?float
    {
        $since = null;
        foreach ($series as $point) {
            $under = $point['tan_mg_l'] <= $given->number('tan_limit_mg_l') && $point['no2_n_mg_l'] <= $given->number('no2_limit_mg_l');
            $since = $under ? $since ?? $point['day'] : null;
        }

        return $since;
    }
}
