<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Line;
use App\Models\ShutOff;
use App\Models\System;
use App\Models\User;
use App\Models\Vessel;
use App\Volumes\WaterBodies;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** Shuts every line of a bay at once and remembers how its valves stood, or opens them as they were. */
final readonly class ShutOffBay
{
    /** @throws BadInput where a line of the bay has no valve */
    public function shut(System $system, Vessel $vessel, User $user): void
    {
        $lines = WaterBodies::lines($system, $vessel);
        $open = array_filter($lines, static fn(Line $line): bool => $line->valve_open_pct === null);
        if ($open !== []) {
            throw BadInput::at(
                'id',
                "{$vessel->name} cannot be shut off: " .
                    implode(', ', array_map(static fn(Line $line): string => $line->name, $open)) .
                    (count($open) === 1 ? ' has' : ' have') .
                    ' no valve.',
            );
        }
        if ($lines === []) {
            throw BadInput::at('id', "No line leads to {$vessel->name}: there is nothing to shut.");
        }
        DB::transaction(static function () use ($system, $vessel, $user, $lines): void {
            $already = ShutOff::query()
                ->where('vessel_id', $vessel->id)
                ->whereNull('opened_at')
                ->lockForUpdate()
                ->exists();
            if ($already) {
                return;
            }
            ShutOff::query()->create([
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'vessel_id' => $vessel->id,
                'user_id' => $user->id,
                'shut_at' => now(),
                'openings' => array_column(
                    array_map(static fn(Line $line): array => [$line->id, $line->valve_open_pct], $lines),
                    1,
                    0,
                ),
            ]);
            foreach ($lines as $line) {
                $line->valve_open_pct = 0.0;
                $line->save();
            }
        });
    }

    public function open(System $system, Vessel $vessel): void
    {
        DB::transaction(static function () use ($system, $vessel): void {
            /** @var ?ShutOff $shutOff */
            $shutOff = ShutOff::query()->where('vessel_id', $vessel->id)->whereNull('opened_at')->first();
            foreach (WaterBodies::lines($system, $vessel) as $line) {
                if ($line->valve_open_pct !== null) {
                    $line->valve_open_pct = $shutOff->openings[$line->id] ?? 100.0;
                    $line->save();
                }
            }
            ShutOff::query()
                ->where('vessel_id', $vessel->id)
                ->whereNull('opened_at')
                ->update(['opened_at' => now()->format('Y-m-d H:i:s.uP')]);
        });
    }
}
