<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\Site;
use App\Models\User;
use Database\Factories\SiteFactory;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    public function test_a_person_signs_in_whatever_the_case_of_the_address_and_out_again(): void
    {
        $this->postJson('/api/session', ['email' => 'OWNER@yard.example', 'password' => 'a long password'])
            ->assertOk()
            ->assertJsonPath('person.name', 'Owner')
            ->assertJsonPath('person.writes', true);
        $this->getJson('/api/systems')->assertOk();
        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/systems')->assertUnauthorized();
    }

    public function test_passwords_are_kept_hashed(): void
    {
        $kept = (string) User::query()->findOrFail($this->owner->id)->getAuthPassword();
        self::assertStringNotContainsString('a long password', $kept);
        self::assertTrue(Hash::check('a long password', $kept));
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this->postJson('/api/session', ['email' => 'owner@yard.example', 'password' => 'guess'])
                ->assertUnprocessable()
                ->assertJsonPath('errors.password', 'The e-mail or the password is wrong.');
        }
        $this->postJson('/api/session', ['email' => 'owner@yard.example', 'password' => 'a long password'])
            ->assertStatus(429)
            ->assertJsonStructure(['errors' => ['password']]);
    }

    public function test_a_person_gives_themselves_a_new_password_and_every_other_session_ends(): void
    {
        $reader = $this->person('reads@yard.example', Role::Reader);
        $this->putJson('/api/session/password', [])->assertUnauthorized();
        $this->actingAs($reader);
        DB::table('sessions')->insert([
            'id' => 'elsewhere',
            'user_id' => $reader->id,
            'payload' => '',
            'last_activity' => now()->timestamp,
        ]);
        $change = fn(string $now, string $new) => $this->putJson('/api/session/password', [
            'password_now' => $now,
            'password_new' => $new,
        ]);
        $change('a guess', 'a newer password')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['password_now']]);
        $change('a long password', 'short')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['password_new']]);
        $change('a long password', 'a long password')->assertUnprocessable();
        self::assertTrue(DB::table('sessions')->where('id', 'elsewhere')->exists());

        $change('a long password', 'a newer password')->assertNoContent();
        self::assertFalse(DB::table('sessions')->where('id', 'elsewhere')->exists());
        self::assertTrue(Hash::check('a newer password', (string) $reader->fresh()?->getAuthPassword()));
        $this->getJson('/api/systems')->assertOk();
        for ($try = 0; $try < 6; $try++) {
            $change('a guess', 'another password');
        }
        $change('a newer password', 'another password')->assertStatus(429);
    }

    public function test_each_empty_field_is_named(): void
    {
        $this->postJson('/api/session', [])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['email' => 'Type your e-mail address.', 'password' => 'Type your password.']);
    }

    public function test_a_stranger_reaches_nothing_but_the_door(): void
    {
        $id = '01JD0000000000000000000000';
        $doors = [
            ['GET', '/api/systems'],
            ['POST', '/api/systems'],
            ['GET', '/api/systems/long-vat'],
            ['GET', '/api/systems/long-vat/capacity'],
            ['GET', '/api/vocabulary'],
            ['GET', '/api/sources'],
            ['GET', '/api/calc'],
            ['POST', '/api/calc/fish.weight'],
            ['POST', '/api/systems/long-vat/meaning'],
            ['GET', '/api/systems/long-vat/visits'],
            ['POST', '/api/systems/long-vat/visits'],
            ['DELETE', "/api/visits/{$id}"],
            ['POST', '/api/systems/long-vat/log'],
            ['POST', '/api/systems/long-vat/log/meaning'],
            ['POST', '/api/volume'],
            ['PUT', "/api/systems/long-vat/vessels/{$id}"],
            ['PUT', "/api/systems/long-vat/stages/{$id}"],
            ['PUT', "/api/systems/long-vat/fish/{$id}"],
            ['PUT', '/api/systems/long-vat/feed'],
            ['DELETE', "/api/systems/long-vat/fish/{$id}"],
        ];
        foreach ($doors as [$method, $uri]) {
            $this->json($method, $uri)->assertUnauthorized();
        }
        $this->getJson('/api/health')->assertOk();
    }

    public function test_writing_without_the_token_of_the_page_is_refused(): void
    {
        // The framework waives the token in tests; here it is asked for as in service.
        $this->app['env'] = 'production';
        $this->postJson('/api/session', [
            'email' => 'owner@yard.example',
            'password' => 'a long password',
        ])->assertStatus(419);
    }

    public function test_nobody_sees_the_systems_of_another_site(): void
    {
        $other = SiteFactory::new()->createOne(['name' => 'Elsewhere']);
        $this->systemOf($other, 'Their Pond', 'their-pond');
        $this->actingAs($this->owner);
        $this->getJson('/api/systems/their-pond')->assertNotFound();
        $this->getJson('/api/systems')->assertJsonCount(1);
    }

    public function test_a_reader_looks_and_does_not_write(): void
    {
        $this->actingAs($this->person('vet@yard.example', Role::Reader));
        $id = '01JD0000000000000000000000';
        $this->getJson('/api/systems/long-vat')->assertOk();
        $this->postJson('/api/systems/long-vat/meaning', ['readings' => $this->typed(['ph' => '7'])])->assertOk();
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => $id,
            'readings' => $this->typed(['ph' => '7']),
        ])->assertForbidden();
        $this->postJson('/api/systems/long-vat/log', ['id' => $id, 'line' => 'ph 7'])->assertForbidden();
        $this->postJson('/api/systems', [
            'name' => 'X',
            'kind' => 'holding',
            'life_stage' => 'adult',
        ])->assertForbidden();
        $this->putJson("/api/systems/long-vat/vessels/{$id}", [])->assertForbidden();
        $this->putJson("/api/systems/long-vat/stages/{$id}", [])->assertForbidden();
        $this->putJson("/api/systems/long-vat/fish/{$id}", [])->assertForbidden();
        $this->putJson('/api/systems/long-vat/feed', [])->assertForbidden();
        $this->deleteJson("/api/systems/long-vat/vessels/{$id}")->assertForbidden();
        $this->deleteJson("/api/visits/{$id}")->assertForbidden();
    }

    public function test_demo_logins_are_shown_only_where_the_demo_is_loaded_and_a_used_book_is_left_alone(): void
    {
        $this->getJson('/api/session')
            ->assertOk()
            ->assertExactJson(['person' => null, 'demo' => []]);
        $this->seed(DemoSeeder::class);
        self::assertSame(1, Site::query()->count());

        $this->system->delete();
        User::query()->delete();
        Site::query()->delete();
        $this->seed(DemoSeeder::class);
        $this->getJson('/api/session')->assertJsonCount(3, 'demo');
        $this->postJson('/api/session', DemoSeeder::logins()[0])->assertOk();
        $this->getJson('/api/systems')->assertJsonCount(6);
        foreach (['press-room', 'arrivals', 'cold-store', 'yard-pond', 'nursery', 'hospital-tub'] as $slug) {
            $this->getJson("/api/systems/{$slug}")
                ->assertOk()
                ->assertJsonCount(6, 'visits');
        }
    }
}
