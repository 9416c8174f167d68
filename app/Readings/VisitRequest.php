<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\LocalTime;
use App\Forms\VesselChoice;
use App\Http\FormRequest;
use App\Models\System;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** A visit to book: a key made by the client, when, and rows of typed readings. */
final class VisitRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('write') ?? false;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'taken_at' => ['nullable', 'string', 'max:40'],
            'readings' => ['present', 'array', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'id.required' => 'The visit has no key.',
            'id.ulid' => 'The key of the visit is not a ULID.',
            'readings.present' => 'Type at least one reading.',
        ];
    }

    public function id(): string
    {
        return $this->string('id')->upper()->toString();
    }

    /** Where the disc was let down, if it was. */
    public function spot(): ?string
    {
        $spot = $this->string('spot')->trim()->limit(40, '')->toString();

        return $spot === '' ? null : $spot;
    }

    /** When it was taken; now, when nothing is said. A time without a zone is the site's own. */
    public function takenAt(string $timezone): Carbon
    {
        $text = $this->string('taken_at')->trim()->toString();
        if ($text === '') {
            return Carbon::now();
        }

        return LocalTime::past($text, $timezone, 'taken_at');
    }

    /**
     * The bay it was taken in; null for the whole system.
     *
     * @throws BadInput at `vessel_id`
     */
    public function vessel(System $system): ?string
    {
        return VesselChoice::vessel($system, $this->input('vessel_id'));
    }

    /**
     * The visit that this one is written in place of; it stays in the book, out of sight.
     *
     * @throws BadInput at `corrects`
     */
    public function corrected(System $system): ?Visit
    {
        $id = $this->input('corrects');
        if (!is_string($id) || $id === '') {
            return null;
        }
        /** @var Builder<Visit> $query */
        $query = Visit::query()->where('system_id', $system->id)->where('id', $id);

        return $query->whereNull('withdrawn_at')->first() ??
            throw BadInput::at('corrects', 'That test was corrected or undone in the meantime.');
    }

    /** @return array<string, array{typed?: ?string, unit?: ?string}> */
    public static function rows(Request $request): array
    {
        $rows = [];
        foreach ((array) $request->input('readings', []) as $parameter => $row) {
            if (!is_array($row)) {
                throw BadInput::at("readings.{$parameter}", 'A reading has what was typed and a unit.');
            }
            $typed = $row['typed'] ?? null;
            $unit = $row['unit'] ?? null;
            if (($typed !== null && !is_string($typed)) || ($unit !== null && !is_string($unit))) {
                throw BadInput::at("readings.{$parameter}", 'A reading is given as the text that was typed.');
            }
            if ($typed !== null && mb_strlen($typed) > 20) {
                throw BadInput::at("readings.{$parameter}", 'This is too long for a number.');
            }
            $rows[(string) $parameter] = ['typed' => $typed, 'unit' => $unit];
        }

        return $rows;
    }
}
