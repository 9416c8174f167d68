<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Calc;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Tests\Examples;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command line as others call it: one JSON object in, one out, and nothing else. */
final class ContractTest extends TestCase
{
    #[DataProvider('calculators')]
    public function test_it_answers_as_declared(string $name): void
    {
        [$exit, $answer, $noise] = $this->command("calc {$name}", (string) json_encode(self::good($name)));

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
        $good = self::good($name);
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

    /** @return array<string, mixed> what the calculator shows as its example */
    private static function good(string $name): array
    {
        return Examples::ofCalculators()[$name];
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
