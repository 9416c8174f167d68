<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Part;
use App\Models\System;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** Keeps a part of a system under the key its editor made; the second of two editors is told of the first. */
final readonly class SavePart
{
    /**
     * @param  class-string<Part>  $class
     * @param  array<string, mixed>  $columns  columns of the part
     * @param  ?string  $seen  the version that whoever saves has looked at; null when it is new or nobody says
     *
     * @throws BadInput at `seen`
     */
    public function save(string $class, System $system, string $id, array $columns, ?string $seen): void
    {
        $id = strtoupper($id);
        DB::transaction(static function () use ($class, $system, $id, $columns, $seen): void {
            $system->hold();
            $part = $class::query()->find($id);
            if ($part !== null && $seen !== null && $seen !== $part->version()) {
                throw BadInput::at(
                    'seen',
                    'Somebody changed this after you opened it. What you typed is still here: save ' .
                        'again to replace theirs, or cancel to see theirs.',
                );
            }
            if ($part === null) {
                $position = $class::query()->where('system_id', $system->id)->max('position');
                $part = new $class([
                    'id' => $id,
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'position' => (is_numeric($position) ? (int) $position : 0) + 1,
                ]);
            }
            $part->fill($columns);
            // What is kept as JSON comes back in an order of its own; that alone is no change.
            foreach (array_keys($part->getDirty()) as $key) {
                if ($part->exists && $part->getOriginal($key) == $part->getAttribute($key)) {
                    $part->syncOriginalAttribute($key);
                }
            }
            $part->save();
        });
    }
}
