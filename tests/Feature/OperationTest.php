<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\Site;
use App\Models\User;
use App\Models\WaterSource;
use App\Models\WhatIf;
use App\Operation\FirstOwner;
use App\Transfer\BookTables;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Who comes in and from where, and what keeping the book shows of itself. */
final class OperationTest extends TestCase
{
    private const OWNER = [
        'site' => 'Reed House',
        'timezone' => 'Europe/Berlin',
        'name' => 'Ann',
        'email' => 'ann@reed.example',
        'password' => 'long enough now',
    ];

    public function test_an_empty_book_gets_its_first_owner_once(): void
    {
        DB::statement('TRUNCATE ' . implode(', ', BookTables::ALL) . ' CASCADE');
        parse_str((string) parse_url(FirstOwner::link(), PHP_URL_QUERY), $void);
        parse_str((string) parse_url(FirstOwner::link(), PHP_URL_QUERY), $query);
        $key = $query['key'];
        $this->getJson("/api/first-owner?key={$void['key']}")->assertJsonPath('open', false);
        $this->getJson("/api/first-owner?key={$key}")->assertJsonPath('open', true);
        $this->postJson('/api/first-owner', ['key' => $key, 'timezone' => 'Nowhere/Land', 'email' => 'ann'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['site', 'timezone', 'name', 'email', 'password']]);
        $this->postJson('/api/first-owner', [...self::OWNER, 'key' => 'guessed'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['key']]);
        $this->postJson('/api/first-owner', [...self::OWNER, 'key' => $key])->assertOk();
        $this->getJson('/api/session')->assertJsonPath('person.role', 'owner');
        $this->postJson('/api/first-owner', [...self::OWNER, 'key' => $key])->assertUnprocessable();
        self::assertSame(1, User::query()->count());
        self::assertFalse(FirstOwner::wanted());
    }

    public function test_a_link_is_good_for_a_day_and_never_once_there_is_an_owner(): void
    {
        parse_str((string) parse_url(FirstOwner::link(), PHP_URL_QUERY), $query);
        $this->getJson("/api/first-owner?key={$query['key']}")->assertJsonPath('open', false);
        DB::statement('TRUNCATE ' . implode(', ', BookTables::ALL) . ' CASCADE');
        parse_str((string) parse_url(FirstOwner::link(), PHP_URL_QUERY), $query);
        $this->travel(25)->hours();
        $this->getJson("/api/first-owner?key={$query['key']}")->assertJsonPath('open', false);
    }

    public function test_the_demos_passwords_are_told_on_this_machine_only(): void
    {
        Site::query()->update(['is_demo' => true]);
        $told = fn(array $headers = [], string $url = 'http://127.0.0.1:8080', string $ip = '127.0.0.1'): int => count(
            $this->withServerVariables(['REMOTE_ADDR' => $ip])
                ->getJson("{$url}/api/session", $headers)
                ->json('demo'),
        );
        config(['app.url' => 'http://127.0.0.1:8080']);
        self::assertSame(3, $told());
        self::assertSame(0, $told(url: 'http://koi.example'), 'by another name');
        self::assertSame(0, $told(ip: '192.168.1.20'), 'from another machine');
        self::assertSame(0, $told(['X-Forwarded-For' => '203.0.113.9']), 'through a proxy');
        config(['app.url' => 'https://koi.example']);
        self::assertSame(0, $told(), 'where it is meant for others');
    }

    public function test_a_new_password_ends_the_sessions_of_whoever_had_the_old_one(): void
    {
        $other = $this->person('other@yard.example', Role::Helper);
        foreach ([$this->owner, $this->owner, $other] as $person) {
            DB::table('sessions')->insert([
                'id' => Str::random(40),
                'user_id' => $person->id,
                'payload' => '',
                'last_activity' => now()->timestamp,
            ]);
        }
        $this->owner->update(['name' => 'Renamed']);
        self::assertSame(3, DB::table('sessions')->count());
        $this->owner->update(['password' => 'another long password']);
        self::assertSame([$other->id], DB::table('sessions')->pluck('user_id')->all());
    }

    public function test_one_address_is_slowed_down_and_nobody_is_locked_out_from_elsewhere(): void
    {
        $try = fn(string $email, string $password, string $ip) => $this->withServerVariables(['REMOTE_ADDR' => $ip])
            ->postJson('/api/session', ['email' => $email, 'password' => $password])
            ->status();
        for ($i = 0; $i < 30; $i++) {
            self::assertSame(422, $try("guess{$i}@yard.example", 'x', '203.0.113.9'));
        }
        self::assertSame(429, $try('owner@yard.example', 'a long password', '203.0.113.9'));
        self::assertSame(200, $try('owner@yard.example', 'a long password', '203.0.113.10'));
        // Whoever has one of the new addresses has all of their block.
        for ($i = 0; $i < 6; $i++) {
            self::assertSame(422, $try('owner@yard.example', 'x', "2001:db8:1:2::{$i}"));
        }
        self::assertSame(429, $try('owner@yard.example', 'a long password', '2001:db8:1:2:ffff::1'));
        self::assertSame(200, $try('owner@yard.example', 'a long password', '2001:db8:1:3::1'));
    }

    public function test_over_tls_cookies_stay_on_tls_and_browsers_come_back_by_it(): void
    {
        $plain = $this->get('http://koi.example/api/session');
        self::assertFalse($plain->headers->has('Strict-Transport-Security'));
        $tls = $this->get('https://koi.example/api/session')->assertHeader('Strict-Transport-Security');
        self::assertNotSame([], $tls->headers->getCookies());
        foreach ($tls->headers->getCookies() as $cookie) {
            self::assertTrue($cookie->isSecure(), $cookie->getName());
        }
    }

    public function test_a_failed_query_is_written_down_without_what_anybody_typed(): void
    {
        $lines = [];
        Log::listen(static function (object $event) use (&$lines): void {
            $lines[] = $event->message . json_encode($event->context);
        });
        try {
            DB::transaction(
                static fn() => DB::insert('INSERT INTO users (id, name) VALUES (?, ?)', ['short', 'Secret Person']),
            );
            self::fail('It was taken.');
        } catch (\Throwable $fault) {
            report($fault);
        }
        $said = implode("\n", $lines);
        self::assertStringContainsString('23502', $said);
        self::assertStringContainsString('INSERT INTO users', $said);
        self::assertStringNotContainsString('Secret', $said);
        self::assertLessThan(2000, strlen($said));
    }

    public function test_every_request_leaves_one_line_with_its_id_time_and_queries(): void
    {
        $lines = [];
        Log::listen(static function (object $event) use (&$lines): void {
            $lines[] = $event;
        });
        $this->actingAs($this->owner);
        $id = $this->getJson('/api/systems/long-vat')->assertOk()->headers->get('X-Request-Id');
        self::assertCount(1, $lines);
        self::assertSame($id, $lines[0]->context['request']);
        self::assertSame('api/systems/{system}', $lines[0]->context['route']);
        self::assertSame(200, $lines[0]->context['status']);
        self::assertGreaterThan(1, $lines[0]->context['queries']);
    }

    public function test_what_is_in_use_stays_and_a_second_text_is_not_lost_in_silence(): void
    {
        $this->actingAs($this->owner);
        $water = WaterSource::query()->create(['site_id' => $this->site->id, 'name' => 'Well', 'kind' => 'well']);
        $this->system->update(['water_id' => $water->id]);
        $this->deleteJson("/api/waters/{$water->id}")->assertUnprocessable();
        $this->system->update(['water_id' => null]);
        $this->deleteJson("/api/waters/{$water->id}")->assertOk();
        self::assertSame(0, WaterSource::query()->count());

        $note = fn(string $words) => $this->putJson('/api/systems/long-vat/notes/01JD00000000000000000000B1', [
            'words' => $words,
        ]);
        $note('flashing')->assertOk();
        $note('flashing')->assertOk();
        $note('all well')->assertUnprocessable();
    }

    public function test_what_ifs_are_so_many_and_cost_nothing_until_they_are_looked_at(): void
    {
        $this->actingAs($this->owner);
        for ($i = 0; $i < WhatIf::MOST; $i++) {
            WhatIf::query()->create([
                'site_id' => $this->site->id,
                'system_id' => $this->system->id,
                'name' => "July {$i}",
                'changes' => ['temp_c' => '24'],
            ]);
        }
        $count = 0;
        DB::listen(static function () use (&$count): void {
            $count++;
        });
        $this->getJson('/api/systems/long-vat/what-ifs')->assertOk()->assertJsonCount(WhatIf::MOST);
        self::assertLessThan(6, $count);
        $this->putJson('/api/systems/long-vat/what-ifs/01JD00000000000000000000B2', [
            'name' => 'One more',
            'temp_c' => '20',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
    }
}
