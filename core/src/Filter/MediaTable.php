<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** The media that ship with the core, by id. */
final readonly class MediaTable
{
    /** @param  array<string, Medium>  $media */
    private function __construct(private array $media) {}

    public static function from(Row $table): self
    {
        $media = [];
        foreach ($table->rows('media') as $row) {
            $media[$row->text('id')] = new Medium(
                id: $row->text('id'),
                name: $row->text('name'),
                areaM2M3: $row->number('area_m2_m3'),
                lowM2M3: $row->number('low_m2_m3'),
                highM2M3: $row->number('high_m2_m3'),
                state: $row->text('state'),
                source: $row->text('source'),
                remark: in_array('remark', $row->keys(), true) ? $row->text('remark') : null,
                instead: in_array('instead', $row->keys(), true) ? $row->text('instead') : null,
            );
        }

        return new self($media);
    }

    /** @throws BrokenTable */
    public function get(string $id): Medium
    {
        return $this->media[$id] ?? throw new BrokenTable("There is no medium {$id}.");
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys($this->media);
    }

    /** @return list<Medium> */
    public function all(): array
    {
        return array_values($this->media);
    }
}
