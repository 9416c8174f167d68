<?php

declare(strict_types=1);

namespace App\Providers;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/** A page that a person looks at again asks in one go what it asked before. */
final class AsksAhead
{
    public function handle(Request $request, Closure $next): Response
    {
        $connection = DB::connection();
        $person = Auth::id();
        if ($request->isMethod('GET') && $connection instanceof ExactConnection && $person !== null) {
            $page = hash('sha256', serialize([$person, $request->getRequestUri()]));
            $connection->askAhead(new AskedBefore(storage_path("framework/asked/{$page}.json")));
        }

        /** @var Response */
        return $next($request);
    }
}
