<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Data;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Data\Source;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The shipped tables are well formed, and no number in them is without a source. */
final class TablesTest extends TestCase
{
    private const FOLDER = __DIR__ . '/../../data';

    #[DataProvider('tables')]
    public function test_a_table_fits_its_schema(string $name): void
    {
        $data = json_decode((string) file_get_contents(self::FOLDER . "/{$name}.json"));
        $schema = (string) file_get_contents(self::FOLDER . "/schema/{$name}.schema.json");
        $result = (new Validator())->validate($data, $schema);
        $error = $result->error();

        self::assertTrue(
            $result->isValid(),
            $error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error)),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function tables(): iterable
    {
        foreach (glob(self::FOLDER . '/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [basename($file, '.json')];
        }
    }

    public function test_every_source_named_anywhere_is_in_the_bibliography_and_every_entry_is_used(): void
    {
        $text = '';
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/src', \FilesystemIterator::SKIP_DOTS),
        );
        foreach ($files as $file) {
            $text .= file_get_contents($file->getPathname());
        }
        preg_match_all('/@source\s+([a-z0-9-]+)/', $text, $tags);
        preg_match_all('/cite\(([^)$]*)\)/', $text, $cites);
        preg_match_all("/'([a-z0-9-]+)'/", implode(' ', $cites[1]), $cited);
        $tables = implode(
            '',
            array_map(
                file_get_contents(...),
                array_diff(glob(self::FOLDER . '/*.json') ?: [], [self::FOLDER . '/bibliography.json']),
            ),
        );
        preg_match_all('/"source": "([a-z0-9-]+)"/', $tables, $rows);

        $named = array_unique([...$tags[1], ...$cited[1], ...$rows[1]]);
        $known = array_map(static fn(Source $source): string => $source->id, Library::shipped()->bibliography()->all());

        self::assertSame([], array_values(array_diff($named, $known)), 'named, not in the bibliography');
        $quoted = array_filter(
            $known,
            static fn(string $id): bool => in_array($id, $named, true) || str_contains($text, "'{$id}'"),
        );
        self::assertSame([], array_values(array_diff($known, $quoted)), 'in the bibliography, used nowhere');
    }

    public function test_every_life_stage_has_limits_for_every_parameter(): void
    {
        $limits = Library::shipped()->limits();
        foreach (array_keys($limits->stages) as $stage) {
            foreach (\Ironwort\Core\Judge\Parameter::cases() as $parameter) {
                $bands = $limits->for($stage, $parameter)->bands();
                self::assertNotSame([], $bands);
                foreach ($bands as $i => $band) {
                    self::assertLessThan($band['to'], $band['from'], "{$stage} {$parameter->value}");
                    self::assertTrue(
                        $i === 0 || $bands[$i - 1]['to'] === $band['from'],
                        "{$stage} {$parameter->value} has a gap",
                    );
                }
            }
        }
    }
}
