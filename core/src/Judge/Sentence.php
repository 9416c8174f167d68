<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Say;

/** What a reading means, in one plain sentence. */
final readonly class Sentence
{
    /** As “Nitrite 0.4 mg/L as N: act above 0.25”. */
    public static function of(Reading $reading, Verdict $verdict): string
    {
        $parameter = $reading->parameter;
        $unit = $parameter->symbol();
        $value = Say::number($parameter->shown($reading->value), 3);
        $text = "{$parameter->name()} {$value}".($unit === null ? '' : ' '.$unit);
        if ($verdict->passed === null) {
            return $text;
        }
        $word = $verdict->state->value;

        return "{$text}: {$word} {$verdict->side} ".Say::number($parameter->shown($verdict->passed), 3);
    }
}
