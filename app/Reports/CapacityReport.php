<?php

declare(strict_types=1);

namespace App\Reports;

use App\Figures\Figure;
use App\Figures\Origin;
use App\Models\Stage;
use App\Models\System;
use Ironwort\Core\Calc\Registry;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Filter\Limit;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Say;

/** Load of fish and feed against what the filter can take, on one scale of g N a day. */
final readonly class CapacityReport
{
    private const LIMITS = ['surface' => 'Surface', 'oxygen' => 'Oxygen', 'transport' => 'Flow'];

    public function __construct(private Registry $registry, private LimitTable $limits, private SystemReport $systems, private StageKinds $kinds)
    {
    }

    /**
     * @param  array<string, string>  $typed  conditions typed on the page, as typed
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $typed = []): array
    {
        $conditions = new Conditions($system, $water, $this->limits, $typed);
        $load = $this->load($system, $conditions);
        $answer = [
            'conditions' => array_values(array_map(fn (Origin $origin): array => [
                ...$origin->toArray(),
                'unit' => $this->unit($origin->key),
            ], $conditions->origins)),
            'load' => $load->toArray(),
        ];
        if ($system->stages->isEmpty()) {
            return [...$answer, 'capacity' => null, 'limits' => [], 'shortest' => null, 'state' => null, 'stages' => [],
                'sentence' => 'No filter is described for this system yet: add its stages under Build.'];
        }
        $input = $this->capacityInput($system, $conditions);
        $result = $this->registry->run('filter.capacity', $input);
        $origins = $this->capacityOrigins($conditions, $system);
        $figure = static fn (string $label, string $key): Figure => new Figure($label, $result->number($key), 'g N/d', 'filter.capacity', $key, $input, $origins);
        $capacity = $figure('The filter can take', 'total_g_d');
        $carrying = new Carrying($load->value, $capacity->value, Limit::from($this->text($result, 'limiting')));

        return [
            ...$answer,
            'capacity' => $capacity->toArray(),
            'limits' => array_map(static fn (string $limit): array => ['limit' => $limit, 'figure' => $figure(self::LIMITS[$limit], "{$limit}_limit_g_d")->toArray()], array_keys(self::LIMITS)),
            'shortest' => $carrying->shortest->value,
            'state' => $carrying->state->value,
            'sentence' => $carrying->sentence($conditions->values['tan_mg_l']),
            'stages' => $this->stages($system, $result, $carrying),
        ];
    }

    private function load(System $system, Conditions $conditions): Figure
    {
        $biomass = $this->systems->biomass($system);
        $input = [
            'biomass_kg' => $biomass->value,
            'feed_g_d' => $conditions->values['feed_g_d'],
            'protein_pct' => $conditions->values['protein_pct'],
            'temp_c' => $conditions->values['temp_c'],
        ];
        $origins = [
            new Origin('biomass_kg', 'Weight of all fish', Say::number($biomass->value, 3).' kg', 'computed', 'count × weight of every group'),
            $conditions->origins['feed_g_d'], $conditions->origins['protein_pct'], $conditions->origins['temp_c'],
        ];

        return new Figure('The fish give', $this->registry->run('fish.load', $input)->number('tan_g_d'), 'g N/d', 'fish.load', 'tan_g_d', $input, $origins);
    }

    /** @return array<string, mixed> */
    private function capacityInput(System $system, Conditions $conditions): array
    {
        return [
            'temp_c' => $conditions->values['temp_c'],
            'ph' => $conditions->values['ph'],
            'do_in_mg_l' => $conditions->values['do_mg_l'],
            'tan_mg_l' => $conditions->values['tan_mg_l'],
            'alkalinity_mg_l' => $conditions->values['alkalinity_mg_l'],
            'stages' => $system->stages->map(static fn (Stage $stage): array => $stage->calculation())->values()->all(),
        ];
    }

    /** @return list<Origin> */
    private function capacityOrigins(Conditions $conditions, System $system): array
    {
        return [
            $conditions->origins['temp_c'], $conditions->origins['ph'], $conditions->origins['do_mg_l'],
            $conditions->origins['tan_mg_l'], $conditions->origins['alkalinity_mg_l'],
            new Origin('stages', 'Stages', $system->stages->pluck('name')->implode(', '), 'build', "from the build of {$system->name}"),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function stages(System $system, Result $result, Carrying $carrying): array
    {
        $figures = $result->figures['stages'];
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
