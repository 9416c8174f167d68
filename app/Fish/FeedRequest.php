<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Feed;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** One feed as it was given. */
final class FeedRequest extends FormRequest
{
    /**
     * @return array{feed_g: float, came_up: ?string, left_some: bool}
     *
     * @throws BadInput
     */
    public function columns(): array
    {
        $values = (new TypedInputs([
            Input::number('feed_g', 'Feed', 'g', 0, 500000),
            Input::choice('came_up', 'Came up', Feed::CAME_UP)->optional(),
        ]))->read($this->all());

        return [
            'feed_g' => is_numeric($values['feed_g']) ? (float) $values['feed_g'] : 0.0,
            'came_up' => is_string($values['came_up'] ?? null) ? $values['came_up'] : null,
            'left_some' => $this->boolean('left_some'),
        ];
    }
}
