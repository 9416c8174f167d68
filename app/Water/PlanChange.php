<?php

declare(strict_types=1);

namespace App\Water;

use App\Expected\ExpectedWater;
use App\Forms\TypedFields;
use App\Models\System;
use App\Models\WaterChange;
use App\Readings\LatestWater;
use App\Running\WithoutFlow;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Judges a change before it is booked: what is refused of a plan, what has been poured already is told as it was. */
final readonly class PlanChange
{
    public function __construct(
        private BookChange $changes,
        private ChangeAmount $amount,
        private WithoutFlow $pumpOff,
        private PutBack $putBack,
        private ExpectedWater $expected,
    ) {}

    /**
     * @param  array<array-key, mixed>  $form
     *
     * @throws BadInput
     */
    public function judge(System $system, LatestWater $water, array $form): PlannedChange
    {
        $typed = new TypedFields($form);
        $kind = $typed->text('kind') === 'topup' ? 'topup' : 'batch';
        if (!in_array($typed->text('kind'), WaterChange::KINDS, true)) {
            $typed->refuse('kind', 'Choose a change or a top-up.');
        }
        $body = $this->changes->body($system, $typed->text('body'));
        $litres = $this->amount->of($system, $body, $typed);
        if ($litres === null) {
            $typed->refuse('change_l', 'Say how much.');
        }
        $source = $typed->text('water');
        $waters = TwoWaters::of($system, $water, $this->expected, $body, $source);
        if ($source !== null && $waters->source?->id !== $source) {
            $typed->refuse('water', 'There is no such water.');
        }
        if ($source !== null && !$typed->flag('done') && $waters->scalds() !== null) {
            $typed->refuse('water', $waters->scalds()->text);
        }
        $off = $kind === 'batch' && $typed->flag('pump_off');
        $minutes = $off
            ? $typed->number(Input::number('planned_min', 'Minutes the pump is off', 'min', 1, 1440))
            : null;
        if ($off && $minutes === null) {
            $typed->refuse('planned_min', 'Enter the minutes the pump will be off.');
        }
        $typed->throwIfAny();
        $bound = $off ? $this->pumpOff->of($system, $water, (float) $litres) : null;

        return new PlannedChange(
            kind: $kind,
            litres: (float) $litres,
            body: $body,
            source: $source === null ? null : $waters->source,
            plannedMin: $minutes,
            dangerMin: $bound?->minutes,
            dangerBy: $bound?->decides,
            putBack: array_map(
                static fn(PutBackItem $item): array => $item->open(),
                match (true) {
                    $source === null || $waters->source === null => [],
                    $kind === 'batch' => $this->putBack->of($system, $waters, (float) $litres),
                    // A top-up thins nothing out, but its chlorine is as good as that of a change.
                    default => $this->putBack->chlorine($system, $waters->source, $waters->origins, (float) $litres),
                },
            ),
            done: $typed->flag('done'),
        );
    }

    /**
     * Whether what is sent again is the change that stands. By a meter or a level it cannot be told: they have gone on.
     *
     * @param  array<array-key, mixed>  $form
     */
    public function isAgain(System $system, WaterChange $known, array $form): bool
    {
        $typed = new TypedFields($form);
        if ($typed->text('change_l') === null && $typed->text('change_pct') === null) {
            return true;
        }
        try {
            $body = $this->changes->body($system, $typed->text('body'));
            $litres = $this->amount->of($system, $body, $typed);
        } catch (BadInput) {
            return true;
        }

        return $litres === null ||
            ($typed->text('kind') === $known->kind &&
                $body->vesselId === $known->vessel_id &&
                abs(min($litres, $body->volumeL) - $known->litres) <= 1e-6 * $known->volume_l);
    }
}
