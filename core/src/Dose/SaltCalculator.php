<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Words\Message;

/**
 * Salt up to a level that stands, in steps; and the light rule beside it, which needs none.
 *
 * Koi fail near 12 to 15 g/L; what is to stand stops well below. Stronger only as a dip, in a tub apart.
 *
 *     volume_l 1000, now_g_l 0, target_g_l 3, steps 3  →  total_g 3000, step_g 1000
 *
 * @source geddes-1979-from-memory  where koi fail  @source cp-salt  steps, and a teaspoon to 10 US gallons
 */
final readonly class SaltCalculator implements Calculator
{
    /** The most that may stand, g/L. */
    public const STANDING_G_L = 8.0;

    /** A step that shocks nobody, g/L each twelve hours. */
    private const STEP_G_L = 0.5;

    /** The most in one step, whoever asks for it, g/L. */
    private const MOST_STEP_G_L = 1.5;

    /** The light rule: a teaspoon of 6 g to 10 US gallons, g/L. */
    public const LIGHT_G_L = Unit::TEASPOON_SALT_G / 37.85411784;

    public function name(): string
    {
        return 'dose.salt';
    }

    public function title(): string
    {
        return 'Salt';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('now_g_l', 'Salt now', 'g/L', 0, 40),
            Input::number('target_g_l', 'Salt wanted', 'g/L', 0, 40),
            Input::number('steps', 'Steps', null, 1, 100)->optional(),
            Input::number('hours', 'Hours between them', 'h', 0, 168)->or(12.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('total_g', 'g'),
            new Output('step_g', 'g'),
            new Output('steps'),
            new Output('schedule'),
            new Output('light_g', 'g'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $by = $given->number('target_g_l') - $given->number('now_g_l');
        if ($by < 0) {
            throw BadInput::at('target_g_l', 'There is more than that already: only changes of water remove salt.');
        }
        if ($given->number('target_g_l') > self::STANDING_G_L) {
            throw BadInput::at(
                'target_g_l',
                'Koi do not stand that for long: 8 g/L at most stays in the water. Stronger only as a dip, in a tub ' .
                    'apart, timed and watched.',
            );
        }
        $asked = $given->numberOrNull('steps');
        if ($asked !== null && fmod($asked, 1.0) > 0) {
            throw BadInput::at('steps', 'Steps are counted whole.');
        }
        $fewest = max(1.0, ceil($by / self::MOST_STEP_G_L - 1e-9));
        if ($asked !== null && $asked < $fewest) {
            throw BadInput::at(
                'steps',
                'So much at once shocks them: ' .
                    Format::number($fewest) .
                    ' steps at least, ' .
                    Format::number(ceil($by / self::STEP_G_L - 1e-9)) .
                    ' are gentle.',
            );
        }
        $steps = (int) ($asked ?? max(1.0, ceil($by / self::STEP_G_L - 1e-9)));
        $total = $by * $given->number('volume_l');
        $work = new Working();
        $work->step(
            'All of it.',
            '(wanted − now) × volume',
            Format::number($by) . ' g/L × ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($total, 5) . ' g',
        );
        $work->step(
            'In equal steps.',
            'total / steps',
            "{$steps} steps, " . Format::number($given->number('hours')) . ' h apart',
            Format::number($total / $steps, 4) . ' g',
        );
        $work->step(
            'The light rule instead, a teaspoon to 10 US gallons: it needs no steps.',
            '0.16 g/L × volume',
            Format::number($given->number('volume_l'), 5) . ' L',
            Format::number(self::LIGHT_G_L * $given->number('volume_l'), 4) . ' g',
        );
        $work->cite('cp-salt', 'geddes-1979-from-memory', 'dose-conflicts');
        $work->watch(Message::of('dose.salt_zeolite_first_salt_makes'));
        if ($by / $steps > self::STEP_G_L + 1e-9) {
            $work->watch(Message::of('dose.salt_once_shock_steps'));
        }

        return $work->result([
            'total_g' => $total,
            'step_g' => $total / $steps,
            'steps' => $steps,
            'schedule' => array_map(
                static fn(int $n): array => ['hour' => $n * $given->number('hours'), 'dose_g' => $total / $steps],
                range(0, $steps - 1),
            ),
            'light_g' => self::LIGHT_G_L * $given->number('volume_l'),
        ]);
    }
}
