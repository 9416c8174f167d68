<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Catalogue;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Tests\SeededInputs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whatever stands within the declared ranges is answered or refused at a field: no crash, no warning, no number that is
 * none, and no answer that keeps anybody waiting.
 */
final class AnyInputTest extends TestCase
{
    /** In all, over every calculator; the whole with FULL=1. */
    private const SAMPLE = 1000;

    private const WHOLE = 10000;

    /** What is refused is drawn anew so often, so that most tries end in an answer. */
    private const REPAIRS = 20;

    /** A guard against what hangs, and no measure of speed, s. */
    private const HANGS_S = 10.0;

    /** @return iterable<string, array{string}> */
    public static function calculators(): iterable
    {
        foreach (self::registry()->describe() as $calculator) {
            yield $calculator['name'] => [$calculator['name']];
        }
    }

    #[DataProvider('calculators')]
    public function test_any_input_is_answered_or_refused_at_a_field(string $name): void
    {
        $calculator = self::registry()->named($name);
        $each = (int) ceil((getenv('FULL') === '1' ? self::WHOLE : self::SAMPLE) / count(self::registry()->describe()));
        set_error_handler(static fn(int $level, string $said): never => throw new \ErrorException($said, 0, $level));
        try {
            foreach ([false, true] as $extreme) {
                $inputs = new SeededInputs(crc32($name . ($extreme ? '!' : '')), $extreme);
                for ($i = 0; $i < (int) ceil($each / 2); $i++) {
                    $given = $inputs->next($calculator->inputs());
                    for ($try = 0; $try < self::REPAIRS; $try++) {
                        $faults = $this->answers($calculator, $given);
                        if ($faults === []) {
                            break;
                        }
                        $given = $inputs->repaired($calculator->inputs(), $given, $faults);
                    }
                }
            }
        } finally {
            restore_error_handler();
        }
    }

    /**
     * @param  array<string, mixed>  $given
     * @return list<string> keys at which it was refused
     */
    private function answers(Calculator $calculator, array $given): array
    {
        $faults = [];
        $begun = microtime(true);
        try {
            $figures = self::registry()->run($calculator->name(), $given)->figures;
            self::assertSame([], self::unsound($figures), $calculator->name() . ' ' . json_encode($given));
        } catch (BadInput $bad) {
            self::assertNotSame([], $bad->errors);
            $faults = array_keys($bad->errors);
        } catch (\PHPUnit\Framework\Exception $failed) {
            throw $failed;
        } catch (\Throwable $crash) {
            self::fail("{$calculator->name()}: {$crash->getMessage()} on " . json_encode($given));
        }
        self::assertLessThan(self::HANGS_S, microtime(true) - $begun, json_encode($given));

        return $faults;
    }

    /**
     * @param  array<array-key, mixed>  $figures
     * @return list<string> keys under which a number is none
     */
    private static function unsound(array $figures, string $path = ''): array
    {
        $found = [];
        foreach ($figures as $key => $figure) {
            if (is_array($figure) || $figure instanceof \stdClass) {
                array_push($found, ...self::unsound((array) $figure, "{$path}{$key}."));
            } elseif (is_float($figure) && !is_finite($figure)) {
                $found[] = $path . $key;
            }
        }

        return $found;
    }

    private static function registry(): Registry
    {
        static $registry = null;

        return $registry ??= Registry::standard(Library::shipped());
    }
}
