<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Calc;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command line as others call it: one JSON object in, one out, and nothing else. */
final class ContractTest extends TestCase
{
    private const GOOD = [
        'units.convert' => ['value' => 100, 'from' => 'us_gal', 'to' => 'l', 'of' => 'volume'],
        'ammonia.unionised' => ['tan_mg_l' => 1, 'ph' => 8, 'temp_c' => 20],
        'oxygen.saturation' => ['temp_c' => 20],
        'oxygen.percent' => ['do_mg_l' => 8, 'temp_c' => 20],
        'volume.vessel' => ['shape' => 'box', 'length_m' => 2, 'width_m' => 1, 'depth_m' => 1],
        'fish.weight' => ['length_cm' => 50],
        'fish.ration' => ['weight_g' => 1500, 'temp_c' => 20, 'purpose' => 'maintenance'],
        'fish.load' => ['biomass_kg' => 50, 'feed_g_d' => 220, 'temp_c' => 18],
        'flow.gravity' => ['flow_l_h' => 10000, 'bore_mm' => 103.6, 'length_m' => 6, 'fittings_k' => 2.1],
        'flow.turnover' => ['volume_l' => 9000, 'flow_l_h' => 8200],
        'flow.pump' => [
            'curve' => [['flow_l_h' => 0, 'head_m' => 5], ['flow_l_h' => 12000, 'head_m' => 1]],
            'static_head_m' => 0.5,
            'bore_mm' => 50,
            'length_m' => 8,
            'fittings_k' => 6,
        ],
        'flow.network' => [
            'surfaces' => [['point' => 'bay', 'head_m' => 0], ['point' => 'lip', 'head_m' => 0.2]],
            'links' => [
                [
                    'name' => 'drain',
                    'kind' => 'pipe',
                    'from' => 'bay',
                    'to' => 'sump',
                    'bore_mm' => 100,
                    'length_m' => 5,
                    'fittings_k' => 2,
                ],
                [
                    'name' => 'pump',
                    'kind' => 'pump',
                    'from' => 'sump',
                    'to' => 'out',
                    'curve' => [['flow_l_h' => 0, 'head_m' => 3], ['flow_l_h' => 9000, 'head_m' => 0.5]],
                ],
                [
                    'name' => 'return',
                    'kind' => 'pipe',
                    'from' => 'out',
                    'to' => 'lip',
                    'bore_mm' => 50,
                    'length_m' => 5,
                    'fittings_k' => 4,
                ],
            ],
            'ask' => 'sump',
        ],
        'fish.shut_off' => [
            'volume_l' => 3000,
            'biomass_kg' => 30,
            'temp_c' => 20,
            'do_mg_l' => 8,
            'aired' => 'no',
            'tan_mg_l' => 0.1,
            'ph' => 7.8,
        ],
        'carbonate.co2' => ['ph' => 7.5, 'alkalinity_mg_l' => 100, 'temp_c' => 20],
        'carbonate.degas' => [
            'co2_g_d' => 120,
            'alkalinity_mg_l' => 100,
            'temp_c' => 20,
            'surface_m2' => 10,
            'devices' => [['kind' => 'stone', 'air_l_min' => 60, 'depth_m' => 0.9]],
        ],
        'oxygen.budget' => [
            'volume_l' => 9000,
            'temp_c' => 20,
            'biomass_kg' => 50,
            'feed_g_d' => 220,
            'surface_m2' => 11,
            'devices' => [['kind' => 'stone', 'air_l_min' => 80, 'depth_m' => 0.8]],
        ],
        'filter.balance' => [
            'volume_l' => 9000,
            'biomass_kg' => 50,
            'feed_g_d' => 220,
            'temp_c' => 18,
            'ph' => 7.5,
            'alkalinity_mg_l' => 90,
            'do_mg_l' => 7.8,
            'stages' => [['kind' => 'static_bed', 'medium' => 'floating_bead', 'media_l' => 200, 'flow_l_h' => 9000]],
        ],
        'filter.single_pass' => ['flow_l_h' => 8000, 'in_mg_l' => 0.3, 'out_mg_l' => 0.24],
        'filter.idle' => ['days' => 28, 'temp_c' => 20],
        'service.wash' => ['kind' => 'hosed'],
        'filter.history' => [
            'greatest_g_d' => 60,
            'temp_c' => 20,
            'days' => 200,
            'load_g_d' => 3,
            'happened' => [
                ['days_ago' => 60, 'kind' => 'load', 'value' => 6],
                ['days_ago' => 10, 'kind' => 'lost', 'value' => 30, 'low' => 15, 'high' => 50],
            ],
        ],
        'filter.seed' => ['kind' => 'own_media', 'litres' => 3, 'medium' => 'coarse_matting', 'grown_pct' => 50],
        'arrival.bag' => ['bag_ph' => 6.4, 'bag_tan_mg_l' => 8, 'alkalinity_mg_l' => 80, 'temp_c' => 20],
        'arrival.acclimatise' => ['from' => ['temp_c' => 14], 'to' => ['temp_c' => 19], 'tub_l' => 60],
        'fish.growth' => ['weight_g' => 250, 'weeks' => 8, 'temp_c' => 20],
        'quarantine.length' => ['temp_c' => 20],
        'fish.density' => ['biomass_kg' => 50, 'volume_l' => 8979, 'flow_l_h' => 12112],
        'start.fish_in' => [
            'volume_l' => 4320,
            'biomass_kg' => 10,
            'feed_g_d' => 56,
            'protein_pct' => 40,
            'tan_mg_l' => 0.1,
            'ph' => 7.2,
            'temp_c' => 20,
            'alkalinity_mg_l' => 100,
        ],
        'filter.size' => [
            'load_g_d' => 20,
            'volume_l' => 10000,
            'temp_c' => 23,
            'ph' => 7.6,
            'do_in_mg_l' => 7.5,
            'tan_mg_l' => 0.5,
            'alkalinity_mg_l' => 120,
        ],
        'filter.from_readings' => [
            'volume_l' => 10000,
            'load_g_d' => 30,
            'readings' => [
                ['day' => 0, 'low_mg_l' => 0.2, 'high_mg_l' => 0.3],
                ['day' => 7, 'low_mg_l' => 0.2, 'high_mg_l' => 0.3],
                ['day' => 14, 'low_mg_l' => 0.2, 'high_mg_l' => 0.3],
                ['day' => 21, 'low_mg_l' => 0.2, 'high_mg_l' => 0.3],
            ],
        ],
        'filter.reach' => [
            'temp_c' => 18,
            'ph' => 7.5,
            'alkalinity_mg_l' => 90,
            'do_mg_l' => 8,
            'walls_m2' => 20,
            'stages' => [
                [
                    'kind' => 'moving_bed',
                    'medium' => 'moving_carrier',
                    'media_l' => 200,
                    'flow_l_h' => 8000,
                    'air_l_min' => 50,
                ],
            ],
        ],
        'filter.no_filter' => ['volume_l' => 600, 'biomass_kg' => 1.5, 'temp_c' => 20, 'ph' => 7.4],
        'filter.solids' => [
            'feed_g_d' => 200,
            'temp_c' => 20,
            'stages' => [['kind' => 'vortex', 'flow_l_h' => 9000, 'media_l' => 300, 'days_since_flush' => 7]],
        ],
        'filter.blocking' => ['blocks_d' => 6, 'caught_g_d' => 100, 'room_g' => 3000, 'silt_m2' => 3, 'floor_m2' => 9],
        'nitrate.sinks' => ['no3_n_mg_l' => 8, 'production_g_d' => 10, 'temp_c' => 20, 'change_l_d' => 500],
        'exchange.batch' => [
            'volume_l' => 1000,
            'change_pct' => 25,
            'now' => ['no3_n_mg_l' => 10],
            'source' => ['no3_n_mg_l' => 2],
        ],
        'exchange.series' => [
            'volume_l' => 1000,
            'change_pct' => 25,
            'changes' => 2,
            'now' => ['no3_n_mg_l' => 10],
            'source' => ['no3_n_mg_l' => 2],
        ],
        'exchange.trickle' => [
            'volume_l' => 10000,
            'pct_per_week' => 10,
            'now' => ['no3_n_mg_l' => 10],
            'source' => ['no3_n_mg_l' => 2],
            'production_g_d' => ['no3_n_mg_l' => 1],
            'days' => 7,
        ],
        'exchange.schools' => [
            'volume_l' => 10000,
            'now' => ['no3_n_mg_l' => 20, 'temp_c' => 18],
            'source' => ['no3_n_mg_l' => 3, 'temp_c' => 11],
            'tan_g_d' => 5,
        ],
        'exchange.heat_balance' => [
            'volume_l' => 600,
            'temp_c' => 22,
            'air_c' => 10,
            'surface_m2' => 0.95,
            'walls_m2' => 3,
            'flow_l_h' => 6,
            'source_temp_c' => 11,
            'heater_w' => 300,
        ],
        'exchange.plan' => [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 20],
            'source' => ['no3_n_mg_l' => 2],
            'target' => ['no3_n_mg_l' => 8],
            'max_change_per_day' => ['no3_n_mg_l' => 4],
        ],
        'exchange.blend' => [
            'sources' => [['hardness_mg_l' => 0], ['hardness_mg_l' => 200]],
            'target' => ['hardness_mg_l' => 80],
            'volume_l' => 500,
        ],
        'exchange.dechlorinate' => ['volume_l' => 1000, 'chlorine_mg_l' => 0.6, 'kind' => 'chloramine'],
        'exchange.carbon' => ['bed_l' => 10, 'trickle_l_min' => 5],
        'carbonate.buffer' => [
            'volume_l' => 1000,
            'alkalinity_mg_l' => 70,
            'target_alkalinity_mg_l' => 107,
            'agent' => 'sodium_bicarbonate',
            'ph' => 7.4,
            'temp_c' => 18,
            'tan_mg_l' => 0.2,
        ],
        'hardness.dose' => [
            'volume_l' => 1000,
            'hardness_mg_l' => 100,
            'target_hardness_mg_l' => 200,
            'agent' => 'calcium_chloride_dihydrate',
        ],
        'incident.answer' => [
            'volume_l' => 9000,
            'now' => ['tan_mg_l' => 1.2, 'ph' => 7.8, 'temp_c' => 20, 'no3_n_mg_l' => 5],
            'source' => ['tan_mg_l' => 0, 'no3_n_mg_l' => 3],
            'seen' => ['off_food'],
        ],
        'filter.maturation' => [
            'volume_l' => 4500,
            'grown_mg_l_d' => 20,
            'feed_g_d' => 60,
            'temp_c' => 23,
            'then' => ['alkalinity_mg_l' => 150],
            'readings' => [
                ['day' => 2, 'tan_low_mg_l' => 0.7, 'tan_high_mg_l' => 1.2],
                ['day' => 4, 'tan_low_mg_l' => 1.5, 'tan_high_mg_l' => 2.5],
                ['day' => 6, 'tan_low_mg_l' => 2, 'tan_high_mg_l' => 3.5],
            ],
        ],
        'model.run' => [
            'volume_l' => 4500,
            'days' => 20,
            'grown_mg_l_d' => 20,
            'feed_g_d' => 60,
            'temp_c' => 23,
            'now' => ['alkalinity_mg_l' => 150],
        ],
        'filter.start_dose' => ['volume_l' => 1000, 'target_mg_l' => 2, 'product' => 'ammonium_chloride'],
        'dose.conflicts' => ['agent' => 'salt', 'temp_c' => 20, 'present' => ['zeolite']],
        'dose.treatment' => ['agent' => 'formalin', 'volume_l' => 1000, 'temp_c' => 18, 'do_mg_l' => 8],
        'dose.binder' => [
            'volume_l' => 1000,
            'tan_mg_l' => 0.5,
            'label_ml' => 10,
            'label_treats_l' => 200,
            'label_binds_mg_l' => 1,
        ],
        'dose.charge' => ['mass_g' => 1000, 'production_g_d' => 0.15, 'days_in' => 4, 'cycles' => 1],
        'dose.zeolite' => ['tan_mg_l' => 1, 'volume_l' => 1000, 'production_g_d' => 0.5],
        'dose.salt' => ['volume_l' => 1000, 'now_g_l' => 0, 'target_g_l' => 3],
        'dose.chloride_guard' => ['volume_l' => 1000, 'no2_n_mg_l' => 4, 'chloride_mg_l' => 15],
        'dose.residual' => [
            'volume_l' => 1000,
            'dose_mg_l' => 2,
            'target_mg_l' => 2,
            'hours' => 24,
            'half_life_h' => 48,
            'changes' => [['at_h' => 12, 'change_pct' => 10]],
        ],
        'dose.permanganate_demand' => [
            'samples' => [['dose_mg_l' => 1, 'pink' => false], ['dose_mg_l' => 2, 'pink' => true]],
            'volume_l' => 1000,
        ],
        'dose.peroxide_oxygen' => ['volume_l' => 1000, 'rise_mg_l' => 2, 'strength_pct' => 3],
        'flow.split' => [
            'flow_l_h' => 8000,
            'branches' => [
                ['bore_mm' => 50, 'length_m' => 4, 'fittings_k' => 2],
                ['bore_mm' => 50, 'length_m' => 6, 'fittings_k' => 3],
            ],
        ],
        'flow.airlift' => ['air_l_min' => 20, 'submergence_m' => 0.7, 'lift_m' => 0.05, 'bore_mm' => 50],
        'flow.uv' => [
            'lamp_w' => 55,
            'lamp_hours' => 3000,
            'days_since_wiped' => 30,
            'flow_l_h' => 8200,
            'volume_l' => 9000,
        ],
        'volume.by_salt' => ['salt_g' => 9000, 'before_g_l' => 0.2, 'after_g_l' => 1.2],
        'flow.submergence' => ['flow_l_h' => 10000, 'bore_mm' => 51.4],
        'service.flush' => [
            'bore_mm' => 103.6,
            'head_m' => 0.9,
            'length_m' => 3,
            'fittings_k' => 2.5,
            'seconds' => 5,
        ],
        'volume.known' => ['known_l' => 9000],
        'volume.by_meter' => ['meter_before_l' => 4210, 'meter_after_l' => 13110],
        'exchange.heat' => ['volume_l' => 1000, 'temp_c' => 15, 'target_c' => 20],
        'filter.capacity' => [
            'temp_c' => 20,
            'ph' => 7.6,
            'do_in_mg_l' => 7,
            'tan_mg_l' => 0.3,
            'alkalinity_mg_l' => 110,
            'stages' => [['kind' => 'matting', 'medium' => 'coarse_matting', 'media_l' => 60, 'flow_l_h' => 3000]],
        ],
    ];

    #[DataProvider('calculators')]
    public function test_it_answers_as_declared(string $name): void
    {
        self::assertArrayHasKey($name, self::GOOD, 'every calculator has an example here');
        [$exit, $answer, $noise] = $this->command("calc {$name}", (string) json_encode(self::GOOD[$name]));

        self::assertSame([0, ''], [$exit, $noise]);
        self::assertSame(['figures', 'working', 'cautions', 'sources'], array_keys($answer));
        self::assertSame(array_column($this->declared($name)['outputs'], 'key'), array_keys($answer['figures']));
        self::assertNotSame([], $answer['working']);
        foreach ($answer['working'] as $step) {
            self::assertSame(['say', 'formula', 'with', 'gives'], array_keys($step));
        }
        foreach ($answer['sources'] as $id) {
            self::assertNotNull(Library::shipped()->bibliography()->get($id), $id);
        }
        foreach ($answer['cautions'] as $caution) {
            self::assertContains($caution['level'], ['note', 'watch', 'danger']);
        }
    }

    #[DataProvider('calculators')]
    public function test_it_refuses_what_is_missing_unknown_mistyped_or_out_of_range(string $name): void
    {
        $good = self::GOOD[$name];
        foreach ($this->declared($name)['inputs'] as $input) {
            $key = $input['key'];
            if ($input['required']) {
                $this->assertRefused($name, array_diff_key($good, [$key => 0]), $key);
            }
            if (isset($good[$key])) {
                $this->assertRefused($name, [...$good, $key => ['not' => 'this']], $key);
                $this->assertRefused($name, [...$good, $key => true], $key);
            }
            if (isset($good[$key]) && $input['type'] === 'number') {
                $this->assertRefused($name, [...$good, $key => $input['min'] - 1], $key);
                $this->assertRefused($name, [...$good, $key => $input['max'] + 1], $key);
                $this->assertRefused($name, [...$good, $key => (string) $good[$key]], $key);
            }
        }
        $this->assertRefused($name, [...$good, 'colour' => 1], 'colour');
    }

    public function test_text_that_is_no_json_object_is_an_error_and_never_a_warning(): void
    {
        foreach (['', '[]', '7', '{"temp_c": NaN}', '{"temp_c": 20', str_repeat('[', 5000)] as $text) {
            [$exit, $answer, $noise] = $this->command('calc oxygen.saturation', $text);
            self::assertSame(
                [2, ['errors'], ['input'], ''],
                [$exit, array_keys($answer), array_keys($answer['errors']), $noise],
                $text,
            );
        }
        [$exit, $answer] = $this->command('calc oxygen.saturation', '{"temp_c": 1e999}');
        self::assertSame([2, ['temp_c']], [$exit, array_keys($answer['errors'])]);
        [$exit, $answer] = $this->command('calc no.such', '{}');
        self::assertSame([2, ['name']], [$exit, array_keys($answer['errors'])]);
    }

    public function test_the_list_describes_every_input_and_output(): void
    {
        [$exit, $list] = $this->command('calc --list', '');
        self::assertSame(0, $exit);
        foreach ($list as $calculator) {
            self::assertSame(['name', 'title', 'inputs', 'outputs'], array_keys($calculator));
            foreach ($calculator['inputs'] as $input) {
                self::assertSame(
                    ['key', 'unit', 'type', 'required', 'default', 'min', 'max', 'allowed'],
                    array_slice(array_keys($input), 0, 8),
                );
            }
        }
    }

    public function test_a_default_that_stands_in_is_named_and_one_that_does_not_is_not(): void
    {
        $notes = static fn(array $input): string => implode(
            ' ',
            array_column(
                Registry::standard(Library::shipped())->run('oxygen.saturation', $input)->toArray()['cautions'],
                'text',
            ),
        );
        self::assertStringContainsString('salinity 0 g/L; altitude 0 m', $notes(['temp_c' => 20]));
        self::assertStringNotContainsString('altitude', $notes(['temp_c' => 20, 'pressure_hpa' => 1000]));
    }

    /** @return iterable<string, array{string}> */
    public static function calculators(): iterable
    {
        foreach (Registry::standard(Library::shipped())->all() as $name => $calculator) {
            self::assertSame($name, $calculator->name());
            yield $name => [$name];
        }
    }

    /** Through the registry, for speed; the command line adds only the reading and writing tested above. */
    private function assertRefused(string $name, array $input, string $key): void
    {
        try {
            Registry::standard(Library::shipped())->run($name, $input);
        } catch (\Ironwort\Core\Calc\BadInput $bad) {
            self::assertContains(
                $key,
                array_map(static fn(string $k): string => explode('.', $k)[0], array_keys($bad->errors)),
            );

            return;
        }
        self::fail("{$name} took a bad {$key}: " . json_encode($input));
    }

    /** @return array<string, mixed> */
    private function declared(string $name): array
    {
        return array_values(
            array_filter(
                Registry::standard(Library::shipped())->describe(),
                static fn(array $c): bool => $c['name'] === $name,
            ),
        )[0];
    }

    /** @return array{int, array<array-key, mixed>, string} exit code, answer, standard error */
    private function command(string $arguments, string $input): array
    {
        $process = proc_open(
            PHP_BINARY . ' ' . escapeshellarg(dirname(__DIR__, 3) . '/bin/ironwort') . " {$arguments}",
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), (array) json_decode($out, true, 32, JSON_THROW_ON_ERROR), $err];
    }
}
