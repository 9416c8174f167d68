<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Bench\BenchReport;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Models\Good;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\WaterBody;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\ConflictState;
use Ironwort\Core\Dose\Judged;
use Ironwort\Core\Dose\Verdict;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Model\Tending;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/** Judges a dose: by what is in the water and the loop first, and only then how much it would be. */
final readonly class JudgeDose
{
    private Conflicts $conflicts;

    public function __construct(
        private AgentTable $agents,
        private BenchReport $benches,
        private Residuals $residuals,
        private ExpectedWater $expected,
        private StageKinds $kinds,
    ) {
        $this->conflicts = new Conflicts($agents);
    }

    public function state(System $system, WaterBody $body, LatestWater $water): DoseState
    {
        return DoseState::of($system, $body, $water, $this->expected, $this->residuals, $this->conflicts, $this->kinds);
    }

    /** What is in the water and the loop, and the water itself, say to it. */
    public function conflicts(Dosable $dosable, DoseState $state): Judged
    {
        if ($dosable->id === 'ammonium') {
            return new Judged(
                $state->fish ? [Message::of('dose.ammonium_with_fish')] : [],
                ($state->nitrite ?? 0.0) > Tending::NITRITE_FIRST_MG_L ? [Message::of('dose.nitrite_first')] : [],
            );
        }
        if (!in_array($dosable->conflict, $this->conflicts->things(), true)) {
            return new Judged();
        }
        if (!isset($state->input['temp_c'])) {
            // What is given to the water itself does not turn on its temperature.
            return $dosable->agent === null &&
                in_array($dosable->conflict, ['binder', 'bicarbonate', 'salt', 'zeolite'], true)
                ? $this->judged($dosable, [...$state->input, 'temp_c' => AssumedWater::TEMPERATURE_C])
                : new Judged([Message::of('dose.temperature_unknown')]);
        }
        $judged = $this->told(
            $this->judged($dosable, [...$state->input, ...$state->against($dosable)]),
            $dosable,
            $state,
        );
        $own = $dosable->apart ? null : $state->otherOwn($dosable);

        return $own === null ? $judged : $judged->on(Message::of('dose.own_agent_in_water', ['name' => $own]));
    }

    public function judge(
        System $system,
        LatestWater $water,
        Dosable $dosable,
        WaterBody $body,
        DoseState $state,
        DoseForm $form,
    ): JudgedDose {
        $judged = $this->conflicts($dosable, $state);
        $good = self::good($system, $dosable);
        if ($good?->expired() === true) {
            $day = (string) $good->expires_on?->toDateString();
            $judged = $judged->on(Message::of('dose.expired', ['name' => $good->name, 'day' => $day]));
        }
        $fixed = $this->fixed($dosable, $body, $state, $good);
        $bench = $this->benches->of($dosable->bench, $system, $water, $form->typed, $fixed);
        // What the calculator found besides, by the dose itself: on top of what is there, or of too little oxygen.
        $known = Message::codes([...$judged->refusals, ...$judged->conditions]);
        $judged = $judged
            ->refusing(...Message::besides($known, $bench->refusals))
            ->on(...Message::besides($known, $bench->conditions));
        $bench = $bench->withoutCautions([
            ...Message::texts($judged->conditions),
            ...$dosable->agent === null ? [] : [$dosable->agent->caution()],
        ]);
        $main = $bench->figures[0] ?? null;
        if ($main !== null && $main->value <= 0 && !$judged->isRefused()) {
            // There is enough already: nothing is to be made ready for nothing.
            $judged = new Judged();
        }
        $refused = $judged->isRefused() || $bench->refused;

        return new JudgedDose(
            dosable: $dosable,
            body: $body,
            state: $state,
            judged: $judged,
            bench: $refused ? $bench->withoutAmounts() : $bench,
            good: $good,
            amount: $refused ? null : $main?->value,
            unit: in_array($main?->unit, ['g', 'mL'], true) ? $main->unit : null,
            way: $bench->text('way') ?? 'prolonged',
            // A bath may be smaller than the system; what was worked out on is what is kept.
            volumeL: max(0.0, $bench->number('volume_l') ?? 0.0) ?: $body->volumeL,
        );
    }

    /** What of the shelf it would be taken from. */
    public static function good(System $system, Dosable $dosable): ?Good
    {
        $kind = $dosable->shelfKind();

        return $dosable->good ?? ($kind === null ? null : Good::inUse($system->site_id, $kind));
    }

    /** @param  array<string, float|bool|list<string>>  $input */
    private function judged(Dosable $dosable, array $input): Judged
    {
        $given = (new Intake(ConflictState::inputs($this->conflicts)))->read($input);

        return $this->conflicts->judge($dosable->conflict, ConflictState::from($given));
    }

    /** The same, with how long what stands in the way takes to go by itself. */
    private function told(Judged $judged, Dosable $dosable, DoseState $state): Judged
    {
        $waits = [];
        foreach ($state->present as $id => $present) {
            $other = in_array($id, $this->conflicts->things(), true) ? $id : $dosable->conflict;
            $meeting = $this->conflicts->pair($dosable->conflict, $other);
            if ($meeting->verdict === Verdict::Refused && $present['gone_d'] !== null) {
                $waits[$meeting->reason->code] = Message::of('dose.gone_in', [
                    'name' => $present['name'],
                    'days' => Format::days($present['gone_d']),
                ]);
            }
        }

        return new Judged(
            array_map(
                static fn(Message $refusal): Message => isset($waits[$refusal->code])
                    ? $refusal->followedBy($waits[$refusal->code])
                    : $refusal,
                $judged->refusals,
            ),
            $judged->conditions,
            $judged->pairs,
        );
    }

    /**
     * What a calculator is to be told besides its fields.
     *
     * @return array<string, float|string|bool|list<string>>
     */
    private function fixed(Dosable $dosable, WaterBody $body, DoseState $state, ?Good $good): array
    {
        $fixed = ['volume_l' => max(0.1, $body->volumeL)];
        if ($dosable->bench->calculator === 'dose.treatment') {
            // In a bath of its own it meets the fish and the water, and nothing of the loop.
            $met = $dosable->apart
                ? array_intersect_key(
                    $state->input,
                    array_flip(['temp_c', 'ph', 'alkalinity_mg_l', 'hardness_mg_l', 'do_mg_l']),
                )
                : [...$state->input, ...$state->against($dosable)];
            $fixed = [
                ...$met,
                ...$fixed,
                'agent' => $dosable->agent->id ?? ($dosable->good === null ? 'culture' : 'own'),
            ];
            $fixed['temp_c'] ??= AssumedWater::TEMPERATURE_C;
            // Only permanganate has a demand of the water to be told.
            $fixed += $dosable->agent?->id === 'potassium_permanganate' ? [] : ['demand_mg_l' => 0.0];
        }
        $asks = static fn(string $field): bool => in_array($field, $dosable->bench->fields, true);

        return [
            ...$fixed,
            ...array_map(floatval(...), $good->label ?? []),
            ...$good?->cap_ml !== null && $asks('cap_ml') ? ['cap_ml' => $good->cap_ml] : [],
            ...$good?->strength_pct !== null && $asks('strength_pct') ? ['strength_pct' => $good->strength_pct] : [],
        ];
    }
}
