<?php

declare(strict_types=1);

namespace App\Growth;

use App\Forms\TypedFields;
use App\Http\FormRequest;
use App\Models\FeedFigure;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\FeedBeside;

/** Two feeds that are put beside one another, and how far ahead is looked. */
final class FeedsRequest extends FormRequest
{
    public function weeks(TypedFields $typed): float
    {
        return $typed->number(Input::number('weeks', 'Weeks ahead', null, 1, 104)) ?? AheadReport::WEEKS;
    }

    /**
     * @param  'a'|'b'  $which
     * @return ?array{feed: FeedBeside, protein: float, conversion: float} null where its protein is not given
     */
    public function feed(TypedFields $typed, string $which, ?FeedFigure $plan): ?array
    {
        $protein =
            $typed->number(Input::number("protein_{$which}", 'Protein', '%', 5, 80)) ??
            ($which === 'a' ? $plan?->protein_pct : null);
        if ($protein === null) {
            return null;
        }
        $digested =
            $typed->number(Input::number("digestibility_{$which}", 'Digestibility', '%', 30, 100)) ??
            (($which === 'a' ? $plan?->digestibility_pct : null) ?? 100 * DailyLoad::USUAL_DIGESTIBILITY);
        $conversion =
            $typed->number(Input::number("conversion_{$which}", 'Feed for a kg of growth', 'kg', 0.5, 10)) ??
            FeedBeside::USUAL_CONVERSION;

        return [
            'feed' => FeedBeside::of(
                $protein / 100,
                $digested / 100,
                $conversion,
                $typed->number(Input::number("price_{$which}", 'Price', 'per kg', 0, 1000)),
            ),
            'protein' => $protein,
            'conversion' => $conversion,
        ];
    }
}
