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
use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Numeric\DormandPrince;
use Ironwort\Core\Water\BufferCalculator;
use Ironwort\Core\Words\Message;

/**
 * Where a start stands and when it will be ready: the bacteria there were on day 0 are found from the readings since,
 * and followed into the days to come.
 *
 * Readings are intervals; what the model says is held against their middles, in units of half their width (at least
 * 0.05 mg/L and a tenth of the value), of one that says “at least” only from below; what drifts in by itself counts
 * as one more reading, known within a power of
 * ten. First the ammonia oxidisers from the ammonia, then the nitrite oxidisers from
 * the nitrite. Ready is the day on which both have stayed under their limits for `hold_days`; in a start fed by doses
 * (`dose_to_mg_l`), the day after the first dose that is down to both limits within a day. The band is of two standard
 * errors of the fit; growth itself is taken as known.
 *
 *     volume_l 4500, grown_mg_l_d 20, feed_g_d 60, temp_c 23, then {"alkalinity_mg_l": 150}, readings [{"day": 2,
 *       "tan_low_mg_l": 0.7, "tan_high_mg_l": 1.2}, {"day": 4, "tan_low_mg_l": 1.5, "tan_high_mg_l": 2.5}, {"day": 6,
 *       "tan_low_mg_l": 2, "tan_high_mg_l": 3.5}]  →  stage waiting, takes_g_d 0.0239, peak_no2_n_mg_l 13.6
 *
 * @see Run, Fit
 *
 * @source model-calibrated
 */
final readonly class MaturationCalculator implements Calculator
{
    /** Both have stayed under their limits for so long when a start is done, days. Common practice, no source. */
    public const HELD_D = 7.0;

    private const LEAST_READINGS = 3;

    /** Fewer bacteria than this nobody can tell from none, mg N/L/d at 20 °C. */
    private const NONE = 1e-6;

    /** Off by more than three times its own uncertainty at the mean reading, a run of readings tells another story. */
    private const FITS = 9.0;

    /** A reading whose most is so many times its least has no upper end. */
    private const OPEN = 10.0;

    private const MARKS_A_DAY = 2;

    /** Alkalinity at which nitrification begins to fail, mg/L as CaCO3: 2.8 dKH. */
    private const STARVES_MG_L = 50.0;

    /** Steps after which a guess is given up, and what it is then held to cost. */
    private const QUICK_STEPS = 5000;

    private const NEVER = 1e12;

    public function name(): string
    {
        return 'filter.maturation';
    }

    public function title(): string
    {
        return 'Where a start stands, and when it is ready';
    }

    public function inputs(): array
    {
        $reading = static fn(string $key, string $label): Input => Input::number(
            $key,
            $label,
            'mg/L as N',
            0,
            1000,
        )->optional();

        return [
            ...Run::inputs(),
            WaterMix::input('then', 'The water on day 0')->optional(),
            Input::rows(
                'readings',
                'Readings since',
                [
                    Input::number('day', 'Day', 'd', 0, 365),
                    $reading('tan_low_mg_l', 'Ammonia, at least'),
                    $reading('tan_high_mg_l', 'Ammonia, at most'),
                    $reading('no2_low_mg_l', 'Nitrite, at least'),
                    $reading('no2_high_mg_l', 'Nitrite, at most'),
                ],
                self::LEAST_READINGS,
                400,
            ),
            Input::number('hold_days', 'Under for', 'd', 0, 60)->or(self::HELD_D),
            Input::number('horizon_d', 'Looked ahead', 'd', 1, 365)->or(120.0),
            Input::number('hold_alkalinity_mg_l', 'KH kept at', 'mg/L as CaCO₃', 10, 1000)->optional(),
            Input::number('dose_to_mg_l', 'Ammonia dosed to', 'mg/L as N', 0.1, 10)->optional(),
            Input::number('dose_below_mg_l', 'again below', 'mg/L as N', 0, 10)->or(0.5),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('today', 'd'),
            new Output('ready_day', 'd'),
            new Output('ready_early_day', 'd'),
            new Output('ready_late_day', 'd'),
            new Output('days_left', 'd'),
            new Output('active_ammonia_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('active_ammonia_low_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('active_ammonia_high_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('active_nitrite_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('active_nitrite_low_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('active_nitrite_high_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('takes_g_d', 'g N/d'),
            new Output('stage'),
            new Output('peak_no2_n_mg_l', 'mg/L as N'),
            new Output('peak_no2_day', 'd'),
            new Output('misfit'),
            new Output('kh_low_day', 'd'),
            new Output('bicarbonate_g', 'g'),
            new Output('start_ammonia_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('start_nitrite_mg_l_d', 'mg N/L/d at 20 °C'),
            new Output('ways'),
            new Output('series'),
            new Output('early'),
            new Output('late'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $tan = $this->readings($given, 'tan');
        $no2 = $this->readings($given, 'no2');
        if (count($tan) < self::LEAST_READINGS) {
            throw BadInput::at(
                'readings',
                'It takes ' . self::LEAST_READINGS . ' readings of ammonia at least; these hold ' . count($tan) . '.',
            );
        }
        $today = max(array_column([...$tan, ...$no2], 0));
        $most = max(self::NONE * 10, $given->number('grown_mg_l_d'));
        $then = $given->object('then')?->numbers() ?? [];
        $quick = Run::from($given, new DormandPrince(1e-5, 1e-7, self::QUICK_STEPS));
        $start = static fn(float $x1, float $x2): array => Run::state($then, 'then', $x1, $x2);
        // What drifts in is known within a power of ten; readings that say otherwise soon outweigh that.
        $usual = static fn(float $active): float => log10($active / Run::INOCULUM) ** 2;
        $first = Fit::of(
            static fn(float $x1): float => $usual($x1) +
                self::cost($quick, $start($x1, Run::INOCULUM), $tan, 'tan_mg_l'),
            self::NONE,
            $most,
        );
        $second =
            count($no2) < 1
                ? null
                : Fit::of(
                    static fn(float $x2): float => $usual($x2) +
                        self::cost($quick, $start($first->best, $x2), $no2, 'no2_n_mg_l'),
                    self::NONE,
                    $most,
                );

        $run = Run::from($given);
        $to = $given->numberOrNull('dose_to_mg_l');
        $held = $given->numberOrNull('hold_alkalinity_mg_l');
        $run = $run->tended(new Tending($today, $given->number('dose_below_mg_l'), $to, $held));
        $marks = array_map(
            static fn(int $i): float => $i / self::MARKS_A_DAY,
            range(0, (int) ceil(self::MARKS_A_DAY * ($today + $given->number('horizon_d')))),
        );
        $follow = static fn(float $x1, float $x2): Trace => $run->through($start($x1, $x2), $marks);
        $likely = $follow($first->best, $second->best ?? $first->best);
        $early = $follow($first->high, $second->high ?? $first->high);
        $late = $follow($first->low, $second->low ?? $first->low);
        $ready = function (Trace $trace) use ($given, $today, $to): ?float {
            [$tanLimit, $no2Limit] = [$given->number('tan_limit_mg_l'), $given->number('no2_limit_mg_l')];
            if ($to !== null) {
                return $trace->clears($today, $tanLimit, $no2Limit);
            }

            return $trace->stayed($tanLimit, $no2Limit, $given->number('hold_days'));
        };
        $fed = $this->fed($given, $tan);
        $day = $fed ? $ready($likely) : null;
        $ways = Hastening::of(
            $run,
            $today,
            $given->number('grown_mg_l_d'),
            $day,
            static fn(Run $other): ?float => $ready(
                $other->through($start($first->best, $second->best ?? $first->best), $marks),
            ),
        );
        $now = $likely->on($today);
        $readings = count($tan) + count($no2);
        $misfit = ($first->cost + ($second->cost ?? 0.0)) / $readings;
        $limit = $given->number('tan_limit_mg_l');
        $takes =
            (((($now['active_ammonia_mg_l_d'] * $limit) / (Kinetics::K1 + $limit)) * $given->number('volume_l')) /
                1000) *
            ArealRate::warmth($run->temperature($today));
        [$peak, $peakDay] = $likely->peak('no2_n_mg_l', $today);
        $edge = static fn(Trace $trace, string $key): float => $trace->on($today)[$key];

        $dry = $likely->below('alkalinity_mg_l', self::STARVES_MG_L, $today);
        $work = new Working();
        $work->step(
            'The ammonia oxidisers of day 0 that fit the ammonia since best.',
            'least Σ ((model − reading)/half its width)²',
            count($tan) . ' readings of ammonia',
            Format::number($first->best, 2) .
                ' mg N/L/d, between ' .
                Format::number($first->low, 2) .
                ' and ' .
                Format::number($first->high, 2),
        );
        $work->step(
            'The nitrite oxidisers that fit the nitrite.',
            'the same',
            count($no2) . ' readings of nitrite',
            $second === null
                ? 'as many, it is assumed: nitrite was never tested'
                : Format::number($second->best, 2) .
                    ' mg N/L/d, between ' .
                    Format::number($second->low, 2) .
                    ' and ' .
                    Format::number($second->high, 2),
        );
        $work->step(
            'Followed to today.',
            'dX = [mu s (1 − X/Xmax) − b] X 1.09^(T − 25)',
            'day ' . Format::number($today, 3),
            Format::number($now['active_ammonia_mg_l_d'], 3) .
                ' and ' .
                Format::number($now['active_nitrite_mg_l_d'], 3) .
                ' mg N/L/d',
        );
        $work->step(
            'What they take today where ammonia stands at its limit.',
            'X limit/(0.7 + limit) f(T) × volume',
            Format::number($limit, 3) . ' mg/L, ' . Format::number($run->temperature($today), 3) . ' °C',
            Format::number($takes, 3) . ' g N/d',
        );
        $work->step(
            $to === null
                ? 'And on, until both have stayed under.'
                : 'And on, dosed again each time, until a dose is down in a day.',
            $to === null
                ? 'since + ' . Format::number($given->number('hold_days')) . ' days'
                : 'ammonia and nitrite under their limits 24 h after',
            'at most ' . Format::number($given->number('horizon_d')) . ' days',
            $day === null ? 'not in that time' : 'day ' . Format::number($day, 3),
        );
        $work->cite('model-calibrated', 'dormand-prince-1980');
        if ($misfit > self::FITS) {
            $work->watch(Message::of('model.maturation_these_readings_tell_another'));
        }
        if ($held !== null) {
            $work->step(
                'KH kept up on the way, as bicarbonate.',
                'sum of what is missing × volume × 1.6787',
                Format::number($held, 3) . ' mg/L as CaCO₃',
                Format::number(
                    (($likely->buffered($day ?? INF) * $given->number('volume_l')) / 1000) *
                        BufferCalculator::BICARBONATE_PER_CACO3,
                    3,
                ) . ' g',
            );
        }
        if ($dry !== null && ($day === null || $dry < $day)) {
            $work->watch(Message::of('model.maturation_kh_falls_dkh_day', ['dry' => Format::number($dry, 3)]));
        }
        if ($second === null) {
            $work->watch(Message::of('model.maturation_nitrite_never_tested_half'));
        }
        $work->note(Message::of('model.maturation_band_readings_how_fast'));

        return $work->result([
            'today' => $today,
            'ready_day' => $day,
            'ready_early_day' => $fed ? $ready($early) : null,
            'ready_late_day' => $fed ? $ready($late) : null,
            'days_left' => $day === null ? null : max(0.0, $day - $today),
            'active_ammonia_mg_l_d' => $now['active_ammonia_mg_l_d'],
            'active_ammonia_low_mg_l_d' => $edge($late, 'active_ammonia_mg_l_d'),
            'active_ammonia_high_mg_l_d' => $edge($early, 'active_ammonia_mg_l_d'),
            'active_nitrite_mg_l_d' => $now['active_nitrite_mg_l_d'],
            'active_nitrite_low_mg_l_d' => $edge($late, 'active_nitrite_mg_l_d'),
            'active_nitrite_high_mg_l_d' => $edge($early, 'active_nitrite_mg_l_d'),
            'takes_g_d' => $takes,
            'stage' => StartPhase::of(
                $now,
                $given->number('tan_limit_mg_l'),
                $given->number('no2_limit_mg_l'),
                $day !== null && $day <= $today,
                $fed,
            )->value,
            'peak_no2_n_mg_l' => $peak,
            'peak_no2_day' => $peakDay,
            'misfit' => $misfit,
            'kh_low_day' => $dry,
            'bicarbonate_g' =>
                $held === null
                    ? null
                    : (($likely->buffered($day ?? INF) * $given->number('volume_l')) / 1000) *
                        BufferCalculator::BICARBONATE_PER_CACO3,
            'start_ammonia_mg_l_d' => $first->best,
            'start_nitrite_mg_l_d' => $second->best ?? $first->best,
            'ways' => $ways,
            'series' => $likely->points,
            'early' => $early->points,
            'late' => $late->points,
        ]);
    }

    /**
     * Whether there ever was ammonia: read above its limit, dosed, or given by fish and feed.
     *
     * @param  list<array{float, float, float}>  $tan
     */
    private function fed(Given $given, array $tan): bool
    {
        $brought = array_filter(
            $given->rows('events'),
            static fn(Given $event): bool => $event->text('kind') === 'dose' ||
                (in_array($event->text('kind'), ['feed', 'fish'], true) && ($event->numberOrNull('value') ?? 0.0) > 0),
        );

        return $given->number('biomass_kg') > 0 ||
            $given->number('feed_g_d') > 0 ||
            $brought !== [] ||
            max([0.0, ...array_column($tan, 1)]) > $given->number('tan_limit_mg_l');
    }

    /**
     * How far the model is from the readings: the sum of squares in units of their own uncertainty.
     *
     * @param  list<float>  $state
     * @param  list<array{float, float, float}>  $readings
     */
    private static function cost(Run $run, array $state, array $readings, string $key): float
    {
        try {
            $trace = $run->through($state, array_values(array_unique(array_column($readings, 0), SORT_NUMERIC)));
        } catch (BadInput) {
            // So many bacteria that ammonia is gone in minutes: whatever was read, it was not that.
            return self::NEVER;
        }

        return array_sum(
            array_map(
                static fn(array $reading): float => self::apart(
                    $trace->on($reading[0])[$key],
                    $reading[1],
                    $reading[2],
                ) ** 2,
                $readings,
            ),
        );
    }

    /**
     * How far a value is from a reading, in half its width; one at the end of its kit says “at least”, and more is no
     * error.
     */
    private static function apart(float $value, float $low, float $high): float
    {
        if ($high > self::OPEN * max($low, 0.5)) {
            return max(0.0, $low - $value) / max(0.05, 0.1 * $low);
        }
        $middle = ($low + $high) / 2;

        return ($value - $middle) / max(($high - $low) / 2, 0.05, 0.1 * $middle);
    }

    /**
     * Day, least and most of each reading of one kind, in order of time.
     *
     * @return list<array{float, float, float}>
     */
    private function readings(Given $given, string $of): array
    {
        $readings = [];
        foreach ($given->rows('readings') as $i => $row) {
            [$low, $high] = [$row->numberOrNull("{$of}_low_mg_l"), $row->numberOrNull("{$of}_high_mg_l")];
            if ($low === null && $high === null) {
                continue;
            }
            if ($low === null || $high === null || $high < $low) {
                throw BadInput::at("readings.{$i}.{$of}_high_mg_l", 'Give both ends of the reading, the lower first.');
            }
            $readings[] = [$row->number('day'), $low, $high];
        }
        usort($readings, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return $readings;
    }
}
