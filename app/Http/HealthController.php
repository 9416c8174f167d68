<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Whether this node can serve: it reaches the database and the tables are there. */
final class HealthController extends Controller
{
    public function __invoke(): JsonResponse
    {
        DB::selectOne('SELECT count(*) FROM sites');

        return new JsonResponse(['status' => 'well']);
    }
}
