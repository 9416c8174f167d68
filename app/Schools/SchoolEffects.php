<?php

declare(strict_types=1);

namespace App\Schools;

use App\Build\PlumbingReport;
use App\Capacity\CapacityReport;
use App\Capacity\CapacityVerdict;
use App\Capacity\SizeReport;
use App\Maturing\FishIn;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Service\DueJob;
use App\Service\DueJobs;
use App\Service\ServiceBook;
use App\Service\ServiceReport;
use App\State\SystemState;
use App\Trouble\TroubleReport;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/**
 * What the pages of a system say that rests on the schools it follows, in lines that can be held against each other:
 * its state, limits, room, what trouble would be answered with, what is due.
 */
final readonly class SchoolEffects
{
    /** Trouble that is asked about, whatever the water is: readings over those of now, and what would be seen. */
    private const TROUBLES = [
        'If ammonia were 1 mg/L' => [['tan_mg_l' => 1.0, 'ph' => 7.6], []],
        'If nitrite were 1 mg/L' => [['no2_n_mg_l' => 1.0], []],
        'If they gasped' => [[], [Sign::Gasping, Sign::PumpStopped]],
        'If they rubbed in good water' => [['tan_mg_l' => 0.0, 'no2_n_mg_l' => 0.0], [Sign::Flashing]],
        'If the water were murky' => [[], [Sign::MurkyWater]],
        'If the water were green' => [[], [Sign::GreenWater]],
    ];

    public function __construct(
        private LimitsInForce $limits,
        private SystemState $states,
        private CapacityReport $capacity,
        private SizeReport $sizes,
        private TroubleReport $trouble,
        private DueJobs $due,
        private ServiceReport $service,
        private FishIn $fishIn,
        private PlumbingReport $plumbing,
        private MediaTable $media,
    ) {}

    /** @return array<string, list<string>> lines by what they are of */
    public function of(System $system, LatestWater $water): array
    {
        $verdict = $this->capacity->of($system, $water);
        $state = $this->states->of($system, $water, verdict: $verdict);
        $lines = [
            'State' => [trim(($state->state->value ?? 'nothing to judge') . '. ' . ($state->worst ?? ''))],
            ...$this->lines($system),
            ...$this->room($verdict),
            'Service due' => array_map(
                static fn(DueJob $one): string => $one->text(),
                array_values(
                    array_filter(
                        $this->due->of($system, $water, ServiceBook::of($system)),
                        static fn(DueJob $one): bool => $one->due->now(),
                    ),
                ),
            ),
            'Media are washed' => [$this->service->rinse($system)->value],
            'Plumbing' => $this->flow($system, $water),
            'Filters that would carry it' => $this->filters($system, $water, $verdict),
            'Start with fish' => $this->start($system, $water, $verdict),
        ];
        foreach (self::TROUBLES as $name => [$values, $seen]) {
            $lines[$name] = $this->trouble->told($system, $water, $values, $seen);
        }

        return $lines;
    }

    /** @return array<string, list<string>> */
    private function lines(System $system): array
    {
        $lines = [];
        foreach ([Parameter::Ammonia, Parameter::Nitrate] as $of) {
            $limits = $this->limits->for($system, $of);
            $lines["{$of->name()}, limits"] = [self::bounds($limits)];
        }

        return $lines;
    }

    private static function bounds(Limits $limits): string
    {
        $of = $limits->parameter;
        $say = static fn(float $value): string => Format::number($of->shown($value), 3);
        $above = $limits->above;

        return $above === null
            ? ''
            : trim(
                "watch above {$say($above->watch)}, act above {$say($above->act)}, emergency above " .
                    "{$say($above->emergency)} {$of->symbol()}",
            );
    }

    /** @return array<string, list<string>> */
    private function room(CapacityVerdict $verdict): array
    {
        $room = $verdict->room?->toArray();
        $figure = static function (string $key) use ($room): string {
            $one = is_array($room[$key] ?? null) ? $room[$key] : [];

            return is_numeric($one['value'] ?? null) ? Format::number((float) $one['value'], 3) : 'not known';
        };

        return $room === null
            ? []
            : [
                'Room for more fish' => [$figure('fish_now') . ' now, ' . $figure('fish_grown') . ' in steps'],
                'Room for more feed' => [$figure('feed_now') . ' g/d now, ' . $figure('feed_grown') . ' g/d in steps'],
            ];
    }

    /** @return list<string> */
    private function flow(System $system, LatestWater $water): array
    {
        $said = [];
        $cautions = $this->plumbing->of($system, $water)['cautions'] ?? [];
        foreach (is_array($cautions) ? $cautions : [] as $one) {
            if (is_array($one) && is_string($one['text'] ?? null)) {
                $said[] = $one['text'];
            }
        }

        return $said;
    }

    /** @return list<string> */
    private function filters(System $system, LatestWater $water, CapacityVerdict $verdict): array
    {
        [$conditions] = $this->capacity->read($system, $water, []);
        $rows = $this->sizes->of($system, $conditions, max(0.1, $verdict->load->value));
        $said = [];
        foreach (is_array($rows['rows']) ? $rows['rows'] : [] as $one) {
            if (is_array($one) && is_string($one['medium'] ?? null)) {
                $litres = is_numeric($one['media_l'] ?? null) ? Format::about((float) $one['media_l']) . ' L of ' : '';
                $said[] = $litres . lcfirst($this->media->get($one['medium'])->name);
            }
        }
        foreach (is_array($rows['rules']) ? $rows['rules'] : [] as $one) {
            $said[] = is_string($one) ? $one : '';
        }

        return $said;
    }

    /** @return list<string> */
    private function start(System $system, LatestWater $water, CapacityVerdict $verdict): array
    {
        $following = $this->limits->following($system);
        $start = $this->fishIn->of($system, $water, $verdict->load->value, $verdict->capacity->value ?? 0.0);
        $minutes = $start?->minutes();

        return [
            'Water is changed from ' . Format::number($following->fishInTrigger(), 3) . ' mg/L of ammonia (as N).',
            ...$minutes === null ? [] : ['Next change in about ' . Format::about(max(0.0, $minutes) / 60) . ' h.'],
            'Lamp: ' . $following->in('start_uv')->says,
        ];
    }
}
