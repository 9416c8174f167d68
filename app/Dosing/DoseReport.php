<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Bench\BenchReport;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Models\Age;
use App\Models\Dose;
use App\Models\Good;
use App\Models\System;
use App\Models\Trickle;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\OrderOfWork;
use Ironwort\Core\Dose\StandingLevel;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Filter\StartDoseCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Model\Tending;
use Ironwort\Core\Water\AssumedWater;

/** The Dose bench: what must never meet comes first, and only then the amount, in the keeper's measures. */
final readonly class DoseReport
{
    private Conflicts $conflicts;

    public function __construct(
        private Registry $registry,
        private AgentTable $agents,
        private BenchReport $benches,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private ExpectedWater $expected,
        private LoopSums $systems,
        private StageKinds $kinds,
    ) {
        $this->conflicts = new Conflicts($agents);
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $typed): array
    {
        $things = Dosable::all($system, $this->agents);
        $bodies = $this->bodies->all($system);
        $asked = is_string($typed['body'] ?? null) && $typed['body'] !== '' ? $typed['body'] : null;
        $body =
            array_values(array_filter($bodies, static fn(WaterBody $one): bool => $one->vesselId === $asked))[0] ??
            $bodies[0];
        $state = $this->state($system, $body, $water);
        $thing = $things[is_string($typed['thing'] ?? null) ? $typed['thing'] : ''] ?? null;

        return [
            'things' => array_values(
                array_map(
                    static fn(Dosable $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'group' => $one->group,
                        'purposes' => $one->agent->purposes ?? [],
                    ],
                    $things,
                ),
            ),
            'not_offered' => $this->agents->notOffered,
            'bodies' => array_map(static fn(WaterBody $one): array => $one->choice(), $bodies),
            'body' => $body->vesselId ?? '',
            'state' => $state->rows,
            'thing' => $thing === null ? null : $this->answer($system, $water, $thing, $body, $state, $typed),
            'given' => $this->given($system, $bodies),
        ];
    }

    /** @return list<string> why a thing must not go into the loop as it is now */
    public function refusals(System $system, LatestWater $water, string $thing): array
    {
        return $this->judge(
            Dosable::all($system, $this->agents)[$thing],
            $this->state($system, $this->bodies->find($system, null), $water),
        )['refusals'];
    }

    public function state(System $system, WaterBody $body, LatestWater $water): DoseState
    {
        return DoseState::of($system, $body, $water, $this->expected, $this->residuals, $this->conflicts, $this->kinds);
    }

    /**
     * What the state of the water says to a thing.
     *
     * @return array{refusals: list<string>, conditions: list<string>}
     */
    public function judge(Dosable $thing, DoseState $state): array
    {
        if ($thing->id === 'ammonium') {
            return [
                'refusals' => $state->fish ? [StartDoseCalculator::WITH_FISH] : [],
                'conditions' =>
                    ($state->nitrite ?? 0.0) > Tending::NITRITE_FIRST_MG_L ? [StartDoseCalculator::NITRITE_FIRST] : [],
            ];
        }
        if (!in_array($thing->conflict, $this->conflicts->things(), true)) {
            return ['refusals' => [], 'conditions' => []];
        }
        if (!isset($state->input['temp_c'])) {
            return $thing->agent === null &&
                in_array($thing->conflict, ['binder', 'bicarbonate', 'salt', 'zeolite'], true)
                ? $this->lists($thing, [...$state->input, 'temp_c' => AssumedWater::TEMPERATURE_C])
                : [
                    'refusals' => ['The temperature was never tested: what an agent does to fish follows from it.'],
                    'conditions' => [],
                ];
        }

        $judged = $this->lists($thing, $state->input);
        foreach ($state->present as $id => $present) {
            $refused = $this->conflicts->pair(
                $thing->conflict,
                in_array($id, $this->conflicts->things(), true) ? $id : $thing->conflict,
            );
            if ($refused['verdict'] === 'refused' && $present['gone_d'] !== null) {
                $wait =
                    " {$present['name']} is gone by itself in about " .
                    Format::days($present['gone_d']) .
                    '; changes of water take it sooner.';
                $judged['refusals'] = array_map(
                    static fn(string $text): string => $text === $refused['reason'] ? $text . $wait : $text,
                    $judged['refusals'],
                );
            }
        }
        if ($thing->agent !== null && !$thing->apart && isset($state->present['own'])) {
            $judged[
                'conditions'
            ][] = "{$state->present['own']['name']} is in the water still: read both labels, or change water and wait.";
        }

        return $judged;
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array{refusals: list<string>, conditions: list<string>}
     */
    private function lists(Dosable $thing, array $input): array
    {
        $figures = $this->registry->run('dose.conflicts', [...$input, 'agent' => $thing->conflict])->figures;
        $texts = static fn(mixed $list): array => array_values(
            array_filter(is_array($list) ? $list : [], is_string(...)),
        );

        return ['refusals' => $texts($figures['refusals']), 'conditions' => $texts($figures['conditions'])];
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    public function answer(
        System $system,
        LatestWater $water,
        Dosable $thing,
        WaterBody $body,
        DoseState $state,
        array $typed,
    ): array {
        $judged = $this->judge($thing, $state);
        $good = self::good($system, $thing);
        if ($good?->expired() === true) {
            $judged['conditions'][] =
                "{$good->name} went off on {$good->expires_on?->toDateString()}: replace it, or go by what its " .
                'label allows.';
        }
        $bench = $this->benches->of($thing->bench, $system, $water, $typed, $this->fixed($thing, $body, $state, $good));
        $over = $this->onTop($thing, $state, $bench);
        $judged['refusals'] = [...$judged['refusals'], ...$over === null ? [] : [$over]];
        $said = [...$judged['conditions'], ...$thing->agent === null ? [] : [$thing->agent->caution()]];
        $bench['cautions'] = array_values(
            array_filter(
                (array) $bench['cautions'],
                static fn(mixed $caution): bool => is_array($caution) && !in_array($caution['text'] ?? '', $said, true),
            ),
        );
        $refused = $judged['refusals'] !== [] || $bench['refused'] === true;
        $main = is_array($bench['figures']) ? $bench['figures'][0] ?? null : null;
        $amount = !$refused && is_array($main) && is_numeric($main['value'] ?? null) ? (float) $main['value'] : null;
        $unit =
            is_array($main) && is_string($main['unit'] ?? null) && in_array($main['unit'], ['g', 'mL'], true)
                ? $main['unit']
                : null;
        $input = (array) $bench['input'];
        $way = is_string($input['way'] ?? null) ? $input['way'] : 'prolonged';

        return [
            'id' => $thing->id,
            'name' => $thing->name,
            'basis' => $thing->agent?->basis,
            'about' =>
                $thing->agent === null
                    ? null
                    : [
                        'hazards' => array_map(
                            static fn(string $to, string $says): array => ['to' => $to, 'says' => $says],
                            array_keys($thing->agent->hazards->said()),
                            array_values($thing->agent->hazards->said()),
                        ),
                        'stop' => $thing->agent->stop,
                        'disposal' => $thing->agent->disposal,
                        'storage' => $thing->agent->storage,
                        'source' => $thing->agent->source,
                    ],
            'refusals' => $judged['refusals'],
            'conditions' => $judged['conditions'],
            'bench' => $refused ? [...$bench, 'figures' => [], 'steps' => [], 'measure' => null] : $bench,
            'amount' => $unit === null ? null : $amount,
            'unit' => $unit,
            'measure' =>
                $amount === null || $unit === null
                    ? null
                    : ($unit === 'g'
                        ? Measures::grams($amount, $thing->conflict === 'salt', self::scale($typed))
                        : Measures::millilitres(
                            $amount,
                            is_numeric($input['cap_ml'] ?? null) ? (float) $input['cap_ml'] : $thing->good?->cap_ml,
                        )),
            'rounding' =>
                $amount === null || $unit === null
                    ? null
                    : 'rounded down from ' . Format::number($amount, 5) . " {$unit}",
            'split' =>
                $amount === null || $unit === null || $body->vesselId !== null
                    ? []
                    : $this->split($system, $amount, $unit),
            'stock' => $amount === null || $unit === null ? null : $this->stock($typed, $amount, $unit),
            'shelf' => self::shelf(
                $good,
                $amount,
                $unit,
                $thing->agent !== null && $way === 'prolonged' ? $thing->agent->repeats : 1,
            ),
            'order' => $amount === null ? [] : OrderOfWork::of($thing->agent, $way, $judged['conditions']),
            'course' =>
                $thing->agent !== null &&
                $way === 'prolonged' &&
                $amount !== null &&
                isset($state->input['temp_c']) &&
                is_float($state->input['temp_c'])
                    ? [
                        'repeats' => $thing->agent->repeats,
                        'every_d' => $thing->agent->interval($state->input['temp_c']),
                    ]
                    : null,
            'minutes' => $thing->agent?->exposure($way),
            'way' => $way,
            'wash_out' => $this->washOut($system, $body),
        ];
    }

    /**
     * Why a full dose of what is in the water already would be too much.
     *
     * @param  array<string, mixed>  $bench
     */
    private function onTop(Dosable $thing, DoseState $state, array $bench): ?string
    {
        $left = $state->present[$thing->id]['most_mg_l'] ?? null;
        $input = (array) $bench['input'];
        $range = $thing->agent?->range('prolonged');
        if (
            $left === null ||
            $left <= 0 ||
            $range === null ||
            $thing->apart ||
            ($input['way'] ?? 'prolonged') !== 'prolonged'
        ) {
            return null;
        }
        $dose = is_numeric($input['dose_mg_l'] ?? null) ? (float) $input['dose_mg_l'] : $range[2];
        $unit = $thing->agent->unit === 'mL' ? 'µL/L' : 'mg/L';

        $alkalinity = $state->input['alkalinity_mg_l'] ?? null;
        $ceiling = StandingLevel::ceiling($thing->agent, is_float($alkalinity) ? $alkalinity : null) ?? $range[1];

        return StandingLevel::fits($left, $dose, $ceiling)
            ? null
            : 'There are ' .
                    Format::number($left, 2) .
                    " {$unit} of it in the water still; with " .
                    Format::number($dose, 3) .
                    ' more it would be above ' .
                    Format::number($ceiling, 3) .
                    '. Give what is missing on the Course page, or a smaller dose.';
    }

    /** What of the shelf a thing would be taken from. */
    public static function good(System $system, Dosable $thing): ?Good
    {
        $kind = $thing->shelfKind();

        return $thing->good ?? ($kind === null ? null : Good::inUse($system->site_id, $kind));
    }

    /**
     * What stands on the shelf against what is asked of it, alone and for a whole course.
     *
     * @return ?array{name: string, mark: string, left: ?string, says: string, short: bool}
     */
    private static function shelf(?Good $good, ?float $amount, ?string $unit, int $doses): ?array
    {
        if ($good === null) {
            return null;
        }
        $said = static fn(float $of): string => $unit === 'g' ? Measures::grams($of) : Measures::millilitres($of);
        $counted = $good->amount !== null && $amount !== null && $good->unit === $unit;
        $short = $counted && $good->amount < $amount;
        $says = match (true) {
            !$counted => '',
            $short => "Only {$good->left()} are left of it: too little.",
            $doses > 1 && $good->amount < $doses * $amount
                => "{$good->left()} are left: the {$doses} doses of a course need {$said(
                $doses * $amount,
            )}, so it lasts for " .
                (int) floor($good->amount / $amount) .
                '.',
            $doses > 1 => "{$good->left()} are left; the {$doses} doses of a course need {$said($doses * $amount)}.",
            default => "{$good->left()} are left, {$said($good->amount - $amount)} after.",
        };

        return [
            'name' => $good->name,
            'mark' => $good->mark(),
            'left' => $good->left(),
            'says' => $says,
            'short' => $short,
        ];
    }

    /**
     * What a calculator is to be told besides its fields.
     *
     * @return array<string, mixed>
     */
    private function fixed(Dosable $thing, WaterBody $body, DoseState $state, ?Good $good): array
    {
        $fixed = ['volume_l' => max(0.1, $body->volumeL)];
        if ($thing->bench->calculator === 'dose.treatment') {
            // In a bath of its own it meets the fish and the water, and nothing of the loop.
            $met = $thing->apart
                ? array_intersect_key(
                    $state->input,
                    array_flip(['temp_c', 'ph', 'alkalinity_mg_l', 'hardness_mg_l', 'do_mg_l']),
                )
                : $state->input;
            $fixed = [...$met, ...$fixed, 'agent' => $thing->agent->id ?? 'own'];
            $fixed['temp_c'] ??= AssumedWater::TEMPERATURE_C;
            // Only permanganate has a demand of the water to be told.
            $fixed += $thing->agent?->id === 'potassium_permanganate' ? [] : ['demand_mg_l' => 0.0];
        }

        return [
            ...$fixed,
            ...array_map(floatval(...), $good->label ?? []),
            ...$good?->cap_ml === null || !in_array('cap_ml', $thing->bench->fields, true)
                ? []
                : ['cap_ml' => $good->cap_ml],
            ...$good?->strength_pct === null || !in_array('strength_pct', $thing->bench->fields, true)
                ? []
                : ['strength_pct' => $good->strength_pct],
        ];
    }

    /** @return list<array{name: string, text: string}> by the share of water in each bay */
    private function split(System $system, float $amount, string $unit): array
    {
        $bays = $system->vessels->filter(
            fn(Vessel $vessel): bool => !in_array($vessel->kind, ['sump', 'chamber'], true),
        );
        $whole = $bays->sum(fn(Vessel $vessel): float => $this->systems->vessel($vessel)->value);
        if ($bays->count() < 2 || $whole <= 0) {
            return [];
        }

        return array_values(
            $bays
                ->map(function (Vessel $vessel) use ($amount, $unit, $whole): array {
                    $part = ($amount * $this->systems->vessel($vessel)->value) / $whole;

                    return [
                        'name' => $vessel->name,
                        'text' => $unit === 'g' ? Measures::grams($part) : Measures::millilitres($part),
                    ];
                })
                ->all(),
        );
    }

    /**
     * What the keeper's scale reads to, g.
     *
     * @param  array<array-key, mixed>  $typed
     */
    public static function scale(array $typed): ?float
    {
        $text = is_string($typed['scale_g'] ?? null) ? str_replace(',', '.', trim($typed['scale_g'])) : '';

        return is_numeric($text) && (float) $text >= 0.001 && (float) $text <= 1000 ? (float) $text : null;
    }

    /** How fast the trickle that runs takes out whatever is given. */
    private function washOut(System $system, WaterBody $body): ?string
    {
        $trickle = $body->vesselId === null ? Trickle::running($system) : null;

        return $trickle === null || $body->volumeL <= 0
            ? null
            : 'The trickle takes half of it out in ' .
                    Format::number((log(2) * $body->volumeL) / $trickle->flow_l_h / 24, 2) .
                    ' days, ' .
                    Format::number(100 * (1 - exp((-24 * $trickle->flow_l_h) / $body->volumeL)), 2) .
                    ' % in the first.';
    }

    /** @param  array<array-key, mixed>  $typed */
    private function stock(array $typed, float $amount, string $unit): ?string
    {
        $litres =
            is_string($typed['stock_l'] ?? null) && is_numeric(str_replace(',', '.', $typed['stock_l']))
                ? (float) str_replace(',', '.', $typed['stock_l'])
                : 0.0;

        return $litres <= 0 || $litres > 1000
            ? null
            : ($unit === 'g' ? Measures::grams($amount) : Measures::millilitres($amount)) .
                    ' in ' .
                    Format::number($litres) .
                    ' L of system water: ' .
                    Format::number($amount / $litres, 3) .
                    " {$unit} to the litre.";
    }

    /**
     * @param  list<WaterBody>  $bodies
     * @return list<array<string, mixed>>
     */
    private function given(System $system, array $bodies): array
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->with(['vessel', 'user', 'good'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->orderByDesc('given_at')
            ->limit(20)
            ->get();
        $volumes = [];
        foreach ($bodies as $body) {
            $volumes[$body->vesselId ?? ''] = $body->volumeL;
        }

        return array_values(
            $doses
                ->map(
                    static fn(Dose $dose): array => [
                        'id' => $dose->id,
                        'age' => Age::of($dose->given_at),
                        'by' => $dose->user?->name,
                        'text' => $dose->text(),
                        'running' => $dose->running(),
                        'flag' => $dose->afterwards($volumes[$dose->vessel_id ?? ''] ?? 0.0),
                        'override' => $dose->override_reason,
                    ],
                )
                ->all(),
        );
    }
}
