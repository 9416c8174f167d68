<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** Where keepers differ. */
final readonly class SchoolTable
{
    /** @param  array<string, Topic>  $topics  by id */
    private function __construct(public array $topics) {}

    public static function from(Row $table): self
    {
        $topics = [];
        foreach ($table->rows('topics') as $topic) {
            $schools = [];
            foreach ($topic->rows('schools') as $row) {
                $figures = $row->row('figures');
                $schools[$row->text('id')] = new School(
                    $row->text('id'),
                    $row->text('name'),
                    $row->text('says'),
                    $row->text('risk'),
                    array_combine($figures->keys(), array_map($figures->number(...), $figures->keys())),
                    $row->text('source'),
                );
            }
            $topics[$topic->text('id')] = new Topic(
                $topic->text('id'),
                $topic->text('name'),
                $topic->text('changes'),
                $topic->text('why'),
                $schools === [] ? throw new BrokenTable('A topic without schools.') : $schools,
            );
        }

        return new self($topics);
    }

    /** @throws BrokenTable when there is no such topic */
    public function topic(string $id): Topic
    {
        return $this->topics[$id] ?? throw new BrokenTable("There is no topic {$id}.");
    }
}
