<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/**
 * One thing to do, with why, and the amount where there is one: a figure of a calculator that can be run again.
 *
 * `page` is where it is done or booked: water, dose, buffer, test, capacity or none.
 */
final readonly class AnswerStep
{
    /** All that any step gives, as `Conflicts` names things. */
    public const GIVEN = ['hydrogen_peroxide', 'thiosulfate', 'binder', 'zeolite', 'salt', 'bicarbonate'];

    /** @param  ?array{calc: string, key: string, input: array<string, mixed>, value: float, unit: string}  $amount */
    private function __construct(
        public Cause $cause,
        public Message $do,
        public ?Message $why,
        public ?array $amount,
        public ?string $page,
        public ?Message $caution,
        public float $changesPct = 0.0,
        public float $bindsMgL = 0.0,
    ) {}

    public static function to(
        Cause $cause,
        Message $do,
        ?Message $why = null,
        ?string $page = null,
        ?Message $caution = null,
    ): self {
        return new self($cause, $do, $why, null, $page, $caution);
    }

    /** What goes into the water of the fish by it, as `Conflicts` names things; null where nothing does. */
    public function gives(): ?string
    {
        return match ($this->do->code) {
            'incident.oxygen_peroxide' => 'hydrogen_peroxide',
            'incident.chlorine_conditioner', 'incident.chlorine_conditioner_by_label' => 'thiosulfate',
            'incident.ammonia_binder',
            'incident.ammonia_binder_first',
            'incident.ammonia_binder_by_label',
            'incident.ammonia_binder_by_label_first'
                => 'binder',
            'incident.ammonia_zeolite' => 'zeolite',
            'incident.nitrite_salt' => 'salt',
            'incident.acid_bicarbonate' => 'bicarbonate',
            default => null,
        };
    }

    /** A change of so much of the water, percent: what comes after is reckoned on what it leaves. */
    public function changing(float $pct): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            $this->amount,
            $this->page,
            $this->caution,
            $pct,
            $this->bindsMgL,
        );
    }

    /** So much ammonia bound, mg/L as N: what comes after is reckoned without it. */
    public function binding(float $mgL): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            $this->amount,
            $this->page,
            $this->caution,
            $this->changesPct,
            $mgL,
        );
    }

    public function weighing(CalculatedAmount $worked, string $unit): self
    {
        return new self(
            $this->cause,
            $this->do,
            $this->why,
            [
                'calc' => $worked->calc,
                'key' => $worked->key,
                'input' => $worked->input,
                'value' => $worked->value,
                'unit' => $unit,
            ],
            $this->page,
            $this->caution,
            $this->changesPct,
            $this->bindsMgL,
        );
    }
}
