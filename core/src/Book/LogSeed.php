<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\UnreadableNumber;

/**
 * Media moved from one of one's own systems, or a bottle, as a line says it.
 *
 *     seed 3 l from yard-pond     seed 3l from Yard Pond     seed culture
 */
final readonly class LogSeed
{
    /** @param  ?string  $from  as it was said; null for a bottle */
    private function __construct(public ?float $litres, public ?string $from) {}

    /**
     * @param  list<Word>  $words  behind `seed`
     * @param  list<string>  $systems  names and addresses media may come from
     * @return ?array{self, int} and how many words it took; null where it is not understood
     */
    public static function read(array $words, string $line, array $systems): ?array
    {
        if (mb_strtolower($words[0]->text ?? '') === 'culture') {
            return [new self(null, null), 1];
        }
        $i = 0;
        try {
            $number = rtrim(mb_strtolower($words[$i]->text ?? ''), 'l');
            $litres = TypedNumber::read($number)->value;
        } catch (UnreadableNumber) {
            return null;
        }
        $i++;
        $i += in_array(mb_strtolower($words[$i]->text ?? ''), ['l', 'litres', 'litre'], true) ? 1 : 0;
        if (mb_strtolower($words[$i]->text ?? '') !== 'from' || !isset($words[$i + 1]) || $litres <= 0) {
            return null;
        }
        $rest = mb_substr($line, $words[$i + 1]->at);
        $found = null;
        foreach ($systems as $name) {
            $said = mb_strtolower(mb_substr($rest, 0, mb_strlen($name))) === mb_strtolower($name);
            $ends = preg_match('/^(\s|$)/u', mb_substr($rest, mb_strlen($name))) === 1;
            $found = $said && $ends && mb_strlen($name) > mb_strlen((string) $found) ? $name : $found;
        }
        if ($found === null) {
            return null;
        }
        $end = $words[$i + 1]->at + mb_strlen($found);
        $took = $i + 1;
        while (isset($words[$took]) && $words[$took]->at < $end) {
            $took++;
        }

        return [new self($litres, $found), $took];
    }
}
