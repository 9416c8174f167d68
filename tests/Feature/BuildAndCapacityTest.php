<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FeedFigure;
use App\Models\Vessel;
use Tests\TestCase;

final class BuildAndCapacityTest extends TestCase
{
    private const A = '01JD000000000000000000000A';

    private const B = '01JD000000000000000000000B';

    private const BAY = [
        'name' => 'Bay 1',
        'kind' => 'bay',
        'shape' => 'box',
        'length_m' => '2,4',
        'width_m' => '1.6',
        'depth_m' => '.9',
        'freeboard_m' => '0.1',
        'displaced_l' => '',
    ];

    private const MATS = [
        'name' => 'Mats',
        'kind' => 'matting',
        'medium' => 'coarse_matting',
        'media_l' => '200',
        'flow_l_h' => '6000',
        'since' => '2020-01-01',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    public function test_a_system_is_described_from_nothing(): void
    {
        $this->postJson('/api/systems', ['name' => 'New Shed', 'kind' => 'holding', 'life_stage' => 'grow_on'])
            ->assertCreated()
            ->assertJsonPath('slug', 'new-shed');
        $this->postJson('/api/systems', ['name' => 'New shed!', 'kind' => 'holding', 'life_stage' => 'grow_on'])
            ->assertCreated()
            ->assertJsonPath('slug', 'new-shed-2');
        $this->postJson('/api/systems', ['name' => 'New Shed', 'kind' => 'castle', 'life_stage' => ''])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name', 'kind', 'life_stage']]);
        $this->getJson('/api/systems/new-shed')
            ->assertOk()
            ->assertJsonPath('water.state', null)
            ->assertJsonPath('capacity.capacity', null)
            ->assertJsonPath('volume.value', 0);
    }

    public function test_a_sleeping_system_raises_no_alarm_and_keeps_its_book(): void
    {
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => self::B,
            'readings' => $this->typed(['no2_n_mg_l' => '3']),
        ])->assertCreated();
        $this->putJson('/api/systems/long-vat/sleep', ['asleep' => true])->assertOk();
        $this->getJson('/api/systems')->assertJsonPath('0.state', null)->assertJsonPath('0.asleep', true);
        $this->getJson('/api/systems/long-vat')->assertJsonPath('asleep', 'just now')->assertJsonCount(1, 'visits');
        $this->putJson('/api/systems/long-vat/sleep', ['asleep' => false])->assertOk();
        $this->getJson('/api/systems')->assertJsonPath('0.state', 'emergency');
        $this->putJson('/api/systems/long-vat/sleep', [])
            ->assertUnprocessable()
            ->assertJsonPath('errors.asleep', 'Say whether it sleeps.');
    }

    public function test_a_vessel_typed_with_commas_has_the_volume_of_its_shape_and_is_saved_once(): void
    {
        $this->postJson('/api/volume', self::BAY)->assertOk()->assertJsonPath('text', '3,072');
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, self::BAY)->assertOk();
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, [...self::BAY, 'depth_m' => '1'])
            ->assertOk()
            ->assertJsonCount(1, 'vessels')
            ->assertJsonPath('vessels.0.volume.text', '3,456');
        $this->putJson('/api/systems/long-vat/vessels/' . self::B, self::BAY)
            ->assertUnprocessable()
            ->assertJsonPath('errors.name', 'This name is taken.');
        $this->getJson('/api/systems/long-vat')
            ->assertJsonPath('volume.text', '3,456')
            ->assertJsonCount(1, 'volume.parts');
    }

    public function test_a_vessel_that_cannot_be_built_is_refused_at_its_fields(): void
    {
        $wedge = [
            'name' => 'Corner',
            'kind' => 'pond',
            'shape' => 'wedge',
            'length_m' => '3',
            'width_a_m' => '0',
            'width_b_m' => '',
            'depth_m' => '1 kg',
        ];
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, $wedge)
            ->assertUnprocessable()
            ->assertJsonPath('errors.width_a_m', 'Width at one end is 0 m; it must be 0.01 to 100 m.')
            ->assertJsonPath('errors.depth_m', '“kg” is not a unit of this field. It is in m.');
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, [...$wedge, 'width_a_m' => '2', 'depth_m' => '1'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.width_b_m', 'Width at the other end is needed for this shape.');
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, [...self::BAY, 'freeboard_m' => '1'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['freeboard_m']]);
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, ['name' => '', 'kind' => 'boat'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['name', 'kind']]);
        $pond = [
            'name' => 'Pond',
            'kind' => 'pond',
            'shape' => 'sections',
            'stations' => [['at_m' => '0', 'area_m2' => '1'], ['at_m' => 'x', 'area_m2' => '2']],
        ];
        $this->putJson('/api/systems/long-vat/vessels/' . self::A, $pond)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['stations.1.at_m']]);
        self::assertSame(0, Vessel::query()->count());
    }

    public function test_stages_fish_and_feed_are_checked_by_what_the_calculation_takes(): void
    {
        $this->putJson('/api/systems/long-vat/stages/' . self::A, [
            'name' => 'Mats',
            'kind' => 'matting',
            'media_l' => '200',
            'flow_l_h' => '6000',
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.medium', 'A medium is needed, or its surface in m²/m³.');
        $this->putJson('/api/systems/long-vat/stages/' . self::A, [
            ...self::MATS,
            'fouling_pct' => '120',
            'area_m2_m3' => '300',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['fouling_pct', 'area_m2_m3']]);
        $this->putJson('/api/systems/long-vat/fish/' . self::A, [
            'name' => 'Koi',
            'count' => '-3',
            'length_cm' => '500',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['count', 'length_cm']]);
        $this->putJson('/api/systems/long-vat/fish/' . self::A, [
            'name' => 'Koi',
            'count' => '2.5',
            'length_cm' => '50',
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.count', 'Fish are counted whole.');
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '200', 'protein_pct' => '380'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['protein_pct']]);
    }

    /** Timmons & Ebeling: 0.092 g of ammonia nitrogen per g of protein fed. */
    public function test_load_and_capacity_stand_on_one_scale_with_a_verdict(): void
    {
        $this->putJson('/api/systems/long-vat/stages/' . self::A, self::MATS)->assertOk();
        $this->putJson('/api/systems/long-vat/fish/' . self::A, [
            'name' => 'Koi',
            'count' => '20',
            'length_cm' => '45',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '100', 'protein_pct' => '40'])->assertOk();
        $this->postJson('/api/systems/long-vat/visits', [
            'id' => self::B,
            'readings' => $this->typed(['temp_c' => '20', 'ph' => '7.5']),
        ])->assertCreated();

        $capacity = $this->getJson('/api/systems/long-vat/capacity')->assertOk();
        self::assertEqualsWithDelta(3.68, $capacity->json('load.value'), 1e-9);
        self::assertSame('surface', $capacity->json('shortest'));
        self::assertSame('act', $capacity->json('state'));
        self::assertStringContainsString('g N too little', $capacity->json('sentence'));
        $from = collect($capacity->json('conditions'))->pluck('kind', 'key');
        self::assertSame(
            ['measured', 'assumed', 'limit', 'plan'],
            [$from['temp_c'], $from['alkalinity_mg_l'], $from['tan_mg_l'], $from['feed_g_d']],
        );

        $less = $this->getJson('/api/systems/long-vat/capacity?feed_g_d=10&temp_c=25,5')->assertOk();
        self::assertGreaterThan($capacity->json('capacity.value'), $less->json('capacity.value'));
        self::assertSame('typed', collect($less->json('conditions'))->firstWhere('key', 'temp_c')['kind']);
        $this->getJson('/api/systems/long-vat/capacity?ph=78&protein_pct=380&feed_g_d=x')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['ph', 'protein_pct', 'feed_g_d']]);
    }

    public function test_parts_can_be_removed_and_feed_is_kept_as_a_history(): void
    {
        $this->putJson('/api/systems/long-vat/fish/' . self::A, [
            'name' => 'Koi',
            'count' => '20',
            'length_cm' => '45',
        ])->assertJsonCount(1, 'fish');
        $this->deleteJson('/api/systems/long-vat/fish/' . self::A)
            ->assertOk()
            ->assertJsonCount(0, 'fish');
        FeedFigure::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'since' => '2026-01-01',
            'feed_g_d' => 50,
            'protein_pct' => 38,
        ]);
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '80', 'protein_pct' => '38'])->assertJsonPath(
            'plan.feed_g_d',
            80,
        );
        self::assertSame(2, FeedFigure::query()->count());
    }

    public function test_the_calculators_answer_over_http_as_on_the_command_line(): void
    {
        $this->postJson('/api/calc/ammonia.unionised', ['tan_mg_l' => 1, 'ph' => 8, 'temp_c' => 20])
            ->assertOk()
            ->assertJsonPath('sources', ['emerson-1975']);
        $this->postJson('/api/calc/ammonia.unionised', ['tan_mg_l' => 1, 'ph' => 78, 'temp_c' => '20'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.ph', 'pH is 78; it must be 4 to 11.')
            ->assertJsonStructure(['errors' => ['temp_c']]);
        $this->postJson('/api/calc/no.such', [])->assertNotFound();
        $this->getJson('/api/calc')
            ->assertOk()
            ->assertJsonFragment(['name' => 'filter.capacity']);
        $this->getJson('/api/sources')->assertOk();
        $this->getJson('/api/vocabulary')->assertOk()->assertJsonCount(13, 'parameters');
    }

    public function test_any_other_address_is_a_page_and_an_unknown_api_address_is_not(): void
    {
        $this->withoutVite();
        $this->get('/long-vat/capacity')->assertOk()->assertSee('id="app"', false);
        $this->getJson('/api/nothing')->assertNotFound();
    }
}
