<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/**
 * A job of service that was done, as a line says it: what, on which part, and for a flush the seconds.
 *
 *     clean vortex     flush bay 2 5s     wipe uv     vacuum bay 1
 */
final readonly class LogService
{
    /** The word in a line to the procedures it may mean, the likeliest first. */
    public const WORDS = [
        'clean' => ['wash', 'clear', 'stir', 'backwash', 'flush', 'pump', 'device'],
        'wash' => ['wash', 'clear', 'stir', 'backwash'],
        'flush' => ['flush', 'backwash', 'stir'],
        'wipe' => ['sleeve'],
        'vacuum' => ['vacuum'],
    ];

    private const LONGEST_NAME = 8;

    private function __construct(public string $word, public string $name, public ?float $seconds) {}

    public static function begins(Word $word): bool
    {
        return isset(self::WORDS[mb_strtolower($word->text)]);
    }

    /**
     * @param  list<Word>  $words  behind the first
     * @return ?array{self, int} and how many of them it took; null where no part is named
     */
    public static function read(Word $word, array $words): ?array
    {
        $name = [];
        $seconds = null;
        $took = 0;
        foreach (array_slice($words, 0, self::LONGEST_NAME) as $next) {
            $text = mb_strtolower($next->text);
            if ($text[0] === '@' || in_array($text, ['yesterday', 'note'], true)) {
                break;
            }
            $took++;
            if (preg_match('/^(\d{1,3}(?:[.,]\d)?)s$/', $text, $found) === 1) {
                $seconds = (float) str_replace(',', '.', $found[1]);
                break;
            }
            $name[] = $text;
        }

        return $name === [] ? null : [new self(mb_strtolower($word->text), implode(' ', $name), $seconds), $took];
    }
}
