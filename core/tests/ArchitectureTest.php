<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The core stands alone: it imports itself and PHP, reads files in one place, and looks at no clock. */
final class ArchitectureTest extends TestCase
{
    private const IMPURE = [
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'curl_init',
        'time',
        'microtime',
        'date',
        'hrtime',
        'rand',
        'mt_rand',
        'random_int',
        'getenv',
        'shell_exec',
        'exec',
    ];

    #[DataProvider('sources')]
    public function test_it_imports_only_the_core_and_php(string $file): void
    {
        $foreign = array_filter(
            self::names($file),
            static fn(string $name): bool => !str_starts_with($name, 'Ironwort\\Core\\') &&
                !(new \ReflectionClass($name))->isInternal(),
        );

        self::assertSame([], $foreign);
    }

    #[DataProvider('sources')]
    public function test_only_the_library_reads_files_and_nothing_asks_the_clock(string $file): void
    {
        $tokens = array_values(
            array_filter(
                \PhpToken::tokenize((string) file_get_contents($file)),
                static fn(\PhpToken $t): bool => !$t->isIgnorable(),
            ),
        );
        $called = [];
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1] ?? null;
            if (
                $token->is(T_STRING) &&
                ($tokens[$i + 1]->text ?? '') === '(' &&
                !$before?->is([T_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION])
            ) {
                $called[] = $token->text;
            }
        }
        $allowed = str_ends_with($file, 'Catalogue/Library.php') ? ['file_get_contents'] : [];

        self::assertSame([], array_values(array_diff(array_intersect(self::IMPURE, $called), $allowed)));
    }

    /** @return iterable<string, array{string}> */
    public static function sources(): iterable
    {
        $root = dirname(__DIR__) . '/src';
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            yield substr($file->getPathname(), strlen($root) + 1) => [$file->getPathname()];
        }
    }

    /** @return list<string> every class named in full, by `use` or in place */
    private static function names(string $file): array
    {
        $names = [];
        $afterNamespace = false;
        foreach (\PhpToken::tokenize((string) file_get_contents($file)) as $token) {
            if ($token->is(T_NAMESPACE)) {
                $afterNamespace = true;
            } elseif ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                if (!$afterNamespace) {
                    $names[] = ltrim($token->text, '\\');
                }
                $afterNamespace = false;
            }
        }

        return $names;
    }
}
