<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Where nitrate goes: changes, plants, a bog, denitrifying medium, sludge; and where it settles.
 *
 * Nitrogen in g/d, nitrate in mg/L as N. What plants, bogs and denitrifying media take is given with a
 * wide band, and falls off under 2 mg/L, where there is too little to take.
 *
 *     no3_n_mg_l 8, production_g_d 10, temp_c 20, change_l_d 500  →  total_g_d 4.5, no3_n_steady_mg_l 19
 *
 * @source nitrate-sinks-from-memory  @source avnimelech-1999  20 g of carbohydrate for 1 g N
 */
final readonly class NitrateSinksCalculator implements Calculator
{
    /** g N/m²/d of cover in full growth at 20 °C: low, usual, high. */
    private const PLANTS = [0.05, 0.2, 0.6];

    private const BOG = [0.1, 0.5, 1.5];

    /** g N/m³/d. */
    private const MEDIUM = [20.0, 60.0, 200.0];

    /** g N that microbes take for a gram of carbohydrate: low, usual, high. */
    private const MICROBES = [0.025, 0.05, 0.075];

    /** g O2 a gram of carbohydrate: half of it is carbon, 60 % of that is breathed. */
    private const MICROBES_O2 = 0.8;

    private const GROWTH = [
        'spring' => 0.5,
        'summer' => 1.0,
        'autumn' => 0.4,
        'winter' => 0.1,
    ];

    private const THETA = 1.07;

    private const HALF_MG_L = 2.0;

    /** Of the nitrogen made into nitrate, lost again in silt and dead corners. */
    private const IN_SLUDGE = 0.05;

    /** How deep a bog is taken to be where nobody measured its plan, m: from memory, 0.3 to 0.6. */
    private const BOG_DEPTH_M = 0.5;

    /**
     * What so much cover of plants, or a bloom like it, takes of nitrate at this level.
     *
     * @return array{float, float, float} g N/d: low, usual, high
     */
    public static function plantsTakeGD(float $m2, string $season, float $tempC, float $nitrateMgL): array
    {
        $growth = self::GROWTH[$season] * self::THETA ** ($tempC - 20);
        $some = $nitrateMgL / (self::HALF_MG_L + $nitrateMgL);

        return [
            self::PLANTS[0] * $m2 * $growth * $some,
            self::PLANTS[1] * $m2 * $growth * $some,
            self::PLANTS[2] * $m2 * $growth * $some,
        ];
    }

    /** Area of a bog seen from above, m², by its plan or else by its gravel in L. */
    public static function bogM2(float $mediaL, ?float $planM2): float
    {
        return $planM2 ?? $mediaL / 1000 / self::BOG_DEPTH_M;
    }

    public function name(): string
    {
        return 'nitrate.sinks';
    }

    public function title(): string
    {
        return 'Where nitrate goes';
    }

    public function inputs(): array
    {
        return [
            Input::number('no3_n_mg_l', 'Nitrate now', 'mg/L as N', 0, 500),
            Input::number('production_g_d', 'Nitrate made', 'g N/d', 0, 1e6)->or(0.0),
            WaterInputs::temperature(),
            Input::number('change_l_d', 'Water changed', 'L/d', 0, 1e8)->or(0.0),
            Input::number('topup_l_d', 'Topped up for evaporation', 'L/d', 0, 1e8)->or(0.0),
            Input::number('source_no3_n_mg_l', 'Nitrate in new water', 'mg/L as N', 0, 500)->or(0.0),
            Input::number('plants_m2', 'Cover of plants', 'm²', 0, 1e6)->or(0.0),
            Input::number('bog_m2', 'Bog', 'm²', 0, 1e6)->or(0.0),
            Input::number('denitrifying_l', 'Denitrifying medium', 'L', 0, 1e6)->or(0.0),
            Input::number('carbon_g_d', 'Carbon fed to microbes, as carbohydrate', 'g/d', 0, 1e5)->or(0.0),
            Input::choice('season', 'Season', array_keys(self::GROWTH))->or('summer'),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('changes_g_d', 'g N/d'),
            new Output('plants_g_d', 'g N/d'),
            new Output('bog_g_d', 'g N/d'),
            new Output('denitrifying_g_d', 'g N/d'),
            new Output('microbes_g_d', 'g N/d'),
            new Output('microbes_o2_g_d', 'g O₂/d'),
            new Output('sludge_g_d', 'g N/d'),
            new Output('total_g_d', 'g N/d'),
            new Output('low_g_d', 'g N/d'),
            new Output('high_g_d', 'g N/d'),
            new Output('no3_n_steady_mg_l', 'mg/L as N'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $now = $given->number('no3_n_mg_l');
        $warmth = self::THETA ** ($given->number('temp_c') - 20);
        $growth = self::GROWTH[$given->text('season')] * $warmth;
        $full = array_map(
            static fn(int $i): array => [
                'plants' => self::PLANTS[$i] * $given->number('plants_m2') * $growth,
                'bog' =>
                    self::BOG[$i] *
                    $given->number('bog_m2') *
                    (0.3 + 0.7 * self::GROWTH[$given->text('season')]) *
                    $warmth,
                'denitrifying' => ((self::MEDIUM[$i] * $given->number('denitrifying_l')) / 1000) * $warmth,
                'microbes' => self::MICROBES[$i] * $given->number('carbon_g_d'),
            ],
            [0, 1, 2],
        );
        $some = static fn(float $level): float => $level / (self::HALF_MG_L + $level);
        $source = $given->number('source_no3_n_mg_l');
        $toppedUp = ($given->number('topup_l_d') / 1000) * $source;
        $changes = ($given->number('change_l_d') / 1000) * ($now - $source) - $toppedUp;
        $sludge = self::IN_SLUDGE * $given->number('production_g_d');
        $takes = static fn(int $i, float $level): float => array_sum($full[$i]) * $some($level);
        $total = $changes + $takes(1, $now) + $sludge;

        $work = new Working();
        $work->step(
            'With the water that is changed.',
            'changed × (now − new) − topped up × new',
            Format::number($given->number('change_l_d'), 4) .
                ' L/d × (' .
                Format::number($now) .
                ' − ' .
                Format::number($source) .
                ') mg/L − ' .
                Format::number($given->number('topup_l_d'), 3) .
                ' L/d × ' .
                Format::number($source) .
                ' mg/L',
            Format::number($changes) . ' g N/d',
        );
        $work->step(
            'Plants, bog, denitrifying medium and microbes at their usual rates, this warm and in this season.',
            'area × rate × growth × C/(2 + C)',
            'plants ' .
                Format::number($full[1]['plants']) .
                ', bog ' .
                Format::number($full[1]['bog']) .
                ', medium ' .
                Format::number($full[1]['denitrifying']) .
                ', microbes ' .
                Format::number($full[1]['microbes']) .
                ' at most',
            Format::number($takes(1, $now)) . ' g N/d',
        );
        $work->step(
            'Lost in sludge.',
            '5 % of what is made',
            Format::number($given->number('production_g_d')) . ' g N/d',
            Format::number($sludge) . ' g N/d',
        );
        $work->cite('nitrate-sinks-from-memory');
        $breathed = self::MICROBES_O2 * $given->number('carbon_g_d');
        if ($breathed > 0) {
            $work->cite('avnimelech-1999');
            $work->watch(
                Message::of('filter.nitrate_sinks_microbes_breathe', ['oxygen' => Format::number($breathed, 2)]),
            );
        }
        $work->note(Message::of('filter.nitrate_sinks_grows_takes_between_quarter'));
        $steady = $this->steady($given, $full[1], $sludge);
        if ($steady === null) {
            $work->watch(Message::of('filter.nitrate_sinks_nothing_carries_off_made'));
        }

        return $work->result([
            'changes_g_d' => $changes,
            'plants_g_d' => $full[1]['plants'] * $some($now),
            'bog_g_d' => $full[1]['bog'] * $some($now),
            'denitrifying_g_d' => $full[1]['denitrifying'] * $some($now),
            'microbes_g_d' => $full[1]['microbes'] * $some($now),
            'microbes_o2_g_d' => $breathed,
            'sludge_g_d' => $sludge,
            'total_g_d' => $total,
            'low_g_d' => $changes + $takes(0, $now) + $sludge,
            'high_g_d' => $changes + $takes(2, $now) + $sludge,
            'no3_n_steady_mg_l' => $steady,
        ]);
    }

    /**
     * Where as much goes as is made and topped up: Q (C − Cs) + F C/(2 + C) = P + E Cs, a quadratic in C.
     *
     * @param  array<string, float>  $full
     */
    private function steady(Given $given, array $full, float $sludge): ?float
    {
        $source = $given->number('source_no3_n_mg_l');
        $made = $given->number('production_g_d') - $sludge + ($given->number('topup_l_d') / 1000) * $source;
        $flow = $given->number('change_l_d') / 1000;
        $takes = array_sum($full);
        if ($flow <= 0) {
            return $made < $takes ? (self::HALF_MG_L * $made) / ($takes - $made) : null;
        }
        $b = $flow * (self::HALF_MG_L - $source) + $takes - $made;
        $c = -self::HALF_MG_L * ($flow * $source + $made);

        return (-$b + sqrt($b ** 2 - 4 * $flow * $c)) / (2 * $flow);
    }
}
