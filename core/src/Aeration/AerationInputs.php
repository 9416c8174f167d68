<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;

/** What aerates a system, as calculators take it. */
final readonly class AerationInputs
{
    /** Oxygen that a quiet open surface takes in, m/d. @source surface-reaeration */
    public const SURFACE_M_D = 0.6;

    public function __construct(private DeviceTable $table) {}

    /** @return list<Input> */
    public function inputs(): array
    {
        return [
            Input::number('surface_m2', 'Open surface', 'm²', 0, 1e6)->or(0.0),
            Input::rows(
                'devices',
                'What aerates it',
                [
                    Input::choice('kind', 'Kind', array_keys($this->table->kinds)),
                    Input::text('name', 'Name', 80)->optional(),
                    Input::number('air_l_min', 'Air', 'L/min', 0, 1e5)->optional(),
                    Input::number('depth_m', 'Depth of the air', 'm', 0.05, 10)->optional(),
                    Input::number('power_w', 'Power', 'W', 0, 1e6)->optional(),
                    Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e8)->optional(),
                    Input::number('fall_m', 'Fall', 'm', 0, 10)->optional(),
                    Input::choice('on', 'Runs', ['yes', 'day', 'no'])->or('yes'),
                    Input::choice('ran', 'Ran when oxygen was measured', ['yes', 'day', 'no'])->optional(),
                ],
                0,
                40,
            )->optional(),
        ];
    }

    public function stone(): DeviceKind
    {
        return $this->table->get('stone');
    }

    /**
     * @param  bool  $byDay  whether what the sun drives counts
     * @param  bool  $measured  as it ran when oxygen was measured
     * @return list<Device>
     *
     * @throws BadInput
     */
    public function devices(Given $given, float $tempC, bool $byDay = false, bool $measured = false): array
    {
        $devices = [];
        foreach ($given->rows('devices') as $i => $row) {
            $kind = $this->table->get($row->text('kind'));
            $name = $row->textOrNull('name') ?? $kind->name;
            $runs = $measured ? $row->textOrNull('ran') ?? $row->text('on') : $row->text('on');
            $on = $runs === 'yes' || ($byDay && $runs === 'day');
            $air = $row->numberOrNull('air_l_min');
            $power = $row->numberOrNull('power_w');
            $flow = $row->numberOrNull('flow_l_h');
            $devices[] = match (true) {
                $kind->way === 'air' && $air !== null => Device::air(
                    $name,
                    $kind,
                    $on,
                    $air,
                    $row->numberOrNull('depth_m') ??
                        throw BadInput::at("devices.{$i}.depth_m", 'How deep does the air go in?'),
                    $tempC,
                ),
                $kind->way === 'fall' && $flow !== null => Device::fall(
                    $name,
                    $kind,
                    $on,
                    $flow,
                    $row->numberOrNull('fall_m') ?? throw BadInput::at("devices.{$i}.fall_m", 'How far does it fall?'),
                    $tempC,
                ),
                $kind->way === 'share' && $flow !== null => Device::fall($name, $kind, $on, $flow, 0.0, $tempC),
                $kind->kgPerKwh !== null && $power !== null => Device::power($name, $kind, $on, $power, $tempC),
                $kind->way === 'air' => throw BadInput::at(
                    "devices.{$i}.air_l_min",
                    'Give its air and depth, or its power.',
                ),
                default => throw BadInput::at(
                    "devices.{$i}.flow_l_h",
                    $kind->way === 'fall' ? 'Give its flow and fall, or its power.' : 'Give its flow.',
                ),
            };
        }

        return $devices;
    }
}
