<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FishGroup;
use App\Models\SchoolChoice;
use Ironwort\Core\Catalogue\Library;
use Tests\TestCase;

/** Where keepers differ: what another school would change is shown first, is what then comes, and nothing is kept. */
final class SchoolsTest extends TestCase
{
    use DosedBays {
        setUp as private laid;
    }

    protected function setUp(): void
    {
        $this->travelTo('2026-06-01 09:00');
        $this->laid();
        FishGroup::query()->create([
            'site_id' => $this->site->id,
            'system_id' => $this->system->id,
            'name' => 'Koi',
            'count' => 10,
            'length_cm' => 40,
            'condition' => 1.5,
            'position' => 0,
        ]);
        $this->postJson('/api/systems/long-vat/log', [
            'id' => strtoupper((string) \Illuminate\Support\Str::ulid()),
            'line' => 'am 0.1 ni 0 na 12 ph 7.6 t 20 kh 6 do 8',
        ])->assertCreated();
    }

    /** @return array<string, array{list<string>, list<string>}> what was and is, by what it is of */
    private function trial(string $topic, string $school): array
    {
        $rows = $this->getJson("/api/systems/long-vat/schools/{$topic}/trial?school={$school}")
            ->assertOk()
            ->json('rows');

        return array_map(
            static fn(array $row): array => [$row['was'], $row['is']],
            array_combine(array_column($rows, 'of'), $rows),
        );
    }

    public function test_a_trial_says_what_changes_and_keeps_nothing(): void
    {
        $changes = [
            ['incident_change', 'small', 'If ammonia were 1 mg/L'],
            ['culture', 'none', 'If ammonia were 1 mg/L'],
            ['ammonia', 'dilute', 'If ammonia were 1 mg/L'],
            ['trouble_feed', 'none_week', 'If ammonia were 1 mg/L'],
            ['salt', 'never', 'If nitrite were 1 mg/L'],
            ['oxygen_source', 'pump', 'If they gasped'],
            ['parasites', 'tolerate', 'If they rubbed in good water'],
            ['intake', 'high_sponge', 'If the water were murky'],
            ['clear_water', 'wanted', 'If the water were green'],
            ['total_ammonia', 'half', 'Ammonia, limits'],
            ['nitrate', 'ten', 'Nitrate, limits'],
            ['hold_ammonia', 'none', 'Start with fish'],
            ['lava', 'good', 'Filters that would carry it'],
            ['filter_size', 'four_times', 'Filters that would carry it'],
            ['service_how', 'hosed', 'Media are washed'],
        ];
        foreach ($changes as [$topic, $school, $of]) {
            $rows = $this->trial($topic, $school);
            self::assertArrayHasKey($of, $rows, "{$topic}: {$school} changes " . implode(', ', array_keys($rows)));
            self::assertNotSame([[], []], $rows[$of]);
        }
        self::assertSame(0, SchoolChoice::query()->count());
    }

    public function test_what_was_tried_is_what_comes_and_the_way_back_is_its_mirror(): void
    {
        $tried = $this->trial('incident_change', 'large');
        $this->putJson('/api/systems/long-vat/schools/incident_change', ['school' => 'large'])->assertOk();
        $back = $this->trial('incident_change', 'usual');
        self::assertSame(array_keys($tried), array_keys($back));
        foreach ($tried as $of => [$was, $is]) {
            self::assertSame([$is, $was], $back[$of]);
        }
        self::assertSame([], $this->trial('incident_change', 'large'));
    }

    public function test_each_topic_names_its_default_and_why_and_each_school_its_risk(): void
    {
        $topics = $this->getJson('/api/systems/long-vat/limits')->assertOk()->json('topics');
        self::assertGreaterThanOrEqual(20, count($topics));
        foreach ($topics as $topic) {
            self::assertSame($topic['usual'], $topic['follows']);
            self::assertNotContains('', [$topic['why'], ...array_column($topic['schools'], 'risk')]);
        }
        self::assertSame(array_keys(Library::shipped()->schools()->topics), array_column($topics, 'id'));
    }

    public function test_a_school_that_is_not_there_is_refused_at_its_field(): void
    {
        foreach (['nitrate/trial?school=none', 'none/trial?school=usual'] as $asked) {
            $this->getJson("/api/systems/long-vat/schools/{$asked}")
                ->assertUnprocessable()
                ->assertJsonStructure(['errors' => ['school']]);
        }
    }

    public function test_a_new_lamp_burns_as_the_school_uses_it(): void
    {
        $lamp = fn(string $name): string => $this->putJson('/api/systems/long-vat/stages/' . self::stageKey($name), [
            'name' => $name,
            'kind' => 'uv',
            'lamp_w' => '40',
            'flow_l_h' => '5000',
        ])
            ->assertOk()
            ->json('id') ?? '';
        $lamp('First');
        $this->putJson('/api/systems/long-vat/schools/uv_use', ['school' => 'bloom'])->assertOk();
        $lamp('Second');
        $state = $this->system->stages()->orderBy('name')->where('kind', 'uv')->pluck('lamp_state', 'name')->all();
        self::assertSame(['First' => 'on', 'Second' => 'off'], $state);
    }

    private static function stageKey(string $name): string
    {
        return $name === 'First' ? '01J0000000000000000000VVV1' : '01J0000000000000000000VVV2';
    }
}
