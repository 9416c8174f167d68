<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\MadeAt;
use App\Models\Round;
use App\Models\RoundMark;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;

/** A round as it is walked: begun once a person, skipped for a reason, handed over, finished when none is left. */
final readonly class RoundWork
{
    /** What is written in a book by somebody who stands before the system. */
    private const DEEDS = [
        'visits' => 'taken_at',
        'notes' => 'taken_at',
        'changes' => 'changed_at',
        'doses' => 'given_at',
        'feeds' => 'fed_at',
    ];

    public function begin(string $id, User $person): Round
    {
        return Round::open($person) ??
            Round::query()->firstOrCreate(
                ['id' => strtoupper($id), 'site_id' => $person->site_id],
                ['user_id' => $person->id, 'began_at' => MadeAt::now()],
            );
    }

    /** @throws BadInput at `round` where it is finished */
    public function skip(Round $round, System $system, User $person, string $why): void
    {
        $this->isOpen($round);
        RoundMark::query()->updateOrCreate(
            ['round_id' => $round->id, 'system_id' => $system->id],
            [
                'id' => strtoupper((string) Str::ulid()),
                'site_id' => $round->site_id,
                'user_id' => $person->id,
                'what' => 'skipped',
                'why' => $why,
                'at' => MadeAt::now(),
            ],
        );
    }

    /** @throws BadInput at `round` where it is finished */
    public function unskip(Round $round, System $system): void
    {
        $this->isOpen($round);
        RoundMark::query()->where('round_id', $round->id)->where('system_id', $system->id)->delete();
    }

    /** @throws BadInput at `round` where it is finished */
    public function pass(Round $round, User $person, User $to, ?string $note): void
    {
        $this->isOpen($round);
        $round->update([
            'user_id' => $to->id,
            'passed_by' => $person->id,
            'passed_at' => Carbon::now(),
            'passed_note' => $note,
        ]);
    }

    /** @throws BadInput at `left` while a system was neither looked at nor skipped */
    public function finish(Round $round, User $person, ?string $note): void
    {
        if ($round->ended_at !== null) {
            return;
        }
        $systems = System::awakeOf($person->site);
        $looked = $this->looked($round);
        $skipped = $round->marks()->pluck('system_id')->all();
        $left = $systems->reject(
            static fn(System $one): bool => isset($looked[$one->id]) || in_array($one->id, $skipped, true),
        );
        if ($left->isNotEmpty()) {
            throw RoundRequest::said('left', 'judge.round_left', ['names' => $left->implode('name', ', ')]);
        }
        $now = MadeAt::now()->max($round->began_at);
        foreach ($systems as $system) {
            if (!isset($looked[$system->id])) {
                continue;
            }
            // What was skipped first and looked at after all was looked at.
            RoundMark::query()->updateOrCreate(
                ['round_id' => $round->id, 'system_id' => $system->id],
                [
                    'id' => strtoupper((string) Str::ulid()),
                    'site_id' => $round->site_id,
                    'user_id' => $person->id,
                    'what' => 'looked',
                    'why' => null,
                    'at' => $now,
                ],
            );
        }
        $round->update(['ended_at' => $now, 'note' => $note]);
    }

    /** @return array<string, true> ids of systems at which something was written since it began */
    public function looked(Round $round): array
    {
        $parts = $bindings = [];
        foreach (self::DEEDS as $table => $at) {
            $parts[] = "SELECT system_id FROM {$table} WHERE site_id = ? AND {$at} >= ? AND withdrawn_at IS NULL";
            array_push($bindings, $round->site_id, $round->began_at);
        }
        /** @var list<object{system_id: string}> $rows */
        $rows = DB::select(implode(' UNION ', $parts), $bindings);

        return array_fill_keys(array_column($rows, 'system_id'), true);
    }

    private function isOpen(Round $round): void
    {
        if ($round->ended_at !== null) {
            throw RoundRequest::said('round', 'judge.round_ended');
        }
    }
}
