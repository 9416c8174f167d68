<?php

declare(strict_types=1);

namespace Ironwort\Core\Data;

/** Every source the core leans on, by id. */
final readonly class Bibliography
{
    /** @param  array<string, Source>  $sources */
    private function __construct(private array $sources) {}

    public static function from(Row $table): self
    {
        $sources = [];
        foreach ($table->rows('sources') as $row) {
            $sources[$row->text('id')] = new Source(
                $row->text('id'),
                $row->text('citation'),
                $row->text('kind'),
                $row->text('used_for'),
            );
        }

        return new self($sources);
    }

    public function get(string $id): ?Source
    {
        return $this->sources[$id] ?? null;
    }

    /** The bibliography as a page to read, in Markdown. */
    public function page(): string
    {
        $kinds = [
            'published' => 'Published',
            'common practice' => 'Common practice, no published source',
            'from memory' => 'From memory, not checked against a source',
        ];
        $page =
            "# Sources\n\nWhat the numbers rest on. Written from `core/data/bibliography.json`; " .
            "the citations themselves were written down from memory.\n";
        foreach ($kinds as $kind => $title) {
            $page .= "\n## {$title}\n\n| id | source | used for |\n| --- | --- | --- |\n";
            foreach ($this->sources as $source) {
                $page .=
                    $source->kind === $kind ? "| `{$source->id}` | {$source->citation} | {$source->usedFor} |\n" : '';
            }
        }

        return $page;
    }

    /** @return list<Source> */
    public function all(): array
    {
        return array_values($this->sources);
    }
}
