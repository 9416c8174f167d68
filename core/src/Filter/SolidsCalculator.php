<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Where the dirt of the feed goes: made, caught by each stage, stored, rotting back, flushed.
 *
 * Dry g. A stage keeps a share of the dirt in the water at every pass, so that in the end all is caught
 * or lies on the floor. What is stored rots where it lies, gives its nitrogen back and takes oxygen; what does not rot
 * gathers until it is flushed. Room for dirt is the media, or the water of a chamber without any; where neither is
 * known, how far it is fouled is not known either.
 *
 *     feed_g_d 200, temp_c 20, stages [{"kind": "vortex", "flow_l_h": 9000, "media_l": 300, "days_since_flush":
 *       7}]  →  made_g_d 55, tan_back_g_d 0.585
 *
 * @source solids-per-feed  0.275 of the feed eaten
 * @source solids-from-memory  shares caught, rot and nitrogen
 */
final readonly class SolidsCalculator implements Calculator
{
    /** A stage that is full still lets a tenth of its surface work. */
    private const MOST_FOULED = 0.9;

    public function __construct(private StageKinds $kinds) {}

    public function name(): string
    {
        return 'filter.solids';
    }

    public function title(): string
    {
        return 'Where the dirt goes, and when a stage blocks';
    }

    public function inputs(): array
    {
        return [
            LoadInputs::feed(),
            Input::number('uneaten_pct', 'Left uneaten', '%', 0, 100)->or(0.0),
            WaterInputs::temperature(),
            Input::number('floor_pct', 'Settles on the floor', '%', 0, 95)->or(10.0),
            Input::rows(
                'stages',
                'Stages',
                [
                    Input::choice('kind', 'Kind', $this->kinds->ids()),
                    Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7),
                    Input::number('media_l', 'Media, bulk', 'L', 0, 1e6)->or(0.0),
                    Input::number('water_l', 'Water in it', 'L', 0, 1e6)->optional(),
                    Input::number('days_since_flush', 'Days since it was flushed', 'd', 0, 3650)->or(0.0),
                    Input::number('seen_pct', 'Fouling as seen', '%', 0, 100)->optional(),
                    Input::number('seen_days_ago', 'Seen so many days ago', 'd', 0, 3650)->or(0.0),
                ],
                1,
                40,
            ),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('made_g_d', 'g/d'),
            new Output('floor_g_d', 'g/d'),
            new Output('stored_g', 'g'),
            new Output('tan_back_g_d', 'g N/d'),
            new Output('o2_back_g_d', 'g O₂/d'),
            new Output('stages'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $uneaten = $given->number('uneaten_pct') / 100;
        $made = $given->number('feed_g_d') * ((1 - $uneaten) * DailyLoad::SOLIDS_PER_FEED + $uneaten);
        $floor = ($made * $given->number('floor_pct')) / 100;
        $temp = $given->number('temp_c');

        $rows = $given->rows('stages');
        $weights = $this->caughtPerMgL($rows);
        $all = array_sum($weights);
        $work = new Working();
        $work->step(
            'Dirt made: of what is eaten 27.5 %, and all that is left.',
            'feed × ((1 − u) × 0.275 + u)',
            Format::number($given->number('feed_g_d'), 5) . ' g/d, u = ' . Format::number($uneaten),
            Format::number($made) . ' g/d',
        );
        $work->step(
            'What rots in a day of what is stored and can rot: three quarters of it.',
            '5 % × 2^((t − 20)/10)',
            Format::number($temp) . ' °C',
            Format::number(100 * (new Sludge(0.0, $temp))->rate) . ' %',
        );
        $stages = [];
        $stored = $back = $oxygen = 0.0;
        foreach ($rows as $i => $row) {
            $caught = $all > 0 ? (($made - $floor) * $weights[$i]) / $all : 0.0;
            $stages[] = $stage = $this->stage($row, $caught, $temp);
            $stored += $stage['stored_g'];
            $back += $stage['tan_back_g_d'];
            $oxygen += $stage['o2_back_g_d'];
            if ($caught > 0) {
                $kind = $this->kinds->get($row->text('kind'))->name;
                $work->step(
                    'Stage ' .
                        ($i + 1) .
                        ', ' .
                        lcfirst($kind) .
                        ': its part of the dirt, and what has gathered since it was flushed.',
                    '0.75 caught/k (1 − e^(−k t)) + 0.25 caught t',
                    Format::number($caught) . ' g/d, ' . Format::number($row->number('days_since_flush'), 3) . ' d',
                    Format::number($stage['stored_g'], 3) .
                        ' g, ' .
                        ($stage['fouling_pct'] === null
                            ? 'of what it holds: not known, its room is not written down'
                            : Format::number($stage['fouling_pct'], 2) . ' % of what it holds'),
                );
            }
        }
        $work->cite('solids-per-feed', 'solids-from-memory');
        $work->note(Message::of('filter.solids_shares_caught_held_differ'));
        if ($all <= 0 && $made > 0) {
            $work->watch(Message::of('filter.solids_stage_here_holds_dirt'));
        }

        return $work->result([
            'made_g_d' => $made,
            'floor_g_d' => $floor,
            'stored_g' => $stored,
            'tan_back_g_d' => $back,
            'o2_back_g_d' => $oxygen,
            'stages' => $stages,
        ]);
    }

    /**
     * What each stage takes from the water for each mg/L in it; a stage in series meets what the one before let
     * through.
     *
     * @param  list<Given>  $rows
     * @return list<float>
     */
    private function caughtPerMgL(array $rows): array
    {
        $through = 1.0;
        $full = max([0.0, ...array_map(static fn(Given $row): float => $row->number('flow_l_h'), $rows)]);
        $weights = [];
        foreach ($rows as $row) {
            $catches = $this->kinds->get($row->text('kind'))->catches;
            $weights[] = $through * $row->number('flow_l_h') * $catches;
            $through *= 1 - ($full > 0 ? $row->number('flow_l_h') / $full : 0.0) * $catches;
        }

        return $weights;
    }

    /**
     * @return array{kind: string, caught_g_d: float, stored_g: float, holds_g: ?float, tan_back_g_d: float,
     *     o2_back_g_d: float, fouling_pct: ?float, blocks_after_d: ?float, blocks_in_d: ?float}
     */
    private function stage(Given $row, float $caught, float $temp): array
    {
        $kind = $this->kinds->get($row->text('kind'));
        $days = $row->number('days_since_flush');
        $holds = $this->holds($row, $kind);
        $sludge = new Sludge($caught, $temp);
        $reckoned = static fn(float $t): float => $holds > 0
            ? min(self::MOST_FOULED, $sludge->after($t) / $holds)
            : 0.0;
        $seen = $row->numberOrNull('seen_pct');
        $then = $reckoned(max(0.0, $days - $row->number('seen_days_ago')));
        // What the keeper saw once tells how fast this stage fouls against the reckoning.
        $faster = $seen === null || $then <= 0 || $row->number('seen_days_ago') > $days ? 1.0 : $seen / 100 / $then;
        $blocks = $faster > 0 && $holds > 0 ? $sludge->fillsAfter($holds / $faster) : null;

        return [
            'kind' => $kind->id,
            'caught_g_d' => $caught,
            'stored_g' => $sludge->after($days),
            'holds_g' => $holds,
            'tan_back_g_d' => $sludge->nitrogenBack($days),
            'o2_back_g_d' => $sludge->oxygen($days),
            'fouling_pct' => match (true) {
                $holds !== null => 100 * min(self::MOST_FOULED, $faster * $reckoned($days)),
                default => $seen,
            },
            'blocks_after_d' => $blocks,
            'blocks_in_d' => $blocks === null ? null : max(0.0, $blocks - $days),
        ];
    }

    /** g of dry dirt it holds when it blocks; null where it catches some and nobody wrote down its room. */
    private function holds(Given $row, StageKind $kind): ?float
    {
        if ($kind->catches <= 0 || $kind->holdsGL <= 0) {
            return 0.0;
        }
        $litres = $row->number('media_l') > 0 ? $row->number('media_l') : $row->numberOrNull('water_l') ?? 0.0;

        return $litres > 0 ? $kind->holdsGL * $litres : null;
    }
}
