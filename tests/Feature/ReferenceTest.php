<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** The sheets that hang in the shed say what the tables in force say. */
final class ReferenceTest extends TestCase
{
    public function test_the_sheets_come_from_the_tables_that_judge_and_dose(): void
    {
        $this->getJson('/api/reference')->assertUnauthorized();
        $this->actingAs($this->owner);
        $sheets = $this->getJson('/api/reference')->assertOk()->json();

        $stages = array_flip($sheets['stages']);
        $ammonia = collect($sheets['limits'])->firstWhere('name', 'Ammonia');
        self::assertSame('0.25 · 0.5 · 2', $ammonia['lines'][$stages['Adult koi']]);
        self::assertSame('0.15 · 0.3 · 1', $ammonia['lines'][$stages['Fry']]);
        // Salt too low is nobody's danger: a side without lines has no row.
        self::assertSame(['over'], collect($sheets['limits'])->where('name', 'Salt')->pluck('side')->all());

        $never = collect($sheets['chemicals'])->pluck('never_with', 'name');
        self::assertContains('Potassium permanganate', $never['Formalin']);
        self::assertContains('Formalin', $never['Potassium permanganate']);
        self::assertNotContains('Formalin', $never['Formalin']);
        self::assertContains(['line' => 'wc 10%', 'books' => 'a water change of a tenth'], $sheets['log']);
    }

    public function test_a_refused_dose_says_what_it_will_be_once_what_stands_against_it_is_gone(): void
    {
        $this->actingAs($this->owner);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => '01JD00000000000000000000B1',
            'line' => 'am .05 ph 7.6 t 18 do 8 kh 6',
        ])->assertCreated();
        $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1', [
            'kind' => 'zeolite',
            'mass_g' => '900',
        ])->assertOk();
        $typed = http_build_query(['typed' => ['thing' => 'salt', 'target_g_l' => '3', 'now_g_l' => '0']]);
        $refused = $this->getJson("/api/systems/long-vat/dose?{$typed}")
            ->assertOk()
            ->json('thing');
        self::assertSame(['dose.salt_with_zeolite'], array_column($refused['refusals'], 'code'));
        self::assertNull($refused['amount']);

        $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1/out', [
            'regenerated' => 'no',
        ])->assertOk();
        $given = $this->getJson("/api/systems/long-vat/dose?{$typed}")
            ->assertOk()
            ->json('thing');
        self::assertNull($given['later']);
        self::assertStringContainsString($given['measure'], (string) $refused['later']);
    }
}
