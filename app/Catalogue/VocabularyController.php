<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Build\BuildTemplates;
use App\Http\Controller;
use App\Models\Pump;
use App\Models\System;
use App\Models\Vessel;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\Medium;
use Ironwort\Core\Filter\StageKind;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Measure\UnitChoice;
use Ironwort\Core\Vessel\Dimension;
use Ironwort\Core\Vessel\Floor;
use Ironwort\Core\Vessel\Shape;

/** The words the forms choose from: parameters and their units, shapes, media, stages, life stages. */
final class VocabularyController extends Controller
{
    public function __invoke(
        Request $request,
        MediaTable $media,
        StageKinds $kinds,
        LimitTable $limits,
        FittingTable $fittings,
    ): JsonResponse {
        $units = $this->person($request)->unitChoice();

        return new JsonResponse([
            'parameters' => array_map(
                static fn(Parameter $p): array => [
                    'id' => $p->value,
                    'name' => $p->name(),
                    'code' => $p->code(),
                    'symbol' => $p->symbol(),
                    'units' => array_map(
                        static fn(Unit $u): array => ['id' => $u->value, 'symbol' => $u->symbol()],
                        self::usualFirst($p, $units),
                    ),
                ],
                Parameter::measured(),
            ),
            'shapes' => array_map(
                static fn(Shape $s): array => [
                    'id' => $s->value,
                    'name' => $s->label(),
                    'upright' => $s->upright(),
                    'dimensions' => array_map(
                        static fn(Dimension $d): array => ['id' => $d->value, 'name' => $d->label()],
                        $s->dimensions(),
                    ),
                ],
                Shape::cases(),
            ),
            'floors' => array_map(
                static fn(Floor $f): array => ['id' => $f->value, 'name' => $f->label()],
                Floor::cases(),
            ),
            'media' => array_map(
                static fn(Medium $m): array => [
                    'id' => $m->id,
                    'name' => $m->name,
                    'area_m2_m3' => $m->areaM2M3,
                    'low_m2_m3' => $m->lowM2M3,
                    'high_m2_m3' => $m->highM2M3,
                    'remark' => $m->remark,
                    'instead' => $m->instead,
                ],
                $media->all(),
            ),
            'stage_kinds' => array_map(
                static fn(StageKind $k): array => [
                    'id' => $k->id,
                    'name' => $k->name,
                    'nitrifies' => $k->nitrifies(),
                    'usual_medium' => $k->usualMedium,
                ],
                $kinds->all(),
            ),
            'fittings' => array_map(
                static fn(string $id, string $name): array => ['id' => $id, 'name' => $name, 'k' => $fittings->ks[$id]],
                array_keys($fittings->names),
                array_values($fittings->names),
            ),
            'seen' => Rounds::seen(),
            'pump_kinds' => Pump::KINDS,
            'life_stages' => array_map(
                static fn(string $id, string $name): array => ['id' => $id, 'name' => $name],
                array_keys($limits->stages),
                array_values($limits->stages),
            ),
            'templates' => array_map(
                static fn(string $id, string $name): array => ['id' => $id, 'name' => $name],
                array_keys(BuildTemplates::names()),
                array_values(BuildTemplates::names()),
            ),
            'system_kinds' => array_map(
                static fn(string $kind, string $name): array => [
                    'id' => $kind,
                    'name' => $name,
                    'life_stage' => LimitTable::usualFor($kind),
                ],
                array_keys(System::KIND_NAMES),
                array_values(System::KIND_NAMES),
            ),
            'usual_protein_pct' => 100 * DailyLoad::USUAL_PROTEIN,
            'vessel_kinds' => Vessel::KINDS,
        ]);
    }

    /** @return list<Unit> those a parameter may be typed in, that of whoever types first */
    private static function usualFirst(Parameter $parameter, UnitChoice $choice): array
    {
        $quantity = $parameter->quantity();
        $usual = $quantity === null ? null : $choice->ofReading($quantity);
        $units = $parameter->units();

        return $usual === null || !in_array($usual, $units, true)
            ? $units
            : [$usual, ...array_values(array_filter($units, static fn(Unit $one): bool => $one !== $usual))];
    }
}
