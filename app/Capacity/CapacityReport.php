<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Filter\Limit;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** Load of fish and feed against what the filter can take: today, when grown, and before what runs out first. */
final readonly class CapacityReport
{
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
                ...$this->question->grownBy($system),
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
            room: new Room($balance, $input, $origins),
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

    /** @return list<StageCapacity> */
    private function stages(System $system, Result $result, Result $balance, Carrying $carrying): array
    {
        $off = [];
        foreach ($balance->rows('stages_off') as $row) {
            $off[(int) $row->number('stage')] = $row;
        }
        $figures = $result->rows('stages');
        $stages = [];
        foreach ($system->stages->values() as $i => $stage) {
            $kind = $this->kinds->get($stage->kind);
            $stages[] = new StageCapacity(
                stage: $stage,
                kind: $kind,
                row: $figures[$i],
                off: $off[$i] ?? null,
                share: $kind->nitrifies() ? $carrying->share() : 0.0,
            );
        }

        return $stages;
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
