<?php

declare(strict_types=1);

namespace App\Transfer;

/**
 * Other keys for all rows of a book, so that it can stand beside the one it was taken from.
 *
 * A ULID is ten signs of time and sixteen of chance. The chance is turned by a number that is one for the whole book:
 * equal keys stay equal and different ones different, wherever they stand, without a list of them.
 */
final readonly class NewKeys
{
    private const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /** Alone, or behind the word that says what it is the key of, as in `own:` and `stage:`. */
    private const ULID = '/"((?:[a-z]+:)?[0-7][0-9A-HJKMNP-TV-Z]{9})([0-9A-HJKMNP-TV-Z]{16})"/';

    /** @param  list<int>  $turn  sixteen numbers of 0 to 31, not all 0 */
    public function __construct(private array $turn) {}

    public static function random(): self
    {
        return new self([random_int(1, 31), ...array_map(static fn(): int => random_int(0, 31), range(1, 15))]);
    }

    /** A line of JSON with every key in it turned. */
    public function line(string $json): string
    {
        return (string) preg_replace_callback(
            self::ULID,
            fn(array $found): string => '"' . $found[1] . $this->turned($found[2]) . '"',
            $json,
        );
    }

    private function turned(string $chance): string
    {
        $turned = '';
        foreach (str_split($chance) as $i => $sign) {
            $turned .= self::SIGNS[((int) strpos(self::SIGNS, $sign)) ^ $this->turn[$i]];
        }

        return $turned;
    }
}
