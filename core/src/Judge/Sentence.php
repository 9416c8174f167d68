<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;

/** What a reading means, in one plain sentence. */
final readonly class Sentence
{
    /** As “Nitrite 0.4 mg/L as N: act above 0.25”. */
    public static function of(Reading $reading, Verdict $verdict): string
    {
        $parameter = $reading->parameter;
        $unit = $parameter->symbol();
        $value = Format::number($parameter->shown($reading->value), 3);
        $text = "{$parameter->name()} {$value}" . ($unit === null ? '' : ' ' . $unit);
        if ($verdict->passed === null) {
            return $text;
        }

        $passed = (string) self::passed($reading, $verdict);

        return "{$text}: {$verdict->state->value}" . (str_starts_with($passed, 'may') ? ', as it ' : ' ') . $passed;
    }

    /** The line that was passed, as “above 0.25”; “may be above” where only the worse end of the reading is past it. */
    public static function passed(Reading $reading, Verdict $verdict): ?string
    {
        if ($verdict->passed === null) {
            return null;
        }
        $past = $verdict->side === 'above' ? $reading->value > $verdict->passed : $reading->value < $verdict->passed;

        return ($past ? '' : 'may be ') .
            $verdict->side .
            ' ' .
            Format::number($reading->parameter->shown($verdict->passed), 3);
    }
}
