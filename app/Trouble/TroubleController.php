<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Incident\Sign;

/** What to do about bad readings and what is seen. */
final class TroubleController extends Controller
{
    public function __invoke(Request $request, System $system, TroubleReport $report): JsonResponse
    {
        $words = $request->query('seen');
        $seen = array_map(
            static fn(string $word): Sign => Sign::tryFrom($word) ??
                throw BadInput::at('seen', 'This is not among what can be picked.'),
            is_string($words) && trim($words) !== '' ? explode(',', trim($words)) : [],
        );
        $system->unsetRelations();

        return new JsonResponse(
            $report->of($system, LatestWater::of($system), array_values(array_unique($seen, SORT_REGULAR))),
        );
    }
}
