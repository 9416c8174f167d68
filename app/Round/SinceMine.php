<?php

declare(strict_types=1);

namespace App\Round;

use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;

/** What became of each system since somebody's own last round: words that changed, and what others did. */
final readonly class SinceMine
{
    public function __construct(private LimitsInForce $limits) {}

    /**
     * @param  Collection<int, System>  $systems
     * @param  array<string, LatestWater>  $water  by system
     * @return array<string, list<string>> by system
     */
    public function of(Collection $systems, array $water, Carbon $from): array
    {
        $before = self::before($systems, $from);
        $deeds = self::deeds($systems, $from);
        $said = [];
        foreach ($systems as $system) {
            $said[$system->id] = [
                ...$this->words($system, $water[$system->id], $before[$system->id] ?? [], $from),
                ...self::texts($deeds[$system->id] ?? []),
            ];
        }

        return $said;
    }

    /**
     * @param  list<Reading>  $before
     * @return list<string>
     */
    private function words(System $system, LatestWater $water, array $before, Carbon $from): array
    {
        $texts = [];
        foreach ($before as $old) {
            $now = $water->get($old->parameter);
            if ($now === null || $now->taken_at->lte($from)) {
                continue;
            }
            $limits = $this->limits->for($system, $old->parameter);
            $was = $limits->judge($old->heard())->state;
            $is = $limits->judge($now->judged()->heard())->state;
            if ($was !== $is) {
                $texts[] = "{$old->parameter->name()} was {$was->value}, is {$is->value}";
            }
        }

        return $texts;
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, list<Reading>> the last of each parameter at that time, by system
     */
    private static function before(Collection $systems, Carbon $from): array
    {
        $rows = DB::select(
            <<<'SQL'
            SELECT s.id AS system_id, last.parameter, last.value, last.low, last.high
            FROM systems s
            CROSS JOIN LATERAL (
                SELECT DISTINCT ON (r.parameter) r.parameter, r.value, r.low, r.high
                FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
                WHERE r.system_id = s.id AND r.taken_at <= ? AND r.taken_at > ?
                ORDER BY r.parameter, r.taken_at DESC, r.id DESC
            ) AS last
            WHERE s.id = ANY (?::char(26)[])
            SQL
            ,
            [$from, $from->copy()->subDays(60), '{' . $systems->implode('id', ',') . '}'],
        );
        $found = [];
        foreach ($rows as $row) {
            /** @var object{system_id: string, parameter: string, value: string, low: string, high: string} $row */
            $found[$row->system_id][] = new Reading(
                Parameter::from($row->parameter),
                (float) $row->value,
                Interval::between((float) $row->low, (float) $row->high),
            );
        }

        return $found;
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, array<string, float>> how many or how much, by what and system
     */
    private static function deeds(Collection $systems, Carbon $from): array
    {
        $since = 'system_id = ANY (i.ids) AND withdrawn_at IS NULL AND';
        $rows = DB::select(
            <<<SQL
            WITH i AS (SELECT ?::char(26)[] AS ids, ?::timestamptz AS t)
            SELECT system_id, 'litres' AS what, sum(litres) AS n FROM changes, i WHERE {$since} changed_at > i.t
                GROUP BY 1
            UNION ALL SELECT system_id, 'doses', count(*) FROM doses, i WHERE {$since} given_at > i.t GROUP BY 1
            UNION ALL SELECT system_id, 'services', count(*) FROM services, i WHERE {$since} ended_at > i.t GROUP BY 1
            UNION ALL SELECT system_id, 'seen', count(*) FROM notes, i
                WHERE {$since} taken_at > i.t AND seen <> '[]' GROUP BY 1
            UNION ALL SELECT system_id, 'opened', count(*) FROM incidents, i
                WHERE system_id = ANY (i.ids) AND opened_at > i.t GROUP BY 1
            UNION ALL SELECT from_system_id, 'lost', sum(count) FROM fish_events, i
                WHERE from_system_id = ANY (i.ids) AND kind = 'lost' AND created_at > i.t GROUP BY 1
            SQL
            ,
            ['{' . $systems->implode('id', ',') . '}', $from],
        );
        $found = [];
        foreach ($rows as $row) {
            /** @var object{system_id: string, what: string, n: string} $row */
            $found[$row->system_id][$row->what] = (float) $row->n;
        }

        return $found;
    }

    /**
     * @param  array<string, float>  $deeds
     * @return list<string>
     */
    private static function texts(array $deeds): array
    {
        $count = static fn(string $what, string $one, string $more): ?string => match (
            ($n = (int) ($deeds[$what] ?? 0))
        ) {
            0 => null,
            1 => "1 {$one}",
            default => "{$n} {$more}",
        };

        return array_values(
            array_filter([
                $count('opened', 'incident opened', 'incidents opened'),
                $count('lost', 'fish died', 'fish died'),
                isset($deeds['litres']) ? Format::about($deeds['litres'], 3) . ' L changed' : null,
                $count('doses', 'dose given', 'doses given'),
                $count('services', 'service', 'services'),
                $count('seen', 'time something was seen', 'times something was seen'),
            ]),
        );
    }
}
