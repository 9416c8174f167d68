<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;

/** Runs calculators by name, as every caller does. */
trait Calculations
{
    /** @param  array<string, mixed>  $input */
    private function calculate(string $name, array $input): Result
    {
        return Registry::standard(Library::shipped())->run($name, $input);
    }

    /** @param  array<string, mixed>  $input */
    private function figure(string $name, array $input, string $key): float
    {
        return $this->calculate($name, $input)->number($key);
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, string>
     */
    private function errors(string $name, array $input): array
    {
        try {
            $this->calculate($name, $input);
        } catch (BadInput $bad) {
            return $bad->errors;
        }

        return [];
    }
}
