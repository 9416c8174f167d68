<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\Origin;
use App\Models\Reading;
use App\Models\System;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;

/** The newest reading of every parameter of one system. */
final readonly class LatestWater
{
    /** @param  array<string, Reading>  $readings  by parameter */
    private function __construct(public array $readings) {}

    /** Water that nobody tested: everything is assumed. */
    public static function none(): self
    {
        return new self([]);
    }

    public static function of(System $system): self
    {
        return self::ofAll(collect([$system]))[$system->id];
    }

    /**
     * For many systems in one query: for each system and parameter one step into the index.
     *
     * @param  Collection<int, System>  $systems
     * @return array<string, self> by system id
     */
    public static function ofAll(Collection $systems): array
    {
        if ($systems->isEmpty()) {
            return [];
        }
        $parameters = array_map(static fn(Parameter $p): string => $p->value, Parameter::measured());
        $ids = $systems->map(static fn(System $system): string => $system->id)->values()->all();
        $rows = Reading::query()
            ->hydrate(
                DB::select(
                    sprintf(
                        <<<'SQL'
                        SELECT latest.*
                        FROM (VALUES %s) AS s (id)
                        CROSS JOIN (VALUES %s) AS p (parameter)
                        CROSS JOIN LATERAL (
                            SELECT r.* FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
                            WHERE r.system_id = s.id AND r.parameter = p.parameter
                            ORDER BY r.taken_at DESC, r.id DESC LIMIT 1
                        ) AS latest
                        SQL
                        ,
                        self::values($ids, 'char(26)'),
                        self::values($parameters, 'varchar'),
                    ),
                    [...$ids, ...$parameters],
                ),
            )
            ->load('visit.user');
        $found = [];
        foreach ($rows as $row) {
            $found[$row->system_id][$row->measured()->value] = $row;
        }

        return array_combine($ids, array_map(static fn(string $id): self => new self($found[$id] ?? []), $ids));
    }

    public function get(Parameter $parameter): ?Reading
    {
        return $this->readings[$parameter->value] ?? null;
    }

    /** The newest reading, or what is assumed where nobody took one: whoever uses it shows its `origin()`. */
    public function valueOrAssumed(Parameter $parameter): float
    {
        return $this->get($parameter)->value ?? $this->assumed($parameter)->value;
    }

    public function origin(Parameter $parameter): Origin
    {
        $reading = $this->get($parameter);
        if ($reading !== null) {
            return ReadingOrigin::of($reading->judged(), $reading);
        }
        $assumed = $this->assumed($parameter);

        return new Origin(
            $parameter->value,
            $parameter->name(),
            trim(Format::number($parameter->shown($assumed->value), 3) . ' ' . $parameter->symbol()),
            'assumed',
            "assumed: {$assumed->because}, never measured",
        );
    }

    private function assumed(Parameter $parameter): AssumedWater
    {
        $temperature = $this->get(Parameter::Temperature)->value ?? AssumedWater::TEMPERATURE_C;

        return AssumedWater::of($parameter->value, $temperature) ??
            throw new \LogicException("{$parameter->name()} is never assumed.");
    }

    /**
     * Rows of one text each, of the type of the column they are held against: as plain text they would miss its index.
     *
     * @param  array<int, string>  $items
     */
    private static function values(array $items, string $type): string
    {
        return implode(', ', array_fill(0, count($items), "(?::{$type})"));
    }
}
