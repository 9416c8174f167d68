<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Dose;
use App\Models\Good;

/** Books a dose off what stands on the shelf, and back on it when the dose is taken back. Inside a transaction. */
final readonly class TakeFromShelf
{
    public static function take(Dose $dose, ?Good $good): void
    {
        if ($good === null || $good->unit !== $dose->unit) {
            return;
        }
        /** @var ?Good $held */
        $held = Good::query()->lockForUpdate()->find($good->id);
        if ($held === null) {
            return;
        }
        $taken = $held->amount === null ? null : min($held->amount, $dose->amount);
        $dose->forceFill(['good_id' => $held->id, 'from_shelf' => $taken])->save();
        $held
            ->fill([
                'amount' => $held->amount === null ? null : $held->amount - (float) $taken,
                'opened_on' => $held->opened_on ?? now()->toDateString(),
            ])
            ->save();
    }

    /** What is put in without being a dose: a charge, or what the new water of a change lacked. */
    public static function off(string $siteId, string $kind, float $amount, string $unit): ?Taken
    {
        $found = Good::inUse($siteId, $kind);
        $good = $found === null ? null : Good::query()->lockForUpdate()->find($found->id);
        if ($good === null || $good->unit !== $unit || $good->amount === null) {
            return null;
        }
        $taken = new Taken($good->id, min($good->amount, $amount));
        $good
            ->fill([
                'amount' => $good->amount - $taken->amount,
                'opened_on' => $good->opened_on ?? now()->toDateString(),
            ])
            ->save();

        return $taken;
    }

    /** What was not put in after all goes back to what it was taken from, or would be. */
    public static function on(string $siteId, string $kind, float $amount, string $unit, ?string $goodId = null): void
    {
        $good = $goodId ?? Good::inUse($siteId, $kind)?->id;
        Good::query()->whereKey($good)->where('unit', $unit)->whereNotNull('amount')->increment('amount', $amount);
    }

    public static function giveBack(Dose $dose): void
    {
        if ($dose->good_id !== null && $dose->from_shelf !== null) {
            Good::query()->whereKey($dose->good_id)->whereNotNull('amount')->increment('amount', $dose->from_shelf);
            $dose->forceFill(['from_shelf' => null])->save();
        }
    }
}
