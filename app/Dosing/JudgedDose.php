<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Bench\BenchAnswer;
use App\Models\Good;
use App\Volumes\WaterBody;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\Judged;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Words\Message;

/**
 * One dose as it is judged now: what refuses it, on what conditions it is given, and how much it is.
 *
 * The same object stands behind the page, the API, the command line and the booking.
 */
final readonly class JudgedDose
{
    /**
     * @param  Judged  $judged  by conflicts, by what is in the water already and by the bottle
     * @param  ?float  $amount  in g or mL; null where it is refused or something is missing
     * @param  ?string  $unit  g or mL; null for what is no amount
     * @param  string  $way  prolonged, bath or dip
     * @param  float  $volumeL  it was worked out on: of a bath, or of the body of water
     */
    public function __construct(
        public Dosable $dosable,
        public WaterBody $body,
        public DoseState $state,
        public Judged $judged,
        public BenchAnswer $bench,
        public ?Good $good,
        public ?float $amount,
        public ?string $unit,
        public string $way,
        public float $volumeL,
    ) {}

    public function refused(): bool
    {
        return $this->judged->isRefused() || $this->bench->refused;
    }

    /** What is weighed: down to the step of the scale, so that it is never more than what was worked out. */
    public function weighed(DoseForm $form): float
    {
        return Measures::down((float) $this->amount, $this->unit === 'g' ? $form->scaleG() : null);
    }

    /** @return list<Message> conditions that nobody has ticked */
    public function unmet(DoseForm $form): array
    {
        return self::open($this->judged, $form);
    }

    /** @return list<Message> */
    public static function open(Judged $judged, DoseForm $form): array
    {
        return array_values(
            array_filter(
                $judged->conditions,
                static fn(Message $condition): bool => !in_array($condition->code, $form->met(), true),
            ),
        );
    }

    /**
     * @param  list<Message>  $unmet
     *
     * @throws BadInput at `reason` where conditions are open and nobody says why it is given all the same
     */
    public static function refuseOpen(array $unmet, DoseForm $form): void
    {
        if ($unmet !== [] && $form->reason() === '') {
            throw BadInput::at(
                'reason',
                'Not done yet: ' . implode(' ', Message::texts($unmet)) . ' Do it and tick it, or give a reason.',
            );
        }
    }

    /** Of what is counted, mg/L, for an amount that goes in; null for what is not counted so. */
    public function levelMgL(float $amount): ?float
    {
        return $this->dosable->levelMgL($amount, $this->amount, $this->volumeL, $this->bench);
    }
}
