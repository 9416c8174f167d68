<?php

declare(strict_types=1);

namespace App\Providers;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * While a page is read it is one instant, and the same question to the database is asked once: no two parts of a page
 * rest on different answers. What is streamed out asks as it goes.
 */
final class ReadsOnce
{
    public function handle(Request $request, Closure $next): Response
    {
        $connection = DB::connection();
        if (!$request->isMethod('GET') || !($connection instanceof ExactConnection)) {
            /** @var Response */
            return $next($request);
        }
        $connection->readOnce();
        $frozen = Carbon::hasTestNow();
        if (!$frozen) {
            Carbon::setTestNow(Carbon::now());
        }
        try {
            /** @var Response */
            return $next($request);
        } finally {
            $connection->readAnew();
            if (!$frozen) {
                Carbon::setTestNow();
            }
        }
    }
}
