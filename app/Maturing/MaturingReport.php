<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Capacity\CapacityReport;
use App\Capacity\CapacityVerdict;
use App\Models\Seed;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Filter\SeedKind;
use Ironwort\Core\Model\StartPhase;
use Ironwort\Core\Words\Message;

/** How a filter grows: what lives in it, its start as readings tell it, fish that stand in it, and its seeds. */
final readonly class MaturingReport
{
    private const NEWEST = 20;

    public function __construct(
        private StartReport $start,
        private CapacityReport $capacity,
        private FishIn $fishIn,
        private DonorsReport $donors,
    ) {}

    /**
     * @param  array<array-key, mixed>  $typed  `hold_days`, `hold_alkalinity_mg_l`, `dose_to_mg_l`
     * @return array<string, mixed>
     *
     * @throws BadInput
     */
    public function of(System $system, LatestWater $water, array $typed): array
    {
        $verdict = $this->capacity->of($system, $water);
        $start = self::carrying($this->start->of($system, $water, $typed), $verdict);
        $fishIn = $this->fishIn->of($system, $water, $verdict->load->value, $verdict->capacity->value ?? 0.0);
        $shown = $verdict->toArray();

        return [
            ...$start,
            'load' => $shown['load'],
            'takes' => $shown['capacity'],
            'band' => $shown['band'],
            'living' => $shown['living'],
            'fish_in' => $fishIn?->toArray(),
            'advice' => array_map(
                static fn(Message $one): array => $one->toArray(),
                StartAdvice::of($system, $start['since'] !== null || $system->kind === 'start'),
            ),
            'seeds' => $this->seeds($system),
            'given' => $this->given($system),
            'seed_kinds' => array_map(
                static fn(SeedKind $kind): array => [
                    'id' => $kind->value,
                    'name' => $kind->name(),
                    'media' => $kind->isMedia(),
                ],
                SeedKind::cases(),
            ),
            'donors' => $this->donors->of($system),
        ];
    }

    /**
     * A filter that does not take what its fish give is not ready, however clean the water was for a while.
     *
     * @param  array<string, mixed>  $start
     * @return array<string, mixed>
     */
    private static function carrying(array $start, CapacityVerdict $verdict): array
    {
        $short = $verdict->load->value > ($verdict->capacity->value ?? INF);
        if (($start['stage'] ?? null) !== StartPhase::Ready->value || !$short) {
            return $start;
        }
        $figures = is_array($start['figures']) ? $start['figures'] : [];

        return [
            ...$start,
            'stage' => StartPhase::Proving->value,
            'says' => StartPhase::Proving->says()->toArray(),
            'does' => StartReport::does(StartPhase::Proving, true),
            'ready_on' => null,
            'early_on' => null,
            'late_on' => null,
            'figures' => array_values(
                array_filter(
                    $figures,
                    static fn(mixed $one): bool => !is_array($one) || ($one['key'] ?? null) !== 'days_left',
                ),
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function seeds(System $system): array
    {
        /** @var Collection<int, Seed> $seeds */
        $seeds = Seed::query()
            ->with('from')
            ->where('system_id', $system->id)
            ->orderByDesc('happened_on')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get();

        return array_values(
            $seeds
                ->map(
                    static fn(Seed $seed): array => [
                        'id' => $seed->id,
                        'on' => $seed->happened_on->toDateString(),
                        'text' => $seed->text(),
                        'donor' => $seed->donor,
                        'gain_g_d' => $seed->gain_g_d,
                        'low_g_d' => $seed->low_g_d,
                        'high_g_d' => $seed->high_g_d,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array<string, mixed>> media that other systems were given from here */
    private function given(System $system): array
    {
        /** @var Collection<int, Seed> $seeds */
        $seeds = Seed::query()
            ->with('system')
            ->where('from_system_id', $system->id)
            ->orderByDesc('happened_on')
            ->limit(self::NEWEST)
            ->get();

        return array_values(
            $seeds
                ->map(
                    static fn(Seed $seed): array => [
                        'on' => $seed->happened_on->toDateString(),
                        'to' => $seed->system->name,
                        'litres' => (float) $seed->litres,
                        'made_up' => (bool) $seed->made_up,
                    ],
                )
                ->all(),
        );
    }
}
