<?php

declare(strict_types=1);

namespace App\Water;

use App\Models\System;
use App\Models\User;
use App\Models\WaterChange;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Measure\Format;

/** Books water changed or topped up; the same key again changes nothing. */
final readonly class BookChange
{
    public function __construct(private WaterBodies $bodies) {}

    /** A `wc 10%` of the log bar, from the water the system is filled from. */
    public function fromLine(System $system, User $user, string $id, Carbon $at, LogLine $line): WaterChange
    {
        try {
            $body = $this->body($system, null);

            return $this->book(
                $id,
                $system,
                $user,
                $at,
                'batch',
                $line->changeL ?? ((float) $line->changePct / 100) * $body->volumeL,
                $body,
                ['water_id' => $system->water_id],
            );
        } catch (BadInput $bad) {
            throw BadInput::at('line', implode(' ', $bad->errors));
        }
    }

    /**
     * @param  array<string, mixed>  $more  further columns
     *
     * @throws BadInput at `change_l`
     */
    public function book(
        string $id,
        System $system,
        User $user,
        Carbon $at,
        string $kind,
        float $litres,
        WaterBody $body,
        array $more = [],
    ): WaterChange {
        $volume = $body->volumeL;
        if ($litres > $volume * (1 + 1e-9)) {
            throw BadInput::at(
                'change_l',
                'No more can be changed than there is: ' . Format::number($volume, 4) . ' L.',
            );
        }

        return WaterChange::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$more,
                'kind' => $kind,
                'litres' => min($litres, $volume),
                'volume_l' => $volume,
                'vessel_id' => $body->vesselId,
                'changed_at' => $at,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
            ],
        );
    }

    /** @throws BadInput where the volume is not known, or the bay is not shut off */
    public function body(System $system, ?string $vesselId): WaterBody
    {
        $body = $this->bodies->find($system->loadMissing(['site', 'vessels', 'lines']), $vesselId);

        return $body->volumeL > 0
            ? $body
            : throw BadInput::at('change_l', 'The volume is not known yet: draw up the vessels under Build.');
    }
}
