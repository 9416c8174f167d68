<?php

declare(strict_types=1);

namespace App\Water;

use App\Expected\ExpectedWater;
use App\Forms\TypedFields;
use App\Http\Controller;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use App\Volumes\VolumeReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Water to be changed, water that runs in, and water that was changed. */
final class WaterController extends Controller
{
    public function __construct(private readonly WaterReport $report, private readonly VolumeReport $volumes) {}

    public function show(Request $request, System $system): JsonResponse
    {
        return new JsonResponse(
            $this->report->of($system->unsetRelations(), LatestWater::of($system), $this->typed($request)),
        );
    }

    /**
     * Books a change or a top-up by litres, share, level or meter; with the pump off it stays open until flow is
     * seen.
     */
    public function book(
        Request $request,
        System $system,
        string $id,
        BookChange $changes,
        ChangeAmount $amount,
        PumpOffTime $pumpOff,
        PutBack $putBack,
        ExpectedWater $expected,
    ): JsonResponse {
        $typed = new TypedFields($request->all());
        $kind = $request->input('kind') === 'topup' ? 'topup' : 'batch';
        if (!in_array($request->input('kind'), WaterChange::KINDS, true)) {
            $typed->refuse('kind', 'Say whether it was a change or a top-up.');
        }
        $body = $changes->body($system, $typed->text('body'));
        $litres = $amount->of($system, $body, $typed);
        if ($litres === null) {
            $typed->refuse('change_l', 'Say how much.');
        }
        $source = $typed->text('water');
        if (
            $source !== null &&
            !WaterSource::query()->where('site_id', $system->site_id)->whereKey($source)->exists()
        ) {
            $typed->refuse('water', 'There is no such water.');
        }
        $water = LatestWater::of($system);
        $waters = TwoWaters::of($system, $water, $expected, $body, $source);
        if ($source !== null && $waters->scalds() !== null) {
            $typed->refuse('water', (string) $waters->scalds());
        }
        $off = $request->boolean('pump_off') && $kind === 'batch';
        $planned = $off
            ? $typed->number(Input::number('planned_min', 'Minutes the pump is off', 'min', 1, 1440))
            : null;
        if ($off && $planned === null) {
            $typed->refuse('planned_min', 'For how many minutes is the pump to be off?');
        }
        $typed->throwIfAny();
        $bound = $off ? $pumpOff->of($system, $water, (float) $litres) : null;
        $items =
            $kind === 'batch' && $source !== null
                ? array_map(
                    static fn(array $item): array => [
                        'what' => $item['what'],
                        'name' => $item['name'],
                        'text' => $item['text'],
                        'done' => false,
                        'good' => $item['good'],
                        'amount' => $item['figure']['value'],
                        'unit' => $item['figure']['unit'],
                    ],
                    $putBack->of($system, $waters, (float) $litres),
                )
                : [];
        $changes->book($id, $system, $this->person($request), Carbon::now(), $kind, (float) $litres, $body, [
            'water_id' => $source,
            'pump_off' => $off,
            'planned_min' => $planned,
            'danger_min' => $bound?->minutes,
            'danger_by' => $bound?->decides,
            'put_back' => $items,
        ]);

        return $this->show($request, $system);
    }

    /** Somebody saw water flow again. Nothing else ends a change with the pump off. */
    public function flow(Request $request, System $system, string $id): JsonResponse
    {
        WaterChange::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->where('pump_off', true)
            ->whereNull('flow_seen_at')
            ->update(['flow_seen_at' => now(), 'flow_seen_by' => $this->person($request)->id]);

        return $this->show($request, $system);
    }

    /** One thing that was to be put back is in. */
    public function putIn(Request $request, System $system, string $id, string $what): JsonResponse
    {
        DB::transaction(static function () use ($system, $id, $what): void {
            $change = self::find($system, $id, lock: true);
            foreach ($change->put_back as $item) {
                if ($item['what'] === $what && !$item['done'] && isset($item['good'], $item['amount'], $item['unit'])) {
                    TakeFromShelf::off($system->site_id, $item['good'], (float) $item['amount'], $item['unit']);
                }
            }
            $change->put_back = array_map(
                static fn(array $item): array => $item['what'] === $what ? [...$item, 'done' => true] : $item,
                $change->put_back,
            );
            $change->save();
        });

        return $this->show($request, $system);
    }

    /** Takes a booked change back; it stays in the book, unseen. */
    public function withdraw(Request $request, System $system, string $id): JsonResponse
    {
        $change = self::find($system, $id);
        if ($change->running()) {
            throw BadInput::at('flow', 'Its pump is off still: see that water flows, and say so first.');
        }
        $change->withdrawn_at ??= Carbon::now();
        $change->save();

        return $this->show($request, $system);
    }

    /** A trickle is opened; the one that ran before it ends. */
    public function open(Request $request, System $system, string $id, TrickleReport $trickles): JsonResponse
    {
        $typed = new TypedFields($request->all());
        $volume = $this->volumes->inUse($system->unsetRelations())->value;
        $given = $trickles->flow($volume, $typed);
        if ($given === null) {
            $typed->refuse('pct_per_week', 'Say how much trickles in.');
        }
        $source = $typed->text('water');
        if (
            $source !== null &&
            !WaterSource::query()->where('site_id', $system->site_id)->whereKey($source)->exists()
        ) {
            $typed->refuse('water', 'There is no such water.');
        }
        $typed->throwIfAny();
        $flow = $given['flow_l_h'] ?? ((($given['pct_per_week'] ?? 0.0) / 100) * $volume) / 168;
        DB::transaction(function () use ($request, $system, $id, $flow, $source): void {
            if (Trickle::query()->whereKey(strtoupper($id))->exists()) {
                return;
            }
            Trickle::running($system)
                ?->fill(['ended_at' => Carbon::now()])
                ->save();
            Trickle::query()->create([
                'id' => strtoupper($id),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
                'water_id' => $source,
                'flow_l_h' => $flow,
                'started_at' => Carbon::now(),
            ]);
        });

        return $this->show($request, $system);
    }

    public function close(Request $request, System $system, string $id): JsonResponse
    {
        $running = Trickle::running($system);
        if ($running?->id === strtoupper($id)) {
            $running->fill(['ended_at' => Carbon::now()])->save();
        }

        return $this->show($request, $system);
    }

    private static function find(System $system, string $id, bool $lock = false): WaterChange
    {
        $query = WaterChange::query()->where('system_id', $system->id);
        if ($lock) {
            $query->lockForUpdate();
        }

        return $query->findOrFail(strtoupper($id));
    }
}
