<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Reading;
use App\Models\Visit;
use Database\Factories\SiteFactory;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Words\Message;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class TestingTheWaterTest extends TestCase
{
    private const ID = '01JD0000000000000000000001';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    private function book(array $readings, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->postJson('/api/systems/long-vat/visits', ['id' => self::ID, 'readings' => $readings, ...$more]);
    }

    public function test_a_visit_keeps_what_was_typed_beside_what_it_means(): void
    {
        $this->book([
            ...$this->typed(['tan_mg_l' => '0,5', 'ph' => '8.2']),
            'no3_n_mg_l' => ['typed' => '20', 'unit' => 'mg_l_no3'],
            'alkalinity_mg_l' => ['typed' => '6', 'unit' => 'dkh'],
        ])->assertCreated();

        $nitrate = Reading::query()->where('parameter', 'no3_n_mg_l')->firstOrFail();
        self::assertSame(['20', 'mg_l_no3'], [$nitrate->typed, $nitrate->unit]);
        self::assertEqualsWithDelta(20 / 4.4268, $nitrate->value, 1e-4);
        self::assertEqualsWithDelta(
            107.09,
            Reading::query()->where('parameter', 'alkalinity_mg_l')->firstOrFail()->value,
            0.01,
        );
        $ammonia = Reading::query()->where('parameter', 'tan_mg_l')->firstOrFail();
        self::assertSame([0.45, 0.5, 0.55], [$ammonia->low, $ammonia->value, round($ammonia->high, 9)]);
        $this->getJson('/api/systems/long-vat/visits')
            ->assertJsonCount(1, 'visits')
            ->assertJsonPath('visits.0.by', 'Owner');
    }

    public function test_a_unit_typed_behind_a_number_goes_before_the_one_beside_the_field(): void
    {
        $this->book([
            'temp_c' => ['typed' => '64.4 °F', 'unit' => 'c'],
            'no3_n_mg_l' => ['typed' => '5n', 'unit' => 'mg_l_no3'],
        ])->assertCreated();
        $kept = Reading::query()->get()->keyBy('parameter');
        self::assertSame(['64.4', 'f'], [$kept['temp_c']->typed, $kept['temp_c']->unit]);
        self::assertEqualsWithDelta(18.0, $kept['temp_c']->value, 1e-9);
        self::assertSame(['5', 'mg_l_n'], [$kept['no3_n_mg_l']->typed, $kept['no3_n_mg_l']->unit]);
        self::assertEqualsWithDelta(5.0, $kept['no3_n_mg_l']->value, 1e-9);
    }

    public function test_the_same_visit_sent_twice_is_booked_once(): void
    {
        $this->book($this->typed(['ph' => '7.8']))->assertCreated();
        $this->book($this->typed(['ph' => '7.8']))->assertOk()->assertJsonPath('id', self::ID);
        self::assertSame([1, 1], [Visit::query()->count(), Reading::query()->count()]);
    }

    /** Emerson 1975: 5.38 % un-ionised at pH 8, 25 °C. */
    public function test_what_is_typed_is_understood_before_it_is_kept(): void
    {
        $meaning = $this->postJson('/api/systems/long-vat/meaning', [
            'readings' => $this->typed(['tan_mg_l' => '1,0', 'ph' => '8.0', 'temp_c' => '25', 'do_mg_l' => 'abc']),
        ])->assertOk();
        self::assertSame(['readings.do_mg_l' => '“abc” is not a number.'], $meaning->json('errors'));
        $unionised = collect($meaning->json('strips'))->firstWhere('parameter', 'nh3_n_mg_l');
        self::assertEqualsWithDelta(0.0538, $unionised['figure']['value'], 2e-4);
        self::assertSame('act', $unionised['state']);
        self::assertSame(
            'assumed',
            collect($unionised['figure']['origins'])->firstWhere('key', 'salinity_g_l')['kind'],
        );
        self::assertSame(0, Visit::query()->count());
    }

    #[TestWith(['ph', '78', 'pH cannot be 78: it lies between 4 and 11.'])]
    #[TestWith(['ph', 'seven', '“seven” is not a number.'])]
    #[TestWith(['tan_mg_l', '-1', 'Ammonia cannot be -1: it lies between 0 and 200 mg/L as N.'])]
    #[TestWith(['tan_mg_l', '1,200', '“1,200” can be read as a decimal or as thousands: write 1200 or 1.200.'])]
    #[TestWith(['colour', '3', 'This is not something that can be tested here.'])]
    public function test_a_reading_that_cannot_be_is_refused_at_its_row_and_nothing_is_half_saved(
        string $parameter,
        string $typed,
        string $message,
    ): void {
        $this->book($this->typed(['temp_c' => '18', $parameter => $typed]))
            ->assertUnprocessable()
            ->assertJsonPath('errors', ["readings.{$parameter}" => $message]);
        self::assertSame([0, 0], [Visit::query()->count(), Reading::query()->count()]);
    }

    public function test_an_empty_form_a_wrong_shape_and_times_that_cannot_be_are_refused(): void
    {
        $this->book([])->assertUnprocessable()->assertJsonPath('errors.readings', 'Type at least one reading.');
        $this->book($this->typed(['ph' => '  ']))
            ->assertUnprocessable()
            ->assertJsonPath('errors.readings', 'Type at least one reading.');
        $this->book(['ph' => ['typed' => ['7']]])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['readings.ph']]);
        $this->book(['ph' => '7'])->assertUnprocessable();
        $this->book(['no3_n_mg_l' => ['typed' => '20', 'unit' => 'dkh']])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['readings.no3_n_mg_l' => 'Nitrate is not read in dkh.']);
        $readings = $this->typed(['ph' => '7.8']);
        $this->book($readings, ['taken_at' => now()->addHour()->toIso8601String()])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['taken_at']]);
        $this->book($readings, ['taken_at' => 'last spring'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['taken_at']]);
        $this->book($readings, ['taken_at' => '2026-02-31T25:10'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['taken_at']]);
        $this->book($readings, ['id' => 'not-a-key'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['id']]);
        self::assertSame(0, Visit::query()->count());
    }

    public function test_a_time_without_a_zone_is_the_sites_own(): void
    {
        $this->book($this->typed(['ph' => '7.8']), ['taken_at' => '2026-06-01T07:10'])
            ->assertCreated()
            ->assertJsonPath('taken_at', '2026-06-01T06:10:00Z');
    }

    public function test_an_undone_visit_counts_no_longer_but_stays_in_the_book(): void
    {
        $this->book($this->typed(['no2_n_mg_l' => '3']));
        $this->getJson('/api/systems')
            ->assertJsonPath('0.state', 'emergency')
            ->assertJsonPath(
                '0.worst',
                'Nitrite 3 mg/L as N, over 1. ' . Message::of('judge.deed_no2_n_mg_l_above_act')->text,
            );
        $this->deleteJson('/api/visits/' . self::ID)->assertNoContent();
        $this->getJson('/api/systems')->assertJsonPath('0.state', null);
        self::assertSame($this->owner->id, Visit::query()->findOrFail(self::ID)->getAttribute('withdrawn_by'));
    }

    public function test_the_newest_reading_of_each_parameter_counts_whenever_it_was_booked(): void
    {
        $this->book($this->typed(['ph' => '7.8', 'temp_c' => '18']), [
            'taken_at' => now()->subDays(2)->toIso8601String(),
        ]);
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD0000000000000000000002',
            'readings' => $this->typed(['ph' => '7.2']),
            'taken_at' => now()->subDays(5)->toIso8601String(),
        ])->assertCreated();
        $strips = collect($this->getJson('/api/systems/long-vat')->json('water.strips'));
        self::assertSame('7.8', $strips->firstWhere('parameter', 'ph')['text']);
        self::assertSame('2 days ago', $strips->firstWhere('parameter', 'temp_c')['age']);
    }

    public function test_a_line_of_the_log_bar_is_understood_pointed_at_and_kept(): void
    {
        $this->postJson('/api/systems/long-vat/log/meaning', ['line' => 'am .5 phh 7'])
            ->assertOk()
            ->assertJsonPath('faults.0.at', 6)
            ->assertJsonPath('readings.0.text', '0.5');
        $this->postJson('/api/systems/long-vat/log', ['id' => self::ID, 'line' => 'am .5 phh 7'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['line']]);
        $this->postJson('/api/systems/long-vat/log', ['id' => self::ID, 'line' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['line']]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::ID,
            'line' => 'am .5 t 64.4f yesterday 19:00',
        ])->assertCreated();
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::ID,
            'line' => 'am .5 t 64.4f yesterday 19:00',
        ])->assertOk();
        self::assertEqualsWithDelta(18.0, Reading::query()->where('parameter', 'temp_c')->sole()->value, 1e-9);
    }

    public function test_the_database_itself_refuses_what_cannot_be(): void
    {
        $this->book($this->typed(['ph' => '7.8']));
        $other = SiteFactory::new()->createOne(['name' => 'Elsewhere']);
        $wrong = [
            "UPDATE readings SET value = 78, high = 78 WHERE parameter = 'ph'",
            'UPDATE readings SET low = value + 1',
            "UPDATE readings SET parameter = 'colour'",
            "UPDATE visits SET taken_at = booked_at + interval '1 day'",
            'UPDATE visits SET withdrawn_at = now()',
            "UPDATE visits SET site_id = '{$other->id}'",
            "UPDATE users SET role = 'king'",
        ];
        foreach ($wrong as $sql) {
            try {
                DB::transaction(static fn() => DB::statement($sql));
                self::fail("The database took: {$sql}");
            } catch (QueryException $refused) {
                self::assertStringStartsWith('23', (string) $refused->getCode(), $sql);
            }
        }
    }
}
