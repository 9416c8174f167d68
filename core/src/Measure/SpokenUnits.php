<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * A sentence with its figures in the units of whoever reads it.
 *
 *     (new SpokenUnits(UnitChoice::from(['volume' => 'us_gal', 'temperature' => 'f'])))
 *       ->of('Change 1,200 L at 18 to 20 °C.')  →  Change 317 US gal at 64 to 68 °F.
 *
 * A span shares the unit behind it, and so does the limit that follows a reading: “15 mg/L as NO₃, over 10”. Masses of
 * nitrogen and concentrations stay as they are.
 */
final readonly class SpokenUnits
{
    private const NUMBER = '[-\x{2212}]?(?<![\w.,])\d[\d,]*(?:\.\d+)?';

    /** A limit said after the reading it is held against. */
    private const LIMIT =
        '(?<limit>,? (?:may be )?(?:over|under|above|below) (?<bound>\d[\d,]*+(?:\.\d+)?+)' .
        '(?!\s?(?:[%°³]|(?:m?g|kg|L|m?m|cm|W|h|hours?|d|days?|min|weeks?)\b)))?';

    private const BEFORE_A_DIFFERENCE = '/(?:\b(?:by|within|steps?|differs|moves|than)(?: of)?:?|±)\s$/u';

    private const AFTER_A_DIFFERENCE =
        '/^(?:\/(?:h|d)| (?:an? (?:day|hour)|in a day|an hour|' .
        'warmer|colder|higher|lower|apart|of each other))\b/u';

    public function __construct(private UnitChoice $choice) {}

    public function of(string $sentence): string
    {
        $units = $this->choice->units();
        if ($units === [] || preg_match('/\d/', $sentence) !== 1) {
            return $sentence;
        }
        $flags = PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL;
        preg_match_all($this->pattern(array_keys($units)), $sentence, $all, $flags);
        $spoken = '';
        $end = 0;
        foreach ($all as $found) {
            $spoken .= substr($sentence, $end, $found['all'][1] - $end) . $this->said($found, $sentence);
            $end = $found['all'][1] + strlen((string) $found['all'][0]);
        }

        return $spoken . substr($sentence, $end);
    }

    /**
     * @param  array<array-key, array{?string, int}>  $found
     */
    private function said(array $found, string $sentence): string
    {
        $part = static fn(string $name): string => $found[$name][0] ?? '';
        $unit = match ($part('unit')) {
            'litre', 'litres' => 'L',
            default => $part('unit'),
        };
        $shown = $this->choice->unit($unit);
        if ($shown === null) {
            return $part('all');
        }
        $before = substr($sentence, 0, $found['all'][1]);
        $after = substr($sentence, $found['unit'][1] + strlen($part('unit')));
        if (
            preg_match(self::BEFORE_A_DIFFERENCE, $before) === 1 ||
            preg_match(self::AFTER_A_DIFFERENCE, $after) === 1
        ) {
            $shown = $shown->difference();
        }

        return ($part('low') === '' ? '' : $shown->text($part('low')) . $part('to')) .
            $shown->text($part('number')) .
            ' ' .
            $shown->symbol .
            ($part('limit') === ''
                ? ''
                : substr($part('limit'), 0, -strlen($part('bound'))) . $shown->text($part('bound')));
    }

    /** @param  list<string>  $units */
    private function pattern(array $units): string
    {
        $names = in_array('L', $units, true) ? [...$units, 'litres', 'litre'] : $units;
        // The longest first: a flow is not a volume with something behind it.
        usort($names, static fn(string $a, string $b): int => strlen($b) <=> strlen($a));
        $unit = implode('|', array_map(static fn(string $one): string => preg_quote($one, '/'), $names));
        $number = self::NUMBER;

        return '/(?<all>(?:(?<low>' .
            $number .
            ')(?<to> to | or | and |–))?(?<number>' .
            $number .
            ")\\s?(?<unit>{$unit})(?![\\w²³\\/·]| (?:N|of N|of ammonia nitrogen|of air|CaCO|O₂)\\b)" .
            self::LIMIT .
            ')/u';
    }
}
