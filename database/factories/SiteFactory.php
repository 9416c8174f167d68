<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Site;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A yard by itself, at the level of the sea.
 *
 * @extends Factory<Site>
 */
final class SiteFactory extends Factory
{
    protected $model = Site::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['name' => 'Withy Yard', 'timezone' => 'Europe/London', 'altitude_m' => 0];
    }
}
