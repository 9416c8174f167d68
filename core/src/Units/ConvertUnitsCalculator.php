<?php

declare(strict_types=1);

namespace Ironwort\Core\Units;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Words\Message;

/**
 * Converts a reading or volume between the units and bases keepers meet.
 *
 *     value 100, from us_gal, to l, of volume  →  value 378.5411784
 *
 * @source legal-gallons  @source iupac-2007  @source german-degree  @source cp-teaspoon-salt
 */
final readonly class ConvertUnitsCalculator implements Calculator
{
    public function name(): string
    {
        return 'units.convert';
    }

    public function title(): string
    {
        return 'Convert between units and bases';
    }

    public function inputs(): array
    {
        $units = array_map(static fn(Unit $unit): string => $unit->value, Unit::cases());

        return [
            Input::number('value', 'Value', null, -1e9, 1e9),
            Input::choice('from', 'Unit it is in', $units),
            Input::choice('to', 'Unit wanted', $units),
            Input::choice(
                'of',
                'What is measured',
                array_map(static fn(Quantity $q): string => $q->value, Quantity::cases()),
            ),
        ];
    }

    public function outputs(): array
    {
        return [new Output('value')];
    }

    public function calculate(Given $given): Result
    {
        $quantity = Quantity::from($given->text('of'));
        $from = $this->unit($given, 'from', $quantity);
        $to = $this->unit($given, 'to', $quantity);
        $value = $given->number('value');
        $canonical = $from->toCanonical($value, $quantity);
        if ($quantity === Quantity::Temperature ? $canonical < -273.15 : $canonical < 0) {
            throw BadInput::at(
                'value',
                $quantity === Quantity::Temperature
                    ? 'This is below absolute zero.'
                    : 'There is no less than none of it: the value must not be negative.',
            );
        }
        $converted = $to->fromCanonical($canonical, $quantity);

        $work = new Working();
        $work->step(
            "From {$from->symbol()} to {$to->symbol()}.",
            $quantity === Quantity::Temperature
                ? '(value − zero of from) × factor of from ÷ factor of to + zero of to'
                : 'value × factor of from ÷ factor of to',
            Format::number($value, 6) .
                ' × ' .
                Format::number((float) $from->factor($quantity), 6) .
                ' ÷ ' .
                Format::number((float) $to->factor($quantity), 6),
            Format::number($converted, 6) . ' ' . $to->symbol(),
        );
        $work->cite(...$this->sources($quantity, $from, $to));
        if ($from === Unit::TeaspoonOfSalt || $to === Unit::TeaspoonOfSalt) {
            $work->watch(Message::of('units.convert_teaspoons_differ_salt_packs'));
        }

        return $work->result(['value' => $converted]);
    }

    private function unit(Given $given, string $key, Quantity $quantity): Unit
    {
        $unit = Unit::from($given->text($key));
        if ($unit->factor($quantity) === null) {
            $fitting = implode(', ', array_map(static fn(Unit $u): string => $u->value, Unit::of($quantity)));
            throw BadInput::at($key, "{$unit->value} does not measure {$quantity->value}; these do: {$fitting}.");
        }

        return $unit;
    }

    /** @return list<string> */
    private function sources(Quantity $quantity, Unit $from, Unit $to): array
    {
        $teaspoon = $from === Unit::TeaspoonOfSalt || $to === Unit::TeaspoonOfSalt;

        return match ($quantity) {
            Quantity::Volume => ['legal-gallons'],
            Quantity::Nitrate, Quantity::Nitrite, Quantity::Ammonia => ['iupac-2007'],
            Quantity::Alkalinity, Quantity::Hardness => ['iupac-2007', 'german-degree'],
            Quantity::Salt => $teaspoon ? ['cp-teaspoon-salt', 'legal-gallons'] : ['legal-gallons'],
            Quantity::Temperature => ['si-brochure'],
        };
    }
}
