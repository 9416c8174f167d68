<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Models\Line;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Flow\PipeInputs;

/** The form of one line: where it runs, its pipe, fittings and valve. */
final readonly class LineInputs
{
    private const MOST_OF_ONE_FITTING = 100;

    public function __construct(private FittingTable $table) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a line
     *
     * @throws BadInput
     */
    public function read(System $system, string $id, array $typed): array
    {
        $errors = [];
        $columns = [...$this->end($system, $typed, 'from', $errors), ...$this->end($system, $typed, 'to', $errors)];
        if (!in_array($typed['outlet'] ?? '', ['', null, ...Line::OUTLETS], true)) {
            $errors['outlet'] = 'Choose its outlet.';
        }
        $fittings = $this->fittings($typed['fittings'] ?? [], $errors);
        $values = [];
        try {
            $values = (new TypedInputs([
                ...array_slice(PipeInputs::line(), 0, 2),
                Input::number('valve_open_pct', 'Valve', '%', 0, 100)->optional(),
                Input::number('ends_above_mm', 'Ends above the water', 'mm', 0, 5000)->or(0.0),
                Input::number('fall_mm', 'Falls below the water', 'mm', 1, 20000)->optional(),
                Input::number('mouth_mm', 'Mouth under the water', 'mm', 0, 20000)->optional(),
                PartCost::input(),
            ]))->read($typed);
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }
        $words = [];
        foreach (
            [
                'intake' => [Line::INTAKES, 'from_vessel_id'],
                'spot' => [Line::SPOTS, null],
                'aim' => [Line::AIMS, 'to_vessel_id'],
                'leads_to' => [Line::WASTES, 'outside'],
            ]
            as $key => [$allowed, $needs]
        ) {
            $word = $typed[$key] ?? '';
            if (!in_array($word, ['', null, ...$allowed], true)) {
                $errors[$key] = 'Choose one from the list.';
            }
            $fits =
                $needs === null ||
                ($needs === 'outside' ? ($typed['to'] ?? '') === 'outside' : $columns[$needs] !== null);
            $words[$key] = $fits && $word !== '' ? $word : null;
        }
        $words['three_way_id'] = $this->partner($system, $id, $typed, $columns, $errors);
        if ($words['three_way_id'] !== null && !isset($values['valve_open_pct'])) {
            $errors['valve_open_pct'] = 'A three-way valve has an opening: how much of it is this line\'s?';
        }
        if (
            ($columns['from_junction_id'] ?? null) !== null &&
            $columns['from_junction_id'] === $columns['to_junction_id']
        ) {
            $errors['to'] = 'A line leads from one place to another.';
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }

        return [
            ...$words,
            'within_reach' => ($typed['within_reach'] ?? 'yes') !== 'no',
            'valve_open_pct' => null,
            'fall_mm' => null,
            'mouth_mm' => null,
            'cost' => null,
            'ends_above_mm' => 0.0,
            ...$columns,
            ...$values,
            'fittings' => $fittings,
            'check_valve' => filter_var($typed['check_valve'] ?? null, FILTER_VALIDATE_BOOL),
            'guarded' => filter_var($typed['guarded'] ?? null, FILTER_VALIDATE_BOOL),
            'outlet' =>
                $columns['to_vessel_id'] !== null && in_array($typed['outlet'] ?? null, Line::OUTLETS, true)
                    ? $typed['outlet']
                    : null,
        ];
    }

    /**
     * One form for a line from every bay, or to every bay: `from` or `to` is `each`.
     *
     * @param  array<array-key, mixed>  $typed
     * @return list<array<array-key, mixed>> the form of each line; none where one line is meant
     *
     * @throws BadInput
     */
    public function ofEach(System $system, array $typed): array
    {
        $ends = array_keys(array_filter(['from' => $typed['from'] ?? '', 'to' => $typed['to'] ?? ''], self::each(...)));
        if ($ends === []) {
            return [];
        }
        $bays = $system->vessels->filter(static fn(Vessel $vessel): bool => $vessel->holdsFish());
        if (count($ends) === 2 || $bays->isEmpty()) {
            throw BadInput::at(
                'to',
                $bays->isEmpty() ? 'There is no bay yet.' : 'Only one end of a line can be at every bay.',
            );
        }

        return array_values(
            $bays
                ->map(
                    static fn(Vessel $bay): array => [...$typed, $ends[0] => "vessel:{$bay->id}", 'three_way_id' => ''],
                )
                ->all(),
        );
    }

    private static function each(mixed $end): bool
    {
        return $end === 'each';
    }

    /**
     * The line that shares the three-way valve: it comes to the same place.
     *
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, ?string>  $columns
     * @param  array<string, string>  $errors
     */
    private function partner(System $system, string $id, array $typed, array $columns, array &$errors): ?string
    {
        $key = $typed['three_way_id'] ?? null;
        if (!is_string($key) || $key === '') {
            return null;
        }
        $partner = $system->lines->first(static fn(Line $line): bool => $line->id === $key && $line->id !== $id);
        if (!($partner instanceof Line)) {
            $errors['three_way_id'] = 'There is no such line here.';
        } elseif (
            $partner->to_pump_id !== ($columns['to_pump_id'] ?? null) ||
            $partner->to_stage_id !== ($columns['to_stage_id'] ?? null) ||
            $partner->to_junction_id !== ($columns['to_junction_id'] ?? null) ||
            $partner->to()->id === ''
        ) {
            $errors['three_way_id'] = "{$partner->name} does not come to the same place.";
        }

        return $key;
    }

    /** What one side of a three-way valve lets through, the other does not. */
    public function settleThreeWay(System $system, string $id): void
    {
        $line = Line::query()->where('system_id', $system->id)->find($id);
        $others = Line::query()->where('system_id', $system->id)->where('three_way_id', $id);
        if ($line?->three_way_id === null) {
            $others->update(['three_way_id' => null]);

            return;
        }
        (clone $others)->where('id', '<>', $line->three_way_id)->update(['three_way_id' => null]);
        Line::query()
            ->whereKey($line->three_way_id)
            ->update(['three_way_id' => $id, 'valve_open_pct' => 100 - (float) $line->valve_open_pct]);
    }

    /**
     * An end is written `vessel:KEY`, `stage:KEY`, `pump:KEY`, `junction:KEY` or `outside`.
     *
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, string>  $errors
     * @return array<string, ?string>
     */
    private function end(System $system, array $typed, string $end, array &$errors): array
    {
        $columns = [
            "{$end}_vessel_id" => null,
            "{$end}_stage_id" => null,
            "{$end}_pump_id" => null,
            "{$end}_junction_id" => null,
        ];
        $text = is_string($typed[$end] ?? null) ? $typed[$end] : '';
        if ($text === 'outside' && $end === 'to') {
            return $columns;
        }
        [$kind, $id] = [...explode(':', $text, 2), '', ''];
        $known = match ($kind) {
            'vessel' => $system->vessels->contains('id', $id),
            'stage' => $system->stages->contains(
                static fn(Stage $stage): bool => $stage->id === $id && $stage->chamber_id === null,
            ),
            'pump' => $system->pumps->contains(static fn($pump): bool => $pump->id === $id && $pump->circulates()),
            'junction' => $system->junctions->contains('id', $id),
            default => false,
        };
        if (!$known) {
            $errors[$end] = $end === 'from' ? 'Choose where the line begins.' : 'Choose where the line leads.';

            return $columns;
        }

        return [...$columns, "{$end}_{$kind}_id" => $id];
    }

    /**
     * @param  array<string, string>  $errors
     * @return array<string, int>
     */
    private function fittings(mixed $rows, array &$errors): array
    {
        $counts = [];
        foreach (is_array($rows) ? $rows : [] as $i => $row) {
            $id = is_array($row) && is_string($row['id'] ?? null) ? $row['id'] : '';
            $count = is_array($row) && is_scalar($row['count'] ?? null) ? trim((string) $row['count']) : '';
            if ($id === '' && $count === '') {
                continue;
            }
            if (!isset($this->table->ks[$id])) {
                $errors["fittings.{$i}.id"] = 'Choose a fitting from the list.';
            } elseif (
                preg_match('/^\d{1,3}$/', $count) !== 1 ||
                (int) $count < 1 ||
                (int) $count > self::MOST_OF_ONE_FITTING
            ) {
                $errors["fittings.{$i}.count"] = 'How many? A whole number from 1 to 100.';
            } else {
                $counts[$id] = ($counts[$id] ?? 0) + (int) $count;
            }
        }

        return $counts;
    }
}
