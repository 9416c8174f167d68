<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Filter\StageKind;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Words\Message;
use PHPUnit\Framework\TestCase;

/** Lines at which a filter is judged otherwise, each at the line and beside it. */
final class LinesTest extends TestCase
{
    use Calculations;

    /**
     * Rusten et al. 2006: on moving carriers oxygen limits below 3.2 g of it for a gram of ammonia, so that water with
     * 5 mg/L of ammonia and 4 of oxygen is worked through like water with 1.25 of ammonia and oxygen enough.
     */
    public function test_a_moving_carrier_takes_no_more_than_a_gram_of_ammonia_for_3_2_of_oxygen(): void
    {
        $takes = fn(float $tan, float $oxygen): float => $this->figure(
            'filter.capacity',
            [
                'temp_c' => 20,
                'ph' => 7.6,
                'do_in_mg_l' => $oxygen,
                'tan_mg_l' => $tan,
                'alkalinity_mg_l' => 300,
                'stages' => [
                    [
                        'kind' => 'moving_bed',
                        'medium' => 'moving_carrier',
                        'media_l' => 50,
                        'flow_l_h' => 1_000_000,
                        'air_l_min' => 60,
                    ],
                ],
            ],
            'total_g_d',
        );
        self::assertEqualsWithDelta($takes(4 / 3.2, 9.0), $takes(5.0, 4.0), 0.02 * $takes(5.0, 4.0));
        self::assertGreaterThan(1.1 * $takes(5.0, 4.0), $takes(5.0, 6.0));
    }

    public function test_a_cause_of_blocking_counts_from_its_very_line(): void
    {
        foreach (Library::shipped()->blocking() as $cause) {
            $step = $cause->weight(2 * $cause->from) === null ? 0.001 : -0.001;
            self::assertEqualsWithDelta(1.0, $cause->weight($cause->from), 1e-12, $cause->id);
            self::assertNull($cause->weight($cause->from + $step), $cause->id);
        }
    }

    public function test_a_stage_fouls_to_nine_tenths_and_no_further(): void
    {
        $fouled = fn(int $days): float => $this->calculate('filter.solids', [
            'feed_g_d' => 2000,
            'temp_c' => 20,
            'stages' => [['kind' => 'brush', 'flow_l_h' => 9000, 'media_l' => 100, 'days_since_flush' => $days]],
        ])->figures['stages'][0]['fouling_pct'];
        self::assertEqualsWithDelta(90.0, $fouled(2000), 1e-9);
    }

    public function test_readings_of_nothing_are_what_a_kit_cannot_tell_from_nothing(): void
    {
        $said = fn(float $low): array => array_map(
            static fn(Message|Caution $one): string => $one instanceof Caution ? $one->message->code : $one->code,
            $this->notes($low),
        );
        self::assertContains('filter.from_readings_kit_cannot_tell_ammonia', $said(0.0));
        self::assertNotContains('filter.from_readings_kit_cannot_tell_ammonia', $said(0.05));
    }

    /** @return list<Message|Caution> */
    private function notes(float $low): array
    {
        $readings = array_map(static fn(int $day): array => ['day' => $day, 'low_mg_l' => $low, 'high_mg_l' => 0.1], [
            0,
            7,
            14,
            21,
        ]);

        return $this->calculate('filter.from_readings', [
            'volume_l' => 10000,
            'load_g_d' => 30,
            'readings' => $readings,
        ])->cautions;
    }

    public function test_a_stage_carries_where_it_has_media_and_water_goes_through_them(): void
    {
        $kinds = Library::shipped()->stageKinds();
        self::assertTrue($kinds->get('moving_bed')->carries(0.1));
        self::assertFalse($kinds->get('moving_bed')->carries(0.0));
        self::assertFalse($kinds->get('moving_bed')->carries(60.0, bypassed: true));
        self::assertFalse($kinds->get('uv')->carries(60.0));
    }

    /** Walls, floss, carbon and zeolite hold bacteria, yet a new one makes no young filter of a grown one. */
    public function test_a_filter_is_as_young_as_its_media_for_bacteria(): void
    {
        $started = array_filter(
            Library::shipped()->stageKinds()->all(),
            static fn(StageKind $kind): bool => $kind->matures(10.0),
        );
        self::assertSame(
            [
                'brush',
                'static_bed',
                'moving_bed',
                'matting',
                'bead_vessel',
                'shower',
                'bog',
                'sponge',
                'gravel',
                'upflow',
            ],
            array_column($started, 'id'),
        );
        self::assertFalse($started[array_key_first($started)]->matures(10.0, bypassed: true));
    }
}
