<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Role;
use App\Models\User;
use Database\Factories\SiteFactory;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\OneOfEach;
use Tests\TestCase;

/** Whoever only reads writes nowhere, and nobody writes into a site of others: on every route there is. */
final class WhoMayWriteTest extends TestCase
{
    use OneOfEach;

    public function test_a_reader_is_refused_on_every_route_that_writes(): void
    {
        $this->actingAs($this->person('reader@yard.example', Role::Reader));
        foreach ($this->writing() as $route) {
            $answer = $this->json($route->methods()[0], $this->address($route, 'long-vat', []), []);
            self::assertSame(403, $answer->status(), "{$route->methods()[0]} {$route->uri()}");
        }
    }

    public function test_a_system_of_others_is_not_there_for_a_stranger(): void
    {
        $this->actingAs($this->stranger());
        foreach ($this->writing() as $route) {
            if (str_contains($route->uri(), '{system}')) {
                $answer = $this->json($route->methods()[0], $this->address($route, 'long-vat', []), []);
                self::assertSame(404, $answer->status(), "{$route->methods()[0]} {$route->uri()}");
            }
        }
    }

    public function test_a_key_of_others_is_not_there_in_a_system_of_ones_own(): void
    {
        $rows = $this->rows();
        $stranger = $this->stranger();
        $this->systemOf($stranger->site, 'Their vat', 'their-vat');
        $this->actingAs($stranger);
        $tried = 0;
        foreach ($this->writing() as $route) {
            $names = $route->parameterNames();
            if (array_diff($names, ['system', ...array_keys(self::WORDS)]) === []) {
                continue;
            }
            foreach ($this->kinds($route) as $kind) {
                $address = $this->address($route, 'their-vat', $rows, $kind);
                $answer = $this->json($route->methods()[0], $address, ['retired' => true]);
                self::assertSame(404, $answer->status(), "{$route->methods()[0]} {$address}");
                $tried++;
            }
        }
        self::assertGreaterThan(45, $tried);
        foreach ($rows as $class => $row) {
            self::assertEquals($row->getAttributes(), $row->fresh()?->getAttributes(), "{$class} was touched");
        }
    }

    /** @return list<Route> */
    private function writing(): array
    {
        return array_values(
            array_filter(
                Routes::getRoutes()->getRoutes(),
                static fn(Route $route): bool => in_array('can:write', $route->gatherMiddleware(), true),
            ),
        );
    }

    private function stranger(): User
    {
        $site = SiteFactory::new()->createOne(['name' => 'Theirs']);

        return $this->person('stranger@theirs.example', Role::Owner, $site);
    }
}
