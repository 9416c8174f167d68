<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/** What is wrong, in the order in which it is answered: what kills in minutes before what kills in weeks. */
enum Cause: string
{
    case Oxygen = 'oxygen';
    case Chlorine = 'chlorine';
    case Overdose = 'overdose';
    case StoppedFilter = 'stopped_filter';
    case Ammonia = 'ammonia';
    case Nitrite = 'nitrite';
    case Acid = 'acid';
    case Heat = 'heat';
    case Shock = 'shock';
    case Nitrate = 'nitrate';
    case Overloaded = 'overloaded';
    case Sickness = 'sickness';
    case Bloom = 'bloom';

    public function name(): string
    {
        return match ($this) {
            self::Oxygen => 'Too little oxygen',
            self::Chlorine => 'Chlorine',
            self::Overdose => 'Too much of a treatment, or two that never meet',
            self::StoppedFilter => 'A filter that stood still',
            self::Ammonia => 'Ammonia',
            self::Nitrite => 'Nitrite',
            self::Acid => 'KH gone, pH falling',
            self::Heat => 'Heat',
            self::Shock => 'Water too different',
            self::Nitrate => 'Nitrate',
            self::Overloaded => 'More than the filter can take',
            self::Sickness => 'Sickness',
            self::Bloom => 'Green water',
        };
    }
}
