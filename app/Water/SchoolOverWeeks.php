<?php

declare(strict_types=1);

namespace App\Water;

use Ironwort\Core\Calc\FigureRow;
use Ironwort\Core\Judge\Parameter;

/** Where the water stands after sixty days by one school of changing it, and what that takes. */
final readonly class SchoolOverWeeks
{
    /** @param  FigureRow  $row  of the schools that `exchange.schools` answers */
    public function __construct(private FigureRow $row, private string $follows) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->row->text('id'),
            'name' => $this->row->text('name'),
            'followed' => $this->row->text('id') === $this->follows,
            'pct_week' => $this->row->numberOrNull('pct_week'),
            'water_l' => $this->row->numberOrNull('water_l'),
            'cost' => $this->row->numberOrNull('cost'),
            'nitrate' => $this->say(Parameter::Nitrate, 'no3_n_mg_l'),
            'kh' => $this->say(Parameter::Alkalinity, 'alkalinity_mg_l'),
            'gh' => $this->say(Parameter::Hardness, 'hardness_mg_l'),
            'temp_drop_c' => $this->row->numberOrNull('temp_drop_c'),
            'nitrate_jump' => $this->say(Parameter::Nitrate, 'nitrate_jump_mg_l'),
        ];
    }

    private function say(Parameter $parameter, string $key): ?string
    {
        $value = $this->row->numberOrNull($key);

        return $value === null ? null : TwoWaters::number($parameter, $value);
    }
}
