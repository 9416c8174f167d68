<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\School;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The schools of changing water side by side: what each does to nitrate, KH, GH, temperature and the water bill.
 *
 * From day to day the fish make nitrate and nitrification eats alkalinity, 3.57 g as CaCO3 per g N net; what
 * evaporates is topped up, which brings minerals and takes nothing out. A trickle runs all the while:
 * dC/dt = P/V + q (Cs − C) + e Cs; a batch is drained and refilled at the end of its day.
 *
 *     volume_l 10000, now {"no3_n_mg_l": 20}, source {"no3_n_mg_l": 3}, tan_g_d 5  →  schools.1.no3_n_mg_l 7.52,
 *       schools.1.water_l 60000
 *
 * @source cp-exchange
 */
final readonly class SchoolsCalculator implements Calculator
{
    /** Alkalinity eaten per nitrogen fed and nitrified, net, g CaCO3 per g N. @source nitrification-stoichiometry */
    private const KEYS = ['no3_n_mg_l', 'alkalinity_mg_l', 'hardness_mg_l', 'salinity_g_l'];

    public function __construct(private SchoolTable $schools) {}

    public function name(): string
    {
        return 'exchange.schools';
    }

    public function title(): string
    {
        return 'Schools of changing water, side by side';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterMix::input('now', 'The system now'),
            WaterMix::input('source', 'New water'),
            Input::number('tan_g_d', 'Ammonia the fish give', 'g N/d', 0, 1e6)->or(0.0),
            Input::number('taken_g_d', 'Nitrate taken by plants and bog', 'g N/d', 0, 1e6)->or(0.0),
            Input::number('surface_m2', 'Open surface', 'm²', 0, 1e6)->or(0.0),
            Input::number('evaporation_mm_d', 'Evaporation', 'mm/d', 0, 30)->or(Evaporation::MM_D),
            Input::number('days', 'Days', 'd', 1, 3650)->or(60.0),
            Input::number('price_m3', 'Price of water', 'per m³', 0, 1000)->optional(),
            Input::number('booked_l_d', 'Changed by the book, as a mean', 'L/d', 0, 1e8)->optional(),
            Input::number('booked_trickle_l_d', 'Trickle that runs over', 'L/d', 0, 1e8)->optional(),
            WaterMix::input('booked_source', 'What comes in here')->optional(),
            Input::number('booked_topup_l_d', 'Topped up here', 'L/d', 0, 1e8)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('schools')];
    }

    public function calculate(Given $given): Result
    {
        [$now, $source] = WaterMix::pair($given);
        $volume = $given->number('volume_l');
        $days = (int) round($given->number('days'));
        $evaporation = $given->number('surface_m2') * $given->number('evaporation_mm_d');
        $made = [
            'no3_n_mg_l' => (1000 * ($given->number('tan_g_d') - $given->number('taken_g_d'))) / $volume,
            'alkalinity_mg_l' => (-1000 * DailyLoad::NET_ALKALINITY_PER_N * $given->number('tan_g_d')) / $volume,
        ];
        $price = $given->numberOrNull('price_m3');
        $work = new Working();
        $work->step(
            'Nitrate made in a day, less what plants take.',
            '(load − taken) / volume',
            Format::number($given->number('tan_g_d')) .
                ' − ' .
                Format::number($given->number('taken_g_d')) .
                ' g N/d, ' .
                Format::number($volume, 5) .
                ' L',
            Format::number($made['no3_n_mg_l']) . ' mg/L as N',
        );
        $work->step(
            'Alkalinity eaten in a day.',
            '3.57 × load / volume',
            Format::number($given->number('tan_g_d')) . ' g N/d',
            Format::number(-$made['alkalinity_mg_l']) . ' mg/L',
        );
        $work->step(
            'Topped up for evaporation in a day.',
            'surface × mm',
            Format::number($given->number('surface_m2')) .
                ' m² × ' .
                Format::number($given->number('evaporation_mm_d')) .
                ' mm',
            Format::number($evaporation) . ' L',
        );
        $rows = [];
        foreach ([...self::booked($given), ...$this->schools->topic('exchange')->schools] as $school) {
            // What really comes in may be another water than the one that is looked at.
            $comes =
                $school->id === 'booked'
                    ? WaterMix::known([...$source->values, ...$given->object('booked_source')?->numbers() ?? []])
                    : $source;
            $topUp = $school->id === 'booked' ? $given->numberOrNull('booked_topup_l_d') ?? $evaporation : $evaporation;
            [$row, $used] = $this->follow($school, $now, $comes, $made, $volume, $topUp / $volume, $days);
            $rows[] = [...$row, 'water_l' => $used, 'cost' => $price === null ? null : ($price * $used) / 1000];
            $work->step(
                "{$school->name}, after {$days} days.",
                'dC/dt = P/V + q (Cs − C) + e Cs; a batch at the end of its day',
                Format::number($school->figure('pct')) .
                    ' % every ' .
                    Format::number($school->figure('every_d')) .
                    ' d, ' .
                    Format::number($school->figure('trickle_pct_week')) .
                    ' % a week',
                Format::number($used, 4) . ' L used',
            );
        }
        $work->cite('mass-balance', 'nitrification-stoichiometry', 'cp-exchange');
        $work->note(Message::of('exchange.schools_feed_fish_plants_held'));

        return $work->result(['schools' => $rows]);
    }

    /** @return list<School> how the system is really kept, beside what the schools ask for */
    private static function booked(Given $given): array
    {
        $batch = $given->numberOrNull('booked_l_d');
        $trickle = $given->numberOrNull('booked_trickle_l_d');
        $volume = $given->number('volume_l');

        return $batch === null && $trickle === null
            ? []
            : [
                new School(
                    'booked',
                    'As booked here',
                    'What was changed in the last four weeks, and the trickle that runs.',
                    'What it costs stands in the book.',
                    [
                        'pct' => min(100.0, (100 * ($batch ?? 0.0)) / $volume),
                        'every_d' => 1.0,
                        'trickle_pct_week' => (700 * ($trickle ?? 0.0)) / $volume,
                    ],
                    'mass-balance',
                ),
            ];
    }

    /**
     * @param  array<string, float>  $made  mg/L a day
     * @param  float  $topUp  share of the water topped up in a day
     * @return array{array<string, float|string|null>, float} the row, and litres used
     */
    private function follow(
        School $school,
        WaterMix $now,
        WaterMix $source,
        array $made,
        float $volume,
        float $topUp,
        int $days,
    ): array {
        $flow = $school->figure('trickle_pct_week') / 700;
        $share = $school->figure('pct') / 100;
        $every = max(1, (int) $school->figure('every_d'));
        $water = array_intersect_key($now->values, array_flip(self::KEYS));
        $used = 0.0;
        $swing = null;
        for ($day = 1; $day <= $days; $day++) {
            foreach ($water as $key => $value) {
                $water[$key] = max(0.0, self::dayOn($value, $made[$key] ?? 0.0, $flow, $topUp, $source->values[$key]));
            }
            $used += ($flow + $topUp) * $volume;
            if ($share > 0 && $day % $every === 0) {
                $swing = isset($water['no3_n_mg_l'])
                    ? max($swing ?? 0.0, $share * abs($water['no3_n_mg_l'] - $source->values['no3_n_mg_l']))
                    : $swing;
                foreach ($water as $key => $value) {
                    $water[$key] = (1 - $share) * $value + $share * $source->values[$key];
                }
                $used += $share * $volume;
            }
        }

        return [
            [
                'id' => $school->id,
                'name' => $school->name,
                ...array_combine(
                    self::KEYS,
                    array_map(static fn(string $key): ?float => $water[$key] ?? null, self::KEYS),
                ),
                'nitrate_jump_mg_l' => $swing,
                'temp_drop_c' => isset($now->values['temp_c'])
                    ? $share * ($now->values['temp_c'] - $source->values['temp_c'])
                    : null,
                'pct_week' => 700 * ($share / $every + $flow),
            ],
            $used,
        ];
    }

    private static function dayOn(float $value, float $made, float $flow, float $topUp, float $source): float
    {
        $comes = $made + ($flow + $topUp) * $source;

        return $flow <= 0 ? $value + $comes : $comes / $flow + ($value - $comes / $flow) * exp(-$flow);
    }
}
