<?php

declare(strict_types=1);

namespace Tests\Writing;

use App\Http\ClientKey;
use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\Good;
use App\Models\WaterChange;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Verdict;

/** Two connections at the same instant. */
final class AtOnceTest extends Yard
{
    private const MORE = [
        'hydrogen_peroxide' => ['way' => 'bath', 'strength_pct' => '3'],
        'methylene_blue' => ['way' => 'bath'],
        'salt' => ['target_g_l' => '1'],
        'binder' => ['label_ml' => '5', 'label_treats_l' => '100', 'label_binds_mg_l' => '1', 'tan_mg_l' => '1'],
    ];

    public function test_of_every_refused_pair_one_is_booked(): void
    {
        $library = Library::shipped();
        $conflicts = new Conflicts($library->agents());
        $agents = [...array_keys($library->agents()->agents), 'binder'];
        [$ann, $ben] = [$this->client('ann'), $this->client('ben')];
        $tried = 0;
        foreach ($agents as $i => $one) {
            foreach (array_slice($agents, $i + 1) as $other) {
                if ($conflicts->pair($one, $other)->verdict !== Verdict::Refused) {
                    continue;
                }
                // A system of their own for each pair, so that nothing is left of the last.
                $this->system = $this->systemNamed("{$one} {$other}", strtolower(self::id()));
                $this->goodWater($ann);
                $give = fn(Client $who, string $thing): array => [
                    $who,
                    'PUT',
                    $this->at('doses/' . self::id()),
                    ['thing' => $thing, 'reason' => 'at once', ...self::MORE[$thing] ?? []],
                ];
                $answers = Client::together([$give($ann, $one), $give($ben, $other)]);
                $statuses = array_column($answers, 'status');
                sort($statuses);
                self::assertSame([200, 422], $statuses, "{$one} and {$other}: " . json_encode($answers));
                self::assertSame(1, Dose::query()->where('system_id', $this->system->id)->count());
                $tried++;
            }
        }
        self::assertGreaterThanOrEqual(8, $tried);
    }

    public function test_the_same_dose_by_two_people_is_one_and_the_second_is_told_by_whom(): void
    {
        [$ann, $ben] = [$this->client('ann'), $this->client('ben')];
        $this->goodWater($ann);
        $give = fn(Client $who): array => [
            $who,
            'PUT',
            $this->at('doses/' . self::id()),
            ['thing' => 'binder', 'reason' => 'x', ...self::MORE['binder']],
        ];
        $answers = Client::together([$give($ann), $give($ben)]);
        $refused = array_values(array_filter($answers, static fn(array $answer): bool => $answer['status'] === 422));
        self::assertCount(1, $refused, (string) json_encode($answers));
        self::assertSame(['dose.same_by_another'], $refused[0]['json']['codes']);
        self::assertMatchesRegularExpression('/Ann|Ben/', $refused[0]['json']['errors']['again']);
        self::assertSame(1, Dose::query()->where('system_id', $this->system->id)->count());
        $again = $give($ben);
        $again[3]['again'] = 'yes';
        self::assertSame(200, Client::together([$again])[0]['status']);
    }

    public function test_a_course_is_topped_up_once(): void
    {
        [$ann, $ben] = [$this->client('ann'), $this->client('ben')];
        $this->goodWater($ann);
        $begun = $ann->send('PUT', $this->at('doses/' . self::id()), [
            'thing' => 'praziquantel',
            'reason' => 'flukes',
            'course' => 'yes',
        ]);
        self::assertSame(200, $begun['status'], $begun['body']);
        $change = $ann->send('PUT', $this->at('changes/' . self::id()), ['kind' => 'batch', 'change_pct' => '50']);
        self::assertSame(200, $change['status'], $change['body']);
        $course = Course::query()->where('system_id', $this->system->id)->firstOrFail();
        $topUp = fn(Client $who): array => [
            $who,
            'PUT',
            $this->at("courses/{$course->id}/doses/" . self::id()),
            ['top_up' => 'yes', 'reason' => 'x'],
        ];
        $answers = Client::together([$topUp($ann), $topUp($ben), $topUp($ann), $topUp($ben)]);
        $statuses = array_column($answers, 'status');
        sort($statuses);
        self::assertSame([200, 422, 422, 422], $statuses, (string) json_encode($answers));
        self::assertSame(2, Dose::query()->where('course_id', $course->id)->count());
    }

    public function test_two_people_who_change_the_water_at_once_changed_it_once(): void
    {
        $clients = [$this->client('ann'), $this->client('ben')];
        $answers = Client::together(
            array_map(
                fn(Client $who): array => [
                    $who,
                    'PUT',
                    $this->at('changes/' . self::id()),
                    ['kind' => 'batch', 'change_pct' => '20'],
                ],
                $clients,
            ),
        );
        $statuses = array_column($answers, 'status');
        sort($statuses);
        self::assertSame([200, 422], $statuses, (string) json_encode($answers));
        self::assertSame(1, WaterChange::query()->where('system_id', $this->system->id)->count());
    }

    public function test_every_draw_from_the_shelf_is_counted_off(): void
    {
        $ann = $this->client('ann');
        Good::query()->create([
            'id' => self::id(),
            'site_id' => $this->site->id,
            'kind' => 'carbon',
            'name' => 'Carbon',
            'unit' => 'g',
            'amount' => 5000,
            'label' => [],
        ]);
        // Two systems draw on one shelf, so that no lock of a system orders them.
        $first = $this->system;
        $second = $this->systemNamed('Other', strtolower(self::id()));
        $requests = [];
        for ($i = 0; $i < 24; $i++) {
            $slug = $i % 2 === 0 ? $first->slug : $second->slug;
            $uri = "/api/systems/{$slug}/charges/" . self::id();
            $requests[] = [$ann, 'PUT', $uri, ['kind' => 'carbon', 'mass_g' => '100']];
        }
        foreach (Client::together($requests) as $answer) {
            self::assertSame(200, $answer['status'], $answer['body']);
        }
        self::assertSame(24, Charge::query()->where('site_id', $this->site->id)->count());
        self::assertEqualsWithDelta(2600.0, Good::query()->where('site_id', $this->site->id)->sum('amount'), 1e-6);
    }

    /** On every route that takes a key of the client's, as the list of routes has them. */
    public function test_the_same_key_twice_at_once_is_one_booking_and_the_same_answer(): void
    {
        $ann = $this->client('ann');
        $this->goodWater($ann);
        $given = $this->bodies($ann);
        $routes = array_filter(
            Routes::getRoutes()->getRoutes(),
            static fn(Route $route): bool => self::keyOf($route) !== null &&
                $route->methods()[0] === 'PUT' &&
                str_ends_with($route->uri(), '/{id}'),
        );
        self::assertGreaterThan(20, count($routes));
        foreach ($routes as $route) {
            $class = (string) self::keyOf($route);
            self::assertArrayHasKey($route->uri(), $given, 'a route that takes a key has nothing to send here');
            [$parameters, $body] = $given[$route->uri()];
            $id = self::id();
            $uri = '/' . strtr($route->uri(), ['{system}' => $this->system->slug, ...$parameters, '{id}' => $id]);
            $answers = Client::together(array_fill(0, 4, [$ann, 'PUT', $uri, $body]));
            foreach ($answers as $answer) {
                self::assertSame(200, $answer['status'], "{$uri}: {$answer['body']}");
                // Curves and what lives in the filter are reckoned to the instant, which passes between them.
                self::assertEqualsWithDelta(
                    self::inMinutes($answers[0]['json']),
                    self::inMinutes($answer['json']),
                    2.0,
                    "{$uri} answers otherwise",
                );
            }
            self::assertSame(1, $class::query()->whereKey($id)->count(), $uri);
        }
    }

    /** An answer with its instants as minutes, so that two of them may lie a little apart. */
    private static function inMinutes(mixed $answer): mixed
    {
        if (is_array($answer)) {
            return array_map(self::inMinutes(...), $answer);
        }
        $instant = is_string($answer) && preg_match('/^\d{4}-\d\d-\d\dT[\d:.]+Z$/', $answer) === 1;

        return $instant ? strtotime($answer) / 60 : $answer;
    }

    private static function keyOf(Route $route): ?string
    {
        foreach ($route->gatherMiddleware() as $middleware) {
            if (is_string($middleware) && str_starts_with($middleware, ClientKey::class . ':')) {
                return substr($middleware, strlen(ClientKey::class) + 1);
            }
        }

        return null;
    }

    /** @return array<string, array{array<string, string>, array<string, mixed>}> parameters and body, by address */
    private function bodies(Client $ann): array
    {
        $put = function (string $uri, array $body) use ($ann): string {
            $id = self::id();
            $answer = $ann->send('PUT', str_replace('{id}', $id, $uri), $body);
            self::assertSame(200, $answer['status'], "{$uri}: {$answer['body']}");

            return $id;
        };
        $vessel = $this->system->vessels()->firstOrFail()->id;
        $stage = [
            'name' => 'Mat',
            'kind' => 'matting',
            'medium' => 'coarse_matting',
            'media_l' => '50',
            'flow_l_h' => '4000',
        ];
        $mat = $put($this->at('stages/{id}'), $stage);
        $group = $put($this->at('fish/{id}'), ['name' => 'Koi', 'count' => '30', 'length_cm' => '40']);
        $water = $put('/api/waters/{id}', ['name' => 'Well', 'kind' => 'well', 'unit_name' => '']);
        $put($this->at('doses/{id}'), ['thing' => 'praziquantel', 'reason' => 'x', 'course' => 'yes']);
        $put($this->at('changes/{id}'), ['kind' => 'batch', 'change_pct' => '30']);
        $course = Course::query()->where('system_id', $this->system->id)->firstOrFail()->id;
        foreach ([21, 15, 9, 3] as $ago) {
            $at = now()->subDays($ago)->toIso8601ZuluString();
            $answer = $ann->send('POST', $this->at('visits'), [
                'id' => self::id(),
                'taken_at' => $at,
                'readings' => ['tan_mg_l' => ['typed' => '0.3'], 'temp_c' => ['typed' => '18']],
            ]);
            self::assertSame(201, $answer['status'], $answer['body']);
        }
        $pump = self::id();
        $air = ['name' => 'Stones', 'kind' => 'air', 'air_l_min' => '60', 'power_w' => '40'];
        $ann->send('PUT', $this->at("pumps/{$pump}"), $air);
        $shipment = $put($this->at('shipments/{id}'), ['from_whom' => 'Sedge Farm']);
        $single = $put($this->at('singles/{id}'), ['name' => 'Lady', 'group' => $group]);
        $incident = $put($this->at('incidents/{id}'), ['event' => 'power_cut']);
        // A system whose fish all go, and that has no incident open.
        $other = strtolower(self::id());
        $this->systemNamed('Left', $other);
        $put("/api/systems/{$other}/fish/{id}", ['name' => 'Koi', 'count' => '3', 'length_cm' => '40']);
        $s = 'api/systems/{system}/';

        return [
            'api/goods/{id}' => [[], ['kind' => 'salt', 'name' => 'Salt', 'unit' => 'g', 'amount' => '9000']],
            'api/kits/{id}' => [[], ['name' => 'pH kit', 'kind' => 'drops', 'parameter' => 'ph', 'steps' => '6 7 8']],
            'api/waters/{id}' => [[], ['name' => 'Tap', 'kind' => 'tap', 'unit_name' => '']],
            'api/waters/{water}/tests/{id}' => [
                ['{water}' => $water],
                ['side' => 'raw', 'readings' => ['temp_c' => ['typed' => '12', 'unit' => 'c']]],
            ],
            'api/rounds/{id}' => [[], []],
            "{$s}changes/{id}" => [[], ['kind' => 'topup', 'change_l' => '100']],
            "{$s}charges/{id}" => [[], ['kind' => 'carbon', 'mass_g' => '500']],
            "{$s}courses/{course}/doses/{id}" => [['{course}' => $course], ['top_up' => 'yes', 'reason' => 'x']],
            "{$s}doses/{id}" => [[], ['thing' => 'binder', 'reason' => 'x', ...self::MORE['binder']]],
            "{$s}feeds/{id}" => [[], ['feed_g' => '100']],
            "{$s}filter/runs/{id}" => [[], []],
            "{$s}filter/setbacks/{id}" => [[], ['kind' => 'hosed']],
            "{$s}filter/flushes/{id}" => [[], ['stage' => $mat]],
            "{$s}meter/{id}" => [[], ['meter_l' => '4210']],
            "{$s}switchings/{id}" => [[], ['part' => $pump, 'state' => 'off']],
            "{$s}seeds/{id}" => [[], ['kind' => 'culture']],
            "{$s}filter/tests/{id}" => [[], ['flow_l_h' => '8000', 'in_mg_l' => '0.1', 'out_mg_l' => '0.08']],
            "{$s}fish/{group}/measures/{id}" => [['{group}' => $group], ['length_cm' => '41']],
            "{$s}fish/{group}/{kind}/{id}" => [
                ['{group}' => $group, '{kind}' => 'lost'],
                ['count' => '1', 'reason' => 'x'],
            ],
            "{$s}shipments/{id}" => [[], ['from_whom' => 'Reed Farm', 'hours' => '8']],
            "{$s}shipments/{shipment}/bags/{id}" => [
                ['{shipment}' => $shipment],
                ['name' => 'Small ones', 'count' => '4', 'length_cm' => '20'],
            ],
            "{$s}singles/{id}" => [[], ['name' => 'Rusty', 'group' => $group]],
            "{$s}singles/{single}/sizes/{id}" => [['{single}' => $single], ['length_cm' => '41']],
            "{$s}looks/{id}" => [[], ['group' => $group, 'nothing' => true]],
            "{$s}moves/{id}" => [['{system}' => $other], ['to' => $this->system->slug, 'reason' => 'x']],
            "{$s}incidents/{id}" => [['{system}' => $other], ['event' => 'seen', 'signs' => ['gasping']]],
            "{$s}incidents/{incident}/ticks/{id}" => [
                ['{incident}' => $incident],
                ['step' => 'oxygen incident.air', 'words' => 'Air on.', 'what' => 'done'],
            ],
            "{$s}fish/{id}" => [[], ['name' => 'More', 'count' => '2', 'length_cm' => '30']],
            "{$s}lines/{id}" => [
                [],
                [
                    'name' => 'Fall',
                    'from' => "vessel:{$vessel}",
                    'to' => "stage:{$mat}",
                    'bore_mm' => '100',
                    'length_m' => '2',
                ],
            ],
            "{$s}junctions/{id}" => [[], ['name' => 'Tee']],
            "{$s}outlets/{id}" => [
                [],
                ['name' => 'Stone', 'pump_id' => $pump, 'to' => "vessel:{$vessel}", 'valve' => 'open'],
            ],
            "{$s}services/{id}" => [[], ['job' => 'vacuum', 'part' => "vessel:{$vessel}"]],
            "{$s}own-jobs/{id}" => [
                [],
                ['name' => 'Grease', 'part' => "vessel:{$vessel}", 'every_d' => '30', 'minutes' => '5'],
            ],
            "{$s}variants/{id}" => [[], ['name' => 'Another build']],
            "{$s}notes/{id}" => [[], ['words' => 'All well.']],
            "{$s}pumps/{id}" => [[], ['name' => 'Air', 'kind' => 'air', 'air_l_min' => '60', 'power_w' => '40']],
            "{$s}stages/{id}" => [[], [...$stage, 'name' => 'Second mat']],
            "{$s}trickles/{id}" => [[], ['flow_l_h' => '20']],
            "{$s}vessels/{id}" => [
                [],
                [
                    'name' => 'Tub',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'length_m' => '1',
                    'width_m' => '1',
                    'depth_m' => '1',
                ],
            ],
            "{$s}volumes/{id}" => [[], ['method' => 'meter', 'meter_before_l' => '10000', 'meter_after_l' => '18000']],
            "{$s}what-ifs/{id}" => [[], ['name' => 'July', 'temp_c' => '24']],
        ];
    }
}
