<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\User;
use App\Models\Visit;

/** Takes a visit back. It stays in the book, marked with who and when, and counts no longer. */
final readonly class WithdrawVisit
{
    public function withdraw(Visit $visit, User $user): void
    {
        Visit::query()
            ->whereKey($visit->id)
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => now(), 'withdrawn_by' => $user->id]);
    }
}
