<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What stands on the shelf: how strong, how old, how much is left of it, and what should be there. */
final class StockTest extends TestCase
{
    use DosedBays;

    private const DOSE = '01JD00000000000000000000D1';

    private function shelve(array $typed, string $id = '01JD00000000000000000000G1'): TestResponse
    {
        return $this->putJson("/api/goods/{$id}", $typed);
    }

    private function shelved(): array
    {
        return array_column($this->getJson('/api/shelf')->assertOk()->json('goods'), null, 'name');
    }

    public function test_a_dose_is_counted_off_the_shelf_and_back_on_it(): void
    {
        $this->shelve(['kind' => 'praziquantel', 'name' => 'Jar', 'amount' => '30', 'lot' => 'P-22'])->assertOk();
        $shelf = $this->bench('praziquantel')['shelf'];
        self::assertSame(['Jar', 'lot P-22', '30 g'], [$shelf['name'], $shelf['mark'], $shelf['left']]);
        // 2.5 mg/L of 5,000 L are 12.5 g; weighed to the gram that is 12, and three of them are more than there is.
        self::assertSame('30 g are left: the 3 doses of a course need 37 g, so it lasts for 2.', $shelf['says']);
        $this->give(['thing' => 'praziquantel', 'course' => 'yes'])->assertOk();
        $jar = $this->shelved()['Jar'];
        self::assertSame([17.5, now()->toDateString()], [$jar['amount'], $jar['opened_on']]);
        self::assertStringContainsString(
            'The 2 doses to come need 25 g at most, and only 17.5 g are left of Jar: enough for 1.',
            $this->getJson('/api/systems/long-vat/courses')->json('courses.0.shelf'),
        );
        $texts = implode(
            ' ',
            array_column($this->getJson('/api/systems/long-vat/book?kinds=doses')->json('entries'), 'text'),
        );
        self::assertStringContainsString('Jar, lot P-22', $texts);
        $this->deleteJson('/api/systems/long-vat/doses/' . self::DOSE)->assertOk();
        $this->deleteJson('/api/systems/long-vat/doses/' . self::DOSE)->assertOk();
        self::assertSame(30, $this->shelved()['Jar']['amount'], 'taken back once');
    }

    public function test_the_bench_takes_the_strength_of_what_stands_there_and_asks_about_what_went_off(): void
    {
        $this->shelve(['kind' => 'hydrogen_peroxide', 'name' => 'Peroxide'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['strength_pct']]);
        $this->shelve([
            'kind' => 'hydrogen_peroxide',
            'name' => 'Peroxide',
            'strength_pct' => '12',
            'expires_on' => now()->subDay()->toDateString(),
        ])->assertOk();
        $bench = $this->bench('hydrogen_peroxide', '&way=bath');
        // 50 mg/L of peroxide in 5,000 L are 250 g of it, 2,083 g of a 12 % solution.
        self::assertEqualsWithDelta(250 / 0.12, $bench['amount'], 0.1);
        self::assertContains('dose.expired', array_column($bench['conditions'], 'code'));
        self::assertSame('', $bench['shelf']['says'], 'nobody counts it');
        $this->shelve(
            ['kind' => 'hydrogen_peroxide', 'name' => 'Fresh peroxide', 'strength_pct' => '3', 'amount' => '5000'],
            '01JD00000000000000000000G2',
        )->assertOk();
        $bench = $this->bench('hydrogen_peroxide', '&way=bath');
        self::assertSame(
            ['Fresh peroxide', true, []],
            [$bench['shelf']['name'], $bench['shelf']['short'], $bench['conditions']],
        );
        self::assertSame('Only 5,000 g are left of it: too little.', $bench['shelf']['says']);
        $this->shelve(['kind' => 'sand', 'name' => 'Sand'], '01JD00000000000000000000G3')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
        $this->shelve(
            ['kind' => 'salt', 'name' => 'Sack', 'amount' => '-2', 'opened_on' => '2099-01-01'],
            '01JD00000000000000000000G3',
        )->assertUnprocessable();
    }

    public function test_the_shelf_says_what_this_site_should_have_ready(): void
    {
        $this->putJson('/api/systems/long-vat/fish/01JD00000000000000000000F1', [
            'name' => 'Koi',
            'count' => '6',
            'length_cm' => '45',
        ])->assertOk();
        $wanted = array_column($this->getJson('/api/shelf')->assertOk()->json('wanted'), 'stands', 'name');
        self::assertSame('missing', $wanted['Salt']);
        $this->shelve(['kind' => 'salt', 'name' => 'Sack', 'amount' => '25000'])->assertOk();
        self::assertSame('there', array_column($this->getJson('/api/shelf')->json('wanted'), 'stands', 'name')['Salt']);
    }

    public function test_charges_and_what_new_water_lacked_are_counted_off_the_shelf_as_well(): void
    {
        $this->shelve(['kind' => 'carbon', 'name' => 'Carbon', 'amount' => '1500'])->assertOk();
        $charge = fn(): TestResponse => $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1', [
            'kind' => 'carbon',
            'mass_g' => '1000',
        ]);
        $charge()->assertOk();
        $charge()->assertOk();
        self::assertSame(500, $this->shelved()['Carbon']['amount'], 'sent twice, put in once');

        $this->shelve(
            ['kind' => 'salt', 'name' => 'Sack', 'amount' => '25000'],
            '01JD00000000000000000000G2',
        )->assertOk();
        $this->putJson('/api/waters/01JD00000000000000000000W1', [
            'name' => 'Tap',
            'kind' => 'tap',
            'unit_name' => '',
        ])->assertOk();
        $this->putJson('/api/waters/01JD00000000000000000000W1/tests/01JD00000000000000000000T1', [
            'side' => 'raw',
            'readings' => ['alkalinity_mg_l' => ['typed' => '6', 'unit' => 'dkh']],
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/source', ['water' => '01JD00000000000000000000W1'])->assertOk();
        $this->log('sa 2', 'V2');
        $this->putJson('/api/systems/long-vat/changes/01JD00000000000000000000C1', [
            'kind' => 'batch',
            'change_l' => '1000',
            'water' => '01JD00000000000000000000W1',
        ])->assertOk();
        foreach ([1, 2] as $twice) {
            $this->putJson('/api/systems/long-vat/changes/01JD00000000000000000000C1/put-back/salt')->assertOk();
        }
        self::assertSame(23000, $this->shelved()['Sack']['amount'], '2 g/L for 1,000 L of new water, once');
    }
}
