<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\Charge;
use App\Models\Dose;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Dose\Adsorption;
use Ironwort\Core\Dose\Agent;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\BoundAmmonia;
use Ironwort\Core\Dose\Clearing;
use Ironwort\Core\Dose\Fading;
use Ironwort\Core\Dose\Validity;

/**
 * What is left of what was dosed, after its own decay, every change, every trickle and the carbon and zeolite in the
 * book.
 */
final readonly class Residuals
{
    /** Before the key of an agent of one's own: each is a thing of its own. */
    public const OWN = 'own:';

    public function __construct(private AgentTable $agents) {}

    /**
     * `most_mg_l` is what would be there if carbon and zeolite had taken nothing: what they take is uncertain, and
     * no dose may count on it.
     *
     * @return array<string, array{name: string, mg_l: ?float, most_mg_l: ?float, gone_d: ?float, since: Carbon}> by
     *     thing, of one body of water now
     */
    public function now(System $system, WaterBody $body): array
    {
        $present = [];
        foreach ($this->doses($system, $body) as $dose) {
            if ($dose->way !== 'prolonged' && ($dose->ended_at !== null || !$dose->running())) {
                continue;
            }
            $fading = $this->fading($system, $dose, Carbon::now());
            $hours = self::hours($dose, Carbon::now());
            $left = $fading === null ? $this->unmeasured($dose, Carbon::now()) : $fading->left($hours);
            $most =
                $fading === null
                    ? null
                    : ($fading->adsorbedG > 0
                        ? $this->fading($system, $dose, Carbon::now(), adsorbed: false)?->left($hours)
                        : $left);
            if ($left === null || ($most !== null && $dose->mg_l !== null && $most < Validity::GONE * $dose->mg_l)) {
                continue;
            }
            $key = $dose->thing === 'own' ? self::OWN . $dose->good_id : $dose->thing;
            $before = $present[$key] ?? ['mg_l' => null, 'most_mg_l' => null];
            $present[$key] = [
                'name' => $dose->name,
                'mg_l' => $dose->mg_l === null ? null : $left + ($before['mg_l'] ?? 0.0),
                'most_mg_l' => $most === null ? null : $most + ($before['most_mg_l'] ?? 0.0),
                'gone_d' => $most === null ? null : $this->goneIn($system, $dose, $most),
                'since' => $dose->given_at,
            ];
        }

        return $present;
    }

    /** What is left of one dose at a time, mg/L; 0 for what has no figure and is there still; null when gone. */
    public function left(System $system, Dose $dose, Carbon $at, bool $adsorbed = true): ?float
    {
        $fading = $this->fading($system, $dose, $at, $adsorbed);

        return $fading === null ? $this->unmeasured($dose, $at) : $fading->left(self::hours($dose, $at));
    }

    /** How a dose fades until a time, by all that is in the book; null for what has no level in the water. */
    public function fading(System $system, Dose $dose, Carbon $until, bool $adsorbed = true): ?Fading
    {
        if (
            in_array($dose->thing, ['binder', 'thiosulfate', 'ammonium'], true) ||
            $dose->mg_l === null ||
            $dose->mg_l <= 0
        ) {
            return null;
        }
        $hours = self::hours($dose, $until);
        $changes = $this->changes($system, $dose, $until)->map(
            static fn(WaterChange $change): array => [
                'at_h' => min($hours, self::hours($dose, $change->changed_at)),
                'change_pct' => min(100.0, (100 * $change->litres) / $change->volume_l),
            ],
        );
        $agent = $this->agents->agents[$dose->thing] ?? null;
        $clearings =
            $dose->vessel_id !== null
                ? []
                : [
                    ...$this->trickles($system, $dose, $until),
                    ...$adsorbed && $agent !== null ? $this->adsorbers($system, $agent, $dose, $until) : [],
                ];

        return Fading::of(
            $dose->volume_l,
            $dose->mg_l,
            $agent?->halfLifeH,
            array_values($changes->all()),
            $clearings,
            $hours,
        );
    }

    public static function hours(Dose $dose, Carbon $at): float
    {
        return max(0.0, $dose->given_at->diffInSeconds($at) / 3600);
    }

    /** Days until less than counts is left of it, by decay and the trickle that runs; null when neither takes it. */
    private function goneIn(System $system, Dose $dose, float $left): ?float
    {
        return $dose->mg_l === null
            ? null
            : Fading::goneInD(
                $dose->mg_l,
                $left,
                ($this->agents->agents[$dose->thing] ?? null)?->halfLifeH,
                $dose->vessel_id === null ? Trickle::running($system)->flow_l_h ?? 0.0 : 0.0,
                $dose->volume_l,
            );
    }

    private function unmeasured(Dose $dose, Carbon $at): ?float
    {
        $days = $dose->given_at->diffInDays($at);

        return match ($dose->thing) {
            'binder', 'thiosulfate' => $days <= BoundAmmonia::HOURS / 24 ? 0.0 : null,
            'own' => $days <= Validity::UNKNOWN_D ? 0.0 : null,
            default => null,
        };
    }

    /**
     * @return Collection<int, WaterChange> of the same body of water: a bay that is shut off takes no part in those
     *     of its loop
     */
    private function changes(System $system, Dose $dose, Carbon $to): Collection
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->where('vessel_id', $dose->vessel_id)
            ->whereBetween('changed_at', [$dose->given_at, $to->copy()->addSecond()])
            ->orderBy('changed_at')
            ->limit(1000)
            ->get();

        return $changes->toBase();
    }

    /** @return list<Clearing> */
    private function trickles(System $system, Dose $dose, Carbon $until): array
    {
        /** @var Collection<int, Trickle> $trickles */
        $trickles = Trickle::query()
            ->where('system_id', $system->id)
            ->where('started_at', '<', $until)
            ->where(static fn($query) => $query->whereNull('ended_at')->orWhere('ended_at', '>', $dose->given_at))
            ->limit(200)
            ->get();

        return array_values(
            $trickles
                ->map(
                    static fn(Trickle $trickle): Clearing => new Clearing(
                        'trickle',
                        self::hours($dose, $trickle->started_at),
                        self::hours($dose, $trickle->ended_at ?? $until),
                        $trickle->flow_l_h,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Clearing> carbon and zeolite that were in the loop while the dose was */
    private function adsorbers(System $system, Agent $agent, Dose $dose, Carbon $until): array
    {
        $whole = $system->throughput();
        $found = [];
        foreach ($system->stages as $stage) {
            if (isset(Adsorption::GRAMS_PER_L[$stage->kind]) && !$stage->bypassed) {
                array_push(
                    $found,
                    ...Adsorption::of(
                        $agent,
                        $stage->kind,
                        $stage->media_l * Adsorption::GRAMS_PER_L[$stage->kind],
                        0.0,
                        self::hours($dose, $until),
                        $stage->flow_l_h,
                    ),
                );
            }
        }
        /** @var Collection<int, Charge> $charges */
        $charges = Charge::query()
            ->where('system_id', $system->id)
            ->where('put_in_at', '<', $until)
            ->where(
                static fn($query) => $query->whereNull('taken_out_at')->orWhere('taken_out_at', '>', $dose->given_at),
            )
            ->limit(100)
            ->get();
        foreach ($charges as $charge) {
            $from = self::hours($dose, $charge->put_in_at);
            $to = self::hours($dose, $charge->taken_out_at ?? $until);
            $spent = self::hours($dose, $charge->put_in_at->copy()->addDays(Adsorption::WORKS_FOR_D));
            if ($charge->holdsCarbon()) {
                array_push(
                    $found,
                    ...Adsorption::of(
                        $agent,
                        'carbon',
                        $charge->mass_g,
                        $from,
                        min($to, $spent),
                        $whole * Adsorption::BAG_SHARE,
                    ),
                );
            }
            if ($charge->kind === 'zeolite' || $charge->kind === 'mixed') {
                array_push(
                    $found,
                    ...Adsorption::of($agent, 'zeolite', $charge->mass_g, $from, $to, $whole * Adsorption::BAG_SHARE),
                );
            }
        }

        return $found;
    }

    /** @return Collection<int, Dose> oldest first */
    private function doses(System $system, WaterBody $body): Collection
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('vessel_id', $body->vesselId)
            ->where('given_at', '>=', Carbon::now()->subDays(Validity::BACK_D))
            ->orderBy('given_at')
            ->limit(500)
            ->get();

        return $doses;
    }
}
