<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** The kinds of stage a loop can have, by id. */
final readonly class StageKinds
{
    /** @param  array<string, StageKind>  $kinds */
    private function __construct(private array $kinds) {}

    public static function from(Row $table): self
    {
        $kinds = [];
        foreach ($table->rows('kinds') as $row) {
            $keys = $row->keys();
            $kinds[$row->text('id')] = new StageKind(
                id: $row->text('id'),
                name: $row->text('name'),
                r20: $row->number('r20_g_m2_d'),
                k: $row->number('k_mg_l'),
                oxygen: in_array('oxygen', $keys, true)
                    ? OxygenSupply::from($row->text('oxygen'))
                    : OxygenSupply::Water,
                transfer: in_array('transfer', $keys, true) ? Transfer::from($row->text('transfer')) : Transfer::None,
                catches: $row->number('catch_pct') / 100,
                holdsGL: $row->number('holds_g_l'),
                packed: in_array('packed', $keys, true),
                usualMedium: in_array('usual_medium', $keys, true) ? $row->text('usual_medium') : null,
            );
        }

        return new self($kinds);
    }

    /** @throws BrokenTable */
    public function get(string $id): StageKind
    {
        return $this->kinds[$id] ?? throw new BrokenTable("There is no stage kind {$id}.");
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys($this->kinds);
    }

    /** @return list<StageKind> */
    public function all(): array
    {
        return array_values($this->kinds);
    }
}
