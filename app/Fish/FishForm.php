<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\TypedInputs;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\Size;
use Ironwort\Core\Words\Message;

/** A form about fish as it was typed: how big they are, how many. */
final readonly class FishForm
{
    /** @var array<string, mixed> */
    private array $values;

    /**
     * @param  list<Input>  $fields
     * @param  array<array-key, mixed>  $typed
     *
     * @throws BadInput at the field
     */
    public function __construct(array $fields, array $typed)
    {
        $this->values = (new TypedInputs($fields))->read($typed);
    }

    /** @return list<Input> */
    public static function sizes(): array
    {
        return [
            Input::number('length_cm', 'Length', 'cm', 0.5, 130)->optional(),
            Input::number('weight_g', 'Weight', 'g', 0.01, 100000)->optional(),
        ];
    }

    public static function counted(int $least): Input
    {
        return Input::number('count', 'Count', null, $least, 100000);
    }

    /** @throws BadInput where neither was measured, or the two cannot be of one fish */
    public function size(float $usual = Condition::USUAL): Size
    {
        return Size::of($this->number('length_cm'), $this->number('weight_g'), $usual);
    }

    public function number(string $key): ?float
    {
        return is_numeric($this->values[$key] ?? null) ? (float) $this->values[$key] : null;
    }

    public function text(string $key): ?string
    {
        return is_string($this->values[$key] ?? null) ? $this->values[$key] : null;
    }

    /** @throws BadInput at `count` */
    public function count(): int
    {
        $count = $this->number('count');
        if ($count !== null && fmod($count, 1.0) <= 0) {
            return (int) $count;
        }
        $said = Message::of('fish.count_whole');

        throw BadInput::at('count', $said->text, [$said->code]);
    }

    public static function today(System $system): string
    {
        return Carbon::now($system->site->timezone)->toDateString();
    }
}
