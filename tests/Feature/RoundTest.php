<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\System;
use Database\Factories\SiteFactory;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The round: the worst first, what is due, what changed, and what was looked at. */
final class RoundTest extends TestCase
{
    private int $n = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-06-01 07:00');
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 5, 'width_m' => 1, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        System::query()->create([
            'site_id' => $this->system->site_id,
            'name' => 'Pond',
            'slug' => 'pond',
            'kind' => 'display',
            'life_stage' => 'adult',
            'position' => 2,
        ]);
    }

    private function log(string $slug, string $line): void
    {
        $this->postJson("/api/systems/{$slug}/log", [
            'id' => '01JD000000000000000000V' . str_pad((string) ++$this->n, 3, '0', STR_PAD_LEFT),
            'line' => $line,
        ])->assertCreated();
    }

    private function row(string $slug): array
    {
        return array_column($this->getJson('/api/round')->assertOk()->json('rows'), null, 'slug')[$slug];
    }

    public function test_the_worst_system_comes_first_and_says_what_became_of_it(): void
    {
        $this->log('long-vat', 'am .1 ni 0 ph 7.6 t 18');
        $this->log('pond', 'am .1 ph 7.6 t 18');
        $this->travel(1)->days();
        $this->log('pond', 'am 1 ph 7.6 t 18');
        $round = $this->getJson('/api/round')->assertOk()->json();
        self::assertSame(['pond', 'long-vat'], array_column($round['rows'], 'slug'));
        self::assertSame(['Ammonia was good, is act'], $round['rows'][0]['changed']);
        self::assertSame(1, $round['walked'], 'the vat was not looked at today');
        System::query()
            ->where('slug', 'pond')
            ->update(['asleep_since' => now()]);
        self::assertSame(['long-vat'], array_column($this->getJson('/api/round')->json('rows'), 'slug'));
    }

    public function test_tests_and_doses_that_are_due_stand_there_and_fish_that_ailed_are_looked_at_again(): void
    {
        $this->log('long-vat', 'am .1 ni 0 ph 7.6 t 20 do 8 kh 6');
        $this->putJson('/api/systems/long-vat/doses/01JD00000000000000000000D1', [
            'thing' => 'praziquantel',
            'course' => 'yes',
        ])->assertOk();
        $this->putJson('/api/systems/long-vat/notes/01JD00000000000000000000N1', [
            'seen' => ['flashing', 'fed well'],
        ])->assertOk();
        self::assertSame(
            [[], ['flashing, just now']],
            [$this->row('long-vat')['doses'], $this->row('long-vat')['fish']],
        );
        $this->travel(8)->days();
        $row = $this->row('long-vat');
        self::assertContains(['name' => 'Ammonia', 'stands' => 'due'], $row['due']);
        self::assertStringContainsString('Praziquantel: Dose 2 of 3 is late by 24 hours', $row['doses'][0]);
        self::assertSame([], $row['fish'], 'a week is long enough');
    }

    public function test_a_tick_is_a_note_in_the_book_and_lasts_for_this_round(): void
    {
        self::assertNull($this->row('long-vat')['looked']);
        $this->putJson('/api/systems/long-vat/notes/01JD00000000000000000000N1', [
            'words' => 'Looked at on the round: all well.',
        ])->assertOk();
        self::assertSame('just now', $this->row('long-vat')['looked']);
        $this->travel(7)->hours();
        self::assertNull($this->row('long-vat')['looked']);
    }

    public function test_systems_stand_in_the_order_in_which_they_are_walked(): void
    {
        $this->actingAs($this->owner);
        $this->systemOf($this->site, 'Barn', 'barn');
        $this->systemOf($this->site, 'Cellar', 'cellar');
        $order = fn(): array => array_column($this->getJson('/api/systems')->assertOk()->json(), 'slug');
        $put = fn(array $slugs): TestResponse => $this->putJson('/api/walk', ['order' => $slugs]);
        $put(['cellar', 'long-vat', 'barn', 'pond'])->assertOk();
        self::assertSame(['cellar', 'long-vat', 'barn', 'pond'], $order());
        self::assertSame(
            ['cellar', 'long-vat', 'barn', 'pond'],
            array_column($this->getJson('/api/round')->json('rows'), 'slug'),
        );
        // Those that are not named follow as they stood.
        $put(['barn'])->assertOk();
        self::assertSame(['barn', 'cellar', 'long-vat', 'pond'], $order());
        foreach ([['nowhere'], ['barn', 'barn'], []] as $bad) {
            $put($bad)->assertUnprocessable();
        }
        self::assertSame(['barn', 'cellar', 'long-vat', 'pond'], $order());
        // A stranger's system is none of these.
        $other = SiteFactory::new()->createOne(['name' => 'Else']);
        $this->systemOf($other, 'Foreign', 'foreign');
        $put(['foreign'])->assertUnprocessable();
    }
}
