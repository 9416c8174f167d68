<?php

declare(strict_types=1);

namespace App\Dosing;

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
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\OrderOfWork;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** The Dose bench: what must never meet comes first, and only then the amount, in the keeper's measures. */
final readonly class DoseReport
{
    public function __construct(
        private AgentTable $agents,
        private JudgeDose $judge,
        private LoopSums $systems,
        private WaterBodies $bodies,
    ) {}

    /** @return array<string, mixed> as the contract has it */
    public function of(System $system, LatestWater $water, DoseForm $form): array
    {
        $dosables = Dosable::all($system, $this->agents);
        $bodies = $this->bodies->all($system);
        $body =
            array_values(
                array_filter($bodies, static fn(WaterBody $one): bool => $one->vesselId === $form->body()),
            )[0] ?? $bodies[0];
        $state = $this->judge->state($system, $body, $water);
        $dosable = $dosables[$form->dosable()] ?? null;
        $dose = $dosable === null ? null : $this->judge->judge($system, $water, $dosable, $body, $state, $form);

        return [
            'things' => array_values(
                array_map(
                    static fn(Dosable $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'group' => $one->group,
                        'purposes' => $one->agent->purposes ?? [],
                    ],
                    $dosables,
                ),
            ),
            'not_offered' => $this->agents->notOffered,
            'bodies' => array_map(static fn(WaterBody $one): array => $one->choice(), $bodies),
            'body' => $body->vesselId ?? '',
            'state' => $state->rows,
            'thing' => $dose === null ? null : $this->answer($system, $water, $dose, $form),
            'given' => $this->given($system, $bodies),
        ];
    }

    /** The dose as the page and the command line show it. */
    public function judged(System $system, LatestWater $water, DoseForm $form): ?JudgedDose
    {
        $dosable = Dosable::all($system, $this->agents)[$form->dosable()] ?? null;
        if ($dosable === null) {
            return null;
        }
        $body = $this->bodies->find($system, $form->body());

        return $this->judge->judge(
            $system,
            $water,
            $dosable,
            $body,
            $this->judge->state($system, $body, $water),
            $form,
        );
    }

    /** In the keeper's tools; null where there is nothing to weigh or pour. */
    public static function measure(JudgedDose $dose, DoseForm $form): ?string
    {
        return match (true) {
            $dose->amount === null => null,
            $dose->unit === 'g' => Measures::grams($dose->amount, $dose->dosable->conflict === 'salt', $form->scaleG()),
            $dose->unit === 'mL' => Measures::millilitres(
                $dose->amount,
                $dose->bench->number('cap_ml') ?? $dose->dosable->good?->cap_ml,
            ),
            default => null,
        };
    }

    /** @return array<string, mixed> */
    private function answer(System $system, LatestWater $water, JudgedDose $dose, DoseForm $form): array
    {
        $agent = $dose->dosable->agent;
        $measured = $dose->unit === null ? null : $dose->amount;
        $told = static fn(Message $one): array => $one->toArray();
        $temperature = $dose->state->input['temp_c'] ?? null;

        return [
            'id' => $dose->dosable->id,
            'name' => $dose->dosable->name,
            'basis' => $agent?->basis,
            'about' => self::about($dose->dosable),
            'refusals' => array_map($told, $dose->judged->refusals),
            'conditions' => array_map($told, $dose->judged->conditions),
            'later' => $dose->judged->isRefused() ? $this->later($system, $water, $dose, $form) : null,
            'bench' => $dose->bench->toArray(),
            'amount' => $measured,
            'unit' => $dose->unit,
            'measure' => self::measure($dose, $form),
            'rounding' =>
                $measured === null ? null : 'rounded down from ' . Format::number($measured, 5) . " {$dose->unit}",
            'split' =>
                $measured === null || $dose->body->vesselId !== null
                    ? []
                    : $this->split($system, $measured, (string) $dose->unit),
            'stock' => $measured === null ? null : self::stock($form->stockL(), $measured, (string) $dose->unit),
            'shelf' => self::shelf(
                $dose->good,
                $measured,
                $dose->unit,
                $agent !== null && $dose->way === 'prolonged' ? $agent->repeats : 1,
            ),
            'order' =>
                $dose->amount === null
                    ? []
                    : OrderOfWork::of(
                        $agent,
                        $dose->way,
                        Message::texts($dose->judged->conditions),
                        $dose->dosable->id,
                    ),
            'course' =>
                $agent !== null && $dose->way === 'prolonged' && $dose->amount !== null && is_float($temperature)
                    ? ['repeats' => $agent->repeats, 'every_d' => $agent->interval($temperature)]
                    : null,
            'minutes' => $agent?->exposure($dose->way),
            'way' => $dose->way,
            'wash_out' => self::washOut($system, $dose->body),
            'unit_given' => $dose->unit ?? $dose->dosable->unit(),
        ];
    }

    /** What the dose would be once what stands against it is gone; null where that is not all that does. */
    private function later(System $system, LatestWater $water, JudgedDose $dose, DoseForm $form): ?string
    {
        $then = $this->judge->judge($system, $water, $dose->dosable, $dose->body, $dose->state->cleared(), $form);
        $measure = self::measure($then, $form);

        return match (true) {
            $measure !== null => Message::of('dose.later', ['amount' => $measure])->text,
            !$then->judged->isRefused() && $then->bench->missing !== [] => Message::of('dose.later_needs', [
                'missing' => lcfirst(implode(', ', $then->bench->missing)),
            ])->text,
            default => null,
        };
    }

    /** @return ?array{hazards: list<array{to: string, says: string}>, stop: string, disposal: string, storage: string,
     *     source: string} */
    private static function about(Dosable $dosable): ?array
    {
        $agent = $dosable->agent;

        return $agent === null
            ? null
            : [
                'hazards' => array_map(
                    static fn(string $to, string $says): array => ['to' => $to, 'says' => $says],
                    array_keys($agent->hazards->said()),
                    array_values($agent->hazards->said()),
                ),
                'stop' => $agent->stop,
                'disposal' => $agent->disposal,
                'storage' => $agent->storage,
                'source' => $agent->source,
            ];
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

    /** @return list<array{name: string, text: string}> by the share of water in each bay */
    private function split(System $system, float $amount, string $unit): array
    {
        $bays = $system->vessels->filter(fn(Vessel $vessel): bool => $vessel->holdsFish());
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

    /** How fast the trickle that runs takes out whatever is given. */
    private static function washOut(System $system, WaterBody $body): ?string
    {
        $trickle = $body->vesselId === null ? Trickle::running($system) : null;

        return $trickle === null || $body->volumeL <= 0
            ? null
            : 'The trickle removes half of it in ' .
                    Format::number((log(2) * $body->volumeL) / $trickle->flow_l_h / 24, 2) .
                    ' days, ' .
                    Format::number(100 * (1 - exp((-24 * $trickle->flow_l_h) / $body->volumeL)), 2) .
                    ' % in the first.';
    }

    private static function stock(?float $litres, float $amount, string $unit): ?string
    {
        return $litres === null
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
                        'fact' => $dose->as_fact,
                    ],
                )
                ->all(),
        );
    }
}
