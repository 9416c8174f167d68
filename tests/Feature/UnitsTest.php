<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A person reads and types in the units they chose; what is kept does not change by it. */
final class UnitsTest extends TestCase
{
    private const OTHER = [
        'volume' => 'us_gal',
        'temperature' => 'f',
        'hardness' => 'mg_l_caco3',
        'nitrate' => 'mg_l_n',
        'mass' => 'oz',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
    }

    private function log(string $line): string
    {
        $id = strtoupper((string) Str::ulid());
        $this->postJson('/api/systems/long-vat/log', ['id' => $id, 'line' => $line])->assertCreated();

        return $id;
    }

    /** @return array<string, mixed> */
    private function strip(string $parameter): array
    {
        $strips = $this->getJson('/api/systems/long-vat')->assertOk()->json('water.strips');

        return collect(is_array($strips) ? $strips : [])->firstWhere('parameter', $parameter);
    }

    public function test_a_person_chooses_units_for_themselves_alone(): void
    {
        $this->getJson('/api/session')
            ->assertJsonPath('person.units.asked', false)
            ->assertJsonPath('person.units.shown', []);
        $this->putJson('/api/session/units', self::OTHER)
            ->assertOk()
            ->assertJsonPath('asked', true)
            ->assertJsonPath('chosen.volume', 'us_gal')
            ->assertJsonPath('shown.°C', ['symbol' => '°F', 'factor' => 1.8, 'offset' => 32]);
        $this->log('t 68 na 5 kh 100 note put 20 L in');
        self::assertSame(['68', '°F'], [$this->strip('temp_c')['text'], $this->strip('temp_c')['unit']]);
        self::assertSame(['5', 'mg/L as N'], [$this->strip('no3_n_mg_l')['text'], $this->strip('no3_n_mg_l')['unit']]);
        $book = (string) $this->getJson('/api/systems/long-vat/book')->assertOk()->getContent();
        self::assertStringContainsString('put 20 L in', $book, 'the keeper’s own words stay');

        $this->actingAs($this->person('helper@yard.example', \App\Models\Role::Helper));
        self::assertSame(['20', '°C'], [$this->strip('temp_c')['text'], $this->strip('temp_c')['unit']]);
        self::assertSame(
            ['22.1', 'mg/L as NO₃'],
            [$this->strip('no3_n_mg_l')['text'], $this->strip('no3_n_mg_l')['unit']],
        );
        self::assertSame('5.6', $this->strip('alkalinity_mg_l')['text']);
    }

    #[TestWith([['volume' => 'firkin'], 'volume'])]
    #[TestWith([['temperature' => ['f']], 'temperature'])]
    #[TestWith([['mass' => ''], 'mass'])]
    public function test_a_unit_there_is_not_is_refused_at_its_field(array $wrong, string $field): void
    {
        $this->putJson('/api/session/units', [...self::OTHER, ...$wrong])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => [$field]]);
        $this->getJson('/api/session')->assertJsonPath('person.units.asked', false);
    }

    public function test_bare_numbers_of_the_log_bar_are_in_the_units_chosen(): void
    {
        $this->putJson('/api/session/units', self::OTHER)->assertOk();
        $read = fn(string $line): array => $this->postJson('/api/systems/long-vat/log/meaning', ['line' => $line])
            ->assertOk()
            ->json();
        self::assertEqualsWithDelta(100 * 3.785411784, $read('wc 100')['change_l'], 1e-6);
        self::assertEqualsWithDelta(100.0, $read('wc 100l')['change_l'], 1e-6);
        self::assertEqualsWithDelta((8 * 453.59237) / 16, $read('feed 8')['feed_g'], 1e-6);
        self::assertEqualsWithDelta(220.0, $read('feed 220g')['feed_g'], 1e-6);
        self::assertSame('61', $read('t 16c')['readings'][0]['text']);
        $fault = $read('t 120')['faults'][0]['message'];
        self::assertStringContainsString('104 °F', $fault);
    }

    public function test_the_sheet_of_the_log_bar_says_what_the_line_means_to_this_person(): void
    {
        $this->putJson('/api/session/units', self::OTHER)->assertOk();
        $books = collect($this->getJson('/api/reference')->assertOk()->json('log'))->pluck('books', 'line');
        self::assertSame('a water change of 900 US gal', $books['wc 900']);
        self::assertSame('220 oz of feed', $books['feed 220']);
        $units = collect($this->getJson('/api/vocabulary')->json('parameters'))->firstWhere('id', 'temp_c')['units'];
        self::assertSame(['f', 'c'], array_column($units, 'id'));
    }

    public function test_a_refusal_speaks_the_units_too(): void
    {
        $this->putJson('/api/session/units', self::OTHER)->assertOk();
        $error = $this->putJson('/api/systems/long-vat/changes/' . strtoupper((string) Str::ulid()), [
            'litres' => '9000 US gal',
        ]);
        $error->assertUnprocessable();
        self::assertDoesNotMatchRegularExpression('/\d L\b/', (string) $error->getContent());
    }
}
