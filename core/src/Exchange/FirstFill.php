<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

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
     * @return list<Message>
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
            Message::of('exchange.fill_meter', ['litres' => Format::number($volumeL, 4)]),
            $conditioner === null
                ? Message::of('exchange.fill_no_chlorine')
                : Message::of('exchange.fill_conditioner', ['conditioner' => $conditioner]),
            Message::of('exchange.fill_runs'),
            Message::of('exchange.fill_salt'),
            match (true) {
                $alkalinityMgL === null => Message::of('exchange.fill_test_hardness'),
                $soft !== [] => Message::of('exchange.fill_soft', ['what' => implode(' and ', $soft)]),
                default => Message::of('exchange.fill_enough', [
                    'kh' => Format::number(Parameter::Alkalinity->shown($alkalinityMgL), 2),
                ]),
            },
            Message::of('exchange.fill_seed'),
        ];
    }
}
