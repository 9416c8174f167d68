<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\UnitChoice;

/**
 * The log bar on one sheet: what is typed, and what it books. Every line of it is one that the log bar understands.
 */
final readonly class LogSheet
{
    /** By the line as typed. */
    private const DEEDS = [
        '.5 .1 20 7.8 18.5' => 'ammonia, nitrite, nitrate, pH and temperature, in this order',
        'am >8' => 'over the range of the kit',
        'am 2x4' => 'a test of water diluted to four times: 8',
        'na 4.5n' => 'nitrate as N',
        't 64f' => 'temperature in °F',
        'wc 10%' => 'a water change of a tenth',
        'wc 900' => 'a water change of 900 {volume}',
        'wc 240gal' => 'a water change of 240 US gallons; impgal for imperial ones',
        'feed 220' => '220 {weight} of feed',
        'pump off' => 'the pump is off; “pump on” when it runs again',
        'uv alternate' => 'the UV lamp on alternate days',
        'clean vortex' => 'a service of the vortex, with what follows from it',
        'flush bay 2 5s' => 'its waste opened for 5 seconds',
        'wipe uv' => 'the sleeve of the lamp wiped',
        'seed culture' => 'a bottled culture for the filter',
        'am .1 @7:10' => 'taken today at 7:10',
        'am .1 yesterday 19:00' => 'taken yesterday evening',
        'ph 7.8 note flashing in bay 2' => 'a note in your own words, at the end of the line',
    ];

    /** @return list<array{line: string, books: string}> as they are understood by whoever reads in these units */
    public static function rows(UnitChoice $units): array
    {
        $symbol = static fn(string $unit): string => $units->shown(1, $unit)[1];
        $readings = array_map(
            static fn(Parameter $one): array => [
                'line' => "{$one->code()} …",
                'books' => $one->inSentence() . ($one->symbol() === null ? '' : ", {$symbol($one->symbol())}"),
            ],
            Parameter::measured(),
        );

        return [
            ...$readings,
            ...array_map(
                static fn(string $line, string $books): array => [
                    'line' => $line,
                    // A number without a unit is in the one that was chosen.
                    'books' => strtr($books, ['{volume}' => $symbol('L'), '{weight}' => $symbol('g')]),
                ],
                self::lines(),
                array_values(self::DEEDS),
            ),
        ];
    }

    /** @return list<string> the lines that stand on it whole */
    public static function lines(): array
    {
        return array_map(strval(...), array_keys(self::DEEDS));
    }
}
