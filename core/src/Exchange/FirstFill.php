<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/**
 * The first fill of a system as one sequence: meter, conditioner, look, salt if used, KH, and seed last. Common
 * practice, no source.
 */
final readonly class FirstFill
{
    /**
     * @param  ?string  $conditioner  what takes the chlorine out, as amount and name; null where none was found
     * @param  ?float  $alkalinityMgL  of the new water, as CaCO3; null where nobody tested it
     * @param  ?float  $hardnessMgL  likewise
     * @return list<string>
     */
    public static function steps(
        float $volumeL,
        ?string $conditioner,
        ?float $alkalinityMgL,
        ?float $hardnessMgL,
    ): array {
        $soft = array_keys(
            array_filter(
                ['KH to 6 dKH' => $alkalinityMgL, 'GH to 6 dGH' => $hardnessMgL],
                static fn(?float $value): bool => $value !== null && $value < NewWater::SOFT_MG_L,
            ),
        );

        return [
            'Read the meter, rinse what dust and cuttings there are out, and fill: ' .
            Format::number($volumeL, 4) .
            ' L. Read the meter again and keep it under Build: it is the best volume there is.',
            $conditioner === null
                ? 'No chlorine was found in this water. Test for it all the same before fish go in.'
                : "{$conditioner}. Then test for chlorine.",
            'Pumps and air on; look for leaks, levels and flow for a day. Nothing living goes in yet.',
            'Salt, where it is used here, in steps over a day, and none where zeolite stands in the loop.',
            match (true) {
                $alkalinityMgL === null => 'Test KH and GH; below 4 dKH the filter starves of alkalinity as it starts.',
                $soft !== [] => 'This water is soft: lift ' .
                    implode(' and ', $soft) .
                    ' under Buffers, before the filter is started.',
                default => 'KH ' .
                    Format::number(Parameter::Alkalinity->shown($alkalinityMgL), 2) .
                    ' dKH is enough to start on.',
            },
            'Seed last: mature media from a healthy system best, then squeezings, then bottled ' .
            'cultures. Old tank water carries almost none. UV off for the first weeks.',
        ];
    }
}
