<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Good;
use App\Models\System;
use App\Models\User;
use Database\Factories\SiteFactory;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What is due, as a page and as a feed that other programmes read. */
final class CalendarTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->owner);
        $this->travelTo('2026-10-20 08:00:00');
        (new LayBuild())->lay($this->system, [
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 200,
                    'flow_l_h' => 6000,
                    'cleaned_on' => '2026-09-25',
                ],
            ],
        ]);
        $this->postJson('/api/systems/long-vat/log', ['line' => 'am .1 ni .05 ph 7.8 t 16', 'id' => $this->key()]);
        Good::query()->create([
            'site_id' => $this->site->id,
            'kind' => 'salt',
            'name' => 'Salt',
            'label' => [],
            'expires_on' => '2026-10-30',
        ]);
    }

    private function key(): string
    {
        return strtoupper((string) \Illuminate\Support\Str::ulid());
    }

    /** @return array<string, list<string>> texts by day */
    private function days(): array
    {
        return collect($this->getJson('/api/calendar')->assertOk()->json('days'))
            ->mapWithKeys(static fn(array $day): array => [$day['day'] => array_column($day['items'], 'text')])
            ->filter()
            ->all();
    }

    public function test_each_stands_on_its_day_and_what_is_over_stands_before_them(): void
    {
        self::assertSame(
            [
                '2026-10-25' => ['Mats: wash the mats'],
                '2026-10-27' => ['Test ammonia, nitrite, pH, temperature'],
                '2026-10-30' => ['Salt expires'],
            ],
            array_intersect_key($this->days(), ['2026-10-25' => 0, '2026-10-27' => 0, '2026-10-30' => 0]),
        );
        $this->travelTo('2026-10-27 09:00:00');
        self::assertContains(
            'Mats: wash the mats',
            array_column($this->getJson('/api/calendar')->json('late'), 'text'),
        );
        $other = SiteFactory::new()->createOne(['name' => 'Theirs']);
        $this->actingAs($this->person('theirs@yard.example', $this->owner->role, $other));
        self::assertSame([], $this->days());
    }

    /** Read back by another library: every event whole, again after its interval, at its hour when clocks change. */
    public function test_the_feed_is_read_by_another_programme(): void
    {
        $url = $this->postJson('/api/calendar/feed')->assertOk()->json('url');
        $path = (string) parse_url((string) $url, PHP_URL_PATH);
        $this->app?->make('auth')->forgetGuards();
        $feed = $this->get($path)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $read = new Process(['/usr/bin/python3', '-c', self::READ]);
        $read->setInput((string) $feed->getContent())->mustRun();
        /** @var array{zone: list<string>, events: list<array<string, mixed>>} $calendar */
        $calendar = json_decode($read->getOutput(), true, flags: JSON_THROW_ON_ERROR);

        self::assertSame(['Europe/London'], $calendar['zone']);
        $events = array_column($calendar['events'], null, 'summary');
        $wash = $events['Long Vat: Mats: wash the mats'];
        self::assertSame(['2026-10-25', 30, true], [$wash['start'], $wash['every'], $wash['alarm']]);
        $test = $events['Long Vat: Test ammonia, nitrite, pH, temperature'];
        // 08:00 UTC is 9 in the morning in summer; a week later, in winter, it is 8 by the same clock.
        self::assertSame('2026-10-27T08:00:00+00:00', $test['start']);
        self::assertSame(7, $test['every']);
        self::assertCount(count($calendar['events']), array_unique(array_column($calendar['events'], 'uid')));
    }

    private const READ = <<<'PY'
    import json, sys, icalendar
    calendar = icalendar.Calendar.from_ical(sys.stdin.buffer.read())
    events = []
    for event in calendar.walk("VEVENT"):
        rule = event.get("RRULE")
        events.append({
            "uid": str(event["UID"]),
            "summary": str(event["SUMMARY"]),
            "start": event["DTSTART"].dt.isoformat(),
            "every": rule["INTERVAL"][0] if rule else None,
            "alarm": len(event.walk("VALARM")) == 1,
        })
    print(json.dumps({"zone": [str(z["TZID"]) for z in calendar.walk("VTIMEZONE")], "events": events}))
    PY;

    public function test_an_address_that_was_taken_back_leads_nowhere(): void
    {
        $open = fn(): string => (string) parse_url(
            (string) $this->postJson('/api/calendar/feed')->json('url'),
            PHP_URL_PATH,
        );
        $first = $open();
        $second = $open();
        $this->get($first)->assertNotFound();
        $this->get($second)->assertOk();
        self::assertTrue($this->getJson('/api/calendar')->json('followed'));
        self::assertStringNotContainsString(
            (string) User::query()->findOrFail($this->owner->id)->calendar_key,
            $second,
        );
        $this->deleteJson('/api/calendar/feed')->assertOk();
        $this->get($second)->assertNotFound();
        $this->get('/api/calendar/feed/' . str_repeat('a', 40))->assertNotFound();
    }

    public function test_a_site_without_systems_has_an_empty_calendar(): void
    {
        System::query()->update(['asleep_since' => now()]);
        Good::query()->delete();
        self::assertSame([], $this->days());
        self::assertSame([], $this->getJson('/api/calendar')->json('late'));
    }
}
