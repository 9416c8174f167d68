<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FeedFigure;
use Ironwort\Core\Filter\AfterSetback;
use Tests\TestCase;

/** What is done to a filter is heard: by the state of the system, by its tests, and by Trouble. */
final class SetbackTest extends TestCase
{
    private int $n = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->drawUp();
        $this->read('am 0 ni 0 ph 7.5 t 18 kh 5 do 8.5');
    }

    private function drawUp(): void
    {
        $this->putJson("/api/systems/long-vat/vessels/{$this->key()}", [
            'name' => 'Vat',
            'kind' => 'tank',
            'shape' => 'box',
            'measures' => ['length_m' => '2', 'width_m' => '1', 'depth_m' => '1'],
        ]);
        $this->putJson("/api/systems/long-vat/fish/{$this->key()}", [
            'name' => 'Koi',
            'count' => '3',
            'length_cm' => '40',
        ]);
    }

    private function key(): string
    {
        return '01JD0000000000000000S' . str_pad((string) ++$this->n, 5, '0', STR_PAD_LEFT);
    }

    private function read(string $line): void
    {
        $this->postJson('/api/systems/long-vat/log', ['id' => $this->key(), 'line' => $line])->assertCreated();
    }

    /** @param  array<string, string>  $deed */
    private function befalls(array $deed): string
    {
        $id = $this->key();
        $this->putJson("/api/systems/long-vat/filter/setbacks/{$id}", $deed)->assertOk();

        return $id;
    }

    /** @return array{?string, string, list<string>} state, context of the tests, what is behind it */
    private function heard(): array
    {
        $system = $this->getJson('/api/systems/long-vat')->assertOk();
        $listed = collect($this->getJson('/api/systems')->json())->firstWhere('slug', 'long-vat');
        $round = collect($this->getJson('/api/round')->json('rows'))->firstWhere('slug', 'long-vat');
        self::assertSame($system->json('water.state'), $listed['state']);
        self::assertSame($system->json('water.state'), $round['state']);
        $behind = $this->getJson('/api/systems/long-vat/trouble')->json('behind');
        $trouble = $behind === null ? [] : [$behind['code']];
        self::assertSame(
            in_array('filter.set_back', $trouble, true),
            in_array('filter.set_back', array_column($system->json('advice'), 'code'), true),
        );

        return [$system->json('water.state'), $system->json('schedule.context'), $trouble];
    }

    public function test_a_filter_that_lost_most_of_its_bacteria_is_watched_whatever_the_last_reading_said(): void
    {
        self::assertSame(['good', 'routine', []], $this->heard());
        $id = $this->befalls(['kind' => 'stood_closed', 'hours' => '6']);
        self::assertSame(['watch', 'setback', ['filter.set_back']], $this->heard());
        $this->deleteJson("/api/systems/long-vat/filter/setbacks/{$id}")->assertOk();
        self::assertSame(['good', 'routine', []], $this->heard());
    }

    public function test_a_rinse_in_system_water_is_care(): void
    {
        $this->befalls(['kind' => 'swished']);
        self::assertSame(['good', 'routine', []], $this->heard());
    }

    public function test_hours_typed_for_a_stop_are_not_kept_with_a_wash(): void
    {
        $this->befalls(['kind' => 'hosed', 'hours' => '6']);
        $deed = $this->getJson('/api/systems/long-vat/filter')->json('setbacks.0');
        self::assertSame([null, 30], [$deed['hours'], $deed['lost_pct']]);
    }

    public function test_two_weeks_later_it_is_over(): void
    {
        $on = static fn(int $ago): string => now()->subDays($ago)->toDateString();
        $this->befalls(['kind' => 'hosed', 'happened_on' => $on(AfterSetback::DAYS)]);
        self::assertSame('good', $this->heard()[0]);
        $this->befalls(['kind' => 'hosed', 'happened_on' => $on(AfterSetback::DAYS - 1)]);
        self::assertSame('watch', $this->heard()[0]);
    }

    public function test_a_bad_reading_is_not_made_calmer_by_it_and_its_causes_are_looked_for_in_the_book(): void
    {
        foreach ([40 => 50, 5 => 120] as $ago => $grams) {
            FeedFigure::query()->create([
                'site_id' => $this->system->site_id,
                'system_id' => $this->system->id,
                'since' => now()->subDays($ago)->toDateString(),
                'feed_g_d' => $grams,
                'protein_pct' => 38,
            ]);
        }
        $this->befalls(['kind' => 'hosed_chlorinated']);
        $this->read('am 3');
        [$state, $context, $behind] = $this->heard();
        self::assertContains($state, ['act', 'emergency']);
        self::assertSame('incident', $context);
        self::assertSame(['filter.set_back'], $behind);
        $suspects = $this->getJson('/api/systems/long-vat/trouble')->json('suspects');
        $for = array_map(static fn(array $one): array => array_column($one['for'], 'code'), $suspects);
        $said = array_combine(array_column($suspects, 'id'), $for);
        self::assertSame('washed', $suspects[0]['id']);
        self::assertContains('incident.for_setback', $said['washed']);
        self::assertContains('incident.for_feed_raised', $said['overfed']);
        self::assertSame($suspects, $this->getJson('/api/systems/long-vat/trouble')->json('suspects'));
    }
}
