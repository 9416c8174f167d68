<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\AirOutlet;
use App\Models\System;

/**
 * Lays the parts of a build into a system: vessels, stages, pumps, and the lines between them.
 *
 * Ends of lines are written by name: `v:Bay 1`, `s:Vortex`, `p:Main pump`, `j:Collector` or `outside`. `inside` names
 * the vessel a stage or pump stands in, `lies_in` the chamber a layer lies in, `three_way` the line that shares a
 * line's three-way valve. An outlet of air is its name, its pump, and where it comes out.
 */
final readonly class LayBuild
{
    /**
     * @param  array{junctions?: list<array<string, mixed>>, vessels?: list<array<string, mixed>>,
     *     stages?: list<array<string, mixed>>, pumps?: list<array<string, mixed>>,
     *     lines?: list<array<array-key, mixed>>, outlets?: list<array<array-key, mixed>>}  $plan  columns of each part
     * @param  ?string  $since  the day its stages went in, where they do not say; null where nobody knows
     */
    public function lay(System $system, array $plan, ?string $since = null): void
    {
        $own = ['site_id' => $system->site_id];
        foreach ($plan['vessels'] ?? [] as $i => $vessel) {
            $system->vessels()->create([...$own, 'freeboard_m' => 0, 'displaced_l' => 0, ...$vessel, 'position' => $i]);
        }
        foreach ($plan['stages'] ?? [] as $i => $stage) {
            $system
                ->stages()
                ->create([
                    ...$own,
                    'medium' => null,
                    'air_l_min' => 0,
                    'media_l' => 0,
                    'since' => $since,
                    ...self::liesIn($system, self::inside($system, $stage)),
                    'position' => $i,
                ]);
        }
        foreach ($plan['pumps'] ?? [] as $i => $pump) {
            $system->pumps()->create([...$own, ...self::inside($system, $pump), 'position' => $i]);
        }
        foreach ($plan['junctions'] ?? [] as $i => $junction) {
            $system->junctions()->create([...$own, ...$junction, 'position' => $i]);
        }
        $ends = $this->ends($system);
        foreach ($plan['lines'] ?? [] as $i => $line) {
            [$name, $from, $to] = array_map(self::word(...), array_slice($line, 0, 3));
            [3 => $bore, 4 => $length, 5 => $fittings] = $line;
            $system
                ->lines()
                ->create([
                    ...$own,
                    'name' => $name,
                    'bore_mm' => $bore,
                    'length_m' => $length,
                    'fittings' => $fittings,
                    'position' => $i,
                    "from_{$ends[$from][0]}" => $ends[$from][1],
                    ...$to === 'outside' ? [] : ["to_{$ends[$to][0]}" => $ends[$to][1]],
                    ...array_diff_key(array_filter($line, is_string(...), ARRAY_FILTER_USE_KEY), ['three_way' => 0]),
                ]);
            if (isset($line['three_way'])) {
                $made = $system->lines()->where('name', $name)->firstOrFail();
                $other = $system->lines()->where('name', $line['three_way'])->firstOrFail();
                $made->update(['three_way_id' => $other->id]);
                $other->update(['three_way_id' => $made->id]);
            }
        }
        foreach ($plan['outlets'] ?? [] as $i => $outlet) {
            [$name, $pump, $to] = array_map(self::word(...), array_slice($outlet, 0, 3));
            $system
                ->airOutlets()
                ->create([
                    ...$own,
                    'name' => $name,
                    'position' => $i,
                    'pump_id' => $ends["p:{$pump}"][1],
                    $ends[$to][0] => $ends[$to][1],
                    ...array_filter($outlet, is_string(...), ARRAY_FILTER_USE_KEY),
                ]);
        }
        AirOutlet::feedStages($system->unsetRelations());
    }

    /**
     * @param  array<string, mixed>  $stage
     * @return array<string, mixed> the same with the key of the chamber it lies in
     */
    private static function liesIn(System $system, array $stage): array
    {
        return isset($stage['lies_in'])
            ? [
                ...array_diff_key($stage, ['lies_in' => 0]),
                'chamber_id' => $system->stages()->where('name', $stage['lies_in'])->firstOrFail()->id,
            ]
            : $stage;
    }

    private static function word(mixed $written): string
    {
        return is_string($written) ? $written : throw new \LogicException('A line begins with its name and its ends.');
    }

    /**
     * @param  array<string, mixed>  $part
     * @return array<string, mixed> the same with the key of the vessel it stands in
     */
    private static function inside(System $system, array $part): array
    {
        return [
            ...array_diff_key($part, ['inside' => 0]),
            'vessel_id' => isset($part['inside'])
                ? $system->vessels()->where('name', $part['inside'])->value('id')
                : null,
        ];
    }

    /** @return array<string, array{string, string}> name to column and key */
    private function ends(System $system): array
    {
        $ends = [];
        foreach ($system->vessels()->get() as $vessel) {
            $ends["v:{$vessel->name}"] = ['vessel_id', $vessel->id];
        }
        foreach ($system->stages()->get() as $stage) {
            $ends["s:{$stage->name}"] = ['stage_id', $stage->id];
        }
        foreach ($system->pumps()->get() as $pump) {
            $ends["p:{$pump->name}"] = ['pump_id', $pump->id];
        }
        foreach ($system->junctions()->get() as $junction) {
            $ends["j:{$junction->name}"] = ['junction_id', $junction->id];
        }

        return $ends;
    }
}
