<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\BookedAs;
use App\Http\Overridden;
use App\Http\SameDeed;
use App\Models\Charge;
use App\Models\Dose;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\ZeoliteCalculator;
use Ironwort\Core\Words\Message;

/**
 * Books a dose. One that is planned is judged anew by the water as it is now, under the lock of its system: what is
 * refused is not booked, whoever asks, and conditions are met or overridden with a reason that stays in the book.
 *
 * One that was given already is a fact: it is booked with all that stood against it, and counts from then on.
 */
final readonly class GiveDose
{
    public function __construct(private JudgeDose $judge, private AgentTable $agents, private WaterBodies $bodies) {}

    /** @throws BadInput */
    public function give(string $id, System $system, User $user, DoseForm $form): Dose
    {
        return DB::transaction(function () use ($id, $system, $user, $form): Dose {
            $system->hold();
            $known = Dose::query()->find(strtoupper($id));
            if ($known === null) {
                return $this->book(strtoupper($id), $system, $user, $form);
            }
            $thing = Dosable::all($system, $this->agents)[$form->dosable()] ?? null;
            $told = $form->done() ? $form->givenAmount() : null;
            BookedAs::refuseOther(
                $thing?->bookedAs() === $known->thing &&
                    $form->body() === $known->vessel_id &&
                    ($told === null || abs($told - $known->amount) <= 1e-9 * $known->amount),
                $known->text(),
            );

            return $known;
        });
    }

    private function book(string $id, System $system, User $user, DoseForm $form): Dose
    {
        $dosable =
            Dosable::all($system, $this->agents)[$form->dosable()] ??
            throw BadInput::at('thing', 'Say what is to be given.');
        $body = $this->bodies->find($system, $form->body());
        $water = LatestWater::of($system);
        $state = $this->judge->state($system, $body, $water);
        if (!$form->done()) {
            // What must never meet is told before anything is worked out.
            self::refuse($this->judge->conflicts($dosable, $state)->refusals);
        }
        $dose = $this->judge->judge($system, $water, $dosable, $body, $state, $form);
        [$amount, $unit] = $form->done()
            ? self::given($dose, $form)
            : [self::planned($dose, $form), $dose->unit ?? 'g'];
        if (!$form->again()) {
            SameDeed::refuse(
                Dose::query()
                    ->with(['vessel', 'good'])
                    ->where('thing', $dosable->bookedAs())
                    ->where('vessel_id', $body->vesselId)
                    ->whereNull('withdrawn_at'),
                'given_at',
                $system,
                $user,
                $form->givenAt($system->site->timezone),
                static fn(Dose $dose): string => $dose->text(),
            );
        }

        return $this->write($id, $system, $user, $dose, $form, $amount, $unit);
    }

    /** @throws BadInput where it is not to be given, or not yet */
    private static function planned(JudgedDose $dose, DoseForm $form): float
    {
        self::refuse($dose->judged->refusals);
        if ($dose->bench->errors !== []) {
            throw new BadInput($dose->bench->errors);
        }
        if ($dose->bench->refused) {
            self::refuse([Message::of('dose.harms_as_it_is')]);
        }
        if ($dose->amount === null || $dose->amount <= 0) {
            self::refuse([Message::of('dose.nothing_to_give')]);
        }
        JudgedDose::refuseOpen($dose->unmet($form), $form);
        $amount = $dose->weighed($form);
        if ($amount <= 0) {
            self::refuse([Message::of('dose.below_scale')]);
        }

        return $amount;
    }

    /** @return array{float, string} what went in, as it is told; what was worked out where nobody tells */
    private static function given(JudgedDose $dose, DoseForm $form): array
    {
        $told = $form->givenAmount();
        if ($told === null && $dose->amount === null) {
            throw BadInput::at('given_amount', 'How much was given?');
        }

        return [$told ?? $dose->weighed($form), $form->givenUnit() ?? ($dose->unit ?? $dose->dosable->unit())];
    }

    /** @param  list<Message>  $refusals */
    private static function refuse(array $refusals): void
    {
        if ($refusals !== []) {
            throw BadInput::at('thing', implode(' ', Message::texts($refusals)), Message::codes($refusals));
        }
    }

    private function write(
        string $id,
        System $system,
        User $user,
        JudgedDose $dose,
        DoseForm $form,
        float $amount,
        string $unit,
    ): Dose {
        $own = ['site_id' => $system->site_id, 'system_id' => $system->id, 'user_id' => $user->id];
        $at = $form->done() ? $form->givenAt($system->site->timezone) : Carbon::now();
        if ($dose->dosable->id === 'zeolite') {
            Charge::query()->create([
                ...$own,
                'id' => $id,
                'kind' => 'zeolite',
                'mass_g' => $amount,
                'capacity_mg_n_per_g' =>
                    $dose->bench->number('capacity_mg_n_per_g') ?? ZeoliteCalculator::CAPACITY_MG_N_PER_G,
                'put_in_at' => $at,
            ]);
        }
        $booked = Dose::query()->create([
            ...$own,
            'id' => $id,
            'vessel_id' => $dose->body->vesselId,
            'thing' => $dose->dosable->bookedAs(),
            'name' => $dose->dosable->name,
            'way' => $dose->way,
            'amount' => $amount,
            'unit' => $unit,
            'mg_l' => $dose->levelMgL($amount),
            'volume_l' => $dose->volumeL,
            'calc' => $dose->dosable->bench->calculator,
            'input' => $dose->bench->input,
            'conditions' => Message::texts($dose->judged->conditions),
            'override_reason' => $this->overridden($dose, $form),
            'as_fact' => $form->done(),
            'given_at' => $at,
            'minutes' => $dose->dosable->agent?->exposure($dose->way),
        ]);
        TakeFromShelf::take($booked, $dose->good);
        Overridden::log(
            "dose of {$booked->thing}",
            Message::codes($this->against($dose, $form)),
            $form->done(),
            $system,
            $user,
        );

        return $booked;
    }

    /** @return list<Message> what speaks against it and did not keep it from being booked */
    private function against(JudgedDose $dose, DoseForm $form): array
    {
        return $form->done() ? [...$dose->judged->refusals, ...$dose->unmet($form)] : $dose->unmet($form);
    }

    /** Why it was given against what was said; what was said, where it had been given already. */
    private function overridden(JudgedDose $dose, DoseForm $form): ?string
    {
        $against = $this->against($dose, $form);
        if ($against === []) {
            return null;
        }

        return $form->reason() !== ''
            ? $form->reason()
            : mb_substr('Given already. ' . implode(' ', Message::texts($against)), 0, 200);
    }
}
