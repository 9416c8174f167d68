<?php

declare(strict_types=1);

namespace Tests\Writing;

use App\Build\LayBuild;
use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Str;

/**
 * Writers at the running product, at the same instant: what one alone could not book, two together cannot.
 *
 * The product stands at BASE_URL on the database of DATABASE_URL. Every test has a site of its own.
 */
abstract class Yard extends TestCase
{
    protected const PASSWORD = 'a long password';

    protected Site $site;

    protected System $system;

    /** @var array<string, User> by the first letters of their addresses */
    protected array $people = [];

    protected function setUp(): void
    {
        parent::setUp();
        $tag = strtolower((string) Str::ulid());
        $this->site = Site::query()->create([
            'name' => "Yard {$tag}",
            'timezone' => 'Europe/London',
            'altitude_m' => 0,
        ]);
        $this->system = $this->systemNamed('Long Vat', "vat-{$tag}");
        foreach (['ann', 'ben'] as $name) {
            $this->people[$name] = $this->person($name, $tag);
        }
    }

    protected function person(string $name, string $tag): User
    {
        return User::query()->create([
            'site_id' => $this->site->id,
            'name' => ucfirst($name),
            'email' => "{$name}-{$tag}@yard.example",
            'role' => Role::Owner,
            'password' => self::PASSWORD,
        ]);
    }

    protected function systemNamed(string $name, string $slug): System
    {
        $system = System::query()->create([
            'site_id' => $this->site->id,
            'name' => $name,
            'slug' => $slug,
            'kind' => 'holding',
            'life_stage' => 'adult',
        ]);
        (new LayBuild())->lay($system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);

        return $system;
    }

    protected function client(string $name): Client
    {
        return Client::signedIn((string) getenv('BASE_URL'), $this->people[$name]->email, self::PASSWORD);
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
