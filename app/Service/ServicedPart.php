<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Calc\BadInput;

/** Something of a system that jobs are done on: a stage, a pump, a vessel, or the whole of it. */
final readonly class ServicedPart
{
    /** @param  list<string>  $kinds  as the table of jobs names them */
    private function __construct(
        public string $kind,
        public string $id,
        public string $name,
        public array $kinds,
        public Stage|Pump|Vessel|null $part,
    ) {}

    /** @return list<self> in the order of the flow, the system last */
    public static function all(System $system): array
    {
        return [
            ...array_map(
                static fn(Vessel $one): self => new self(
                    'vessel',
                    $one->id,
                    $one->name,
                    self::kindsOf($system, $one),
                    $one,
                ),
                array_values($system->vessels->all()),
            ),
            ...array_map(
                static fn(Stage $one): self => new self('stage', $one->id, $one->name, [$one->kind], $one),
                array_values($system->stages->all()),
            ),
            ...array_map(
                static fn(Pump $one): self => new self('pump', $one->id, $one->name, ["pump:{$one->kind}"], $one),
                array_values($system->pumps->all()),
            ),
            new self('system', $system->id, $system->name, ['system'], null),
        ];
    }

    /** @throws BadInput at `part` */
    public static function named(System $system, mixed $key): self
    {
        foreach (self::all($system) as $part) {
            if ($key === "{$part->kind}:{$part->id}") {
                return $part;
            }
        }
        throw BadInput::at('part', 'There is no such part in this system.');
    }

    /** @return list<string> */
    private static function kindsOf(System $system, Vessel $vessel): array
    {
        $drained = $system->lines->contains(
            static fn(Line $line): bool => $line->from_vessel_id === $vessel->id && $line->to()->id === '',
        );

        return [...$vessel->holdsFish() ? ['fish'] : [], ...$drained ? ['drained'] : []];
    }
}
