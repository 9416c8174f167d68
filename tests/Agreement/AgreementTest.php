<?php

declare(strict_types=1);

namespace Tests\Agreement;

use App\Models\System;
use Ironwort\Core\Filter\Deed;
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
        $before = $this->standing($system);

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
