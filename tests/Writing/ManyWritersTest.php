<?php

declare(strict_types=1);

namespace Tests\Writing;

use App\Models\Charge;
use App\Models\Dose;
use App\Models\Good;
use App\Models\Note;
use App\Models\WaterChange;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Verdict;

/**
 * Eight clients book doses, changes, charges and edits against one system, rounds on end, in an order that a seed
 * decides. Whatever each of them is told, the book holds together.
 */
final class ManyWritersTest extends Yard
{
    private const SEED = 20261128;

    private const CLIENTS = 8;

    /** What anything of it may stand at, mg/L: that of its table, and copper at a hundredth of alkalinity 143. */
    private const CEILINGS = ['praziquantel' => 2.5, 'copper_sulfate' => 1.43, 'salt' => 8000.0];

    public function test_no_refused_pair_no_ceiling_nothing_twice_nothing_lost_and_no_fault(): void
    {
        $rounds = getenv('FULL') === '1' ? 500 : 40;
        mt_srand(self::SEED);
        $clients = $this->clients();
        $this->goodWater($clients[0]);
        Good::query()->create([
            'id' => self::id(),
            'site_id' => $this->site->id,
            'kind' => 'carbon',
            'name' => 'Carbon',
            'unit' => 'g',
            'amount' => 1e6,
            'label' => [],
        ]);
        $told = ['booked' => 0, 'refused' => 0];
        $acknowledged = [];
        for ($round = 0; $round < $rounds; $round++) {
            $requests = [];
            foreach ($clients as $client) {
                [$method, $uri, $body, $id] = $this->deed();
                $requests[] = [$client, $method, $uri, $body, $id];
                // Now and then somebody's answer is lost, and it is sent again with the same key.
                if (mt_rand(0, 9) === 0) {
                    $requests[] = [$client, $method, $uri, $body, $id];
                }
            }
            $answers = Client::together(array_map(static fn(array $one): array => array_slice($one, 0, 4), $requests));
            foreach ($answers as $i => $answer) {
                self::assertContains($answer['status'], [200, 422], "{$requests[$i][2]}: {$answer['body']}");
                $told[$answer['status'] === 200 ? 'booked' : 'refused']++;
                if ($answer['status'] === 200) {
                    $acknowledged[$requests[$i][4]] = $requests[$i][2];
                }
            }
            if ($round % 8 === 7) {
                $this->holdsTogether();
                $this->wash();
            }
        }
        $this->holdsTogether();
        $this->nothingIsLost($acknowledged);
        fprintf(
            STDERR,
            "%d rounds of %d writers: %d booked, %d refused\n",
            $rounds,
            self::CLIENTS,
            ...array_values($told),
        );
        self::assertGreaterThan($rounds, $told['booked']);
    }

    /** @return list<Client> */
    private function clients(): array
    {
        $tag = strtolower(self::id());
        $clients = [];
        for ($i = 0; $i < self::CLIENTS; $i++) {
            $this->people["p{$i}"] = $this->person("p{$i}", $tag);
            $clients[] = $this->client("p{$i}");
        }

        return $clients;
    }

    /** @return array{string, string, array<string, mixed>, string} method, address, what is sent, its key */
    private function deed(): array
    {
        $id = self::id();
        $again = mt_rand(0, 1) === 1 ? 'yes' : 'no';
        $pick = static fn(array $of): mixed => $of[mt_rand(0, count($of) - 1)];

        return match (mt_rand(0, 5)) {
            0, 1, 2 => [
                'PUT',
                $this->at("doses/{$id}"),
                [
                    'again' => $again,
                    'reason' => 'at once',
                    ...$pick([
                        ['thing' => 'formalin', 'dose_mg_l' => '15'],
                        ['thing' => 'potassium_permanganate'],
                        ['thing' => 'praziquantel'],
                        ['thing' => 'copper_sulfate'],
                        ['thing' => 'salt', 'target_g_l' => '2'],
                        ['thing' => 'chloramine_t'],
                    ]),
                ],
                $id,
            ],
            3 => ['PUT', $this->at("changes/{$id}"), ['kind' => 'batch', 'change_pct' => '5', 'again' => $again], $id],
            4 => [
                'PUT',
                $this->at("charges/{$id}"),
                ['kind' => $pick(['carbon', 'zeolite']), 'mass_g' => '100', 'again' => $again],
                $id,
            ],
            default => ['PUT', $this->at("notes/{$id}"), ['words' => "Looked at, {$id}."], $id],
        };
    }

    private function holdsTogether(): void
    {
        $conflicts = new Conflicts(Library::shipped()->agents());
        $doses = Dose::query()->where('system_id', $this->system->id)->whereNull('withdrawn_at')->get();
        $things = $doses->pluck('thing')->unique()->values()->all();
        if (Charge::in($this->system)->where('kind', 'zeolite')->exists()) {
            $things[] = 'zeolite';
        }
        foreach ($things as $i => $one) {
            foreach (array_slice($things, $i + 1) as $other) {
                self::assertNotSame(
                    Verdict::Refused,
                    $conflicts->pair($one, $other)->verdict,
                    "{$one} and {$other} are both in the water",
                );
            }
        }
        foreach (self::CEILINGS as $thing => $ceiling) {
            self::assertLessThanOrEqual(
                1.002 * $ceiling,
                // Changes only take of it: all that was given is more than can be there.
                $this->standing($thing),
                "{$thing} stands too high",
            );
        }
        $drawn = 1e6 - (float) Good::query()->where('site_id', $this->site->id)->sum('amount');
        $hung = (float) Charge::query()->where('system_id', $this->system->id)->where('kind', 'carbon')->sum('mass_g');
        self::assertEqualsWithDelta($hung, $drawn, 1e-3, 'what hangs in the loop was counted off the shelf');
    }

    /** What stands in the water of a thing, by what was given and changed, mg/L, nothing fading by itself. */
    private function standing(string $thing): float
    {
        $level = 0.0;
        $events = Dose::query()
            ->where('system_id', $this->system->id)
            ->where('thing', $thing)
            ->whereNull('withdrawn_at')
            ->get()
            ->map(static fn(Dose $dose): array => [$dose->given_at->format('U.u'), (float) $dose->mg_l, 0.0])
            ->concat(
                WaterChange::query()
                    ->where('system_id', $this->system->id)
                    ->whereNull('withdrawn_at')
                    ->get()
                    ->map(
                        static fn(WaterChange $change): array => [
                            $change->changed_at->format('U.u'),
                            0.0,
                            $change->litres / $change->volume_l,
                        ],
                    ),
            )
            ->sortBy(static fn(array $event): string => $event[0]);
        $most = 0.0;
        foreach ($events as [, $added, $taken]) {
            $level = $level * (1 - $taken) + $added;
            $most = max($most, $level);
        }

        return $most;
    }

    /** Everything out again, as if weeks had passed, so that the next rounds find clear water. */
    private function wash(): void
    {
        Dose::query()
            ->where('system_id', $this->system->id)
            ->update(['withdrawn_at' => now()]);
        Charge::query()
            ->where('system_id', $this->system->id)
            ->update(['taken_out_at' => now()]);
        WaterChange::query()
            ->where('system_id', $this->system->id)
            ->update(['withdrawn_at' => now()]);
    }

    /** @param  array<string, string>  $acknowledged  address by key */
    private function nothingIsLost(array $acknowledged): void
    {
        $kinds = [
            'doses' => Dose::class,
            'changes' => WaterChange::class,
            'charges' => Charge::class,
            'notes' => Note::class,
        ];
        $found = 0;
        foreach ($kinds as $path => $class) {
            $keys = array_keys(
                array_filter($acknowledged, static fn(string $uri): bool => str_contains($uri, "/{$path}/")),
            );
            $booked = $class::query()->where('system_id', $this->system->id)->pluck('id')->all();
            self::assertSame([], array_values(array_diff($keys, $booked)), "{$path} that were acknowledged are lost");
            // A charge of zeolite may come of a dose; here none does, so nothing else may stand there.
            self::assertSame([], array_values(array_diff($booked, $keys)), "{$path} stand that nobody was told of");
            $found += count($booked);
        }
        self::assertSame(count($acknowledged), $found);
    }
}
