<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;

/**
 * Whether a filter is still being seeded, and how old its bacteria are. What is given then can undo weeks of it.
 *
 * Common practice, no source: six weeks from nothing; a culture given again is looked after for three.
 */
final readonly class Seeding
{
    public const GROWS_FOR_D = 42;

    public const CULTURE_FOR_D = 21;

    private function __construct(public bool $runs, public string $says) {}

    /**
     * @param  bool  $starting  the keeper calls it a start
     * @param  ?float  $cultureD  days since a culture was last given
     * @param  array<string, ?float>  $stages  days each stage that nitrifies has run, by name; null where nobody
     *     wrote it down
     */
    public static function of(bool $starting, ?float $cultureD, array $stages): self
    {
        $known = array_filter($stages, static fn(?float $days): bool => $days !== null);
        asort($known);
        $youngest = array_key_first($known);
        $age = $youngest === null ? null : (float) $known[$youngest];
        $runs = static fn(string $end): string => "{$youngest}, the youngest stage, has run for " .
            Format::number((float) $age, 2) .
            " days{$end}";
        $young = $age !== null && $age < self::GROWS_FOR_D;

        return match (true) {
            $cultureD !== null && $cultureD < self::CULTURE_FOR_D => new self(
                true,
                'A culture went in ' .
                    Format::number($cultureD, 2) .
                    ' days ago' .
                    ($young ? '; ' . $runs(' of about ' . self::GROWS_FOR_D) : ''),
            ),
            $young => new self(true, $runs(' of about ' . self::GROWS_FOR_D)),
            $starting => new self(
                true,
                $age === null ? 'A start; nobody wrote down since when' : 'A start; ' . $runs(''),
            ),
            $stages === [] => new self(false, 'No stage that nitrifies'),
            $age === null => new self(false, 'Grown in, it is assumed: nobody wrote down since when it runs'),
            default => new self(false, 'Grown in: ' . $runs('')),
        };
    }
}
