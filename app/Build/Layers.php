<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Line;
use App\Models\Stage;
use App\Models\System;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** Stages that lie in the chamber of another: bags over pads over a settling space, and one water through them all. */
final readonly class Layers
{
    /** What a layer has from its chamber, or has none of. */
    private const NONE_OF_ITS_OWN = [
        'vessel_id' => null,
        'water_l' => null,
        'plan_m2' => null,
        'rim_mm' => null,
        'may_drop_mm' => null,
        'fed' => null,
        'bypassable' => false,
        'under_pressure' => false,
        'may_press_m' => null,
    ];

    /**
     * The chamber that a form says a stage lies in.
     *
     * @throws BadInput at `chamber_id`
     */
    public static function chamber(System $system, string $id, mixed $typed): ?Stage
    {
        if ($typed === null || $typed === '') {
            return null;
        }
        $chamber = $system->stages->firstWhere('id', $typed);
        if (!($chamber instanceof Stage) || $chamber->id === $id) {
            throw BadInput::at('chamber_id', 'There is no such chamber in this system.');
        }
        if ($chamber->chamber_id !== null) {
            throw BadInput::at('chamber_id', "{$chamber->name} lies in a chamber itself. Choose that chamber.");
        }
        if ($chamber->kind === 'uv') {
            throw BadInput::at('chamber_id', 'Nothing lies in the housing of a lamp.');
        }
        $layers = $system->stages->where('chamber_id', $id);
        if ($id !== '' && $layers->isNotEmpty()) {
            throw BadInput::at(
                'chamber_id',
                'In its own chamber lie ' . $layers->pluck('name')->implode(', ') . '. Move them first.',
            );
        }
        if ($id !== '' && $system->lines->contains(static fn(Line $line): bool => $line->joins($id))) {
            throw BadInput::at('chamber_id', 'Lines lead to it. Let them lead to the chamber first.');
        }

        return $chamber;
    }

    /** @return array<string, mixed> columns of a stage that follow from its chamber */
    public static function columns(Stage $chamber): array
    {
        return [
            ...self::NONE_OF_ITS_OWN,
            'chamber_id' => $chamber->id,
            'flow_l_h' => $chamber->flow_l_h,
            'flow_of_loop' => $chamber->flow_of_loop,
            'branch' => $chamber->branch,
            'bypassed' => $chamber->bypassed,
        ];
    }

    /** Layers come after their chamber in the order of the flow, and the same water passes them. */
    public static function settle(System $system): void
    {
        if ($system->stages->every(static fn(Stage $stage): bool => $stage->chamber_id === null)) {
            return;
        }
        $layers = $system->stages->whereNotNull('chamber_id')->groupBy('chamber_id');
        $position = 0;
        foreach ($system->stages->whereNull('chamber_id') as $chamber) {
            self::set($chamber, ['position' => $position++]);
            foreach ($layers[$chamber->id] ?? [] as $layer) {
                self::set($layer, [
                    'position' => $position++,
                    'flow_l_h' => $chamber->flow_l_h,
                    'flow_of_loop' => $chamber->flow_of_loop,
                    'branch' => $chamber->branch,
                    'bypassed' => $chamber->bypassed,
                ]);
            }
        }
    }

    /**
     * Not a change of the part itself: its version stays, so that nobody who has it open is told of one.
     *
     * @param  array<string, mixed>  $columns
     */
    private static function set(Stage $stage, array $columns): void
    {
        // Its loss was given at the flow it had: it goes by the square of the flow.
        $flow = $columns['flow_l_h'] ?? null;
        if (is_float($flow) && $stage->flow_l_h > 0) {
            $columns['loss_mm'] = $stage->loss_mm * ($flow / $stage->flow_l_h) ** 2;
        }
        $differs = array_filter(
            $columns,
            static fn(mixed $value, string $key): bool => $stage->getAttribute($key) !== $value,
            ARRAY_FILTER_USE_BOTH,
        );
        if ($differs !== []) {
            DB::table('stages')->where('id', $stage->id)->update($differs);
            $stage->forceFill($differs)->syncOriginal();
        }
    }
}
