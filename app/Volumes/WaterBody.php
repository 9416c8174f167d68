<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/** One body of water that is dosed and changed: the loop as it stands, or a bay that is shut off. */
final readonly class WaterBody
{
    private function __construct(public ?string $vesselId, public string $name, public float $volumeL) {}

    /** @return list<self> */
    public static function all(System $system, ShutBays $cutOff): array
    {
        return array_map(
            static fn(array $body): self => new self($body['vessel_id'], $body['name'], $body['volume_l']),
            $cutOff->bodies($system),
        );
    }

    /** @throws BadInput at `body` */
    public static function find(System $system, ShutBays $cutOff, ?string $vesselId): self
    {
        foreach (self::all($system, $cutOff) as $body) {
            if ($body->vesselId === $vesselId || ($vesselId === '' && $body->vesselId === null)) {
                return $body;
            }
        }

        throw BadInput::at('body', 'This bay is not shut off: it is one water with the rest.');
    }
}
