<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Part;
use App\Models\System;
use App\Models\Vessel;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** Keeps a part of a system under the key its editor made; the second of two editors is told of the first. */
final readonly class SavePart
{
    /**
     * Several new parts, all or none.
     *
     * @param  class-string<Part>  $class
     * @param  array<string, array<string, mixed>>  $rows  columns of each by key
     *
     * @throws BadInput at `name` where one of the names is taken
     */
    public function saveAll(string $class, System $system, array $rows): void
    {
        DB::transaction(function () use ($class, $system, $rows): void {
            $system->hold();
            $taken = $class
                ::query()
                ->where('system_id', $system->id)
                ->whereKeyNot(array_keys($rows))
                ->whereIn('name', array_column($rows, 'name'))
                ->when($class === Vessel::class, static fn($query) => $query->whereNull('retired_at'))
                ->pluck('name')
                ->all();
            if ($taken !== []) {
                $names = implode(', ', array_filter($taken, is_string(...)));
                throw BadInput::at('name', "These names are taken: {$names}.");
            }
            foreach ($rows as $id => $columns) {
                $this->save($class, $system, (string) $id, $columns, null);
            }
        });
    }

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
                $now = $part->getAttribute($key);
                if ($part->exists && is_array($now) && $part->getOriginal($key) == $now) {
                    $part->syncOriginalAttribute($key);
                }
            }
            $part->save();
        });
    }
}
