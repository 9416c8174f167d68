<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Age;
use App\Models\System;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Words\Message;

/** Tells the second of two people who do the same within the time it takes, who was first and when. */
final readonly class SameDeed
{
    /**
     * @template T of Model
     *
     * @param  Builder<T>  $deeds  of the same kind
     * @param  string  $when  the column that says when it was done
     * @param  \Closure(T): string  $text  what was done, in words
     *
     * @throws BadInput at `again`, which says that it was done as well
     */
    public static function refuse(
        Builder $deeds,
        string $when,
        System $system,
        User $user,
        Carbon $at,
        \Closure $text,
    ): void {
        $first = $deeds
            ->where('system_id', $system->id)
            ->where('user_id', '<>', $user->id)
            ->whereBetween($when, [
                $at->copy()->subMinutes(Validity::SAME_DEED_MIN),
                $at->copy()->addMinutes(Validity::SAME_DEED_MIN),
            ])
            ->orderByDesc($when)
            ->first();
        if ($first === null) {
            return;
        }
        $who = User::query()->find($first->getAttribute('user_id'));
        $done = $first->getAttribute($when);
        $said = Message::of('dose.same_by_another', [
            'who' => $who instanceof User ? $who->name : 'Somebody',
            'ago' => $done instanceof Carbon ? Age::of($done) : 'just now',
            'text' => $text($first),
        ]);

        throw BadInput::at('again', $said->text, [$said->code]);
    }
}
