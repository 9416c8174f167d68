<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\Kit;
use Ironwort\Core\Judge\Kit as Steps;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;

/** Reads what was typed into the rows of a test; every row that cannot be read gets its own message. */
final class ReadTypedReadings
{
    /** @var array<string, Reading> by parameter */
    public array $readings = [];

    /** @var array<string, string> by `readings.PARAMETER` */
    public array $errors = [];

    /** @var array<string, array{typed?: ?string, unit?: ?string}> as they are kept, each with its unit */
    public readonly array $rows;

    /**
     * @param  array<string, array{typed?: ?string, unit?: ?string}>  $rows  by parameter
     * @param  array<string, Kit>  $kits  the usual kit of each parameter
     */
    public function __construct(array $rows, array $kits = [])
    {
        $read = $rows;
        foreach ($rows as $key => $row) {
            $typed = trim($row['typed'] ?? '');
            if ($typed === '') {
                continue;
            }
            $parameter = Parameter::tryFrom($key);
            if ($parameter === null || !in_array($parameter, Parameter::measured(), true)) {
                $this->errors["readings.{$key}"] = 'This is not something that can be tested here.';

                continue;
            }
            try {
                // A unit typed behind the number goes before the one that stands beside the field.
                [$number, $named] = TypedReading::withUnit($parameter, $typed);
                $unit = $named ?? ($row['unit'] ?? null);
                $read[$key] = ['typed' => $number, 'unit' => $unit];
                $this->readings[$key] = TypedReading::read(
                    $parameter,
                    $number,
                    $unit,
                    self::kit($kits[$key] ?? null, $unit),
                );
            } catch (UnreadableReading $fault) {
                $this->errors["readings.{$key}"] = $fault->getMessage();
            }
        }
        $this->rows = $read;
    }

    /** A kit speaks for what is typed in the unit it is marked in, and for nothing else. */
    private static function kit(?Kit $kit, ?string $unit): ?Steps
    {
        return $kit !== null && ($unit === null || $unit === $kit->unit) ? $kit->judge() : null;
    }
}
