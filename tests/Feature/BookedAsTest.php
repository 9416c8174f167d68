<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Dose;
use App\Models\WaterChange;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What is sent again after a lost answer is booked once; what is another thing under its key is never taken for it. */
final class BookedAsTest extends TestCase
{
    use DosedBays;

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    /** @param  array<string, string>  $body */
    private function send(string $path, array $body): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/{$path}", $body);
    }

    private function isRefused(TestResponse $answer, string $told): void
    {
        $answer->assertUnprocessable()->assertJsonPath('codes.0', 'dose.booked_otherwise');
        self::assertStringContainsString($told, $answer->json('errors.id'));
    }

    public function test_a_dose_sent_again_is_one_dose_and_another_under_its_key_is_told_what_stands(): void
    {
        $id = $this->key();
        $fact = ['thing' => 'salt', 'done' => 'yes', 'given_amount' => '500', 'given_unit' => 'g'];
        $this->send("doses/{$id}", $fact)->assertOk();
        $this->send("doses/{$id}", $fact)->assertOk();
        self::assertSame(1, Dose::query()->count());

        $this->isRefused($this->send("doses/{$id}", [...$fact, 'given_amount' => '700']), '500 g');
        $this->isRefused($this->send("doses/{$id}", [...$fact, 'thing' => 'bicarbonate']), '500 g');
        self::assertSame([500.0], Dose::query()->pluck('amount')->all());
        $east = $this->getJson('/api/systems/long-vat')->json('build.vessels.0.id');
        $this->isRefused($this->send("doses/{$id}", [...$fact, 'body' => $east]), '500 g');
        // A dose in a bay that was opened since is the same dose still.
        Dose::query()->update(['vessel_id' => $east]);
        $this->send("doses/{$id}", [...$fact, 'body' => $east])->assertOk();
        // As an entry of its own it is booked.
        $this->send('doses/' . $this->key(), [...$fact, 'thing' => 'bicarbonate'])->assertOk();
        self::assertSame(2, Dose::query()->count());
    }

    public function test_a_change_sent_again_is_one_change_and_another_under_its_key_is_told_what_stands(): void
    {
        $id = $this->key();
        $change = ['kind' => 'batch', 'change_l' => '200'];
        $this->send("changes/{$id}", $change)->assertSuccessful();
        $this->send("changes/{$id}", $change)->assertSuccessful();
        $this->isRefused($this->send("changes/{$id}", [...$change, 'change_l' => '300']), '200 L');
        $this->isRefused($this->send("changes/{$id}", [...$change, 'kind' => 'topup']), '200 L');
        self::assertSame([200.0], WaterChange::query()->pluck('litres')->all());
    }
}
