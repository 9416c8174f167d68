<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Models\Age;
use App\Models\Charge;
use App\Models\Dose;
use App\Models\FishGroup;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Models\VolumeChoice;
use App\Readings\LatestWater;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Seeding;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** The state of a body of water as conflicts and doses are judged by it, read out of build and book. */
final readonly class DoseState
{
    private const WATER = ['temp_c', 'ph', 'alkalinity_mg_l', 'hardness_mg_l', 'salinity_g_l', 'do_mg_l'];

    /**
     * @param  array<string, float|bool|list<string>>  $input  of `dose.conflicts`, without the agent
     * @param  list<array{key: string, label: string, text: string, from: string, stale: bool}>  $rows  as the page
     *     shows it
     * @param  array<string, array{name: string, mg_l: ?float, most_mg_l: ?float, gone_d: ?float,
     *     since: Carbon}>  $present
     */
    private function __construct(
        public array $input,
        public array $rows,
        public array $present,
        public bool $fish,
        public ?float $nitrite,
    ) {}

    public static function of(
        System $system,
        WaterBody $body,
        LatestWater $water,
        ExpectedWater $expected,
        Residuals $residuals,
        Conflicts $conflicts,
        StageKinds $kinds,
    ): self {
        $reckoned = $expected->now($system, $water);
        /** @var ?VolumeChoice $choice */
        $choice = VolumeChoice::query()->where('system_id', $system->id)->orderByDesc('created_at')->first();
        $count = $system->fish->sum(static fn(FishGroup $group): int => $group->count);
        $input = [];
        $rows = [
            [
                'key' => 'volume_l',
                'label' => $body->vesselId === null ? 'Volume' : "{$body->name}, shut off",
                'text' => Format::number($body->volumeL, 5) . ' L',
                'from' =>
                    $choice !== null
                        ? 'chosen ' . Age::of($choice->created_at)
                        : 'by geometry, not checked by meter or salt',
                'stale' => false,
            ],
            [
                'key' => 'fish',
                'label' => 'Fish',
                'text' => $count === 0 ? 'none' : "{$count}",
                'from' => $system->fish
                    ->map(static fn(FishGroup $group): string => $group->name)
                    ->take(3)
                    ->implode(', '),
                'stale' => false,
            ],
        ];
        $shut =
            $body->vesselId === null
                ? array_map(static fn(Vessel $vessel): string => $vessel->name, WaterBodies::shut($system))
                : [];
        if ($shut !== []) {
            $rows[] = [
                'key' => 'shut_off',
                'label' => 'Shut off',
                'text' => implode(', ', $shut),
                'from' => 'its water is left out',
                'stale' => false,
            ];
        }
        foreach (self::WATER as $key) {
            $parameter = Parameter::from($key);
            $entry = $water->get($parameter);
            if ($entry === null) {
                $rows[] = [
                    'key' => $key,
                    'label' => $parameter->name(),
                    'text' => 'not tested',
                    'from' => '',
                    'stale' => $key !== 'salinity_g_l',
                ];

                continue;
            }
            $value = $reckoned[$key] ?? $entry->value;
            $input[$key] = $value;
            $rows[] = [
                'key' => $key,
                'label' => $parameter->name(),
                'text' => trim(Format::number($parameter->shown($value), 3) . ' ' . $parameter->symbol()),
                'from' =>
                    (isset($reckoned[$key]) ? 'estimated since the test ' : 'tested ') . Age::of($entry->taken_at),
                'stale' => $entry->taken_at->diffInDays(Carbon::now()) > Validity::READING_D,
            ];
        }
        $present = $residuals->now($system, $body);
        $salt = $water->get(Parameter::Salinity);
        // Salt that was measured since is what was measured.
        if (isset($present['salt']) && $salt !== null && $salt->taken_at->gte($present['salt']['since'])) {
            unset($present['salt']);
        }
        $things = array_values(
            array_intersect(array_map(self::counts(...), array_keys($present)), $conflicts->things()),
        );
        if ($body->vesselId === null) {
            $has = static fn(string $kind): bool => $system->stages->contains(
                static fn(Stage $stage): bool => $stage->kind === $kind && !$stage->bypassed,
            );
            $charges = Charge::in($system)->get();
            $input['carbon_in'] =
                $has('carbon') || $charges->contains(static fn(Charge $charge): bool => $charge->holdsCarbon());
            $input['zeolite_in'] =
                $has('zeolite') || $charges->contains(static fn(Charge $charge): bool => $charge->holdsAmmonia());
            $input['uv_on'] = $has('uv');
            $seeding = self::seeding($system, $kinds);
            $input['filter_seeding'] = $seeding->runs;
            $rows[] = [
                'key' => 'filter_seeding',
                'label' => $seeding->runs ? 'Being seeded' : 'Filter',
                'text' => $seeding->says,
                'from' => 'by build and book',
                'stale' => false,
            ];
            if ($system->plantsM2() > 0) {
                $things[] = 'plants';
            }
            if ($system->vessels->contains(static fn(Vessel $vessel): bool => $vessel->invertebrates)) {
                $things[] = 'invertebrates';
                $rows[] = [
                    'key' => 'invertebrates',
                    'label' => 'With the fish',
                    'text' => 'Snails, mussels or crayfish',
                    'from' => 'by build',
                    'stale' => false,
                ];
            }
        }
        foreach (
            ['carbon_in' => 'Carbon is in', 'zeolite_in' => 'Zeolite or resin is in', 'uv_on' => 'UV is on']
            as $key => $label
        ) {
            if (($input[$key] ?? false) === true) {
                $rows[] = [
                    'key' => $key,
                    'label' => 'In the loop',
                    'text' => $label,
                    'from' => 'by build and book',
                    'stale' => false,
                ];
            }
        }
        foreach ($present as $thing => $row) {
            $rows[] = [
                'key' => $thing,
                'label' => 'In the water',
                'text' =>
                    $row['name'] .
                    ($row['mg_l'] === null || $row['mg_l'] <= 0
                        ? ''
                        : ', ' . Format::number($row['mg_l'], 2) . ' mg/L left'),
                'from' => 'given ' . Age::of($row['since']),
                'stale' => false,
            ];
        }

        return new self(
            [...$input, ...$things === [] ? [] : ['present' => array_values(array_unique($things))]],
            $rows,
            $present,
            $count > 0,
            $water->get(Parameter::Nitrite)?->value,
        );
    }

    /** The same water once nothing that a dose could meet is in it or in the loop. */
    public function cleared(): self
    {
        return new self(
            array_diff_key($this->input, ['present' => 0, 'zeolite_in' => 0, 'carbon_in' => 0, 'filter_seeding' => 0]),
            $this->rows,
            [],
            $this->fish,
            $this->nitrite,
        );
    }

    /** What something in the water counts as when it meets others: one's own agents all as one. */
    private static function counts(string $thing): string
    {
        return str_starts_with($thing, Residuals::OWN) ? Conflicts::OWN : $thing;
    }

    /**
     * What is left of a thing that is to be given, so that it counts with the dose; of one's own agents only the same.
     *
     * @return array<string, float|list<string>> of the input of `dose.treatment`
     */
    public function against(Dosable $dosable): array
    {
        $things = is_array($this->input['present'] ?? null) ? $this->input['present'] : [];
        if ($dosable->good !== null) {
            $same = isset($this->present[Residuals::OWN . $dosable->good->id]);

            return [
                'present' => array_values(
                    array_filter($things, static fn(string $one): bool => $one !== Conflicts::OWN || $same),
                ),
            ];
        }
        $row = $dosable->agent === null ? null : $this->present[$dosable->agent->id] ?? null;
        $left = $row['most_mg_l'] ?? null;

        return $left === null || $dosable->apart ? [] : ['left_mg_l' => max(0.0, $left)];
    }

    /** Another agent of one's own that is in the water, by name. */
    public function otherOwn(Dosable $dosable): ?string
    {
        if ($dosable->agent === null && $dosable->good === null) {
            return null;
        }
        foreach ($this->present as $thing => $row) {
            $same = $dosable->good !== null && $thing === Residuals::OWN . $dosable->good->id;
            if (str_starts_with($thing, Residuals::OWN) && !$same) {
                return $row['name'];
            }
        }

        return null;
    }

    private static function seeding(System $system, StageKinds $kinds): Seeding
    {
        $days = static fn(Carbon $since): float => floor(max(0.0, $since->diffInDays(Carbon::now())));
        $culture = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'culture')
            ->max('given_at');
        $stages = $system->stages
            ->filter(
                static fn(Stage $stage): bool => $kinds->get($stage->kind)->matures($stage->media_l, $stage->bypassed),
            )
            ->mapWithKeys(
                static fn(Stage $stage): array => [
                    $stage->name => $stage->since === null ? null : $days($stage->since),
                ],
            )
            ->all();

        return Seeding::of(
            $system->life_stage === 'starting' || $system->kind === 'start',
            is_string($culture) ? $days(Carbon::parse($culture)) : null,
            $stages,
        );
    }
}
