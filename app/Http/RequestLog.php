<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** One line for each request: its id, what was asked of whom, how long it took and how many queries it made. */
final class RequestLog
{
    private float $begun = 0.0;

    public function __construct(private readonly QueryCount $queries) {}

    public function handle(Request $request, Closure $next): Response
    {
        $this->begun = hrtime(true) / 1e6;
        $this->queries->begin();
        // A line in the log of faults has the same id.
        $id = strtolower((string) Str::ulid());
        Log::shareContext(['request' => $id]);
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set('X-Request-Id', $id);

        return $response;
    }

    /** Addresses are told by their pattern: nothing that somebody typed is in them. */
    public function terminate(Request $request, Response $response): void
    {
        $route = $request->route();
        Log::channel('requests')->info($request->method(), [
            'route' => $route instanceof Route ? $route->uri() : '-',
            'status' => $response->getStatusCode(),
            'ms' => round(hrtime(true) / 1e6 - $this->begun, 1),
            'queries' => $this->queries->count(),
            'person' => $request->hasSession() ? $request->user()?->getAuthIdentifier() : null,
        ]);
    }
}
