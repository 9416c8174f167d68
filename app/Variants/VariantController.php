<?php

declare(strict_types=1);

namespace App\Variants;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\BadInput;

/** Builds that are only planned, beside the one that stands. */
final class VariantController extends Controller
{
    private const MOST = 8;

    public function __construct(private readonly BuildFigures $figures) {}

    public function index(System $system): JsonResponse
    {
        $standing =
            $system->variant_of_id === null
                ? $system
                : System::query()->where('site_id', $system->site_id)->findOrFail($system->variant_of_id);
        $water = LatestWater::of($standing);

        return new JsonResponse(
            collect([$standing, ...self::of($standing)])
                ->map(fn(System $build): array => $this->figures->of($build, $standing, $water))
                ->values(),
        );
    }

    /** The same key twice makes one. */
    public function put(VariantRequest $request, System $system, string $id): JsonResponse
    {
        $id = strtoupper($id);
        $made = System::query()->where('site_id', $system->site_id)->find($id);
        if ($made !== null && $made->variant_of_id !== ($system->variant_of_id ?? $system->id)) {
            throw BadInput::at('id', 'This key stands for another system already.');
        }
        if ($made === null) {
            $standing = $system->variant_of_id ?? $system->id;
            if (System::query()->where('variant_of_id', $standing)->count() >= self::MOST) {
                throw BadInput::at('name', 'There are ' . self::MOST . ' plans already. Remove one first.');
            }
            $made = CopyBuild::of($system, $id, $request->name());
        }

        return new JsonResponse(['slug' => $made->slug]);
    }

    public function destroy(System $system): JsonResponse
    {
        $standing = System::query()->where('site_id', $system->site_id)->find($system->variant_of_id);
        if ($standing === null) {
            throw BadInput::at('system', "{$system->name} stands: only what is planned is removed.");
        }
        RemovePlan::of($system);

        return new JsonResponse(['slug' => $standing->slug]);
    }

    /** @return Collection<int, System> */
    private static function of(System $standing): Collection
    {
        return System::query()->where('variant_of_id', $standing->id)->orderBy('name')->orderBy('id')->get()->toBase();
    }
}
