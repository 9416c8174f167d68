<?php

declare(strict_types=1);

namespace App\Forms;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** What was typed into one page, read field by field; what cannot be read is kept as an error at its field. */
final class TypedFields
{
    /** @var array<string, string> */
    public array $errors = [];

    /** @param  array<array-key, mixed>  $typed */
    public function __construct(private readonly array $typed) {}

    /**
     * @param  list<Input>  $fields
     * @return array<string, mixed> what was typed, by key of the field
     */
    public function read(array $fields): array
    {
        try {
            return (new TypedInputs($fields))->read($this->typed);
        } catch (BadInput $bad) {
            $this->errors += $bad->errors;

            return [];
        }
    }

    public function number(Input $field): ?float
    {
        $value = $this->read([$field->optional()])[$field->key] ?? null;

        return is_numeric($value) ? (float) $value : null;
    }

    public function text(string $key): ?string
    {
        $text = $this->typed[$key] ?? null;

        return is_string($text) && trim($text) !== '' ? trim($text) : null;
    }

    public function flag(string $key): bool
    {
        return filter_var($this->typed[$key] ?? null, FILTER_VALIDATE_BOOL);
    }

    public function refuse(string $field, string $reason): void
    {
        $this->errors[$field] ??= $reason;
    }

    /** @throws BadInput where anything was refused */
    public function throwIfAny(): void
    {
        if ($this->errors !== []) {
            throw new BadInput($this->errors);
        }
    }

    /**
     * What a calculator refuses is said at its field, or at one field of the page.
     *
     * @template T
     *
     * @param  \Closure(): T  $run
     * @return ?T
     */
    public function attempt(\Closure $run, ?string $at = null): mixed
    {
        try {
            return $run();
        } catch (BadInput $bad) {
            $this->errors += $at === null ? $bad->errors : [$at => implode(' ', $bad->errors)];

            return null;
        }
    }
}
