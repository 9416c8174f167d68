<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Line;
use App\Models\Vessel;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** An installation is described in few entries: alike parts once, lines that meet, one line to every bay. */
final class DescribeTest extends TestCase
{
    private const FIVE = [
        'name' => 'Bay',
        'kind' => 'bay',
        'shape' => 'wedge',
        'length_m' => '9.6',
        'width_a_m' => '1.2',
        'width_b_m' => '1.7',
        'depth_m' => '1.15',
        'freeboard_m' => '0.12',
        'alike' => '5',
        'measured' => 'together',
        'netted' => 'yes',
        'overflow' => 'yes',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    private function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    /** @param  array<string, mixed>  $typed */
    private function save(string $kind, array $typed, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/{$kind}/" . ($id ?? $this->key()), $typed);
    }

    private function id(string $kind, string $name): string
    {
        $parts = $this->getJson('/api/systems/long-vat')->json("build.{$kind}");

        return (string) collect(is_array($parts) ? $parts : [])->firstWhere('name', $name)['id'];
    }

    /** 9.6 × 1.45 × 1.03 m, divided along the length: the widths run on from bay to bay. */
    public function test_five_bays_are_one_entry_and_hold_what_the_whole_holds(): void
    {
        $id = $this->key();
        $this->save('vessels', self::FIVE, $id)->assertOk()->assertJsonCount(5, 'vessels');
        $this->save('vessels', self::FIVE, $id)->assertOk()->assertJsonCount(5, 'vessels');
        $bays = Vessel::query()->where('system_id', $this->system->id)->orderBy('name')->get();
        self::assertSame(['Bay 1', 'Bay 2', 'Bay 3', 'Bay 4', 'Bay 5'], $bays->pluck('name')->all());
        self::assertEqualsWithDelta(14337.6, $this->getJson('/api/systems/long-vat')->json('volume.value'), 0.1);
        $measures = $bays[4]->measures;
        self::assertEqualsWithDelta(1.92, $measures['length_m'], 1e-9);
        self::assertEqualsWithDelta(1.6, $measures['width_a_m'], 1e-9);
        self::assertEqualsWithDelta(1.7, $measures['width_b_m'], 1e-9);

        $this->save('vessels', [...self::FIVE, 'name' => 'Bay 5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $this->save('vessels', [...self::FIVE, 'name' => 'Tub', 'alike' => '2.5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['alike']]);
        $round = ['shape' => 'cylinder', 'diameter_m' => '2', 'length_m' => '', 'width_a_m' => '', 'width_b_m' => ''];
        $this->save('vessels', [...self::FIVE, 'name' => 'Tub', ...$round])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['measured']]);
        self::assertSame(5, Vessel::query()->where('system_id', $this->system->id)->count());
        $this->save('vessels', [
            ...self::FIVE,
            'name' => 'Tub 7',
            'measured' => 'each',
            'alike' => '2',
            ...$round,
        ])->assertOk();
        self::assertSame(
            ['Tub 7', 'Tub 8'],
            Vessel::query()->where('name', 'like', 'Tub%')->orderBy('name')->pluck('name')->all(),
        );
    }

    public function test_a_coned_floor_holds_a_third_of_its_prism(): void
    {
        $this->save('vessels', [...self::FIVE, 'alike' => '', 'floor' => 'coned', 'floor_m' => '0.3'])->assertOk();
        self::assertEqualsWithDelta(
            14337.6 + (1000 * 13.92 * 0.3) / 3,
            $this->getJson('/api/systems/long-vat')->json('volume.value'),
            0.1,
        );
    }

    public function test_a_drain_from_every_bay_into_one_pipe_is_two_forms_and_a_junction(): void
    {
        $this->save('vessels', self::FIVE)->assertOk();
        $this->save('stages', [
            'name' => 'Settlement',
            'kind' => 'settlement',
            'medium' => 'chamber_walls',
            'media_l' => '0',
            'flow_l_h' => '10000',
            'began' => 'unknown',
        ])->assertOk();
        $this->save('junctions', ['name' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $this->save('junctions', ['name' => 'Collector'])
            ->assertOk()
            ->assertJsonCount(1, 'junctions');
        $this->save('junctions', ['name' => 'Collector'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name']]);
        $collector = $this->id('junctions', 'Collector');
        $drain = [
            'name' => 'Drain',
            'from' => 'each',
            'to' => "junction:{$collector}",
            'bore_mm' => '103.6',
            'length_m' => '1.5',
            'valve_open_pct' => '100',
            'intake' => 'bottom_drain',
        ];
        $id = $this->key();
        $this->save('lines', $drain, $id)->assertOk()->assertJsonCount(5, 'lines');
        $this->save('lines', $drain, $id)->assertOk()->assertJsonCount(5, 'lines');
        self::assertSame(5, Line::query()->whereNotNull('from_vessel_id')->distinct()->count('from_vessel_id'));
        $this->save('lines', [
            ...$drain,
            'name' => 'Collecting pipe',
            'from' => "junction:{$collector}",
            'to' => "stage:{$this->id('stages', 'Settlement')}",
            'intake' => '',
        ])->assertOk();
        $this->save('lines', [...$drain, 'to' => 'each'])->assertUnprocessable();
        $this->save('lines', [...$drain, 'from' => "junction:{$collector}"])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
        $this->deleteJson("/api/systems/long-vat/junctions/{$collector}")->assertUnprocessable();
        $plumbing = $this->getJson('/api/systems/long-vat/plumbing')->assertOk();
        self::assertSame(['Collector'], collect($plumbing->json('junctions'))->pluck('name')->all());
    }

    public function test_another_sites_junction_is_no_place_for_a_line(): void
    {
        $this->save('vessels', self::FIVE)->assertOk();
        $elsewhere = $this->systemOf($this->site, 'Other', 'other');
        $junction = $elsewhere->junctions()->create(['site_id' => $this->site->id, 'name' => 'Tee']);
        $this->save('lines', [
            'name' => 'Drain',
            'from' => "vessel:{$this->id('vessels', 'Bay 1')}",
            'to' => "junction:{$junction->id}",
            'bore_mm' => '100',
            'length_m' => '1',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
    }
}
