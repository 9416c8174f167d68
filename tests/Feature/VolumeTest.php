<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\VolumeChoice;
use Tests\TestCase;

final class VolumeTest extends TestCase
{
    private const METER = '01JD00000000000000000000M1';

    private const SALT = '01JD00000000000000000000E1';

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->putJson('/api/systems/long-vat/vessels/01JD00000000000000000000B1', [
            'name' => 'Bay',
            'kind' => 'bay',
            'shape' => 'box',
            'length_m' => '5',
            'width_m' => '2',
            'depth_m' => '1',
        ])->assertOk();
    }

    private function measure(string $id, array $typed): \Illuminate\Testing\TestResponse
    {
        return $this->putJson("/api/systems/long-vat/volumes/{$id}", $typed);
    }

    public function test_the_three_ways_stand_side_by_side_and_the_keeper_chooses(): void
    {
        $this->getJson('/api/systems/long-vat/volumes')
            ->assertOk()
            ->assertJsonCount(1, 'ways')
            ->assertJsonPath('ways.0.in_use', true)
            ->assertJsonPath('ways.0.in_gallons', '2,642 US gal, 2,200 imp gal');
        $this->measure(self::METER, [
            'method' => 'meter',
            'meter_before_l' => '1 200',
            'meter_after_l' => '10900',
        ])->assertOk();
        $this->measure(self::METER, ['method' => 'meter', 'meter_before_l' => '1 200', 'meter_after_l' => '10900'])
            ->assertOk()
            ->assertJsonCount(2, 'ways')
            ->assertJsonPath('compared.0.text', 'Geometry and the water meter agree within 3.1 %.');
        $this->measure(self::SALT, [
            'method' => 'salt',
            'salt_g' => '9000',
            'before_g_l' => '0,2',
            'after_g_l' => '1,2',
        ])
            ->assertOk()
            ->assertJsonCount(3, 'ways')
            ->assertJsonCount(3, 'compared');

        $this->getJson('/api/systems/long-vat')->assertJsonPath('volume.text', '10,000');
        $this->postJson('/api/systems/long-vat/volumes/choice', ['measure' => self::SALT])->assertOk();
        $this->getJson('/api/systems/long-vat')
            ->assertJsonPath('volume.text', '9,000')
            ->assertJsonPath('volume.calc', 'volume.by_salt');
        $this->postJson('/api/systems/long-vat/volumes/choice', ['measure' => null])
            ->assertOk()
            ->assertJsonPath('ways.0.in_use', true);
        self::assertSame([9000.0, 10000.0], VolumeChoice::query()->pluck('volume_l')->sort()->values()->all());
    }

    public function test_gallons_taken_for_litres_are_named(): void
    {
        $this->measure(self::METER, ['method' => 'meter', 'meter_before_l' => '0', 'meter_after_l' => '2642'])
            ->assertOk()
            ->assertJsonPath('compared.0.mix_up', true)
            ->assertJsonPath(
                'compared.0.text',
                'Geometry is 3.79 times the water meter: it looks as if US gallons were taken for litres.',
            );
    }

    public function test_measurements_that_say_nothing_are_refused_at_their_field(): void
    {
        $this->measure(self::SALT, ['method' => 'salt', 'salt_g' => '10', 'before_g_l' => '0.2', 'after_g_l' => '0.21'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['after_g_l']]);
        $this->measure(self::METER, ['method' => 'meter', 'meter_before_l' => '5', 'meter_after_l' => 'x'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['meter_after_l']]);
        $this->measure(self::METER, ['method' => 'guess'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['method']]);
        $this->postJson('/api/systems/long-vat/volumes/choice', ['measure' => self::SALT])
            ->assertUnprocessable()
            ->assertJsonPath('errors.measure', 'There is no such measurement here.');
    }
}
