<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Water\WaterInputs;

/** The state of a system as conflicts are judged by it. */
final readonly class ConflictState
{
    /** @return list<Input> */
    public static function inputs(Conflicts $conflicts): array
    {
        return [
            WaterInputs::temperature(),
            WaterInputs::ph()->optional(),
            WaterInputs::alkalinity()->optional(),
            Input::number('hardness_mg_l', 'Hardness', 'mg/L as CaCO₃', 0, 2000)->optional(),
            WaterInputs::salinity(),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30)->optional(),
            Input::choices('present', 'In the water or the loop', $conflicts->things())->optional(),
            Input::flag('carbon_in', 'Carbon in the loop')->or(false),
            Input::flag('zeolite_in', 'Zeolite in the loop')->or(false),
            Input::flag('uv_on', 'UV is on')->or(false),
            Input::flag('filter_seeding', 'A filter is being seeded')->or(false),
        ];
    }

    /** @return list<string> all that is there, once each */
    public static function present(Given $given): array
    {
        return array_values(
            array_unique([
                ...$given->texts('present'),
                ...$given->flag('carbon_in') ? ['carbon'] : [],
                ...$given->flag('zeolite_in') ? ['zeolite'] : [],
                ...$given->flag('uv_on') ? ['uv'] : [],
                ...$given->flag('filter_seeding') ? ['seeding_filter'] : [],
                ...$given->number('salinity_g_l') >= 0.5 ? ['salt'] : [],
            ]),
        );
    }

    /**
     * @return array{refusals: list<string>, conditions: list<string>, pairs: list<array{with: string, verdict: string,
     *     reason: string}>}
     */
    public static function judge(Conflicts $conflicts, string $agent, Given $given): array
    {
        $pairs = array_map(
            static fn(string $thing): array => ['with' => $thing, ...$conflicts->pair($agent, $thing)],
            array_values(array_filter(self::present($given), static fn(string $thing): bool => $thing !== $agent)),
        );
        $all = [
            ...$pairs,
            ...$conflicts->water(
                $agent,
                $given->number('temp_c'),
                $given->numberOrNull('ph'),
                $given->numberOrNull('alkalinity_mg_l'),
                $given->numberOrNull('hardness_mg_l'),
                $given->numberOrNull('do_mg_l'),
            ),
        ];
        $of = static fn(string $verdict): array => array_values(
            array_map(
                static fn(array $row): string => $row['reason'],
                array_filter($all, static fn(array $row): bool => $row['verdict'] === $verdict),
            ),
        );

        return ['refusals' => $of('refused'), 'conditions' => $of('conditions'), 'pairs' => $pairs];
    }
}
