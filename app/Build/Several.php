<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Vessel\Dimension;

/**
 * Parts that are alike, described once: five bays, a drain from each.
 *
 * Their keys follow from the key of the form, so that a repeated save makes none twice.
 */
final readonly class Several
{
    public const MOST = 24;

    /** Crockford's letters, as ULIDs are written in. */
    private const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /**
     * @param  array<array-key, mixed>  $typed  `alike`, how many
     *
     * @throws BadInput at `alike`
     */
    public static function count(array $typed): int
    {
        $alike = (new TypedInputs([Input::number('alike', 'How many alike', null, 1, self::MOST)->or(1.0)]))->read(
            $typed,
        );
        $count = $alike['alike'] ?? 1;
        if (!is_numeric($count) || (float) $count !== floor((float) $count)) {
            throw BadInput::at('alike', 'A whole number of them.');
        }

        return (int) $count;
    }

    /** @return list<string> keys: the first is that of the form */
    public static function keys(string $id, int $count): array
    {
        $keys = [strtoupper($id)];
        for ($i = 1; $i < $count; $i++) {
            // The time of the key stays, the rest of it is told apart by its number.
            $bytes = hash('sha256', strtoupper($id) . "/{$i}", true);
            $tail = '';
            for ($at = 0; $at < 16; $at++) {
                $tail .= self::LETTERS[ord($bytes[$at]) % 32];
            }
            $keys[] = substr(strtoupper($id), 0, 10) . $tail;
        }

        return $keys;
    }

    /** @return list<string> “Bay” is Bay 1, Bay 2 …; “Bay 4” goes on from there */
    public static function names(string $name, int $count): array
    {
        if ($count === 1) {
            return [$name];
        }
        [$stem, $from] =
            preg_match('/^(.*\S)\s*(\d{1,3})$/u', $name, $found) === 1 ? [$found[1], (int) $found[2]] : [$name, 1];

        return array_map(static fn(int $n): string => "{$stem} {$n}", range($from, $from + $count - 1));
    }

    /**
     * The measures of each where one length is divided among them: widths run on from bay to bay.
     *
     * @param  array<string, mixed>  $measures  columns of one vessel
     * @return list<array<string, mixed>>
     */
    public static function divided(array $measures, int $count): array
    {
        $number = static fn(Dimension $of): float => is_numeric($measures[$of->value] ?? null)
            ? (float) $measures[$of->value]
            : 0.0;
        [$a, $b] = [$number(Dimension::WidthA), $number(Dimension::WidthB)];

        return array_map(
            static fn(int $i): array => [
                ...$measures,
                Dimension::Length->value => $number(Dimension::Length) / $count,
                ...$a > 0
                    ? [
                        Dimension::WidthA->value => $a + (($b - $a) * $i) / $count,
                        Dimension::WidthB->value => $a + (($b - $a) * ($i + 1)) / $count,
                    ]
                    : [],
            ],
            range(0, $count - 1),
        );
    }
}
