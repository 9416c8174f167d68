<?php

declare(strict_types=1);

namespace Tests\Agreement;

use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use Illuminate\Support\Str;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Every page is asked about systems with random builds and histories: a figure is the same wherever it stands, no state
 * is calmer than its worst reading, and no deed makes things look better than they can be.
 *
 * A seeded sample; FULL=1 asks about all of them.
 */
final class AgreementTest extends TestCase
{
    private const WHOLE = 300;

    private const SAMPLE = 30;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        $count = getenv('FULL') === '1' ? self::WHOLE : self::SAMPLE;
        foreach (
            getenv('SEEDS') !== false
                ? array_map(intval(...), explode(',', (string) getenv('SEEDS')))
                : range(1, $count)
            as $seed
        ) {
            yield "system {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_every_page_says_the_same_of_a_system(int $seed): void
    {
        $this->actingAs($this->owner);
        $this->system->delete();
        $system = RandomSystem::make($this->site, $this->owner, $seed);
        $page = $this->page($system);
        $this->sameFigures($system, $page);
        $this->noCalmerThanItsWorst($system, $page);
        $this->nothingPastActLacksSteps($system, $page);
        $this->doingWhatIsOrderedHelps($system);
        $this->cleanWaterBringsNoNitrate($system);
        $this->saysItPlainly($system);
        $this->speaksTheUnitsChosen($system);
        $before = $this->standing($system);

        $this->lessRuns($system);
        RandomSystem::addFish($system, 20, 50.0, 0);
        $fuller = $this->standing($system);
        self::assertGreaterThan($before['load'], $fuller['load'] + 1e-9, 'fish give ammonia');
        $this->noBetter($before, $fuller, 'fish that are added');

        RandomSystem::setBack($system, Deed::HosedChlorinated, 0);
        $this->noBetter($fuller, $this->standing($system), 'a filter that is hosed');

        $system->update(['asleep_since' => now()->subDays(10)]);
        $slept = $this->standing($system)['takes'];
        $system->update(['asleep_since' => now()->subDays(40)]);
        self::assertLessThanOrEqual(
            $slept + 1e-9,
            $this->standing($system)['takes'],
            'time without ammonia never grows a filter',
        );
    }

    /** No exponent, no row of digits that nobody measures; and what is wrong is said with what to do about it. */
    private function saysItPlainly(System $system): void
    {
        foreach (['', 'capacity', 'filter', 'maturing', 'fish', 'water', 'dose', 'trouble', 'plumbing'] as $of) {
            $page = $this->page($system, $of);
            // What is carried over into a field is exact, so that both pages come to the same amount.
            foreach (array_keys($page['causes'] ?? []) as $i) {
                $page['causes'][$i]['steps'] = array_map(
                    static fn(array $step): array => array_diff_key($step, ['fill' => 0]),
                    $page['causes'][$i]['steps'],
                );
            }
            array_walk_recursive($page, static function (mixed $text, int|string $key) use ($of): void {
                if (
                    !is_string($text) ||
                    in_array($key, ['id', 'visit', 'water', 'citation', 'version', 'at', 'taken_at'], true)
                ) {
                    return;
                }
                self::assertDoesNotMatchRegularExpression('/\d[eE][+-]?\d|\bNAN\b|\bINF\b/', $text, "{$of} {$key}");
                preg_match_all('/\d[\d,]*\.\d+/', $text, $numbers);
                foreach ($numbers[0] as $number) {
                    $digits = strlen(ltrim((string) preg_replace('/\D/', '', $number), '0'));
                    self::assertLessThanOrEqual(5, $digits, "{$number} in “{$text}”, {$of} {$key}");
                }
            });
        }
        $worst = $this->page($system)['water']['worst'];
        if ($worst !== null) {
            self::assertMatchesRegularExpression('/[.:] [A-Z0-9a-z].*[.]$/s', $worst, 'the cause, then the deed');
        }
    }

    /** Every page reads in the units of whoever looks, and hands on the same numbers whoever looks. */
    private function speaksTheUnitsChosen(System $system): void
    {
        $pages = ['', 'capacity', 'filter', 'maturing', 'fish', 'water', 'dose', 'trouble', 'plumbing', 'courses'];
        $ours = array_map(fn(string $of): array => $this->page($system, $of), $pages);
        $this->owner->update([
            'units' => [
                'volume' => 'imp_gal',
                'temperature' => 'f',
                'hardness' => 'mg_l_caco3',
                'nitrate' => 'mg_l_n',
                'mass' => 'oz',
            ],
        ]);
        foreach ($pages as $i => $of) {
            $theirs = $this->page($system, $of);
            array_walk_recursive($theirs, static function (mixed $text, int|string $key) use ($of): void {
                if (is_string($text) && $key !== 'name') {
                    self::assertDoesNotMatchRegularExpression(
                        '/\d (?:L|L\/h|L\/d|°C|dKH|dGH|kg|g|mg\/L as NO₃)(?![\w²³\/·]| N| of N)/u',
                        $text,
                        "{$of} {$key}",
                    );
                }
            });
            $this->figuresAreIn($theirs, $of);
            [$before, $after] = [self::handedOn($ours[$i]), self::handedOn($theirs)];
            // Readings of one moment have no order.
            ksort($before);
            ksort($after);
            self::assertSame(array_keys($before), array_keys($after), $of);
            foreach ($after as $path => $value) {
                // A moment has gone by.
                self::assertEqualsWithDelta($before[$path], $value, 1e-3 * abs($value) + 1e-4, "{$of}{$path}");
            }
        }
        $this->owner->update(['units' => null]);
    }

    /**
     * The text of a figure is its value in the unit beside it.
     *
     * @param  array<array-key, mixed>  $page
     */
    private function figuresAreIn(array $page, string $of): void
    {
        if (isset($page['text'], $page['value'], $page['value_unit']) && is_numeric($page['value'])) {
            [$value, $unit] = $this->owner->unitChoice()->shown((float) $page['value'], $page['value_unit']);
            self::assertSame($unit, $page['unit'], "{$of} {$page['label']}");
            $text = (float) str_replace(',', '', (string) $page['text']);
            self::assertEqualsWithDelta($value, $text, 0.02 * abs($value) + 1e-4, "{$of} {$page['label']}");
        }
        foreach ($page as $part) {
            if (is_array($part)) {
                $this->figuresAreIn($part, $of);
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $page
     * @return array<string, float> by path: the numbers that go into forms and calculations
     */
    private static function handedOn(array $page, string $path = ''): array
    {
        $numbers = [];
        foreach ($page as $key => $value) {
            $at = "{$path}.{$key}";
            if (is_array($value) && !in_array($key, ['scale', 'bands', 'points', 'expected'], true)) {
                $numbers = [...$numbers, ...self::handedOn($value, $at)];
            } elseif (is_numeric($value) && !is_string($value) && !(isset($page['bands']) && $key !== 'figure')) {
                $numbers[$at] = (float) $value;
            }
        }

        return $numbers;
    }

    /** @param  array<string, mixed>  $page */
    private function sameFigures(System $system, array $page): void
    {
        $capacity = $this->page($system, 'capacity');
        $maturing = $this->page($system, 'maturing');
        $fish = $this->page($system, 'fish');
        foreach (['load', 'capacity', 'living', 'band', 'state', 'gap'] as $figure) {
            self::assertEquals($page['capacity'][$figure], $capacity[$figure], "{$figure} on System and Capacity");
        }
        self::assertEquals($capacity['capacity'], $maturing['takes'], 'what it takes, on Capacity and Maturing');
        self::assertEquals($capacity['load'], $maturing['load']);
        self::assertEquals($capacity['living'], $maturing['living']);
        self::assertEqualsWithDelta($page['biomass']['value'], $fish['biomass']['value'], 1e-9);
        if ($fish['plan'] !== null) {
            $feed = collect($capacity['load']['origins'])->firstWhere('key', 'feed_g_d');
            self::assertEqualsWithDelta(
                $fish['plan']['mean_g_d'],
                (float) preg_replace('/[^\d.]/', '', explode(' ', (string) $feed['text'])[0]),
                0.01 * $fish['plan']['mean_g_d'] + 0.01,
                'feed a day, on Fish and Capacity',
            );
        }
        if ($fish['density_kg_m3'] !== null) {
            self::assertEqualsWithDelta(
                (1000 * $page['biomass']['value']) / $page['volume']['value'],
                $fish['density_kg_m3'],
                1e-6 + 1e-6 * $fish['density_kg_m3'],
            );
        }
        $line = $this->getJson('/api/systems')->assertOk()->json('0');
        if (!$line['asleep']) {
            self::assertSame($page['water']['state'], $line['state'], 'the state, in the list and on System');
            self::assertSame($page['water']['worst'], $line['worst']);
            $row = $this->getJson('/api/round')->assertOk()->json('rows.0');
            self::assertSame($line['state'], $row['state'], 'the state, in the list and on Round');
            self::assertSame($line['worst'], $row['worst']);
            self::assertSame(
                array_column($line['due'], 'name'),
                array_column($row['due'], 'name'),
                'what is due, in the list and on Round',
            );
        }
        $this->page($system, 'trouble');
        $this->page($system, 'dose');
        $this->getJson('/api/timers')->assertOk();
    }

    /** @param  array<string, mixed>  $page */
    private function nothingPastActLacksSteps(System $system, array $page): void
    {
        $trouble = $this->page($system, 'trouble');
        $fresh = array_column($trouble['readings'], 'state', 'name');
        $acts = array_filter($fresh, static fn(string $state): bool => self::rank($state) >= self::rank('act'));
        if ($acts !== [] && ($page['fish_count'] ?? 1) > 0) {
            $steps = array_merge(...array_column($trouble['causes'], 'steps'));
            self::assertNotSame([], $steps, implode(', ', array_keys($acts)) . ' asks to be acted on');
            foreach ($steps as $step) {
                self::assertNotSame('', $step['do']);
            }
        }
    }

    /** A change that is told is made in the model of the water, and a day later ammonia and nitrite stand no higher. */
    private function doingWhatIsOrderedHelps(System $system): void
    {
        foreach ($this->page($system, 'trouble')['causes'] as $cause) {
            $pct = collect($cause['steps'])->pluck('fill.change_pct')->filter()->first();
            if (!in_array($cause['id'], ['ammonia', 'nitrite'], true) || $pct === null) {
                continue;
            }
            $water = LatestWater::of($system);
            $now = array_map(
                static fn($reading): float => $reading->value,
                array_intersect_key($water->readings, array_flip(['tan_mg_l', 'no2_n_mg_l', 'alkalinity_mg_l'])),
            );
            $run = fn(array $events): array => $this->postJson('/api/calc/model.run', [
                'volume_l' => $this->page($system)['volume']['value'],
                'days' => 1,
                'grown_mg_l_d' => 5,
                'active_ammonia_mg_l_d' => 1,
                'active_nitrite_mg_l_d' => 1,
                'biomass_kg' => $this->page($system)['biomass']['value'],
                'temp_c' => $water->valueOrAssumed(Parameter::Temperature),
                'now' => ['alkalinity_mg_l' => 100.0, ...$now],
                'source' => ['alkalinity_mg_l' => $now['alkalinity_mg_l'] ?? 100.0],
                'events' => $events,
            ])
                ->assertOk()
                ->json('figures.end');
            $left = $run([]);
            $done = $run([['at_d' => 0, 'kind' => 'change', 'pct' => (float) $pct]]);
            $key = $cause['id'] === 'ammonia' ? 'tan_mg_l' : 'no2_n_mg_l';
            self::assertLessThan($left[$key], $done[$key], "{$cause['id']} after {$pct} % are changed");
        }
    }

    private function cleanWaterBringsNoNitrate(System $system): void
    {
        $settles = fn(): ?float => collect($this->page($system, 'filter')['nitrate'])->firstWhere(
            'label',
            'Nitrate settles at',
        )['value'] ?? null;
        $before = $settles();
        if ($before === null) {
            return;
        }
        $water = WaterSource::query()->create(['site_id' => $system->site_id, 'name' => 'Rain', 'kind' => 'rain']);
        $water->tests()->create([
            'site_id' => $system->site_id,
            'side' => 'raw',
            'tested_on' => now()->toDateString(),
            'readings' => ['no3_n_mg_l' => ['value' => 0.0], 'alkalinity_mg_l' => ['value' => 40.0]],
        ]);
        $trickle = Trickle::query()->create([
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'water_id' => $water->id,
            'flow_l_h' => 20,
            'started_at' => now()->subDay(),
        ]);
        self::assertLessThanOrEqual($before + 1e-9, $settles(), 'clean water that runs in raises no nitrate');
        $trickle->delete();
    }

    /** Air that is switched off brings no oxygen and no capacity. */
    private function lessRuns(System $system): void
    {
        $oxygen = fn(): ?float => collect($this->page($system, 'filter')['oxygen']['figures'])->firstWhere(
            'label',
            'At dawn',
        )['value'] ?? null;
        foreach ($system->pumps as $pump) {
            [$air, $takes] = [$oxygen(), $this->standing($system)['takes']];
            $switch = strtoupper((string) Str::ulid());
            $path = "/api/systems/{$system->slug}/switchings/{$switch}";
            $this->putJson($path, ['part' => $pump->id, 'state' => 'off'])->assertOk();
            $after = $oxygen();
            if ($air !== null && $after !== null) {
                self::assertLessThanOrEqual($air + 1e-9, $after, "{$pump->name} off raises no oxygen");
            }
            self::assertLessThanOrEqual($takes * 1.001 + 1e-6, $this->standing($system)['takes'], 'nor capacity');
            $this->deleteJson($path)->assertOk();
        }
    }

    /** @param  array<string, mixed>  $page */
    private function noCalmerThanItsWorst(System $system, array $page): void
    {
        $state = self::rank($page['water']['state']);
        foreach ($page['water']['strips'] as $strip) {
            self::assertGreaterThanOrEqual(self::rank($strip['state']), $state, $strip['parameter']);
        }
        if ($system->asleep_since === null && $page['capacity']['state'] !== 'good') {
            self::assertGreaterThanOrEqual(self::rank($page['capacity']['state']), $state, 'an overload is heard');
        }
        $capacity = $page['capacity'];
        if ($capacity['capacity'] !== null && $capacity['load']['value'] > $capacity['capacity']['value']) {
            self::assertNotSame('good', $capacity['state'], 'more than it takes is never good');
        }
        if ($capacity['band'] !== null) {
            self::assertLessThanOrEqual($capacity['capacity']['value'] + 1e-9, $capacity['band']['low_g_d']);
            self::assertGreaterThanOrEqual($capacity['capacity']['value'] - 1e-9, $capacity['band']['high_g_d']);
            self::assertLessThanOrEqual($capacity['grown']['value'] + 1e-9, $capacity['capacity']['value']);
        }
    }

    /**
     * @param  array{load: float, takes: float, state: int}  $before
     * @param  array{load: float, takes: float, state: int}  $after
     */
    private function noBetter(array $before, array $after, string $deed): void
    {
        self::assertLessThanOrEqual($before['takes'] * 1.001 + 1e-6, $after['takes'], "{$deed} raise no capacity");
        self::assertGreaterThanOrEqual($before['state'], $after['state'], "{$deed} lower no urgency");
    }

    /** @return array{load: float, takes: float, state: int} */
    private function standing(System $system): array
    {
        $page = $this->page($system);

        return [
            'load' => (float) $page['capacity']['load']['value'],
            'takes' => (float) ($page['capacity']['capacity']['value'] ?? 0.0),
            'state' => self::rank($page['water']['state']),
        ];
    }

    private static function rank(?string $state): int
    {
        return $state === null ? -1 : State::from($state)->rank();
    }

    /** @return array<string, mixed> */
    private function page(System $system, string $page = ''): array
    {
        return $this->getJson("/api/systems/{$system->slug}" . ($page === '' ? '' : "/{$page}"))
            ->assertOk()
            ->json();
    }
}
