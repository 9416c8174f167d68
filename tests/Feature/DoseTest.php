<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Dose;
use App\Models\Role;
use Illuminate\Testing\TestResponse;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Conflicts;
use Tests\TestCase;

/**
 * What is given to the water: conflicts before amounts, whoever asks; courses across changes; charges; what stays in
 * the book.
 */
final class DoseTest extends TestCase
{
    use DosedBays;

    private const DOSE = '01JD00000000000000000000D1';

    private function charge(string $kind = 'zeolite', string $id = '01JD00000000000000000000Z1'): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/charges/{$id}", ['kind' => $kind, 'mass_g' => '1000']);
    }

    public function test_formalin_is_the_product_and_stands_as_published_split_by_bay_and_rounded_down(): void
    {
        // 25 mg/L is 25 µL/L of the 37 % solution: 125 mL in 5,000 L (Francis-Floyd, UF/IFAS VM77).
        $formalin = $this->bench('formalin', '&dose_mg_l=25');
        self::assertEqualsWithDelta(125, $formalin['amount'], 1e-6);
        self::assertSame(['50 mL (10 teaspoons)', '75 mL'], array_column($formalin['split'], 'text'));
        self::assertSame(['East', 'West'], array_column($formalin['split'], 'name'));
        self::assertArrayHasKey(
            'dose_mg_l',
            $this->bench('formalin', '&dose_mg_l=67')['bench']['errors'],
            'as formaldehyde it would be 2.7 times too much',
        );
        self::assertSame('99 mL', $this->bench('formalin', '&dose_mg_l=19.93')['measure']);
        self::assertStringContainsString(
            'in 10 L of system water: 12.5 mL to the litre',
            $this->bench('formalin', '&dose_mg_l=25&stock_l=10')['stock'],
        );
    }

    public function test_copper_goes_by_alkalinity_and_is_refused_in_soft_water(): void
    {
        // Total alkalinity / 100 (SRAC 410): 6 dKH is 107 mg/L, so 1.07 mg/L.
        self::assertEqualsWithDelta(1.0709 * 5, $this->bench('copper_sulfate')['amount'], 0.01);
        $this->log('kh 2', 'V2');
        $soft = $this->bench('copper_sulfate');
        self::assertSame('dose.copper_in_soft_water', $soft['refusals'][0]['code']);
        self::assertNull($soft['amount']);
        $this->give(['thing' => 'copper_sulfate'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['thing']]);
    }

    public function test_salt_and_zeolite_never_meet_from_either_side(): void
    {
        $this->charge()->assertOk();
        self::assertSame('dose.salt_with_zeolite', $this->bench('salt', '&target_g_l=3')['refusals'][0]['code']);
        $this->give(['thing' => 'salt', 'target_g_l' => '3', 'reason' => 'I insist'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['thing']]);
        $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1/out', [])->assertOk();
        $this->log('sa 0', 'V3');
        $this->give(['thing' => 'salt', 'target_g_l' => '3'])->assertOk();
        $this->log('sa 3', 'V4');
        $this->charge(id: '01JD00000000000000000000Z2')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['kind']]);
        self::assertNotEmpty($this->bench('zeolite')['refusals']);
    }

    public function test_no_pair_that_is_refused_can_be_booked_whoever_asks(): void
    {
        $agents = array_keys(Library::shipped()->agents()->agents);
        $extra = [
            'hydrogen_peroxide' => ['way' => 'bath', 'strength_pct' => '3'],
            'methylene_blue' => ['way' => 'bath'],
        ];
        $n = 0;
        $refused = 0;
        foreach ($agents as $first) {
            foreach ($agents as $second) {
                if (in_array('salt', [$first, $second], true) || $first === $second) {
                    continue;
                }
                Dose::query()->where('system_id', $this->system->id)->delete();
                $id = static fn(int $i): string => '01JD0000000000000000' . str_pad((string) $i, 6, '0', STR_PAD_LEFT);
                $this->give(['thing' => $first, 'reason' => 'first', ...$extra[$first] ?? []], $id(++$n))->assertOk();
                $verdict = (new Conflicts(Library::shipped()->agents()))->pair($second, $first)->verdict->value;
                $answer = $this->give(
                    ['thing' => $second, 'reason' => 'all the same', ...$extra[$second] ?? []],
                    $id(++$n),
                );
                if ($verdict === 'refused') {
                    self::assertSame(422, $answer->status(), "{$second} after {$first}");
                    $refused++;
                }
                self::assertSame(
                    $verdict === 'refused' ? 1 : 2,
                    Dose::query()->where('system_id', $this->system->id)->count(),
                    "{$second} after {$first}: {$verdict}",
                );
            }
        }
        self::assertGreaterThanOrEqual(10, $refused);
    }

    public function test_a_refusal_says_how_long_what_stands_in_the_way_takes_to_go(): void
    {
        $this->give(['thing' => 'formalin', 'dose_mg_l' => '15', 'reason' => 'flukes'])->assertOk();
        // Half of it is gone in 36 h, so a twentieth is left after 36 log2 20 = 156 h.
        self::assertStringContainsString(
            'about 6.5 days',
            $this->bench('potassium_permanganate')['refusals'][0]['text'],
        );
        $this->travel(3)->days();
        $this->log('t 20 do 8', 'V2');
        self::assertStringContainsString(
            'about 3.5 days',
            $this->bench('potassium_permanganate')['refusals'][0]['text'],
        );
        $this->travel(4)->days();
        $this->log('t 20 do 8', 'V3');
        self::assertSame([], $this->bench('potassium_permanganate')['refusals']);
    }

    public function test_conditions_are_met_or_overridden_with_a_reason_that_stays_in_the_book(): void
    {
        $this->charge('carbon')->assertOk();
        self::assertSame('dose.carbon_out', $this->bench('praziquantel')['conditions'][0]['code']);
        $this->give(['thing' => 'praziquantel'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['reason']]);
        $this->give(['thing' => 'praziquantel', 'met' => ['dose.carbon_out']])->assertOk();
        $over = $this->bench('praziquantel')['refusals'][0];
        self::assertSame('dose.on_top', $over['code']);
        self::assertStringContainsString('2.5 mg/L', $over['text']);
        $this->give(['thing' => 'praziquantel', 'reason' => 'once more'], '01JD00000000000000000000D2')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['thing']]);
        $this->give(
            ['thing' => 'copper_sulfate', 'reason' => 'the carbon is spent'],
            '01JD00000000000000000000D2',
        )->assertOk();
        $texts = array_column(
            $this->getJson('/api/systems/long-vat/book?kinds=doses')->assertOk()->json('entries'),
            'text',
        );
        self::assertStringContainsString('Given all the same: the carbon is spent.', implode(' ', $texts));
    }

    public function test_the_bench_knows_how_old_the_filter_is_and_what_else_lives_in_the_water(): void
    {
        $state = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/dose')->assertOk()->json('state'),
            'text',
            'label',
        );
        (new LayBuild())->lay($this->system, [
            'stages' => [
                [
                    'name' => 'Carrier',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 60,
                    'flow_l_h' => 2000,
                    'since' => now()->subDays(200)->toDateString(),
                ],
            ],
        ]);
        self::assertSame('Grown in: Carrier, the youngest stage, has run for 200 days', $state()['Filter']);
        (new LayBuild())->lay($this->system, [
            'stages' => [
                [
                    'name' => 'Shower',
                    'kind' => 'shower',
                    'medium' => 'small_carrier',
                    'media_l' => 60,
                    'flow_l_h' => 2000,
                    'since' => now()->subDays(12)->toDateString(),
                ],
            ],
        ]);
        self::assertSame('Shower, the youngest stage, has run for 12 days of about 42', $state()['Being seeded']);
        self::assertContains(
            'dose.bypass_seeded_filter',
            array_column($this->bench('praziquantel')['conditions'], 'code'),
        );

        $vessel = $this->getJson('/api/systems/long-vat')->json('build.vessels.0');
        self::assertFalse($vessel['invertebrates']);
        $this->putJson("/api/systems/long-vat/vessels/{$vessel['id']}", [
            'version' => $vessel['version'],
            'name' => 'East',
            'kind' => 'bay',
            'shape' => 'box',
            'length_m' => '2',
            'width_m' => '1',
            'depth_m' => '1',
            'invertebrates' => 'yes',
        ])->assertOk();
        self::assertSame('Snails, mussels or crayfish', $state()['With the fish']);
        self::assertSame('hazard.copper_sulfate.invertebrates', $this->bench('copper_sulfate')['refusals'][0]['code']);
        self::assertSame(
            ['People', 'Fish', 'Filter', 'Plants', 'Snails, mussels, crayfish'],
            array_column($this->bench('formalin')['about']['hazards'], 'to'),
        );
    }

    public function test_a_bath_has_a_clock_until_the_fish_are_out(): void
    {
        $this->give(['thing' => 'hydrogen_peroxide', 'way' => 'bath'])->assertUnprocessable();
        $this->give([
            'thing' => 'hydrogen_peroxide',
            'way' => 'bath',
            'strength_pct' => '3',
            'reason' => 'stood by',
        ])->assertOk();
        self::assertSame(
            ['bath', 60],
            [$this->getJson('/api/timers')->json('0.kind'), $this->getJson('/api/timers')->json('0.minutes')],
        );
        $this->putJson('/api/systems/long-vat/doses/' . self::DOSE . '/end')->assertOk();
        self::assertSame([], $this->getJson('/api/timers')->json());
    }

    public function test_a_dose_on_a_volume_corrected_since_is_flagged_in_the_book(): void
    {
        $this->give(['thing' => 'praziquantel'])->assertOk();
        $text = fn(): string => $this->getJson('/api/systems/long-vat/book?kinds=doses')->json('entries.0.text');
        self::assertStringContainsString('on 5,000 L', $text());
        self::assertStringNotContainsString('corrected', $text());
        $this->system
            ->vessels()
            ->where('name', 'East')
            ->update(['measures' => ['length_m' => 1, 'width_m' => 1, 'depth_m' => 1]]);
        self::assertStringContainsString(
            'The volume has since been corrected to 4,000 L: it was 25 % stronger than meant.',
            $text(),
        );
    }

    public function test_a_shut_bay_is_dosed_on_its_own_water(): void
    {
        self::assertCount(1, $this->getJson('/api/systems/long-vat/dose')->json('bodies'));
        $this->give(['thing' => 'praziquantel', 'body' => '01JD00000000000000000000XX'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['body']]);
    }

    public function test_a_binder_goes_by_the_label_on_the_shelf_and_by_the_ammonia_there_is(): void
    {
        self::assertContains('By its label', $this->bench('binder')['bench']['missing']);
        $good = fn(array $typed): TestResponse => $this->putJson('/api/goods/01JD00000000000000000000B1', [
            'name' => 'Binder',
            'kind' => 'binder',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'cap_ml' => '25',
            ...$typed,
        ]);
        $good([])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['label_binds_mg_l']]);
        $good(['label_binds_mg_l' => '1'])
            ->assertOk()
            ->assertJsonPath('goods.0.name', 'Binder');
        // 20 mL to 400 L for 1 mg/L; 5,000 L with 0.3 mg/L: 75 mL, three caps.
        self::assertSame('75 mL (3 caps)', $this->bench('binder')['measure']);
    }

    public function test_nitrite_is_shielded_by_as_much_salt_as_the_rule_says(): void
    {
        $this->log('sa 0', 'V7');
        // 10 × 0.4 − 0 mg/L of chloride at 60.66 %: 6.594 mg/L of salt in 5,000 L.
        self::assertEqualsWithDelta((4 / 0.6066) * 5, $this->bench('chloride_guard')['amount'], 0.05);
    }

    public function test_the_second_step_of_salt_knows_of_the_first_and_a_change_takes_its_share(): void
    {
        $this->log('sa 0', 'V8');
        $this->travel(1)->minutes();
        $step = fn(): array => $this->bench('salt', '&target_g_l=0.3%25&steps=3');
        self::assertEqualsWithDelta(5000, $step()['amount'], 1e-6, 'a third of 3 g/L in 5,000 L');
        self::assertSame('After 12 h: 5,000 g', $step()['bench']['steps'][1]);
        $this->give(['thing' => 'salt', 'target_g_l' => '3', 'steps' => '3'])->assertOk();
        $this->travel(1)->minutes();
        self::assertEqualsWithDelta(
            10000 / 3,
            $step()['amount'],
            60,
            'what is missing to 3 g/L in three steps more, weighed down',
        );
        $this->putJson('/api/systems/long-vat/changes/01JD00000000000000000000C2', [
            'kind' => 'batch',
            'change_pct' => '50',
        ])->assertOk();
        $this->travel(1)->minutes();
        self::assertEqualsWithDelta(
            12500 / 3,
            $step()['amount'],
            60,
            'half of the first gram has gone with the change',
        );
        $wash = $this->getJson('/api/systems/long-vat/courses')->assertOk()->json('washes.0');
        self::assertSame(['Salt', 'mg/L'], [$wash['name'], $wash['unit']]);
        self::assertEqualsWithDelta(500, (float) str_replace(',', '', $wash['left']), 1.0);
        $this->give(['thing' => 'salt', 'target_g_l' => '16'], '01JD00000000000000000000D5')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['target_g_l']]);
    }

    public function test_ammonia_read_after_a_binder_is_marked(): void
    {
        $this->give([
            'thing' => 'binder',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'label_binds_mg_l' => '1',
        ])->assertOk();
        $this->travel(3)->hours();
        $this->log('am .3', 'V9');
        $entries = $this->getJson('/api/systems/long-vat/book?kinds=tests')->assertOk()->json('entries');
        self::assertSame(['read with a binder in the water', ''], array_column($entries, 'text'));
        $this->getJson('/api/systems/long-vat')->assertJsonPath('advice.0.code', 'dose.bound_ammonia');
        $this->travel(3)->days();
        self::assertStringNotContainsString(
            'binder',
            json_encode($this->getJson('/api/systems/long-vat')->json('advice')),
        );
    }

    public function test_a_salt_dip_stands_apart_from_the_loop_on_its_own_water_and_goes_by_the_keepers_scale(): void
    {
        $this->charge()->assertOk();
        $dip = $this->bench('salt_dip', '&way=dip&volume_l=80&scale_g=25');
        // 20 g/L in 80 L; zeolite hangs in the loop, and the dip is not in it.
        self::assertSame(
            [[], 1600, '1,600 g', 5],
            [$dip['refusals'], (int) $dip['amount'], $dip['measure'], $dip['minutes']],
        );
        self::assertSame('1,575 g', $this->bench('salt_dip', '&way=dip&volume_l=79&scale_g=25')['measure']);
        $this->give(['thing' => 'salt_dip', 'way' => 'dip', 'volume_l' => '80'])
            ->assertOk()
            ->assertJsonPath('given.0.text', '1,600 g of salt dip, in a separate bath as a dip on 80 L');
        self::assertNull($this->getJson('/api/systems/long-vat/dose')->json('given.0.flag'));
        self::assertSame(5, $this->getJson('/api/timers')->json('0.minutes'));
    }

    public function test_an_agent_of_ones_own_goes_by_its_label_and_is_remembered_by_the_next(): void
    {
        $this->putJson('/api/goods/01JD00000000000000000000B2', [
            'name' => 'Pond powder',
            'kind' => 'agent',
            'label_ml' => '25',
            'label_treats_l' => '1000',
            'unit' => 'g',
        ])->assertOk();
        self::assertSame(
            '125 g',
            $this->bench('own_01JD00000000000000000000B2')['measure'],
            '25 g to 1,000 L, 5,000 L',
        );
        $this->give(['thing' => 'own_01JD00000000000000000000B2'])->assertOk();
        self::assertContains('dose.own_agent_in_water', array_column($this->bench('formalin')['conditions'], 'code'));
        $this->give(['thing' => 'formalin'], '01JD00000000000000000000D6')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['reason']]);
    }

    public function test_whoever_only_reads_gives_nothing(): void
    {
        $this->actingAs($this->person('vet@yard.example', Role::Reader));
        $this->give(['thing' => 'praziquantel'])->assertForbidden();
        $this->charge()->assertForbidden();
        self::assertNotNull($this->bench('praziquantel')['amount']);
    }
}
