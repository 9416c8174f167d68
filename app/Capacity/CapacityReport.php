<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Calc\FigureRow;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Filter\Headroom;
use Ironwort\Core\Filter\Limit;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** Load of fish and feed against what the filter can take: today, when grown, and before what runs out first. */
final readonly class CapacityReport
{
    private const NO_ROOM = ['limit' => '', 'feed_g_d' => 0.0, 'kg' => 0.0, 'fish' => 0.0];

    private const LIMITS = ['surface' => 'Surface', 'oxygen' => 'Oxygen', 'transport' => 'Flow'];

    public function __construct(
        private Registry $registry,
        private StageKinds $kinds,
        private SystemLoad $load,
        private FilterInputs $question,
    ) {}

    /**
     * @param  array<string, string>  $typed  conditions and what-ifs of the page, as typed
     * @param  bool  $believing  whether a measurement that is believed stands in for the estimate
     */
    public function of(System $system, LatestWater $water, array $typed = [], bool $believing = true): CapacityVerdict
    {
        [$conditions, $whatIf] = $this->read($system, $water, $typed);
        $load = $this->load->figure($system, $conditions, $whatIf);
        $shown = array_values(
            array_map(
                fn(Origin $origin): array => ['origin' => $origin, 'unit' => $this->unit($origin->key)],
                $conditions->origins,
            ),
        );
        if ($system->stages->isEmpty()) {
            return CapacityVerdict::withoutFilter($shown, $load);
        }
        $rows = $this->question->stages($system, $conditions, $whatIf);
        $rows = $believing ? $this->believed($system, $rows) : $rows;
        $input = $this->question->balance($system, $conditions, $whatIf, $rows);
        $balance = $this->registry->run('filter.balance', $input);
        $active = $balance->number('active_pct');
        $capacityInput = [
            'temp_c' => $conditions->values['temp_c'],
            'ph' => $conditions->values['ph'],
            'do_in_mg_l' => $conditions->values['do_mg_l'],
            'tan_mg_l' => $conditions->values['tan_mg_l'],
            'alkalinity_mg_l' => $conditions->values['alkalinity_mg_l'],
            'stages' => array_map(
                static fn(array $row): array => [...$row, 'maturity_pct' => round($active, 6)],
                $rows,
            ),
        ];
        $result = $this->registry->run('filter.capacity', $capacityInput);
        $origins = [
            ...$this->question->origins($system, $conditions),
            new Origin(
                'maturity_pct',
                'Surface grown',
                Format::number($active, 2) . ' %',
                'computed',
                'as the load of the last weeks fed it',
            ),
        ];
        $figure = static fn(string $label, string $key): Figure => new Figure(
            $label,
            $result->number($key),
            'g N/d',
            'filter.capacity',
            $key,
            $capacityInput,
            $origins,
        );
        $of = static fn(string $label, string $key, ?string $unit): ?Figure => $balance->figures[$key] === null
            ? null
            : new Figure($label, $balance->number($key), $unit, 'filter.balance', $key, $input, $origins);
        $capacity = $figure('The filter can take', 'total_g_d');
        $carrying = new Carrying($load->value, $capacity->value, Limit::from($this->text($result, 'limiting')));

        return CapacityVerdict::of(
            conditions: $shown,
            load: $load,
            capacity: $capacity,
            grown: $of('Grown, it could take', 'capacity_g_d', 'g N/d'),
            limits: array_map(
                static fn(string $limit): Figure => $figure(self::LIMITS[$limit], "{$limit}_limit_g_d"),
                array_combine(array_keys(self::LIMITS), array_keys(self::LIMITS)),
            ),
            carrying: $carrying,
            sentence: $carrying->sentence($conditions->values['tan_mg_l']),
            stages: $this->stages($system, $result, $balance, $carrying),
            settles: array_values(
                array_filter([
                    $of('Ammonia', 'tan_mg_l', 'mg/L as N'),
                    $of('Un-ionised', 'nh3_n_mg_l', 'mg/L as N'),
                    $of('Nitrite', 'no2_n_mg_l', 'mg/L as N'),
                    $of('Oxygen', 'do_mg_l', 'mg/L'),
                    $of('KH falls in a week', 'alkalinity_fall_mg_l_w', 'mg/L as CaCO₃'),
                    $of('Bicarbonate to put back', 'bicarbonate_g_w', 'g a week'),
                    $of('Nitrate with these changes', 'no3_n_mg_l', 'mg/L as N'),
                    $of('Taken by walls and stones', 'walls_g_d', 'g N/d'),
                ]),
            ),
            room: $this->room($balance, $input, $origins),
            steps: $balance->figures['steps'],
        );
    }

    /**
     * @param  array<string, string>  $typed
     * @return array{Conditions, CapacityWhatIf}
     */
    public function read(System $system, LatestWater $water, array $typed): array
    {
        return [$this->load->conditions($system, $water, $typed), CapacityWhatIf::read($system, $typed)];
    }

    /**
     * A filter that was measured and is believed works as if it had so much more or less medium.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    public function believed(System $system, array $rows): array
    {
        $test = $this->question->measured($system);
        if ($test === null || $test->expected_g_d <= 0) {
            return $rows;
        }
        $ratio = max(
            0.0,
            min(
                5.0,
                $this->registry->run($test->calculator(), $test->calculation())->number('removal_g_d') /
                    $test->expected_g_d,
            ),
        );

        return array_map(
            static fn(array $row): array => [
                ...$row,
                'media_l' => (is_numeric($row['media_l'] ?? null) ? (float) $row['media_l'] : 0.0) * $ratio,
            ],
            $rows,
        );
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  list<Origin>  $origins
     * @return array<string, mixed>
     */
    private function room(Result $balance, array $input, array $origins): array
    {
        $now = self::headroom($balance, 'headroom_now');
        $grown = self::headroom($balance, 'headroom_grown');
        $names = [
            'ammonia' => 'Ammonia',
            'unionised_ammonia' => 'Un-ionised ammonia',
            'oxygen' => 'Oxygen',
            'alkalinity' => 'KH in a week',
            'nitrate' => 'Nitrate',
        ];
        $figure = fn(string $label, float $value, string $unit, string $key): array => (new Figure(
            $label,
            $value,
            $unit,
            'filter.balance',
            $key,
            $input,
            $origins,
        ))->toArray();
        $first = Headroom::first($now) ?? self::NO_ROOM;
        $firstGrown = Headroom::first($grown) ?? self::NO_ROOM;

        return [
            'length_cm' => is_numeric($input['length_cm']) ? (float) $input['length_cm'] : 50.0,
            'fish_now' => $figure('Fish more at once', $first['fish'], 'fish', 'headroom_now'),
            'fish_grown' => $figure('Fish more in steps', $firstGrown['fish'], 'fish', 'headroom_grown'),
            'feed_now' => $figure('Feed more at once', $first['feed_g_d'], 'g/d', 'headroom_now'),
            'feed_grown' => $figure('Feed more in steps', $firstGrown['feed_g_d'], 'g/d', 'headroom_grown'),
            'first' => $names[$first['limit']] ?? '',
            'first_grown' => $names[$firstGrown['limit']] ?? '',
            'limits' => array_map(
                static fn(array $one, array $other): array => [
                    'limit' => $one['limit'],
                    'name' => $names[$one['limit']] ?? $one['limit'],
                    'feed_now' => $one['feed_g_d'],
                    'fish_now' => $one['fish'],
                    'feed_grown' => $other['feed_g_d'],
                    'fish_grown' => $other['fish'],
                ],
                $now,
                $grown,
            ),
        ];
    }

    /** @return list<array{limit: string, feed_g_d: float, kg: float, fish: float}> */
    private static function headroom(Result $balance, string $key): array
    {
        return array_map(
            static fn(FigureRow $row): array => [
                'limit' => $row->text('limit'),
                'feed_g_d' => $row->number('feed_g_d'),
                'kg' => $row->number('kg'),
                'fish' => $row->number('fish'),
            ],
            $balance->rows($key),
        );
    }

    /** @return list<array<string, mixed>> */
    private function stages(System $system, Result $result, Result $balance, Carrying $carrying): array
    {
        $figures = $result->figures['stages'];
        $off = [];
        foreach ($balance->rows('stages_off') as $row) {
            $off[(int) $row->number('stage')] = [
                'tan_mg_l' => $row->numberOrNull('tan_mg_l'),
                'no2_n_mg_l' => $row->numberOrNull('no2_n_mg_l'),
                'spare_pct' => $row->numberOrNull('spare_pct'),
            ];
        }
        $rows = [];
        foreach ($system->stages->values() as $i => $stage) {
            $row = is_array($figures) && is_array($figures[$i] ?? null) ? $figures[$i] : [];
            $rows[] = [
                'id' => $stage->id,
                'name' => $stage->name,
                'kind' => $this->kinds->get($stage->kind)->name,
                'nitrifies' => $this->kinds->get($stage->kind)->nitrifies(),
                'area_m2' => $row['area_m2'] ?? 0.0,
                'area_rate_g_m2_d' => $row['area_rate_g_m2_d'] ?? 0.0,
                'surface_limit_g_d' => $row['surface_limit_g_d'] ?? 0.0,
                'oxygen_limit_g_d' => $row['oxygen_limit_g_d'] ?? 0.0,
                'transport_limit_g_d' => $row['transport_limit_g_d'] ?? 0.0,
                'capacity_g_d' => $row['capacity_g_d'] ?? 0.0,
                'limiting' => $row['limiting'] ?? 'surface',
                'off' => $off[$i] ?? null,
                'share' => $this->kinds->get($stage->kind)->nitrifies() ? $carrying->share() : 0.0,
            ];
        }

        return $rows;
    }

    private function unit(string $key): ?string
    {
        return match ($key) {
            'feed_g_d' => 'g/d',
            'protein_pct' => '%',
            default => Parameter::from($key)->symbol(),
        };
    }

    private function text(Result $result, string $key): string
    {
        $value = $result->figures[$key] ?? null;

        return is_string($value) ? $value : '';
    }
}
