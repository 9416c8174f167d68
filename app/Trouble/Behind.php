<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Age;
use App\Models\Dose;
use App\Models\FeedFigure;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Readings\SetbackNotice;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Incident\LookBack;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** What in the book may be behind bad readings: what befell the filter first, then what is asked of it. */
final readonly class Behind
{
    public function __construct(private AgentTable $agents) {}

    /**
     * @param  bool  $bad  whether any reading is: else only what befell the filter, which is watched of itself
     * @return list<Message>
     */
    public function of(System $system, bool $bad): array
    {
        $setBack = SetbackNotice::of($system);
        $befell = $setBack === null ? [] : [$setBack];

        return !$bad
            ? $befell
            : [
                ...$befell,
                ...self::trickle($system),
                ...$this->chlorine($system),
                ...$this->medicine($system),
                ...$this->fish($system),
                ...$this->feed($system),
            ];
    }

    /** Whether new water that may hold chlorine runs in all the while, and nothing is said to take it out. */
    public static function chlorineRuns(System $system): ?Trickle
    {
        $trickle = Trickle::running($system);

        return $trickle !== null &&
            ($trickle->treated_by ?? '') === '' &&
            $trickle->water?->loadMissing('tests')->mayBringChlorine() === true
            ? $trickle
            : null;
    }

    /** @return list<Message> */
    private static function trickle(System $system): array
    {
        $trickle = self::chlorineRuns($system);

        return $trickle === null
            ? []
            : [
                Message::of('incident.behind_trickle_chlorine', [
                    'flow' => Format::number($trickle->flow_l_h / 60, 2),
                    'water' => $trickle->water->name ?? 'new water',
                    'ago' => Age::of($trickle->started_at),
                ]),
            ];
    }

    /** @return list<Message> new water whose chlorine nobody has said to be taken out */
    private function chlorine(System $system): array
    {
        /** @var ?WaterChange $change */
        $change = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('changed_at', '>', Carbon::now()->subDays(LookBack::DAYS))
            ->orderByDesc('changed_at')
            ->get()
            ->first(
                static fn(WaterChange $one): bool => array_filter(
                    $one->put_back,
                    static fn(array $item): bool => in_array($item['what'], ['conditioner', 'thiosulfate'], true) &&
                        !$item['done'],
                ) !== [],
            );

        return $change === null
            ? []
            : [
                Message::of('incident.behind_chlorine', [
                    'litres' => Format::number($change->litres, 3),
                    'ago' => Age::of($change->changed_at),
                ]),
            ];
    }

    /** @return list<Message> */
    private function medicine(System $system): array
    {
        $harmful = array_values(array_filter(array_keys($this->agents->agents), LookBack::harmsFilter(...)));
        /** @var ?Dose $dose */
        $dose = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereIn('thing', $harmful)
            ->where('given_at', '>', Carbon::now()->subDays(LookBack::DAYS))
            ->orderByDesc('given_at')
            ->first();

        return $dose === null
            ? []
            : [Message::of('incident.behind_medicine', ['name' => $dose->name, 'ago' => Age::of($dose->given_at)])];
    }

    /** @return list<Message> */
    private function fish(System $system): array
    {
        $from = Carbon::now()->subDays(LookBack::DAYS);
        $moved = (int) FishEvent::query()
            ->where('to_system_id', $system->id)
            ->where('happened_on', '>', $from)
            ->sum('count');
        // Groups of a system that was drawn up just now were there before it was.
        $new =
            $system->created_at !== null && $system->created_at->lt($from)
                ? (int) FishGroup::query()
                    ->where('system_id', $system->id)
                    ->where('created_at', '>', $from)
                    ->sum('count')
                : 0;
        $came = max($moved, $new);

        return $came > 0 ? [Message::of('incident.behind_fish', ['count' => (string) $came])] : [];
    }

    /** @return list<Message> */
    private function feed(System $system): array
    {
        /** @var list<FeedFigure> $figures */
        $figures = FeedFigure::query()
            ->where('system_id', $system->id)
            ->where('since', '<=', Carbon::now()->toDateString())
            ->orderByDesc('since')
            ->limit(2)
            ->get()
            ->all();
        if (count($figures) < 2 || $figures[0]->by_ration || $figures[1]->by_ration) {
            return [];
        }
        [$now, $before] = $figures;

        return $now->since->gt(Carbon::now()->subDays(LookBack::DAYS)) &&
            LookBack::raised($before->feed_g_d, $now->feed_g_d)
            ? [
                Message::of('incident.behind_feed', [
                    'before' => Format::number($before->feed_g_d, 3),
                    'now' => Format::number($now->feed_g_d, 3),
                    'since' => $now->since->format('j M'),
                ]),
            ]
            : [];
    }
}
