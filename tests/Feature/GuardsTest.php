<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Good;
use Tests\TestCase;

/** Guards as a keeper meets them: on the pages, in the log bar and in what is booked. */
final class GuardsTest extends TestCase
{
    private const WATER = '01JD00000000000000000000W1';

    private int $n = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'tub',
                    'shape' => 'box',
                    'measures' => ['length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->read('am .3 ni .1 ph 7.6 t 19 do 9 kh 6 gh 8 sa 0');
    }

    private function key(): string
    {
        return '01JD0000000000000000G' . str_pad((string) ++$this->n, 5, '0', STR_PAD_LEFT);
    }

    private function read(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => $line])->assertCreated();
    }

    /** @param  array<string, string>  $readings */
    private function source(string $kind, array $readings, string $chloramine = 'no'): void
    {
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Mains',
            'kind' => $kind,
            'unit_name' => '',
        ])->assertOk();
        if ($readings !== []) {
            $this->putJson('/api/waters/' . self::WATER . "/tests/{$this->key()}", [
                'side' => 'raw',
                'chloramine' => $chloramine,
                'readings' => array_map(
                    static fn(string $typed): array => ['typed' => $typed, 'unit' => null],
                    $readings,
                ),
            ])->assertOk();
        }
        $this->putJson('/api/systems/long-vat/source', ['water' => self::WATER])->assertOk();
    }

    /** @return array<string, array<string, mixed>> what the new water is to be given, by what it is */
    private function lacks(string $query = '?change_l=500'): array
    {
        $change = $this->getJson("/api/systems/long-vat/water{$query}")
            ->assertOk()
            ->json('change');

        return array_column($change['put_back'], null, 'what');
    }

    public function test_thiosulfate_on_chloramine_brings_the_binder_for_what_it_sets_free(): void
    {
        $this->source('tap', ['chlorine_mg_l' => '2', 'no3_n_mg_l' => '5'], 'yes');
        $lacks = $this->lacks();
        // 2 mg/L in 500 L are 1 g, 7.0 g a gram; 0.1975 g of ammonia a gram leave 0.4 mg/L.
        self::assertEqualsWithDelta(7.0, $lacks['conditioner']['figure']['value'], 0.01);
        self::assertEqualsWithDelta(0.395, $lacks['binder']['figure']['value'], 0.001);
        $this->putJson("/api/goods/{$this->key()}", [
            'kind' => 'binder',
            'name' => 'Can',
            'label_ml' => '20',
            'label_treats_l' => '400',
            'label_binds_mg_l' => '1',
        ])->assertOk();
        self::assertEqualsWithDelta((0.395 * 20 * 500) / 400, $this->lacks()['binder']['figure']['value'], 0.01);
    }

    public function test_mains_water_nobody_tested_is_not_taken_as_free_of_chlorine_and_a_well_is(): void
    {
        $this->source('tap', ['no3_n_mg_l' => '5']);
        self::assertStringContainsString('nobody tested', $this->lacks()['conditioner']['text']);
        // As if it held 1 mg/L: 0.5 g, 7.0 g a gram.
        self::assertEqualsWithDelta(3.5, $this->lacks()['conditioner']['figure']['value'], 0.01);
        $this->source('well', ['no3_n_mg_l' => '5']);
        self::assertArrayNotHasKey('conditioner', $this->lacks());
    }

    public function test_a_conditioner_is_never_less_than_its_label(): void
    {
        $this->source('tap', ['chlorine_mg_l' => '0.6', 'no3_n_mg_l' => '5']);
        $this->putJson("/api/goods/{$this->key()}", [
            'kind' => 'conditioner',
            'name' => 'Bottle',
            'label_ml' => '50',
            'label_treats_l' => '100',
            'label_chlorine_mg_l' => '1',
        ])->assertOk();
        self::assertEqualsWithDelta(250.0, $this->lacks()['conditioner']['figure']['value'], 1e-6);
    }

    public function test_a_change_by_the_log_bar_is_told_what_its_water_lacks(): void
    {
        $this->source('tap', ['chlorine_mg_l' => '1', 'no3_n_mg_l' => '5']);
        $this->read('wc 30%');
        $booked = $this->getJson('/api/systems/long-vat/water')->json('changes.0');
        self::assertStringContainsString('600 L', $booked['text']);
        self::assertContains('conditioner', array_column($booked['put_back'], 'what'));
    }

    public function test_a_trickle_of_chlorinated_water_is_refused_until_what_takes_it_out_is_named(): void
    {
        $this->source('tap', ['chlorine_mg_l' => '0.5', 'no3_n_mg_l' => '5']);
        $open = fn(array $more): \Illuminate\Testing\TestResponse => $this->putJson(
            "/api/systems/long-vat/trickles/{$this->key()}",
            ['pct_per_week' => '10', 'water' => self::WATER, ...$more],
        );
        $open([])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['treated_by']]);
        // A day's water takes what a change of as much would.
        $this->read('na 20');
        $day = $this->getJson('/api/systems/long-vat/water?pct_per_week=10')->json('trickle');
        self::assertNotSame([], $day['day_takes']);
        self::assertEqualsWithDelta(
            array_values($this->lacks('?change_l=' . round($day['litres'], 2)))[0]['figure']['value'],
            $day['day_takes'][0]['figure']['value'],
            0.01 * $day['day_takes'][0]['figure']['value'],
        );
        $open(['treated_by' => 'carbon train, 10 L'])->assertOk();
        self::assertNotNull($this->getJson('/api/systems/long-vat/water')->json('running'));
        $this->source('tap', ['chlorine_mg_l' => '0', 'no3_n_mg_l' => '5']);
        $open([])->assertOk();
    }

    public function test_a_float_valve_on_chlorinated_water_is_a_danger_until_its_treatment_is_named(): void
    {
        $this->source('tap', []);
        $this->system->vessels()->update(['float_valve' => true]);
        $codes = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/plumbing')->json('cautions'),
            'code',
        );
        self::assertContains('exchange.float_valve_with_chlorine', $codes());
        $this->putJson('/api/waters/' . self::WATER, [
            'name' => 'Mains',
            'kind' => 'tap',
            'unit_name' => 'Carbon, 20 L',
        ])->assertOk();
        self::assertNotContains('exchange.float_valve_with_chlorine', $codes());
    }

    public function test_what_was_not_put_in_after_all_goes_back_on_the_shelf(): void
    {
        $this->source('tap', ['chlorine_mg_l' => '1', 'no3_n_mg_l' => '5']);
        foreach (['thiosulfate' => '100', 'zeolite' => '2000'] as $kind => $amount) {
            $this->putJson("/api/goods/{$this->key()}", [
                'kind' => $kind,
                'name' => $kind,
                'amount' => $amount,
            ])->assertOk();
        }
        $left = static fn(string $kind): float => (float) Good::query()->where('kind', $kind)->value('amount');
        $change = $this->key();
        $this->putJson("/api/systems/long-vat/changes/{$change}", [
            'kind' => 'batch',
            'change_l' => '500',
            'water' => self::WATER,
        ])->assertOk();
        $this->putJson("/api/systems/long-vat/changes/{$change}/put-back/conditioner")->assertOk();
        self::assertEqualsWithDelta(96.5, $left('thiosulfate'), 0.01);
        $this->deleteJson("/api/systems/long-vat/changes/{$change}/put-back/conditioner")->assertOk();
        self::assertEqualsWithDelta(100.0, $left('thiosulfate'), 1e-6);
        $this->deleteJson("/api/systems/long-vat/changes/{$change}/put-back/conditioner")->assertOk();
        self::assertEqualsWithDelta(100.0, $left('thiosulfate'), 1e-6, 'once and no more');

        $charge = $this->key();
        $this->putJson("/api/systems/long-vat/charges/{$charge}", ['kind' => 'zeolite', 'mass_g' => '900'])->assertOk();
        self::assertEqualsWithDelta(1100.0, $left('zeolite'), 1e-6);
        $this->deleteJson("/api/systems/long-vat/charges/{$charge}")
            ->assertOk()
            ->assertJsonCount(0, 'charges');
        self::assertEqualsWithDelta(2000.0, $left('zeolite'), 1e-6);
    }

    public function test_salt_read_where_zeolite_hangs_is_a_danger_by_itself(): void
    {
        $this->putJson("/api/systems/long-vat/charges/{$this->key()}", [
            'kind' => 'zeolite',
            'mass_g' => '900',
        ])->assertOk();
        $state = fn(): ?string => $this->getJson('/api/systems/long-vat')->json('water.state');
        $before = $state();
        $this->travel(1)->hours();
        $this->read('sa 0.05');
        self::assertSame($before, $state(), 'what two readings cannot tell apart is no rise');
        $this->travel(1)->hours();
        $this->read('sa 0.2');
        self::assertSame('act', $state(), 'any rise with a loaded charge');
        $this->read('sa 4');
        self::assertSame('act', $state());
        self::assertContains(
            'overdose',
            array_column($this->getJson('/api/systems/long-vat/trouble')->json('causes'), 'id'),
        );
    }

    public function test_an_agent_of_ones_own_is_not_given_on_top_of_itself_and_another_on_a_condition(): void
    {
        $ids = [];
        foreach (['First', 'Second'] as $name) {
            $ids[$name] = $this->key();
            $this->putJson("/api/goods/{$ids[$name]}", [
                'kind' => 'agent',
                'name' => $name,
                'unit' => 'mL',
                'label_ml' => '10',
                'label_treats_l' => '200',
            ])->assertOk();
        }
        $give = fn(string $name): \Illuminate\Testing\TestResponse => $this->putJson(
            "/api/systems/long-vat/doses/{$this->key()}",
            ['thing' => "own_{$ids[$name]}", 'reason' => 'by its label', 'again' => 'yes'],
        );
        $give('First')->assertOk();
        $this->travel(1)->hours();
        self::assertContains('dose.same_agent_in_water', $give('First')->assertUnprocessable()->json('codes'));
        $page = $this->getJson("/api/systems/long-vat/dose?thing=own_{$ids['Second']}")->json('thing');
        self::assertContains('dose.own_agent_in_water', array_column($page['conditions'], 'code'));
        self::assertSame([], $page['refusals']);
    }

    public function test_a_culture_goes_by_its_own_label_and_by_no_other(): void
    {
        $this->putJson("/api/goods/{$this->key()}", [
            'kind' => 'conditioner',
            'name' => 'Bottle',
            'label_ml' => '50',
            'label_treats_l' => '100',
        ])->assertOk();
        $culture = fn(): array => $this->getJson('/api/systems/long-vat/dose?thing=culture')->json('thing');
        self::assertNull($culture()['amount'], 'nothing is borrowed from another bottle');
        $this->putJson("/api/goods/{$this->key()}", [
            'kind' => 'culture',
            'name' => 'Culture',
            'label_ml' => '10',
            'label_treats_l' => '1000',
        ])->assertOk();
        self::assertEqualsWithDelta(20.0, $culture()['amount'], 1e-9);
    }

    public function test_a_limit_of_nothing_does_not_block_every_dose(): void
    {
        $this->putJson('/api/systems/long-vat/limits/nh3_n_mg_l', [
            'above' => ['watch' => '0', 'act' => '0', 'emergency' => '0'],
            'reason' => 'none at all',
        ])->assertOk();
        $page = $this->getJson(
            '/api/systems/long-vat/dose?thing=bicarbonate&target_alkalinity_mg_l=7&agent=sodium_bicarbonate',
        );
        self::assertSame([], (array) $page->json('thing.bench.errors'));
        $this->putJson("/api/systems/long-vat/doses/{$this->key()}", [
            'thing' => 'salt',
            'target_g_l' => '0.5',
        ])->assertOk();
    }

    public function test_chloride_enough_asks_for_nothing_and_orders_nothing_out(): void
    {
        $this->read('ni .3 sa 1');
        $page = $this->getJson('/api/systems/long-vat/dose?thing=chloride_guard')->json('thing');
        self::assertSame([[], []], [$page['refusals'], $page['conditions']]);
        self::assertContains('dose.chloride_guard_enough', array_column($page['bench']['cautions'], 'code'));
        self::assertContains(
            'dose.nothing_to_give',
            $this->putJson("/api/systems/long-vat/doses/{$this->key()}", ['thing' => 'chloride_guard'])
                ->assertUnprocessable()
                ->json('codes'),
        );
    }

    public function test_salt_against_nitrite_is_worked_out_where_nobody_measured_salt(): void
    {
        $system = $this->systemOf($this->owner->site, 'Other', 'other');
        (new LayBuild())->lay($system, [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'tub',
                    'shape' => 'box',
                    'measures' => ['length_m' => 1, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->postJson('/api/systems/other/log', [
            'id' => $this->key(),
            'line' => 'ni 4 t 19 ph 7.5',
        ])->assertCreated();
        $page = $this->getJson('/api/systems/other/dose?thing=chloride_guard')->json('thing');
        // SRAC 462: 40 mg/L of chloride are 65.9 of salt, in 1,000 L.
        self::assertEqualsWithDelta(40 / 0.6066, $page['amount'], 0.1);
        self::assertContains('dose.chloride_guard_chloride_unknown', array_column($page['bench']['cautions'], 'code'));
    }
}
