<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\ClientKey;
use App\Models\AirOutlet;
use App\Models\FishGroup;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Part;
use App\Models\Pump;
use App\Models\ShutOff;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Models\Visit;
use Ironwort\Core\Calc\BadInput;

/** Takes a part out of a build: for good while the book says nothing of it, else by retiring it. */
final readonly class RemovePart
{
    public const KINDS = [
        'vessels' => Vessel::class,
        'stages' => Stage::class,
        'pumps' => Pump::class,
        'lines' => Line::class,
        'junctions' => Junction::class,
        'outlets' => AirOutlet::class,
        'fish' => FishGroup::class,
    ];

    /** @throws BadInput with the reason at `id` */
    public function delete(System $system, string $kind, string $id): void
    {
        ClientKey::refuseForeign(self::KINDS[$kind], $id, $system->site_id, $system->id);
        $part = $this->find($system, $kind, $id);
        if ($part === null) {
            return;
        }
        $this->refuseWhileJoined($system, $part);
        $written = $part instanceof Vessel ? $this->written($system, $part) : [];
        if ($written !== []) {
            throw BadInput::at(
                'id',
                'It is in the book: ' . implode(', ', $written) . '. It can be retired, and what is written stays.',
            );
        }
        $part->delete();
    }

    /** @throws BadInput with the reason at `id` */
    public function retire(System $system, string $kind, string $id, bool $retired): void
    {
        ClientKey::refuseForeign(self::KINDS[$kind], $id, $system->site_id, $system->id);
        $part = $this->find($system, $kind, $id) ?? throw BadInput::at('id', 'There is no such part here.');
        if (!($part instanceof Vessel) && !($part instanceof Stage) && !($part instanceof Pump)) {
            throw BadInput::at('id', 'Only vessels, stages and pumps are retired.');
        }
        if ($retired) {
            $this->refuseWhileJoined($system, $part);
        } elseif (
            $part instanceof Vessel &&
            $system->vessels->contains(
                static fn(Vessel $other): bool => mb_strtolower($other->name) === mb_strtolower($part->name),
            )
        ) {
            throw BadInput::at('id', 'Another vessel has its name now. Rename that one first.');
        }
        $part->setAttribute('retired_at', $retired ? now() : null);
        $part->save();
    }

    private function find(System $system, string $kind, string $id): ?Part
    {
        return self::KINDS[$kind]::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->first();
    }

    private function refuseWhileJoined(System $system, Part $part): void
    {
        $lines =
            $part instanceof Line
                ? []
                : $system->lines
                    ->filter(
                        static fn(Line $line): bool => $line->from()->id === $part->id || $line->to()->id === $part->id,
                    )
                    ->map(static fn(Line $line): string => $line->name)
                    ->all();
        if ($lines !== []) {
            throw BadInput::at(
                'id',
                'Lines still lead here: ' . implode(', ', $lines) . '. Move or remove them first.',
            );
        }
        $layers =
            $part instanceof Stage
                ? $system->stages
                    ->where('chamber_id', $part->id)
                    ->map(static fn(Stage $one): string => $one->name)
                    ->all()
                : [];
        if ($layers !== []) {
            throw BadInput::at('id', 'In its chamber lie ' . implode(', ', $layers) . '. Move or remove them first.');
        }
        $aired = $system->airOutlets
            ->filter(
                static fn(AirOutlet $one): bool => in_array(
                    $part->id,
                    [$one->pump_id, $one->vessel_id, $one->stage_id],
                    true,
                ),
            )
            ->map(static fn(AirOutlet $one): string => $one->name)
            ->all();
        if ($aired !== []) {
            throw BadInput::at('id', 'Air is led here: ' . implode(', ', $aired) . '. Remove these outlets first.');
        }
        $inside =
            $part instanceof Vessel
                ? [
                    ...$system->stages
                        ->where('vessel_id', $part->id)
                        ->map(static fn(Stage $one): string => $one->name)
                        ->all(),
                    ...$system->pumps
                        ->where('vessel_id', $part->id)
                        ->map(static fn(Pump $one): string => $one->name)
                        ->all(),
                    ...$system->fish
                        ->where('vessel_id', $part->id)
                        ->map(static fn(FishGroup $one): string => $one->name)
                        ->all(),
                ]
                : [];
        if ($inside !== []) {
            throw BadInput::at('id', 'Still in it: ' . implode(', ', $inside) . '. Move them first.');
        }
    }

    /** @return list<string> what the book says of a vessel */
    private function written(System $system, Vessel $vessel): array
    {
        $only = $system->vessels->count() === 1;
        $visits = Visit::query()->where('system_id', $system->id);
        $readings = ($only ? $visits : $visits->where('vessel_id', $vessel->id))->exists();

        return [
            ...$readings ? [$only ? 'readings were taken in this, the only vessel' : 'readings were taken in it'] : [],
            ...ShutOff::query()->where('vessel_id', $vessel->id)->exists() ? ['it was shut off at times'] : [],
        ];
    }
}
