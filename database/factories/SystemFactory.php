<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Build\LayBuild;
use App\Models\System;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/**
 * A holding system for grown fish; nothing in it yet.
 *
 * @extends Factory<System>
 */
final class SystemFactory extends Factory
{
    /** 4 by 2 by 1 m to the brim, 8,000 L. */
    public const BAY = [
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'box',
        'measures' => ['length_m' => 4, 'width_m' => 2, 'depth_m' => 1],
        'freeboard_m' => 0,
    ];

    protected $model = System::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'site_id' => SiteFactory::new(),
            'name' => 'Long Vat',
            'slug' => static fn(array $told): string => Str::slug(is_string($told['name']) ? $told['name'] : ''),
            'kind' => 'holding',
            'life_stage' => 'adult',
        ];
    }

    /** With one bay, `BAY`. */
    public function withBay(): static
    {
        return $this->afterCreating(
            static fn(System $system) => (new LayBuild())->lay($system, ['vessels' => [self::BAY]]),
        );
    }
}
