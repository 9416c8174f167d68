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
        foreach ($this->loop->lines as $line) {
            if ($line->to == Place::stage($stage->id)) {
                foreach ($this->sourcesOf($line) as $source) {
                    if ($source->kind === PlaceKind::Pump) {
                        return true;
                    }
                }
            }
        }

        return false;
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
