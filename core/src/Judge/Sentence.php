<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;

/** What a reading means, in plain sentences: the cause, then the deed. */
final readonly class Sentence
{
    /**
     * As “Nitrite 0.4 mg/L as N, over 0.25. Change water today: Trouble says how much.”
     *
     * @param  bool  $fish  whether any live in the water
     */
    public static function of(Reading $reading, Verdict $verdict, bool $fish = true): string
    {
        $parameter = $reading->parameter;
        $unit = $parameter->symbol();
        $value = Format::number($parameter->shown($reading->value), 3);
        $text = "{$parameter->name()} {$value}" . ($unit === null ? '' : ' ' . $unit);
        $deed = NextDeed::of($parameter, $verdict, $fish);

        return $deed === null ? $text : "{$text}, " . self::passed($reading, $verdict) . ". {$deed->text}";
    }

    /** The line that was passed, as “over 0.25”; “may be over 0.25” where only the worse end of the reading is. */
    public static function passed(Reading $reading, Verdict $verdict): ?string
    {
        if ($verdict->passed === null) {
            return null;
        }
        $past = $verdict->side === 'above' ? $reading->value > $verdict->passed : $reading->value < $verdict->passed;

        return ($past ? '' : 'may be ') .
            ($verdict->side === 'above' ? 'over' : 'under') .
            ' ' .
            Format::number($reading->parameter->shown($verdict->passed), 3);
    }
}
