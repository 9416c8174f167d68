<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Line;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Flow\Valve;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\Place;
use Ironwort\Core\Measure\Format;

/** What flows along a line, what it loses on the way, and what it lets out where it is a waste. */
final readonly class LineReport
{
    /** Entry and exit of a pipe, the least that holds water back. */
    private const IN_AND_OUT_K = 1.5;

    private const FLUSH_S = 10;

    public function __construct(private Registry $registry) {}

    /** @return array<string, mixed> */
    public function of(Line $line, LoopLine $built, ?LoopFlow $flow, float $temperature): array
    {
        $place = static fn(Place $place): array => ['kind' => $place->kind->value, 'id' => $place->id];
        $litres = $flow?->lineFlow($line->id);

        return [
            'id' => $line->id,
            'name' => $line->name,
            'from' => $place($line->from()),
            'to' => $place($line->to()),
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => $built->fittingsK,
            'valve_open_pct' => $line->valve_open_pct,
            'flow_l_h' => $litres,
            'velocity_m_s' => $flow?->lineVelocity($built),
            'ask' => $flow !== null && $built->open() && !$built->overflow ? $flow->asked('line', $line->id) : null,
            'overflow' => $built->overflow,
            'three_way' => $line->three_way_id !== null,
            'flush' => $built->waste ? $this->flush($line, $built, $temperature)?->toArray() : null,
            'drop' =>
                $litres === null || abs($litres) < 1
                    ? null
                    : $this->drop($line, $built, abs($litres), $temperature)->toArray(),
        ];
    }

    /** What a waste takes in ten seconds with its valve open; null until its fall is known. */
    private function flush(Line $line, LoopLine $built, float $temperature): ?Figure
    {
        if ($line->fall_mm === null) {
            return null;
        }
        $input = [
            'head_m' => $line->fall_mm / 1000,
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => max(self::IN_AND_OUT_K, $built->fittingsK),
            'seconds' => self::FLUSH_S,
            'temp_c' => $temperature,
        ];
        $result = $this->registry->run('service.flush', $input);

        return new Figure(
            label: "A flush by {$line->name}, ten seconds",
            value: $result->number('litres'),
            unit: 'L',
            calc: 'service.flush',
            key: 'litres',
            input: $input,
            origins: [
                new Origin(
                    'head_m',
                    'Falls by',
                    Format::number($line->fall_mm / 1000) . ' m',
                    'build',
                    "from the build of {$line->name}",
                ),
            ],
            say: Format::number($result->number('flow_l_s'), 2) . ' L a second while its valve is open.',
        );
    }

    /** What the line loses, as the one calculation that any line can be opened to. */
    private function drop(Line $line, LoopLine $built, float $litres, float $temperature): Figure
    {
        $valve = $line->valve_open_pct === null ? 0.0 : (float) Valve::k($line->valve_open_pct);
        $input = [
            'flow_l_h' => $litres,
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => $built->fittingsK + $valve,
            'temp_c' => $temperature,
        ];

        return new Figure(
            "Drop along {$line->name}",
            $this->registry->run('flow.gravity', $input)->number('level_drop_mm'),
            'mm',
            'flow.gravity',
            'level_drop_mm',
            $input,
            [
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($litres, 5) . ' L/h',
                    'computed',
                    'solved with the whole loop',
                ),
                new Origin(
                    'bore_mm',
                    'Bore',
                    Format::number($line->bore_mm) . ' mm',
                    'build',
                    "from the build of {$line->name}",
                ),
                new Origin(
                    'length_m',
                    'Length',
                    Format::number($line->length_m) . ' m',
                    'build',
                    "from the build of {$line->name}",
                ),
                new Origin(
                    'fittings_k',
                    'Fittings',
                    'K ' . Format::number($built->fittingsK + $valve, 3),
                    'build',
                    $valve > 0
                        ? 'sum of its fittings, and its valve at ' .
                            Format::number((float) $line->valve_open_pct) .
                            ' %'
                        : 'sum of its fittings',
                ),
                new Origin('roughness_mm', 'Wall', '0.0015 mm', 'assumed', 'assumed: smooth plastic'),
            ],
        );
    }
}
