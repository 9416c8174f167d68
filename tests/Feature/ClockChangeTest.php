<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Forms\LocalTime;
use Ironwort\Core\Calc\BadInput;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The night that has an hour too few, and the one that has an hour twice. */
final class ClockChangeTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> what is typed, the zone, the instant */
    public static function times(): iterable
    {
        yield 'winter' => ['2026-01-10 07:10', 'Europe/London', '2026-01-10T07:10:00Z'];
        yield 'summer' => ['2026-07-10T07:10', 'Europe/London', '2026-07-10T06:10:00Z'];
        yield 'just before the missing hour' => ['2026-03-29 00:59', 'Europe/London', '2026-03-29T00:59:00Z'];
        yield 'just after it' => ['2026-03-29 02:00', 'Europe/London', '2026-03-29T01:00:00Z'];
        yield 'just before the hour that comes twice' => ['2026-10-25 00:59', 'Europe/London', '2026-10-24T23:59:00Z'];
        yield 'just after it, in winter' => ['2026-10-25 02:00', 'Europe/London', '2026-10-25T02:00:00Z'];
        yield 'its first' => ['2026-10-25 01:30+01:00', 'Europe/London', '2026-10-25T00:30:00Z'];
        yield 'its second' => ['2026-10-25 01:30+00:00', 'Europe/London', '2026-10-25T01:30:00Z'];
        yield 'half an hour, elsewhere' => ['2026-04-05 02:15', 'Australia/Lord_Howe', '2026-04-04T15:45:00Z'];
        yield 'a place without summer time' => ['2026-03-29 01:30', 'Asia/Tokyo', '2026-03-28T16:30:00Z'];
        yield 'UTC is what it says' => ['2026-03-29T01:30:00Z', 'Europe/London', '2026-03-29T01:30:00Z'];
    }

    #[DataProvider('times')]
    public function test_a_time_that_was_once_is_taken_as_it_was(string $typed, string $zone, string $instant): void
    {
        self::assertSame($instant, LocalTime::read($typed, $zone, 'at')->toIso8601ZuluString());
    }

    /** @return iterable<string, array{string, string, list<string>}> what is typed, the zone, what the answer offers */
    public static function doubts(): iterable
    {
        yield 'left out' => ['2026-03-29 01:30', 'Europe/London', ['00:30', '02:30']];
        yield 'twice' => ['2026-10-25 01:30', 'Europe/London', ['01:30+01:00', '01:30+00:00']];
        yield 'left out in the south' => ['2026-10-04 02:30', 'Australia/Sydney', ['01:30', '03:30']];
        yield 'twice by half an hour' => ['2026-04-05 01:45', 'Australia/Lord_Howe', ['01:45+11:00', '01:45+10:30']];
        yield 'no such day' => ['2026-02-30 07:10', 'Europe/London', []];
        yield 'no such hour' => ['2026-02-20 24:10', 'Europe/London', []];
        yield 'words' => ['tomorrow', 'Europe/London', []];
    }

    /** @param  list<string>  $offers */
    #[DataProvider('doubts')]
    public function test_a_time_that_was_never_or_twice_is_asked_about(string $typed, string $zone, array $offers): void
    {
        try {
            LocalTime::read($typed, $zone, 'at');
            self::fail('It was guessed.');
        } catch (BadInput $bad) {
            self::assertArrayHasKey('at', $bad->errors);
            foreach ($offers as $offer) {
                self::assertStringContainsString($offer, $bad->errors['at']);
            }
        }
    }

    public function test_the_log_bar_and_a_form_ask_and_take_the_answer(): void
    {
        $this->actingAs($this->owner);
        $this->travelTo('2026-10-25T08:00:00Z');
        $line = fn(string $line, string $id) => $this->postJson('/api/systems/long-vat/log', [
            'id' => $id,
            'line' => $line,
        ]);
        $asks = $line('ph 7.5 @1:30', '01JD00000000000000000000A1')->assertUnprocessable();
        self::assertStringContainsString('@01:30+01:00', $asks->json('errors.line'));
        $line('ph 7.5 @1:30+1', '01JD00000000000000000000A1')
            ->assertCreated()
            ->assertJsonPath('taken_at', '2026-10-25T00:30:00Z');
        $line('ph 7.6 @01:30+00:00', '01JD00000000000000000000A2')
            ->assertCreated()
            ->assertJsonPath('taken_at', '2026-10-25T01:30:00Z');
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => '01JD00000000000000000000A3',
            'taken_at' => '2026-03-29 01:30',
            'readings' => $this->typed(['ph' => '7.9']),
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['taken_at']]);
        $import = $this->postJson('/api/systems/long-vat/book/preview', [
            'csv' => "time,pH\n2026-03-29 01:30,7.8\n2026-03-29 02:30,7.9\n",
        ])->assertOk();
        self::assertSame(['row 2'], array_column($import->json('errors'), 'at'));
    }
}
