<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\InputType;

/**
 * Inputs of a calculator by its own declaration, seeded: realistic ones, spread over the decades of each range, and
 * extreme ones, at the very ends of it and with all that may be left out left out.
 */
final class SeededInputs
{
    /** @var array<string, bool> waters that are mixed must name the same things */
    private array $shared = [];

    public function __construct(int $seed, private readonly bool $extreme)
    {
        mt_srand($seed);
    }

    /**
     * @param  list<Input>  $inputs
     * @return array<string, mixed>
     */
    public function next(array $inputs): array
    {
        $this->shared = [];

        return array_filter(
            array_combine(
                array_map(static fn(Input $input): string => $input->key, $inputs),
                array_map($this->value(...), $inputs),
            ),
            static fn(mixed $one): bool => $one !== null,
        );
    }

    /**
     * The same with what was refused left out or drawn anew, so that most tries end in an answer.
     *
     * @param  list<Input>  $inputs
     * @param  array<string, mixed>  $given
     * @param  list<string>  $faults  keys, `rows.2.key` for what stands in rows
     * @return array<string, mixed>
     */
    public function repaired(array $inputs, array $given, array $faults): array
    {
        foreach ($faults as $fault) {
            $given = $this->redrawn($inputs, $given, explode('.', $fault));
        }

        return $given;
    }

    /**
     * @param  list<Input>  $inputs
     * @param  array<array-key, mixed>  $given
     * @param  list<string>  $path
     * @return array<array-key, mixed>
     */
    private function redrawn(array $inputs, array $given, array $path): array
    {
        $key = array_shift($path);
        foreach ($inputs as $input) {
            if ($input->key !== $key) {
                continue;
            }
            $inner = $given[$key] ?? null;
            if ($path !== [] && is_array($inner) && $input->type === InputType::Rows) {
                $row = (int) array_shift($path);
                if ($path !== [] && isset($inner[$row])) {
                    $given[$key][$row] = $this->redrawn($input->fields, $inner[$row], $path);

                    return $given;
                }
            }
            if ($path !== [] && is_array($inner) && $input->type === InputType::Object) {
                $given[$key] = $this->redrawn($input->fields, $inner, $path);

                return $given;
            }
            $value = !$input->required && isset($given[$key]) ? null : $this->drawn($input);
            unset($given[$key]);

            return $value === null ? $given : [...$given, $key => $value];
        }

        return $given;
    }

    private function value(Input $input): mixed
    {
        if (!$input->required && mt_rand(0, 1) === 0) {
            return null;
        }

        return $this->drawn($input);
    }

    private function drawn(Input $input): mixed
    {
        return match ($input->type) {
            InputType::Number => $this->number((float) $input->min, (float) $input->max),
            InputType::Text => $input->allowed === [] ? 'a name' : $input->allowed[array_rand($input->allowed)],
            InputType::Flag => mt_rand(0, 1) === 1,
            InputType::Texts => array_values(array_filter($input->allowed, static fn(): bool => mt_rand(0, 3) === 0)),
            InputType::Object => $this->object($input->fields),
            InputType::Rows => self::ordered(
                array_map(
                    fn(): array => $this->row($input->fields),
                    range(1, mt_rand(max(1, (int) $input->min), max((int) $input->min, min(5, (int) $input->max)))),
                ),
            ),
        };
    }

    private function number(float $min, float $max): float
    {
        if ($this->extreme) {
            return [$min, $max, min($max, max($min, 0.0)), $min + 0.5 * ($max - $min)][mt_rand(0, 3)];
        }
        $share = mt_rand() / mt_getrandmax();

        // Much is counted whole.
        return round(
            $min >= 0 && $max > 100 * max(0.1, $min)
                ? max(0.01, $min) * ($max / max(0.01, $min)) ** (0.8 * $share)
                : $min + ($max - $min) * $share,
            $max - $min >= 10 && mt_rand(0, 2) === 0 ? 0 : 4,
        );
    }

    /**
     * A curve begins at no flow, and falls.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function ordered(array $rows): array
    {
        if (!isset($rows[0]['flow_l_h'], $rows[0]['head_m'])) {
            return $rows;
        }
        $flows = array_column($rows, 'flow_l_h');
        $heads = array_column($rows, 'head_m');
        sort($flows);
        rsort($heads);
        $flows[0] = 0.0;

        return array_map(
            static fn(array $row, mixed $flow, mixed $head): array => [...$row, 'flow_l_h' => $flow, 'head_m' => $head],
            $rows,
            $flows,
            $heads,
        );
    }

    /**
     * @param  list<Input>  $fields
     * @return array<string, mixed>
     */
    private function object(array $fields): array
    {
        $row = [];
        foreach ($fields as $field) {
            $this->shared[$field->key] ??= mt_rand(0, 2) === 0;
            if ($this->shared[$field->key]) {
                $row[$field->key] = $this->drawn($field);
            }
        }

        return array_filter($row, static fn(mixed $one): bool => $one !== null);
    }

    /**
     * @param  list<Input>  $fields
     * @return array<string, mixed>
     */
    private function row(array $fields): array
    {
        $row = [];
        foreach ($fields as $field) {
            $row[$field->key] = $this->value($field);
        }
        foreach ($fields as $field) {
            if ($field->insteadOf !== null && isset($row[$field->key])) {
                unset($row[$field->insteadOf]);
            }
        }
        // The lower end of an interval stands below its upper one.
        foreach (array_keys($row) as $key) {
            $high = str_replace('low', 'high', $key);
            if ($high !== $key && isset($row[$key], $row[$high]) && $row[$key] > $row[$high]) {
                [$row[$key], $row[$high]] = [$row[$high], $row[$key]];
            }
        }

        return array_filter($row, static fn(mixed $one): bool => $one !== null);
    }
}
