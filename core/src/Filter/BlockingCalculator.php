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
use Ironwort\Core\Words\Message;

/**
 * Why a filter blocks too fast: every cause whose figure is past where it counts, the furthest first.
 *
 * Its own dirt fills it in room / caught days. Where it blocks much sooner than that, and nothing else is known,
 * dirt comes from somewhere that the feed does not explain: out of the pond.
 *
 *     blocks_d 6, caught_g_d 100, room_g 3000, silt_m2 3, floor_m2 9  →  first silt, sooner 5, silt_pct 33.3
 *
 * @source cp-blocking
 */
final readonly class BlockingCalculator implements Calculator
{
    private const MOST_DAYS = 3650.0;

    /** @param  list<BlockingCause>  $causes */
    public function __construct(private array $causes) {}

    public function name(): string
    {
        return 'filter.blocking';
    }

    public function title(): string
    {
        return 'Why a filter blocks too fast';
    }

    public function inputs(): array
    {
        return [
            Input::number('blocks_d', 'Days from a wash until it blocks', 'd', 0.1, 3650),
            Input::number('caught_g_d', 'Dirt it catches', 'g/d', 0, 1e6)->optional(),
            Input::number('room_g', 'Dirt it holds', 'g', 0, 1e9)->optional(),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6)->optional(),
            Input::number('feed_g_d', 'Feed', 'g/d', 0, 1e6)->optional(),
            Input::number('uneaten_pct', 'Left uneaten', '%', 0, 100)->optional(),
            Input::number('load_g_d', 'Ammonia load', 'g N/d', 0, 1e6)->optional(),
            Input::number('capacity_g_d', 'What the filter takes', 'g N/d', 0, 1e6)->optional(),
            Input::number('clarity_cm', 'Sight', 'cm', 1, 1000)->optional(),
            Input::number('silt_m2', 'Floor under silt', 'm²', 0, 1e6)->optional(),
            Input::number('floor_m2', 'Floor', 'm²', 0, 1e6)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('causes'),
            new Output('first'),
            new Output('expected_d', 'd'),
            new Output('sooner'),
            new Output('silt_pct', '%'),
            new Output('feed_pct', '%'),
            new Output('load_pct', '%'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $blocks = $given->number('blocks_d');
        $share = static function (string $part, string $of, float $times) use ($given): ?float {
            $whole = $given->numberOrNull($of);
            $value = $given->numberOrNull($part);

            return $value === null || $whole === null || $whole <= 0 ? null : ($times * $value) / $whole;
        };
        $fills = $share('room_g', 'caught_g_d', 1.0);
        $figures = [
            'expected_d' => $fills === null ? null : min(self::MOST_DAYS, $fills),
            'sooner' => $fills === null ? null : min(self::MOST_DAYS, $fills) / $blocks,
            'silt_pct' => $share('silt_m2', 'floor_m2', 100.0),
            'feed_pct' => $share('feed_g_d', 'biomass_kg', 0.1),
            'load_pct' => $share('load_g_d', 'capacity_g_d', 100.0),
            'uneaten_pct' => $given->numberOrNull('uneaten_pct'),
            'clarity_cm' => $given->numberOrNull('clarity_cm'),
        ];
        $found = [];
        $work = new Working();
        foreach ($this->causes as $cause) {
            $value = $figures[$cause->figure] ?? null;
            $weight = $cause->weight($value);
            if ($value !== null) {
                $work->step(
                    $cause->name . '.',
                    "counts from {$cause->from} {$cause->unit}",
                    Format::number($value, 3) . " {$cause->unit}",
                    $weight === null ? 'no' : 'yes, ' . Format::number($weight, 2) . ' times that',
                );
            }
            if ($weight !== null) {
                $found[] = [
                    'id' => $cause->id,
                    'name' => $cause->name,
                    'value' => $value,
                    'unit' => $cause->unit,
                    'from' => $cause->from,
                    'weight' => $weight,
                    'code' => $cause->code,
                ];
            }
            $work->cite($cause->source);
        }
        // Dirt that nothing explains is told last where something else explains it.
        usort(
            $found,
            static fn(array $a, array $b): int => [$a['id'] === 'unexplained', $b['weight']] <=> [
                $b['id'] === 'unexplained',
                $a['weight'],
            ],
        );
        foreach ($found as $cause) {
            $work->watch(Message::of($cause['code']));
        }
        if ($found === []) {
            $work->note(Message::of('filter.blocking_nothing'));
        }

        return $work->result([
            'causes' => $found,
            'first' => $found[0]['id'] ?? null,
            ...array_diff_key($figures, ['uneaten_pct' => 0, 'clarity_cm' => 0]),
        ]);
    }
}
