<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

use Ironwort\Core\Judge\Kit;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\TypedQuantity;
use Ironwort\Core\Measure\UnitChoice;
use Ironwort\Core\Measure\UnreadableNumber;
use Ironwort\Core\Water\Oxygen;

/**
 * One line of the log bar, read word by word.
 *
 *     am .5 ni .1 na 20 ph 7,8 t 18.5 do 7.2 kh 6 @7:10
 *
 * Numbers alone are read in the order of `order`: `.1 0 20 7.8 18 8 6 9`; a dash leaves one out.
 * A code is followed by its number; a unit may stand right behind the number (`na 4.5n`, `t 64f`,
 * `kh 110caco3`). `@7:10` is today at that time, `yesterday 19:00` the day before; `/bay 2` says where.
 * `do 85%` is saturation at the temperature and salt of the same line, written down in mg/L.
 * `cy 40 at bridge` says where the disc was let down; `wc 10%` or `wc 900` is a change of water, in litres.
 * `seed 3 l from yard-pond` is media moved from another system, `seed culture` a bottle.
 * `pump off`, `uv on`, `air stones off` switch what runs; `clean vortex`, `flush bay 2 5s`, `wipe uv` tell of service.
 * `feed 220` is feed in grams, and all behind `note` is kept in the keeper's own words. Every fault is
 * pointed at by its place in the line.
 */
final readonly class LogLine
{
    /** The usual order of a round. */
    public const ORDER = [
        Parameter::Ammonia,
        Parameter::Nitrite,
        Parameter::Nitrate,
        Parameter::Ph,
        Parameter::Temperature,
        Parameter::Oxygen,
        Parameter::Alkalinity,
        Parameter::Hardness,
    ];

    /**
     * @param  list<LogEntry>  $entries
     * @param  list<LogFault>  $faults
     */
    private function __construct(
        public array $entries,
        public ?LogTime $time,
        public array $faults,
        public ?string $place = null,
        public ?float $feedG = null,
        public ?string $note = null,
        public ?string $spot = null,
        public ?float $changeL = null,
        public ?float $changePct = null,
        public ?LogSeed $seed = null,
        public ?LogSwitch $switch = null,
        public ?LogService $service = null,
    ) {}

    /**
     * @param  list<string>  $places  names of the bays that may be said
     * @param  list<Parameter>  $order  in which numbers alone are read
     * @param  list<string>  $systems  names and addresses of the systems that media may be moved from
     * @param  array<string, array{?string, Kit}>  $kits  the usual kit of each parameter, and the unit it is marked in
     * @param  ?UnitChoice  $units  that numbers without a unit are in
     */
    public static function read(
        string $line,
        array $places = [],
        array $order = self::ORDER,
        array $kits = [],
        float $altitudeM = 0.0,
        array $systems = [],
        ?UnitChoice $units = null,
    ): self {
        $units ??= UnitChoice::from([]);
        preg_match_all('/\S+/u', $line, $found, PREG_OFFSET_CAPTURE);
        $words = array_map(
            static fn(array $word): Word => new Word($word[0], mb_strlen(substr($line, 0, $word[1]))),
            $found[0],
        );
        $entries = [];
        $faults = [];
        $time = $place = $feed = $note = $spot = $litres = $percent = null;
        $share = $seed = $switch = $service = null;
        $bare = 0;
        for ($i = 0; $i < count($words); $i++) {
            $word = $words[$i];
            $next = $words[$i + 1] ?? null;
            if ($word->text[0] === '@' || mb_strtolower($word->text) === 'yesterday') {
                $yesterday = $word->text[0] !== '@';
                $clock = $yesterday ? $next : new Word(substr($word->text, 1), $word->at + 1);
                $time = $clock === null ? null : LogTime::read($clock->text, $yesterday);
                if ($time === null) {
                    $faults[] = new LogFault(
                        $word->at,
                        mb_strlen($word->text),
                        'A time is written @7:10 or yesterday 19:00.',
                    );
                }
                $i += $yesterday && $next !== null ? 1 : 0;

                continue;
            }
            if ($word->text[0] === '/') {
                $said = self::place(mb_substr($line, $word->at + 1), $places);
                if ($said === null) {
                    $faults[] = new LogFault(
                        $word->at,
                        mb_strlen($word->text),
                        $places === []
                            ? 'No bay of this name here.'
                            : 'No bay of this name here; there are ' . implode(', ', $places) . '.',
                    );
                } else {
                    $place = $said;
                }
                // What follows belongs to the name, up to its end or to the next code.
                while (
                    isset($words[$i + 1]) &&
                    ($said === null
                        ? self::parameter($words[$i + 1]->text) === null && $words[$i + 1]->text[0] !== '@'
                        : $words[$i + 1]->at < $word->at + 1 + mb_strlen($said))
                ) {
                    $i++;
                }

                continue;
            }
            if (mb_strtolower($word->text) === 'note') {
                $note = trim(mb_substr($line, $word->end()));
                if ($note === '') {
                    $faults[] = new LogFault($word->at, 4, 'There is nothing behind note.');
                }
                break;
            }
            if (mb_strtolower($word->text) === 'feed') {
                try {
                    $feed = $next === null ? throw UnreadableNumber::empty() : self::inChosen($next->text, 'g', $units);
                } catch (UnreadableNumber) {
                    $faults[] = new LogFault($word->at, 4, 'Feed has no grams behind it, as feed 220.');
                }
                $i += $next === null ? 0 : 1;

                continue;
            }
            if (mb_strtolower($word->text) === 'wc') {
                [$litres, $percent] = self::change($next, $units) ?? [null, null];
                if ($litres === null && $percent === null) {
                    $faults[] = new LogFault($word->at, 2, 'A change is written wc 10% or wc 900, in litres.');
                }
                $i += $next === null ? 0 : 1;

                continue;
            }
            if (LogSwitch::begins($word)) {
                $read = LogSwitch::read($word, array_slice($words, $i + 1));
                if ($read === null) {
                    $faults[] = new LogFault($word->at, mb_strlen($word->text), 'On or off? As pump off, uv on.');
                } else {
                    [$switch, $took] = $read;
                    $i += $took;
                }

                continue;
            }
            if (LogService::begins($word)) {
                $read = LogService::read($word, array_slice($words, $i + 1));
                if ($read === null) {
                    $faults[] = new LogFault(
                        $word->at,
                        mb_strlen($word->text),
                        'Which part? As clean vortex, flush bay 2 5s.',
                    );
                } else {
                    [$service, $took] = $read;
                    $i += $took;
                }

                continue;
            }
            if (mb_strtolower($word->text) === 'seed') {
                $read = LogSeed::read(array_slice($words, $i + 1), $line, $systems);
                if ($read === null) {
                    $faults[] = new LogFault(
                        $word->at,
                        mb_strlen(rtrim($line)) - $word->at,
                        'A seed is written seed 3 l from ' .
                            ($systems[0] ?? 'another system') .
                            ', or seed culture.' .
                            ($systems === [] ? ' There is no other system here.' : ''),
                    );
                    break;
                }
                [$seed, $took] = $read;
                $i += $took;

                continue;
            }
            if (mb_strtolower($word->text) === 'at') {
                $from = $i;
                while (isset($words[$i + 1]) && !self::begins($words[$i + 1]->text)) {
                    $i++;
                }
                $spot = mb_substr(
                    implode(
                        ' ',
                        array_map(
                            static fn(Word $said): string => $said->text,
                            array_slice($words, $from + 1, $i - $from),
                        ),
                    ),
                    0,
                    40,
                );
                if ($spot === '') {
                    $faults[] = new LogFault($word->at, 2, 'At which spot? As cy 40 at bridge.');
                }

                continue;
            }
            if (preg_match('/^[<>]?[\d.,]/', $word->text) === 1 || $word->text === '-') {
                $meant = $order[$bare++] ?? null;
                if ($meant === null) {
                    $faults[] = new LogFault(
                        $word->at,
                        mb_strlen($word->text),
                        'More numbers than the round has: ' . count($order) . '.',
                    );
                } elseif ($word->text !== '-') {
                    self::take($meant, $word, $word, $entries, $faults, $kits[$meant->value] ?? null, $units);
                }

                continue;
            }
            $parameter = self::parameter($word->text);
            if ($parameter === null) {
                $faults[] = new LogFault(
                    $word->at,
                    mb_strlen($word->text),
                    "“{$word->text}” is not known here. Codes: " . implode(', ', self::codes()) . '.',
                );
                // The number that belongs to it would only be a second complaint about the same slip.
                $i += $next !== null && preg_match('/^[\d.,]/', $next->text) === 1 ? 1 : 0;

                continue;
            }
            if ($next === null || self::parameter($next->text) !== null) {
                $faults[] = new LogFault(
                    $word->at,
                    mb_strlen($word->text),
                    "{$parameter->name()} has no number behind it.",
                );

                continue;
            }
            $i++;
            if (
                $parameter === Parameter::Oxygen &&
                preg_match('/^[\d.,]+%$/', $next->text) === 1 &&
                !isset($entries[$parameter->value])
            ) {
                $share = $next;

                continue;
            }
            self::take($parameter, $word, $next, $entries, $faults, $kits[$parameter->value] ?? null, $units);
        }

        if ($share !== null) {
            self::takeShare($share, $entries, $faults, $altitudeM);
        }

        return new self(
            entries: array_values($entries),
            time: $time,
            faults: $faults,
            place: $place,
            feedG: $feed,
            note: $note,
            spot: $spot,
            changeL: $litres,
            changePct: $percent,
            seed: $seed,
            switch: $switch,
            service: $service,
        );
    }

    /**
     * @param  array<string, LogEntry>  $entries
     * @param  list<LogFault>  $faults
     * @param  ?array{?string, Kit}  $kit
     */
    private static function take(
        Parameter $parameter,
        Word $word,
        Word $number,
        array &$entries,
        array &$faults,
        ?array $kit,
        UnitChoice $units,
    ): void {
        if (isset($entries[$parameter->value])) {
            $faults[] = new LogFault(
                $word->at,
                $number->end() - $word->at,
                "{$parameter->name()} stands in the line twice.",
            );

            return;
        }
        try {
            $entries[$parameter->value] = self::entry($parameter, $number->text, $kit, $units);
        } catch (UnreadableReading $fault) {
            $faults[] = new LogFault($number->at, mb_strlen($number->text), $fault->getMessage());
        }
    }

    /**
     * Oxygen in percent of saturation, once the whole line is known.
     *
     * @param  array<string, LogEntry>  $entries
     * @param  list<LogFault>  $faults
     */
    private static function takeShare(Word $share, array &$entries, array &$faults, float $altitudeM): void
    {
        $temperature = $entries[Parameter::Temperature->value] ?? null;
        if ($temperature === null) {
            $faults[] = new LogFault(
                $share->at,
                mb_strlen($share->text),
                'Percent of what? Type the temperature in the same line, as t 18.',
            );

            return;
        }
        $full = Oxygen::saturation(
            $temperature->reading->value,
            ($entries[Parameter::Salinity->value] ?? null)?->reading->value ?? 0.0,
            Oxygen::pressureAtAltitude($altitudeM),
        );
        try {
            $typed = TypedNumber::read(rtrim($share->text, '%'));
            if ($typed->value > 300) {
                throw UnreadableNumber::notANumber($share->text);
            }
        } catch (UnreadableNumber) {
            $faults[] = new LogFault($share->at, mb_strlen($share->text), 'Oxygen is 0 to 300 % of saturation.');

            return;
        }
        $half = ($typed->halfStep * $full) / 100;
        $value = round(($typed->value / 100) * $full, 2);
        $entries[Parameter::Oxygen->value] = new LogEntry(
            new Reading(Parameter::Oxygen, $value, Interval::between(max(0.0, $value - $half), $value + $half)),
            (string) $value,
            (Parameter::Oxygen->units()[0] ?? null)?->value,
        );
    }

    /**
     * The longest name that the rest of the line begins with.
     *
     * @param  list<string>  $places
     */
    private static function place(string $rest, array $places): ?string
    {
        usort($places, static fn(string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        foreach ($places as $place) {
            $after = mb_substr($rest, mb_strlen($place), 1);
            if (
                mb_strtolower(mb_substr($rest, 0, mb_strlen($place))) === mb_strtolower($place) &&
                trim($after) === ''
            ) {
                return $place;
            }
        }

        return null;
    }

    /** @param  ?array{?string, Kit}  $kit */
    private static function entry(Parameter $parameter, string $text, ?array $kit, UnitChoice $units): LogEntry
    {
        [$typed, $named] = TypedReading::withUnit($parameter, $text);
        $usual = ($parameter->units()[0] ?? null)?->value;
        $quantity = $parameter->quantity();
        $unit = $named ?? (($quantity === null ? null : $units->ofReading($quantity)?->value) ?? $usual);
        $speaks = $kit !== null && $unit === ($kit[0] ?? $usual);

        return new LogEntry(TypedReading::read($parameter, $typed, $unit, $speaks ? $kit[1] : null), $typed, $unit);
    }

    /** What was typed, in our unit: with its own unit behind it, or in the one that was chosen. */
    private static function inChosen(string $typed, string $unit, UnitChoice $units): float
    {
        $bare = preg_match('/^[\d.,]+$/', $typed) === 1;
        $chosen = $bare ? $units->unit($unit) : null;
        $value = TypedQuantity::read($typed, $unit);

        return $chosen === null ? $value : $value / $chosen->factor;
    }

    /** Whether a word begins something of its own: a code, a number, a time, a bay, feed, a change or a note. */
    private static function begins(string $text): bool
    {
        return self::parameter($text) !== null ||
            preg_match('/^[@\/<>\d.,-]/', $text) === 1 ||
            in_array(
                mb_strtolower($text),
                ['feed', 'note', 'seed', 'wc', 'yesterday', 'pump', 'air', 'heater', 'uv'],
                true,
            );
    }

    /** @return ?array{?float, ?float} litres or percent */
    private static function change(?Word $said, UnitChoice $units): ?array
    {
        if ($said === null) {
            return null;
        }
        try {
            $value = str_ends_with($said->text, '%')
                ? TypedNumber::read(rtrim($said->text, '%'))->value
                : self::inChosen($said->text, 'L', $units);
        } catch (UnreadableNumber) {
            return null;
        }

        return match (true) {
            $value <= 0 => null,
            str_ends_with($said->text, '%') => $value <= 100 ? [null, $value] : null,
            default => [$value, null],
        };
    }

    private static function parameter(string $code): ?Parameter
    {
        foreach (Parameter::measured() as $parameter) {
            if ($parameter->code() === mb_strtolower($code)) {
                return $parameter;
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function codes(): array
    {
        return array_map(static fn(Parameter $p): string => (string) $p->code(), Parameter::measured());
    }
}
