<?php

declare(strict_types=1);

namespace App\Bench;

use App\Forms\Figure;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Words\Message;

/** A bench with its fields filled in, and what it works out as far as it can. */
final readonly class BenchAnswer
{
    /**
     * @param  list<BenchField>  $fields
     * @param  array<string, string>  $errors  by field
     * @param  list<string>  $missing  labels of fields that are to be typed yet
     * @param  bool  $refused  a danger has taken the amounts away
     * @param  list<Figure>  $figures
     * @param  array<string, float|string|bool|null|list<string>>  $input  of the calculator
     * @param  list<string>  $steps
     * @param  list<Caution>  $cautions
     * @param  list<Message>  $refusals  of the calculator itself
     * @param  list<Message>  $conditions  that it found besides
     */
    public function __construct(
        public string $name,
        public string $title,
        public array $fields,
        public array $errors,
        public array $missing,
        public bool $refused,
        public array $figures,
        public array $input,
        public ?string $measure,
        public array $steps,
        public array $cautions,
        public array $refusals = [],
        public array $conditions = [],
    ) {}

    /** The same with nothing on it that anybody could weigh out. */
    public function withoutAmounts(): self
    {
        return new self(
            name: $this->name,
            title: $this->title,
            fields: $this->fields,
            errors: $this->errors,
            missing: $this->missing,
            refused: $this->refused,
            figures: [],
            input: $this->input,
            measure: null,
            steps: [],
            cautions: $this->cautions,
            refusals: $this->refusals,
            conditions: $this->conditions,
        );
    }

    /** @param  list<string>  $texts  that stand on the page already */
    public function withoutCautions(array $texts): self
    {
        return new self(
            name: $this->name,
            title: $this->title,
            fields: $this->fields,
            errors: $this->errors,
            missing: $this->missing,
            refused: $this->refused,
            figures: $this->figures,
            input: $this->input,
            measure: $this->measure,
            steps: $this->steps,
            cautions: array_values(
                array_filter(
                    $this->cautions,
                    static fn(Caution $caution): bool => !in_array($caution->text, $texts, true),
                ),
            ),
            refusals: $this->refusals,
            conditions: $this->conditions,
        );
    }

    public function number(string $key): ?float
    {
        $value = $this->input[$key] ?? null;

        return is_numeric($value) ? (float) $value : null;
    }

    public function text(string $key): ?string
    {
        $value = $this->input[$key] ?? null;

        return is_string($value) ? $value : null;
    }

    /** @return array<string, mixed> as the contract has it */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'title' => $this->title,
            'fields' => array_map(static fn(BenchField $field): array => get_object_vars($field), $this->fields),
            'errors' => (object) $this->errors,
            'missing' => $this->missing,
            'refused' => $this->refused,
            'figures' => array_map(static fn(Figure $figure): array => $figure->toArray(), $this->figures),
            'input' => (object) $this->input,
            'measure' => $this->measure,
            'steps' => $this->steps,
            'cautions' => array_map(static fn(Caution $caution): array => $caution->toArray(), $this->cautions),
        ];
    }
}
