<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\Round;
use App\Models\User;
use Database\Factories\UserFactory;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A round that is walked: begun once, skipped for a reason, handed over, finished when none is left, and an entry. */
final class RoundsTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    private string $id;

    private User $me;

    private User $helper;

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 07:00');
        $this->laid();
        $this->me = User::query()->where('site_id', $this->site->id)->firstOrFail();
        $this->helper = $this->person('helper@yard.example', Role::Helper);
        $this->systemOf($this->site, 'Pond', 'pond');
        $this->id = self::key();
        $this->actingAs($this->me);
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function logAt(string $slug, string $line): void
    {
        $this->postJson("/api/systems/{$slug}/log", ['id' => self::key(), 'line' => $line])->assertCreated();
    }

    private function begin(?string $id = null): TestResponse
    {
        return $this->putJson('/api/rounds/' . ($id ?? $this->id));
    }

    private function finish(string $note = ''): TestResponse
    {
        return $this->putJson("/api/rounds/{$this->id}/end", ['note' => $note]);
    }

    public function test_it_is_begun_once_and_ends_when_each_system_was_looked_at_or_skipped_for_a_reason(): void
    {
        $this->logAt('long-vat', 'am 0 ph 7.6 t 20');
        $this->travelTo('2026-06-01 07:01');
        $this->begin()->assertOk()->assertJsonPath('mine.looked', []);
        $this->begin(self::key())->assertOk()->assertJsonPath('mine.id', $this->id);
        $this->finish()->assertUnprocessable()->assertJsonPath('codes.0', 'judge.round_left');
        $this->logAt('long-vat', 'am 0.1 ph 7.6 t 20');
        $this->getJson('/api/rounds')
            ->assertOk()
            ->assertJsonPath('mine.looked', ['long-vat']);
        self::assertStringContainsString('Pond', $this->finish()->assertUnprocessable()->json('errors.left'));
        $skip = fn(array $typed): TestResponse => $this->putJson("/api/systems/pond/skips/{$this->id}", $typed);
        $skip([])->assertUnprocessable()->assertJsonPath('codes.0', 'judge.round_say_why');
        $skip(['why' => 'gate is locked'])
            ->assertOk()
            ->assertJsonPath('mine.skipped.0.why', 'gate is locked');
        $this->deleteJson("/api/systems/pond/skips/{$this->id}")
            ->assertOk()
            ->assertJsonPath('mine.skipped', []);
        $this->finish()->assertUnprocessable();
        $skip(['why' => 'gate is locked'])->assertOk();
        $ended = $this->finish('all calm')->assertOk();
        self::assertNull($ended->json('mine'));
        self::assertSame([1, 'all calm'], [$ended->json('before.0.looked'), $ended->json('before.0.note')]);
        // Finished it takes nothing more, and each book has its entry.
        $skip(['why' => 'again'])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'judge.round_ended');
        $entry = fn(string $slug): string => $this->getJson("/api/systems/{$slug}/book?kinds=rounds")
            ->assertOk()
            ->json('entries.0.text');
        self::assertStringContainsString('gate is locked', $entry('pond'));
        self::assertStringContainsString('all calm', $entry('long-vat'));
    }

    public function test_it_is_handed_over_with_a_note_to_somebody_who_walks_none(): void
    {
        $this->begin()->assertOk();
        $pass = fn(array $typed): TestResponse => $this->putJson("/api/rounds/{$this->id}/pass", $typed);
        $reader = $this->person('vet@yard.example', Role::Reader);
        foreach ([[], ['to' => $reader->id], ['to' => $this->me->id], ['to' => self::key()]] as $typed) {
            $pass($typed)->assertUnprocessable()->assertJsonPath('codes.0', 'judge.round_say_whom');
        }
        $this->actingAs($this->helper);
        $this->begin(self::key())->assertOk();
        $this->actingAs($this->me);
        $pass(['to' => $this->helper->id])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'judge.round_has_own');
        Round::query()->where('user_id', $this->helper->id)->delete();
        $pass(['to' => $this->helper->id, 'note' => 'pond is left'])
            ->assertOk()
            ->assertJsonPath('mine', null);
        // It is theirs now, and nobody else's.
        $this->finish()->assertNotFound();
        $this->actingAs($this->helper);
        $this->getJson('/api/rounds')
            ->assertOk()
            ->assertJsonPath('mine.passed_note', 'pond is left')
            ->assertJsonPath('mine.id', $this->id);
    }

    public function test_what_changed_since_my_own_last_round(): void
    {
        $this->logAt('long-vat', 'am 0 ph 7.6 t 20 ni 0');
        $changed = fn(): array => collect($this->getJson('/api/round')->assertOk()->json('rows'))->firstWhere(
            'slug',
            'long-vat',
        )['changed'];
        $this->begin()->assertOk();
        $this->putJson("/api/systems/pond/skips/{$this->id}", ['why' => 'x'])->assertOk();
        $this->logAt('long-vat', 'am 0 ph 7.6 t 20 ni 0');
        $this->travelTo('2026-06-01 08:00');
        $this->finish()->assertOk();
        self::assertSame([], $changed());
        // Two tests by somebody else: what was between them is not what one hears of.
        $this->actingAs($this->helper);
        $this->travelTo('2026-06-01 12:00');
        $this->logAt('long-vat', 'am 3 ph 7.6 t 20 ni 0');
        $this->travelTo('2026-06-01 17:00');
        $this->logAt('long-vat', 'am 0 ph 7.6 t 20 ni 1');
        $this->actingAs($this->me);
        $of = $changed();
        self::assertCount(1, $of);
        self::assertMatchesRegularExpression('/^Nitrite was good, is (act|emergency)$/', $of[0]);
    }

    public function test_a_strangers_round_is_not_there(): void
    {
        $this->begin()->assertOk();
        $this->actingAs(self::elsewhere());
        $this->finish()->assertNotFound();
        $this->getJson('/api/rounds')->assertOk()->assertJsonPath('mine', null)->assertJsonPath('others', []);
    }

    private static function elsewhere(): User
    {
        return UserFactory::new()->createOne(['email' => 'else@else.example']);
    }
}
