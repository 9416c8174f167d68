<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Note;
use App\Models\Visit;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What waited on a device stands at the time it was made, and that it was booked later stands beside it. */
final class MadeAtTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    protected function setUp(): void
    {
        $this->laid();
        Visit::query()->update(['withdrawn_at' => now(), 'withdrawn_by' => $this->owner->id]);
        $this->travelTo('2026-06-02 12:00:00');
    }

    private function sent(string $line, string $madeAt, ?string $id = null): TestResponse
    {
        return $this->postJson(
            '/api/systems/long-vat/log',
            ['id' => $id ?? strtoupper((string) Str::ulid()), 'line' => $line],
            ['X-Made-At' => $madeAt],
        );
    }

    /** @return iterable<string, array{string, string, string}> line, made at, stands at (the site is in London, BST) */
    public static function times(): iterable
    {
        yield 'when it was made' => ['am .1', '2026-06-02T09:30:00Z', '2026-06-02 09:30:00'];
        yield 'a clock time is of the day it was made' => [
            'am .1 @7:10',
            '2026-06-01T09:30:00Z',
            '2026-06-01 06:10:00',
        ];
        yield 'yesterday too' => ['am .1 yesterday 19:00', '2026-06-01T09:30:00Z', '2026-05-31 18:00:00'];
        yield 'a clock that is ahead' => ['am .1', '2026-06-02T15:00:00.123Z', '2026-06-02 12:00:00'];
    }

    #[DataProvider('times')]
    public function test_a_reading_stands_at_the_time_it_was_made(string $line, string $made, string $stands): void
    {
        $this->site->update(['timezone' => 'Europe/London']);
        $this->sent($line, $made)->assertCreated();
        $visit = Visit::query()->whereNull('withdrawn_at')->sole();
        self::assertSame($stands, $visit->taken_at->format('Y-m-d H:i:s'));
        // And nothing of it is left for the next entry.
        $this->putJson('/api/systems/long-vat/notes/' . strtoupper((string) Str::ulid()), [
            'words' => 'now',
        ])->assertOk();
        self::assertSame('2026-06-02 12:00:00', Note::query()->sole()->taken_at->format('Y-m-d H:i:s'));
    }

    public function test_sent_again_it_is_booked_once(): void
    {
        $id = strtoupper((string) Str::ulid());
        $this->sent('am .1', '2026-06-02T09:30:00Z', $id)->assertCreated();
        $this->sent('am .1', '2026-06-02T09:30:00Z', $id)->assertSuccessful();
        self::assertSame(1, Visit::query()->whereNull('withdrawn_at')->count());
    }

    public function test_what_waited_too_long_or_names_no_time_is_refused(): void
    {
        foreach (['2026-05-01T09:30:00Z', 'yesterday', '2026-06-02', "2026-06-02T09:30:00Z\n"] as $made) {
            $this->sent('am .1', $made)->assertUnprocessable()->assertJsonPath('codes.0', 'judge.made_too_long_ago');
        }
        self::assertSame(0, Visit::query()->whereNull('withdrawn_at')->count());
    }
}
