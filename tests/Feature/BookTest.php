<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Note;
use App\Models\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The book: what is written, corrected, taken back, drawn, and carried out and in as CSV. */
final class BookTest extends TestCase
{
    private int $keys = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->system->vessels()->create([
            'site_id' => $this->site->id,
            'name' => 'Bay 2',
            'kind' => 'bay',
            'shape' => 'box',
            'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
            'freeboard_m' => 0,
            'displaced_l' => 0,
        ]);
    }

    private function key(): string
    {
        return '01JD0000000000000000' . str_pad((string) ++$this->keys, 6, '0', STR_PAD_LEFT);
    }

    private function log(string $line): TestResponse
    {
        return $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => $line]);
    }

    private function entries(string $kinds = ''): array
    {
        return $this->getJson("/api/systems/long-vat/book?kinds={$kinds}")
            ->assertOk()
            ->json('entries');
    }

    public function test_a_round_of_eight_values_is_typed_in_under_25_keystrokes(): void
    {
        $line = '.1 0 20 7.8 18 8 6 9';
        self::assertLessThan(25, strlen($line) + 1);
        $visit = $this->log($line)->assertCreated();
        self::assertSame(
            ['tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'do_mg_l', 'alkalinity_mg_l', 'hardness_mg_l'],
            array_column($visit->json('readings'), 'parameter'),
        );
    }

    public function test_feed_and_words_stand_in_the_same_line_and_in_the_book(): void
    {
        $this->log('am .2 /bay 2 feed 180 note flashing near the wall')
            ->assertCreated()
            ->assertJsonPath('bay', 'Bay 2');
        $texts = array_column($this->entries(), 'text', 'kind');
        self::assertSame(['Fed 180 g', 'flashing near the wall'], [$texts['feeds'], $texts['notes']]);
        $this->log('feed 90')->assertCreated()->assertJsonPath('readings', []);
        $this->log('feed lots')->assertUnprocessable();
        $this->log('note')->assertUnprocessable()->assertJsonPath('errors.line', 'There is nothing behind note.');
        self::assertCount(2, $this->entries('feeds'));
    }

    public function test_what_is_over_the_range_of_a_kit_is_judged_by_its_worse_end(): void
    {
        $this->log('am >8 ni <.1 ph 7.5 t 20')->assertCreated();
        $strips = array_column($this->getJson('/api/systems/long-vat')->json('water.strips'), null, 'parameter');
        self::assertSame('emergency', $strips['tan_mg_l']['state']);
        self::assertEqualsWithDelta([0, 0.1], [$strips['no2_n_mg_l']['low'], $strips['no2_n_mg_l']['high']], 1e-9);
        $thinned = $this->log('am 1.5x4 gh 9 sa .3% cl .05')->assertCreated();
        $values = array_column($thinned->json('readings'), 'value', 'parameter');
        self::assertEqualsWithDelta(
            [6.0, 9 * 17.848, 3.0, 0.05],
            [$values['tan_mg_l'], $values['hardness_mg_l'], $values['salinity_g_l'], $values['chlorine_mg_l']],
            0.01,
        );
        // Salt that was measured counts in what follows from it.
        $burning = collect($this->getJson('/api/systems/long-vat')->json('water.strips'))->firstWhere(
            'parameter',
            'nh3_n_mg_l',
        );
        self::assertEqualsWithDelta(3.0, $burning['figure']['input']['salinity_g_l'], 1e-9);
        $this->log('ph 7x2')->assertUnprocessable();
    }

    public function test_a_correction_stands_in_place_of_the_visit_and_keeps_it(): void
    {
        $first = $this->log('am 5 ph 7.8')->json('id');
        $again = ['readings' => $this->typed(['tan_mg_l' => '.5', 'ph' => '7.8']), 'corrects' => $first];
        $this->postJson('/api/systems/long-vat/visits', ['id' => $this->key(), ...$again])->assertCreated();
        $entry = $this->entries('tests');
        self::assertCount(1, $entry);
        self::assertSame(
            ['.5', '5'],
            [$entry[0]['visit']['readings'][0]['typed'], $entry[0]['corrected']['readings'][0]['typed']],
        );
        self::assertNotNull(Visit::query()->findOrFail($first)->withdrawn_at);
        $this->postJson('/api/systems/long-vat/visits', ['id' => $this->key(), ...$again])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['corrects']]);
    }

    public function test_notes_are_picked_and_written_and_taken_back(): void
    {
        $id = $this->key();
        $this->putJson("/api/systems/long-vat/notes/{$id}", [
            'seen' => ['flashing', 'green water'],
            'words' => 'since the rain',
        ])->assertOk();
        self::assertSame('Flashing, green water. since the rain', $this->entries('notes')[0]['text']);
        self::assertNull(
            $this->getJson('/api/systems/long-vat')->json('water.state'),
            'green water is a taste and raises no word',
        );
        $this->putJson('/api/systems/long-vat/notes/' . $this->key(), ['words' => ' '])
            ->assertUnprocessable()
            ->assertJsonPath('errors.words', 'Write a note, or choose a sign.');
        $picture = base64_encode(
            (string) base64_decode(
                'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
                true,
            ),
        );
        $shown = $this->key();
        $this->putJson("/api/systems/long-vat/notes/{$shown}", [
            'photo' => "data:image/png;base64,{$picture}",
        ])->assertOk();
        $kept = $this->get("/api/systems/long-vat/notes/{$shown}/photo")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        self::assertStringStartsWith("\xFF\xD8\xFF", (string) $kept->getContent());
        $this->putJson('/api/systems/long-vat/notes/' . $this->key(), ['photo' => base64_encode('<script>')])
            ->assertUnprocessable()
            ->assertJsonPath('errors.photo', 'A picture is a JPEG, PNG or WebP.');
        $this->deleteJson("/api/systems/long-vat/notes/{$shown}")->assertOk();
        $this->deleteJson("/api/systems/long-vat/notes/{$id}")->assertOk();
        self::assertSame([], $this->entries('notes'));
        self::assertSame(2, Note::query()->count(), 'what was written stays');
    }

    public function test_the_book_is_read_page_by_page(): void
    {
        for ($day = 60; $day > 0; $day--) {
            $at = now()->subDays($day)->toIso8601ZuluString();
            $this->postJson('/api/systems/long-vat/visits', [
                'id' => $this->key(),
                'taken_at' => $at,
                'readings' => $this->typed(['ph' => '7.8']),
            ])->assertCreated();
        }
        $first = $this->getJson('/api/systems/long-vat/book')->assertOk();
        $second = $this->getJson('/api/systems/long-vat/book?before=' . $first->json('next'))
            ->assertOk()
            ->assertJsonPath('next', null);
        self::assertCount(
            60,
            array_unique([
                ...array_column($first->json('entries'), 'id'),
                ...array_column($second->json('entries'), 'id'),
            ]),
        );
        $this->getJson('/api/systems/long-vat/book?before=yesterdayish-x')->assertUnprocessable();
    }

    public function test_the_score_draws_in_what_falls_on_one_pixel_and_never_shows_more_points_than_pixels(): void
    {
        $rows = [];
        $visit = $this->log('ph 7.8')->json('id');
        DB::table('readings')->where('visit_id', $visit)->delete();
        DB::table('visits')->where('id', $visit)->delete();
        for ($i = 0; $i < 1200; $i++) {
            $at = now()
                ->subDays(30)
                ->addMinutes(36 * $i + 1);
            $id = $this->key();
            DB::table('visits')->insert([
                'id' => $id,
                'site_id' => $this->site->id,
                'system_id' => $this->system->id,
                'taken_at' => $at,
                'booked_at' => $at,
            ]);
            $rows[] = [
                'site_id' => $this->site->id,
                'system_id' => $this->system->id,
                'visit_id' => $id,
                'parameter' => 'ph',
                'typed' => '',
                'value' => 7 + $i / 1200,
                'low' => 6.9 + $i / 1200,
                'high' => 7.1 + $i / 1200,
                'taken_at' => $at,
            ];
        }
        DB::table('readings')->insert($rows);
        $score = $this->getJson(
            '/api/systems/long-vat/score?pixels=100&from=' . urlencode(now()->subDays(30)->toIso8601ZuluString()),
        )->assertOk();
        $points = $score->json('strips.0.points');
        self::assertLessThanOrEqual(102, count($points));
        self::assertSame(1200, array_sum(array_column($points, 'n')), 'no reading is lost on the way');
        self::assertEqualsWithDelta(6.9, $points[0]['low'], 0.001);
        self::assertEqualsWithDelta(8.1, end($points)['high'], 0.002);
        self::assertSame([8.5, 7], [$score->json('strips.0.above'), $score->json('strips.0.below')]);
        $this->getJson('/api/systems/long-vat/score?from=2026-01-02&to=2026-01-01')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['from']]);
        $this->getJson('/api/systems/long-vat/score?from=1990-01-01')->assertUnprocessable();
    }

    /** RFC 4180 and what real programs make of it: quotes, CRLF, a byte order mark, semicolons, decimal commas. */
    public function test_csv_of_any_common_make_is_read(): void
    {
        $import = fn(string $csv, ?array $columns = null): TestResponse => $this->postJson(
            '/api/systems/long-vat/book/import',
            ['csv' => $csv, ...$columns === null ? [] : ['columns' => $columns]],
        );
        $import(
            "\xEF\xBB\xBFtaken_at;pH;Temperature [°C];\"Remark, if \"\"any\"\"\"\r\n2026-05-01 " .
                "07:10;7,8;18,5;\"two\r\nlines\"\r\n03.05.2026 19:00;7,9;19;\r\n",
        )
            ->assertOk()
            ->assertExactJson(['visits' => 2, 'readings' => 4, 'known' => 0]);
        $import("time,ammonia,ph\n2026-05-01T06:10:00Z,.5,7.8\n2026-05-04,>8,\n")
            ->assertOk()
            ->assertExactJson(['visits' => 2, 'readings' => 3, 'known' => 0]);
        // Known is what has all its values at that time and place: another value in the same second is another visit.
        $import("time,ammonia,ph\n2026-05-01T06:10:00Z,.5,7.8\n2026-05-01T06:10:00Z,.6,7.8\n2026-05-04,>8,\n")
            ->assertOk()
            ->assertExactJson(['visits' => 1, 'readings' => 2, 'known' => 2]);
        // A column may be anything in any unit: nitrate as nitrogen here.
        $import("when\tx\n2026-05-05 08:00\t4.5\n", [
            ['parameter' => 'taken_at'],
            ['parameter' => 'no3_n_mg_l', 'unit' => 'mg_l_n'],
        ])->assertOk();
        self::assertEqualsWithDelta(4.5, DB::table('readings')->where('parameter', 'no3_n_mg_l')->value('value'), 1e-9);
    }

    public function test_an_import_is_all_or_nothing_and_says_what_is_wrong_where(): void
    {
        $csv = "taken_at,pH\n2026-05-01 07:10,7.8\n2026-05-02 07:10,78\nsoon,7.1\n2099-01-01,7\n";
        $preview = $this->postJson('/api/systems/long-vat/book/preview', ['csv' => $csv])
            ->assertOk()
            ->assertJsonPath('error_count', 3);
        self::assertSame(['row 3, pH', 'row 4', 'row 5'], array_column($preview->json('errors'), 'at'));
        $this->postJson('/api/systems/long-vat/book/import', ['csv' => $csv])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['csv']]);
        self::assertSame(0, Visit::query()->count());
        $this->postJson('/api/systems/long-vat/book/preview', ['csv' => "a,b\n1,2\n"])
            ->assertOk()
            ->assertJsonPath('errors.0.message', 'No column is a time. Choose one.')
            ->assertJsonCount(2, 'columns');
        $this->postJson('/api/systems/long-vat/book/import', ['csv' => "a,b\n1,2\n"])
            ->assertUnprocessable()
            ->assertJsonPath('errors.csv', 'No column is a time. Choose one.');
        $this->postJson('/api/systems/long-vat/book/import', ['csv' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['csv']]);
    }

    public function test_what_goes_out_as_csv_comes_in_again_as_the_same_readings(): void
    {
        $this->log('am >8 ni .1 na 4.5n ph 7.8 t 64f do 7.2 kh 110caco3 gh 9 /bay 2')->assertCreated();
        $csv = $this->get('/api/systems/long-vat/book.csv')->assertOk()->streamedContent();
        self::assertStringStartsWith('taken_at,bay,by,Ammonia [mg/L as N],', $csv);
        $other = $this->systemOf($this->site, 'Other', 'other');
        $progress = strtoupper((string) Str::ulid());
        $this->getJson("/api/imports/{$progress}")
            ->assertOk()
            ->assertJsonPath('done', null);
        $this->postJson('/api/systems/other/book/import', ['csv' => $csv, 'progress' => $progress])
            ->assertOk()
            ->assertJsonPath('readings', 8);
        self::assertGreaterThanOrEqual(0.5, $this->getJson("/api/imports/{$progress}")->json('done'));
        foreach (DB::table('readings')->where('system_id', $this->system->id)->get() as $reading) {
            $twin = DB::table('readings')
                ->where('system_id', $other->id)
                ->where('parameter', $reading->parameter)
                ->first();
            self::assertEqualsWithDelta(
                (float) $reading->value,
                (float) $twin->value,
                1e-3 * max(1, abs((float) $reading->value)),
                $reading->parameter,
            );
        }
    }

    public function test_a_line_is_booked_from_the_shell_and_its_mistakes_pointed_at(): void
    {
        $this->artisan('ironwort:log', [
            'system' => 'long-vat',
            'line' => ['am', '.2', 'ph', '7.8', '/bay', '2'],
            '--email' => 'owner@yard.example',
        ]);
        self::assertSame('Bay 2', $this->entries('tests')[0]['visit']['bay']);
        self::assertSame(
            2,
            \Illuminate\Support\Facades\Artisan::call('ironwort:log', [
                'system' => 'long-vat',
                'line' => ['am', 'x'],
                '--email' => 'owner@yard.example',
            ]),
        );
        self::assertStringContainsString('   ^', \Illuminate\Support\Facades\Artisan::output());
        self::assertSame(
            2,
            \Illuminate\Support\Facades\Artisan::call('ironwort:log', ['system' => 'nowhere', 'line' => ['am', '.2']]),
        );
    }

    public function test_probes_are_kept_once_and_drawn_from_sums_over_long_times(): void
    {
        $points = [];
        for ($i = 0; $i < 600; $i++) {
            $points[] = [
                now()
                    ->subMinutes(5 * $i + 1)
                    ->toIso8601ZuluString('microsecond'),
                18 + sin($i / 50),
            ];
        }
        $send = fn(array $points, string $parameter = 'temp_c'): TestResponse => $this->putJson(
            '/api/systems/long-vat/probe',
            ['parameter' => $parameter, 'points' => $points],
        );
        $send($points)
            ->assertOk()
            ->assertExactJson(['kept' => 600]);
        $send([...array_slice($points, 0, 10), [now()->subDays(40)->toIso8601ZuluString(), 12]])
            ->assertOk()
            ->assertExactJson(['kept' => 1]);
        $strip = fn(int $days): array => $this->getJson(
            '/api/systems/long-vat/score?pixels=400&from=' . urlencode(now()->subDays($days)->toIso8601ZuluString()),
        )
            ->assertOk()
            ->json('strips.0');
        self::assertSame(600, array_sum(array_column($strip(3)['points'], 'n')));
        self::assertSame(601, array_sum(array_column($strip(60)['points'], 'n')), 'by the hour');
        self::assertSame(601, array_sum(array_column($strip(400)['points'], 'n')), 'by the day');
        self::assertEqualsWithDelta(12.0, $strip(400)['points'][0]['v'], 1e-6);
        $send([['soon', 18]])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['points.0']]);
        $send([[now()->toIso8601ZuluString(), 99]])->assertUnprocessable();
        $send($points, 'smell')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['parameter']]);
    }
}
