<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\TypedInputs;
use App\Models\Feed;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Forms about feed: the plan, and one feed as it was given. */
final readonly class FeedInputs
{
    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed> columns of a feed figure
     *
     * @throws BadInput
     */
    public function plan(array $typed): array
    {
        $ration = filter_var($typed['by_ration'] ?? null, FILTER_VALIDATE_BOOL);
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
            Input::number('meals', 'Meals a day', null, 1, 48)->optional(),
            Input::number('days_a_week', 'Days a week', null, 0, 7)->optional(),
        ]))->read($typed);
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
            'meals' => null,
            'days_a_week' => 7,
            ...$values,
            'by_ration' => $ration,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array{feed_g: float, came_up: ?string, left_some: bool}
     *
     * @throws BadInput
     */
    public function given(array $typed): array
    {
        $values = (new TypedInputs([
            Input::number('feed_g', 'Feed', 'g', 0, 500000),
            Input::choice('came_up', 'Came up', Feed::CAME_UP)->optional(),
        ]))->read($typed);

        return [
            'feed_g' => is_numeric($values['feed_g']) ? (float) $values['feed_g'] : 0.0,
            'came_up' => is_string($values['came_up'] ?? null) ? $values['came_up'] : null,
            'left_some' => filter_var($typed['left_some'] ?? null, FILTER_VALIDATE_BOOL),
        ];
    }
}
