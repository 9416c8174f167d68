<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;

/** The stages of a filter as calculators take them: in series as listed, branches side by side. */
final readonly class StageRows
{
    public function __construct(private MediaTable $media, private StageKinds $kinds) {}

    public function input(): Input
    {
        return Input::rows(
            'stages',
            'Stages',
            [
                Input::choice('kind', 'Kind', $this->kinds->ids()),
                Input::choice('medium', 'Medium', $this->media->ids())->optional(),
                Input::number('area_m2_m3', 'Surface of the medium', 'm²/m³', 0, 20000)->insteadOf('medium'),
                Input::number('media_l', 'Medium, bulk', 'L', 0, 1e6)->or(0.0),
                Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7),
                Input::text('branch', 'Branch', 40)->optional(),
                Input::number('air_l_min', 'Air', 'L/min', 0, 1e5)->or(0.0),
                Input::number('maturity_pct', 'Maturity', '%', 0, 100)->or(100.0),
                Input::number('fouling_pct', 'Fouling', '%', 0, 100)->or(0.0),
            ],
            1,
            40,
        );
    }

    /**
     * @return list<FilterStage>
     *
     * @throws BadInput where a stage that nitrifies has no surface
     */
    public function read(Given $given): array
    {
        $errors = [];
        $stages = [];
        foreach ($given->rows('stages') as $i => $row) {
            $kind = $this->kinds->get($row->text('kind'));
            $area = $row->has('medium')
                ? $this->media->get($row->text('medium'))->areaM2M3
                : $row->numberOrNull('area_m2_m3');
            if ($area === null && $kind->nitrifies()) {
                $errors["stages.{$i}.medium"] = 'A medium is needed, or its surface in m²/m³.';
            }
            $stages[] = new FilterStage(
                kind: $kind,
                areaM2M3: $area ?? 0.0,
                mediaL: $row->number('media_l'),
                flowLH: $row->number('flow_l_h'),
                branch: $row->textOrNull('branch'),
                airLMin: $row->number('air_l_min'),
                maturity: $row->number('maturity_pct') / 100,
                fouling: $row->number('fouling_pct') / 100,
            );
        }

        return $errors === [] ? $stages : throw new BadInput($errors);
    }
}
