<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/** The order of work for one dose, as it stands on the sheet for the shed. Common practice, no source. */
final readonly class OrderOfWork
{
    private const ZEOLITE = 'zeolite';

    /** A charge is hung in the flow and never dissolved. */
    private const HUNG = [
        'No salt in the water, and none while it hangs there.',
        'Rinse the dust off in fresh water, in its bag.',
        'Hang the bag where the flow goes through it and not past it, and write down when.',
        'Test ammonia behind it the next day; when it rises the charge is full.',
    ];

    /**
     * @param  list<string>  $conditions
     * @param  string  $thing  what is given, where it is no agent
     * @return list<string>
     */
    public static function of(?Agent $agent, string $way, array $conditions, string $thing = ''): array
    {
        if ($thing === self::ZEOLITE) {
            return [...$conditions, ...self::HUNG];
        }
        $steps = ['Read the label; somebody else reads this sheet against it.'];
        if ($agent !== null) {
            $steps[] = 'Gloves and eye protection on; water and thiosulfate or fresh water within reach.';
        }
        array_push($steps, ...$conditions);
        if ($agent !== null && !$agent->sparesFilter && $way === 'prolonged') {
            $steps[] = 'Bypass the biofilter, and keep its own water moving and aired.';
        }
        if ($agent !== null) {
            $steps[] = 'All the air there is, from before the dose on.';
        }
        $steps[] = match ($way) {
            'bath', 'dip' => 'Mix it into the bath whole before a fish goes in; start the clock with the ' .
                'first fish; stand by it.',
            default => 'Dissolve or dilute it in a bucket of system water, and give it over ten ' .
                'minutes where flow is strong, away from fish.',
        };
        if ($agent !== null) {
            $steps[] = 'Watch for half an hour, and again after two. ' . $agent->stop;
        }

        return $steps;
    }
}
