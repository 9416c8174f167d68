<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Line;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Flow\PipeInputs;

/** The form of one line: where it runs, its pipe, fittings and valve. */
final readonly class LineInputs
{
    private const MOST_OF_ONE_FITTING = 100;

    public function __construct(private FittingTable $table)
    {
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a line
     *
     * @throws BadInput
     */
    public function read(System $system, array $typed): array
    {
        $errors = [];
        $columns = [...$this->end($system, $typed, 'from', $errors), ...$this->end($system, $typed, 'to', $errors)];
        if (! in_array($typed['outlet'] ?? '', ['', null, ...Line::OUTLETS], true)) {
            $errors['outlet'] = 'Choose how it meets the water.';
        }
        $fittings = $this->fittings($typed['fittings'] ?? [], $errors);
        $values = [];
        try {
            $values = (new TypedInputs([
                ...array_slice(PipeInputs::line(), 0, 2),
                Input::number('valve_open_pct', 'Valve', '%', 0, 100)->optional(),
                Input::number('ends_above_mm', 'Ends above the water', 'mm', 0, 5000)->or(0.0),
            ]))->read($typed);
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }

        return ['valve_open_pct' => null, 'ends_above_mm' => 0.0, ...$columns, ...$values, 'fittings' => $fittings, 'check_valve' => Yes::said($typed['check_valve'] ?? null), 'guarded' => Yes::said($typed['guarded'] ?? null),
            'outlet' => $columns['to_vessel_id'] !== null && in_array($typed['outlet'] ?? null, Line::OUTLETS, true) ? $typed['outlet'] : null];
    }

    /**
     * An end is written `vessel:KEY`, `stage:KEY`, `pump:KEY` or `outside`.
     *
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, string>  $errors
     * @return array<string, ?string>
     */
    private function end(System $system, array $typed, string $end, array &$errors): array
    {
        $columns = ["{$end}_vessel_id" => null, "{$end}_stage_id" => null, "{$end}_pump_id" => null];
        $text = is_string($typed[$end] ?? null) ? $typed[$end] : '';
        if ($text === 'outside' && $end === 'to') {
            return $columns;
        }
        [$kind, $id] = [...explode(':', $text, 2), '', ''];
        $known = match ($kind) {
            'vessel' => $system->vessels->contains('id', $id),
            'stage' => $system->stages->contains('id', $id),
            'pump' => $system->pumps->contains(static fn ($pump): bool => $pump->id === $id && $pump->kind === 'water'),
            default => false,
        };
        if (! $known) {
            $errors[$end] = $end === 'from' ? 'Say where the line begins.' : 'Say where the line leads.';

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
            if (! isset($this->table->ks[$id])) {
                $errors["fittings.{$i}.id"] = 'Choose a fitting from the list.';
            } elseif (preg_match('/^\d{1,3}$/', $count) !== 1 || (int) $count < 1 || (int) $count > self::MOST_OF_ONE_FITTING) {
                $errors["fittings.{$i}.count"] = 'How many? A whole number from 1 to 100.';
            } else {
                $counts[$id] = ($counts[$id] ?? 0) + (int) $count;
            }
        }

        return $counts;
    }
}
