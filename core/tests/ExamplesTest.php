<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/** What docblocks show as examples is so. */
final class ExamplesTest extends TestCase
{
    use Calculations;

    #[DataProviderExternal(Examples::class, 'all')]
    public function test_an_example_is_so(string $class, string $given, string $comes): void
    {
        if (!is_subclass_of($class, Calculator::class)) {
            $this->assertSaid($comes, self::evaluated($class, $given), $given);

            return;
        }
        $figures = $this->calculate(Examples::nameOf($class), Examples::values($given))->figures;
        foreach (Examples::parts($comes) as $part) {
            [$path, $said] = explode(' ', trim($part), 2);
            $value = array_reduce(
                explode('.', $path),
                static fn(mixed $at, string $key): mixed => is_array($at) ? $at[$key] ?? null : null,
                $figures,
            );
            $this->assertSaid($said, $value, $path);
        }
    }

    public function test_every_calculator_has_one(): void
    {
        $with = Examples::ofCalculators();
        foreach (Registry::standard(Library::shipped())->all() as $calculator) {
            self::assertArrayHasKey($calculator->name(), $with, "{$calculator->name()} shows no example");
        }
    }

    /** As exact as it is written: half of the last digit, noughts at the end of a whole number left open. */
    private function assertSaid(string $said, mixed $value, string $of): void
    {
        if (!is_numeric($said)) {
            self::assertSame($said, is_bool($value) ? ($value ? 'true' : 'false') : $value, $of);

            return;
        }
        self::assertIsNumeric($value, $of);
        preg_match('/^-?\d+?(?:(?<noughts>0*)|\.(?<places>\d+))(?:e(?<power>-?\d+))?$/', $said, $how);
        $digit = ($how['places'] ?? '') === '' ? strlen($how['noughts'] ?? '') : -strlen($how['places']);
        $digit += (int) ($how['power'] ?? 0);
        self::assertEqualsWithDelta((float) $said, (float) $value, 0.50001 * 10 ** $digit, $of);
    }

    /** @param  class-string  $class */
    private static function evaluated(string $class, string $expression): mixed
    {
        $namespace = substr($class, 0, (int) strrpos($class, '\\'));
        $library = Library::class;

        // What is run stands in the code of this very project.
        return eval("namespace {$namespace}; use {$library}; return {$expression};");
    }
}
