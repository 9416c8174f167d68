<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FishEvent;
use App\Models\FishGroup;

use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A shipment from the door into the water: its bags, their drip, who died of it, and what it does to the loop. */
final class ArrivalTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    private string $shipment;

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 09:00');
        $this->laid();
        $this->system->update(['kind' => 'quarantine']);
        $this->log('am 0 ni 0 na 5 ph 7.6 t 20 do 8 sa 0');
        $this->shipment = self::key();
        $this->ship(['from_whom' => 'Reed Farm', 'hours' => '8', 'boxes' => '2'])->assertOk();
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function log(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => self::key(), 'line' => $line])->assertCreated();
    }

    private function ship(array $typed, ?string $id = null): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/shipments/' . ($id ?? $this->shipment), $typed);
    }

    private function bag(array $typed, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/shipments/{$this->shipment}/bags/" . ($id ?? self::key()), [
            'name' => 'June koi',
            'count' => '6',
            'length_cm' => '30',
            'litres' => '20',
            ...$typed,
        ]);
    }

    /** A bag that may be dripped: five degrees colder, and nothing in it. */
    private function clean(?string $id = null): string
    {
        $id ??= self::key();
        $this->bag(['temp_c' => '15', 'ph' => '7.5', 'tan_mg_l' => '0'], $id)->assertOk();

        return $id;
    }

    private function bags(string $id, string $rest, array $typed = []): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/bags/{$id}/{$rest}", $typed);
    }

    public function test_a_shipment_and_its_bags_are_told_with_the_hours_they_were_closed(): void
    {
        $this->travelTo('2026-06-01 10:30');
        $page = $this->bag(['temp_c' => '18'])->assertOk();
        self::assertSame('Reed Farm', $page->json('shipments.0.from_whom'));
        self::assertEqualsWithDelta(9.5, $page->json('shipments.0.bags.0.hours'), 1e-9);
        // 6 × 1.5 × 30³ / 100 g
        self::assertEqualsWithDelta(2.43, $page->json('shipments.0.bags.0.kg'), 1e-9);
        // What nobody measured is reckoned from just these.
        $asked = http_build_query(['litres' => '20', 'kg' => '2.43', 'hours' => '9.5', 'temp_c' => '18']);
        self::assertEqualsWithDelta(
            $this->getJson("/api/systems/long-vat/arrivals?{$asked}")->json('reckoned.tan_mg_l'),
            $page->json('shipments.0.bags.0.answer.reckoned.tan_mg_l'),
            1e-9,
        );
        $this->ship(['from_whom' => ''], self::key())
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['from_whom']]);
        $this->bag(['count' => '2.5'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['count']]);
        $this->bag(['ph' => '12'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['ph']]);
    }

    public function test_a_shipment_that_is_sent_again_or_put_right_has_not_come_anew(): void
    {
        $came = $this->getJson('/api/systems/long-vat/shipments')->json('shipments.0.arrived_at');
        $this->travel(3)->hours();
        $again = ['from_whom' => 'Reed Farm', 'hours' => '9', 'boxes' => '2'];
        $page = $this->ship($again)->assertJsonPath('shipments.0.arrived_at', $came);
        self::assertEqualsWithDelta(9.0, now()->parse($page->json('shipments.0.packed_at'))->diffInHours($came), 1e-3);
        $earlier = now()->subHours(5)->startOfSecond()->toIso8601ZuluString();
        $this->ship([...$again, 'arrived_at' => $earlier])->assertJsonPath('shipments.0.arrived_at', $earlier);
    }

    public function test_a_drip_has_a_clock_and_a_bag_whose_ammonia_turns_has_none(): void
    {
        $bad = self::key();
        $this->bag(['temp_c' => '20', 'ph' => '6.4', 'tan_mg_l' => '8', 'kh' => '4.48'], $bad)
            ->assertOk()
            ->assertJsonPath('shipments.0.bags.0.answer.turns', true);
        $this->bags($bad, 'drip')->assertUnprocessable()->assertJsonPath('codes.0', 'arrival.drip_turns');
        $unread = self::key();
        $this->bag(['litres' => ''], $unread)->assertOk();
        $this->bags($unread, 'drip')->assertUnprocessable()->assertJsonPath('codes.0', 'arrival.drip_not_known');
        $far = self::key();
        $this->bag(['temp_c' => '5', 'ph' => '7.5', 'tan_mg_l' => '0'], $far)->assertOk();
        $this->bags($far, 'drip')->assertUnprocessable()->assertJsonPath('codes.0', 'arrival.drip_match');

        $good = $this->clean();
        $dripping = fn(): array => array_values(
            array_filter(
                $this->getJson('/api/timers')->assertOk()->json(),
                static fn(array $one): bool => $one['kind'] === 'drip',
            ),
        );
        self::assertSame([], $dripping());
        $this->bags($good, 'drip')->assertOk();
        // 20 L × 1.5 at 20 / 60 / 2.5 L a minute
        self::assertEqualsWithDelta(225.0, $dripping()[0]['planned'], 1e-6);
        self::assertEqualsWithDelta(225.0, $dripping()[0]['act_at'], 1e-6);
        $this->travelTo('2026-06-01 10:00');
        // Pressed again it does not begin again.
        $this->bags($good, 'drip')->assertOk();
        self::assertSame('2026-06-01T09:00:00Z', $dripping()[0]['since']);
        $this->deleteJson("/api/systems/long-vat/bags/{$good}/drip")->assertOk();
        self::assertSame([], $dripping());
    }

    public function test_put_in_they_live_here_and_the_dead_are_a_loss_of_the_shipment(): void
    {
        $id = $this->clean();
        $this->bags($id, 'in', ['dead' => '7'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['dead']]);
        $this->bags($id, 'in', ['dead' => '1'])->assertOk();
        $this->bags($id, 'in', ['dead' => '1'])->assertOk();
        $group = FishGroup::query()->where('bag_id', $id)->sole();
        self::assertSame([5, '2026-06-01'], [$group->count, $group->arrived_on?->toDateString()]);
        self::assertSame(
            [1, 'lost'],
            FishEvent::query()
                ->where('bag_id', $id)
                ->get(['count', 'kind'])
                ->map->only(['count', 'kind'])
                ->map(array_values(...))
                ->sole(),
        );
        // What is in is told no more of, and not taken out of the book.
        $this->bag(['count' => '9'], $id)
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'arrival.bag_in');
        $this->deleteJson("/api/systems/long-vat/bags/{$id}")->assertUnprocessable();
        $this->deleteJson("/api/systems/long-vat/shipments/{$this->shipment}")
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'arrival.shipment_in');
        self::assertSame(0, $this->getJson('/api/systems/long-vat/quarantine')->json('day'));

        // A slip is taken back, as long as nothing was booked of them.
        $this->deleteJson("/api/systems/long-vat/bags/{$id}/in")->assertOk();
        self::assertSame(0, FishGroup::query()->where('bag_id', $id)->count() + FishEvent::query()->count());
        $this->bags($id, 'in')->assertOk();
        $this->putJson("/api/systems/long-vat/fish/{$id}/lost/" . self::key(), ['count' => '1'])->assertOk();
        $this->deleteJson("/api/systems/long-vat/bags/{$id}/in")
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'arrival.bag_lived');
    }

    public function test_before_they_go_in_it_is_said_what_that_does(): void
    {
        self::assertNull($this->getJson('/api/systems/long-vat/shipments')->json('before'));
        $codes = static fn(TestResponse $page): array => array_column($page->json('before.says'), 'code');
        $few = $this->bag(['count' => '2', 'length_cm' => '20']);
        self::assertSame('arrival.before_room', $codes($few)[1]);
        self::assertNull($few->json('starts_again'));
        $many = $this->bag(['count' => '500', 'length_cm' => '60']);
        self::assertFalse($many->json('before.carries'));
        self::assertSame('arrival.before_dense', $codes($many)[1]);
        self::assertSame(502, $many->json('before.fish'));
        // Fish that are held there already begin again: said before it is done.
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Held',
            'count' => 3,
            'length_cm' => 30,
            'condition' => 1.5,
            'arrived_on' => '2026-05-20',
            'position' => 0,
        ]);
        $this->getJson('/api/systems/long-vat/shipments')->assertJsonPath('starts_again.code', 'arrival.starts_again');
    }

    public function test_the_tub_is_matched_with_amounts_where_the_waters_are_too_far_apart(): void
    {
        $this->log('na 100');
        $page = $this->bag([
            'temp_c' => '30',
            'ph' => '7.6',
            'tan_mg_l' => '0',
            'salinity_g_l' => '4',
            'no3_mg_l' => '5',
        ]);
        self::assertSame(
            ['arrival.tub_nitrate', 'arrival.tub_heat', 'arrival.tub_salt'],
            array_column($page->json('shipments.0.bags.0.answer.drip.match'), 'code'),
        );
    }

    public function test_survival_is_counted_through_every_move(): void
    {
        $pond = $this->systemOf($this->site, 'Pond', 'pond');
        $this->postJson('/api/systems/pond/log', ['id' => self::key(), 'line' => 'na 5 ph 7.6 t 20']);
        [$one, $two] = [$this->clean(), $this->clean()];
        $this->bags($one, 'in', ['dead' => '1'])->assertOk();
        $this->bags($two, 'in')->assertOk();
        $go = fn(string $system, string $group, string $kind, array $typed): TestResponse => $this->putJson(
            "/api/systems/{$system}/fish/{$group}/{$kind}/" . self::key(),
            ['reason' => 'room', ...$typed],
        )->assertOk();
        $go('long-vat', $one, 'moved', ['count' => '4', 'to' => 'pond']);
        $go('long-vat', $two, 'moved', ['count' => '2', 'to' => 'pond']);
        // Of one name and size, and yet of two bags: each is followed by itself.
        $there = FishGroup::query()->where('system_id', $pond->id)->get()->keyBy('bag_id');
        self::assertSame([4, 2], [$there[$one]->count, $there[$two]->count]);
        $go('pond', $there[$one]->id, 'lost', ['count' => '2']);
        $go('pond', $there[$two]->id, 'sold', ['count' => '1']);
        $losses = $this->getJson('/api/losses')->assertOk();
        $figures = ['came', 'dead_on_arrival', 'died_since', 'sold', 'alive'];
        self::assertSame(
            [12, 1, 2, 1, 8],
            array_map(static fn(string $key): int => $losses->json("shipments.0.{$key}"), $figures),
        );
        self::assertEqualsWithDelta(75.0, $losses->json('sources.0.survived_pct'), 1e-9);
        self::assertSame(['2026-06', 3, 1], array_values($losses->json('months.11')));
        self::assertSame(2, collect($losses->json('systems'))->firstWhere('slug', 'pond')['died']);
        self::assertStringContainsString(
            'shipment,2026-06-01,"Reed Farm","Long Vat",12,1,2,1,8',
            $this->get('/api/losses.csv')->assertOk()->getContent(),
        );
    }
}
