<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\Site;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Arrival\VisitOrder;
use Ironwort\Core\Words\Message;

/** The order in which the systems of a site are visited, clean water first. */
final readonly class VisitList
{
    public function __construct(private QuarantineOf $quarantine) {}

    public function says(Site $site): Message
    {
        $systems = [];
        foreach (System::awakeOf($site) as $system) {
            $held = $system->kind === 'quarantine';
            $since = $held ? QuarantineOf::since($system) : null;
            $systems[] = [
                'name' => $system->name,
                'kind' => $system->kind,
                'day' => $since === null ? null : QuarantineOf::day($system, $since),
                'shut' => $held && $this->quarantine->gate($system, LatestWater::of($system), 0.0)->shut !== null,
            ];
        }

        return Message::of('arrival.visit_last', ['names' => implode(', ', VisitOrder::of($systems))]);
    }
}
