<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Judge\Parameter;

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
    case Alkaline = 'alkaline';
    case Salty = 'salty';
    case Gas = 'gas';
    case Overfull = 'overfull';
    case Heat = 'heat';
    case Cold = 'cold';
    case Shock = 'shock';
    case Nitrate = 'nitrate';
    case Hardness = 'hardness';
    case Overloaded = 'overloaded';
    case Death = 'death';
    case Sickness = 'sickness';
    case Blocked = 'blocked';
    case Dirt = 'dirt';
    case Cloudy = 'cloudy';
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
            self::Alkaline => 'pH too high',
            self::Salty => 'Too much salt',
            self::Gas => 'Too much CO₂',
            self::Overfull => 'More oxygen than water holds',
            self::Heat => 'Heat',
            self::Cold => 'Cold',
            self::Hardness => 'Hardness',
            self::Death => 'A dead fish',
            self::Blocked => 'A filter that blocks, flow that slows',
            self::Dirt => 'Dirt in the water',
            self::Cloudy => 'Cloudy water',
            self::Shock => 'Water too different',
            self::Nitrate => 'Nitrate',
            self::Overloaded => 'An overloaded filter',
            self::Sickness => 'Sickness',
            self::Bloom => 'Green water',
        };
    }

    /**
     * What would have shown it in the book before anybody saw it; empty where no reading would.
     *
     * @return list<Parameter>
     */
    public function shownBy(): array
    {
        $nitrogen = [Parameter::Ammonia, Parameter::UnionisedAmmonia, Parameter::Nitrite];

        return match ($this) {
            self::Oxygen => [Parameter::Oxygen],
            self::StoppedFilter, self::Overloaded => [...$nitrogen, Parameter::Oxygen],
            self::Ammonia => [Parameter::Ammonia, Parameter::UnionisedAmmonia],
            self::Nitrite => [Parameter::Nitrite],
            self::Nitrate => [Parameter::Nitrate],
            self::Acid => [Parameter::Ph, Parameter::Alkalinity],
            self::Alkaline => [Parameter::Ph],
            self::Salty => [Parameter::Salinity],
            self::Heat, self::Cold => [Parameter::Temperature],
            self::Hardness => [Parameter::Hardness],
            self::Chlorine => [Parameter::Chlorine],
            self::Sickness, self::Death, self::Shock => [...$nitrogen, Parameter::Oxygen, Parameter::Ph],
            self::Overdose, self::Gas, self::Overfull, self::Blocked, self::Dirt, self::Cloudy, self::Bloom => [],
        };
    }
}
