<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Age;
use App\Models\Good;
use App\Models\Kit;
use App\Models\Site;
use App\Models\System;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\ShelfKind;
use Ironwort\Core\Dose\ShelfList;
use Ironwort\Core\Judge\Parameter;

/** All that stands on the shelf of a site, and what should. */
final readonly class ShelfReport
{
    /** What the fish give is reckoned at when their shelf is stocked, °C; it matters to unfed fish only. */
    private const TEMP_C = 20.0;

    public function __construct(
        private AgentTable $agents,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private Library $library,
    ) {}

    /** @return array<string, mixed> */
    public function of(Site $site): array
    {
        /** @var Collection<int, Kit> $kits */
        $kits = Kit::query()->where('site_id', $site->id)->orderBy('parameter')->orderBy('name')->get();
        /** @var Collection<int, WaterSource> $waters */
        $waters = WaterSource::query()
            ->where('site_id', $site->id)
            ->with('tests')
            ->orderBy('position')
            ->orderBy('name')
            ->get();
        /** @var Collection<int, Good> $goods */
        $goods = Good::query()->where('site_id', $site->id)->orderBy('kind')->orderBy('name')->limit(200)->get();

        return [
            'kinds' => array_values(
                array_map(
                    static fn(ShelfKind $kind): array => [
                        'id' => $kind->id,
                        'name' => $kind->name,
                        'unit' => $kind->unit,
                        'label' => $kind->label,
                        'has_strength' => $kind->hasStrength,
                        'usual_pct' => $kind->usualPct,
                    ],
                    ShelfKind::all($this->agents),
                ),
            ),
            'goods' => array_values(
                $goods
                    ->map(
                        static fn(Good $good): array => [
                            'id' => $good->id,
                            'kind' => $good->kind,
                            'name' => $good->name,
                            'label' => (object) $good->label,
                            'cap_ml' => $good->cap_ml,
                            'unit' => $good->unit,
                            'amount' => $good->amount,
                            'left' => $good->left(),
                            'strength_pct' => $good->strength_pct,
                            'opened_on' => $good->opened_on?->toDateString(),
                            'opened' => $good->opened_on === null ? null : Age::of($good->opened_on),
                            'lot' => $good->lot,
                            'expires_on' => $good->expires_on?->toDateString(),
                            'expired' => $good->expired(),
                        ],
                    )
                    ->all(),
            ),
            'common_kits' => $this->library->commonKits(),
            'wanted' => $this->wanted($site, $goods, $waters),
            'kits' => array_values(
                $kits
                    ->map(
                        static fn(Kit $kit): array => [
                            'id' => $kit->id,
                            'name' => $kit->name,
                            'kind' => $kit->kind,
                            'parameter' => $kit->parameter,
                            'unit' => $kit->unit,
                            'steps' => $kit->steps,
                            'resolution' => $kit->resolution,
                            'range_from' => $kit->range_from,
                            'range_to' => $kit->range_to,
                            'expires_on' => $kit->expires_on?->toDateString(),
                            'expired' => $kit->expires_on?->isPast() ?? false,
                            'tests_left' => $kit->tests_left,
                            'in_use' => $kit->in_use,
                        ],
                    )
                    ->all(),
            ),
            'waters' => array_values(
                $waters
                    ->map(
                        static fn(WaterSource $water): array => [
                            'id' => $water->id,
                            'name' => $water->name,
                            'kind' => $water->kind,
                            'unit_name' => $water->unit_name,
                            'unit_carbon_l' => $water->unit_carbon_l,
                            'softened' => $water->softened,
                            'tests' => array_values(
                                $water->tests
                                    ->map(
                                        static fn(WaterTest $test): array => [
                                            'id' => $test->id,
                                            'side' => $test->side,
                                            'on' => $test->tested_on->toDateString(),
                                            'chloramine' => $test->chloramine,
                                            'readings' => array_map(
                                                static fn(string $parameter, array $reading): array => [
                                                    'parameter' => $parameter,
                                                    'name' => Parameter::from($parameter)->name(),
                                                    'typed' => $reading['typed'],
                                                    'unit' => Parameter::from($parameter)->symbol(),
                                                    'reads' => Parameter::from($parameter)->reads(
                                                        $reading['value'],
                                                        $reading['typed'],
                                                    ),
                                                    'value' => $reading['value'],
                                                ],
                                                array_keys($test->readings),
                                                array_values($test->readings),
                                            ),
                                        ],
                                    )
                                    ->all(),
                            ),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  Collection<int, Good>  $goods
     * @param  Collection<int, WaterSource>  $waters
     * @return list<array{name: string, why: string, wanted: ?string, have: ?string, stands: string}>
     */
    private function wanted(Site $site, Collection $goods, Collection $waters): array
    {
        $query = System::ofSite($site)->with(['site', 'vessels', 'stages', 'fish']);
        $query->limit(200);
        $systems = $query->get()->map(function (System $system) use ($waters): array {
            return [
                'name' => $system->name,
                'kind' => $system->kind,
                'volume_l' => $this->volumes->inUse($system)->value,
                'fish' => $system->fish->isNotEmpty(),
                'tan_g_d' => $this->systems->tanGD($system, self::TEMP_C),
                'chlorine_mg_l' => $waters->firstWhere('id', $system->water_id)?->reading('chlorine_mg_l') ?? 0.0,
            ];
        });
        $said = static fn(?float $amount, string $unit): ?string => $amount === null
            ? null
            : match ($unit) {
                'g' => Measures::grams($amount),
                'mL' => Measures::millilitres($amount),
                default => (string) (int) $amount,
            };

        return array_map(
            static fn(array $row): array => [
                'name' => $row['name'],
                'why' => $row['why'],
                'wanted' => $said($row['wanted'], $row['unit']),
                'have' => $said($row['have'], $row['unit']),
                'stands' => $row['stands'],
            ],
            ShelfList::of(
                array_values($systems->all()),
                array_values(
                    $goods
                        ->map(
                            static fn(Good $good): array => [
                                'kind' => $good->kind,
                                'amount' => $good->amount,
                                'expired' => $good->expired(),
                                'label' => $good->label,
                            ],
                        )
                        ->all(),
                ),
            ),
        );
    }
}
