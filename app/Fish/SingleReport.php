<?php

declare(strict_types=1);

namespace App\Fish;

use App\Models\Dose;
use App\Models\FishEvent;
use App\Models\Look;
use App\Models\SingleFish;
use App\Models\SingleMeasure;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Judge\Parameter;

/** Single fish with their history: size and condition, growth, moves, what was given to their water, what was seen. */
final readonly class SingleReport
{
    private const AHEAD_WEEKS = 12;

    private const DOSES = 12;

    private const LOOKS = 12;

    public function __construct(private GrowthOf $growth, private SteadyWater $steady) {}

    /** @return list<array<string, mixed>> those that live here first */
    public function of(System $system, LatestWater $water): array
    {
        $fish = SingleFish::query()
            ->with(['measures', 'group', 'looks.note'])
            ->where('system_id', $system->id)
            ->orderByRaw('gone IS NOT NULL, name')
            ->get();
        $temp = $this->steady->temperature($system, $water->valueOrAssumed(Parameter::Temperature));
        $events = FishEvent::query()
            ->with(['from', 'to'])
            ->whereIn('single_fish_id', $fish->pluck('id')->all())
            ->orderBy('happened_on')
            ->get()
            ->groupBy('single_fish_id');

        return array_values(
            $fish->map(fn(SingleFish $one): array => $this->one($system, $one, $temp, $events->get($one->id)))->all(),
        );
    }

    /**
     * @param  ?Collection<int, FishEvent>  $moved
     * @return array<string, mixed>
     */
    private function one(System $system, SingleFish $fish, float $temp, ?Collection $moved): array
    {
        $moves = $moved ?? new Collection();
        $last = $fish->measures->last();
        $both = $fish->measures
            ->filter(static fn(SingleMeasure $one): bool => $one->length_cm !== null && $one->weight_g !== null)
            ->last();
        $weight = $last === null ? null : GrowthOf::weight($last);
        $length = $last->length_cm ?? Condition::length($weight ?? 1.0);
        $growth = $this->growth->of($system, $fish->measures, Condition::USUAL, $temp, $length);
        $days = 7.0 * self::AHEAD_WEEKS;

        return [
            'id' => $fish->id,
            'version' => $fish->version(),
            'name' => $fish->name,
            'variety' => $fish->variety,
            'origin' => $fish->origin,
            'note' => $fish->note,
            'group' => $fish->fish_group_id,
            'group_name' => $fish->group?->name,
            'gone' => $fish->gone,
            'gone_on' => $fish->gone_on?->toDateString(),
            'gone_why' => $fish->gone_why,
            'length_cm' => $fish->measures->whereNotNull('length_cm')->last()?->length_cm,
            'weight_g' => $weight,
            'weighed' => $last?->weight_g !== null,
            'condition' => $both === null ? null : Condition::factor((float) $both->length_cm, (float) $both->weight_g),
            'condition_word' => $both === null ? null : self::word($both),
            'tgc' => $growth->tgc,
            'fitted' => $growth->fitted,
            'ahead_g' => $weight === null || $fish->gone !== null ? null : $growth->after($weight, $days, $temp),
            'ahead_weeks' => self::AHEAD_WEEKS,
            'measures' => array_values(
                $fish->measures
                    ->map(
                        static fn(SingleMeasure $one): array => [
                            'on' => $one->measured_on->toDateString(),
                            'length_cm' => $one->length_cm,
                            'weight_g' => $one->weight_g,
                            'reckoned_g' => GrowthOf::weight($one),
                        ],
                    )
                    ->all(),
            ),
            'moves' => array_values(
                $moves
                    ->map(
                        static fn(FishEvent $one): array => [
                            'on' => $one->happened_on->toDateString(),
                            'kind' => $one->kind,
                            'from' => $one->from->name,
                            'to' => $one->to?->name,
                            'reason' => $one->reason,
                        ],
                    )
                    ->all(),
            ),
            'doses' => $this->doses($fish, $moves),
            'looks' => array_values(
                $fish->looks
                    ->filter(static fn(Look $one): bool => $one->note->withdrawn_at === null)
                    ->take(self::LOOKS)
                    ->map(
                        static fn(Look $one): array => [
                            'id' => $one->id,
                            'on' => $one->note->taken_at->toDateString(),
                            'words' => $one->note->words,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    private static function word(SingleMeasure $measure): string
    {
        $factor = Condition::factor((float) $measure->length_cm, (float) $measure->weight_g);

        return match (true) {
            $factor < Condition::LEAN => 'lean',
            $factor > Condition::STOUT => 'stout',
            default => 'well fed',
        };
    }

    /**
     * What was given to the waters it lived in while it lived there.
     *
     * @param  Collection<int, FishEvent>  $moves  in order
     * @return list<array{on: string, text: string}>
     */
    private function doses(SingleFish $fish, Collection $moves): array
    {
        $spans = [];
        $since = Carbon::parse('1970-01-01');
        foreach ($moves as $move) {
            $spans[] = [$move->from_system_id, $since, $move->happened_on->copy()->endOfDay()];
            $since = $move->happened_on;
        }
        $spans[] = [$fish->system_id, $since, $fish->gone_on?->copy()->endOfDay() ?? Carbon::now()];
        $came = $fish->group->arrived_on ?? $fish->created_at;
        $doses = Dose::query()
            ->whereNull('withdrawn_at')
            ->where('given_at', '>=', $came)
            ->where(function ($query) use ($spans): void {
                foreach ($spans as [$system, $from, $to]) {
                    $query->orWhere(
                        static fn($one) => $one->where('system_id', $system)->whereBetween('given_at', [$from, $to]),
                    );
                }
            })
            ->orderByDesc('given_at')
            ->limit(self::DOSES)
            ->get();

        return array_values(
            $doses
                ->map(
                    static fn(Dose $one): array => [
                        'on' => $one->given_at->toDateString(),
                        'text' => $one->text(),
                    ],
                )
                ->all(),
        );
    }
}
