<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Event;

/** The invented power cut of nine weeks ago as the work it was: who did what, and what changed after it. */
final readonly class DemoIncident
{
    private const AGO = 63;

    /** Days ago, hour, minute, who, what, why. */
    private const TICKS = [
        [63, 7, 30, 1, 'Air from both pumps on the battery, hose over the surface.', null],
        [63, 8, 20, 1, 'Filter drained to waste before the pump came on again.', null],
        [63, 10, 0, 0, 'Half of the water changed, matched and dechlorinated.', null],
        [62, 9, 0, 0, 'Binder for what stood after the change.', null],
        [60, 11, 0, 1, 'Salt in three steps against the nitrite to come.', null],
        [57, 9, 0, 1, 'Half of the water changed again.', 'ammonia was under 0.2 by then'],
    ];

    /** @param  list<User>  $people */
    public function __construct(private Site $site, private array $people) {}

    public function write(): void
    {
        $system = System::query()->where('site_id', $this->site->id)->where('slug', 'press-room')->firstOrFail();
        $own = ['site_id' => $this->site->id, 'system_id' => $system->id];
        $incident = Incident::query()->create([
            ...$own,
            'user_id' => $this->people[1]->id,
            'event' => Event::PowerCut,
            'signs' => ['pump_stopped', 'gasping'],
            'opened_at' => $this->at(self::AGO, 7, 25),
            'ended_at' => $this->at(50, 18),
            'ended_by' => $this->people[0]->id,
            'cause' => Cause::StoppedFilter,
            'prevent' => 'Both air pumps stand on a battery that takes over by itself, and the ring has an alarm.',
        ]);
        foreach (self::TICKS as $i => [$ago, $hour, $minute, $who, $words, $skipped]) {
            IncidentTick::query()->create([
                ...$own,
                'incident_id' => $incident->id,
                'user_id' => $this->people[$who]->id,
                'step' => "demo {$i}",
                'words' => $words,
                'what' => $skipped === null ? 'done' : 'skipped',
                'why' => $skipped,
                'at' => $this->at($ago, $hour, $minute),
            ]);
        }
        $this->site->update(['emergency_call' => 'Maren first, then Ines (vet): numbers on the door']);
    }

    private function at(int $daysAgo, int $hour, int $minute = 0): Carbon
    {
        return Carbon::now()->subDays($daysAgo)->setTime($hour, $minute);
    }
}
