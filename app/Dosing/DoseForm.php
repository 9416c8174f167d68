<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Forms\LocalTime;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\UnreadableNumber;

/**
 * What is typed for a dose besides the fields of its bench.
 *
 * `met` are the codes of conditions that are ticked, `done` says that it was given already: then it is a fact, which
 * is booked whatever would have been said against it.
 */
final readonly class DoseForm
{
    /** @param  array<array-key, mixed>  $typed  all that was sent, for the fields of the bench */
    public function __construct(public array $typed) {}

    public function dosable(): string
    {
        return $this->text('thing');
    }

    public function body(): ?string
    {
        return $this->text('body') === '' ? null : $this->text('body');
    }

    public function reason(): string
    {
        return mb_substr($this->text('reason'), 0, 200);
    }

    /** @return list<string> codes */
    public function met(): array
    {
        return array_values(array_filter((array) ($this->typed['met'] ?? []), is_string(...)));
    }

    public function done(): bool
    {
        return filter_var($this->typed['done'] ?? null, FILTER_VALIDATE_BOOL);
    }

    /** Whether it was given as well as the same that somebody else has just booked. */
    public function again(): bool
    {
        return filter_var($this->typed['again'] ?? null, FILTER_VALIDATE_BOOL);
    }

    /** What was given already, in the unit it is weighed or poured in. */
    public function givenAmount(): ?float
    {
        $text = $this->text('given_amount');
        if ($text === '') {
            return null;
        }
        try {
            $amount = TypedQuantity::read($text, $this->givenUnit() ?? '');
        } catch (UnreadableNumber $fault) {
            throw BadInput::at('given_amount', $fault->getMessage());
        }

        return $amount > 0 && $amount <= 1e7
            ? $amount
            : throw BadInput::at('given_amount', 'Enter the amount given, over 0.');
    }

    public function givenUnit(): ?string
    {
        return in_array($this->text('given_unit'), ['g', 'mL'], true) ? $this->text('given_unit') : null;
    }

    /** When it was given; now where nothing is typed. */
    public function givenAt(string $zone): Carbon
    {
        $text = $this->text('given_at');
        $at = $text === '' ? Carbon::now() : LocalTime::past($text, $zone, 'given_at');

        return $at->isBefore(Carbon::now()->subYears(50))
            ? throw BadInput::at('given_at', 'This time is too long ago.')
            : $at;
    }

    /** What the keeper's scale reads to, g. */
    public function scaleG(): ?float
    {
        $grams = $this->number('scale_g');

        return $grams !== null && $grams >= 0.001 && $grams <= 1000 ? $grams : null;
    }

    /** Litres of stock solution it is to be dissolved in. */
    public function stockL(): ?float
    {
        $litres = $this->number('stock_l');

        return $litres !== null && $litres > 0 && $litres <= 1000 ? $litres : null;
    }

    private function number(string $key): ?float
    {
        $text = str_replace(',', '.', $this->text($key));

        return is_numeric($text) ? (float) $text : null;
    }

    private function text(string $key): string
    {
        return is_string($this->typed[$key] ?? null) ? trim($this->typed[$key]) : '';
    }
}
