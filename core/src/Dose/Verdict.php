<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/** What is made of two things that meet in the water, or of one in this water. */
enum Verdict: string
{
    case Allowed = 'allowed';
    case Conditions = 'conditions';
    case Refused = 'refused';
}
