<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\TypedFields;
use App\Http\BookedAs;
use App\Http\Controller;
use App\Living\BookStop;
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
use Ironwort\Core\Words\Message;

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
        PlanChange $plan,
    ): JsonResponse {
        $known = WaterChange::query()->find(strtoupper($id));
        if ($known !== null) {
            BookedAs::refuseOther($plan->isAgain($system, $known, $request->all()), $known->text());
        } else {
            $person = $this->person($request);
            $planned = $plan->judge($system, LatestWater::of($system), $request->all());
            $changes->refuseSame($system, $person, $planned, $request->boolean('again'));
            $changes->book($id, $system, $person, Carbon::now(), $planned);
        }

        return $this->show($request, $system);
    }

    /** Somebody saw water flow again. Nothing else ends a change with the pump off. */
    public function flow(Request $request, System $system, string $id, BookStop $stops): JsonResponse
    {
        $change = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->where('pump_off', true)
            ->whereNull('flow_seen_at')
            ->first();
        if ($change !== null) {
            $person = $this->person($request);
            $change->update(['flow_seen_at' => now(), 'flow_seen_by' => $person->id]);
            $stops->after($system, $change, max(0.0, $change->changed_at->diffInHours(now())), $person->id);
        }

        return $this->show($request, $system);
    }

    /** One thing that was to be put back is in. */
    public function putIn(Request $request, System $system, string $id, string $what): JsonResponse
    {
        DB::transaction(static function () use ($system, $id, $what): void {
            $change = self::find($system, $id, lock: true);
            $change->put_back = array_map(static function (array $item) use ($system, $what): array {
                if ($item['what'] !== $what || $item['done']) {
                    return $item;
                }
                $taken = isset($item['good'], $item['amount'], $item['unit'])
                    ? TakeFromShelf::off($system->site_id, $item['good'], (float) $item['amount'], $item['unit'])
                    : null;

                return [...$item, 'done' => true, 'taken' => $taken?->amount];
            }, $change->put_back);
            $change->save();
        });

        return $this->show($request, $system);
    }

    /** It was not put in after all: what it took goes back on the shelf. */
    public function putOut(Request $request, System $system, string $id, string $what): JsonResponse
    {
        DB::transaction(static function () use ($system, $id, $what): void {
            $change = self::find($system, $id, lock: true);
            $change->put_back = array_map(static function (array $item) use ($system, $what): array {
                if ($item['what'] !== $what || !$item['done']) {
                    return $item;
                }
                if (isset($item['good'], $item['taken'], $item['unit'])) {
                    TakeFromShelf::on($system->site_id, $item['good'], (float) $item['taken'], $item['unit']);
                }

                return [...$item, 'done' => false, 'taken' => null];
            }, $change->put_back);
            $change->save();
        });

        return $this->show($request, $system);
    }

    /** Takes a booked change back; it stays in the book, unseen. */
    public function withdraw(Request $request, System $system, string $id): JsonResponse
    {
        $change = self::find($system, $id);
        if ($change->running()) {
            throw BadInput::at('flow', 'Its pump is still off. Check that water flows, and confirm that first.');
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
        $water = WaterSource::query()
            ->with('tests')
            ->where('site_id', $system->site_id)
            ->find($source ?? $system->water_id);
        if ($source !== null && $water === null) {
            $typed->refuse('water', 'There is no such water.');
        }
        $treated = $typed->text('treated_by');
        if ($water?->mayBringChlorine() === true && $treated === null && !$typed->flag('done')) {
            $typed->refuse('treated_by', Message::of('exchange.trickle_with_chlorine', ['name' => $water->name])->text);
        }
        $typed->throwIfAny();
        $flow = $given['flow_l_h'] ?? ((($given['pct_per_week'] ?? 0.0) / 100) * $volume) / 168;
        DB::transaction(function () use ($request, $system, $id, $flow, $source, $treated): void {
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
                'treated_by' => $treated === null ? null : mb_substr($treated, 0, 120),
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
