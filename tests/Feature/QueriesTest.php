<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\System;
use App\Providers\AskedBefore;
use App\Providers\OneQuery;
use App\Providers\Question;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDO;
use Tests\TestCase;

/** What a page asks of the database does not grow with the systems a site has. */
final class QueriesTest extends TestCase
{
    /** Of pages that list all systems: what a few more may add to it, all together. */
    private const MAY_GROW = 3;

    private function another(int $n): System
    {
        $system = $this->systemOf($this->site, "Vat {$n}", "vat-{$n}");
        (new LayBuild())->lay(
            $system,
            [
                'vessels' => [
                    [
                        'name' => 'Bay',
                        'kind' => 'bay',
                        'shape' => 'box',
                        'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1.2],
                        'freeboard_m' => 0.1,
                        'netted' => true,
                    ],
                ],
                'stages' => [
                    [
                        'name' => 'Bed',
                        'kind' => 'moving_bed',
                        'medium' => 'small_carrier',
                        'media_l' => 150,
                        'flow_l_h' => 8000,
                        'air_l_min' => 40,
                    ],
                ],
                'pumps' => [['name' => 'Stones', 'kind' => 'air', 'air_l_min' => 80, 'power_w' => 60]],
            ],
            now()->subDays(400)->toDateString(),
        );
        $key = static fn(): string => strtoupper((string) Str::ulid());
        $this->putJson("/api/systems/vat-{$n}/fish/{$key()}", ['name' => 'Koi', 'count' => '12', 'length_cm' => '45']);
        $this->putJson("/api/systems/vat-{$n}/feed", ['feed_g_d' => '100', 'protein_pct' => '38'])->assertOk();
        foreach (['am .1 ni .0 na 25 ph 7.5 t 20 do 8 kh 5', 'ph 7.6 note flashing', 'wc 300'] as $line) {
            $this->postJson("/api/systems/vat-{$n}/log", ['id' => $key(), 'line' => $line])->assertCreated();
        }

        return $system;
    }

    /** @return array<string, int> queries by page */
    private function counts(): array
    {
        $counts = [];
        foreach (['round', 'systems', 'timers'] as $page) {
            // What is kept of the last look does not count.
            cache()->flush();
            $count = 0;
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson("/api/{$page}")->assertOk();
            $counts[$page] = count(DB::getQueryLog());
            DB::disableQueryLog();
        }

        return $counts;
    }

    public function test_a_page_of_24_systems_asks_no_more_than_one_of_two(): void
    {
        $this->actingAs($this->owner);
        $this->system->delete();
        $this->another(1);
        $this->another(2);
        $two = $this->counts();
        for ($n = 3; $n <= 24; $n++) {
            $this->another($n);
        }
        $many = $this->counts();
        fwrite(STDERR, "\nfigure: queries at 2 and 24 systems: " . json_encode([$two, $many]) . "\n");
        foreach ($two as $page => $count) {
            self::assertLessThanOrEqual($count + self::MAY_GROW, $many[$page], $page);
        }
    }

    /** @return list<string> */
    private static function pages(string $slug): array
    {
        $of = [
            '',
            '/running',
            '/book',
            '/score',
            '/capacity',
            '/filter',
            '/maturing',
            '/fish',
            '/limits',
            '/water',
            '/dose',
            '/courses',
            '/plumbing',
            '/volumes',
            '/trouble',
            '/visits',
            '/what-ifs',
            '/bench/salt',
        ];

        return [
            'round',
            'systems',
            'timers',
            'shelf',
            ...array_map(static fn(string $page): string => "systems/{$slug}{$page}", $of),
        ];
    }

    public function test_a_page_looked_at_again_asks_at_most_15_times_however_many_systems_there_are(): void
    {
        $this->actingAs($this->owner);
        $this->another(1);
        $most = [];
        foreach ([2, 24] as $systems) {
            for ($n = System::query()->count(); $n < $systems; $n++) {
                $this->another($n);
            }
            foreach (self::pages('vat-1') as $page) {
                $first = $this->getJson("/api/{$page}");
                DB::flushQueryLog();
                DB::enableQueryLog();
                $again = $this->getJson("/api/{$page}");
                $count = count(DB::getQueryLog());
                DB::disableQueryLog();
                self::assertSame($first->getStatusCode(), $again->getStatusCode(), $page);
                self::assertLessThanOrEqual(15, $count, "{$page} at {$systems} systems");
                $most[$systems] = max($most[$systems] ?? 0, $count);
            }
        }
        fwrite(STDERR, "\nfigure: most queries of a page looked at again, by systems: " . json_encode($most) . "\n");
    }

    public function test_a_page_that_asks_ahead_answers_as_if_it_asked_each_for_itself(): void
    {
        $this->actingAs($this->owner);
        $this->another(1);
        $this->travelTo(now()->addSecond()->startOfSecond());
        foreach (self::pages('vat-1') as $page) {
            $this->getJson("/api/{$page}");
            $ahead = $this->getJson("/api/{$page}");
            array_map(unlink(...), glob(storage_path('framework/asked/*.json')) ?: []);
            self::assertSame($this->getJson("/api/{$page}")->json(), $ahead->json(), $page);
        }
    }

    public function test_what_was_booked_since_the_last_look_is_on_the_page_and_an_old_hint_breaks_nothing(): void
    {
        $this->actingAs($this->owner);
        $this->another(1);
        $this->getJson('/api/systems/vat-1/visits')->assertOk();
        $before = count($this->getJson('/api/systems/vat-1/visits')->json('visits'));
        $this->travel(5)->minutes();
        $this->postJson('/api/systems/vat-1/log', [
            'id' => '01JD00000000000000000000A2',
            'line' => 'am .2',
        ])->assertCreated();
        self::assertCount($before + 1, $this->getJson('/api/systems/vat-1/visits')->json('visits'));

        foreach (glob(storage_path('framework/asked/*.json')) ?: [] as $file) {
            file_put_contents($file, str_replace('"visits"', '"a_table_that_was"', (string) file_get_contents($file)));
        }
        self::assertCount($before + 1, $this->getJson('/api/systems/vat-1/visits')->json('visits'));
        foreach (glob(storage_path('framework/asked/*.json')) ?: [] as $file) {
            file_put_contents($file, 'not JSON');
        }
        self::assertCount($before + 1, $this->getJson('/api/systems/vat-1/visits')->assertOk()->json('visits'));
    }

    public function test_what_is_asked_of_all_at_once_is_answered_to_each_as_if_it_were_asked_alone(): void
    {
        $this->actingAs($this->owner);
        for ($n = 1; $n <= 3; $n++) {
            $this->another($n);
        }
        $this->postJson('/api/systems/vat-2/log', [
            'id' => '01JD00000000000000000000A1',
            'line' => 'am 3 ph 8.6',
        ])->assertCreated();
        $together = collect($this->getJson('/api/round')->json('rows'))
            ->keyBy('slug')
            ->all();
        foreach ([1, 2, 3] as $n) {
            $others = System::query()->where('slug', '<>', "vat-{$n}");
            $others->update(['asleep_since' => now()]);
            $alone = $this->getJson('/api/round')->json('rows');
            self::assertCount(1, $alone);
            self::assertEquals($alone[0], $together["vat-{$n}"]);
            System::query()->update(['asleep_since' => null]);
        }
    }

    /** A column is known by any row that held something; of one that never did, the question is asked for itself. */
    public function test_a_column_is_read_as_what_it_is_or_its_question_is_asked_anew(): void
    {
        $ask = fn(string $rows): string => "SELECT * FROM (VALUES {$rows}) AS t (told, many, said, much, never)";
        $none = '(NULL::boolean, NULL::bigint, NULL::text, NULL::float8, NULL::date)';
        $some = "(false, 5::bigint, '5', 2.5::float8, NULL::date)";
        $file = sys_get_temp_dir() . '/asked-' . bin2hex(random_bytes(6)) . '.json';
        $kept = new AskedBefore($file);
        $learned = $ask("{$none}, {$some}");
        $kept->asked('one', Question::answered($learned, [], DB::select($learned)));
        $kept->keep();
        $columns = (new AskedBefore($file))->last()[0]->columns ?? [];
        unlink($file);
        self::assertSame(['bool', 'int', 'text', 'text', null], array_column($columns, 'kind'));

        $more = "(true, 0::bigint, '', 1e-300::float8, NULL::date)";
        $now = $ask("{$some}, {$none}, {$more}");
        $empty = new Question('SELECT 1 WHERE false', [], null);
        $new = new Question($ask("(true, 5::bigint, 'a', 0::float8, current_date)"), [], $columns);
        $one = new OneQuery([$empty, new Question($now, [], $columns), $new]);
        $rows = DB::connection()->getPdo()->query($one->sql)?->fetchAll(PDO::FETCH_NUM);
        $answers = $one->answers($rows === false || $rows === null ? [] : $rows);
        self::assertSame([], $answers[0]);
        self::assertEquals(DB::select($now), $answers[1]);
        self::assertSame([false, 5, '5'], array_slice(array_values((array) ($answers[1][0] ?? [])), 0, 3));
        self::assertNull($answers[2]);
    }
}
