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
 *     agent formalin, volume_l 1000, temp_c 18, do_mg_l 8  →  dose 15, dose_unit mL, oxygen_cost_mg_l 3
 *
 * @see Conflicts, AgentTable for sources
 */
final readonly class TreatmentCalculator implements Calculator
{
    /** A bacterial culture: by its label, and no treatment. */
    public const CULTURE = 'culture';

    /** Water that takes more permanganate than this is cleaned and not treated, mg/L. */
    public const MOST_DEMAND_MG_L = 6.0;

    /** Oxygen that must be left once an agent has taken its part, and below which all the air there is runs, mg/L. */
    private const OXYGEN_LEFT_MG_L = 3.0;

    private const OXYGEN_AIRED_MG_L = 5.0;

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
            Input::choice('agent', 'Agent', [...array_keys($this->agents->agents), Conflicts::OWN, self::CULTURE]),
            Input::choice('way', 'Given as', ['prolonged', 'bath', 'dip'])->or('prolonged'),
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('dose_mg_l', 'Dose chosen', 'mg/L, µL/L for a liquid', 0.001, 100000)->optional(),
            Input::number('strength_pct', 'Strength of the product', '%', 0.1, 100)->optional(),
            Input::number('demand_mg_l', 'Demand of the water', 'mg/L', 0, self::MOST_DEMAND_MG_L)->or(0.0),
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
        if (in_array($given->text('agent'), [Conflicts::OWN, self::CULTURE], true)) {
            return $this->own($given);
        }
        $agent = $this->agents->get($given->text('agent'));
        $state = ConflictState::from($given);
        $judged = $this->conflicts->judge($agent->id, $state);
        $work = new Working();
        $work->cite($agent->source, 'dose-conflicts');
        if ($judged->isRefused()) {
            return self::refused($work, $judged, $agent->unit);
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
        $judged = $judged
            ->and($this->onTop($agent, $way, $dose, $most, $state))
            ->and(self::breathes($agent, $way, $perLitre, $given->numberOrNull('do_mg_l')));
        if ($judged->isRefused()) {
            return self::refused($work, $judged, $agent->unit);
        }
        $strength = $given->numberOrNull('strength_pct');
        // What the dose is of: formalin of the solution as sold, all else of the pure thing.
        $product = $strength === null ? $perLitre : ($perLitre * ($agent->strengthPct ?? 100.0)) / $strength;
        $amount = ($product * $given->number('volume_l')) / 1000;
        $days = $agent->interval($given->number('temp_c'));
        $work->step(
            "{$agent->name}: {$agent->basis}.",
            $way === 'prolonged' ? 'to stay in the water' : $way,
            Format::number($least) . ' to ' . Format::number($most) . ($agent->unit === 'mL' ? ' µL/L' : ' mg/L'),
            Format::number($dose) . ($agent->unit === 'mL' ? ' µL/L' : ' mg/L'),
        );
        $work->step(
            'Stocking.',
            'dose × volume / 1000' . ($strength === null ? '' : ', by its strength'),
            Format::number($perLitre) . ' × ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($amount, 4) . ' ' . $agent->unit,
        );
        $work->step(
            'Again, by temperature and life cycle.',
            'interval',
            Format::number($given->number('temp_c')) . ' °C',
            $agent->repeats . ' times, every ' . Format::number($days) . ' days, up to its level and no higher',
        );
        $takes = $agent->oxygenTaken($perLitre, $way);
        if ($takes > 0) {
            $work->watch(
                Message::of('dose.treatment_takes_about_mg_oxygen', [
                    'oxygen_per_mg_l' => Format::number($takes, 2),
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
                static fn(int $n): array => [
                    'day' => $n * $days,
                    'dose' => $n === 0 ? $amount : $amount * $agent->fadesBy(24 * $days),
                ],
                range(0, $agent->repeats - 1),
            ),
            'oxygen_cost_mg_l' => $takes,
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
            $usual = ChloramineT::dose(
                (float) $given->numberOrNull('ph'),
                (float) $given->numberOrNull('hardness_mg_l'),
            );
            // Left in the water it never stands above its ceiling, whatever the table says of a bath.
            $most = $bath ? $usual : min($usual, $most);
        }

        return [min($least, $most), $most, min($usual, $most)];
    }

    /**
     * What is left of the same agent counts with the dose.
     *
     * @param  float  $most  of this way in this water, mg/L (µL/L)
     */
    private function onTop(Agent $agent, string $way, float $dose, float $most, ConflictState $state): Judged
    {
        $left = $state->left($agent->id) ?? 0.0;
        $ceiling =
            $way === 'prolonged'
                ? StandingLevel::ceiling($agent, $state->alkalinity, $state->ph, $state->hardness) ?? $most
                : $most;

        return $left <= 0 || StandingLevel::fits($left, $dose, $ceiling)
            ? new Judged()
            : new Judged([
                Message::of('dose.on_top', [
                    'left' => Format::number($left, 2),
                    'unit' => $agent->unit === 'mL' ? 'µL/L' : 'mg/L',
                    'dose' => Format::number($dose, 3),
                    'ceiling' => Format::number($ceiling, 3),
                ]),
            ]);
    }

    /** What the agent itself takes of the oxygen there is. */
    private static function breathes(Agent $agent, string $way, float $perLitre, ?float $oxygen): Judged
    {
        $takes = $agent->oxygenTaken($perLitre, $way);
        if ($oxygen === null || $takes <= 0) {
            return new Judged();
        }
        $values = [
            'takes' => Format::number($takes, 2),
            'oxygen' => Format::number($oxygen, 2),
            'left' => Format::number(max(0.0, $oxygen - $takes), 2),
        ];

        return match (true) {
            $oxygen - $takes < self::OXYGEN_LEFT_MG_L - 1e-9 => new Judged([
                Message::of('dose.oxygen_would_run_out', $values),
            ]),
            $oxygen - $takes < self::OXYGEN_AIRED_MG_L => new Judged(
                [],
                [Message::of('dose.oxygen_will_fall', $values)],
            ),
            default => new Judged(),
        };
    }

    private static function refused(Working $work, Judged $judged, string $unit): Result
    {
        foreach ($judged->refusals as $refusal) {
            $work->danger($refusal);
        }

        return $work->result([
            'refused' => true,
            'dose' => null,
            'dose_unit' => $unit,
            'dose_mg_l' => null,
            'exposure_min' => null,
            'course' => [],
            'oxygen_cost_mg_l' => null,
            'refusals' => Message::texts($judged->refusals),
            'conditions' => Message::texts($judged->conditions),
            'codes' => Message::codes([...$judged->refusals, ...$judged->conditions]),
        ]);
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
        $state = ConflictState::from($given);
        $work = new Working();
        $work->cite('dose-conflicts');
        // A culture is no treatment: it takes no oxygen to speak of, and is given again as its label says.
        $judged =
            $given->text('agent') === Conflicts::OWN
                ? $this->conflicts->judge(Conflicts::OWN, $state)
                : $this->culture($state->present);
        if ($judged->isRefused()) {
            return self::refused($work, $judged, 'label');
        }
        $work->step(
            'By its label.',
            'amount × volume / treats',
            Format::number($label) . ' for ' . Format::number($treats) . ' L',
            Format::number(($label * $given->number('volume_l')) / $treats, 4),
        );
        if ($given->text('agent') === Conflicts::OWN) {
            $work->watch(Message::of('dose.treatment_nothing_known_here_agent'));
        }
        foreach ($judged->conditions as $condition) {
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
            'conditions' => Message::texts($judged->conditions),
            'codes' => Message::codes($judged->conditions),
        ]);
    }

    /** @param  list<string>  $present */
    private function culture(array $present): Judged
    {
        $treatments = array_diff(array_intersect($present, array_keys($this->agents->agents)), ['salt']);

        return new Judged(
            [],
            [
                ...in_array('uv', $present, true) ? [Message::of('dose.own_uv_off')] : [],
                ...$treatments === [] ? [] : [Message::of('dose.own_with_another')],
            ],
        );
    }
}
