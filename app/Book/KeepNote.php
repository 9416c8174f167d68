<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\MadeAt;
use App\Models\Note;
use App\Models\Photo;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** What somebody saw, with a picture of it: kept once under its key, and never written over. */
final readonly class KeepNote
{
    /**
     * @param  ?array{type: string, picture: string}  $photo
     * @param  list<string>  $seen
     *
     * @throws BadInput at `id` where other words are kept under this key
     */
    public function keep(string $id, System $system, User $person, string $words, array $seen, ?array $photo): void
    {
        DB::transaction(function () use ($id, $system, $person, $words, $seen, $photo): void {
            $kept = Note::query()->firstOrCreate(
                ['id' => strtoupper($id)],
                [
                    'words' => $words,
                    'seen' => $seen,
                    'taken_at' => MadeAt::now(),
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'user_id' => $person->id,
                ],
            );
            if (!$kept->wasRecentlyCreated && $kept->words !== $words) {
                throw BadInput::at('id', 'This note was saved with other words, and those are kept.');
            }
            if ($photo !== null) {
                Photo::query()->firstOrCreate(['id' => strtoupper($id)], [...$photo, 'site_id' => $system->site_id]);
            }
        });
    }
}
