<?php

declare(strict_types=1);

namespace App\Water;

use App\Expected\NitrateSinks;
use App\Expected\Residuals;
use App\Expected\WaterTurned;
use App\Models\Line;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\FigureRow;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Exchange\FirstFill;
use Ironwort\Core\Exchange\LeastExchange;
use Ironwort\Core\Exchange\NewWater;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What stands beside a change: the schools over sixty days, the least a school asks for, where waste water goes, a
 * first fill.
 */
final readonly class ChangeContext
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $judging,
        private LoopSums $systems,
        private Residuals $residuals,
    ) {}

    /** @return list<SchoolOverWeeks> */
    public function schools(System $system, TwoWaters $waters, float $made, ?float $price): array
    {
        $keep = array_intersect_key(
            $waters->now,
            array_flip(['no3_n_mg_l', 'alkalinity_mg_l', 'hardness_mg_l', 'temp_c', 'salinity_g_l']),
        );
        if ($keep === []) {
            return [];
        }
        $surface = $this->systems->surface($system);
        $turned = WaterTurned::of($system, $surface);
        $input = [
            'volume_l' => max(1.0, $waters->volume),
            'now' => $keep,
            'source' => array_intersect_key($waters->new, $keep),
            'tan_g_d' => $made,
            'taken_g_d' => $this->taken($system, $waters, $made),
            'surface_m2' => $surface,
            'days' => 60,
            'booked_l_d' => $turned->batchLD,
            'booked_trickle_l_d' => $turned->litresD() - $turned->batchLD,
            'booked_source' => array_intersect_key($turned->brings, $keep),
            'booked_topup_l_d' => $turned->evaporation->topUpLD,
            ...$price === null ? [] : ['price_m3' => $price],
        ];
        $follows = $this->judging->following($system)->in('exchange')->id;
        $rows = $this->registry->run('exchange.schools', $input)->rows('schools');

        return array_map(static fn(FigureRow $row): SchoolOverWeeks => new SchoolOverWeeks($row, $follows), $rows);
    }

    /** What plants, bog, media, microbes and sludge take of the nitrate now, g N/d. */
    private function taken(System $system, TwoWaters $waters, float $made): float
    {
        if (!isset($waters->now['no3_n_mg_l'], $waters->now['temp_c'])) {
            return 0.0;
        }
        $sinks = $this->registry->run('nitrate.sinks', [
            ...NitrateSinks::of($system, $waters->now['no3_n_mg_l'], $waters->now['temp_c']),
            'production_g_d' => $made,
        ]);
        $takes = ['plants_g_d', 'bog_g_d', 'denitrifying_g_d', 'microbes_g_d', 'sludge_g_d'];

        return array_sum(array_map($sinks->number(...), $takes));
    }

    /** The least the school asks for in a week, readings clean or not. */
    public function minimum(System $system, float $volume): LeastExchange
    {
        $school = $this->judging->following($system)->in('exchange');
        $share =
            (($school->figure('pct') / 100) * 7) / max(1.0, $school->figure('every_d')) +
            $school->figure('trickle_pct_week') / 100;
        $batches = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->where('changed_at', '>=', Carbon::now()->subDays(7))
            ->sum('litres');
        $trickle = Trickle::running($system);
        $hours = $trickle === null ? 0.0 : min(168.0, $trickle->started_at->diffInHours(Carbon::now()));

        return new LeastExchange(
            $school->name,
            $share,
            $volume,
            (float) $batches + ($trickle->flow_l_h ?? 0.0) * $hours,
        );
    }

    /** @return list<string> where drained water and backwash go, and where they must not */
    public function waste(System $system, LatestWater $water, WaterBody $body): array
    {
        $dosed = array_column(
            array_diff_key($this->residuals->now($system, $body), ['salt' => 0, 'binder' => 0, 'bicarbonate' => 0]),
            'name',
        );
        $lines = $system->lines->filter(
            static fn(Line $line): bool => $line->leads_to !== null && $line->leads_to !== '',
        );
        $said = array_values(
            $lines->map(static fn(Line $line): string => "{$line->name} leads to {$line->leads_to}.")->all(),
        );
        $salt = $water->get(Parameter::Salinity)->value ?? 0.0;
        if ($dosed !== []) {
            $said[] =
                'There is ' .
                lcfirst(implode(', ', $dosed)) .
                ' in it. Keep it off the garden and out of ditches and streams; follow its label and local rules.';

            return $said;
        }
        $said[] =
            $salt >= NewWater::SALT_HARMS_PLANTS_G_L
                ? 'There are ' .
                    Format::number($salt, 2) .
                    ' g/L of salt in it, which harms plants. Not onto the garden: use the sewer, by local rules.'
                : 'Drained water and backwash are good for a garden. With salt or a treatment in ' .
                    'it, use the sewer, as local rules allow, never a ditch or a stream.';

        return $said;
    }

    /**
     * A first fill as one sequence: chlorine out, salt if it is used, KH and GH, then the seed.
     *
     * @return list<Message>
     */
    public function firstFill(TwoWaters $waters, PutBack $putBack, System $system): array
    {
        if ($waters->source === null || $waters->volume <= 0) {
            return [];
        }
        $whole = $putBack->of($system, $waters, $waters->volume);
        $conditioner =
            array_values(
                array_filter($whole, static fn(PutBackItem $item): bool => $item->what === 'conditioner'),
            )[0] ?? null;

        return FirstFill::steps(
            $waters->volume,
            $conditioner?->text,
            $waters->source->reading('alkalinity_mg_l'),
            $waters->source->reading('hardness_mg_l'),
        );
    }
}
