<?php

declare(strict_types=1);

namespace App\Forms;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\InputType;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\UnreadableNumber;

/**
 * A form of typed texts as the input of a calculator: numbers are read as keepers type them, empty
 * fields are left out, and what the declared inputs refuse is said at its field.
 */
final readonly class TypedInputs
{
    /** @param  list<Input>  $inputs */
    public function __construct(private array $inputs) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> what was typed, by key of the field
     *
     * @throws BadInput
     */
    public function read(array $typed): array
    {
        $errors = [];
        $values = self::convert($this->inputs, $typed, '', $errors);
        try {
            (new Intake($this->inputs))->read($values);
        } catch (BadInput $bad) {
            $errors += $bad->errors;
        }

        return $errors === [] ? $values : throw new BadInput($errors);
    }

    /**
     * @param  list<Input>  $inputs
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, string>  $errors
     * @return array<string, mixed>
     */
    private static function convert(array $inputs, array $typed, string $path, array &$errors): array
    {
        $values = [];
        foreach ($inputs as $input) {
            $value = $typed[$input->key] ?? null;
            if ($value === null || $value === '' || $value === []) {
                continue;
            }
            if ($input->type === InputType::Number && is_string($value)) {
                try {
                    $value = TypedQuantity::read($value, $input->unit);
                } catch (UnreadableNumber $fault) {
                    $errors[$path . $input->key] = $fault->getMessage();
                }
            }
            if ($input->type === InputType::Rows && is_array($value)) {
                foreach ($value as $i => $row) {
                    $value[$i] = is_array($row)
                        ? self::convert($input->fields, $row, "{$path}{$input->key}.{$i}.", $errors)
                        : $row;
                }
            }
            $values[$input->key] = $value;
        }

        return $values;
    }
}
