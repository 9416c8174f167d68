<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Http\Controller;
use App\Models\Kit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What readings are taken with: kits; and all else that stands on the shelf, read together. */
final class ShelfController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf) {}

    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function putKit(KitRequest $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        $columns = [...$request->columns(), 'site_id' => $site->id];
        DB::transaction(static function () use ($columns, $id, $site): void {
            if ($columns['in_use']) {
                Kit::query()
                    ->where('site_id', $site->id)
                    ->where('parameter', $columns['parameter'])
                    ->where('id', '<>', strtoupper($id))
                    ->update(['in_use' => false]);
            }
            $kit =
                Kit::query()->where('site_id', $site->id)->find(strtoupper($id)) ?? new Kit(['id' => strtoupper($id)]);
            $kit->fill($columns)->save();
        });

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function removeKit(Request $request, string $id): JsonResponse
    {
        Kit::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }
}
