<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** What is fed from today on: a weight a day, or by the ration table. */
final class FeedPlanRequest extends FormRequest
{
    /**
     * @return array<string, mixed> columns of a feed figure
     *
     * @throws BadInput
     */
    public function columns(): array
    {
        $ration = $this->boolean('by_ration');
        $values = (new TypedInputs([
            $ration
                ? Input::number('feed_g_d', 'Feed', 'g/d', 0, 500000)->optional()
                : Input::number('feed_g_d', 'Feed', 'g/d', 0, 500000),
            Input::number('protein_pct', 'Protein', '%', 5, 80),
            Input::text('product', 'Feed', 60)->optional(),
            Input::number('digestibility_pct', 'Digestibility', '%', 30, 100)->optional(),
            Input::number('moisture_pct', 'Moisture', '%', 0, 90)->optional(),
            Input::number('uneaten_pct', 'Left uneaten', '%', 0, 100)->optional(),
            Input::number('carbon_g_d', 'Carbon fed to microbes', 'g/d', 0, 100000)->optional(),
            Input::number('fertiliser_g_week', 'Plant fertiliser', 'g/week', 0, 100000)->optional(),
            Input::number('fertiliser_n_pct', 'Nitrogen in it', '%', 0, 50)->optional(),
            Input::number('meals', 'Meals a day', null, 1, 48)->optional(),
            Input::number('days_a_week', 'Days a week', null, 0, 7)->optional(),
        ]))->read($this->all());
        if (($values['fertiliser_g_week'] ?? 0) > 0 && !isset($values['fertiliser_n_pct'])) {
            throw BadInput::at('fertiliser_n_pct', 'How much of it is nitrogen? The first of its three numbers.');
        }
        foreach (['meals', 'days_a_week'] as $key) {
            if (isset($values[$key]) && is_numeric($values[$key]) && fmod((float) $values[$key], 1.0) > 0) {
                throw BadInput::at($key, 'A whole number.');
            }
        }

        return [
            'feed_g_d' => 0.0,
            'product' => null,
            'digestibility_pct' => null,
            'moisture_pct' => null,
            'uneaten_pct' => 0.0,
            'carbon_g_d' => null,
            'fertiliser_g_week' => 0.0,
            'fertiliser_n_pct' => null,
            'meals' => null,
            'days_a_week' => 7,
            ...$values,
            'by_ration' => $ration,
        ];
    }
}
