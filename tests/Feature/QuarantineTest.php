<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FishGroup;
use App\Models\System;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** New fish are held: the days from the last that came, what keeps the gate shut, and a reason where it is not kept. */
final class QuarantineTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    private FishGroup $koi;

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 09:00');
        $this->laid();
        $this->system->update(['kind' => 'quarantine']);
        $this->koi = $this->group('Shipment', '2026-06-01');
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function group(string $name, string $arrived): FishGroup
    {
        return FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => $name,
            'count' => 12,
            'length_cm' => 30,
            'condition' => 1.5,
            'arrived_on' => $arrived,
            'position' => 0,
        ]);
    }

    /** @return array<string, mixed> */
    private function held(): array
    {
        return $this->getJson('/api/systems/long-vat/quarantine')->assertOk()->json();
    }

    /** @return list<string> */
    private function missing(): array
    {
        return array_values(
            array_filter(
                array_map(
                    static fn(array $one): ?string => $one['missing']['code'] ?? null,
                    $this->held()['conditions'],
                ),
            ),
        );
    }

    private function look(string $seen): void
    {
        $this->putJson('/api/systems/long-vat/notes/' . self::key(), ['seen' => [$seen]])->assertOk();
    }

    private function go(string $kind, array $typed): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/fish/{$this->koi->id}/{$kind}/" . self::key(), $typed);
    }

    public function test_days_are_counted_from_the_last_fish_that_came(): void
    {
        self::assertSame([0, 21, 21], [$this->held()['day'], $this->held()['days'], $this->held()['days_left']]);
        $this->travelTo('2026-06-11 09:00');
        self::assertSame([10, 11], [$this->held()['day'], $this->held()['days_left']]);
        $calendar = fn(): array => collect($this->getJson('/api/calendar')->assertOk()->json('days'))
            ->mapWithKeys(
                static fn(array $day): array => [
                    $day['day'] => array_filter(
                        $day['items'],
                        static fn(array $one): bool => $one['kind'] === 'quarantine',
                    ),
                ],
            )
            ->filter()
            ->keys()
            ->all();
        self::assertSame(['2026-06-22'], $calendar());
        // One more fish into the same water starts it again, also one that was moved here.
        $other = $this->systemOf($this->site, 'Tub', 'tub');
        $one = FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $other->id,
            'name' => 'Straggler',
            'count' => 1,
            'length_cm' => 40,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $this->putJson("/api/systems/tub/fish/{$one->id}/moved/" . self::key(), [
            'count' => '1',
            'to' => 'long-vat',
            'reason' => 'found in the tub',
        ])->assertOk();
        self::assertSame([0, '2026-06-11'], [$this->held()['day'], $this->held()['since']]);
    }

    public function test_a_protocol_of_ones_own_and_what_is_looked_for(): void
    {
        $put = fn(array $typed): TestResponse => $this->putJson('/api/systems/long-vat/quarantine', $typed);
        $put(['days' => '10', 'life_cycle' => 'none'])->assertOk();
        self::assertSame(
            [10, 'protocol', true],
            [$this->held()['days'], $this->held()['limiting'], $this->held()['set']],
        );
        // At 20 °C fish lice take 40 days by the table.
        $put(['days' => '10', 'life_cycle' => 'fish_lice'])->assertOk();
        self::assertSame([40, 'life_cycle'], [$this->held()['days'], $this->held()['limiting']]);
        $put(['days' => '-1', 'life_cycle' => 'none'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['days']]);
        $put(['days' => '5', 'life_cycle' => 'dragons'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['life_cycle']]);
        self::assertSame('fish_lice', $this->held()['life_cycle']);
    }

    public function test_the_gate_is_left_early_only_with_a_reason_and_opens_when_all_is_met(): void
    {
        $other = $this->systemOf($this->site, 'Pond', 'pond');
        $this->postJson('/api/systems/pond/log', ['id' => self::key(), 'line' => 'am 0 ni 0 na 5 ph 7.6 t 20']);
        self::assertSame(['arrival.gate_days', 'arrival.gate_tests_bad', 'arrival.gate_not_looked'], $this->missing());
        $page = $this->getJson('/api/systems/long-vat/fish/move?to=pond')->assertOk();
        self::assertTrue($page->json('why'));
        self::assertContains('arrival.gate_days', array_column($page->json('says'), 'code'));
        foreach (['moved' => ['to' => 'pond'], 'sold' => []] as $kind => $typed) {
            $this->go($kind, [...$typed, 'count' => '2'])
                ->assertUnprocessable()
                ->assertJsonPath('codes.0', 'arrival.gate_say_why')
                ->assertJsonStructure(['errors' => ['reason']]);
        }
        self::assertSame(12, $this->koi->refresh()->count);
        // What has happened is booked, and dying is no leave that one asks for.
        $this->go('moved', ['to' => 'pond', 'count' => '2', 'reason' => 'tub leaked'])->assertOk();
        $this->go('lost', ['count' => '1'])->assertOk();
        self::assertContains('arrival.gate_losses', $this->missing());

        $this->travelTo('2026-06-22 09:00');
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::key(),
            'line' => 'am 0 ni 0 na 5 ph 7.6 t 20 do 8',
        ]);
        self::assertSame(['arrival.gate_not_looked'], $this->missing());
        $this->look('flashing');
        self::assertSame(['arrival.gate_signs'], $this->missing());
        $this->travelTo('2026-06-30 09:00');
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::key(),
            'line' => 'am 0 ni 0 na 5 ph 7.6 t 20 do 8',
        ]);
        $this->look('fed well');
        self::assertSame([], $this->missing());
        self::assertTrue($this->held()['open']);
        $this->go('sold', ['count' => '2'])->assertOk();
    }

    public function test_several_deaths_shut_it_whatever_the_day(): void
    {
        $this->travelTo('2026-08-01 09:00');
        $this->go('lost', ['count' => '3'])->assertOk();
        self::assertSame('arrival.gate_shut', $this->held()['shut']['code'] ?? null);
        self::assertFalse($this->held()['open']);
    }

    public function test_it_is_said_before_a_move_that_the_fish_held_there_begin_again(): void
    {
        $other = $this->systemOf($this->site, 'Tub', 'tub');
        $codes = fn(string $from, string $to): array => array_column(
            $this->getJson("/api/systems/{$from}/fish/move?to={$to}")
                ->assertOk()
                ->json('says'),
            'code',
        );
        self::assertContains('arrival.starts_again', $codes('tub', 'long-vat'));
        self::assertNotContains('arrival.starts_again', $codes('long-vat', 'tub'));
        FishGroup::query()
            ->where('system_id', $this->system->id)
            ->update(['count' => 0]);
        self::assertNotContains('arrival.starts_again', $codes('tub', 'long-vat'));
        self::assertSame(0, $other->fish()->count());
    }

    public function test_a_sign_that_spreads_shuts_it_too(): void
    {
        $look = fn(int $count): TestResponse => $this->putJson('/api/systems/long-vat/looks/' . self::key(), [
            'group' => $this->koi->id,
            'signs' => [['sign' => 'white spots', 'count' => $count, 'severity' => 1]],
        ])->assertOk();
        $look(1);
        self::assertNull($this->held()['shut']);
        $this->travelTo('2026-06-03 09:00');
        $look(3);
        self::assertSame('arrival.gate_spreads', $this->held()['shut']['code']);
        $this->travelTo('2026-06-05 09:00');
        $look(3);
        self::assertNull($this->held()['shut']);
    }

    public function test_a_hospital_says_what_a_fish_needs_and_when_it_may_go_back(): void
    {
        $pond = $this->systemOf($this->site, 'Pond', 'pond');
        $this->postJson('/api/systems/pond/log', ['id' => self::key(), 'line' => 'ph 7.6 t 20']);
        System::query()
            ->whereKey($this->system->id)
            ->update(['kind' => 'hospital']);
        $patient = FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $pond->id,
            'name' => 'Patient',
            'count' => 1,
            'length_cm' => 50,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $move = ['to' => 'long-vat', 'count' => '1', 'reason' => 'ulcer'];
        $this->putJson("/api/systems/pond/fish/{$patient->id}/moved/" . self::key(), $move)->assertOk();
        $codes = fn(): array => array_column($this->held()['says'], 'code');
        self::assertSame(
            ['arrival.hospital_room', 'arrival.hospital_salt_unknown', 'arrival.hospital_oxygen'],
            array_slice($codes(), 0, 3),
        );
        $this->postJson('/api/systems/long-vat/log', ['id' => self::key(), 'line' => 'am 0 ni 0 na 5 t 24 sa 1 do 6']);
        self::assertSame(['arrival.hospital_salt', 'arrival.hospital_oxygen_low'], array_slice($codes(), 1, 2));
        // 2 g/L more in 5,000 L
        self::assertStringContainsString('10,000 g', $this->held()['says'][1]['text']);
        $this->look('ulcer');
        self::assertSame(['arrival.gate_signs', 'arrival.back_apart'], $this->missing());
        $this->go('moved', ['to' => 'pond', 'count' => '1'])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'arrival.back_say_why');
        $this->travelTo('2026-06-20 09:00');
        $this->postJson('/api/systems/long-vat/log', ['id' => self::key(), 'line' => 'am 0 ni 0 na 5 t 20 do 8']);
        $this->look('fed well');
        self::assertTrue($this->held()['open']);
    }

    public function test_all_are_moved_at_once_for_winter_and_the_loops_sleep_and_wake(): void
    {
        System::query()
            ->whereKey($this->system->id)
            ->update(['kind' => 'display']);
        $this->group('Old', '2025-06-01');
        $barn = $this->systemOf($this->site, 'Barn', 'barn');
        $barn->update(['asleep_since' => '2026-03-01']);
        $single = $this->putJson('/api/systems/long-vat/singles/' . ($lady = self::key()), [
            'name' => 'Lady',
            'group' => $this->koi->id,
        ]);
        $single->assertOk();
        $move = ['to' => 'barn', 'reason' => 'winter', 'sleep' => true, 'wake' => true];
        $id = self::key();
        $this->putJson("/api/systems/long-vat/moves/{$id}", $move)->assertOk();
        $this->putJson("/api/systems/long-vat/moves/{$id}", $move)->assertOk();
        self::assertSame([12, 12], $barn->fish()->orderBy('position')->pluck('count')->all());
        self::assertSame(0, (int) $this->system->fish()->sum('count'));
        self::assertNotNull($this->system->refresh()->asleep_since);
        self::assertNull($barn->refresh()->asleep_since);
        self::assertSame($lady, $this->getJson('/api/systems/barn/singles')->json('fish.0.id'));
        // And out again, as the same groups.
        $this->putJson('/api/systems/barn/moves/' . self::key(), [
            'to' => 'long-vat',
            'reason' => 'spring',
            'wake' => true,
        ])->assertOk();
        self::assertSame(24, (int) $this->system->fish()->sum('count'));
        self::assertNull($this->system->refresh()->asleep_since);
        $this->putJson('/api/systems/long-vat/moves/' . self::key(), ['to' => 'nowhere'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['to']]);
    }

    public function test_a_protocol_says_how_the_temperature_is_held_and_what_a_cut_does(): void
    {
        $protocol = [
            'days' => '21',
            'hold_c' => '24',
            'c_a_day' => '2',
            'air_c' => '10',
            'treating' => 'salt',
            'own_nets' => true,
        ];
        $this->putJson('/api/systems/long-vat/quarantine', $protocol)->assertOk();
        $held = $this->held();
        self::assertSame(
            [24, 2, true, false],
            [$held['hold_c'], $held['c_a_day'], $held['own_nets'], $held['footbath']],
        );
        self::assertSame(
            [
                'arrival.hold_ramp',
                'arrival.hold_heat_alone',
                'arrival.hold_no_heater',
                'arrival.hold_cut',
                'arrival.treat_salt',
                'arrival.tools_own',
                'arrival.footbath_missing',
                'arrival.visit_last',
            ],
            array_column($held['says'], 'code'),
        );
        // Tests a day are due on every page, and by the usual plan again where none are asked for.
        $every = fn(): ?float => collect($this->getJson('/api/systems/long-vat')->json('schedule.tests'))->firstWhere(
            'parameter',
            'tan_mg_l',
        )['every_h'] ?? null;
        $usual = $every();
        $this->putJson('/api/systems/long-vat/quarantine', [...$protocol, 'tests_a_day' => '4'])->assertOk();
        self::assertEquals(6, $every());
        $this->putJson('/api/systems/long-vat/quarantine', [...$protocol, 'tests_a_day' => '0'])->assertOk();
        self::assertSame($usual, $every());
        // Four degrees at two a day.
        self::assertStringContainsString('2 days', $held['says'][0]['text']);
        $this->putJson('/api/systems/long-vat/quarantine', [...$protocol, 'hold_c' => '60'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['hold_c']]);
    }

    public function test_other_waters_have_no_gate(): void
    {
        System::query()
            ->whereKey($this->system->id)
            ->update(['kind' => 'holding']);
        $this->go('sold', ['count' => '2'])->assertOk();
    }

    public function test_a_bag_is_judged_before_it_is_opened_and_dripped_no_faster_than_fish_stand(): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => self::key(), 'line' => 'ph 7.6 t 20 sa 0 na 20']);
        $bag = fn(array $typed): TestResponse => $this->getJson(
            '/api/systems/long-vat/arrivals?' . http_build_query($typed),
        )->assertOk();
        self::assertNull($bag([])->json('bag'));

        // Ammonia that turns: no drip is told.
        $bad = $bag(['litres' => '20', 'temp_c' => '20', 'ph' => '6.4', 'tan_mg_l' => '8', 'kh' => '4.48']);
        self::assertTrue($bad->json('turns'));
        self::assertNull($bad->json('drip'));
        self::assertSame('arrival.bag_turns', $bad->json('cautions.0.code'));
        self::assertEqualsWithDelta(0.88, $bad->json('bag.nh3_aired_mg_l'), 0.01);

        // A clean one is dripped: five degrees at two an hour in 20 L.
        $clean = ['litres' => '20', 'temp_c' => '15', 'ph' => '7.5', 'tan_mg_l' => '0'];
        $good = $bag($clean);
        self::assertFalse($good->json('turns'));
        self::assertEqualsWithDelta(20 / 60 / 2.5, $good->json('drip.drip_l_min.value'), 1e-9);
        self::assertEqualsWithDelta(20 * 1.5, $good->json('drip.added_l.value'), 1e-9);
        self::assertSame('Temperature', $good->json('drip.limiting'));
        self::assertSame('arrival.drip_too_fast', $bag([...$clean, 'drip_l_min' => '2'])->json('drip.cautions.0.code'));

        // Out of soft water without nitrate into ours: days apart, matched first.
        $far = $bag([...$clean, 'temp_c' => '20', 'no3_mg_l' => '65']);
        self::assertTrue($far->json('drip.match_first'));
        self::assertNull($far->json('drip.minutes'));

        // What nobody measured is reckoned, and said to be.
        $unread = $bag(['litres' => '20', 'kg' => '3', 'hours' => '10', 'temp_c' => '18']);
        self::assertGreaterThan(1.0, $unread->json('reckoned.tan_mg_l'));
        self::assertLessThan(7.0, $unread->json('reckoned.ph'));
        $bag(['litres' => 'lots'])->assertJsonStructure(['errors' => ['litres']]);
    }
}
