<?php

declare(strict_types=1);

namespace App\Water;

use App\Build\LevelWhileRunning;
use App\Capacity\CapacityReport;
use App\Capacity\SystemLoad;
use App\Expected\BetweenReadings;
use App\Expected\ExpectedWater;
use App\Forms\TypedFields;
use App\Models\Age;
use App\Models\MeterReading;
use App\Models\System;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Running\WithoutFlow;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\LeastExchange;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The Water page: one change before it is made, a programme to a goal, a trickle, the schools, and what was changed.
 */
final readonly class WaterReport
{
    public function __construct(
        private Registry $registry,
        private VolumeReport $volumes,
        private CapacityReport $capacity,
        private SystemLoad $load,
        private ExpectedWater $expected,
        private WithoutFlow $pumpOff,
        private LevelWhileRunning $level,
        private ChangeAmount $amount,
        private ProgrammeReport $programme,
        private TrickleReport $trickle,
        private PutBack $putBack,
        private LimitsInForce $limits,
        private ChangeContext $sides,
        private WaterBodies $bodies,
    ) {}

    /**
     * @param  array<array-key, mixed>  $query
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $query): array
    {
        $typed = new TypedFields($query);
        $bodies = $this->bodies->all($system);
        $body =
            array_values(
                array_filter($bodies, static fn(WaterBody $one): bool => $one->vesselId === $typed->text('body')),
            )[0] ?? $bodies[0];
        $waters = TwoWaters::of($system, $water, $this->expected, $body, $typed->text('water'));
        $rows = $waters->rows;
        $ready = $waters->ready();
        $scalds = $waters->scalds();
        if ($scalds !== null) {
            $typed->refuse('water', $scalds->text);
        }
        $made = $ready ? $this->load->now($system, $water)->value + $system->fertiliserGD() : 0.0;
        $change = $ready
            ? $this->change($system, $water, $waters, $body, new TypedFields($query), $typed, $rows)
            : null;
        $goals = array_map(
            static fn(string $key): array => [
                'id' => $key,
                'name' => Parameter::from($key)->name(),
                'unit' => Parameter::from($key)->symbol(),
            ],
            array_diff(array_keys($waters->now), ['ph']),
        );

        return [
            'waters' => array_values(
                $waters->sources
                    ->map(
                        static fn(WaterSource $row): array => [
                            'id' => $row->id,
                            'name' => $row->name,
                            'kind' => $row->kind,
                        ],
                    )
                    ->all(),
            ),
            'water' => $waters->source?->id,
            'chlorine' => ($waters->source?->reading(Parameter::Chlorine->value) ?? 0.0) > 0,
            'missing' => $waters->missing()?->toArray(),
            'volume' => $this->volumes->inUse($system)->toArray(),
            'rows' => array_values($rows),
            'goals' => array_values(
                $ready
                    ? [...$goals, ['id' => ProgrammeReport::DOSED, 'name' => 'What was dosed', 'unit' => '% left']]
                    : $goals,
            ),
            'bodies' => array_map(static fn(WaterBody $one): array => $one->choice(), $bodies),
            'body' => $body->vesselId ?? '',
            'change' => $change,
            'plan' => $ready && $scalds === null ? $this->programme->of($system, $water, $waters, $typed) : null,
            // Litres and jug follow from the volume alone: no test is needed for them.
            'trickle' => $waters->volume > 0 ? $this->trickle->of($system, $waters, $typed, $made) : null,
            'running' => $this->trickle->running($system),
            'meter' => self::meter($system),
            'schools' => $ready
                ? array_map(
                    static fn(SchoolOverWeeks $school): array => $school->toArray(),
                    $this->sides->schools(
                        $system,
                        $waters,
                        $made,
                        $typed->number(Input::number('price_m3', 'Price of water', 'per m³', 0, 1000)),
                    ),
                )
                : [],
            'minimum' => $waters->volume > 0 ? self::least($this->sides->minimum($system, $waters->volume)) : null,
            'waste' => $this->sides->waste($system, $water, $body),
            'first_fill' => array_map(
                static fn(Message $one): array => $one->toArray(),
                $this->sides->firstFill($waters, $this->putBack, $system),
            ),
            'errors' => (object) $typed->errors,
            'changes' => $this->booked($system),
        ];
    }

    /** @return array<string, mixed> */
    private static function least(LeastExchange $least): array
    {
        return [
            'says' => $least->says()->toArray(),
            'due_l' => $least->dueL(),
            'week_l' => $least->weekL(),
            'done_l' => $least->doneL,
            'trickle_l_h' => $least->trickleLH(),
        ];
    }

    /**
     * @return array{readings: list<array{id: string, litres: float, age: string, by: ?string}>,
     *     says: ?array{code: string, text: string}}
     */
    private static function meter(System $system): array
    {
        $between = BetweenReadings::of($system);
        $metered = $between?->metered;
        $said = match (true) {
            $metered === null => null,
            $metered->agrees() => Message::of('exchange.meter_agrees', [
                'litres' => Format::number($metered->inL, 4),
                'days' => Format::days($metered->hours / 24),
            ]),
            $metered->saidLH === null => Message::of('exchange.meter_unbooked', [
                'litres' => Format::number($metered->inL, 4),
                'days' => Format::days($metered->hours / 24),
                'booked' => Format::number($metered->bookedL, 4),
            ]),
            default => Message::of('exchange.meter_trickle', [
                'is' => Format::number($metered->trickleLH() ?? 0.0, 2),
                'said' => Format::number($metered->saidLH, 2),
            ]),
        };

        return [
            'readings' => array_map(
                static fn(MeterReading $one): array => [
                    'id' => $one->id,
                    'litres' => $one->litres,
                    'age' => Age::of($one->read_at),
                    'by' => $one->user?->name,
                ],
                MeterReading::latest($system, 5),
            ),
            'says' => $said?->toArray(),
        ];
    }

    /**
     * @param  array<string, array<string, mixed>>  $rows
     * @return ?array<string, mixed>
     */
    private function change(
        System $system,
        LatestWater $water,
        TwoWaters $waters,
        WaterBody $body,
        TypedFields $own,
        TypedFields $page,
        array &$rows,
    ): ?array {
        $litres = $this->amount->of($system, $body, $own);
        $page->errors += $own->errors;
        if ($litres === null || $waters->scalds() !== null) {
            return null;
        }
        $result = $page->attempt(
            fn() => $this->registry->run('exchange.batch', [
                ...$waters->input(),
                'change_l' => min($litres, $waters->volume),
                'nh3_limit_mg_l' => $this->limits->unionised($system),
            ]),
            'change_l',
        );
        if ($result === null) {
            return null;
        }
        foreach (TwoWaters::mix($result->figures['after']) as $key => $value) {
            $rows[$key]['after'] = TwoWaters::number(Parameter::from($key), $value);
        }
        $left = $this->chloramine($system, $water, $waters, $litres);
        $off = $this->pumpOff->of($system, $water, $litres);
        $dry = $body->vesselId === null ? $this->level->caution($system, $water, $litres) : null;
        $fill = $page->number(Input::number('fill_l_min', 'Fill rate', 'L/min', 0.01, 10000));

        return [
            'litres' => $litres,
            'pct' => (100 * $litres) / $waters->volume,
            'cautions' => [
                ...$dry === null ? [] : [$dry->toArray()],
                ...$result->toArray()['cautions'],
                ...$left === null ? [] : [$left->toArray()],
            ],
            'put_back' => array_map(
                static fn(PutBackItem $item): array => $item->toArray(),
                $this->putBack->of($system, $waters, $litres),
            ),
            'minutes' => $fill === null ? null : $litres / $fill,
            'pump_off' => [
                'minutes' => $off->minutes,
                'by' => $off->decides,
                'assumed' => WithoutFlow::assumes($water),
            ],
        ];
    }

    /**
     * What chloramine leaves behind once it is neutralised, and whether the filter takes it.
     */
    private function chloramine(System $system, LatestWater $water, TwoWaters $waters, float $litres): ?Caution
    {
        $chlorine = $waters->source?->reading(Parameter::Chlorine->value) ?? 0.0;
        if ($chlorine <= 0 || $waters->source?->chloramine() !== true) {
            return null;
        }
        $grams =
            ($this->registry
                ->run('exchange.dechlorinate', [
                    'volume_l' => $litres,
                    'chlorine_mg_l' => $chlorine,
                    'kind' => 'chloramine',
                ])
                ->number('tan_released_mg_l') *
                $litres) /
            1000;
        $spare = $this->capacity->of($system, $water)->spareGD();
        $fits = $spare >= $grams;
        $values = ['grams' => Format::number($grams, 2)];

        return $fits
            ? new Caution(
                Level::Note,
                Message::of('exchange.chloramine_filter_takes_it', [...$values, 'spare' => Format::number($spare, 2)]),
            )
            : new Caution(Level::Watch, Message::of('exchange.chloramine_filter_has_no_room', $values));
    }

    /** @return list<array<string, mixed>> */
    private function booked(System $system): array
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with(['water', 'user', 'vessel'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->orderByDesc('changed_at')
            ->limit(20)
            ->get();

        return array_values(
            $changes
                ->map(
                    static fn(WaterChange $change): array => [
                        'id' => $change->id,
                        'at' => $change->changed_at->toIso8601ZuluString(),
                        'age' => Age::of($change->changed_at),
                        'by' => $change->user?->name,
                        'text' => $change->text(),
                        'running' => $change->running(),
                        'put_back' => array_map(
                            static fn(array $item): array => array_intersect_key($item, [
                                'what' => 0,
                                'name' => 0,
                                'text' => 0,
                                'done' => 0,
                            ]),
                            $change->put_back,
                        ),
                    ],
                )
                ->all(),
        );
    }
}
