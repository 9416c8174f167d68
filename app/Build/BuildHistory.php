<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\BuildChange;
use App\Models\System;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/**
 * What was changed of a build, kept so that the last of it can be taken back, and the one before that.
 *
 * @phpstan-import-type ChangedPart from BuildRows
 */
final readonly class BuildHistory
{
    private const KEPT = 50;

    /** What follows from the rest of the build, and is worked out anew when something is taken back. */
    private const FOLLOWS = ['flow_l_h', 'loss_mm', 'air_l_min', 'position', 'branch', 'bypassed'];

    private const NOUNS = [
        'vessels' => ['vessel', 'vessels'],
        'stages' => ['stage', 'stages'],
        'pumps' => ['pump', 'pumps'],
        'junctions' => ['junction', 'junctions'],
        'lines' => ['line', 'lines'],
        'air_outlets' => ['outlet of air', 'outlets of air'],
    ];

    /**
     * Stands in the transaction of the change.
     *
     * @param  array<string, array<string, array<string, mixed>>>  $before  columns of each, of `BuildRows`
     */
    public static function keep(System $system, ?User $user, array $before): void
    {
        $after = BuildRows::of($system);
        $parts = BuildRows::difference($before, $after);
        if ($parts === []) {
            return;
        }
        BuildChange::query()->create([
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $user?->id,
            'says' => self::says($parts, $before, $after),
            'parts' => $parts,
        ]);
        $kept = BuildChange::query()
            ->where('system_id', $system->id)
            ->orderByDesc('id')
            ->limit(self::KEPT)
            ->pluck('id');
        BuildChange::query()->where('system_id', $system->id)->whereNotIn('id', $kept)->delete();
    }

    /**
     * Takes back the newest change. Stands in a transaction of its system.
     *
     * @throws BadInput at `id` where what it changed was changed again, or stands in the book
     */
    public static function undo(System $system, string $id): void
    {
        $change = BuildChange::newest($system);
        if ($change === null || $change->id !== strtoupper($id)) {
            throw BadInput::at('id', 'Something else was changed since. Look again.');
        }
        self::refuseWhatChanged($system, $change);
        try {
            DB::transaction(static function () use ($change): void {
                foreach ($change->parts as $part) {
                    if ($part['before'] !== null && $part['after'] === null) {
                        BuildRows::insert($part['table'], $part['before']);
                    }
                }
                foreach ($change->parts as $part) {
                    if ($part['before'] !== null && $part['after'] !== null) {
                        BuildRows::update($part['table'], $part['id'], $part['before']);
                    } elseif ($part['before'] !== null) {
                        BuildRows::refer($part['table'], $part['id'], $part['before']);
                    }
                }
                foreach (array_reverse($change->parts) as $part) {
                    if ($part['before'] === null) {
                        BuildRows::delete($part['table'], $part['id']);
                    }
                }
            });
        } catch (QueryException $fault) {
            // Something in the book refers to what it would remove.
            throw str_starts_with((string) $fault->getCode(), '23')
                ? BadInput::at('id', 'The book speaks of it by now. Retire it instead.')
                : $fault;
        }
        $change->update(['undone_at' => Carbon::now()]);
    }

    private static function refuseWhatChanged(System $system, BuildChange $change): void
    {
        $now = BuildRows::of($system);
        foreach ($change->parts as $part) {
            $is = $now[$part['table']][$part['id']] ?? null;
            $name = is_scalar($is['name'] ?? null) ? (string) $is['name'] : 'It';
            if (($is === null) !== ($part['after'] === null)) {
                throw BadInput::at('id', "{$name} was added or removed since.");
            }
            foreach ($part['before'] === null ? [] : $part['after'] ?? [] as $key => $value) {
                if ($is !== null && !in_array($key, self::FOLLOWS, true) && $is[$key] !== $value) {
                    throw BadInput::at('id', "{$name} was changed since, by another page.");
                }
            }
        }
    }

    /**
     * @param  list<ChangedPart>  $parts
     * @param  array<string, array<string, array<string, mixed>>>  $before
     * @param  array<string, array<string, array<string, mixed>>>  $after
     * @return string what was added, removed or changed, as a button says it
     */
    private static function says(array $parts, array $before, array $after): string
    {
        $of = static fn(bool $was, bool $is): array => array_values(
            array_filter(
                $parts,
                static fn(array $part): bool => ($part['before'] !== null) === $was &&
                    ($part['after'] !== null) === $is,
            ),
        );
        [$verb, $meant] = match (true) {
            $of(false, true) !== [] => ['added', $of(false, true)],
            $of(true, false) !== [] => ['removed', $of(true, false)],
            default => ['changed', self::typed($parts)],
        };
        if (count($meant) > 2) {
            $tables = array_count_values(array_column($meant, 'table'));

            return implode(
                ', ',
                array_map(
                    static fn(string $table, int $count): string => "{$count} " .
                        self::NOUNS[$table][$count === 1 ? 0 : 1],
                    array_keys($tables),
                    $tables,
                ),
            ) . " {$verb}";
        }
        $names = array_map(
            static fn(array $part): string => is_scalar(
                $name = ($after[$part['table']][$part['id']] ?? $before[$part['table']][$part['id']])['name'],
            )
                ? (string) $name
                : '',
            $meant,
        );

        return mb_substr(implode(', ', $names), 0, 180) . " {$verb}";
    }

    /**
     * @param  list<ChangedPart>  $parts
     * @return list<ChangedPart> what somebody changed, without what only followed
     */
    private static function typed(array $parts): array
    {
        $typed = array_values(
            array_filter(
                $parts,
                static fn(array $part): bool => array_diff(array_keys($part['after'] ?? []), self::FOLLOWS) !== [],
            ),
        );

        return $typed === [] ? $parts : $typed;
    }
}
