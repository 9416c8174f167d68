<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Vessel;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** A bay of 6,000 L with mats, a lamp and a pump, and what is asked and sent of its service. */
trait ServicedLoop
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-05-04 08:00');
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 200,
                    'flow_l_h' => 6000,
                    'water_l' => 300,
                    'cleaned_on' => '2026-05-01',
                ],
                [
                    'name' => 'Lamp',
                    'kind' => 'uv',
                    'flow_l_h' => 6000,
                    'lamp_w' => 55,
                    'lamp_fitted_on' => '2026-01-01',
                    'sleeve_wiped_on' => '2026-05-01',
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 60,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 9000, 'head_m' => 0.2]],
                ],
                ['name' => 'Heater', 'kind' => 'heater', 'power_w' => 1000],
            ],
            'lines' => [
                ['Drain', 'v:Bay', 's:Mats', 103.6, 2, ['bend_90' => 1], 'valve_open_pct' => 100],
                ['Suction', 's:Mats', 'p:Pump', 63, 1, ['strainer' => 1]],
                ['Delivery', 'p:Pump', 's:Lamp', 50, 1, ['elbow_90' => 1]],
                ['Return', 's:Lamp', 'v:Bay', 50, 3, ['exit' => 1], 'outlet' => 'jet'],
                ['Waste', 's:Mats', 'outside', 50, 2, [], 'valve_open_pct' => 0, 'fall_mm' => 800],
            ],
        ]);
    }

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    /** @return array<string, mixed> */
    private function job(string $part, string $job): array
    {
        $parts = $this->getJson('/api/systems/long-vat/service')->assertOk()->json('parts');
        $jobs = collect(is_array($parts) ? $parts : [])->firstWhere('name', $part)['jobs'] ?? [];

        return collect($jobs)->firstWhere('id', $job) ?? [];
    }

    private function part(string $kind, string $name): string
    {
        $class = ['stage' => Stage::class, 'pump' => Pump::class, 'vessel' => Vessel::class][$kind];

        return "{$kind}:" . $class::query()->where('name', $name)->firstOrFail()->id;
    }

    /** @param  array<string, mixed>  $body */
    private function send(string $path, array $body = []): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/services/{$path}", $body);
    }
}
