<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Book\KeepNote;
use App\Fish\FishForm;
use App\Models\Bag;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\Look;
use App\Models\Shipment;
use App\Models\SingleFish;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Words\Message;

/** What is done with a bag: told, dripped, put in, and put back where that was a slip. */
final readonly class Bags
{
    public function __construct(private BagReport $report, private KeepNote $notes) {}

    /** @throws BadInput at the field, or where its fish are in already */
    public function keep(string $id, Shipment $shipment, System $system, User $person, ShipmentRequest $request): void
    {
        $photo = $request->photo();
        $bag = Bag::query()->find(strtoupper($id)) ?? new Bag(['id' => strtoupper($id)]);
        $this->refuseIn($bag);
        $bag->fill([
            ...$request->bag(),
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'shipment_id' => $shipment->id,
        ])->save();
        if ($photo !== null) {
            $this->notes->keep($id, $system, $person, "Bag from {$shipment->from_whom}.", [], $photo);
        }
    }

    /** @throws BadInput where its fish are in already */
    public function remove(Bag $bag): void
    {
        $this->refuseIn($bag);
        $bag->delete();
    }

    /** @throws BadInput at `drip_l_min` where it must not be dripped, or nobody can tell */
    public function drip(Bag $bag, System $system, ?float $asked): void
    {
        $this->refuseIn($bag);
        $found = $this->report->stored($system, LatestWater::of($system), $bag, $asked);
        $code = match (true) {
            $found->turns() => 'arrival.drip_turns',
            $found->drip === null => 'arrival.drip_not_known',
            $found->matchFirst() => 'arrival.drip_match',
            default => null,
        };
        if ($code !== null) {
            throw self::refused('drip_l_min', $code);
        }
        $bag->update([
            'drip_from' => $bag->drip_from ?? Carbon::now(),
            'drip_l_min' => $found->number('drip_l_min') ?? 0.001,
            'drip_min' => $found->number('minutes') ?? 0.0,
        ]);
    }

    /** @throws BadInput where its fish are in already */
    public function stop(Bag $bag): void
    {
        $this->refuseIn($bag);
        $bag->update(['drip_from' => null, 'drip_l_min' => null, 'drip_min' => null]);
    }

    /**
     * They are in: those that live are a group of this system from today, those that do not are a loss.
     *
     * @param  array{dead: int, vessel_id: ?string}  $into
     */
    public function putIn(Bag $bag, System $system, User $person, array $into): void
    {
        if ($bag->in_at !== null) {
            return;
        }
        $today = FishForm::today($system);
        $position = FishGroup::query()->where('system_id', $system->id)->max('position');
        FishGroup::query()->create([
            'id' => $bag->id,
            'site_id' => $bag->site_id,
            'system_id' => $system->id,
            'name' => $bag->name,
            'count' => $bag->count - $into['dead'],
            'length_cm' => $bag->length_cm,
            'condition' => Condition::USUAL,
            'vessel_id' => $into['vessel_id'],
            'arrived_on' => $today,
            'bag_id' => $bag->id,
            'position' => (is_numeric($position) ? (int) $position : 0) + 1,
        ]);
        if ($into['dead'] > 0) {
            FishEvent::query()->create([
                'id' => $bag->id,
                'bag_id' => $bag->id,
                'site_id' => $bag->site_id,
                'kind' => 'lost',
                'from_system_id' => $system->id,
                'group_name' => $bag->name,
                'count' => $into['dead'],
                'mean_weight_g' => Condition::weight($bag->length_cm),
                'happened_on' => $today,
                'reason' => Message::of('arrival.dead_on_arrival', ['whom' => $bag->shipment->from_whom])->text,
                'user_id' => $person->id,
            ]);
        }
        $bag->update(['in_at' => Carbon::now(), 'dead' => $into['dead']]);
    }

    /** @throws BadInput where something was booked of them since */
    public function takeBack(Bag $bag, System $system): void
    {
        if ($bag->in_at === null) {
            return;
        }
        $group = FishGroup::query()->find($bag->id);
        $lived =
            $group === null ||
            $group->count !== $bag->count - $bag->dead ||
            $group->system_id !== $system->id ||
            FishMeasure::query()->where('fish_group_id', $group->id)->exists() ||
            SingleFish::query()->where('fish_group_id', $group->id)->exists() ||
            Look::query()->where('fish_group_id', $group->id)->exists();
        if ($lived) {
            throw self::refused('id', 'arrival.bag_lived');
        }
        FishEvent::query()->whereKey($bag->id)->where('kind', 'lost')->delete();
        $bag->update(['in_at' => null, 'dead' => 0]);
        $group->delete();
    }

    private function refuseIn(Bag $bag): void
    {
        if ($bag->in_at !== null) {
            throw self::refused('id', 'arrival.bag_in');
        }
    }

    private static function refused(string $field, string $code): BadInput
    {
        $said = Message::of($code);

        return BadInput::at($field, $said->text, [$said->code]);
    }
}
