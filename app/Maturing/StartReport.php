<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Capacity\FilterInputs;
use App\Forms\Figure;
use App\Forms\Origin;
use App\Forms\TypedInputs;
use App\Living\FollowStart;
use App\Living\Past;
use App\Living\StartOfFilter;
use App\Models\Dose;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\NewWater;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Model\MaturationCalculator;
use Ironwort\Core\Model\Run;
use Ironwort\Core\Model\StartPhase as Standing;
use Ironwort\Core\Model\Tending;
use Ironwort\Core\Words\Message;

/** The start of a filter as its readings tell it: where it stands, when it is ready, what would bring that nearer. */
final readonly class StartReport
{
    private const CURVE_POINTS = 160;

    public function __construct(
        private Registry $registry,
        private Past $past,
        private FollowStart $starts,
        private FilterInputs $filter,
    ) {}

    /**
     * @param  array<array-key, mixed>  $typed  `hold_days`, `hold_alkalinity_mg_l`, `dose_to_mg_l`
     * @return array<string, mixed>
     *
     * @throws BadInput
     */
    public function of(System $system, LatestWater $water, array $typed): array
    {
        $start = StartOfFilter::of($system, $this->past);
        $from = StartOfFilter::from($system, $this->past);
        if ($start === null || $from === null) {
            return match (true) {
                $system->stages->isEmpty() => $this->none(Message::of('model.start_no_filter')),
                $from === null => $this->none(
                    Message::of(
                        $this->past->silent($system)->contains($this->past->matures(...))
                            ? 'model.start_age_unknown'
                            : 'model.start_none_young',
                    ),
                ),
                default => [
                    ...$this->none(Message::of('model.start_unread')),
                    'does' => $this->until($system, $water, $from),
                ],
            };
        }
        $fields = $this->fields($system, $water, $typed);
        $typed = array_column($fields, 'value', 'key');
        $input = $this->starts->input($system, $water, $start, $this->filter->grownAt20($system, $water), [
            ...isset($typed['dose_to_mg_l']) ? ['dose_to_mg_l' => $typed['dose_to_mg_l']] : [],
            ...isset($typed['hold_days']) ? ['hold_days' => $typed['hold_days']] : [],
            'hold_alkalinity_mg_l' => Unit::CarbonateDegree->toCanonical(
                $typed['hold_alkalinity_mg_l'] ?? 4.0,
                Quantity::Alkalinity,
            ),
        ]);
        $missing = FollowStart::missing($input);
        if ($missing !== null) {
            return [
                ...$this->none($missing),
                'since' => $start->since->toIso8601ZuluString(),
                'fields' => $fields,
                'does' => $this->until($system, $water, $from),
            ];
        }
        $result = $this->registry->run('filter.maturation', $input);
        $on = static fn(mixed $day): ?string => is_numeric($day)
            ? $start->since->copy()->addMinutes((int) round(1440 * (float) $day))->toIso8601ZuluString()
            : null;
        $stage = Standing::from(is_string($result->figures['stage']) ? $result->figures['stage'] : '');
        $origins = [
            ...$this->origins($fields),
            new Origin(
                'readings',
                'Readings',
                count($input['readings']) . ' visits',
                'measured',
                'since ' . $start->since->setTimezone($system->site->timezone)->format('j M'),
            ),
            new Origin(
                'grown_mg_l_d',
                'Grown full',
                Format::number($input['grown_mg_l_d'], 3) . ' mg N/L/d',
                'build',
                'surface of its stages',
            ),
        ];
        $figure = static fn(string $label, string $key, ?string $unit): ?array => is_numeric($result->figures[$key])
            ? (new Figure(
                $label,
                (float) $result->figures[$key],
                $unit,
                'filter.maturation',
                $key,
                $input,
                $origins,
            ))->toArray()
            : null;
        $ways = is_array($result->figures['ways']) ? $result->figures['ways'] : [];

        return [
            'starting' => true,
            'says' => $stage->says()->toArray(),
            'stage' => $stage->value,
            'does' => self::does($stage, $system->fish->isNotEmpty()),
            'since' => $start->since->toIso8601ZuluString(),
            'ready_on' => $on($result->figures['ready_day']),
            'early_on' => $on($result->figures['ready_early_day']),
            'late_on' => $on($result->figures['ready_late_day']),
            'figures' => array_values(
                array_filter([
                    $figure('Days left', 'days_left', 'days'),
                    $figure('Bicarbonate on the way', 'bicarbonate_g', 'g'),
                ]),
            ),
            'nitrite_peak' =>
                is_numeric($result->figures['peak_no2_day']) &&
                (float) $result->figures['peak_no2_day'] > (float) $result->number('today') + 0.5
                    ? ['on' => $on($result->figures['peak_no2_day']), 'mg_l' => $result->number('peak_no2_n_mg_l')]
                    : null,
            'ways' => array_values(
                array_map(
                    static fn(mixed $way): array => [
                        'what' => is_array($way) && is_string($way['what'] ?? null) ? $way['what'] : '',
                        'on' => $on(is_array($way) ? $way['ready_day'] ?? null : null),
                        'gained_d' =>
                            is_array($way) && is_numeric($way['gained_d'] ?? null) ? (float) $way['gained_d'] : 0.0,
                    ],
                    $ways,
                ),
            ),
            'cautions' => $result->toArray()['cautions'],
            'fields' => $fields,
            'limits' => ['tan_mg_l' => Run::GROWN_BELOW_MG_L, 'no2_n_mg_l' => Run::GROWN_BELOW_MG_L],
            'curve' => $this->curve($result, $start, $result->number('today')),
            'readings' => array_map(
                static fn(array $row): array => [
                    't' => $start->since->getTimestamp() + (int) round(86400 * $row['day']),
                    'tan' => isset($row['tan_low_mg_l']) ? [$row['tan_low_mg_l'], $row['tan_high_mg_l']] : null,
                    'no2' => isset($row['no2_low_mg_l']) ? [$row['no2_low_mg_l'], $row['no2_high_mg_l']] : null,
                ],
                $input['readings'],
            ),
        ];
    }

    /** @return list<array{code: string, text: string}> */
    public static function does(Standing $phase, bool $fish): array
    {
        return array_map(static fn(Message $one): array => $one->toArray(), $phase->does($fish));
    }

    /** @return list<array{code: string, text: string}> what to do while too little is read to follow it */
    private function until(System $system, LatestWater $water, Carbon $from): array
    {
        $given = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'ammonium')
            ->where('given_at', '>=', $from)
            ->exists();
        $fish = $system->fish->isNotEmpty();
        $ammonia = $water->get(Parameter::Ammonia);
        $read = $ammonia === null || $ammonia->taken_at->lt($from) ? null : $ammonia->value;

        return self::does(Standing::before($fish, $read, $given), $fish);
    }

    /** @return array<string, mixed> */
    private function none(Message $says): array
    {
        return [
            'starting' => false,
            'says' => $says->toArray(),
            'stage' => null,
            'does' => [],
            'since' => null,
            'ready_on' => null,
            'early_on' => null,
            'late_on' => null,
            'figures' => [],
            'nitrite_peak' => null,
            'ways' => [],
            'cautions' => [],
            'fields' => [],
            'limits' => ['tan_mg_l' => Run::GROWN_BELOW_MG_L, 'no2_n_mg_l' => Run::GROWN_BELOW_MG_L],
            'curve' => [],
            'readings' => [],
        ];
    }

    /**
     * What may be typed over, with what stands there otherwise.
     *
     * @param  array<array-key, mixed>  $typed
     * @return list<array{key: string, label: string, unit: string, value: float, from: string}>
     */
    private function fields(System $system, LatestWater $water, array $typed): array
    {
        $bare = $system->fish->isEmpty();
        $values = (new TypedInputs([
            Input::number('hold_days', 'Under for', 'd', 0, 60)->optional(),
            Input::number('hold_alkalinity_mg_l', 'KH kept at', 'dKH', 0.6, 56)->optional(),
            ...$bare ? [Input::number('dose_to_mg_l', 'Ammonia dosed to', 'mg/L as N', 0.5, 5)->optional()] : [],
        ]))->read(array_intersect_key($typed, ['hold_days' => 0, 'hold_alkalinity_mg_l' => 0, 'dose_to_mg_l' => 0]));
        $field = static fn(string $key, string $label, string $unit, float $else, string $from): array => [
            'key' => $key,
            'label' => $label,
            'unit' => $unit,
            'value' => is_numeric($values[$key] ?? null) ? (float) $values[$key] : $else,
            'from' => isset($values[$key]) ? 'typed' : $from,
        ];
        $kh = $water->get(Parameter::Alkalinity)?->value;
        $kept = round(Parameter::Alkalinity->shown(max(NewWater::SOFT_MG_L, $kh ?? 0.0)), 1);
        /** @var ?Dose $last */
        $last = Dose::query()
            ->where('system_id', $system->id)
            ->where('thing', 'ammonium')
            ->whereNull('withdrawn_at')
            ->orderByDesc('given_at')
            ->first();
        $target = $last?->input['target_mg_l'] ?? null;

        return [
            ...$bare
                ? [
                    $field(
                        'dose_to_mg_l',
                        'Ammonia dosed up to',
                        'mg/L as N',
                        is_numeric($target) ? (float) $target : Tending::DOSED_TO_MG_L,
                        is_numeric($target) ? 'as last time' : 'assumed',
                    ),
                ]
                : [$field('hold_days', 'Both under for', 'days', MaturationCalculator::HELD_D, 'assumed')],
            $field(
                'hold_alkalinity_mg_l',
                'KH kept at',
                'dKH',
                $kept,
                $kh !== null && $kh >= NewWater::SOFT_MG_L ? 'as it is now' : 'assumed',
            ),
        ];
    }

    /**
     * @param  list<array{key: string, label: string, unit: string, value: float, from: string}>  $fields
     * @return list<Origin>
     */
    private function origins(array $fields): array
    {
        return array_map(
            static fn(array $field): Origin => new Origin(
                $field['key'],
                $field['label'],
                Format::number($field['value']) . " {$field['unit']}",
                $field['from'] === 'typed' ? 'typed' : ($field['from'] === 'assumed' ? 'assumed' : 'measured'),
                $field['from'],
            ),
            $fields,
        );
    }

    /**
     * @return list<array{t: int, ahead: bool, tan: float, no2: float, tan_band: array{float, float},
     *     no2_band: array{float,
     *     float}}>
     */
    private function curve(Result $result, StartOfFilter $start, float $today): array
    {
        $points = static function (string $key) use ($result): array {
            $list = $result->figures[$key];

            return is_array($list) ? array_values(array_filter($list, is_array(...))) : [];
        };
        [$series, $early, $late] = [$points('series'), $points('early'), $points('late')];
        $ready = $result->figures['ready_late_day'] ?? $result->figures['ready_day'];
        $until = min(
            count($series),
            (int) ceil(2 * (is_numeric($ready) ? min((float) $ready + 5, $today + 70) : $today + 60)),
        );
        $step = max(1, (int) ceil($until / self::CURVE_POINTS));
        $number = static fn(array $point, string $key): float => is_numeric($point[$key] ?? null)
            ? (float) $point[$key]
            : 0.0;
        $curve = [];
        for ($i = 0; $i < $until; $i += $step) {
            $band = static function (string $key) use ($early, $late, $i, $number): array {
                $ends = [$number($early[$i], $key), $number($late[$i], $key)];

                return [min($ends), max($ends)];
            };
            $day = $number($series[$i], 'day');
            $curve[] = [
                't' => $start->since->getTimestamp() + (int) round(86400 * $day),
                'ahead' => $day >= $today,
                'tan' => $number($series[$i], 'tan_mg_l'),
                'no2' => $number($series[$i], 'no2_n_mg_l'),
                'tan_band' => $band('tan_mg_l'),
                'no2_band' => $band('no2_n_mg_l'),
            ];
        }

        return $curve;
    }
}
