<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Age;
use App\Models\Incident;
use App\Models\Site;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Words\Message;

/** Incidents of a site that are open, and how many of their steps wait: worked out only where there are any. */
final readonly class IncidentsOpen
{
    public function __construct(private TroubleReport $trouble) {}

    /** @return array<string, Incident> by system id */
    public function of(Site $site): array
    {
        $open = Incident::query()->with('ticks.user')->where('site_id', $site->id)->whereNull('ended_at')->get();

        $of = [];
        foreach ($open as $one) {
            $of[$one->system_id] = $one;
        }

        return $of;
    }

    public function says(System $system, LatestWater $water, Incident $incident): Message
    {
        $seen = array_values(array_filter(array_map(Sign::tryFrom(...), $incident->signs)));
        $waits = $this->trouble->waiting($system, $water, $seen, $incident);

        return Message::of($waits === 0 ? 'incident.open_nothing' : 'incident.open_waits', [
            'event' => $incident->event->name(),
            'ago' => Age::of($incident->opened_at),
            'steps' => (string) $waits,
        ]);
    }
}
