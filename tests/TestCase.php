<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Testing\TestResponse;

/**
 * Tests of the application against a real PostgreSQL.
 *
 * Every answer of an API address is held against api/openapi.yaml as it comes in.
 */
abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    /** Commands run for real; there is no mocking library here. */
    public $mockConsoleOutput = false;

    protected Site $site;

    protected User $owner;

    protected System $system;

    protected function setUp(): void
    {
        parent::setUp();
        $this->site = Site::query()->create(['name' => 'Test yard', 'timezone' => 'Europe/London', 'altitude_m' => 0]);
        $this->owner = $this->person('owner@yard.example', Role::Owner);
        $this->system = $this->systemOf($this->site, 'Long Vat', 'long-vat');
    }

    protected function person(string $email, Role $role, ?Site $site = null): User
    {
        return User::query()->create([
            'site_id' => ($site ?? $this->site)->id,
            'name' => ucfirst(strtok($email, '@')),
            'email' => $email,
            'role' => $role,
            'password' => 'a long password',
        ]);
    }

    protected function systemOf(Site $site, string $name, string $slug): System
    {
        return System::query()->create([
            'site_id' => $site->id,
            'name' => $name,
            'slug' => $slug,
            'kind' => 'holding',
            'life_stage' => 'adult',
        ]);
    }

    /** @param  array<string, mixed>  $data */
    public function json($method, $uri, array $data = [], array $headers = [], $options = 0): TestResponse
    {
        $response = parent::json($method, $uri, $data, $headers, $options);
        Contract::check((string) $method, (string) $uri, $response);

        return $response;
    }

    /** @param  array<string, string>  $typed  parameter to what is typed for it */
    protected function typed(array $typed): array
    {
        return array_map(static fn(string $text): array => ['typed' => $text], $typed);
    }
}
