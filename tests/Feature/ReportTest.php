<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Feed;
use App\Models\FishEvent;
use App\Models\Service;
use App\Models\WaterChange;
use Illuminate\Support\Str;
use Tests\TestCase;

/** What a month was: counted from the book, in the zone of the yard, and nothing of another month or site. */
final class ReportTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-05-20 08:00:00');
        (new LayBuild())->lay($this->system, [
            'pumps' => [
                ['name' => 'Air', 'kind' => 'air', 'air_l_min' => 20, 'power_w' => 100],
                [
                    'name' => 'Spare',
                    'kind' => 'air',
                    'air_l_min' => 20,
                    'power_w' => 100,
                    'running' => false,
                    'state' => 'off',
                ],
            ],
        ]);
        $own = ['site_id' => $this->site->id, 'system_id' => $this->system->id];
        foreach (['2026-05-02' => '.1', '2026-05-09' => '.3', '2026-04-30' => '5'] as $day => $ammonia) {
            $this->travelTo("{$day} 10:00:00");
            $id = strtoupper((string) Str::ulid());
            $this->postJson('/api/systems/long-vat/log', ['line' => "am {$ammonia}", 'id' => $id])->assertCreated();
        }
        $this->travelTo('2026-05-20 08:00:00');
        // An hour before midnight in universal time is the next month in summer time.
        foreach (
            ['2026-05-03 09:00:00' => 100, '2026-05-31 22:30:00' => 200, '2026-05-31 23:30:00' => 400]
            as $at => $g
        ) {
            Feed::query()->create([...$own, 'feed_g' => $g, 'fed_at' => $at]);
        }
        WaterChange::query()->create([
            ...$own,
            'kind' => 'batch',
            'litres' => 500,
            'volume_l' => 2000,
            'changed_at' => '2026-05-04 09:00:00',
        ]);
        WaterChange::query()->create([
            ...$own,
            'kind' => 'batch',
            'litres' => 900,
            'volume_l' => 2000,
            'changed_at' => '2026-05-05 09:00:00',
            'withdrawn_at' => now(),
        ]);
        FishEvent::query()->create([
            'site_id' => $this->site->id,
            'kind' => 'lost',
            'from_system_id' => $this->system->id,
            'group_name' => 'Koi',
            'count' => 2,
            'mean_weight_g' => 1500,
            'happened_on' => '2026-05-06',
        ]);
        Service::query()->create([
            ...$own,
            'job' => 'vacuum',
            'job_name' => 'Vacuum the floor',
            'part_kind' => 'system',
            'part_id' => $this->system->id,
            'name' => 'Bay',
            'way' => 'stopped',
            'rinse' => 'system',
            'started_at' => '2026-05-07 09:00:00',
            'ended_at' => '2026-05-07 09:30:00',
            'planned_min' => 30,
            'cost' => 12.5,
        ]);
    }

    /** @return array<string, string> text by name */
    private function rows(string $period): array
    {
        $systems = $this->getJson("/api/reports?period={$period}")
            ->assertOk()
            ->json('systems');

        return collect($systems[0]['rows'] ?? [])
            ->pluck('text', 'name')
            ->all();
    }

    public function test_a_month_is_what_its_book_says(): void
    {
        $rows = $this->rows('2026-05');

        self::assertSame('0.1 to 0.3 mg/L as N, mean 0.2 mg/L as N, 2 readings', $rows['Ammonia']);
        self::assertSame('300 g, as written down', $rows['Fed']);
        self::assertSame('500 L in 1', $rows['Changed']);
        self::assertSame('2 fish, 3 kg', $rows['Lost']);
        self::assertSame('1 time, 30 min', $rows['Vacuum the floor']);
        self::assertSame('12.5', $rows['Service']);
        // 100 W for nineteen days and nine hours of the month.
        self::assertSame('about 46.5 kWh, as it runs now', $rows['Power']);
        self::assertStringStartsWith('0.1 to 5 ', $this->rows('2026')['Ammonia']);
        self::assertSame(['Power'], array_keys(array_diff_key($this->rows('2025'), ['x' => 0])) ?: ['Power']);
    }

    /** By the limits of the life stage: a day counts once, whatever was read on it, and salt shields from nitrite. */
    public function test_days_to_act_on_are_judged_as_the_pages_judge(): void
    {
        $log = function (string $at, string $line): void {
            $this->travelTo($at);
            $id = strtoupper((string) Str::ulid());
            $this->postJson('/api/systems/long-vat/log', ['line' => $line, 'id' => $id])->assertCreated();
        };
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $log('2026-05-10 08:00:00', 'do 3.5');
        $log('2026-05-10 14:00:00', 'do 3.1');
        $log('2026-05-11 08:00:00', 'do 8');
        $log('2026-05-12 08:00:00', 'am 2 ph 8.6 t 24');
        $log('2026-05-13 08:00:00', 'am 2 ph 6.8 t 12');
        $this->travelTo('2026-05-20 08:00:00');
        $rows = $this->rows('2026-05');

        self::assertSame('10 May, at worst 3.1 mg/L; nothing written down against it', $rows['Oxygen too low']);
        // Emerson and others 1975: a share of 1/(1 + 10^(9.277 − 8.6)), 0.348 of these 2 mg/L.
        self::assertStringStartsWith('12 May, at worst 0.34', $rows['Un-ionised ammonia too high']);
        self::assertArrayNotHasKey('Oxygen too low', $this->rows('2026-04'));

        // Ammonia was high on two days, and is not read good since: one incident, with what was done about it.
        self::assertStringStartsWith('12 May to 13 May, 2 days, at worst 2 mg/L', $rows['Ammonia too high']);
        self::assertStringContainsString('not read good since', $rows['Ammonia too high']);
        $this->travelTo('2026-05-13 12:00:00');
        $this->putJson('/api/systems/long-vat/changes/' . strtoupper((string) Str::ulid()), [
            'kind' => 'batch',
            'change_l' => '400',
            'done' => 'yes',
        ])->assertOk();
        $log('2026-05-15 08:00:00', 'am .05');
        $log('2026-05-18 08:00:00', 'am 2');
        $this->travelTo('2026-05-20 08:00:00');
        $ammonia = array_values(
            array_filter(
                $this->getJson('/api/reports?period=2026-05')->json('systems.0.rows'),
                static fn(array $row): bool => $row['name'] === 'Ammonia too high',
            ),
        );
        self::assertCount(2, $ammonia, 'a good day parts them');
        self::assertStringEndsWith('. Done: 400 L changed', $ammonia[0]['text']);
        self::assertStringNotContainsString('since', $ammonia[0]['text']);

        $log('2026-05-14 08:00:00', 'ni .5');
        self::assertArrayHasKey('Nitrite too high', $this->rows('2026-05'));
        $log('2026-05-13 09:00:00', 'sa 3');
        self::assertArrayNotHasKey('Nitrite too high', $this->rows('2026-05'));
    }

    public function test_growth_is_from_the_last_measure_before_to_the_last_within(): void
    {
        $this->travelTo('2026-03-01 08:00:00');
        $group = strtoupper((string) Str::ulid());
        $this->putJson("/api/systems/long-vat/fish/{$group}", [
            'name' => 'Two-year-olds',
            'count' => '10',
            'length_cm' => '25',
            'condition' => '1',
        ])->assertOk();
        foreach (['2026-04-20' => 300, '2026-05-05' => 310, '2026-05-20' => 330] as $day => $grams) {
            $this->travelTo("{$day} 08:00:00");
            $id = strtoupper((string) Str::ulid());
            $this->putJson("/api/systems/long-vat/fish/{$group}/measures/{$id}", [
                'measured_on' => $day,
                'weight_g' => (string) $grams,
            ])->assertOk();
        }

        self::assertSame(
            '300 g on 20 Apr to 330 g on 20 May, 10 % more in 30 days',
            $this->rows('2026-05')['Growth of Two-year-olds'],
        );
        self::assertArrayNotHasKey('Growth of Two-year-olds', $this->rows('2026-04'));
    }

    public function test_it_is_of_one_system_where_one_is_named(): void
    {
        $of = fn(string $system) => $this->getJson("/api/reports?period=2026-05&system={$system}");
        self::assertCount(1, $of('long-vat')->assertOk()->json('systems'));
        $of('nowhere')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['system']]);
    }

    public function test_it_is_taken_along_as_csv_and_a_period_that_is_none_is_refused(): void
    {
        $csv = $this->get('/api/reports.csv?period=2026-05')->assertOk();
        self::assertStringContainsString('report-2026-05.csv', (string) $csv->headers->get('Content-Disposition'));
        $lines = array_map(
            static fn(string $line): array => str_getcsv($line, escape: ''),
            explode("\r\n", trim((string) $csv->getContent())),
        );
        self::assertContains(['Long Vat', 'feed', 'Fed', '300', 'g', '300 g, as written down'], $lines);
        foreach (['2026-13', 'May', '26', '0001'] as $none) {
            $this->getJson("/api/reports?period={$none}")
                ->assertUnprocessable()
                ->assertJsonStructure(['errors' => ['period']]);
        }
    }
}
