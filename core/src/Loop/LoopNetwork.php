<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Flow\Valve;

/**
 * A loop written as the network it is: points by the names of its parts, levels, and what joins them.
 *
 * An overflow is no part of the network: what comes to its vessel spills on, and falls in where it leads.
 * What stands inside a vessel is joined to its water directly.
 */
final readonly class LoopNetwork
{
    /** Water passes into a stage or pump that stands in it almost for nothing. */
    private const JOIN = ['kind' => 'loss', 'loss_m' => 0.001, 'loss_at_l_h' => 10000.0];

    /** @var array<string, string> part (`line ID`) to the name it has in the network */
    private array $names;

    public function __construct(private Loop $loop)
    {
        $names = $taken = [];
        foreach (
            [
                'vessel' => $loop->vessels,
                'stage' => $loop->stages,
                'pump' => $loop->pumps,
                'junction' => $loop->junctions,
                'line' => $loop->lines,
            ]
            as $kind => $parts
        ) {
            foreach ($parts as $part) {
                $name = mb_substr($part->name, 0, 80);
                $taken[mb_strtolower($name)] = ($taken[mb_strtolower($name)] ?? 0) + 1;
                $names["{$kind} {$part->id}"] =
                    $taken[mb_strtolower($name)] === 1 ? $name : "{$name} ({$taken[mb_strtolower($name)]})";
            }
        }
        $this->names = $names;
    }

    public function link(string $kind, string $id): string
    {
        return $this->names["{$kind} {$id}"] ?? '';
    }

    public function point(Place $place, bool $leaving): string
    {
        $name = $this->link($place->kind->value, $place->id);

        return in_array($place->kind, [PlaceKind::Vessel, PlaceKind::Junction], true)
            ? $name
            : "{$name}, " . ($leaving ? 'out' : 'in');
    }

    /** The lip of a return that falls. */
    public function lip(LoopLine $line): string
    {
        return 'lip of ' . $this->link('line', $line->id);
    }

    /** Whether a vessel sends its water on only over an overflow, and so finds its own level. */
    public function spills(LoopVessel $vessel): bool
    {
        $out = array_filter(
            $this->loop->lines,
            static fn(LoopLine $line): bool => $line->open() &&
                $line->from->kind === PlaceKind::Vessel &&
                $line->from->id === $vessel->id,
        );

        return $out !== [] && array_filter($out, static fn(LoopLine $line): bool => !$line->overflow) === [];
    }

    /**
     * @param  array<string, float>  $inflows  what overflows send on by point, L/h
     * @return array<string, mixed> input of `flow.network`
     */
    public function rows(array $inflows = []): array
    {
        $surfaces = $links = [];
        foreach ($this->loop->vessels as $vessel) {
            $surfaces[] = ['point' => $this->link('vessel', $vessel->id), 'head_m' => $vessel->levelM];
        }
        foreach ($this->loop->lines as $line) {
            if (!$line->open() || $this->overflows($line)) {
                continue;
            }
            if ($this->falls($line)) {
                $surfaces[] = [
                    'point' => $this->lip($line),
                    'head_m' => $this->level($line->to->id) + $line->endsAboveM,
                ];
            }
            $links[] = [
                'name' => $this->link('line', $line->id),
                'kind' => 'pipe',
                'from' => $this->point($line->from, true),
                'to' => $this->falls($line) ? $this->lip($line) : $this->point($line->to, false),
                'bore_mm' => $line->boreMm,
                'length_m' => $line->lengthM,
                'fittings_k' =>
                    $line->fittingsK + ($line->valveOpenPct === null ? 0.0 : (float) Valve::k($line->valveOpenPct)),
                ...$line->checkValve ? ['check_valve' => 'yes'] : [],
            ];
        }
        foreach ($this->loop->stages as $stage) {
            $place = Place::stage($stage->id);
            $links[] = [
                'name' => $this->link('stage', $stage->id),
                'kind' => 'loss',
                'from' => $this->point($place, false),
                'to' => $this->point($place, true),
                'loss_m' => $stage->bypassed ? 0.0 : $stage->wholeLossM(),
                'loss_at_l_h' => PipeInputs::litresPerHour($stage->lossAtM3s),
            ];
            if ($stage->insideVessel !== null && !$this->fed($place)) {
                $links[] = [
                    'name' => "into {$this->link('stage', $stage->id)}",
                    'from' => $this->link('vessel', $stage->insideVessel),
                    'to' => $this->point($place, false),
                    ...self::JOIN,
                ];
            }
            if ($stage->insideVessel !== null && !$this->emptied($place)) {
                $links[] = [
                    'name' => "out of {$this->link('stage', $stage->id)}",
                    'from' => $this->point($place, true),
                    'to' => $this->link('vessel', $stage->insideVessel),
                    ...self::JOIN,
                ];
            }
        }
        foreach ($this->loop->pumps as $pump) {
            if (!$pump->on) {
                continue;
            }
            $place = Place::pump($pump->id);
            $name = $this->link('pump', $pump->id);
            $links[] = [
                'name' => $name,
                'kind' => 'pump',
                'from' => $this->point($place, false),
                'to' => $this->point($place, true),
                'curve' => $pump->curve->points(),
            ];
            if ($pump->insideVessel !== null && !$this->fed($place)) {
                $links[] = [
                    'name' => "into {$name}",
                    'from' => $this->link('vessel', $pump->insideVessel),
                    'to' => $this->point($place, false),
                    ...self::JOIN,
                ];
            }
            if ($pump->insideVessel !== null && !$this->emptied($place)) {
                $surfaces[] = [
                    'point' => "lip of {$name}",
                    'head_m' => $this->level($pump->insideVessel) + $pump->lipM,
                ];
                $links[] = [
                    'name' => "out of {$name}",
                    'from' => $this->point($place, true),
                    'to' => "lip of {$name}",
                    ...self::JOIN,
                ];
            }
        }
        $falling = array_map(
            static fn(string $point, float $flow): array => ['point' => $point, 'flow_l_h' => $flow],
            array_keys($inflows),
            array_values($inflows),
        );

        return [
            'surfaces' => $surfaces,
            'links' => $links,
            ...$falling === [] ? [] : ['inflows' => $falling],
            'temp_c' => $this->loop->tempC,
        ];
    }

    /** Whether a return works against the height of its own lip. */
    public function falls(LoopLine $line): bool
    {
        return $line->to->kind === PlaceKind::Vessel && $line->endsAboveM > 0;
    }

    public function overflows(LoopLine $line): bool
    {
        return $line->overflow && $line->from->kind === PlaceKind::Vessel;
    }

    private function level(string $vessel): float
    {
        foreach ($this->loop->vessels as $candidate) {
            if ($candidate->id === $vessel) {
                return $candidate->levelM;
            }
        }

        return 0.0;
    }

    private function fed(Place $place): bool
    {
        return array_filter(
            $this->loop->lines,
            static fn(LoopLine $line): bool => $line->to->kind === $place->kind && $line->to->id === $place->id,
        ) !== [];
    }

    private function emptied(Place $place): bool
    {
        return array_filter(
            $this->loop->lines,
            static fn(LoopLine $line): bool => !$line->waste &&
                $line->from->kind === $place->kind &&
                $line->from->id === $place->id,
        ) !== [];
    }
}
