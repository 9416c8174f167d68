<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\Began;
use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Forms\VesselChoice;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Fish\Condition;

/** Forms about fish: a group, a measurement, a number of them that goes. */
final readonly class FishInputs
{
    /**
     * Length or weight, or both: what is missing follows from the condition factor, and the reading is kept.
     *
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a group
     *
     * @throws BadInput
     */
    public function group(System $system, array $typed): array
    {
        $values = (new TypedInputs([
            self::count(0),
            Input::number('condition', 'Condition factor', null, 0.5, 3)->optional(),
            ...self::size(),
        ]))->read($typed);
        $count = self::whole($values['count']);

        return [
            'count' => $count,
            ...$this->sized($values),
            'vessel_id' => VesselChoice::vessel($system, $typed['vessel_id'] ?? null),
            'arrived_on' => self::arrived($system, $typed),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array{length_cm: ?float, weight_g: ?float, measured_on: string}
     *
     * @throws BadInput
     */
    public function measure(System $system, array $typed): array
    {
        $values = (new TypedInputs(self::size()))->read($typed);
        if ($values === []) {
            throw BadInput::at('length_cm', 'Give a length or a weight.');
        }

        return [
            'length_cm' =>
                isset($values['length_cm']) && is_numeric($values['length_cm']) ? (float) $values['length_cm'] : null,
            'weight_g' =>
                isset($values['weight_g']) && is_numeric($values['weight_g']) ? (float) $values['weight_g'] : null,
            'measured_on' => Day::read($typed, 'measured_on') ?? self::today($system),
        ];
    }

    /**
     * @param  array<string, mixed>  $values  as typed: `length_cm`, `weight_g`, `condition`
     * @return array{length_cm: float, weight_g: ?float, condition: float}
     *
     * @throws BadInput
     */
    public function sized(array $values, float $usual = Condition::USUAL): array
    {
        $number = static fn(string $key): ?float => is_float($values[$key] ?? null) || is_int($values[$key] ?? null)
            ? (float) $values[$key]
            : null;
        $length = $number('length_cm');
        $weight = $number('weight_g');
        $condition = $number('condition') ?? $usual;
        if ($length === null && $weight === null) {
            throw BadInput::at('length_cm', 'Give a length or a weight.');
        }
        if ($length !== null && $weight !== null) {
            $condition = (100 * $weight) / $length ** 3;
            if ($condition < 0.5 || $condition > 3) {
                throw BadInput::at(
                    'weight_g',
                    'So heavy a fish of this length cannot be: the condition factor would be ' .
                        round($condition, 2) .
                        ', and carp have 1.3 to 1.8.',
                );
            }
        }

        return [
            'length_cm' => $length ?? ((100 * (float) $weight) / $condition) ** (1 / 3),
            'weight_g' => $weight,
            'condition' => $condition,
        ];
    }

    /**
     * How many of a group go, on which day, and why.
     *
     * @param  array<array-key, mixed>  $typed
     * @return array{count: int, happened_on: string, reason: ?string}
     *
     * @throws BadInput
     */
    public function leaving(System $system, array $typed, int $there): array
    {
        $values = (new TypedInputs([self::count(1), Input::text('reason', 'Reason', 200)->optional()]))->read($typed);
        $count = self::whole($values['count']);
        if ($count > $there) {
            throw BadInput::at('count', $there === 1 ? 'There is only one.' : "There are only {$there}.");
        }

        return [
            'count' => $count,
            'happened_on' => Day::read($typed, 'happened_on') ?? self::today($system),
            'reason' => is_string($values['reason'] ?? null) ? $values['reason'] : null,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $typed  `came` is today, since (a day) or here, where the form asks
     *
     * @throws BadInput
     */
    private static function arrived(System $system, array $typed): ?string
    {
        if (($typed['came'] ?? null) === 'here') {
            return null;
        }
        try {
            return Began::day($typed, 'came', 'arrived_on', self::today($system));
        } catch (BadInput $bad) {
            throw isset($bad->errors['came'])
                ? BadInput::at(
                    'came',
                    'Say whether they are here already or arrived: what the filter must take grows on that day.',
                )
                : $bad;
        }
    }

    private static function count(int $least): Input
    {
        return Input::number('count', 'Count', null, $least, 100000);
    }

    /** @return list<Input> */
    private static function size(): array
    {
        return [
            Input::number('length_cm', 'Length', 'cm', 0.5, 130)->optional(),
            Input::number('weight_g', 'Weight', 'g', 0.01, 100000)->optional(),
        ];
    }

    private static function whole(mixed $count): int
    {
        return is_numeric($count) && fmod((float) $count, 1.0) <= 0
            ? (int) $count
            : throw BadInput::at('count', 'Fish are counted whole.');
    }

    private static function today(System $system): string
    {
        return Carbon::now($system->site->timezone)->toDateString();
    }
}
