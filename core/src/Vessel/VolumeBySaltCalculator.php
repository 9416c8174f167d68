<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * True volume from weighed salt and the rise it made, once mixed.
 *
 * Each of the two readings may be off by the reading error, so the rise by twice that; a rise within
 * that says nothing and is refused. Salinity in g/L, or conductivity in µS/cm with its factor.
 *
 *     salt_g 9000, before_g_l 0.2, after_g_l 1.2  →  volume_l 9000
 *
 * @source salt-balance  @source salt-conductivity
 */
final readonly class VolumeBySaltCalculator implements Calculator
{
    public function name(): string
    {
        return 'volume.by_salt';
    }

    public function title(): string
    {
        return 'Volume by the salt method';
    }

    public function inputs(): array
    {
        return [
            Input::number('salt_g', 'Salt added', 'g', 0.1, 1e7),
            Input::number('before_g_l', 'Salinity before', 'g/L', 0, 40)->optional(),
            Input::number('after_g_l', 'Salinity after', 'g/L', 0, 40)->optional(),
            Input::number('before_us_cm', 'Conductivity before', 'µS/cm', 0, 80000)->insteadOf('before_g_l'),
            Input::number('after_us_cm', 'Conductivity after', 'µS/cm', 0, 80000)->insteadOf('after_g_l'),
            Input::number('factor_g_l_per_us_cm', 'Salt by conductivity', 'g/L per µS/cm', 0.0003, 0.001)->or(0.00051),
            Input::number('reading_error_g_l', 'Error of each reading', 'g/L', 0, 5)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [new Output('volume_l', 'L'), new Output('low_l', 'L'), new Output('high_l', 'L')];
    }

    public function calculate(Given $given): Result
    {
        $before = $this->salinity($given, 'before');
        $after = $this->salinity($given, 'after');
        $rise = $after - $before;
        $error = 2 * $given->number('reading_error_g_l');
        $field = $given->has('after_us_cm') ? 'after_us_cm' : 'after_g_l';
        if ($rise <= 0) {
            throw BadInput::at($field, 'Salt was added, so the reading after must be the higher one.');
        }
        if ($rise <= $error) {
            throw BadInput::at(
                $field,
                'The rise of ' .
                    Format::number($rise) .
                    ' g/L is within the error of the two readings (' .
                    Format::number($error) .
                    ' g/L): add more salt, or read more finely.',
            );
        }
        $salt = $given->number('salt_g');

        $work = new Working();
        $work->step(
            'The rise the salt made.',
            'after − before',
            Format::number($after) . ' − ' . Format::number($before) . ' g/L',
            Format::number($rise) . ' g/L',
        );
        $work->step(
            'The water it is dissolved in.',
            'volume = salt / rise',
            Format::number($salt) . ' g / ' . Format::number($rise) . ' g/L',
            Format::number($salt / $rise) . ' L',
        );
        $work->step(
            'Between which it lies, each reading being off either way.',
            'salt / (rise ± 2 × error)',
            'error ' . Format::number($given->number('reading_error_g_l')) . ' g/L',
            Format::number($salt / ($rise + $error)) . ' to ' . Format::number($salt / ($rise - $error)) . ' L',
        );
        $work->cite('salt-balance');
        if ($given->has('before_us_cm') || $given->has('after_us_cm')) {
            $work->cite('salt-conductivity');
        }
        $work->note(Message::of('vessel.volume_by_salt_dissolved_mixed_pipes_filters'));

        return $work->result([
            'volume_l' => $salt / $rise,
            'low_l' => $salt / ($rise + $error),
            'high_l' => $salt / ($rise - $error),
        ]);
    }

    private function salinity(Given $given, string $when): float
    {
        $direct = $given->numberOrNull("{$when}_g_l");
        $conductivity = $given->numberOrNull("{$when}_us_cm");

        return match (true) {
            $direct !== null => $direct,
            $conductivity !== null => $conductivity * $given->number('factor_g_l_per_us_cm'),
            default => throw BadInput::at(
                "{$when}_g_l",
                "The reading {$when} is needed, as salinity or as conductivity.",
            ),
        };
    }
}
