<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What a UV lamp does for this flow and this volume, against what is commonly asked for.
 *
 *     lamp_w 55, lamp_hours 3000, days_since_wiped 30, flow_l_h 8200, volume_l 9000  →  dose_mj_cm2 15.0, clears_algae
 *       true, touches_parasites true
 *
 * @see UvDose for the estimate and its source
 *
 * @source cp-uv
 */
final readonly class UvCalculator implements Calculator
{
    /** W of lamp per m³ that clears green water, and that begins to touch parasites. */
    public const ALGAE_W_M3 = 2.0;

    private const PARASITE_W_M3 = 3.6;

    /** What free-swimming parasites want. From memory. */
    private const PARASITE_MJ_CM2 = 100.0;

    private const CHANGE_AT_HOURS = 9000;

    private const WIPE_AFTER_DAYS = 90;

    public function name(): string
    {
        return 'flow.uv';
    }

    public function title(): string
    {
        return 'UV dose';
    }

    public function inputs(): array
    {
        return [
            Input::number('lamp_w', 'Lamp', 'W', 1, 5000),
            Input::number('lamp_hours', 'Hours the lamp has burnt', 'h', 0, 100000),
            Input::number('days_since_wiped', 'Days wet since the sleeve was wiped', 'd', 0, 5000),
            Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7),
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('transmittance_pct', 'UV-C left after 1 cm of this water', '%', 20, 99)->or(85.0),
            Input::number('gap_cm', 'Gap between sleeve and wall', 'cm', 0.5, 20)->or(3.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('dose_mj_cm2', 'mJ/cm²'),
            new Output('w_per_m3', 'W/m³'),
            new Output('output_pct', '%'),
            new Output('clears_algae'),
            new Output('touches_parasites'),
            new Output('dose_touches_parasites'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $lamp = $given->number('lamp_w');
        $hours = $given->number('lamp_hours');
        $days = $given->number('days_since_wiped');
        $dose = UvDose::of(
            $lamp,
            $hours,
            $days,
            $given->number('flow_l_h'),
            $given->number('transmittance_pct') / 100,
            $given->number('gap_cm'),
        );
        $output = $dose->lampFactor * $dose->sleeveFactor;
        $perM3 = ($lamp * $output) / ($given->number('volume_l') / 1000);

        $work = new Working();
        $work->step(
            'What age has left of the lamp.',
            '1 − 0.35 × hours / 9,000',
            Format::number($hours) . ' h',
            Format::number(100 * $dose->lampFactor, 3) . ' %',
        );
        $work->step(
            'What the sleeve lets through.',
            '1 − 0.30 × days / 90',
            Format::number($days) . ' days wet',
            Format::number(100 * $dose->sleeveFactor, 3) . ' %',
        );
        $work->step(
            'UV-C into the water.',
            'W × 0.33 × lamp × sleeve',
            Format::number($lamp) . ' W',
            Format::number($dose->uvcW) . ' W',
        );
        $work->step(
            'How far it goes before the water swallows it.',
            '(1 − T^gap) / −ln T',
            'T = ' . Format::number($given->number('transmittance_pct')) . ' % per cm',
            Format::number($dose->pathCm) . ' cm',
        );
        if ($dose->doseMjCm2 !== null) {
            $work->step(
                'Dose to the water that passes.',
                'power × path / flow',
                Format::number($given->number('flow_l_h')) . ' L/h',
                Format::number($dose->doseMjCm2, 3) . ' mJ/cm²',
            );
        }
        $work->step(
            'Lamp by volume, as it burns now.',
            'W × lamp × sleeve / m³',
            Format::number($given->number('volume_l')) . ' L',
            Format::number($perM3, 3) . ' W/m³',
        );
        $work->cite('uv-from-memory', 'cp-uv');
        $work->note(Message::of('flow.uv_estimate_says_how_things'));
        if ($hours >= self::CHANGE_AT_HOURS) {
            $work->watch(Message::of('flow.uv_lamp_past_000_change'));
        }
        if ($days >= self::WIPE_AFTER_DAYS) {
            $work->watch(Message::of('flow.uv_sleeve_been_wet_90'));
        }

        return $work->result([
            'dose_mj_cm2' => $dose->doseMjCm2,
            'w_per_m3' => $perM3,
            'output_pct' => 100 * $output,
            // By the rule of thumb, and by the dose: two figures. Where nothing flows there is neither.
            'clears_algae' => $dose->doseMjCm2 === null ? null : $perM3 >= self::ALGAE_W_M3,
            'touches_parasites' => $dose->doseMjCm2 === null ? null : $perM3 >= self::PARASITE_W_M3,
            'dose_touches_parasites' => $dose->doseMjCm2 === null ? null : $dose->doseMjCm2 >= self::PARASITE_MJ_CM2,
        ]);
    }
}
