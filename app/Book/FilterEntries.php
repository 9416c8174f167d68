<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\Age;
use App\Models\Flush;
use App\Models\Seed;
use App\Models\Service;
use App\Models\Setback;
use App\Models\ShutOff;
use App\Models\Switching;
use App\Models\System;
use App\Models\User;
use App\Models\VolumeChoice;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Measure\Format;

/** What the book tells of the filter and of what runs: service, setbacks, seeds, flushes, switches, bays, volume. */
final readonly class FilterEntries
{
    /** @return Collection<int, BookEntry> the newest before a time */
    public static function before(System $system, Carbon $before, int $most): Collection
    {
        $own = ['system_id' => $system->id];
        $seeds = Seed::query()
            ->with(['from', 'system', 'user'])
            ->where(
                static fn($query) => $query->where('system_id', $system->id)->orWhere('from_system_id', $system->id),
            );

        return new Collection([
            ...self::newest(Setback::query()->where($own), 'happened_on', $before, $most)->map(
                static fn(Setback $row): BookEntry => self::entry($row, $row->happened_on, null, $row->text()),
            ),
            ...self::newest(
                Service::query()->where($own)->with('ender')->whereNull('withdrawn_at')->whereNotNull('ended_at'),
                'ended_at',
                $before,
                $most,
            )->map(
                static fn(Service $row): BookEntry => self::entry(
                    $row,
                    $row->ended_at ?? $row->started_at,
                    $row->ender,
                    $row->text(),
                ),
            ),
            ...self::newest(
                // What a service cleaned is told by the service.
                Flush::query()
                    ->where($own)
                    ->with('user')
                    ->whereNull('withdrawn_at')
                    ->whereNotIn('id', Service::query()->select('flush_id')->where($own)->whereNotNull('flush_id')),
                'happened_at',
                $before,
                $most,
            )->map(static fn(Flush $row): BookEntry => self::entry($row, $row->happened_at, $row->user, $row->text())),
            ...self::newest(
                Switching::query()
                    ->where($own)
                    ->with(['user', 'lentTo'])
                    ->whereNull('withdrawn_at'),
                'happened_at',
                $before,
                $most,
            )->map(
                static fn(Switching $row): BookEntry => self::entry($row, $row->happened_at, $row->user, $row->text()),
            ),
            ...self::newest($seeds, 'happened_on', $before, $most)->map(
                static fn(Seed $row): BookEntry => self::entry(
                    $row,
                    $row->happened_on,
                    $row->user,
                    $row->system_id === $system->id
                        ? 'Seeded: ' . lcfirst($row->text())
                        : Format::number((float) $row->litres, 3) . " L of media went to {$row->system->name}",
                ),
            ),
            ...self::newest(ShutOff::query()->where($own)->with('vessel'), 'shut_at', $before, $most)->map(
                static fn(ShutOff $row): BookEntry => self::entry(
                    $row,
                    $row->shut_at,
                    null,
                    "{$row->vessel->name} shut off" .
                        ($row->opened_at === null ? '' : ', opened ' . Age::of($row->opened_at)),
                ),
            ),
            ...self::newest(VolumeChoice::query()->where($own)->with('user'), 'created_at', $before, $most)->map(
                static fn(VolumeChoice $row): BookEntry => self::entry(
                    $row,
                    $row->created_at,
                    $row->user,
                    'Doses go by ' . number_format($row->volume_l) . ' L',
                ),
            ),
        ]);
    }

    /**
     * @template T of Model
     * @param  Builder<T>  $query
     * @return Collection<int, T>
     */
    private static function newest(Builder $query, string $when, Carbon $before, int $most): Collection
    {
        return $query->where($when, '<', $before)->orderByDesc($when)->limit($most)->get()->toBase();
    }

    private static function entry(
        Setback|Flush|Switching|Seed|ShutOff|VolumeChoice|Service $row,
        Carbon $at,
        ?User $by,
        string $text,
    ): BookEntry {
        return new BookEntry($row->id, 'filter', $at, $by?->name, $text);
    }
}
