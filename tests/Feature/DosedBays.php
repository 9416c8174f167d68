<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use Illuminate\Testing\TestResponse;

/** Two bays of 2,000 and 3,000 L that were tested today, and what is asked and given there. */
trait DosedBays
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'East',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
                [
                    'name' => 'West',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->log('am .3 ni .4 ph 7.6 t 20 do 8.5 kh 6 gh 8', 'V1');
    }

    private function log(string $line, string $id): void
    {
        $this->postJson('/api/systems/long-vat/log', [
            'id' => "01JD00000000000000000000{$id}",
            'line' => $line,
        ])->assertCreated();
    }

    private function bench(string $thing, string $query = ''): array
    {
        return $this->getJson("/api/systems/long-vat/dose?thing={$thing}{$query}")
            ->assertOk()
            ->json('thing');
    }

    private function give(array $typed, string $id = '01JD00000000000000000000D1'): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/doses/{$id}", $typed);
    }
}
