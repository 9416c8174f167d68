<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about oxygen. */
final readonly class AerationWords
{
    public const TEXTS = [
        'oxygen_budget_aerators_differ_twofold_give' =>
            'Aerators differ twofold in what they give: a reading at dawn is worth more than this.',
        'oxygen_budget_nothing_said_bring_oxygen' => 'Nothing is said to bring oxygen in, not even a surface.',
        'oxygen_budget_dawn_oxygen_would_under' => 'At dawn oxygen would be under 3 mg/L: fish die.',
        'oxygen_budget_dawn_oxygen_falls_under' => 'At dawn oxygen falls under what is wanted.',
        'oxygen_budget_water_cannot_hold_oxygen' =>
            'This water cannot hold the oxygen wanted at this temperature, however much air goes in.',
        'degassing_nothing_drives_co_here' => 'Nothing drives CO₂ out here: it only rises.',
        'oxygen_budget_not_described' =>
            'What brings oxygen here is not described, so what it stands at is not known: add the air pump with its ' .
            'stones, a fall of water or a venturi under Build, or measure oxygen at dawn.',
    ];
}
