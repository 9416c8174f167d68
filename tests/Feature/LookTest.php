<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FishGroup;
use App\Models\Note;
use App\Models\SingleFish;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Fish looked at one by one, and single fish with their history. */
final class LookTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    private FishGroup $koi;

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 09:00');
        $this->laid();
        $this->koi = FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 12,
            'length_cm' => 30,
            'condition' => 1.5,
            'position' => 0,
        ]);
    }

    private static function key(): string
    {
        return strtoupper((string) Str::ulid());
    }

    private function look(array $typed, ?string $id = null): TestResponse
    {
        return $this->putJson('/api/systems/long-vat/looks/' . ($id ?? self::key()), $typed);
    }

    private function page(): array
    {
        return $this->getJson('/api/systems/long-vat/looks')->assertOk()->json();
    }

    private function named(string $name): string
    {
        $id = self::key();
        $this->putJson("/api/systems/long-vat/singles/{$id}", ['name' => $name, 'group' => $this->koi->id])->assertOk();

        return $id;
    }

    private function fish(string $id, string $system = 'long-vat'): array
    {
        return collect(
            $this->getJson("/api/systems/{$system}/singles")
                ->assertOk()
                ->json('fish'),
        )->firstWhere('id', $id);
    }

    public function test_a_look_is_a_note_of_the_book_with_signs_marks_and_a_scrape(): void
    {
        $id = self::key();
        $typed = [
            'group' => $this->koi->id,
            'signs' => [
                ['sign' => 'ulcer', 'count' => 2, 'severity' => 2],
                ['sign' => 'flashing', 'count' => 12, 'severity' => 1],
            ],
            'marks' => [['sign' => 'ulcer', 'view' => 'side', 'x' => 0.42, 'y' => 0.5]],
            'scrape' => 'skin',
            'scrape_seen' => 'flukes',
            'came_up' => 'slowly',
        ];
        $this->look($typed, $id)->assertOk();
        $this->look($typed, $id)->assertOk();
        $note = Note::query()->sole();
        self::assertSame([$id, ['ulcer', 'flashing']], [$note->id, $note->seen]);
        $look = $this->page()['looks'][0];
        self::assertSame(
            ['Koi', ['ulcers', 'flashing'], 'flukes'],
            [$look['whom'], $look['trouble'], $look['scrape_seen']],
        );
        self::assertEquals($typed['marks'], $look['marks']);
        // What is seen on fish is looked for again on the round, and answered by Trouble.
        self::assertStringContainsString('ulcer, flashing', $this->getJson('/api/round')->json('rows.0.fish.0'));
        // Undone as any note of the book is.
        $this->deleteJson("/api/systems/long-vat/notes/{$id}")->assertOk();
        self::assertSame([], $this->page()['looks']);
    }

    public function test_each_look_stands_beside_the_one_before_of_the_same_fish(): void
    {
        $sign = static fn(string $sign, int $count, int $severity): array => compact('sign', 'count', 'severity');
        $ofGroup = fn(array $signs): TestResponse => $this->look([
            'group' => $this->koi->id,
            'signs' => $signs,
            'nothing' => true,
        ])->assertOk();
        $ofGroup([$sign('ulcer', 2, 2), $sign('flashing', 3, 1), $sign('clamped fins', 1, 2), $sign('curled', 1, 1)]);
        $this->travelTo('2026-06-03 09:00');
        // Of others: not compared.
        $this->look(['single' => $this->named('Lady'), 'signs' => [$sign('thin', 1, 1)]])->assertOk();
        $this->travelTo('2026-06-05 09:00');
        $ofGroup([$sign('ulcer', 2, 1), $sign('flashing', 5, 1), $sign('curled', 1, 1), $sign('jumping', 1, 1)]);
        self::assertSame(
            [
                'gone' => ['clamped fins'],
                'new' => ['jumping'],
                'worse' => ['flashing'],
                'better' => ['ulcer'],
                'same' => ['curled'],
            ],
            $this->page()['looks'][0]['change'],
        );
        self::assertNull($this->page()['looks'][1]['change']);
    }

    public function test_what_cannot_be_is_met_at_its_field_and_nothing_is_something_to_say(): void
    {
        $this->look(['group' => $this->koi->id])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'fish.look_nothing');
        $this->look(['group' => $this->koi->id, 'nothing' => true])->assertOk();
        self::assertSame([], Note::query()->sole()->seen);
        $this->look(['group' => self::key(), 'nothing' => true])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'fish.look_nobody');
        $this->look(['group' => $this->koi->id, 'signs' => [['sign' => 'ulcer', 'count' => 13, 'severity' => 1]]])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'fish.look_too_many')
            ->assertJsonStructure(['errors' => ['signs.0.count']]);
        foreach (
            [['sign' => 'dragons', 'count' => 1, 'severity' => 1], ['sign' => 'ulcer', 'count' => 1, 'severity' => 4]]
            as $bad
        ) {
            $this->look(['group' => $this->koi->id, 'signs' => [$bad]])->assertUnprocessable();
        }
        $this->look([
            'group' => $this->koi->id,
            'marks' => [['sign' => 'ulcer', 'view' => 'side', 'x' => 2, 'y' => 0]],
            'nothing' => true,
        ])->assertUnprocessable();
    }

    public function test_a_clear_look_opens_what_only_it_kept_shut_in_quarantine(): void
    {
        $this->system->update(['kind' => 'quarantine']);
        $this->koi->update(['arrived_on' => '2026-05-01']);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::key(),
            'line' => 'am 0 ni 0 na 5 ph 7.6 t 20 do 8',
        ])->assertCreated();
        $open = fn(): bool => $this->getJson('/api/systems/long-vat/quarantine')->assertOk()->json('open');
        self::assertFalse($open());
        $this->look(['nothing' => true])->assertOk();
        self::assertTrue($open());
        $this->look(['signs' => [['sign' => 'white spots', 'count' => 1, 'severity' => 1]]])->assertOk();
        self::assertFalse($open());
    }

    public function test_fish_are_due_by_the_protocol_and_after_ammonia_that_was_dangerous(): void
    {
        $due = fn(): ?string => $this->getJson('/api/round')->assertOk()->json('rows.0.look.code');
        $this->deleteJson('/api/visits/01JD00000000000000000000V1')->assertNoContent();
        self::assertNull($due());
        $this->postJson('/api/systems/long-vat/log', [
            'id' => self::key(),
            'line' => 'am 3 ph 8.4 t 20',
        ])->assertCreated();
        self::assertSame('fish.look_incident', $due());
        self::assertSame('fish.look_incident', $this->page()['due']['code']);
        $this->look(['nothing' => true])->assertOk();
        self::assertNull($due());
        $this->travelTo('2026-06-04 09:00');
        self::assertSame('fish.look_incident', $due());
        $this->travelTo('2026-06-23 09:00');
        self::assertNull($due());
        $this->system->update(['kind' => 'quarantine']);
        self::assertSame('fish.look_quarantine', $due());
        $this->look(['nothing' => true])->assertOk();
        $this->travelTo('2026-06-25 09:00');
        self::assertNull($due());
        $this->putJson('/api/systems/long-vat/quarantine', [
            'days' => '21',
            'life_cycle' => 'none',
            'looks_every_d' => '1',
        ])->assertOk();
        self::assertSame('fish.look_quarantine', $due());
    }

    public function test_a_single_fish_has_its_condition_growth_and_moves(): void
    {
        $id = $this->named('Lady');
        $size = fn(string $on, string $length, string $weight): TestResponse => $this->putJson(
            "/api/systems/long-vat/singles/{$id}/sizes/" . self::key(),
            ['length_cm' => $length, 'weight_g' => $weight, 'measured_on' => $on],
        );
        $size('2026-03-01', '50', '1875')->assertOk();
        self::assertEqualsWithDelta(1.5, $this->fish($id)['condition'], 1e-9);
        self::assertFalse($this->fish($id)['fitted']);
        $size('2026-05-30', '52', '2500')->assertOk();
        $size('2026-05-31', '10', '9000')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['weight_g']]);
        $fish = $this->fish($id);
        self::assertSame([true, 'well fed'], [$fish['fitted'], $fish['condition_word']]);
        // (2500^⅓ − 1875^⅓) / (90 days × 20 °C), by hand
        self::assertEqualsWithDelta((1000 * (2500 ** (1 / 3) - 1875 ** (1 / 3))) / 1800, $fish['tgc'], 1e-9);
        self::assertGreaterThan(2500, $fish['ahead_g']);

        $pond = $this->systemOf($this->site, 'Pond', 'pond');
        $go = fn(string $from, string $group, string $kind, array $typed): TestResponse => $this->putJson(
            "/api/systems/{$from}/fish/{$group}/{$kind}/" . self::key(),
            ['single' => $id, 'reason' => 'room', ...$typed],
        );
        $go('long-vat', $this->koi->id, 'moved', ['to' => 'pond', 'count' => '2'])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'fish.single_one');
        $go('long-vat', $this->koi->id, 'moved', ['to' => 'pond', 'count' => '1'])->assertOk();
        self::assertSame([11, 1], [$this->koi->refresh()->count, $pond->fish()->sole()->count]);
        self::assertSame('Pond', $this->fish($id, 'pond')['moves'][0]['to']);
        $go('long-vat', $this->koi->id, 'lost', ['count' => '1'])
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'fish.single_elsewhere');
        $go('pond', $pond->fish()->sole()->id, 'lost', ['count' => '1', 'reason' => 'jumped'])->assertOk();
        self::assertSame(['died', 'jumped'], [$this->fish($id, 'pond')['gone'], SingleFish::query()->sole()->gone_why]);
        self::assertNull($this->fish($id, 'pond')['ahead_g']);
    }

    public function test_growth_fitted_to_two_measurements_is_looked_ahead_with_and_two_feeds_stand_side_by_side(): void
    {
        $ahead = fn(array $typed = []): TestResponse => $this->getJson(
            '/api/systems/long-vat/growth?' . http_build_query(['typed' => $typed]),
        )->assertOk();
        self::assertSame('fish.ahead_usual', $ahead()->json('ahead.says.1.code'));
        $measured = fn(string $on, string $weight): TestResponse => $this->putJson(
            "/api/systems/long-vat/fish/{$this->koi->id}/measures/" . self::key(),
            ['weight_g' => $weight, 'measured_on' => $on],
        )->assertOk();
        $measured('2026-04-02', '350');
        $measured('2026-06-01', '405');
        $page = $ahead(['weeks' => '8']);
        self::assertSame('fish.ahead_fitted', $page->json('ahead.says.1.code'));
        $tgc = (1000 * (405 ** (1 / 3) - 350 ** (1 / 3))) / (60 * 20);
        self::assertEqualsWithDelta($tgc, $page->json('ahead.groups.0.tgc'), 1e-9);
        $then = (405 ** (1 / 3) + ($tgc * 20 * 56) / 1000) ** 3;
        self::assertEqualsWithDelta((12 * ($then - 405)) / 1000, $page->json('ahead.more_kg'), 1e-6);

        $this->putJson('/api/systems/long-vat/feed', [
            'by_ration' => false,
            'feed_g_d' => '100',
            'protein_pct' => '35',
        ])->assertOk();
        $feeds = $ahead(['protein_b' => '45', 'price_b' => '6', 'conversion_b' => '1.2']);
        // 0.092 × protein, a gram of feed
        self::assertEqualsWithDelta(3.22, $feeds->json('feeds.a.nitrogen_g_d'), 1e-9);
        self::assertEqualsWithDelta(4.14, $feeds->json('feeds.b.nitrogen_g_d'), 1e-9);
        self::assertEqualsWithDelta(7.2, $feeds->json('feeds.b.cost_kg_growth'), 1e-9);
        self::assertNull($feeds->json('feeds.a.cost_kg_growth'));
        self::assertArrayHasKey('protein_b', $ahead(['protein_b' => 'much'])->json('errors'));
    }

    public function test_fish_are_due_while_the_water_warms_in_spring_and_not_while_it_cools(): void
    {
        $this->deleteJson('/api/visits/01JD00000000000000000000V1')->assertNoContent();
        $log = fn(string $line): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'id' => self::key(),
            'line' => $line,
        ])->assertCreated();
        $due = fn(): ?string => $this->getJson('/api/round')->assertOk()->json('rows.0.look.code');
        $this->travelTo('2027-03-01 09:00');
        $log('t 6');
        $this->travelTo('2027-03-29 09:00');
        self::assertNull($due());
        $log('t 11');
        self::assertSame('fish.look_spring', $due());
        self::assertSame('fish.look_spring', $this->page()['due']['code']);
        $this->look(['nothing' => true])->assertOk();
        self::assertNull($due());
        $this->travelTo('2027-04-06 09:00');
        self::assertSame('fish.look_spring', $due());
        $log('t 4');
        self::assertNull($due());
    }

    public function test_a_fish_that_died_leaves_its_picture_in_the_book(): void
    {
        $image = imagecreatetruecolor(40, 30) ?: self::fail('no picture');
        ob_start();
        imagejpeg($image);
        $picture = 'data:image/jpeg;base64,' . base64_encode((string) ob_get_clean());
        $id = self::key();
        $this->putJson("/api/systems/long-vat/fish/{$this->koi->id}/lost/{$id}", [
            'count' => '1',
            'reason' => 'ulcer',
            'photo' => $picture,
        ])->assertOk();
        self::assertSame(11, $this->koi->refresh()->count);
        self::assertStringContainsString('ulcer', Note::query()->findOrFail($id)->words);
        $this->get("/api/systems/long-vat/notes/{$id}/photo")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        // What is no picture is refused at its field, and the fish is not lost by it.
        $this->putJson("/api/systems/long-vat/fish/{$this->koi->id}/lost/" . self::key(), [
            'count' => '1',
            'photo' => 'data:image/jpeg;base64,bm90IG9uZQ==',
        ])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['photo']]);
        self::assertSame(11, $this->koi->refresh()->count);
    }
}
