<?php

declare(strict_types=1);

namespace App\Operation;

use App\Http\Controller;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PDOException;

/** Whether this node can serve, and if not, which part of it cannot: the database, or what is in it. */
final class HealthController extends Controller
{
    public function __invoke(): JsonResponse
    {
        try {
            DB::selectOne('SELECT 1');
        } catch (QueryException | PDOException) {
            return self::unwell('database', 'The database does not answer.');
        }

        return Schema::hasTable('sites')
            ? new JsonResponse(['status' => 'well'])
            : self::unwell('tables', 'The database is empty: its tables were not made yet.');
    }

    private static function unwell(string $part, string $message): JsonResponse
    {
        return new JsonResponse(['status' => 'unwell', 'part' => $part, 'message' => $message], 503, [
            'Retry-After' => '5',
        ]);
    }
}
