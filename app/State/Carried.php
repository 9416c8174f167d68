<?php

declare(strict_types=1);

namespace App\State;

use App\Capacity\CapacityReport;
use App\Capacity\CapacityVerdict;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Whether the filter of a system carries its load, for pages that list many: the verdict of Capacity, kept for as long
 * as nothing is written that it rests on, and for minutes at most.
 */
final readonly class Carried
{
    private const KEPT_S = 300;

    /** What a verdict rests on besides the newest readings. */
    private const TABLES = [
        'stages',
        'vessels',
        'pumps',
        'lines',
        'junctions',
        'air_outlets',
        'fish_groups',
        'feed_figures',
        'setbacks',
        'seeds',
        'sleeps',
        'filter_tests',
        'volume_choices',
        'volume_measures',
        'own_limits',
        'school_choices',
        'doses',
        'changes',
        'trickles',
        'meter_readings',
        'switchings',
    ];

    /** @var \ArrayObject<string, mixed> what was looked up for many, by key */
    private \ArrayObject $ahead;

    public function __construct(private CapacityReport $capacity, private Repository $kept)
    {
        /** @var \ArrayObject<string, mixed> $ahead */
        $ahead = new \ArrayObject();
        $this->ahead = $ahead;
    }

    /**
     * Looks up what is kept of many, in one query.
     *
     * @param  Collection<int, System>  $systems
     * @param  array<string, LatestWater>  $water  by system
     * @param  array<string, string>  $versions  by system
     */
    public function ahead(Collection $systems, array $water, array $versions): void
    {
        $keys = array_values(
            $systems
                ->map(static fn(System $system): string => self::key($versions[$system->id] ?? '', $water[$system->id]))
                ->all(),
        );
        foreach ($this->kept->many($keys) as $key => $value) {
            $this->ahead[(string) $key] = $value;
        }
    }

    private static function key(string $version, LatestWater $water): string
    {
        $read = array_map(static fn($reading): string => $reading->mark(), $water->readings);

        return 'carried:' . hash('sha256', $version . '|' . implode(',', $read));
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, string> by system id: what changes with anything that is written
     */
    public static function versions(Collection $systems): array
    {
        if ($systems->isEmpty()) {
            return [];
        }
        $parts = array_map(
            static fn(
                string $table,
            ): string => "(SELECT count(*) || coalesce(max(updated_at)::text, '') FROM {$table} " .
                'WHERE system_id = s.id)',
            self::TABLES,
        );
        $marks = implode(', ', array_fill(0, $systems->count(), '?'));
        /** @var list<object{id: string, version: string}> $rows */
        $rows = DB::select(
            'SELECT s.id, concat_ws(\'|\', s.updated_at, ' .
                implode(', ', $parts) .
                ', (SELECT max(fed_at)::text FROM feeds WHERE system_id = s.id AND withdrawn_at IS NULL)' .
                ', (SELECT count(*) || coalesce(max(updated_at)::text, \'\') FROM school_choices c ' .
                'WHERE c.site_id = s.site_id AND c.system_id IS NULL)' .
                ', (SELECT count(*) || coalesce(max(updated_at)::text, \'\') FROM pumps WHERE lent_to_id = s.id)' .
                ', (SELECT count(*) || coalesce(max(created_at)::text, \'\') FROM fish_events e ' .
                'WHERE e.from_system_id = s.id OR e.to_system_id = s.id)' .
                ") AS version FROM systems s WHERE s.id IN ({$marks})",
            $systems->map(static fn(System $system): string => $system->id)->values()->all(),
        );

        return array_column($rows, 'version', 'id');
    }

    /** What is to be said of it; null where it carries its load with what is kept back, or has no filter. */
    public function of(
        System $system,
        LatestWater $water,
        ?string $version = null,
        ?CapacityVerdict $verdict = null,
    ): ?Overload {
        if ($verdict !== null) {
            return self::read(self::said($verdict));
        }

        return self::read($this->found($system, $water, $version));
    }

    /**
     * What the fish give and the filter takes, g N/d; null where Capacity cannot be worked out.
     *
     * @return ?array{load: float, takes: float}
     */
    public function balance(System $system, LatestWater $water, ?string $version = null): ?array
    {
        $found = $this->found($system, $water, $version);
        $load = $found['load'] ?? null;
        $takes = $found['takes'] ?? null;

        return is_numeric($load) && is_numeric($takes) ? ['load' => (float) $load, 'takes' => (float) $takes] : null;
    }

    /** @return array<array-key, mixed> */
    private function found(System $system, LatestWater $water, ?string $version): array
    {
        $version ??= self::versions(collect([$system]))[$system->id] ?? '';
        $key = self::key($version, $water);
        $found = $this->ahead->offsetExists($key) ? $this->ahead[$key] : $this->kept->get($key);
        if (!is_array($found)) {
            $found = $this->judge($system, $water);
            $this->kept->put($key, $found, self::KEPT_S);
        }

        return $found;
    }

    /** @param  array<array-key, mixed>  $found */
    private static function read(array $found): ?Overload
    {
        $state = State::tryFrom(is_string($found['state'] ?? null) ? $found['state'] : '');

        return $state === null || !is_string($found['code'] ?? null) || !is_string($found['text'] ?? null)
            ? null
            : new Overload($state, Message::fromTable($found['code'], $found['text']));
    }

    /** @return array{state?: string, code?: string, text?: string, load?: float, takes?: float} */
    private function judge(System $system, LatestWater $water): array
    {
        try {
            $verdict = $this->capacity->of($system, $water);

            return [
                ...self::said($verdict),
                'load' => $verdict->load->value,
                'takes' => $verdict->capacity->value ?? 0.0,
            ];
        } catch (BadInput) {
            return [];
        }
    }

    /** @return array{state?: string, code?: string, text?: string} */
    private static function said(CapacityVerdict $verdict): array
    {
        if ($verdict->state === null || $verdict->capacity === null || !$verdict->state->worseThan(State::Good)) {
            return [];
        }
        $said =
            $verdict->gap ??
            Message::of(
                $verdict->load->value > $verdict->capacity->value ? 'filter.overloaded' : 'filter.little_kept_back',
                [
                    'load' => Format::number($verdict->load->value, 3),
                    'capacity' => Format::number($verdict->capacity->value, 3),
                    'low' => Format::number($verdict->band['low'] ?? $verdict->capacity->value, 2),
                    'high' => Format::number($verdict->band['high'] ?? $verdict->capacity->value, 3),
                ],
            );

        return ['state' => $verdict->state->value, 'code' => $said->code, 'text' => $said->text];
    }
}
