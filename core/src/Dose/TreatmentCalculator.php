<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What of an agent goes in, for how long and how often; or why it must not.
 *
 * The dose is of the product as its basis says. Refusals come before any number.
 *
 *     formalin, 1,000 L, prolonged at 15 µL/L  →  15 mL of the 37 % solution
 *
 * @see Conflicts, AgentTable for sources
 */
final readonly class TreatmentCalculator implements Calculator
{
    public function __construct(private AgentTable $agents, private Conflicts $conflicts) {}

    public function name(): string
    {
        return 'dose.treatment';
    }

    public function title(): string
    {
        return 'A treatment';
    }

    public function inputs(): array
    {
        return [
            Input::choice('agent', 'Agent', [...array_keys($this->agents->agents), 'own']),
            Input::choice('way', 'Given as', ['prolonged', 'bath', 'dip'])->or('prolonged'),
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('dose_mg_l', 'Dose chosen', 'mg/L, µL/L for a liquid', 0.001, 100000)->optional(),
            Input::number('strength_pct', 'Strength of the product', '%', 0.1, 100)->optional(),
            Input::number('demand_mg_l', 'Demand of the water', 'mg/L', 0, 20)->or(0.0),
            Input::number('label_ml', 'By its label', 'mL or g', 0.0001, 100000)->optional(),
            Input::number('label_treats_l', 'treats', 'L', 0.01, 1e7)->optional(),
            ...ConflictState::inputs($this->conflicts),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('refused'),
            new Output('dose'),
            new Output('dose_unit'),
            new Output('dose_mg_l', 'mg/L'),
            new Output('exposure_min', 'min'),
            new Output('course'),
            new Output('oxygen_cost_mg_l', 'mg/L'),
            new Output('refusals'),
            new Output('conditions'),
            new Output('codes'),
        ];
    }

    public function calculate(Given $given): Result
    {
        if ($given->text('agent') === 'own') {
            return $this->own($given);
        }
        $agent = $this->agents->get($given->text('agent'));
        $judged = $this->conflicts->judge($agent->id, ConflictState::from($given));
        $work = new Working();
        $work->cite($agent->source, 'dose-conflicts');
        $nothing = [
            'refused' => true,
            'dose' => null,
            'dose_unit' => $agent->unit,
            'dose_mg_l' => null,
            'exposure_min' => null,
            'course' => [],
            'oxygen_cost_mg_l' => null,
            'refusals' => Message::texts($judged->refusals),
            'conditions' => Message::texts($judged->conditions),
            'codes' => Message::codes([...$judged->refusals, ...$judged->conditions]),
        ];
        if ($judged->isRefused()) {
            foreach ($judged->refusals as $refusal) {
                $work->danger($refusal);
            }

            return $work->result($nothing);
        }
        $way = $given->text('way');
        $bath = $way === 'bath';
        $range = $agent->range($way);
        if ($range === null) {
            throw BadInput::at(
                'way',
                "{$agent->name} is not given " .
                    match ($way) {
                        'bath' => 'as a bath.',
                        'dip' => 'as a dip.',
                        default => 'to stay in the water.',
                    },
            );
        }
        if ($agent->needsStrength && $given->numberOrNull('strength_pct') === null) {
            throw BadInput::at('strength_pct', 'Its strength differs from bottle to bottle: read it off the label.');
        }
        [$least, $most, $usual] = $this->range($agent, $given, $range, $bath);
        $dose = $given->numberOrNull('dose_mg_l') ?? $usual;
        if ($dose < $least - 1e-9 || $dose > $most + 1e-9) {
            throw BadInput::at(
                'dose_mg_l',
                "For {$agent->name} here it lies between " .
                    Format::number($least) .
                    ' and ' .
                    Format::number($most) .
                    ': fish would not survive more, and less does nothing.',
            );
        }
        $perLitre = $dose + ($agent->id === 'potassium_permanganate' ? $given->number('demand_mg_l') : 0.0);
        $strength = $given->numberOrNull('strength_pct');
        $product = match (true) {
            $agent->needsStrength => $perLitre / ((float) $strength / 100),
            $agent->strengthPct !== null && $strength !== null => ($perLitre * $agent->strengthPct) / $strength,
            default => $perLitre,
        };
        $amount = ($product * $given->number('volume_l')) / 1000;
        $days = $agent->interval($given->number('temp_c'));
        $work->step(
            "{$agent->name}: {$agent->basis}.",
            $way === 'prolonged' ? 'to stay in the water' : $way,
            Format::number($least) . ' to ' . Format::number($most) . ($agent->unit === 'mL' ? ' µL/L' : ' mg/L'),
            Format::number($dose) . ($agent->unit === 'mL' ? ' µL/L' : ' mg/L'),
        );
        $work->step(
            'In all the water.',
            'dose × volume / 1000' . ($strength === null ? '' : ', by its strength'),
            Format::number($perLitre) . ' × ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($amount, 4) . ' ' . $agent->unit,
        );
        $work->step(
            'Again, by temperature and life cycle.',
            'interval',
            Format::number($given->number('temp_c')) . ' °C',
            $agent->repeats . ' times, every ' . Format::number($days) . ' days',
        );
        if ($agent->oxygenPerMgL > 0) {
            $work->watch(
                Message::of('dose.treatment_takes_about_mg_oxygen', [
                    'oxygen_per_mg_l' => Format::number($agent->oxygenPerMgL * $perLitre, 2),
                ]),
            );
        }
        foreach ($judged->conditions as $condition) {
            $work->watch($condition);
        }
        if (!$agent->sparesFilter) {
            $work->watch(Message::of('dose.treatment_bypass_biofilter_count_losing'));
        }
        $work->note(Message::fromTable("agent.{$agent->id}", $agent->caution()));
        $work->note(
            Message::of('dose.treatment_label_veterinarian_local_law', ['disposal' => lcfirst($agent->disposal)]),
        );

        return $work->result([
            'refused' => false,
            'dose' => $amount,
            'dose_unit' => $agent->unit,
            'dose_mg_l' => $perLitre,
            'exposure_min' => $agent->exposure($way),
            'course' => array_map(
                static fn(int $n): array => ['day' => $n * $days, 'dose' => $amount],
                range(0, $agent->repeats - 1),
            ),
            'oxygen_cost_mg_l' => $agent->oxygenPerMgL * $perLitre,
            'refusals' => [],
            'conditions' => Message::texts($judged->conditions),
            'codes' => Message::codes($judged->conditions),
        ]);
    }

    /**
     * @param  array{float, float, float}  $range
     * @return array{float, float, float} least, most and usual in this water
     */
    private function range(Agent $agent, Given $given, array $range, bool $bath): array
    {
        [$least, $most, $usual] = $range;
        if ($bath && $agent->bathWarmMax !== null && $given->number('temp_c') > (float) $agent->warmC) {
            $most = $agent->bathWarmMax;
        }
        if ($agent->id === 'copper_sulfate') {
            $most = (float) StandingLevel::ceiling($agent, $given->numberOrNull('alkalinity_mg_l'));
            $usual = $most;
        }
        if ($agent->id === 'chloramine_t') {
            $most = $usual = ChloramineT::dose(
                (float) $given->numberOrNull('ph'),
                (float) $given->numberOrNull('hardness_mg_l'),
            );
        }

        return [min($least, $most), $most, min($usual, $most)];
    }

    /** By the keeper's own label: no more is known of it, and all that is present stands against it. */
    private function own(Given $given): Result
    {
        $label = $given->numberOrNull('label_ml');
        $treats = $given->numberOrNull('label_treats_l');
        if ($label === null) {
            throw BadInput::at('label_ml', 'How much, by its label?');
        }
        if ($treats === null) {
            throw BadInput::at('label_treats_l', 'For how much water?');
        }
        $present = ConflictState::from($given)->present;
        $codes = array_keys(
            array_filter([
                'dose.own_carbon_out' => in_array('carbon', $present, true),
                'dose.own_uv_off' => in_array('uv', $present, true),
                'dose.own_zeolite_out' => in_array('zeolite', $present, true),
                'dose.own_with_another' => array_intersect($present, array_keys($this->agents->agents)) !== [],
            ]),
        );
        $conditions = array_map(static fn(string $code): Message => Message::of($code), $codes);
        $work = new Working();
        $work->step(
            'By its label.',
            'amount × volume / treats',
            Format::number($label) . ' for ' . Format::number($treats) . ' L',
            Format::number(($label * $given->number('volume_l')) / $treats, 4),
        );
        $work->cite('dose-conflicts');
        $work->watch(Message::of('dose.treatment_nothing_known_here_agent'));
        foreach ($conditions as $condition) {
            $work->watch($condition);
        }

        return $work->result([
            'refused' => false,
            'dose' => ($label * $given->number('volume_l')) / $treats,
            'dose_unit' => 'label',
            'dose_mg_l' => null,
            'exposure_min' => null,
            'course' => [],
            'oxygen_cost_mg_l' => null,
            'refusals' => [],
            'conditions' => Message::texts($conditions),
            'codes' => $codes,
        ]);
    }
}
