<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Stage;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\StageCheck;

/** What flows through a stage, how high it stands in it, and how long it stays. */
final readonly class StageReport
{
    public function __construct(private LampDose $lamps) {}

    /**
     * @param  bool  $wanted  whether the school followed puts a lamp after the biofilter
     * @return array<string, mixed>
     */
    public function of(Stage $stage, Loop $loop, ?LoopFlow $flow, float $volume, bool $wanted): array
    {
        $litres = $flow === null ? null : abs($flow->stageFlow($stage->id));
        $level = $flow?->stageLevel($stage->id);
        $after = $stage->kind === 'uv' ? self::lampAfter($loop, $stage) : null;

        return [
            'id' => $stage->id,
            'name' => $stage->name,
            'kind' => $stage->kind,
            'branch' => $stage->branch,
            'flow_l_h' => $litres,
            'ask' => $flow?->asked('stage', $flow->chamberOf($stage->id)),
            'ask_level' => $stage->chamber_id === null ? $flow?->lowestPoint($stage->id) : null,
            'chamber_id' => $stage->chamber_id,
            'press_m' => $stage->under_pressure ? $flow?->headInto($stage->id) : null,
            'may_press_m' => $stage->may_press_m,
            'bypassed' => $stage->bypassed,
            'lamp_after' => $after,
            'lamp_asked' => $after === null || $after === $wanted ? null : ($wanted ? 'after' : 'before'),
            'vessel_id' => $stage->vessel_id,
            'residence_min' =>
                $litres === null || $litres < 1 || $stage->water_l === null ? null : (60 * $stage->water_l) / $litres,
            'rises_m_h' => $litres === null || $stage->plan_m2 === null ? null : $litres / 1000 / $stage->plan_m2,
            'reckoned_l_h' => $stage->flow_l_h,
            // A closed stage has a pressure and no level to look at.
            'level_mm' =>
                $level === null || ($stage->rim_mm === null && $stage->may_drop_mm === null) ? null : 1000 * $level,
            'spare_mm' => $level === null || $stage->may_drop_mm === null ? null : $stage->may_drop_mm + 1000 * $level,
            'rim_mm' => $stage->rim_mm,
            'uv' => $litres === null ? null : $this->lamps->of($stage, $litres, $volume)?->toArray(),
        ];
    }

    private static function lampAfter(Loop $loop, Stage $stage): ?bool
    {
        foreach ($loop->stages as $built) {
            if ($built->id === $stage->id) {
                return StageCheck::lampAfter($loop, $built);
            }
        }

        return null;
    }
}
