<?php

declare(strict_types=1);

namespace Tests\Writing;

use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Database\Factories\SiteFactory;
use Database\Factories\SystemFactory;
use Database\Factories\UserFactory;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Str;

/**
 * Writers at the running product, at the same instant: what one alone could not book, two together cannot.
 *
 * The product stands at BASE_URL on the database of DATABASE_URL. Every test has a site of its own.
 */
abstract class Yard extends TestCase
{
    protected Site $site;

    protected System $system;

    /** @var array<string, User> by the first letters of their addresses */
    protected array $people = [];

    protected function setUp(): void
    {
        parent::setUp();
        $tag = strtolower((string) Str::ulid());
        $this->site = SiteFactory::new()->createOne(['name' => "Yard {$tag}"]);
        $this->system = $this->systemNamed('Long Vat', "vat-{$tag}");
        foreach (['ann', 'ben'] as $name) {
            $this->people[$name] = $this->person($name, $tag);
        }
    }

    protected function person(string $name, string $tag): User
    {
        return UserFactory::new()->createOne(['site_id' => $this->site->id, 'email' => "{$name}-{$tag}@yard.example"]);
    }

    protected function systemNamed(string $name, string $slug): System
    {
        return SystemFactory::new()
            ->withBay()
            ->createOne(['site_id' => $this->site->id, 'name' => $name, 'slug' => $slug]);
    }

    protected function client(string $name): Client
    {
        return Client::signedIn((string) getenv('BASE_URL'), $this->people[$name]->email, UserFactory::PASSWORD);
    }

    /** Water that refuses nothing by itself. */
    protected function goodWater(Client $client): void
    {
        $answer = $client->send('POST', "/api/systems/{$this->system->slug}/log", [
            'id' => self::id(),
            'line' => 't 18 ph 7.6 kh 8 gh 10 do 9 sa 0 am 0 ni 0',
        ]);
        self::assertSame(201, $answer['status'], $answer['body']);
    }

    protected static function id(): string
    {
        return strtoupper((string) Str::ulid());
    }

    protected function at(string $path): string
    {
        return "/api/systems/{$this->system->slug}/{$path}";
    }
}
