<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/**
 * Something switched, as a line says it: what kind, which where there are several, and to what.
 *
 *     pump off     uv on     air stones off     pump main off     air stones lent to cold-store
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

    /** @param  ?string  $to  slug of the system it is lent to */
    private function __construct(
        public string $word,
        public string $name,
        public string $state,
        public ?string $to = null,
    ) {}

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
                [$to, $took] = $state === 'lent' ? self::lentTo(array_slice($words, $i + 1)) : [null, 0];

                return [new self(mb_strtolower($word->text), mb_strtolower($name), $state, $to), $i + 1 + $took];
            }
        }

        return null;
    }

    /**
     * @param  list<Word>  $words  behind the state
     * @return array{?string, int} the system, and how many words said it
     */
    private static function lentTo(array $words): array
    {
        return count($words) > 1 && mb_strtolower($words[0]->text) === 'to'
            ? [mb_strtolower($words[1]->text), 2]
            : [null, 0];
    }
}
