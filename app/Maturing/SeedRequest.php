<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Seed;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Filter\SeedKind;

/** What a filter is seeded with, from where, and what was asked of the donor before. */
final class SeedRequest extends FormRequest
{
    /** @throws BadInput at the field */
    public function seed(System $system): PlannedSeed
    {
        $values = (new TypedInputs([
            Input::choice(
                'kind',
                'Seed',
                array_map(static fn(SeedKind $kind): string => $kind->value, SeedKind::cases()),
            ),
            Input::number('litres', 'Media', 'L', 0.01, 1e5)->optional(),
            Input::text('medium', 'Medium', 40)->optional(),
            Input::text('from', 'From', 80)->optional(),
            Input::text('from_stage', 'Stage', 26)->optional(),
            Input::choice('donor', 'Donor', Seed::DONORS)->optional(),
        ]))->read($this->all());
        $text = static fn(string $key): ?string => is_string($values[$key] ?? null) && $values[$key] !== ''
            ? $values[$key]
            : null;
        $kind = SeedKind::from((string) $text('kind'));
        $donor = $text('donor');
        if ($kind->isMedia() && $donor === null) {
            throw BadInput::at('donor', 'Check the donor first: does it have disease, or a treatment in its water?');
        }

        return new PlannedSeed(
            kind: $kind,
            litres: is_numeric($values['litres'] ?? null) ? (float) $values['litres'] : null,
            medium: $text('medium'),
            from: $text('from'),
            fromStage: $text('from_stage'),
            donor: $donor ?? 'unknown',
            madeUp: $this->boolean('made_up'),
            on: Day::read($this->all(), 'happened_on') ?? now($system->site->timezone)->toDateString(),
        );
    }
}
