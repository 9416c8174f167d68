<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/**
 * Something switched, as a line says it: what kind, which where there are several, and to what.
 *
 *     pump off     uv on     air stones off     pump main off
 */
final readonly class LogSwitch
{
    /** The word in a line to the kinds it may mean. */
    public const WORDS = [
        'pump' => ['water', 'airlift', 'circulator'],
        'air' => ['air'],
        'heater' => ['heater'],
        'uv' => ['lamp'],
    ];

    private const STATES = ['on', 'off', 'alternate', 'lent'];

    private function __construct(public string $word, public string $name, public string $state) {}

    public static function begins(Word $word): bool
    {
        return isset(self::WORDS[mb_strtolower($word->text)]);
    }

    /**
     * @param  list<Word>  $words  behind the first
     * @return ?array{self, int} and how many of them it took; null where it is not said to what
     */
    public static function read(Word $word, array $words): ?array
    {
        foreach (array_slice($words, 0, 6) as $i => $next) {
            $state = mb_strtolower($next->text);
            if (in_array($state, self::STATES, true)) {
                $name = implode(
                    ' ',
                    array_map(static fn(Word $said): string => $said->text, array_slice($words, 0, $i)),
                );

                return [new self(mb_strtolower($word->text), mb_strtolower($name), $state), $i + 1];
            }
        }

        return null;
    }
}
