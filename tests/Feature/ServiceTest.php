<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\Flush;
use App\Models\Pump;
use App\Models\Role;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Ironwort\Core\Measure\Format;
use Tests\TestCase;

/** Service as it is done: a run with the pump off that cannot be closed without flow, and what follows from it. */
final class ServiceTest extends TestCase
{
    use ServicedLoop;

    public function test_a_bed_stirred_by_the_air_of_the_fish_says_the_oxygen_that_capacity_says(): void
    {
        $save = fn(string $what, array $typed) => $this->putJson(
            "/api/systems/long-vat/{$what}/{$this->key()}",
            $typed,
        )->assertOk();
        $save('pumps', ['name' => 'Air', 'kind' => 'air', 'power_w' => '30', 'air_l_min' => '40', 'running' => 'yes']);
        $save('stages', [
            'name' => 'Bed',
            'kind' => 'static_bed',
            'medium' => 'small_carrier',
            'media_l' => '100',
            'flow_l_h' => '6000',
            'began' => 'today',
        ]);
        $air = Pump::query()->where('name', 'Air')->firstOrFail()->id;
        $outlet = ['pump_id' => $air, 'valve' => 'open'];
        $save('outlets', [...$outlet, 'name' => 'Stones', 'to' => $this->part('vessel', 'Bay')]);
        $save('outlets', [...$outlet, 'name' => 'Wash', 'to' => $this->part('stage', 'Bed'), 'valve' => 'shut']);

        $there = $this->getJson('/api/systems/long-vat/filter')->assertOk()->json('oxygen.diverted.0');
        $steps = $this->send($this->key(), [
            'part' => $this->part('stage', 'Bed'),
            'job' => 'stir_bed',
            'way' => 'throttle',
        ])
            ->assertOk()
            ->json('steps');
        $step = collect($steps)->first(static fn(array $one): bool => str_contains($one['code'], 'less_air'));

        self::assertSame('service.step_less_air', $step['code']);
        preg_match_all('/([\d.]+) mg\/L/', $step['text'], $figures);
        self::assertSame(
            [Format::number($there['after_mg_l'], 2), Format::number($there['settles']['value'], 2)],
            $figures[1],
        );
    }

    public function test_a_run_switches_what_it_says_and_is_not_closed_until_flow_was_seen(): void
    {
        Stage::query()
            ->where('name', 'Lamp')
            ->update(['lamp_state' => 'alternate']);
        $run = $this->key();
        $begin = ['job' => 'wash_pads', 'part' => $this->part('stage', 'Mats'), 'way' => 'stop'];
        $begun = $this->send($run, $begin)->assertOk()->json();
        $this->send($run, $begin)->assertOk();
        self::assertSame(1, Service::query()->count());
        $this->send($this->key(), $begin)
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['job']]);
        $codes = array_column($begun['steps'], 'code');
        self::assertSame('service.step_off_first', $codes[0]);
        $step = static fn(string $code): int => (int) array_search($code, $codes, true);
        $pump = fn(): Pump => Pump::query()->where('name', 'Pump')->firstOrFail();

        foreach (range(0, $step('service.step_pump_off')) as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        self::assertFalse($pump()->running);
        self::assertSame('off', Stage::query()->where('name', 'Lamp')->firstOrFail()->lamp_state);
        $timers = collect($this->getJson('/api/timers')->assertOk()->json());
        self::assertSame(['service', 'stands'], $timers->pluck('kind')->sort()->values()->all());
        self::assertEquals(30, $timers->firstWhere('kind', 'stands')['planned']);

        $this->send("{$run}/end")
            ->assertUnprocessable()
            ->assertJsonPath('codes', [
                'service.flow_first',
                'service.still_off',
                'service.still_off',
                'service.still_off',
            ]);
        $this->send("{$run}/steps/{$step('service.step_on_again')}")->assertUnprocessable();
        $this->send("{$run}/steps/{$step('service.step_look_at_returns')}")->assertUnprocessable();
        $this->send("{$run}/flow", [])->assertUnprocessable();
        $this->send("{$run}/flow", ['flow_l_h' => '0'])->assertUnprocessable();

        // Another takes it up.
        $helper = $this->person('helper@yard.example', Role::Helper);
        $this->actingAs($helper);
        foreach (range($step('service.step_pump_off') + 1, $step('service.step_pump_on')) as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        self::assertTrue($pump()->running);
        $this->send("{$run}/end")->assertUnprocessable();
        $seen = $this->send("{$run}/flow", ['flow_l_h' => '5800'])
            ->assertOk()
            ->json();
        self::assertSame('Helper', $seen['steps'][$step('service.step_look_at_returns')]['by']);
        foreach ([$step('service.step_on_again'), $step('service.step_on_again') + 1] as $at) {
            $this->send("{$run}/steps/{$at}")->assertOk();
        }
        $this->send("{$run}/end", ['cost' => '4', 'note' => 'much mud'])
            ->assertOk()
            ->assertJsonPath('ended', true)
            ->assertJsonPath('after.0.code', 'service.test_after');
        $this->send("{$run}/end")->assertOk();
        self::assertSame([], $this->getJson('/api/timers')->json());
        self::assertSame(6, Switching::query()->count());
        self::assertSame('alternate', Stage::query()->where('name', 'Lamp')->firstOrFail()->lamp_state, 'as it was');

        // Half the mats in system water: half of 10 % of all there is.
        $setback = Setback::query()->firstOrFail();
        self::assertEqualsWithDelta(5.0, $setback->lost_pct, 1e-6);
        self::assertSame(300.0, WaterChange::query()->firstOrFail()->litres);
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        self::assertSame('early', $this->job('Mats', 'wash_pads')['stands']);
        self::assertSame(
            'Mats: wash the mats, much mud',
            $this->getJson('/api/systems/long-vat/service')->json('done.0.text'),
        );
    }

    /** In the shed without signal: the pump stood for as long as it stood there, not for the moment of sending. */
    public function test_steps_that_waited_for_the_signal_switch_when_they_were_done(): void
    {
        $run = $this->key();
        $begin = ['job' => 'wash_pads', 'part' => $this->part('stage', 'Mats'), 'way' => 'stop'];
        $codes = array_column($this->send($run, $begin)->assertOk()->json('steps'), 'code');
        $step = static fn(string $code): int => (int) array_search($code, $codes, true);
        $made = now();
        $this->travelTo('2026-05-04 12:00');
        $later = fn(int $minutes): self => $this->withHeader(
            'X-Made-At',
            $made->copy()->addMinutes($minutes)->utc()->format('Y-m-d\TH:i:s\Z'),
        );
        foreach (range(0, $step('service.step_pump_off')) as $at) {
            $later(5)
                ->send("{$run}/steps/{$at}")
                ->assertOk();
        }
        foreach (range($step('service.step_pump_off') + 1, $step('service.step_pump_on')) as $at) {
            $later(155)
                ->send("{$run}/steps/{$at}")
                ->assertOk();
        }
        $pump = Pump::query()->where('name', 'Pump')->firstOrFail();
        $times = Switching::query()->where('part_id', $pump->id)->orderBy('happened_at')->pluck('happened_at');
        self::assertSame(
            ['2026-05-04 08:05', '2026-05-04 10:35'],
            $times->map(static fn(Carbon $at): string => $at->format('Y-m-d H:i'))->all(),
        );
        // Two and a half hours without flow cost the filter something, whenever it is heard of.
        self::assertGreaterThan(0.0, Setback::query()->whereNotNull('switching_id')->sum('lost_pct'));
    }

    public function test_what_was_done_can_be_told_afterwards_and_taken_back_with_all_that_followed(): void
    {
        $told = $this->key();
        $this->travelTo('2026-05-10 12:00');
        $this->send($told, [
            'job' => 'wash_pads',
            'part' => $this->part('stage', 'Mats'),
            'way' => 'told',
            'rinse' => 'chlorinated',
            'at' => '2026-05-09T10:00',
        ])
            ->assertOk()
            ->assertJsonPath('ended', true);
        self::assertEqualsWithDelta(30.0, Setback::query()->firstOrFail()->lost_pct, 1e-6);
        self::assertSame(
            '2026-05-09',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        $warns = array_column($this->job('Mats', 'wash_pads')['warns'], 'code');
        self::assertContains('service.two_in_a_week', $warns);

        $sleeve = $this->key();
        $this->send($sleeve, [
            'job' => 'wipe_sleeve',
            'part' => $this->part('stage', 'Lamp'),
            'way' => 'told',
        ])->assertOk();
        $lamp = fn(): ?string => Stage::query()->where('name', 'Lamp')->firstOrFail()->sleeve_wiped_on?->toDateString();
        self::assertSame('2026-05-10', $lamp());

        foreach ([$sleeve, $told] as $id) {
            $this->deleteJson("/api/systems/long-vat/services/{$id}")->assertOk();
            $this->deleteJson("/api/systems/long-vat/services/{$id}")->assertOk();
        }
        self::assertSame('2026-05-01', $lamp());
        self::assertSame(
            '2026-05-01',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        self::assertSame(0, Setback::query()->count());
        self::assertSame(0, WaterChange::query()->whereNull('withdrawn_at')->count());
        self::assertSame(0, Flush::query()->whereNull('withdrawn_at')->count());
        self::assertSame([], $this->getJson('/api/systems/long-vat/service')->json('done'));
    }

    public function test_a_line_tells_what_was_done_and_takes_it_back(): void
    {
        $line = fn(string $text, ?string $id = null): TestResponse => $this->postJson('/api/systems/long-vat/log', [
            'line' => $text,
            'id' => $id ?? $this->key(),
        ]);
        $id = $this->key();
        $line('clean mats am .1 yesterday 19:00', $id)->assertUnprocessable();
        $line('am .1 clean mats', $id)
            ->assertCreated()
            ->assertJsonPath('besides', ['a service']);
        $line('am .1 clean mats', $id)->assertOk();
        self::assertSame(1, Service::query()->count());
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );
        $this->deleteJson("/api/systems/long-vat/log/{$id}")->assertNoContent();
        self::assertSame(
            '2026-05-01',
            Stage::query()->where('name', 'Mats')->firstOrFail()->cleaned_on?->toDateString(),
        );

        $line('wipe uv')->assertCreated();
        self::assertSame(
            '2026-05-04',
            Stage::query()->where('kind', 'uv')->firstOrFail()->sleeve_wiped_on?->toDateString(),
        );
        $line('vacuum bay note much mud')->assertCreated();
        $line('flush mats 5s')->assertUnprocessable();
        $line('clean')->assertUnprocessable();
        $line('clean nothing')->assertUnprocessable();
        self::assertSame(600.0, WaterChange::query()->whereNull('withdrawn_at')->firstOrFail()->litres);
    }

    public function test_before_most_of_a_filter_goes_the_model_says_what_would_follow(): void
    {
        Stage::query()
            ->where('name', 'Mats')
            ->update(['since' => '2025-03-01']);
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 45,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $this->putJson('/api/systems/long-vat/feed', ['feed_g_d' => '120', 'protein_pct' => '40'])->assertOk();
        FeedFigure::query()->update(['since' => '2025-03-01']);
        $this->postJson('/api/systems/long-vat/log', ['line' => 'am .1 ni .05 ph 7.8 t 20 kh 8', 'id' => $this->key()]);
        $said = fn(): array => array_column($this->job('Mats', 'wash_pads')['warns'], 'text', 'code');
        self::assertArrayNotHasKey('service.strips_all', $said());
        $this->putJson("/api/systems/long-vat/filter/setbacks/{$this->key()}", [
            'kind' => 'hosed_chlorinated',
            'share_pct' => '100',
            'happened_on' => '2026-05-02',
        ])->assertOk();
        $texts = $said();
        self::assertArrayHasKey('service.strips_all', $texts);
        $follows = $texts['service.strip_follows'] ?? ($texts['service.strip_stays'] ?? '');
        self::assertMatchesRegularExpression('/ammonia up to ([\d.]+) mg/', $follows);
        preg_match('/ammonia up to ([\d.]+) mg/', $follows, $found);
        // More than stands there now, and no more than 21 days of all that is fed.
        self::assertGreaterThan(0.3, (float) $found[1]);
        self::assertLessThan((21 * 120 * 0.4 * 92) / 6, (float) $found[1]);
    }

    public function test_draining_it_holds_the_fish_for_as_long_as_their_tub_lets_them(): void
    {
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 45,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $tap = $this->key();
        $this->putJson("/api/waters/{$tap}", ['name' => 'Tap', 'kind' => 'tap', 'softened' => 'no'])->assertOk();
        $this->system->update(['water_id' => $tap]);
        $this->postJson('/api/systems/long-vat/log', ['line' => 'am .1 ph 7.8 t 20 do 8', 'id' => $this->key()]);
        $page = fn(string $query): TestResponse => $this->getJson(
            "/api/systems/long-vat/service/whole/drain_clean{$query}",
        )->assertOk();

        $unnamed = $page('');
        $least = (float) $unnamed->json('least_tub_l');
        $stays = fn(float $tub): float => (float) $page("?tub_l={$tub}")->json('stays_h');
        // In the smallest tub that is told they stay as long as the work takes, in half of it half as long.
        self::assertGreaterThanOrEqual(5.0, $stays($least));
        self::assertLessThan(5.5, $stays($least));
        self::assertEqualsWithDelta($stays($least) / 2, $stays($least / 2), 0.01);
        // Against the calculator itself.
        self::assertEqualsWithDelta(
            $this->postJson('/api/calc/fish.shut_off', [
                'volume_l' => 1000,
                'biomass_kg' => $unnamed->json('fish_kg'),
                'temp_c' => 20,
                'ph' => 7.8,
                'tan_mg_l' => 0.1,
                'aired' => 'yes',
                'nh3_limit_mg_l' => 0.02,
            ])->json('figures.hours_to_ammonia'),
            $stays(1000),
            1e-9,
        );
        self::assertSame(['service.big_tub_small', 'service.big_tub_air'], $this->tub($page('?tub_l=200')));
        self::assertSame(['service.big_tub_stays', 'service.big_tub_air'], $this->tub($page('?tub_l=4000')));
        $page('?tub_l=much')->assertJsonStructure(['errors' => ['tub_l']]);
        $this->getJson('/api/systems/long-vat/service/whole/wash_pads')->assertNotFound();

        // Begun and carried through it is a change of water like any other, and nothing makes it due.
        $run = $this->key();
        $begun = $this->send($run, [
            'job' => 'drain_clean',
            'part' => "system:{$this->system->id}",
            'way' => 'stop',
            'tub_l' => '4000',
            'hours' => '3',
        ])->assertOk();
        self::assertSame(180, $begun->json('planned_min'));
        self::assertSame($page('?tub_l=4000&hours=3')->json('steps.1.text'), $begun->json('steps.1.text'));
        self::assertStringContainsString('conditioner', implode(' ', array_column($begun->json('steps'), 'text')));
        $this->send("{$run}/end")
            ->assertUnprocessable()
            ->assertJsonPath('codes.0', 'service.flow_first');
        $this->send("{$run}/flow", ['seen' => 'yes'])->assertOk();
        $this->send("{$run}/end")
            ->assertOk()
            ->assertJsonPath('ended', true);
        self::assertEqualsWithDelta($begun->json('water_l'), WaterChange::query()->firstOrFail()->litres, 1e-6);
        self::assertSame([], $this->job('Long Vat', 'drain_clean'), 'nothing makes it due');
    }

    /** @return list<string> codes of what is said of the tub */
    private function tub(TestResponse $page): array
    {
        return array_values(
            array_filter(
                array_column($page->json('steps'), 'code'),
                static fn(string $code): bool => str_starts_with($code, 'service.big_tub'),
            ),
        );
    }
}
