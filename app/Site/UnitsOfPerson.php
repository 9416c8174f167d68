<?php

declare(strict_types=1);

namespace App\Site;

use App\Models\User;
use Ironwort\Core\Measure\ShownUnit;
use Ironwort\Core\Measure\UnitChoice;

/** The units a person reads in as the pages know them: what was chosen, from what, and how figures become theirs. */
final readonly class UnitsOfPerson
{
    public function __construct(private User $person) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $choice = $this->person->unitChoice();

        return [
            'asked' => isset($this->person->units),
            'chosen' => $choice->chosen,
            'choices' => array_map(
                static fn(string $what, array $choices): array => [
                    'what' => $what,
                    'name' => UnitChoice::NAMES[$what],
                    'of' => array_map(
                        static fn(string $id, string $name): array => ['id' => $id, 'name' => $name],
                        array_keys($choices),
                        array_values($choices),
                    ),
                ],
                array_keys(UnitChoice::CHOICES),
                array_values(UnitChoice::CHOICES),
            ),
            'shown' => (object) array_map(
                static fn(ShownUnit $unit): array => [
                    'symbol' => $unit->symbol,
                    'factor' => $unit->factor,
                    'offset' => $unit->offset,
                ],
                $choice->units(),
            ),
        ];
    }
}
