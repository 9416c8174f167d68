<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** How the parts of a loop are joined: what feeds a part, and where a line leads, through junctions if need be. */
final readonly class Ways
{
    public function __construct(private Loop $loop) {}

    /** @return list<Place> the parts that a line leads to, whatever junctions lie between */
    public function reachedBy(LoopLine $line): array
    {
        return $this->beyond($line->to, false, []);
    }

    /** @return list<Place> the parts that a line comes from */
    public function sourcesOf(LoopLine $line): array
    {
        return $this->beyond($line->from, true, []);
    }

    /** @return list<LoopLine> that begin or end at a junction */
    public function meetingAt(Junction $junction): array
    {
        return array_values(
            array_filter(
                $this->loop->lines,
                static fn(LoopLine $line): bool => self::is($line->from, $junction->id) ||
                    self::is($line->to, $junction->id),
            ),
        );
    }

    /** Whether what a line carries can be shut off before it reaches a part: by its own valve, or by one further on. */
    public function canBeShut(LoopLine $line): bool
    {
        if ($line->valveOpenPct !== null) {
            return true;
        }
        if ($line->to->kind !== PlaceKind::Junction) {
            return false;
        }
        $on = array_filter(
            $this->loop->lines,
            static fn(LoopLine $other): bool => $other->from == $line->to && $other->id !== $line->id,
        );

        return $on !== [] && array_filter($on, fn(LoopLine $other): bool => !$this->canBeShut($other)) === [];
    }

    /** Whether a pump lifts the water of a stage to it, so that it stands at no level of the vessels. */
    public function pumpFed(LoopStage $stage): bool
    {
        return $this->pumpsOf($stage->id) !== [];
    }

    /** @return list<string> ids of the stages whose water comes to a stage, through pumps too; the nearest first */
    public function stagesBefore(string $stage): array
    {
        $seen = [Place::stage($stage)];
        for ($at = 0; $at < count($seen); $at++) {
            foreach ($this->loop->lines as $line) {
                if ($line->to != $seen[$at]) {
                    continue;
                }
                foreach ($this->sourcesOf($line) as $source) {
                    if (
                        in_array($source->kind, [PlaceKind::Stage, PlaceKind::Pump], true) &&
                        !in_array($source, $seen, false)
                    ) {
                        $seen[] = $source;
                    }
                }
            }
        }
        $stages = array_filter(array_slice($seen, 1), static fn(Place $one): bool => $one->kind === PlaceKind::Stage);

        return array_values(array_map(static fn(Place $one): string => $one->id, $stages));
    }

    /** @return list<string> ids of the pumps that press water into a stage */
    public function pumpsOf(string $stage): array
    {
        $pumps = [];
        foreach ($this->loop->lines as $line) {
            foreach ($line->to == Place::stage($stage) ? $this->sourcesOf($line) : [] as $source) {
                if ($source->kind === PlaceKind::Pump) {
                    $pumps[] = $source->id;
                }
            }
        }

        return $pumps;
    }

    private static function is(Place $place, string $junction): bool
    {
        return $place->kind === PlaceKind::Junction && $place->id === $junction;
    }

    /**
     * @param  list<string>  $seen  junctions passed on the way
     * @return list<Place>
     */
    private function beyond(Place $place, bool $back, array $seen): array
    {
        if ($place->kind !== PlaceKind::Junction) {
            return [$place];
        }
        if (in_array($place->id, $seen, true)) {
            return [];
        }
        $found = [];
        foreach ($this->loop->lines as $line) {
            if (self::is($back ? $line->to : $line->from, $place->id)) {
                array_push($found, ...$this->beyond($back ? $line->from : $line->to, $back, [...$seen, $place->id]));
            }
        }

        return $found;
    }
}
