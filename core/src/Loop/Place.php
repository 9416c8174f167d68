<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** Where a line begins or ends: a vessel, a stage, a pump, a junction of lines, or outside the loop. */
final readonly class Place
{
    private function __construct(public PlaceKind $kind, public string $id) {}

    public static function vessel(string $id): self
    {
        return new self(PlaceKind::Vessel, $id);
    }

    public static function stage(string $id): self
    {
        return new self(PlaceKind::Stage, $id);
    }

    public static function pump(string $id): self
    {
        return new self(PlaceKind::Pump, $id);
    }

    public static function junction(string $id): self
    {
        return new self(PlaceKind::Junction, $id);
    }

    public static function outside(): self
    {
        return new self(PlaceKind::Outside, '');
    }
}
