<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;

/** A person chooses the units they read in. Nothing in the book changes by it. */
final class UnitsController extends Controller
{
    public function __invoke(UnitsRequest $request): JsonResponse
    {
        $person = $this->person($request);
        $person->units = $request->choice()->chosen;
        $person->save();

        return new JsonResponse((new UnitsOfPerson($person))->toArray());
    }
}
