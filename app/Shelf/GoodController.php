<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Http\Controller;
use App\Models\Good;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Dose\AgentTable;

/** What stands on the shelf to be dosed: by whose label, how strong, how old, how much is left. */
final class GoodController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf, private readonly AgentTable $agents) {}

    public function put(GoodRequest $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        $good =
            Good::query()->where('site_id', $site->id)->find(strtoupper($id)) ??
            new Good(['id' => strtoupper($id), 'site_id' => $site->id]);
        $good->fill($request->columns($this->agents))->save();

        return new JsonResponse($this->shelf->of($site));
    }

    public function remove(Request $request, string $id): JsonResponse
    {
        Good::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }
}
