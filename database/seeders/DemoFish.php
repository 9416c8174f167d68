<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Bag;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\Look;
use App\Models\Note;
use App\Models\Quarantine;
use App\Models\Shipment;
use App\Models\SingleFish;
use App\Models\SingleMeasure;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\Condition;

/** The invented June shipment from its bags to the gate, fish by name, and what was seen on them. */
final readonly class DemoFish
{
    private const ARRIVED_AGO = 9;

    private const MOVED_AGO = 6;

    /** Name, variety, from, and its sizes: days ago, cm, g. */
    private const POND = [
        ['Magpie', 'black and white', 'bred here', [[160, 66.0, 4500.0], [45, 67.5, 4950.0]]],
        ['Rusty', 'red on white', 'Alder Brook Farm', [[160, 58.0, 2900.0], [45, 60.5, 3400.0]]],
        ['Old Grey', 'scaleless, grey', 'with the house', [[160, 71.5, 5100.0]]],
    ];

    /** @param  list<User>  $people */
    public function __construct(private Site $site, private array $people) {}

    public function write(): void
    {
        $this->shipment($this->system('arrivals'));
        $this->pond($this->system('yard-pond'));
        $this->patient($this->system('yard-pond'), $this->system('hospital-tub'));
        $this->measured($this->system('press-room'));
    }

    private function system(string $slug): System
    {
        return System::query()->where('site_id', $this->site->id)->where('slug', $slug)->firstOrFail();
    }

    private function shipment(System $system): void
    {
        $came = $this->at(self::ARRIVED_AGO, 13);
        $own = ['site_id' => $this->site->id, 'system_id' => $system->id];
        Quarantine::query()->create([
            ...$own,
            ...Quarantine::USUAL,
            'looks_every_d' => 2,
            'tests_a_day' => 2,
            'hold_c' => 20,
            'air_c' => 14,
            'own_nets' => true,
            'footbath' => true,
        ]);
        $shipment = Shipment::query()->create([
            ...$own,
            'user_id' => $this->people[0]->id,
            'from_whom' => 'Alder Brook Farm',
            'packed_at' => $came->copy()->subHours(11),
            'arrived_at' => $came,
            'boxes' => 2,
        ]);
        // One was full of ammonia and netted across; the other was dripped, and one in it had not lived.
        $bags = [
            'June shipment, larger' => [
                'count' => 6,
                'litres' => 60,
                'temp_c' => 17.5,
                'ph' => 6.4,
                'tan_mg_l' => 9,
                'kh_dkh' => 5,
            ],
            'June shipment, smaller' => [
                'count' => 6,
                'dead' => 1,
                'litres' => 45,
                'temp_c' => 16,
                'ph' => 6.9,
                'tan_mg_l' => 1.2,
                'kh_dkh' => 5,
                'drip_from' => $came->copy()->addMinutes(20),
                'drip_l_min' => 0.3,
                'drip_min' => 90,
            ],
        ];
        foreach ($bags as $name => $columns) {
            $group = FishGroup::query()->where('system_id', $system->id)->where('name', $name)->firstOrFail();
            $bag = Bag::query()->create([
                ...$own,
                'shipment_id' => $shipment->id,
                'name' => $name,
                'length_cm' => $group->length_cm,
                'in_at' => $came->copy()->addHours(2),
                ...$columns,
            ]);
            $group->update(['bag_id' => $bag->id]);
            if ($bag->dead > 0) {
                FishEvent::query()->create([
                    'site_id' => $this->site->id,
                    'kind' => 'lost',
                    'from_system_id' => $system->id,
                    'group_name' => $name,
                    'count' => $bag->dead,
                    'mean_weight_g' => Condition::weight($group->length_cm),
                    'happened_on' => $came->toDateString(),
                    'reason' => 'Dead on arrival, from Alder Brook Farm',
                    'user_id' => $this->people[0]->id,
                    'bag_id' => $bag->id,
                ]);
            }
        }
        $smaller = FishGroup::query()
            ->where('system_id', $system->id)
            ->where('name', 'June shipment, smaller')
            ->first();
        $seen = [
            [['sign' => 'flashing', 'count' => 2, 'severity' => 2]],
            [
                ['sign' => 'flashing', 'count' => 1, 'severity' => 1],
                ['sign' => 'clamped fins', 'count' => 1, 'severity' => 1],
            ],
        ];
        $notes = Note::query()->where('system_id', $system->id)->orderBy('taken_at')->get();
        foreach ($notes as $i => $note) {
            if (isset($seen[$i])) {
                $this->look(
                    $note,
                    $smaller,
                    null,
                    $seen[$i],
                    [],
                    $i === 0 ? ['scrape' => 'skin', 'scrape_seen' => 'flukes'] : [],
                );
            }
        }
    }

    private function pond(System $pond): void
    {
        $group = FishGroup::query()->where('system_id', $pond->id)->first();
        foreach (self::POND as [$name, $variety, $origin, $sizes]) {
            $fish = SingleFish::query()->create([
                'site_id' => $this->site->id,
                'system_id' => $pond->id,
                'fish_group_id' => $group?->id,
                'name' => $name,
                'variety' => $variety,
                'origin' => $origin,
            ]);
            foreach ($sizes as [$ago, $length, $weight]) {
                $this->size($fish, $ago, $length, $weight);
            }
        }
    }

    /** One koi of the pond with an ulcer, in the hospital tub, and the sore that closes. */
    private function patient(System $pond, System $tub): void
    {
        $group = FishGroup::query()->where('system_id', $tub->id)->firstOrFail();
        $fish = SingleFish::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $tub->id,
            'fish_group_id' => $group->id,
            'name' => 'Copper',
            'variety' => 'metallic orange',
            'origin' => 'bred here',
            'note' => 'Goes back when the sore has closed and its tub stands as warm as the pond.',
        ]);
        $this->size($fish, 120, 45.5, 1450.0);
        $this->size($fish, self::MOVED_AGO, 47.0, 1480.0);
        FishEvent::query()->create([
            'site_id' => $this->site->id,
            'kind' => 'moved',
            'from_system_id' => $pond->id,
            'to_system_id' => $tub->id,
            'group_name' => $group->name,
            'count' => 1,
            'mean_weight_g' => 1480,
            'happened_on' => $this->at(self::MOVED_AGO, 10)->toDateString(),
            'reason' => 'Ulcer on the left flank',
            'user_id' => $this->people[1]->id,
            'single_fish_id' => $fish->id,
        ]);
        foreach (
            [[6, 3, 'Cleaned and covered. As wide as a thumb.'], [3, 2, 'Edges pink, no white on it.']]
            as [$ago, $bad, $words]
        ) {
            $note = Note::query()->create([
                'site_id' => $this->site->id,
                'system_id' => $tub->id,
                'user_id' => $this->people[1]->id,
                'taken_at' => $this->at($ago, 18),
                'seen' => ['ulcer'],
                'words' => "Looked at Copper: ulcer (1, {$this->bad($bad)}). {$words}",
            ]);
            $this->look(
                $note,
                $group,
                $fish,
                [['sign' => 'ulcer', 'count' => 1, 'severity' => $bad]],
                [['sign' => 'ulcer', 'view' => 'side', 'x' => 0.52, 'y' => 0.56]],
            );
        }
    }

    /** Twice, so that they are looked ahead with by their own growth. */
    private function measured(System $system): void
    {
        $group = FishGroup::query()->where('system_id', $system->id)->orderBy('position')->firstOrFail();
        foreach ([[100, 0.955], [12, 1.0]] as [$ago, $share]) {
            FishMeasure::query()->create([
                'site_id' => $this->site->id,
                'fish_group_id' => $group->id,
                'user_id' => $this->people[1]->id,
                'measured_on' => $this->at($ago, 9)->toDateString(),
                'length_cm' => round($share * $group->length_cm, 1),
            ]);
        }
    }

    private function size(SingleFish $fish, int $ago, float $length, float $weight): void
    {
        SingleMeasure::query()->create([
            'site_id' => $this->site->id,
            'single_fish_id' => $fish->id,
            'user_id' => $this->people[1]->id,
            'measured_on' => $this->at($ago, 9)->toDateString(),
            'length_cm' => $length,
            'weight_g' => $weight,
        ]);
    }

    /**
     * @param  list<array{sign: string, count: int, severity: int}>  $signs
     * @param  list<array{sign: string, view: string, x: float, y: float}>  $marks
     * @param  array<string, string>  $found
     */
    private function look(
        Note $note,
        ?FishGroup $group,
        ?SingleFish $fish,
        array $signs,
        array $marks,
        array $found = [],
    ): void {
        Look::query()->create([
            'id' => $note->id,
            'site_id' => $note->site_id,
            'system_id' => $note->system_id,
            'fish_group_id' => $group?->id,
            'single_fish_id' => $fish?->id,
            'signs' => $signs,
            'marks' => $marks,
            ...$found,
        ]);
    }

    private function bad(int $severity): string
    {
        return [1 => 'slight', 2 => 'clear', 3 => 'bad'][$severity];
    }

    private function at(int $daysAgo, int $hour): Carbon
    {
        return Carbon::now()->subDays($daysAgo)->setTime($hour, 0);
    }
}
