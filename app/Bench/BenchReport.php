<?php

declare(strict_types=1);

namespace App\Bench;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\InputType;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\UnreadableNumber;
use Ironwort\Core\Words\Message;

/** A bench with what the book knows filled in, what was typed over it, and the answer as far as there is one. */
final readonly class BenchReport
{
    public function __construct(private Registry $registry, private BenchContext $context) {}

    /**
     * @param  array<array-key, mixed>  $typed
     * @param  array<string, float|string|bool|list<string>>  $fixed  input that is no field: what the
     *     caller knows better
     */
    public function of(Bench $bench, System $system, LatestWater $water, array $typed, array $fixed = []): BenchAnswer
    {
        $known = array_diff_key(
            [...$this->context->of($system, $water, $bench->fields), ...$this->labels($fixed)],
            array_flip($bench->asked),
        );
        $fixed = array_diff_key($fixed, array_flip($bench->fields));
        $inputs = array_column($this->registry->named($bench->calculator)->inputs(), null, 'key');
        $values = $errors = $origins = $fields = [];
        $touched = false;
        foreach ($bench->fields as $key) {
            $input = $inputs[$key];
            $parameter = self::parameter($key);
            $text = is_string($typed[$key] ?? null) ? trim($typed[$key]) : '';
            $touched = $touched || $text !== '';
            $from = 'to be typed';
            $offered = array_column(self::choices($bench, $input), 'value');
            // What stands there unless something is typed: the default where it is offered, or the only choice there
            // is.
            $standing =
                $offered === [] || in_array($input->default, $offered, true)
                    ? $input->default
                    : (count($offered) === 1 && $input->default !== null
                        ? $offered[0]
                        : null);
            $shown = null;
            if ($text !== '') {
                try {
                    $values[$key] = self::read($input, $parameter, $text);
                    $from = 'typed';
                } catch (UnreadableNumber | UnreadableReading $fault) {
                    $errors[$key] = $fault->getMessage();
                }
            } elseif (isset($known[$key])) {
                $values[$key] = $known[$key][0];
                $origins[] = $known[$key][1];
                $shown = is_float($known[$key][0]) ? self::say($parameter, $known[$key][0]) : $known[$key][0];
                $from = $known[$key][1]->from;
            } elseif ($standing !== null) {
                $shown = is_float($standing) ? self::say($parameter, $standing) : (string) $standing;
                $from = 'assumed';
                // A choice that is asked for stands open on the page with this one chosen: that is no silent default.
                if (in_array($key, $bench->asked, true) && $input->allowed !== []) {
                    $values[$key] = $standing;
                }
            } elseif (!$input->required) {
                $from = '';
            }
            $fields[] = new BenchField(
                key: $key,
                label: str_replace(['Alkalinity', 'Hardness'], ['KH', 'GH'], $input->label),
                unit: $parameter === null ? $input->unit : $parameter->symbol(),
                choices: self::choices($bench, $input),
                value: $shown,
                from: $from,
                filled: !in_array($key, $bench->asked, true) && (isset($known[$key]) || $standing !== null),
                needed: ($input->required || ($input->default !== null && $standing === null)) &&
                    !isset($values[$key]) &&
                    $text === '',
            );
        }
        $result = null;
        $missing = array_filter($fields, static fn(BenchField $field): bool => $field->needed);
        if ($errors === [] && $missing === []) {
            try {
                $values = [...$fixed, ...$values];
                $result = $this->registry->run($bench->calculator, $values);
            } catch (BadInput $bad) {
                $errors = $bad->errors;
            }
        }
        $refused =
            $result !== null &&
            $bench->dangerRefuses &&
            array_filter($result->cautions, static fn(Caution $caution): bool => $caution->level === Level::Danger) !==
                [];

        return new BenchAnswer(
            name: $bench->name,
            title: $bench->title,
            fields: $fields,
            errors: $touched || $missing === [] ? $errors : [],
            missing: array_values(array_map(static fn(BenchField $field): string => $field->label, $missing)),
            refused: $refused,
            figures: $result === null ? [] : $this->figures($bench, $result, $values, $origins, $refused),
            input: $values,
            measure: $result === null || $refused ? null : self::measure($bench, $result),
            steps: $result === null || $refused ? [] : self::steps($result),
            cautions: $result === null ? [] : $result->cautions,
            refusals: self::said($result, Level::Danger),
            conditions: self::said($result, Level::Watch),
        );
    }

    /**
     * What a calculator refuses, or lets in on a condition, by its own codes.
     *
     * @return list<Message>
     */
    private static function said(?Result $result, Level $level): array
    {
        $codes = $result?->figures['codes'] ?? null;
        $refused = $result?->figures['refused'] ?? null;
        if ($result === null || !is_array($codes) || ($level === Level::Danger && $refused !== true)) {
            return [];
        }

        return array_values(
            array_map(
                static fn(Caution $caution): Message => $caution->message,
                array_filter(
                    $result->cautions,
                    static fn(Caution $caution): bool => $caution->level === $level &&
                        in_array($caution->message->code, $codes, true),
                ),
            ),
        );
    }

    /**
     * @param  array<string, float|string|bool|null|list<string>>  $values
     * @param  list<Origin>  $origins
     * @return list<Figure>
     */
    private function figures(Bench $bench, Result $result, array $values, array $origins, bool $refused): array
    {
        $figures = [];
        foreach ($bench->figures as $key => [$label, $unit]) {
            $amount = in_array($unit, ['g', 'mL', 'kg'], true);
            if (is_numeric($result->figures[$key] ?? null) && !($refused && $amount)) {
                $parameter = Parameter::tryFrom($key);
                $figures[] = new Figure(
                    $label,
                    $parameter === null ? $result->number($key) : $parameter->shown($result->number($key)),
                    $unit === '' ? null : $unit,
                    $bench->calculator,
                    $key,
                    $values,
                    $origins,
                );
            }
        }

        return $figures;
    }

    /**
     * Fixed input that is a field of the bench as well: filled in, and to be typed over.
     *
     * @param  array<string, float|string|bool|list<string>>  $fixed
     * @return array<string, array{float|string, Origin}>
     */
    private function labels(array $fixed): array
    {
        $known = [];
        foreach ($fixed as $key => $value) {
            if (is_float($value) || is_string($value)) {
                $known[$key] = [
                    $value,
                    new Origin(
                        $key,
                        'Label',
                        is_float($value) ? Format::number($value) : $value,
                        'typed',
                        'from the shelf',
                    ),
                ];
            }
        }

        return $known;
    }

    /** The answer in the keeper's tools, where it is something to weigh or pour. */
    private static function measure(Bench $bench, Result $result): ?string
    {
        foreach ($bench->figures as $key => [$label, $unit]) {
            $value = $result->figures[$key] ?? null;
            if (is_numeric($value) && (float) $value > 0 && in_array($unit, ['g', 'mL'], true)) {
                return $unit === 'g'
                    ? Measures::grams((float) $value, str_contains($bench->name, 'salt'))
                    : Measures::millilitres((float) $value);
            }
        }

        return null;
    }

    /** @return list<string> equal doses one after another, in words */
    private static function steps(Result $result): array
    {
        $schedule = $result->figures['schedule'] ?? null;
        if (is_array($schedule) && count($schedule) > 1) {
            return array_values(
                array_map(
                    static fn(mixed $row): string => is_array($row) &&
                    is_numeric($row['hour'] ?? null) &&
                    is_numeric($row['dose_g'] ?? null)
                        ? 'After ' .
                            Format::number((float) $row['hour']) .
                            ' h: ' .
                            Measures::grams((float) $row['dose_g'], true)
                        : '',
                    $schedule,
                ),
            );
        }
        $steps = $result->figures['steps'] ?? null;
        if (!is_array($steps) || count($steps) < 2) {
            return [];
        }

        return array_map(
            static fn(int $i, mixed $grams): string => 'Step ' .
                ($i + 1) .
                ': ' .
                (is_numeric($grams) ? Measures::grams((float) $grams) : ''),
            array_keys(array_values($steps)),
            array_values($steps),
        );
    }

    /** The reading a key is of, so that it is typed and shown in the keeper's unit. */
    private static function parameter(string $key): ?Parameter
    {
        return Parameter::tryFrom(preg_replace('/^(target|now|before)_/', '', $key) ?? $key);
    }

    private static function say(?Parameter $parameter, float $value): string
    {
        return $parameter === null ? Format::number($value, 4) : Format::number($parameter->shown($value), 3);
    }

    /** @return list<array{value: string, label: string}> */
    private static function choices(Bench $bench, Input $input): array
    {
        // Where a bench names only some of them, only those can be chosen.
        $allowed =
            $bench->asked !== [] && array_intersect($input->allowed, array_keys($bench->words)) !== []
                ? array_values(array_intersect($input->allowed, array_keys($bench->words)))
                : $input->allowed;

        return array_map(
            static fn(string $id): array => [
                'value' => $id,
                'label' => $bench->words[$id] ?? str_replace('_', ' ', $id),
            ],
            $allowed,
        );
    }

    /** @throws UnreadableNumber|UnreadableReading */
    private static function read(Input $input, ?Parameter $parameter, string $text): float|string|bool
    {
        return match (true) {
            $input->type === InputType::Flag => $text === 'yes',
            $input->type !== InputType::Number => $text,
            $parameter !== null => TypedReading::read($parameter, $text, null)->value,
            default => TypedQuantity::read($text, $input->unit),
        };
    }
}
