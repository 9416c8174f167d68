<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Living\Living;
use App\Living\LoadStands;
use App\Living\Past;
use App\Models\Age;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Filter\Evidence;
use Ironwort\Core\Filter\Limit;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Load of fish and feed against what the filter can take: today, when grown, and before what runs out first. */
final readonly class CapacityReport
{
    /** Of a system, what a capacity is worked out from. */
    private const PARTS = [
        'site.schools',
        'vessels',
        'stages',
        'pumps',
        'borrowed',
        'airOutlets',
        'lines',
        'fish',
        'ownLimits',
        'schools',
    ];

    private const LIMITS = ['surface' => 'Surface', 'oxygen' => 'Oxygen', 'transport' => 'Flow'];

    public function __construct(
        private Registry $registry,
        private StageKinds $kinds,
        private SystemLoad $load,
        private FilterInputs $question,
    ) {}

    /**
     * @param  array<string, string>  $typed  conditions and what-ifs of the page, as typed
     * @param  bool  $believing  whether a measurement that is believed stands in for the estimate
     */
    public function of(System $system, LatestWater $water, array $typed = [], bool $believing = true): CapacityVerdict
    {
        $system->loadMissing(self::PARTS);
        [$conditions, $whatIf] = $this->read($system, $water, $typed);
        $load = $this->load->figure($system, $conditions, $whatIf);
        $shown = array_values(
            array_map(
                fn(Origin $origin): array => ['origin' => $origin, 'unit' => $this->unit($origin->key)],
                $conditions->origins,
            ),
        );
        if ($system->stages->isEmpty()) {
            return CapacityVerdict::withoutFilter($shown, $load);
        }
        $rows = $this->question->stages($system, $conditions, $whatIf);
        $rows = $believing ? $this->question->believed($system, $rows) : $rows;
        $living = $this->question->living($system, $water, $conditions, $whatIf, $rows);
        $rows = self::flowing($rows, $system->flowShare());
        $input = $this->question->balance($system, $conditions, $whatIf, $rows, $living);
        $balance = $this->registry->run('filter.balance', $input);
        $shown = $this->reckoned($system, $conditions, $balance, $shown);
        $active = $balance->number('active_pct');
        $capacityInput = [
            'temp_c' => $conditions->values['temp_c'],
            'ph' => $conditions->values['ph'],
            // As it settles under this load: where it was measured, as it was measured.
            'do_in_mg_l' => max(0.0, min(30.0, $balance->number('do_mg_l'))),
            'tan_mg_l' => $conditions->values['tan_mg_l'],
            'alkalinity_mg_l' => $conditions->values['alkalinity_mg_l'],
            'stages' => array_map(
                static fn(array $row): array => [...$row, 'maturity_pct' => round($active, 6)],
                $rows,
            ),
        ];
        $result = $this->registry->run('filter.capacity', $capacityInput);
        $origins = [...$this->question->origins($system, $conditions), ...$living === null ? [] : [$living->origin()]];
        $figure = static fn(string $label, string $key): Figure => new Figure(
            $label,
            $result->number($key),
            'g N/d',
            'filter.capacity',
            $key,
            $capacityInput,
            $origins,
        );
        $of = static fn(string $label, string $key, ?string $unit): ?Figure => $balance->figures[$key] === null
            ? null
            : new Figure($label, $balance->number($key), $unit, 'filter.balance', $key, $input, $origins);
        $capacity = new Figure(
            'Filter capacity today',
            $balance->number('capacity_now_g_d'),
            'g N/d',
            'filter.balance',
            'capacity_now_g_d',
            $input,
            $origins,
        );
        $usable = $this->question->usable($system);
        $carrying = new Carrying(
            $load->value,
            $capacity->value,
            Limit::from($this->text($result, 'limiting')),
            $usable,
        );
        [$state, $gap] = $this->judged(
            $system,
            $water,
            $carrying,
            $living,
            $balance->number('capacity_now_high_g_d'),
            $typed !== [],
        );

        return CapacityVerdict::of(
            conditions: $shown,
            load: $load,
            capacity: $capacity,
            grown: $of('Capacity when fully grown', 'capacity_g_d', 'g N/d'),
            limits: array_map(
                static fn(string $limit): Figure => $figure(self::LIMITS[$limit], "{$limit}_limit_g_d"),
                array_combine(array_keys(self::LIMITS), array_keys(self::LIMITS)),
            ),
            carrying: $carrying,
            sentence: $carrying->sentence($conditions->values['tan_mg_l']),
            stages: $this->stages($system, $result, $balance, $carrying),
            settles: array_values(
                array_filter([
                    $of('Ammonia', 'tan_mg_l', 'mg/L as N'),
                    $of('Un-ionised', 'nh3_n_mg_l', 'mg/L as N'),
                    $of('Nitrite', 'no2_n_mg_l', 'mg/L as N'),
                    $this->knowsOxygen($system, $conditions) ? $of('Oxygen', 'do_mg_l', 'mg/L') : null,
                    $of('KH falls in a week', 'alkalinity_fall_mg_l_w', 'mg/L as CaCO₃'),
                    $of('Bicarbonate to put back', 'bicarbonate_g_w', 'g a week'),
                    $of('Taken by walls and stones', 'walls_g_d', 'g N/d'),
                ]),
            ),
            room: new Room($balance, $input, $origins),
            steps: $balance->figures['steps'],
            living: $living,
            band: $living === null
                ? null
                : [
                    'low' => $balance->number('capacity_now_low_g_d'),
                    'high' => $balance->number('capacity_now_high_g_d'),
                ],
            stagesGD: $result->number('total_g_d'),
            gap: $gap,
            state: $state,
        );
    }

    /**
     * @param  array<string, string>  $typed
     * @return array{Conditions, CapacityWhatIf}
     */
    public function read(System $system, LatestWater $water, array $typed): array
    {
        return [$this->load->conditions($system, $water, $typed), CapacityWhatIf::read($system, $typed)];
    }

    /**
     * How it stands, and what is to be said against the reckoning: readings that contradict it, or a past that nobody
     * told. What is not known is judged by the best it may be, and watched.
     *
     * @return array{State, ?Message}
     */
    private function judged(
        System $system,
        LatestWater $water,
        Carrying $carrying,
        ?Living $living,
        float $most,
        bool $asked,
    ): array {
        if (!$carrying->state->worseThan(State::Watch)) {
            return [$carrying->state, null];
        }
        $gap = $asked ? null : $this->contradicted($system, $water, $carrying, $living?->kind === 'measured');
        if ($gap !== null) {
            return [State::Watch, $gap];
        }
        if ($living?->asks?->code !== Past::UNKNOWN) {
            return [$carrying->state, null];
        }
        $best = (new Carrying($carrying->load, $most, $carrying->shortest, $this->question->usable($system)))->state;

        return [
            $best->worseThan(State::Watch) ? $best : State::Watch,
            Message::of('filter.capacity_not_known', [
                'low' => Format::number($carrying->capacity, 2),
                'high' => Format::number($most, 3),
                'load' => Format::number($carrying->load, 3),
            ]),
        ];
    }

    /**
     * What was read against what is reckoned.
     *
     * @param  bool  $fitted  whether the reckoning rests on these very readings
     */
    private function contradicted(System $system, LatestWater $water, Carrying $carrying, bool $fitted): ?Message
    {
        $ammonia = $water->get(Parameter::Ammonia);
        $nitrite = $water->get(Parameter::Nitrite);
        if ($ammonia === null || $nitrite === null) {
            return null;
        }
        $read = $ammonia->taken_at->min($nitrite->taken_at);
        $since = LoadStands::since($system);

        return Evidence::contradicts(
            $carrying->state,
            $ammonia->high,
            $nitrite->high,
            $read->diffInHours(Carbon::now()),
            $since === null ? INF : max(0.0, $since->diffInHours($read)),
        )
            ? // What was fitted to the readings cannot be contradicted by them: it has not grown yet.
            Message::of($fitted ? 'filter.not_grown_yet' : 'filter.read_against_reckoned', [
                'load' => Format::number($carrying->load, 3),
                'capacity' => Format::number($carrying->capacity, 3),
                'ammonia' => Format::number($ammonia->value, 2),
                'nitrite' => Format::number($nitrite->value, 2),
                'ago' => Age::of($read),
            ])
            : null;
    }

    /**
     * The stages at the flow that goes round now.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function flowing(array $rows, float $share): array
    {
        return $share >= 1.0
            ? $rows
            : array_map(
                static fn(array $row): array => [
                    ...$row,
                    'flow_l_h' => $share * (is_numeric($row['flow_l_h'] ?? null) ? (float) $row['flow_l_h'] : 0.0),
                ],
                $rows,
            );
    }

    /**
     * Where oxygen was not measured and its aeration is described, what it settles at stands in for what is assumed.
     *
     * @param  list<array{origin: Origin, unit: ?string}>  $shown
     * @return list<array{origin: Origin, unit: ?string}>
     */
    private function reckoned(System $system, Conditions $conditions, Result $balance, array $shown): array
    {
        if ($conditions->origins['do_mg_l']->kind !== 'assumed' || Aerators::of($system) === []) {
            return $shown;
        }

        return array_map(
            static fn(array $one): array => $one['origin']->key !== 'do_mg_l'
                ? $one
                : [
                    'origin' => new Origin(
                        'do_mg_l',
                        $one['origin']->label,
                        Format::number($balance->number('do_mg_l'), 3) . ' mg/L',
                        'computed',
                        'estimated from the aeration. Test it at dawn',
                    ),
                    'unit' => $one['unit'],
                ],
            $shown,
        );
    }

    /** Whether oxygen was measured or typed, or follows from what aerates it; else no page gives a figure of it. */
    private function knowsOxygen(System $system, Conditions $conditions): bool
    {
        return $conditions->origins['do_mg_l']->kind !== 'assumed' || Aerators::of($system) !== [];
    }

    /** @return list<StageCapacity> */
    private function stages(System $system, Result $result, Result $balance, Carrying $carrying): array
    {
        $off = [];
        foreach ($balance->rows('stages_off') as $row) {
            $off[(int) $row->number('stage')] = $row;
        }
        $figures = $result->rows('stages');
        $stages = [];
        foreach ($system->stages->values() as $i => $stage) {
            $kind = $this->kinds->get($stage->kind);
            $stages[] = new StageCapacity(
                stage: $stage,
                kind: $kind,
                row: $figures[$i],
                off: $off[$i] ?? null,
                share: $kind->nitrifies() ? $carrying->share() : 0.0,
            );
        }

        return $stages;
    }

    private function unit(string $key): ?string
    {
        return match ($key) {
            'feed_g_d' => 'g/d',
            'protein_pct' => '%',
            default => Parameter::from($key)->symbol(),
        };
    }

    private function text(Result $result, string $key): string
    {
        $value = $result->figures[$key] ?? null;

        return is_string($value) ? $value : '';
    }
}
