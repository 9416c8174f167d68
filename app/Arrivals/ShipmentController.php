<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Http\Controller;
use App\Models\Bag;
use App\Models\Shipment;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;

/** Shipments and their bags, from the door into the water. */
final class ShipmentController extends Controller
{
    public function __construct(private readonly ShipmentReport $report, private readonly Bags $bags) {}

    public function show(System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    public function put(ShipmentRequest $request, System $system, string $id): JsonResponse
    {
        $shipment = Shipment::query()->find(strtoupper($id)) ?? new Shipment(['id' => strtoupper($id)]);
        $shipment
            ->fill([
                ...$request->shipment($shipment->exists ? $shipment->arrived_at : null),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $shipment->user_id ?? $this->person($request)->id,
            ])
            ->save();

        return $this->show($system);
    }

    /** @throws BadInput at `id` where fish of it are in already */
    public function remove(System $system, string $id): JsonResponse
    {
        $shipment = Shipment::query()->where('system_id', $system->id)->find(strtoupper($id));
        if ($shipment?->bags()->whereNotNull('in_at')->exists()) {
            $said = Message::of('arrival.shipment_in');

            throw BadInput::at('id', $said->text, [$said->code]);
        }
        $shipment?->delete();

        return $this->show($system);
    }

    public function bag(ShipmentRequest $request, System $system, string $shipment, string $id): JsonResponse
    {
        $of = Shipment::query()->where('system_id', $system->id)->findOrFail(strtoupper($shipment));
        $this->bags->keep($id, $of, $system, $this->person($request), $request);

        return $this->show($system);
    }

    public function removeBag(System $system, string $id): JsonResponse
    {
        $bag = Bag::query()->where('system_id', $system->id)->find(strtoupper($id));
        if ($bag !== null) {
            $this->bags->remove($bag);
        }

        return $this->show($system);
    }

    public function drip(ShipmentRequest $request, System $system, string $id): JsonResponse
    {
        $this->bags->drip($this->find($system, $id), $system, $request->drip());

        return $this->show($system);
    }

    public function stop(System $system, string $id): JsonResponse
    {
        $this->bags->stop($this->find($system, $id));

        return $this->show($system);
    }

    public function putIn(ShipmentRequest $request, System $system, string $id): JsonResponse
    {
        $bag = $this->find($system, $id);
        $this->bags->putIn($bag, $system, $this->person($request), $request->into($system, $bag));

        return $this->show($system);
    }

    public function takeBack(System $system, string $id): JsonResponse
    {
        $this->bags->takeBack($this->find($system, $id), $system);

        return $this->show($system);
    }

    private function find(System $system, string $id): Bag
    {
        $system->load(['site', 'vessels', 'stages', 'fish']);

        return Bag::query()->with('shipment')->where('system_id', $system->id)->findOrFail(strtoupper($id));
    }
}
