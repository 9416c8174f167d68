<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * What follows the last dose of a course, in order.
 *
 * @source cp-course
 */
final readonly class AfterCourse
{
    /** @return array<string, string> by a short key */
    public static function steps(Agent $agent): array
    {
        return [
            'change' => 'Change a third of the water, or as much as the label asks.',
            'carbon' => 'Carbon back in, for what is left of it; out again after a week.',
            'uv' => 'UV on again.',
            'filter' => $agent->sparesFilter
                ? 'The filter ran through: look at its flow.'
                : 'The biofilter back into the loop, after its own water was changed; count it as hurt.',
            'ammonia' => 'Ammonia and nitrite twice a day for a week, and light feed.',
            'plants' => 'Plants, zeolite and what else was taken out go back last.',
        ];
    }

    /** What is looked at each day while it runs. */
    public static function daily(Agent $agent): string
    {
        return 'Each day: how they breathe and swim, whether they come up; oxygen at dawn' .
            ($agent->sparesFilter ? '.' : '; ammonia and nitrite, since the filter may be hurt.');
    }
}
