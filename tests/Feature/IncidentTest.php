<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\FishGroup;
use App\Models\Incident;
use App\Models\Role;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Trouble as work: opened once, worked through by two people, repeated until its rule is met, closed with a cause. */
final class IncidentTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    private string $id;

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 09:00');
        $this->laid();
        $this->id = self::key();
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 40,
            'condition' => 1.5,
            'position' => 0,
        ]);
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function log(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => self::key(), 'line' => $line])->assertCreated();
    }

    private function open(array $typed = ['event' => 'power_cut'], ?string $id = null): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/incidents/' . ($id ?? $this->id), $typed);
    }

    private function tick(string $step, array $typed = ['what' => 'done'], ?string $id = null): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/incidents/{$this->id}/ticks/" . ($id ?? self::key()), [
            'step' => $step,
            'words' => 'As it was told.',
            ...$typed,
        ]);
    }

    private function end(array $typed): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/incidents/{$this->id}/end", $typed);
    }

    /** @return list<array<string, mixed>> */
    private function steps(): array
    {
        return collect($this->getJson('/api/systems/long-vat/trouble')->assertOk()->json('causes'))
            ->flatMap(static fn(array $cause): array => $cause['steps'])
            ->all();
    }

    private function stands(string $key): ?string
    {
        return collect($this->steps())->firstWhere('key', $key)['tick']['stands'] ?? null;
    }

    public function test_there_is_one_open_incident_and_what_is_seen_holds_for_everybody(): void
    {
        self::assertNull($this->getJson('/api/systems/long-vat/trouble')->json('incident'));
        $this->open()->assertOk()->assertJsonPath('incident.id', $this->id);
        $seen = fn(): array => collect($this->getJson('/api/systems/long-vat/trouble')->json('signs'))
            ->where('seen', true)
            ->pluck('id')
            ->all();
        self::assertSame(['pump_stopped'], $seen());
        // Somebody else, with another key: the same incident, and what they saw is added.
        $this->actingAs($this->person('helper@yard.example', Role::Helper));
        $this->open(['event' => 'seen', 'signs' => ['gasping']], self::key())
            ->assertOk()
            ->assertJsonPath('incident.id', $this->id);
        self::assertSame(1, Incident::query()->count());
        self::assertSame(['gasping', 'pump_stopped'], $seen());
        // The first, whose answer was lost, sends it again: what was seen since stands.
        $this->open()->assertOk();
        self::assertSame(['gasping', 'pump_stopped'], $seen());
        $this->open(['event' => 'seen', 'signs' => ['flashing'], 'gone' => ['gasping']])->assertOk();
        self::assertEqualsCanonicalizing(['flashing', 'pump_stopped'], $seen());
        $this->open(['event' => 'seen', 'gone' => ['dragons']])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['gone']]);
        $this->open(['event' => 'dragons'])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['event']]);
        $this->open(['event' => 'seen', 'signs' => ['dragons']])->assertUnprocessable();
    }

    public function test_one_that_waited_for_the_signal_began_when_it_was_told_on_the_device(): void
    {
        $told = now()->subHours(2)->startOfSecond();
        $this->withHeader('X-Made-At', $told->utc()->format('Y-m-d\TH:i:s\Z'))
            ->open(['event' => 'power_cut', 'minutes' => '10'])
            ->assertOk();
        $began = Incident::query()->sole()->opened_at;
        self::assertSame($told->subMinutes(10)->getTimestamp(), $began->getTimestamp());
    }

    public function test_steps_are_ticked_once_or_skipped_for_a_reason_and_some_come_round_again(): void
    {
        $this->log('am 3 ni 0 ph 8 t 20 do 8');
        $this->open(['event' => 'reading'])->assertOk();
        $steps = $this->steps();
        $change = collect($steps)->first(static fn(array $one): bool => $one['every_h'] === 24);
        $test = collect($steps)->first(static fn(array $one): bool => $one['page'] === 'test');
        self::assertSame('due', $change['tick']['stands']);
        $id = self::key();
        $this->tick($change['key'], ['what' => 'done'], $id)->assertOk();
        $this->tick($change['key'], ['what' => 'done'], $id)->assertOk();
        self::assertSame('done', $this->stands($change['key']));
        self::assertSame('Owner', collect($this->steps())->firstWhere('key', $change['key'])['tick']['by']);
        $this->deleteJson("/api/systems/long-vat/ticks/{$id}")->assertOk();
        self::assertSame('due', $this->stands($change['key']));
        $this->tick($change['key'])->assertOk();
        $this->travelTo('2026-06-02 08:59');
        self::assertSame('done', $this->stands($change['key']));
        $this->travelTo('2026-06-02 09:00');
        self::assertSame('again', $this->stands($change['key']));
        if ($test !== null) {
            $this->tick($test['key'], ['what' => 'skipped'])
                ->assertUnprocessable()
                ->assertJsonPath('codes.0', 'incident.skip_say_why');
            $this->tick($test['key'], ['what' => 'skipped', 'why' => 'kit is empty'])->assertOk();
            self::assertSame('skipped', $this->stands($test['key']));
        }
        // What waits is told on the round.
        self::assertSame('incident.open_waits', $this->getJson('/api/round')->assertOk()->json('rows.0.incident.code'));
    }

    public function test_a_reading_that_gets_worse_brings_back_what_was_done_and_twice_as_often(): void
    {
        $this->log('am 1.2 ni 0 ph 7.4 t 20 do 8');
        $this->open(['event' => 'reading'])->assertOk();
        $daily = collect($this->steps())->first(static fn(array $one): bool => $one['every_h'] === 24)['key'];
        $every = fn(): ?int => collect($this->steps())->firstWhere('key', $daily)['every_h'];
        $this->tick($daily)->assertOk();
        $worse = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/trouble')->json('incident.worse'),
            'code',
        );
        $this->travelTo('2026-06-01 15:00');
        $this->log('am 1.4 ni 0 ph 7.4 t 20 do 8');
        self::assertSame([[], 'done', 24], [$worse(), $this->stands($daily), $every()]);
        $this->travelTo('2026-06-01 17:00');
        $this->log('am 1.8 ni 0 ph 7.4 t 20 do 8');
        self::assertContains('incident.worse', $worse());
        self::assertContains('incident.worse_call', $worse());
        self::assertSame(['again', 12], [$this->stands($daily), $every()]);
        $this->tick($daily)->assertOk();
        $this->travelTo('2026-06-01 17:30');
        self::assertSame('done', $this->stands($daily));
        $this->travelTo('2026-06-02 05:00');
        self::assertSame('again', $this->stands($daily));
    }

    public function test_it_ends_by_its_rule_or_with_a_reason_and_always_with_its_cause(): void
    {
        $this->log('am 3 ni 0 ph 8 t 20 do 8');
        $this->open(['event' => 'reading'])->assertOk();
        $missing = fn(): array => array_column(
            $this->getJson('/api/systems/long-vat/trouble')->json('incident.missing'),
            'code',
        );
        self::assertContains('incident.end_not_clean', $missing());
        $this->end([])->assertUnprocessable()->assertJsonPath('codes.0', 'incident.end_say_cause');
        $this->end(['cause' => 'stopped_filter'])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'incident.end_say_why');
        $this->travelTo('2026-06-02 09:00');
        $this->log('am 0 ni 0 ph 7.6 t 20 do 8');
        $this->travelTo('2026-06-04 08:00');
        $this->log('am 0 ni 0 ph 7.6 t 20 do 8');
        self::assertSame(['incident.end_clean_for'], array_values(array_unique($missing())));
        $this->travelTo('2026-06-04 09:00');
        $this->log('am 0 ni 0 ph 7.6 t 20 do 8');
        self::assertSame([], $missing());
        $closed = $this->end(['cause' => 'stopped_filter', 'prevent' => 'An alarm on the ring.'])->assertOk();
        self::assertSame('A filter that stood still', $closed->json('cause'));
        self::assertNull($this->getJson('/api/systems/long-vat/trouble')->json('incident'));
        // Closed it takes nothing more, and closing it again changes nothing.
        $this->tick('ammonia incident.x')->assertUnprocessable()->assertJsonPath('codes.0', 'incident.ended_already');
        $this->end(['cause' => 'oxygen'])
            ->assertOk()
            ->assertJsonPath('cause', 'A filter that stood still');
    }

    public function test_its_page_tells_readings_deeds_and_losses_in_order_and_the_first_sign(): void
    {
        $this->log('am 3 ni 0 ph 8 t 20 do 8');
        $this->travelTo('2026-06-03 09:00');
        $this->open(['event' => 'dead_fish', 'minutes' => '30'])->assertOk();
        $this->tick('ammonia incident.change')->assertOk();
        $koi = FishGroup::query()->sole();
        $this->putJson("/api/systems/long-vat/fish/{$koi->id}/lost/" . self::key(), ['count' => '2'])->assertOk();
        $this->travelTo('2026-06-03 10:00');
        $this->log('am 0 ni 0 ph 7.6 t 20 do 8');
        $this->putJson('/api/systems/long-vat/notes/' . self::key(), ['words' => 'Two more look well.'])->assertOk();
        $this->end(['cause' => 'ammonia', 'early_why' => 'moved all out'])->assertOk();
        $page = $this->getJson("/api/systems/long-vat/incidents/{$this->id}")->assertOk();
        $kinds = array_column($page->json('lines'), 'kind');
        self::assertSame(
            ['done', 'note'],
            array_values(array_filter($kinds, static fn(string $one): bool => $one !== 'reading')),
        );
        self::assertSame([2, 'moved all out'], [$page->json('lost'), $page->json('early_why')]);
        self::assertSame('incident.first_sign', $page->json('first.code'));
        self::assertSame('2026-06-03T08:30:00Z', $page->json('opened_at'));
        self::assertCount(1, $this->getJson('/api/systems/long-vat/incidents')->assertOk()->json());
    }

    public function test_fish_go_where_there_is_room_and_matched_water_and_nothing_given(): void
    {
        $this->log('am 0 ni 0 na 5 ph 7.6 t 20 do 8 kh 6 gh 8 sa 0');
        $pond = $this->systemOf($this->site, 'Pond', 'pond');
        (new LayBuild())->lay($pond, [
            'vessels' => [
                [
                    'name' => 'P',
                    'kind' => 'pond',
                    'shape' => 'box',
                    'measures' => ['length_m' => 5, 'width_m' => 3, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Mat',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 300,
                    'flow_l_h' => 8000,
                    'since' => '2025-01-01',
                    'maturity_pct' => 100,
                ],
            ],
        ]);
        $refuges = fn(): array => $this->getJson('/api/systems/long-vat/refuges')->assertOk()->json('rows');
        self::assertSame([], $refuges(), 'nobody tested it');
        $this->postJson('/api/systems/pond/log', [
            'id' => self::key(),
            'line' => 'am 0 ni 0 na 5 ph 7.6 t 20 do 8 kh 6 gh 8 sa 0',
        ]);
        self::assertSame('pond', $refuges()[0]['slug'] ?? null);
        self::assertGreaterThan(0, $refuges()[0]['fish']);
        self::assertLessThanOrEqual(10, $refuges()[0]['fish']);
        // Five degrees colder: no refuge.
        $this->travelTo('2026-06-01 10:00');
        $this->postJson('/api/systems/pond/log', ['id' => self::key(), 'line' => 't 15']);
        self::assertSame([], $refuges());
    }

    public function test_the_card_tells_the_water_whom_to_call_and_what_to_do_first(): void
    {
        $this->putJson('/api/site', ['altitude_m' => '0', 'emergency_call' => 'Vet 555 0100'])->assertOk();
        $card = $this->getJson('/api/systems/long-vat/card')->assertOk();
        self::assertSame(
            ['Vet 555 0100', 5000, 10],
            [$card->json('call'), $card->json('volume_l'), $card->json('fish')],
        );
        self::assertSame(['gasping', 'power_cut', 'chlorine', 'overdose'], array_column($card->json('plans'), 'id'));
        foreach ($card->json('plans') as $plan) {
            self::assertNotSame([], $plan['steps'], $plan['id']);
        }
        self::assertSame('incident.card_hose_unknown', $card->json('says.0.code'));
        // A bad reading of today changes nothing on what hangs on the wall.
        $plans = $card->json('plans');
        $this->log('am 4 ni 3 ph 8.8 t 20 do 3');
        self::assertSame($plans, $this->getJson('/api/systems/long-vat/card')->json('plans'));
    }
}
