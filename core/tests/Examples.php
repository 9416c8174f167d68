<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

use Ironwort\Core\Calc\Calculator;

/**
 * The examples that stand in docblocks, so that they can be run: a part indented by five blanks, and in it
 *
 *     what is given  →  what comes of it
 *
 * At a calculator both are keys of its contract with their values, `volume_l 1000, agent salt  →  dose_g 12.5`, a way
 * into an answer written with dots. Anywhere else what is given is an expression, what comes of it its value.
 */
final readonly class Examples
{
    private const FOLDER = __DIR__ . '/../src';

    /** @return iterable<string, array{class-string, string, string}> class, given, what comes of it; by place */
    public static function all(): iterable
    {
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::FOLDER));
        foreach ($files as $file) {
            $path = (string) $file;
            if (!str_ends_with($path, '.php')) {
                continue;
            }
            $name = substr((string) realpath($path), strlen((string) realpath(self::FOLDER)) + 1, -4);
            /** @var class-string $class */
            $class = 'Ironwort\\Core\\' . strtr($name, '/', '\\');
            foreach (self::in((string) file_get_contents($path)) as $i => [$given, $comes]) {
                yield "{$name} " . ($i + 1) => [$class, $given, $comes];
            }
        }
    }

    /**
     * What each calculator is given in its first example.
     *
     * @return array<string, array<string, mixed>> by its name
     */
    public static function ofCalculators(): array
    {
        static $found = [];
        foreach ($found === [] ? self::all() : [] as [$class, $given]) {
            if (is_subclass_of($class, Calculator::class)) {
                $found[self::nameOf($class)] ??= self::values($given);
            }
        }

        return $found;
    }

    /** @param  class-string<Calculator>  $class */
    public static function nameOf(string $class): string
    {
        return (new \ReflectionClass($class))->newInstanceWithoutConstructor()->name();
    }

    /**
     * `a 1, b [2, 3], c word` as values by key; what is no number, list or object is a text.
     *
     * @return array<string, mixed>
     */
    public static function values(string $text): array
    {
        $values = [];
        foreach (self::parts($text) as $part) {
            [$key, $said] = explode(' ', trim($part), 2);
            $values[$key] = json_decode($said, true) ?? $said;
        }

        return $values;
    }

    /** @return list<string> between commas that stand in no list or object */
    public static function parts(string $text): array
    {
        $parts = [''];
        $depth = 0;
        foreach (str_split($text) as $sign) {
            $depth += match ($sign) {
                '[', '{', '(' => 1,
                ']', '}', ')' => -1,
                default => 0,
            };
            if ($sign === ',' && $depth === 0) {
                $parts[] = '';
            } else {
                $parts[array_key_last($parts)] .= $sign;
            }
        }

        return $parts;
    }

    /** @return list<array{string, string}> */
    private static function in(string $code): array
    {
        // What does not fit in a line goes on in the next, further in.
        preg_match_all('/^ *\* {5}\S.*\n(?: *\* {6,}\S.*\n)*/m', $code, $blocks);
        $found = [];
        foreach ($blocks[0] as $block) {
            $line = trim((string) preg_replace('/(?:^|\n) *\* +/', ' ', $block));
            if (preg_match('/^(.+?) {2}→ {2}(.+)$/', $line, $halves) === 1) {
                $found[] = [$halves[1], $halves[2]];
            }
        }

        return $found;
    }
}
