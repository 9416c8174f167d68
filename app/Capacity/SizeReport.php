<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\System;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Measure\Format;

/** The filter that these fish would need, in several ways of building it, beside the rules of the trade. */
final readonly class SizeReport
{
    /** A bog against the surface of its pond. Common practice, no source. */
    private const BOG_SHARE = [0.1, 0.3];

    public function __construct(
        private Registry $registry,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private LimitsInForce $judging,
    ) {}

    /**
     * What these fish would need, the other way round, beside the rule of the boxes.
     *
     * @return array<string, mixed>
     */
    public function of(System $system, Conditions $conditions, float $load): array
    {
        $following = $this->judging->following($system);
        $school = $following->in('filter_size');
        $values = $conditions->values;
        $result = $this->registry->run('filter.size', [
            'load_g_d' => $load,
            'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
            'temp_c' => $values['temp_c'],
            'ph' => $values['ph'],
            'do_in_mg_l' => $values['do_mg_l'],
            'tan_mg_l' => $values['tan_mg_l'],
            'alkalinity_mg_l' => $values['alkalinity_mg_l'],
            'rating_times' => max(1.0, $school->figure('times')),
        ]);
        $rating =
            'A box rated for ' .
            Format::number($result->number('box_rating_l'), 3) .
            ' L by the school followed here (' .
            lcfirst($school->name) .
            '). ';

        return [
            'rows' => array_values(
                array_filter(
                    (array) $result->figures['options'],
                    static fn(mixed $one): bool => $following->in('lava')->figure('use') > 0 ||
                        !is_array($one) ||
                        $one['medium'] !== 'lava_stone',
                ),
            ),
            'rules' => [
                $rating,
                ...$this->bog($system),
                ...array_map(static fn(Caution $caution): string => $caution->text, $result->cautions),
            ],
        ];
    }

    /** @return list<string> the rule of the bogs, for what lies under the sky */
    private function bog(System $system): array
    {
        $surface = $this->systems->surface($system);

        return $system->kind === 'display' && $surface > 0
            ? [
                'A bog by rule of thumb: 10 to 30 % of the surface of its pond, here ' .
                Format::number(self::BOG_SHARE[0] * $surface, 2) .
                ' to ' .
                Format::number(self::BOG_SHARE[1] * $surface, 2) .
                ' m².',
            ]
            : [];
    }
}
