<?php

declare(strict_types=1);

namespace App\Water;

use App\Expected\ExpectedWater;
use App\Http\SameDeed;
use App\Models\System;
use App\Models\User;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Measure\Format;

/** Books water changed or topped up; the same key again changes nothing. */
final readonly class BookChange
{
    public function __construct(
        private WaterBodies $bodies,
        private PutBack $putBack,
        private ExpectedWater $expected,
    ) {}

    /** A `wc 10%` of the log bar, from the water the system is filled from: poured already, so booked as it is. */
    public function fromLine(System $system, User $user, string $id, Carbon $at, LogLine $line): WaterChange
    {
        try {
            $body = $this->body($system, null);
            $litres = $line->changeL ?? ((float) $line->changePct / 100) * $body->volumeL;
            $source = $system->water_id === null ? null : WaterSource::query()->find($system->water_id);

            return $this->book(
                $id,
                $system,
                $user,
                $at,
                new PlannedChange(
                    kind: 'batch',
                    litres: $litres,
                    body: $body,
                    source: $source,
                    plannedMin: null,
                    dangerMin: null,
                    dangerBy: null,
                    putBack: $source === null ? [] : $this->lacks($system, $body, $source, $litres),
                    done: true,
                ),
            );
        } catch (BadInput $bad) {
            throw BadInput::at('line', implode(' ', $bad->errors));
        }
    }

    /**
     * What so much water of the kind the system is filled from is to be given.
     *
     * @return list<array{what: string, name: string, text: string, done: bool, good: string, amount: float,
     *     unit: ?string}>
     */
    public function lacking(System $system, WaterBody $body, float $litres): array
    {
        $source = $system->water_id === null ? null : WaterSource::query()->find($system->water_id);

        return $source === null ? [] : $this->lacks($system, $body, $source, $litres);
    }

    /**
     * What the new water is to be given, as it stands on the change until it is ticked off.
     *
     * @return list<array{what: string, name: string, text: string, done: bool, good: string, amount: float,
     *     unit: ?string}>
     */
    private function lacks(System $system, WaterBody $body, WaterSource $source, float $litres): array
    {
        $waters = TwoWaters::of($system, LatestWater::of($system), $this->expected, $body, $source->id);

        return array_map(
            static fn(PutBackItem $item): array => $item->open(),
            $this->putBack->of($system, $waters, $litres),
        );
    }

    /** @throws BadInput at `again` where somebody else has just booked such a change */
    public function refuseSame(System $system, User $user, PlannedChange $change, bool $again): void
    {
        if ($again || $change->kind !== 'batch') {
            return;
        }
        SameDeed::refuse(
            WaterChange::query()
                ->with(['water', 'vessel'])
                ->where('kind', 'batch')
                ->where('vessel_id', $change->body->vesselId)
                ->whereNull('withdrawn_at'),
            'changed_at',
            $system,
            $user,
            Carbon::now(),
            static fn(WaterChange $before): string => $before->text(),
        );
    }

    /** @throws BadInput at `change_l` */
    public function book(string $id, System $system, User $user, Carbon $at, PlannedChange $change): WaterChange
    {
        $volume = $change->body->volumeL;
        if ($change->litres > $volume * (1 + 1e-9)) {
            throw BadInput::at(
                'change_l',
                'No more can be changed than the volume: ' . Format::number($volume, 4) . ' L.',
            );
        }

        return WaterChange::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                'kind' => $change->kind,
                'litres' => min($change->litres, $volume),
                'volume_l' => $volume,
                'vessel_id' => $change->body->vesselId,
                'changed_at' => $at,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'water_id' => $change->source?->id,
                'pump_off' => $change->plannedMin !== null,
                'planned_min' => $change->plannedMin,
                'danger_min' => $change->dangerMin,
                'danger_by' => $change->dangerBy,
                'put_back' => $change->putBack,
                'as_fact' => $change->done,
            ],
        );
    }

    /** @throws BadInput where the volume is not known, or the bay is not shut off */
    public function body(System $system, ?string $vesselId): WaterBody
    {
        $body = $this->bodies->find($system->loadMissing(['site', 'vessels', 'lines']), $vesselId);

        return $body->volumeL > 0
            ? $body
            : throw BadInput::at('change_l', 'Volume not known. Describe the vessels on Build.');
    }
}
