<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

use Ironwort\Core\Measure\Format;

/**
 * Checks raw input against the declared inputs of a calculator.
 *
 * Every fault is collected, so that a form can show all of them at once. Nothing is coerced: a
 * number in quotation marks, a boolean for a number or an infinite value is an error.
 */
final readonly class Intake
{
    /** @param  list<Input>  $inputs */
    public function __construct(private array $inputs) {}

    /**
     * @param  array<array-key, mixed>  $raw
     *
     * @throws BadInput
     */
    public function read(array $raw): Given
    {
        $errors = [];
        $assumed = [];
        $values = $this->collect($raw, '', $errors, $assumed);

        return $errors === [] ? new Given($values, array_values($assumed)) : throw new BadInput($errors);
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @param  array<string, string>  $errors
     * @param  array<string, Input>  $assumed  inputs whose default stood in, rows counted once
     * @return array<string, float|string|bool|Given|list<Given>|list<string>|null>
     */
    private function collect(array $raw, string $path, array &$errors, array &$assumed): array
    {
        $values = [];
        foreach ($this->inputs as $input) {
            $key = $path . $input->key;
            $value = $raw[$input->key] ?? null;
            if ($value === null) {
                if ($input->required) {
                    $errors[$key] = "{$input->label} is needed.";
                } elseif ($input->default !== null) {
                    $assumed[$input->key] = $input;
                }
                $values[$input->key] = $input->default;

                continue;
            }
            $values[$input->key] = match ($input->type) {
                InputType::Number => $this->number($input, $value, $key, $errors),
                InputType::Text => $this->text($input, $value, $key, $errors),
                InputType::Flag => is_bool($value)
                    ? $value
                    : $this->fault($key, "{$input->label} is true or false.", $errors),
                InputType::Texts => $this->texts($input, $value, $key, $errors),
                InputType::Object => $this->object($input, $value, $key, $errors, $assumed),
                InputType::Rows => $this->rows($input, $value, $key, $errors, $assumed),
            };
        }
        foreach ($this->inputs as $input) {
            if ($input->insteadOf === null || !isset($raw[$input->key])) {
                continue;
            }
            if (isset($raw[$input->insteadOf])) {
                $this->fault(
                    $path . $input->key,
                    "{$input->label} and {$this->labelOf($input->insteadOf)} exclude each other: give one.",
                    $errors,
                );
            }
            $values[$input->insteadOf] = null;
            unset($assumed[$input->insteadOf]);
        }
        $this->refuseUnknown($raw, $path, $errors);

        return $values;
    }

    /** @param  array<string, string>  $errors */
    private function number(Input $input, mixed $value, string $key, array &$errors): ?float
    {
        if (!is_int($value) && !is_float($value)) {
            return $this->fault($key, "{$input->label} must be a number.", $errors);
        }
        $number = (float) $value;
        if (!is_finite($number)) {
            return $this->fault($key, "{$input->label} must be a finite number.", $errors);
        }
        if ($number < $input->min || $number > $input->max) {
            $unit = $input->unit === null ? '' : " {$input->unit}";
            $range = Format::number((float) $input->min, 8) . ' to ' . Format::number((float) $input->max, 8) . $unit;

            return $this->fault(
                $key,
                "{$input->label} is " . Format::number($number, 8) . "{$unit}; it must be {$range}.",
                $errors,
            );
        }

        return $number;
    }

    /**
     * @param  array<string, string>  $errors
     * @return ?list<string>
     */
    private function texts(Input $input, mixed $value, string $key, array &$errors): ?array
    {
        if (!is_array($value) || !array_is_list($value)) {
            return $this->fault($key, "{$input->label} must be a list.", $errors);
        }
        $texts = [];
        foreach ($value as $i => $text) {
            if (!is_string($text) || !in_array($text, $input->allowed, true)) {
                $errors["{$key}.{$i}"] = 'Choose from: ' . implode(', ', $input->allowed) . '.';
            } else {
                $texts[] = $text;
            }
        }

        return $texts;
    }

    /** @param  array<string, string>  $errors */
    private function text(Input $input, mixed $value, string $key, array &$errors): ?string
    {
        if (!is_string($value)) {
            return $this->fault($key, "{$input->label} must be text.", $errors);
        }
        if ($input->allowed !== [] && !in_array($value, $input->allowed, true)) {
            return $this->fault($key, 'Choose one of: ' . implode(', ', $input->allowed) . '.', $errors);
        }
        if ($input->max !== null && mb_strlen($value) > $input->max) {
            return $this->fault(
                $key,
                "{$input->label} may be at most " . Format::number($input->max) . ' characters long.',
                $errors,
            );
        }

        return $value;
    }

    /**
     * @param  array<string, string>  $errors
     * @param  array<string, Input>  $assumed
     */
    private function object(Input $input, mixed $value, string $key, array &$errors, array &$assumed): ?Given
    {
        if (!is_array($value) || ($value !== [] && array_is_list($value))) {
            return $this->fault($key, "{$input->label} must be an object.", $errors);
        }

        return new Given((new self($input->fields))->collect($value, "{$key}.", $errors, $assumed));
    }

    /**
     * @param  array<string, string>  $errors
     * @param  array<string, Input>  $assumed
     * @return ?list<Given>
     */
    private function rows(Input $input, mixed $value, string $key, array &$errors, array &$assumed): ?array
    {
        if (!is_array($value) || !array_is_list($value)) {
            return $this->fault($key, "{$input->label} must be a list.", $errors);
        }
        if (count($value) < $input->min || count($value) > $input->max) {
            return $this->fault(
                $key,
                "{$input->label} must have " .
                    Format::number((float) $input->min) .
                    ' to ' .
                    Format::number((float) $input->max) .
                    ' rows.',
                $errors,
            );
        }
        $rows = [];
        $intake = new self($input->fields);
        foreach ($value as $i => $row) {
            if (!is_array($row) || ($row !== [] && array_is_list($row))) {
                $errors["{$key}.{$i}"] = 'Each row must be an object.';

                continue;
            }
            $rows[] = new Given($intake->collect($row, "{$key}.{$i}.", $errors, $assumed));
        }

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $raw
     * @param  array<string, string>  $errors
     */
    private function refuseUnknown(array $raw, string $path, array &$errors): void
    {
        $known = array_map(static fn(Input $input): string => $input->key, $this->inputs);
        foreach (array_keys($raw) as $key) {
            if (in_array((string) $key, $known, true)) {
                continue;
            }
            $near = array_filter(
                $known,
                static fn(string $name): bool => levenshtein(substr((string) $key, 0, 60), $name) <= 3,
            );
            $hint = $near === [] ? '' : ' Was ' . implode(' or ', $near) . ' meant?';
            $errors[$path . $key] = "There is no input of this name.{$hint}";
        }
    }

    private function labelOf(string $key): string
    {
        foreach ($this->inputs as $input) {
            if ($input->key === $key) {
                return lcfirst($input->label);
            }
        }

        return $key;
    }

    /** @param  array<string, string>  $errors */
    private function fault(string $key, string $message, array &$errors): null
    {
        $errors[$key] = $message;

        return null;
    }
}
