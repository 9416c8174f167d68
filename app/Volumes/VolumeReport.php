<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\Dose;
use App\Models\System;
use App\Models\VolumeChoice;
use App\Models\VolumeMeasure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Vessel\VolumeComparison;

/** The volume of a system three ways, side by side, and the one that doses go by. */
final readonly class VolumeReport
{
    private const NAMES = [
        'geometry' => 'Geometry',
        'meter' => 'The water meter',
        'salt' => 'Salt',
        'known' => 'What is known',
    ];

    public function __construct(private Registry $registry, private LoopSums $systems) {}

    /** The figure doses go by: what was chosen last, else geometry. */
    public function inUse(System $system): Figure
    {
        $choice = $this->choice($system);
        $measure = $choice?->measure_id === null ? null : VolumeMeasure::query()->find($choice->measure_id);

        return $measure === null ? $this->systems->volume($system) : $this->measured($measure);
    }

    /** @return array<string, mixed> */
    public function of(System $system): array
    {
        $query = VolumeMeasure::query()->where('system_id', $system->id)->with('user');
        $query->orderByDesc('created_at');
        /** @var Collection<int, VolumeMeasure> $measures */
        $measures = $query->limit(20)->get();
        $choice = $this->choice($system);
        $geometry = $this->systems->volume($system);
        $rows = [
            [
                'id' => null,
                'method' => 'geometry',
                'figure' => $geometry->toArray(),
                'low_l' => null,
                'high_l' => null,
                'age' => null,
                'by' => null,
                'in_use' => $choice?->measure_id === null,
                'in_gallons' => self::gallons($geometry->value),
            ],
        ];
        foreach ($measures as $measure) {
            $rows[] = [
                'id' => $measure->id,
                'method' => $measure->method,
                'figure' => $this->measured($measure)->toArray(),
                'low_l' => $measure->low_l,
                'high_l' => $measure->high_l,
                'age' => Age::of($measure->created_at),
                'by' => $measure->user?->name,
                'in_use' => $choice?->measure_id === $measure->id,
                'in_gallons' => self::gallons($measure->volume_l),
            ];
        }

        return [
            'ways' => $rows,
            'chosen' =>
                $choice === null
                    ? null
                    : 'chosen ' .
                        Age::of($choice->created_at) .
                        ($choice->user === null ? '' : " by {$choice->user->name}"),
            'compared' => $this->compared($geometry->value, $measures),
            'on_another' => $this->onAnother($system),
        ];
    }

    private function measured(VolumeMeasure $measure): Figure
    {
        $origins = [];
        $calculator = VolumeMeasure::CALCULATORS[$measure->method];
        foreach ($this->registry->named($calculator)->inputs() as $input) {
            if (isset($measure->input[$input->key])) {
                $origins[] = new Origin(
                    $input->key,
                    $input->label,
                    Format::number($measure->input[$input->key], 6) . ($input->unit === null ? '' : " {$input->unit}"),
                    'measured',
                    'measured ' .
                        Age::of($measure->created_at) .
                        ($measure->user === null ? '' : " by {$measure->user->name}"),
                );
            }
        }

        return new Figure(
            'Volume by ' . lcfirst(self::NAMES[$measure->method]),
            $measure->volume_l,
            'L',
            $calculator,
            'volume_l',
            $measure->input,
            $origins,
        );
    }

    private function choice(System $system): ?VolumeChoice
    {
        $query = VolumeChoice::query()->where('system_id', $system->id)->with('user');
        $query->orderByDesc('created_at')->orderByDesc('id');

        return $query->first();
    }

    /** @return list<string> doses that are in the water still and were worked out on another volume than is used now */
    private function onAnother(System $system): array
    {
        $volume = $this->inUse($system)->value;
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->where('system_id', $system->id)
            ->with(['vessel', 'good'])
            ->whereNull('vessel_id')
            ->whereNull('withdrawn_at')
            ->where('given_at', '>=', Carbon::now()->subDays(Validity::BACK_D))
            ->orderByDesc('given_at')
            ->limit(20)
            ->get();

        return array_values(
            $doses
                ->filter(static fn(Dose $dose): bool => $dose->afterwards($volume) !== null)
                ->map(
                    static fn(Dose $dose): string => ucfirst(Age::of($dose->given_at)) .
                        ": {$dose->text()}. {$dose->afterwards($volume)}",
                )
                ->all(),
        );
    }

    /**
     * The newest of each method against geometry, and against one another.
     *
     * @param  Collection<int, VolumeMeasure>  $measures
     * @return list<array{text: string, mix_up: bool, agree: bool}>
     */
    private function compared(float $geometry, Collection $measures): array
    {
        $volumes = $geometry > 0 ? ['geometry' => $geometry] : [];
        foreach (['meter', 'salt', 'known'] as $method) {
            $newest = $measures->firstWhere('method', $method);
            if ($newest !== null) {
                $volumes[$method] = $newest->volume_l;
            }
        }
        $found = [];
        foreach ($volumes as $one => $oneL) {
            foreach ($volumes as $other => $otherL) {
                if (array_search($one, array_keys($volumes), true) < array_search($other, array_keys($volumes), true)) {
                    $comparison = VolumeComparison::of(self::NAMES[$one], $oneL, lcfirst(self::NAMES[$other]), $otherL);
                    $found[] = [
                        'text' => ucfirst($comparison->sentence),
                        'mix_up' => $comparison->mixUp,
                        'agree' => $comparison->agree,
                    ];
                }
            }
        }

        return $found;
    }

    private static function gallons(float $litres): string
    {
        return Format::number(Unit::UsGallon->fromCanonical($litres, Quantity::Volume), 4) .
            ' US gal, ' .
            Format::number(Unit::ImperialGallon->fromCanonical($litres, Quantity::Volume), 4) .
            ' imp gal';
    }
}
