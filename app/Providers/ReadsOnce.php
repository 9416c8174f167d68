<?php

declare(strict_types=1);

namespace App\Providers;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/** While a page is read, the same question to the database is asked once. What is streamed out asks as it goes. */
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
        try {
            /** @var Response */
            return $next($request);
        } finally {
            $connection->readAnew();
        }
    }
}
