<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Models\Age;
use App\Models\Dose;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Words\Message;

/** Tells the second of two people who give the same within the time it takes, who was first and when. */
final readonly class SameDeed
{
    /** @throws BadInput at `again`, which says that it was given as well */
    public function refuse(System $system, User $user, string $thing, ?string $vesselId, Carbon $at): void
    {
        $first = Dose::query()
            ->with(['user', 'vessel', 'good'])
            ->where('system_id', $system->id)
            ->where('vessel_id', $vesselId)
            ->where('thing', $thing)
            ->where('user_id', '<>', $user->id)
            ->whereNull('withdrawn_at')
            ->whereBetween('given_at', [
                $at->copy()->subMinutes(Validity::SAME_DEED_MIN),
                $at->copy()->addMinutes(Validity::SAME_DEED_MIN),
            ])
            ->orderByDesc('given_at')
            ->first();
        if ($first !== null) {
            $said = Message::of('dose.same_by_another', [
                'who' => $first->user->name ?? 'Somebody',
                'ago' => Age::of($first->given_at),
                'text' => $first->text(),
            ]);

            throw BadInput::at('again', $said->text, [$said->code]);
        }
    }
}
