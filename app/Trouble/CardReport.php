<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Line;
use App\Models\Pump;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Running\WithoutFlow;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\OverdoseAnswer;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * One page a system for whoever stands there in an emergency: how much water, how long it may stand, where the valves
 * and the air are, what the hose does, whom to call, and what to do first. It goes by the build and the fish, not by
 * today's readings: it hangs on a wall.
 */
final readonly class CardReport
{
    public function __construct(
        private VolumeReport $volumes,
        private LoopSums $sums,
        private WithoutFlow $without,
        private TroubleReport $trouble,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $volume = $this->volumes->inUse($system)->value;
        $fish = 0;
        foreach ($system->fish as $group) {
            $fish += $group->count;
        }
        $may = $this->without->of($system, $water);

        return [
            'system' => $system->name,
            'site' => $system->site->name,
            'call' => $system->site->emergency_call,
            'volume_l' => $volume,
            'fish' => $fish,
            'kg' => $this->sums->biomass($system)->value,
            'stands_min' => $may->minutes,
            'stands_by' => $may->decides,
            'says' => array_map(static fn(Message $one): array => $one->toArray(), [self::hose($system)]),
            'valves' => self::valves($system),
            'devices' => self::devices($system),
            'plans' => [
                $this->plan($system, 'gasping', 'Fish gasp at the surface', [Sign::Gasping], [['oxygen', 5]]),
                $this->plan(
                    $system,
                    'power_cut',
                    'The power is out, or the pump stands',
                    [Sign::PumpStopped],
                    [['oxygen', 2], ['stopped_filter', 4]],
                ),
                $this->plan(
                    $system,
                    'chlorine',
                    'Tap water went in untreated',
                    [Sign::AfterFill],
                    [['chlorine', 5], ['oxygen', 2]],
                ),
                [
                    'id' => 'overdose',
                    'name' => 'Too much was given',
                    'steps' => array_map(static fn(Message $one): string => $one->text, [
                        Message::of('incident.card_overdose_air'),
                        Message::of('incident.card_overdose_change', [
                            'litres' => Format::about(OverdoseAnswer::OUT_SHARE * $volume, 2),
                        ]),
                        Message::of('incident.card_overdose_carbon'),
                        Message::of('incident.card_overdose_call'),
                    ]),
                ],
            ],
        ];
    }

    /**
     * @param  list<Sign>  $signs
     * @param  list<array{value-of<Cause>, int}>  $of  the first steps of which causes
     * @return array{id: string, name: string, steps: list<string>}
     */
    private function plan(System $system, string $id, string $name, array $signs, array $of): array
    {
        $deeds = $this->trouble->deeds($system, LatestWater::none(), $signs);
        $steps = [];
        foreach ($of as [$cause, $most]) {
            array_push($steps, ...array_slice($deeds[$cause] ?? [], 0, $most));
        }

        return ['id' => $id, 'name' => $name, 'steps' => $steps];
    }

    private static function hose(System $system): Message
    {
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);

        return match (true) {
            $source === null => Message::of('incident.card_hose_unknown'),
            $source->mayBringChlorine() => Message::of('incident.card_hose_chlorine', ['water' => $source->name]),
            default => Message::of('incident.card_hose_free', ['water' => $source->name]),
        };
    }

    /** @return list<array{name: string, from: ?string, to: ?string, open: bool}> */
    private static function valves(System $system): array
    {
        $names = [];
        foreach ([...$system->vessels, ...$system->stages, ...$system->pumps, ...$system->junctions] as $part) {
            $names[$part->id] = $part->name;
        }

        return array_values(
            $system->lines
                ->filter(static fn(Line $one): bool => $one->valve_open_pct !== null)
                ->map(
                    static fn(Line $one): array => [
                        'name' => $one->name,
                        'from' => $names[$one->from()->id] ?? null,
                        'to' => $names[$one->to()->id] ?? $one->leads_to,
                        'open' => $one->valveState() === 'on',
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array{name: string, kind: string, circuit: ?string, where: ?string}> */
    private static function devices(System $system): array
    {
        $vessels = [];
        foreach ($system->vessels as $vessel) {
            $vessels[$vessel->id] = $vessel->name;
        }

        return array_values(
            $system->pumps
                ->map(
                    static fn(Pump $one): array => [
                        'name' => $one->name,
                        'kind' => $one->kind,
                        'circuit' => $one->circuit,
                        'where' => $one->vessel_id === null ? null : $vessels[$one->vessel_id] ?? null,
                    ],
                )
                ->all(),
        );
    }
}
