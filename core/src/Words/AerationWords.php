<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about oxygen. */
final readonly class AerationWords
{
    public const TEXTS = [
        'oxygen_budget_aerators_differ_twofold_give' =>
            'Aerators differ twofold in what they give. A reading at dawn is worth more than this.',
        'oxygen_budget_nothing_said_bring_oxygen' => 'No source of oxygen is described, not even a surface.',
        'oxygen_budget_dawn_oxygen_would_under' => 'At dawn oxygen would be under 3 mg/L, and fish die.',
        'oxygen_budget_dawn_oxygen_falls_under' => 'At dawn oxygen falls under its limit.',
        'oxygen_budget_water_cannot_hold_oxygen' =>
            'At this temperature the water cannot hold the oxygen wanted, however much air you give.',
        'degassing_nothing_drives_co_here' => 'Nothing drives CO₂ out here, so it keeps rising.',
        'oxygen_budget_not_described' =>
            'Aeration is not described, so the oxygen level is not known. Add the air pump with its stones, ' .
            'falling water or a venturi on Build, or test oxygen at dawn.',
    ];
}
