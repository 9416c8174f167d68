<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\System;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/**
 * A log of what was booked against what the product said: which rule, where and by whom, and nothing that was typed.
 *
 * A rule that is overridden day after day is either wrong or not understood; `bin/ironwort faults` counts them.
 */
final readonly class Overridden
{
    /** @param  list<string>  $codes  of what speaks against it; nothing is written for none */
    public static function log(string $what, array $codes, bool $asFact, System $system, User $person): void
    {
        if ($codes === []) {
            return;
        }
        $how = $asFact ? 'had happened' : 'with a reason';
        $told = ['codes' => $codes, 'how' => $how, 'system' => $system->id, 'person' => $person->id];
        // What is refused for something else after all was never booked.
        DB::afterCommit(static fn() => Log::channel('overridden')->info($what, $told));
    }
}
