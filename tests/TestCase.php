<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Database\Factories\SiteFactory;
use Database\Factories\SystemFactory;
use Database\Factories\UserFactory;
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
        $this->site = SiteFactory::new()->createOne(['name' => 'Test yard']);
        $this->owner = $this->person('owner@yard.example', Role::Owner);
        $this->system = $this->systemOf($this->site, 'Long Vat', 'long-vat');
    }

    protected function person(string $email, Role $role, ?Site $site = null): User
    {
        return UserFactory::new()->createOne([
            'site_id' => ($site ?? $this->site)->id,
            'email' => $email,
            'role' => $role,
        ]);
    }

    protected function systemOf(Site $site, string $name, string $slug): System
    {
        return SystemFactory::new()->createOne(['site_id' => $site->id, 'name' => $name, 'slug' => $slug]);
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
