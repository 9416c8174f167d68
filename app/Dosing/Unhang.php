<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Models\Charge;
use App\Shelf\TakeFromShelf;

/** A charge that was booked and never went in: it took nothing, and what it came from gets it back. */
final readonly class Unhang
{
    public static function charge(Charge $charge): void
    {
        if ($charge->taken_out_at !== null && $charge->taken_out_at->equalTo($charge->put_in_at)) {
            return;
        }
        if ($charge->good_id !== null && $charge->from_shelf !== null) {
            TakeFromShelf::on($charge->site_id, $charge->kind, $charge->from_shelf, 'g', $charge->good_id);
        }
        $charge->fill(['taken_out_at' => $charge->put_in_at, 'from_shelf' => null])->save();
    }
}
