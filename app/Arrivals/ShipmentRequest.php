<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Book\Picture;
use App\Fish\FishForm;
use App\Forms\TypedInputs;
use App\Forms\VesselChoice;
use App\Http\FormRequest;
use App\Models\Bag;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Measure\MolarMass;

/** A shipment, one bag of it, and what is done with the bag. */
final class ShipmentRequest extends FormRequest
{
    /**
     * @param  ?Carbon  $came  when the book has it arrived: sent again without a time, it has not come anew
     * @return array{from_whom: string, packed_at: ?Carbon, arrived_at: Carbon, boxes: ?int}
     *
     * @throws BadInput at the field
     */
    public function shipment(?Carbon $came): array
    {
        $read = (new TypedInputs([
            Input::text('from_whom', 'From', 80),
            Input::number('boxes', 'Boxes', null, 1, 1000)->optional(),
            Input::number('hours', 'Packed', 'h', 0, 240)->optional(),
        ]))->read($this->all());
        $boxes = is_numeric($read['boxes'] ?? null) ? (float) $read['boxes'] : null;
        if ($boxes !== null && fmod($boxes, 1.0) > 0) {
            throw BadInput::at('boxes', 'A whole number.');
        }
        $arrived = $this->at('arrived_at') ?? ($came ?? Carbon::now())->copy();
        $hours = is_numeric($read['hours'] ?? null) ? (float) $read['hours'] : null;

        return [
            'from_whom' => is_string($read['from_whom']) ? $read['from_whom'] : '',
            'boxes' => $boxes === null ? null : (int) $boxes,
            'arrived_at' => $arrived,
            'packed_at' => $hours === null ? null : $arrived->copy()->subMinutes((int) round(60 * $hours)),
        ];
    }

    /**
     * @return array<string, mixed> columns of a bag
     *
     * @throws BadInput at the field
     */
    public function bag(): array
    {
        $form = new FishForm(
            [
                Input::text('name', 'Called', 60),
                FishForm::counted(1),
                Input::number('length_cm', 'Length', 'cm', 0.5, 130),
                ...BagReport::water(),
            ],
            $this->all(),
        );
        $nitrate = $form->number('no3_mg_l');

        return [
            'name' => (string) $form->text('name'),
            'count' => $form->count(),
            'length_cm' => $form->number('length_cm'),
            'litres' => $form->number('litres'),
            'temp_c' => $form->number('temp_c'),
            'ph' => $form->number('ph'),
            'tan_mg_l' => $form->number('tan_mg_l'),
            'kh_dkh' => $form->number('kh'),
            'salinity_g_l' => $form->number('salinity_g_l'),
            'no3_n_mg_l' => $nitrate === null ? null : $nitrate / MolarMass::NO3_PER_N,
        ];
    }

    /** @throws BadInput at `drip_l_min` */
    public function drip(): ?float
    {
        $read = (new TypedInputs([BagReport::drips()->optional()]))->read($this->all());

        return is_numeric($read['drip_l_min'] ?? null) ? (float) $read['drip_l_min'] : null;
    }

    /**
     * @return array{dead: int, vessel_id: ?string}
     *
     * @throws BadInput at the field
     */
    public function into(System $system, Bag $bag): array
    {
        $read = (new TypedInputs([Input::number('dead', 'Dead on arrival', null, 0, $bag->count)->optional()]))->read(
            $this->all(),
        );
        $dead = is_numeric($read['dead'] ?? null) ? (float) $read['dead'] : 0.0;
        if (fmod($dead, 1.0) > 0) {
            throw BadInput::at('dead', 'A whole number.');
        }

        return ['dead' => (int) $dead, 'vessel_id' => VesselChoice::vessel($system, $this->input('vessel_id'))];
    }

    /**
     * @return ?array{type: string, picture: string}
     *
     * @throws BadInput at `photo`
     */
    public function photo(): ?array
    {
        return Picture::sent($this->input('photo'));
    }

    /** @throws BadInput at the field for what is no time or still to come */
    private function at(string $key): ?Carbon
    {
        $text = $this->string($key)->trim()->toString();
        if ($text === '') {
            return null;
        }
        try {
            $at = Carbon::parse($text);
        } catch (\Throwable) {
            throw BadInput::at($key, 'This is not a time.');
        }

        return $at->isAfter(Carbon::now()->addMinute()) ? throw BadInput::at($key, 'This is still to come.') : $at;
    }
}
