<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;

/**
 * A network written as rows: open water by its level, and what joins one point to another.
 *
 * Kinds: `pipe` (bore, length, K, perhaps a check valve), `pump` (its curve) and `loss` (a stage by the head
 * it loses at a known flow). Inflows are what falls into a point from elsewhere.
 */
final readonly class NetworkRows
{
    private const MOST = 200;

    /** @return list<Input> */
    public static function inputs(): array
    {
        return [
            Input::rows(
                'surfaces',
                'Open water',
                [Input::text('point', 'Point', 100), Input::number('head_m', 'Level', 'm', -100, 100)],
                1,
                self::MOST,
            ),
            Input::rows(
                'links',
                'Links',
                [
                    Input::text('name', 'Name', 100),
                    Input::choice('kind', 'Kind', ['pipe', 'pump', 'loss']),
                    Input::text('from', 'From', 100),
                    Input::text('to', 'To', 100),
                    Input::number('bore_mm', 'Bore', 'mm', 4, 1000)->optional(),
                    Input::number('length_m', 'Length', 'm', 0, 1000)->optional(),
                    Input::number('fittings_k', 'Fittings, valve counted', null, 0, 1e12)->optional(),
                    Input::choice('check_valve', 'Check valve', ['yes', 'no'])->optional(),
                    Input::number('loss_m', 'Head lost', 'm', 0, 200)->optional(),
                    Input::number('loss_at_l_h', 'At a flow of', 'L/h', 0.1, 1e8)->optional(),
                    Input::rows(
                        'curve',
                        'Curve',
                        [
                            Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7),
                            Input::number('head_m', 'Head', 'm', 0, 200),
                        ],
                        2,
                        30,
                    )->optional(),
                ],
                1,
                self::MOST,
            ),
            Input::rows(
                'inflows',
                'Falls in',
                [Input::text('point', 'Point', 100), Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7)],
                0,
                self::MOST,
            )->optional(),
        ];
    }

    /**
     * @return array<string, float> level by point
     *
     * @throws BadInput
     */
    public static function surfaces(Given $given): array
    {
        $surfaces = [];
        foreach ($given->rows('surfaces') as $i => $row) {
            if (isset($surfaces[$row->text('point')])) {
                throw BadInput::at("surfaces.{$i}.point", 'This open water is listed twice.');
            }
            $surfaces[$row->text('point')] = $row->number('head_m');
        }

        return $surfaces;
    }

    /**
     * @return list<Link>
     *
     * @throws BadInput
     */
    public static function links(Given $given): array
    {
        $links = [];
        foreach ($given->rows('links') as $i => $row) {
            $name = $row->text('name');
            if (isset($links[$name])) {
                throw BadInput::at("links.{$i}.name", 'This link is listed twice.');
            }
            if ($row->text('from') === $row->text('to')) {
                throw BadInput::at("links.{$i}.to", 'A link leads from one point to another.');
            }
            $links[$name] = new Link(
                $name,
                $row->text('from'),
                $row->text('to'),
                self::element($row, "links.{$i}", $given->number('temp_c')),
            );
        }

        return array_values($links);
    }

    /** @return array<string, float> m³/s by point */
    public static function inflows(Given $given): array
    {
        $inflows = [];
        foreach ($given->rows('inflows') as $row) {
            $inflows[$row->text('point')] =
                ($inflows[$row->text('point')] ?? 0.0) + PipeInputs::m3s($row->number('flow_l_h'));
        }

        return $inflows;
    }

    private static function element(Given $row, string $path, float $tempC): Element
    {
        return match ($row->text('kind')) {
            'pipe' => new LineElement(
                new Pipe(
                    self::needs($row, 'bore_mm', $path) / 1000,
                    self::needs($row, 'length_m', $path),
                    $row->numberOrNull('fittings_k') ?? 0.0,
                    tempC: $tempC,
                ),
                $row->textOrNull('check_valve') === 'yes',
            ),
            'pump' => new PumpElement(self::curve($row, $path)),
            default => new ResistanceElement(
                PipeInputs::m3s(self::needs($row, 'loss_at_l_h', $path)),
                self::needs($row, 'loss_m', $path),
            ),
        };
    }

    private static function needs(Given $row, string $key, string $path): float
    {
        $value = $row->numberOrNull($key);
        if ($value === null) {
            throw BadInput::at("{$path}.{$key}", "A {$row->text('kind')} needs this.");
        }

        return $value;
    }

    private static function curve(Given $row, string $path): PumpCurve
    {
        if (!$row->has('curve')) {
            throw BadInput::at("{$path}.curve", 'A pump needs its curve.');
        }
        try {
            return PumpDutyCalculator::curve($row->rows('curve'));
        } catch (BadInput $bad) {
            throw new BadInput(
                array_combine(
                    array_map(static fn(string $key): string => "{$path}.{$key}", array_keys($bad->errors)),
                    array_values($bad->errors),
                ),
            );
        }
    }
}
