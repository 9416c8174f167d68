<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\System;
use App\Readings\LatestWater;
use App\State\SystemState;
use Illuminate\Testing\TestResponse;
use Ironwort\Core\Dose\Danger;
use Tests\TestCase;

/**
 * A fortnight of whatever a keeper may plan, in any order and by a seed: what is refused is refused, and what is booked
 * never leaves a water that would have been refused, nor more of anything in it than may stand.
 */
final class FortnightTest extends TestCase
{
    private const SEEDS = 3;

    private const WHOLE = 40;

    private const DEEDS_A_DAY = 6;

    private const THINGS = [
        'salt' => ['target_g_l' => [1, 2, 3, 5, 8]],
        'chloride_guard' => [],
        'formalin' => ['dose_mg_l' => [15, 20, 25], 'way' => ['prolonged']],
        'potassium_permanganate' => ['demand_mg_l' => [0, 2, 5], 'way' => ['prolonged']],
        'copper_sulfate' => ['way' => ['prolonged']],
        'chloramine_t' => ['way' => ['prolonged']],
        'praziquantel' => ['way' => ['prolonged'], 'dose_mg_l' => [2, 2.5]],
        'hydrogen_peroxide' => ['way' => ['bath'], 'strength_pct' => [3]],
        'methylene_blue' => ['way' => ['bath']],
        'binder' => ['label_ml' => [20], 'label_treats_l' => [400], 'label_binds_mg_l' => [1]],
        'bicarbonate' => ['target_alkalinity_mg_l' => [8], 'agent' => ['sodium_bicarbonate', 'sodium_carbonate']],
        'zeolite' => ['target_mg_l' => [0.05]],
    ];

    private System $vat;

    private int $n = 0;

    private int $booked = 0;

    private int $refused = 0;

    /** A vat of its own for each seed, with four koi. */
    private function vat(int $seed): void
    {
        $this->actingAs($this->owner);
        $this->vat = $this->systemOf($this->owner->site, "Vat {$seed}", "vat-{$seed}");
        (new LayBuild())->lay($this->vat, [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'tub',
                    'shape' => 'box',
                    'measures' => ['length_m' => 2, 'width_m' => 2, 'depth_m' => 1],
                    'freeboard_m' => 0,
                ],
            ],
        ]);
        $this->putJson("/api/systems/{$this->vat->slug}/fish/{$this->key()}", [
            'name' => 'Koi',
            'count' => '4',
            'length_cm' => '40',
        ])->assertOk();
    }

    public function test_no_order_of_plans_ends_in_a_water_that_would_have_been_refused(): void
    {
        $seeds = getenv('FULL') === '1' ? self::WHOLE : self::SEEDS;
        for ($seed = 1; $seed <= $seeds; $seed++) {
            mt_srand($seed);
            $this->vat($seed);
            $this->read('am .3 ni .1 na 20 ph 7.6 t 19 do 9 kh 6.7 gh 8.4 sa 0');
            for ($day = 0; $day < 14; $day++) {
                for ($i = 0; $i < self::DEEDS_A_DAY; $i++) {
                    $this->deed();
                    $this->stands("seed {$seed}, day {$day}, deed {$i}");
                    $this->travel(mt_rand(30, 360))->minutes();
                }
            }
        }
        self::assertGreaterThan(40 * $seeds, $this->booked, 'most of a fortnight was booked');
        self::assertGreaterThan(10 * $seeds, $this->refused, 'and part of it refused');
    }

    private function deed(): void
    {
        match (mt_rand(0, 9)) {
            0 => $this->read(
                sprintf('ph %.1f t %d do %.1f', mt_rand(70, 83) / 10, mt_rand(16, 26), mt_rand(60, 95) / 10),
            ),
            1 => $this->change(),
            2 => $this->trickle(),
            3 => $this->charge(),
            default => $this->dose(),
        };
    }

    private function dose(): void
    {
        $thing = array_rand(self::THINGS);
        $form = array_map(static fn(array $of): string => (string) $of[array_rand($of)], self::THINGS[$thing]);
        $page = $this->getJson(
            "/api/systems/{$this->vat->slug}/dose?" . http_build_query([...$form, 'thing' => $thing]),
        )->assertOk();
        $this->counted(
            $this->putJson("/api/systems/{$this->vat->slug}/doses/{$this->key()}", [
                ...$form,
                'thing' => $thing,
                'met' => array_column($page->json('thing.conditions') ?? [], 'code'),
                'reason' => 'by the plan',
                'again' => 'yes',
            ]),
        );
    }

    private function change(): void
    {
        $this->counted(
            $this->putJson("/api/systems/{$this->vat->slug}/changes/{$this->key()}", [
                'kind' => 'batch',
                'change_pct' => (string) [10, 30, 50][mt_rand(0, 2)],
                'again' => 'yes',
            ]),
        );
    }

    private function trickle(): void
    {
        $this->counted(
            $this->putJson("/api/systems/{$this->vat->slug}/trickles/{$this->key()}", ['pct_per_week' => '20']),
        );
    }

    private function charge(): void
    {
        $this->counted(
            $this->putJson("/api/systems/{$this->vat->slug}/charges/{$this->key()}", [
                'kind' => ['zeolite', 'resin', 'carbon'][mt_rand(0, 2)],
                'mass_g' => '500',
                'again' => 'yes',
            ]),
        );
    }

    private function read(string $line): void
    {
        $this->counted($this->postJson("/api/systems/{$this->vat->slug}/log", ['id' => $this->key(), 'line' => $line]));
    }

    private function counted(TestResponse $answer): void
    {
        self::assertContains($answer->status(), [200, 201, 422], (string) $answer->getContent());
        $answer->status() === 422 ? $this->refused++ : $this->booked++;
    }

    private function stands(string $when): void
    {
        $system = System::query()->with('site')->findOrFail($this->vat->id);
        $dangers = app(SystemState::class)->of($system, LatestWater::of($system))->dangers;
        self::assertSame(
            [],
            array_map(
                static fn(Danger $danger): string => "{$danger->message->code}: {$danger->message->text}",
                $dangers,
            ),
            $when,
        );
    }

    private function key(): string
    {
        return '01JE0000000000000000' . str_pad((string) ++$this->n, 6, '0', STR_PAD_LEFT);
    }
}
