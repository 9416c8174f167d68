<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\Charge;
use App\Models\Course;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Arrival\Hospital;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** What a sick fish needs of its tub: room, salt, oxygen, its course, its dressing; and where it came from. */
final readonly class HospitalNeeds
{
    public function __construct(private VolumeReport $volumes, private LoopSums $sums) {}

    /** @return list<Message> */
    public function says(System $system, LatestWater $water): array
    {
        if ($system->fish->every(static fn(FishGroup $one): bool => $one->count === 0)) {
            return [Message::of('arrival.hospital_empty')];
        }
        $litres = $this->volumes->inUse($system)->value;
        $kg = $this->sums->biomass($system)->value;
        $oxygen = $water->get(Parameter::Oxygen)?->value;
        $room = [
            'litres' => Format::about($litres, 3),
            'kg' => Format::number($kg, 2),
            'needs' => Format::about(Hospital::L_PER_KG * $kg, 2),
        ];
        $courses = Course::query()->where('system_id', $system->id)->whereNull('ended_at')->exists();

        return [
            Message::of(
                $litres >= Hospital::L_PER_KG * $kg ? 'arrival.hospital_room' : 'arrival.hospital_small',
                $room,
            ),
            $this->salt($system, $water, $litres),
            match (true) {
                $oxygen === null => Message::of('arrival.hospital_oxygen_unknown'),
                $oxygen < Hospital::OXYGEN_MG_L => Message::of('arrival.hospital_oxygen_low', [
                    'now' => Format::number($oxygen, 2),
                    'least' => Format::number(Hospital::OXYGEN_MG_L),
                ]),
                default => Message::of('arrival.hospital_oxygen', ['now' => Format::number($oxygen, 2)]),
            },
            Message::of($courses ? 'arrival.hospital_course' : 'arrival.hospital_no_course'),
            Message::of('arrival.hospital_dressing'),
        ];
    }

    /** Where the fish in it came from last; null where nobody moved them here. */
    public static function from(System $system): ?System
    {
        return FishEvent::query()
            ->with('from')
            ->where('to_system_id', $system->id)
            ->orderByDesc('happened_on')
            ->orderByDesc('id')
            ->first()?->from;
    }

    private function salt(System $system, LatestWater $water, float $litres): Message
    {
        $now = $water->get(Parameter::Salinity)?->value;
        $zeolite = Charge::in($system)->get()->contains(static fn(Charge $one): bool => $one->holdsAmmonia());
        $wants = ['to' => Format::number(Hospital::SALT_G_L)];

        return match (true) {
            $zeolite => Message::of('arrival.hospital_salt_zeolite', $wants),
            $now === null => Message::of('arrival.hospital_salt_unknown', $wants),
            $now < Hospital::SALT_G_L - 0.5 => Message::of('arrival.hospital_salt', [
                ...$wants,
                'now' => Format::number($now, 2),
                'grams' => Format::about((Hospital::SALT_G_L - $now) * $litres, 2),
            ]),
            default => Message::of('arrival.hospital_salted', ['now' => Format::number($now, 2)]),
        };
    }
}
