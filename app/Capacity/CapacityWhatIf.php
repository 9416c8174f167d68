<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\TypedInputs;
use App\Models\Stage;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Fish\Condition;

/** What is changed on the Capacity page beside the water and the feed: fish, filter, flow, changes. */
final readonly class CapacityWhatIf
{
    public const KEYS = [
        'fish_more',
        'fish_length_cm',
        'stage_off',
        'media_stage',
        'media_more_l',
        'lost_pct',
        'flow_pct',
        'change_l_d',
        'source_no3_mg_l',
    ];

    /** @param  array<string, mixed>  $values */
    private function __construct(private array $values) {}

    /** Nothing is asked about. */
    public static function none(): self
    {
        return new self([]);
    }

    /**
     * @param  array<string, string>  $typed
     *
     * @throws BadInput
     */
    public static function read(System $system, array $typed): self
    {
        $values = (new TypedInputs([
            Input::number('fish_more', 'More fish', null, -10000, 10000)->optional(),
            Input::number('fish_length_cm', 'Length of a fish more', 'cm', 2, 130)->optional(),
            Input::text('stage_off', 'Stage off', 26)->optional(),
            Input::text('media_stage', 'Stage', 26)->optional(),
            Input::number('media_more_l', 'Medium more', 'L', -100000, 100000)->optional(),
            Input::number('lost_pct', 'Bacteria lost', '%', 0, 100)->optional(),
            Input::number('flow_pct', 'Flow', '% of now', 1, 1000)->optional(),
            Input::number('change_l_d', 'Water changed', 'L/d', 0, 1e8)->optional(),
            Input::number('source_no3_mg_l', 'Nitrate in new water', 'mg/L', 0, 500)->optional(),
        ]))->read(array_intersect_key($typed, array_flip(self::KEYS)));
        foreach (['stage_off', 'media_stage'] as $key) {
            if (isset($values[$key]) && !$system->stages->contains('id', $values[$key])) {
                throw BadInput::at($key, 'There is no such stage here.');
            }
        }

        return new self($values);
    }

    public function number(string $key): ?float
    {
        return is_numeric($this->values[$key] ?? null) ? (float) $this->values[$key] : null;
    }

    public function fishKg(): float
    {
        return (($this->number('fish_more') ?? 0.0) * Condition::weight($this->length(), Condition::USUAL)) / 1000;
    }

    public function length(): float
    {
        return $this->number('fish_length_cm') ?? 50.0;
    }

    public function nothing(): bool
    {
        return array_diff_key($this->values, ['fish_length_cm' => 0]) === [];
    }

    /**
     * @param  array<string, mixed>  $row  one row of the stages of a calculation
     * @return array<string, mixed>
     */
    public function stage(Stage $stage, array $row): array
    {
        $flow = is_numeric($row['flow_l_h'] ?? null) ? (float) $row['flow_l_h'] : 0.0;
        $media = is_numeric($row['media_l'] ?? null) ? (float) $row['media_l'] : 0.0;

        return [
            ...$row,
            'flow_l_h' =>
                ($this->values['stage_off'] ?? null) === $stage->id
                    ? 0.0
                    : ($flow * ($this->number('flow_pct') ?? 100.0)) / 100,
            'media_l' =>
                ($this->values['media_stage'] ?? null) === $stage->id
                    ? max(0.0, $media + ($this->number('media_more_l') ?? 0.0))
                    : $media,
        ];
    }
}
