<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\Controller;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The place: what is worked out from where it lies, and what power costs there. */
final class SiteController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        return self::told($this->person($request)->site);
    }

    public function put(SiteRequest $request): JsonResponse
    {
        $site = $this->person($request)->site;
        $site->fill($request->columns())->save();

        return self::told($site);
    }

    private static function told(Site $site): JsonResponse
    {
        return new JsonResponse([
            'name' => $site->name,
            'timezone' => $site->timezone,
            'altitude_m' => $site->altitude_m,
            'latitude_deg' => $site->latitude_deg,
            'price_per_kwh' => $site->price_per_kwh,
            'price_per_m3' => $site->price_per_m3,
            'emergency_call' => $site->emergency_call,
        ]);
    }
}
