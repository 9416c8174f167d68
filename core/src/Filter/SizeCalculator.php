<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * The filter a load would need, in several ways of building it, beside the rule of thumb for rated boxes.
 *
 * The flow brings 3.6 times the load at the ammonia allowed, so that transport is not what limits; media are
 * then found by halving until the stage takes the load (mature, clean). None, where oxygen never lets it.
 *
 *     load_g_d 20, volume_l 10000, temp_c 23, ph 7.6, do_in_mg_l 7.5, tan_mg_l 0.5, alkalinity_mg_l 120  →  flow_l_h
 *       6000, options.0.media_l 335.1
 *
 * @see FilterCapacityCalculator for what a stage takes
 */
final readonly class SizeCalculator implements Calculator
{
    private const BUILDS = [
        ['moving_bed', 'moving_carrier'],
        ['static_bed', 'floating_bead'],
        ['matting', 'coarse_matting'],
        ['shower', 'ball'],
        ['static_bed', 'lava_stone'],
        ['bog', 'gravel_10_20'],
    ];

    /** Flow over the least that could bring the load: 1.2 for uptake that is not whole, three passes. */
    private const FLOW = 3.6;

    /** Litres of carrier a litre of air a minute keeps moving. */
    private const CARRIER_PER_AIR_L_MIN = 4.0;

    private const LARGEST_L = 1e5;

    public function __construct(private MediaTable $media, private StageKinds $kinds) {}

    public function name(): string
    {
        return 'filter.size';
    }

    public function title(): string
    {
        return 'The filter a load would need';
    }

    public function inputs(): array
    {
        return [
            Input::number('load_g_d', 'Ammonia to take', 'g N/d', 0, 1e6),
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterInputs::temperature(),
            WaterInputs::ph(),
            Input::number('do_in_mg_l', 'Oxygen into the filter', 'mg/L', 0, 30),
            Input::number('tan_mg_l', 'Ammonia allowed', 'mg/L as N', 0.001, 100),
            WaterInputs::alkalinity(),
            Input::number('rating_times', 'Box rated for so many times the water', null, 1, 10)->or(2.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('options'), new Output('flow_l_h', 'L/h'), new Output('box_rating_l', 'L')];
    }

    public function calculate(Given $given): Result
    {
        $load = $given->number('load_g_d');
        $water = new StageInflow(
            $given->number('tan_mg_l'),
            $given->number('do_in_mg_l'),
            $given->number('temp_c'),
            $given->number('ph'),
            $given->number('alkalinity_mg_l'),
            0.0,
        );
        $flow = max(3.0, ((self::FLOW * $load) / (24 * $water->tan)) * 1000);
        $work = new Working();
        $work->step(
            'Flow that brings the load several times over.',
            '3.6 × load / TAN / 24',
            Format::number($load) . ' g N/d, ' . Format::number($water->tan) . ' mg/L',
            Format::number($flow, 3) . ' L/h',
        );
        $options = [];
        foreach (self::BUILDS as [$kind, $medium]) {
            $litres = $this->litres($kind, $medium, $flow, $load, $water);
            $options[] = [
                'kind' => $kind,
                'medium' => $medium,
                'media_l' => $litres,
                'flow_l_h' => $flow,
                'air_l_min' =>
                    $kind === 'moving_bed' && $litres !== null ? $litres / self::CARRIER_PER_AIR_L_MIN : null,
                'room_m2' => $kind === 'bog' && $litres !== null ? NitrateSinksCalculator::bogM2($litres, null) : null,
            ];
            $work->step(
                $this->kinds->get($kind)->name .
                    ' of ' .
                    lcfirst($this->media->get($medium)->name) .
                    ': as much as takes the load, grown and clean.',
                'capacity(media) = load',
                Format::number($load) . ' g N/d',
                $litres === null ? 'oxygen never lets it' : Format::number($litres, 3) . ' L',
            );
            $work->cite($this->media->get($medium)->source);
        }
        $rating = $given->number('rating_times') * $given->number('volume_l');
        $work->step(
            'A box by its printed rating.',
            'times × volume',
            Format::number($given->number('rating_times')) .
                ' × ' .
                Format::number($given->number('volume_l'), 5) .
                ' L',
            Format::number($rating, 3) . ' L',
        );
        $work->note(Message::of('filter.size_rule_boxes_goes_water'));
        $work->cite('cp-box-rating', 'fitted-areal-rates', 'rusten-2006', 'aeration-from-memory');

        return $work->result(['options' => $options, 'flow_l_h' => $flow, 'box_rating_l' => $rating]);
    }

    private function litres(string $kind, string $medium, float $flow, float $load, StageInflow $water): ?float
    {
        $takes = fn(float $litres): float => LoopCapacity::of(
            [
                new FilterStage(
                    kind: $this->kinds->get($kind),
                    areaM2M3: $this->media->get($medium)->areaM2M3,
                    mediaL: $litres,
                    flowLH: $flow,
                    branch: null,
                    airLMin: max(1.0, $litres / self::CARRIER_PER_AIR_L_MIN),
                    maturity: 1.0,
                    fouling: 0.0,
                ),
            ],
            $water,
        )->total();
        $high = 10.0;
        while ($takes($high) < $load) {
            $high *= 2;
            if ($high > self::LARGEST_L) {
                return null;
            }
        }
        $low = 0.0;
        for ($i = 0; $i < 30; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $takes($middle) < $load ? [$middle, $high] : [$low, $middle];
        }

        return $high;
    }
}
