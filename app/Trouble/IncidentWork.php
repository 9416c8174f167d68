<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\MadeAt;
use App\Http\Overridden;
use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Incident\Event;
use Ironwort\Core\Incident\Sign;

/** What is done with an incident: opened once whoever sees it, told more of, worked through, closed. */
final readonly class IncidentWork
{
    public function __construct(private IncidentEnds $ends) {}

    /**
     * One that is open is told what else is seen and what is gone, so that nobody takes back what another saw; there
     * are never two of a system.
     *
     * @param  list<Sign>  $signs
     * @param  list<Sign>  $gone
     */
    public function open(
        string $id,
        System $system,
        User $person,
        Event $event,
        array $signs,
        array $gone,
        Carbon $since,
    ): Incident {
        $seen = array_map(static fn(Sign $one): string => $one->value, $signs);
        $known = Incident::open($system) ?? Incident::query()->find(strtoupper($id));
        if ($known !== null) {
            if ($known->ended_at === null) {
                $all = array_unique([...$known->signs, ...$seen]);
                $not = array_map(static fn(Sign $one): string => $one->value, $gone);
                $known->update(['signs' => array_values(array_diff($all, $not))]);
            }

            return $known;
        }
        $first = array_map(static fn(Sign $one): string => $one->value, $event->signs());

        return Incident::query()->create([
            'id' => strtoupper($id),
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $person->id,
            'event' => $event,
            'signs' => array_values(array_unique([...$first, ...$seen])),
            'opened_at' => $since,
        ]);
    }

    /**
     * @param  array{step: string, words: string, what: string, why: ?string}  $tick
     *
     * @throws BadInput at `id` where it is closed
     */
    public function tick(string $id, Incident $incident, User $person, array $tick): void
    {
        if ($incident->ended_at !== null) {
            throw IncidentRequest::said('id', 'incident.ended_already');
        }
        IncidentTick::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$tick,
                'site_id' => $incident->site_id,
                'system_id' => $incident->system_id,
                'incident_id' => $incident->id,
                'user_id' => $person->id,
                'at' => MadeAt::now(),
            ],
        );
    }

    /** @throws BadInput at the field: its cause is asked for, and a reason where its rule is not met */
    public function end(Incident $incident, System $system, User $person, IncidentRequest $request): void
    {
        if ($incident->ended_at !== null) {
            return;
        }
        $cause = $request->cause();
        $closing = $request->closing();
        $open = $this->ends->missing($system, $incident) !== [];
        if ($open && $closing['early_why'] === null) {
            throw IncidentRequest::said('early_why', 'incident.end_say_why');
        }
        Overridden::log('end of an incident', $open ? ['incident.end_say_why'] : [], false, $system, $person);
        $incident->update([...$closing, 'cause' => $cause, 'ended_at' => Carbon::now(), 'ended_by' => $person->id]);
    }
}
