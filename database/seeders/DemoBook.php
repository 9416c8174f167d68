<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Book\ProbeBook;
use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\Feed;
use App\Models\Kit;
use App\Models\Note;
use App\Models\Setback;
use App\Models\System;
use App\Models\Trickle;
use App\Models\User;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Water\Oxygen;

/** Writes what an invented system went through into the book, as its keepers would: by kit, with gaps and noise. */
final readonly class DemoBook
{
    /** What stands before a trickle from the mains. */
    private const CARBON = '5 µm sediment and two carbons';

    /** Decimals that are typed, and the step that is read, by parameter. */
    private const KITS = [
        'tan_mg_l' => [2, 0.05],
        'no2_n_mg_l' => [2, 0.02],
        'no3_n_mg_l' => [0, 1],
        'ph' => [1, 0.1],
        'temp_c' => [1, 0.1],
        'do_mg_l' => [1, 0.1],
        'alkalinity_mg_l' => [1, 0.2],
        'salinity_g_l' => [1, 0.1],
    ];

    private const PROBE_DAYS = 14;

    private const PROBE_EVERY_S = 300;

    /**
     * @param  list<User>  $people
     * @param  array<string, string>  $waters
     */
    public function __construct(
        private System $system,
        private array $people,
        private array $waters,
        private float $volumeL,
    ) {}

    /**
     * @param  array<string, mixed>  $plan
     * @param  array<int, array<string, float>>  $days  of DemoWater
     */
    public function write(array $plan, array $days): void
    {
        $this->tests($plan, $days);
        $this->feeding($plan, $days);
        $this->changes($plan['story']['events']);
        if ($plan['kind'] === 'start') {
            $this->ammonia($plan['story']['events']);
        }
        foreach ($plan['notes'] ?? [] as [$ago, $seen, $words]) {
            $this->system
                ->hasMany(Note::class)
                ->create([...$this->own(1), 'taken_at' => $this->at($ago, 8, 20), 'seen' => $seen, 'words' => $words]);
        }
        foreach ($plan['setbacks'] ?? [] as [$ago, $kind, $hours]) {
            $deed = Deed::from($kind);
            $costs = $deed->costs($hours);
            $this->system
                ->hasMany(Setback::class)
                ->create([
                    ...$this->own(0),
                    'happened_on' => $this->at($ago, 8)->toDateString(),
                    'kind' => $deed,
                    'hours' => $deed->byHours() ? $hours : null,
                    'lost_pct' => $costs['lost'],
                    'low_pct' => $costs['low'],
                    'high_pct' => $costs['high'],
                ]);
        }
        foreach ($plan['charges'] ?? [] as [$ago, $kind, $grams, $cycles]) {
            $this->system
                ->hasMany(Charge::class)
                ->create([
                    ...$this->own(1),
                    'kind' => $kind,
                    'mass_g' => $grams,
                    'capacity_mg_n_per_g' => 1.5,
                    'cycles' => $cycles,
                    'put_in_at' => $this->at($ago, 9),
                ]);
        }
        if (isset($plan['course'])) {
            $this->course(...$plan['course']);
        }
        if ($plan['story']['trickle_pct_d'] > 0) {
            $this->system
                ->hasMany(Trickle::class)
                ->create([
                    ...$this->own(0),
                    'water_id' => $this->waters[$plan['story']['source']],
                    'flow_l_h' => ($this->volumeL * $plan['story']['trickle_pct_d']) / 2400,
                    'started_at' => $this->at($plan['story']['days'], 8),
                    'treated_by' => $plan['story']['source'] === 'mains' ? self::CARBON : null,
                ]);
        }
        foreach ($plan['schools'] ?? [] as $topic => [$school, $reason]) {
            $this->system
                ->schools()
                ->create([...$this->own(0), 'topic' => $topic, 'school' => $school, 'reason' => $reason]);
        }
        foreach ($plan['sight'] ?? [] as [$ago, $cm]) {
            $this->sight($ago, $cm);
        }
        if ($plan['probes'] ?? false) {
            $this->probes($plan['story'], $days);
        }
    }

    /**
     * As often as the plan says with gaps, every day where something was wrong, and today.
     *
     * @param  array<string, mixed>  $plan
     * @param  array<int, array<string, float>>  $days
     */
    private function tests(array $plan, array $days): void
    {
        [$from, $to] = $plan['closely'] ?? [-1, -1];
        $next = INF;
        foreach ($days as $ago => $water) {
            $close = $ago <= $from && $ago >= $to;
            if ($ago > $next && !$close && $ago > 0) {
                continue;
            }
            $next = $ago - $plan['every'];
            if (!$close && $ago > 3 && mt_rand(0, 11) === 0) {
                continue;
            }
            $this->visit($ago, $water);
        }
    }

    /** @param  array<string, float>  $water */
    private function visit(int $ago, array $water): void
    {
        static $kits = [];
        $kits[$this->system->site_id] ??= Kit::inUse($this->system->site);
        $at =
            $ago === 0
                ? Carbon::now()->subMinutes(40 + mt_rand(0, 90))
                : $this->at($ago, 8)->addMinutes(mt_rand(-40, 70));
        $visit = $this->system->visits()->create([...$this->own(mt_rand(0, 1)), 'taken_at' => $at, 'booked_at' => $at]);
        $rows = [];
        foreach (self::KITS as $key => [$decimals, $step]) {
            if ($key === 'salinity_g_l' && $water[$key] < 0.02) {
                continue;
            }
            $parameter = Parameter::from($key);
            $unit = $parameter->units()[0] ?? null;
            $value = max(0.0, $parameter->shown($water[$key]) + ($step * mt_rand(-80, 80)) / 100);
            $typed = number_format(round($value / $step) * $step, $decimals, '.', '');
            $kit = $kits[$this->system->site_id][$key] ?? null;
            $reading = TypedReading::read(
                $parameter,
                $typed,
                $unit?->value,
                $kit !== null && $kit->unit === $unit?->value ? $kit->judge() : null,
            );
            $rows[] = [
                'site_id' => $this->system->site_id,
                'system_id' => $this->system->id,
                'visit_id' => $visit->id,
                'parameter' => $key,
                'typed' => $typed,
                'unit' => $unit?->value,
                'value' => $reading->value,
                'low' => $reading->interval->low,
                'high' => $reading->interval->high,
                'taken_at' => $at,
            ];
        }
        DB::table('readings')->insert($rows);
    }

    /** How far one saw from the bridge. */
    private function sight(int $ago, int $cm): void
    {
        $at = $this->at($ago, 13);
        $visit = $this->system
            ->visits()
            ->create([...$this->own(1), 'taken_at' => $at, 'booked_at' => $at, 'spot' => 'the bridge']);
        DB::table('readings')->insert([
            'site_id' => $this->system->site_id,
            'system_id' => $this->system->id,
            'visit_id' => $visit->id,
            'parameter' => Parameter::Clarity->value,
            'typed' => (string) $cm,
            'unit' => null,
            'value' => $cm,
            'low' => $cm - 2.5,
            'high' => $cm + 2.5,
            'taken_at' => $at,
        ]);
    }

    /**
     * A figure of the plan every month as the water warms, and every feed that was given.
     *
     * @param  array<string, mixed>  $plan
     * @param  array<int, array<string, float>>  $days
     */
    private function feeding(array $plan, array $days): void
    {
        $planned = null;
        foreach ($days as $ago => $water) {
            if ($water['fed_g'] <= 0) {
                continue;
            }
            if ($planned === null || $ago % 30 === 24) {
                $planned = $water['fed_g'];
                $this->system
                    ->feedFigures()
                    ->create([
                        ...$this->own(0),
                        'since' => $this->at($ago, 8)->toDateString(),
                        'feed_g_d' => $planned,
                        'protein_pct' => $plan['protein_pct'] ?? 38,
                    ]);
            }
            $this->system
                ->hasMany(Feed::class)
                ->create([
                    ...$this->own(mt_rand(0, 1)),
                    'fed_at' =>
                        $ago === 0
                            ? Carbon::now()->subMinutes(mt_rand(60, 200))
                            : $this->at($ago, 9)->addMinutes(mt_rand(0, 120)),
                    'feed_g' => round(($water['fed_g'] * mt_rand(92, 106)) / 100, $water['fed_g'] < 20 ? 1 : -1),
                    'came_up' => mt_rand(0, 6) === 0 ? 'slowly' : 'yes',
                    'left_some' => mt_rand(0, 11) === 0,
                ]);
        }
    }

    /** @param  array<int, list<array{string, float}>>  $events */
    private function changes(array $events): void
    {
        foreach ($events as $ago => $happened) {
            foreach ($happened as [$what, $value]) {
                if (isset($this->waters[$what])) {
                    $this->system
                        ->hasMany(WaterChange::class)
                        ->create([
                            ...$this->own(1),
                            'water_id' => $this->waters[$what],
                            'kind' => 'batch',
                            'litres' => round(($this->volumeL * $value) / 100, -1),
                            'volume_l' => $this->volumeL,
                            'changed_at' => $this->at((int) $ago, 10, 30),
                        ]);
                }
            }
        }
    }

    /**
     * A course whose doses went in on some days.
     *
     * @param  non-empty-list<int>  $days  ago
     */
    private function course(string $thing, string $name, float $level, int $repeats, array $days): void
    {
        $course = $this->system
            ->hasMany(Course::class)
            ->create([
                ...$this->own(0),
                'thing' => $thing,
                'way' => 'prolonged',
                'dose_mg_l' => $level,
                'repeats' => $repeats,
                'started_at' => $this->at(max($days), 10),
            ]);
        foreach ($days as $ago) {
            $this->system
                ->hasMany(Dose::class)
                ->create([
                    ...$this->own(0),
                    'course_id' => $course->getKey(),
                    'thing' => $thing,
                    'name' => $name,
                    'way' => 'prolonged',
                    'amount' => Measures::down(($level * $this->volumeL) / 1000),
                    'unit' => 'g',
                    'mg_l' => $level,
                    'volume_l' => $this->volumeL,
                    'calc' => 'dose.treatment',
                    'input' => ['agent' => $thing, 'volume_l' => $this->volumeL, 'dose_mg_l' => $level],
                    'given_at' => $this->at($ago, 10),
                ]);
        }
    }

    /**
     * A start without fish is fed from a jar of ammonium chloride, before the test of that day.
     *
     * @param  array<int, list<array{string, float|int}>>  $events
     */
    private function ammonia(array $events): void
    {
        foreach ($events as $ago => $list) {
            foreach ($list as [$what, $mgL]) {
                if ($what === 'ammonia') {
                    $input = [
                        'volume_l' => $this->volumeL,
                        'target_mg_l' => (float) $mgL,
                        'product' => 'ammonium_chloride',
                        'tan_mg_l' => 0.0,
                    ];
                    $this->system
                        ->hasMany(Dose::class)
                        ->create([
                            ...$this->own(0),
                            'thing' => 'ammonium',
                            'name' => 'Ammonia for a start without fish',
                            'way' => 'prolonged',
                            'amount' => Measures::down(
                                app(Registry::class)->run('filter.start_dose', $input)->number('dose_g'),
                            ),
                            'unit' => 'g',
                            'mg_l' => $mgL,
                            'volume_l' => $this->volumeL,
                            'calc' => 'filter.start_dose',
                            'input' => $input,
                            'given_at' => $this->at($ago, 6),
                        ]);
                }
            }
        }
    }

    /**
     * Temperature, oxygen and pH every five minutes: warmest and fullest of oxygen in the afternoon, poorest at dawn.
     *
     * @param  array<string, mixed>  $story
     * @param  array<int, array<string, float>>  $days
     */
    private function probes(array $story, array $days): void
    {
        $book = new ProbeBook();
        $swing = $story['daily_swing'] ?? ['temp_c' => 0.3, 'do_mg_l' => 0.3, 'ph' => 0.05];
        $points = ['temp_c' => [], 'do_mg_l' => [], 'ph' => []];
        $pressure = Oxygen::pressureAtAltitude($this->system->site->altitude_m);
        $now = Carbon::now()->getTimestamp();
        for ($at = $now - self::PROBE_DAYS * 86400; $at <= $now; $at += self::PROBE_EVERY_S) {
            $ago = ($now - $at) / 86400;
            $hour = fmod($at / 3600, 24);
            // Warmest at four in the afternoon, and most oxygen; least of it just before sunrise.
            $sun = cos((2 * M_PI * ($hour - 16)) / 24);
            $temp = DemoWater::temperature($story['warmth'], $ago) + $swing['temp_c'] * $sun;
            $day = $days[(int) min(count($days) - 1, round($ago))];
            $noise = static fn(): float => mt_rand(-100, 100) / 100;
            $points['temp_c'][] = [(float) $at, round($temp + 0.02 * $noise(), 2)];
            $points['do_mg_l'][] = [
                (float) $at,
                round(
                    $story['oxygen'] * Oxygen::saturation($temp, 0.0, $pressure) +
                        $swing['do_mg_l'] * ($sun - 0.2) +
                        0.05 * $noise(),
                    2,
                ),
            ];
            $points['ph'][] = [(float) $at, round($day['ph'] + $swing['ph'] * $sun + 0.01 * $noise(), 2)];
        }
        foreach ($points as $parameter => $series) {
            $book->keep($this->system, Parameter::from($parameter), $series);
        }
    }

    private function at(int $daysAgo, int $hour, int $minute = 0): Carbon
    {
        $at = Carbon::now()->subDays($daysAgo)->setTime($hour, $minute);

        return $at->isFuture() ? Carbon::now()->subMinutes(50) : $at;
    }

    /** @return array{site_id: string, user_id: string} */
    private function own(int $person): array
    {
        return ['site_id' => $this->system->site_id, 'user_id' => $this->people[$person]->id];
    }
}
