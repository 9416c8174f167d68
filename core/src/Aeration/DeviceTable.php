<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** The kinds of aerators that are known, from core/data/aeration.json. */
final readonly class DeviceTable
{
    /** @param  array<string, DeviceKind>  $kinds  by id */
    private function __construct(public array $kinds) {}

    public static function from(Row $table): self
    {
        $kinds = [];
        foreach ($table->rows('devices') as $row) {
            $keys = $row->keys();
            $number = static fn(string $key): ?float => in_array($key, $keys, true) ? $row->number($key) : null;
            $kinds[$row->text('id')] = new DeviceKind(
                id: $row->text('id'),
                name: $row->text('name'),
                way: $row->text('way'),
                sharePerM: self::share($number('per_m_pct')),
                weir: $number('weir'),
                renews: self::share($number('renews_pct')),
                kgPerKwh: $number('kg_per_kwh'),
                source: $row->text('source'),
            );
        }

        return new self($kinds);
    }

    /** @throws BrokenTable */
    public function get(string $id): DeviceKind
    {
        return $this->kinds[$id] ?? throw new BrokenTable("There is no aerator {$id}.");
    }

    private static function share(?float $percent): ?float
    {
        return $percent === null ? null : $percent / 100;
    }
}
