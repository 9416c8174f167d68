<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Words;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Words\Catalogue;
use PHPUnit\Framework\TestCase;

final class CatalogueTest extends TestCase
{
    public function test_every_code_that_is_said_has_words_and_every_word_is_said(): void
    {
        $source = self::source();
        preg_match_all("/'([a-z]+\.[a-z0-9_]+)'/", $source, $quoted);
        preg_match_all("/Message::of\(\s*'([a-z]+\.[a-z0-9_]+)'/", $source, $said);
        // The tables of what meets what give the code without its subject; beside it may stand what to do instead.
        preg_match_all("/'([a-z0-9_]+)'/", $source, $met);
        foreach ($met[1] as $code) {
            array_push($quoted[1], "dose.{$code}", "dose.instead_{$code}");
        }
        // The tables of jobs and of what blocks a filter name their codes themselves.
        array_push($quoted[1], ...array_column(Library::shipped()->blocking(), 'code'));
        $jobs = Library::shipped()->jobs();
        foreach ($jobs->all() as $job) {
            array_push($quoted[1], ...array_column($job->notTo(), 'code'));
        }
        foreach ([...$jobs->seasons, ...$jobs->feeds] as $pace) {
            $quoted[1][] = $pace->message()->code;
        }
        $words = array_keys(Catalogue::all());

        self::assertGreaterThan(100, count($said[1]));
        self::assertSame([], array_values(array_diff(array_unique($said[1]), $words)), 'said, and without words');
        // Deeds are named by the reading they are for: JudgementTest says which of them are said.
        $named = array_filter($words, static fn(string $code): bool => !str_starts_with($code, 'judge.deed_'));
        self::assertSame([], array_values(array_diff($named, array_unique($quoted[1]))), 'words that nothing says');
    }

    public function test_a_code_without_words_and_a_brace_that_nothing_fills_are_faults_of_the_programme(): void
    {
        self::assertSame(
            'Nitrite moves by more than a day’s limit at once.',
            Catalogue::text('exchange.change_inputs_moves_days_worth_once', ['name' => 'Nitrite']),
        );
        foreach (['exchange.no_such_code', 'exchange.change_inputs_moves_days_worth_once'] as $code) {
            try {
                Catalogue::text($code);
                self::fail("{$code} was said");
            } catch (\LogicException $fault) {
                self::assertStringContainsString($code, $fault->getMessage());
            }
        }
    }

    private static function source(): string
    {
        $all = '';
        foreach ([dirname(__DIR__, 2) . '/src', dirname(__DIR__, 3) . '/app'] as $folder) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder));
            foreach ($files as $file) {
                $inWords = str_contains((string) $file, '/Words/');
                $all .= str_ends_with((string) $file, '.php') && !$inWords ? file_get_contents((string) $file) : '';
            }
        }

        return $all;
    }
}
