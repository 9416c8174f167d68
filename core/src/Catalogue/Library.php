<?php

declare(strict_types=1);

namespace Ironwort\Core\Catalogue;

use Ironwort\Core\Aeration\DeviceTable;
use Ironwort\Core\Arrival\LifeCycle;
use Ironwort\Core\Data\Bibliography;
use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Filter\BlockingCause;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Fish\RationTable;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Incident\SuspectTable;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Service\JobTable;

/**
 * The tables that ship with the core: media, rations, limits and the bibliography.
 *
 * The only place in the core that reads a file.
 */
final class Library
{
    /** @var array<string, Row> tables read so far */
    private array $read = [];

    public function __construct(private readonly string $folder) {}

    public static function shipped(): self
    {
        return new self(dirname(__DIR__, 2) . '/data');
    }

    public function media(): MediaTable
    {
        return MediaTable::from($this->table('media'));
    }

    public function aerators(): DeviceTable
    {
        return DeviceTable::from($this->table('aeration'));
    }

    public function agents(): AgentTable
    {
        return AgentTable::from($this->table('agents'));
    }

    public function stageKinds(): StageKinds
    {
        return StageKinds::from($this->table('stages'));
    }

    /** @return list<BlockingCause> */
    public function blocking(): array
    {
        return array_map(BlockingCause::from(...), $this->table('blocking')->rows('causes'));
    }

    /** @return array<string, LifeCycle> by id */
    public function lifeCycles(): array
    {
        $cycles = array_map(LifeCycle::from(...), $this->table('life_cycles')->rows('cycles'));

        return array_combine(array_map(static fn(LifeCycle $one): string => $one->id, $cycles), $cycles);
    }

    public function jobs(): JobTable
    {
        return JobTable::from($this->table('jobs'));
    }

    public function suspects(): SuspectTable
    {
        return SuspectTable::from($this->table('suspects'));
    }

    public function fittings(): FittingTable
    {
        return FittingTable::from($this->table('fittings'));
    }

    public function rations(): RationTable
    {
        return RationTable::from($this->table('rations'));
    }

    public function limits(): LimitTable
    {
        return LimitTable::from($this->table('limits'));
    }

    public function schools(): SchoolTable
    {
        return SchoolTable::from($this->table('schools'));
    }

    public function testSchedule(): TestSchedule
    {
        return TestSchedule::from($this->table('tests'));
    }

    /**
     * Generic kits to begin with, in the unit each is marked in.
     *
     * @return list<array{name: string, kind: string, parameter: string, unit: ?string, steps: list<float>,
     *     resolution: ?float, range_from: ?float, range_to: ?float}>
     */
    public function commonKits(): array
    {
        return array_map(
            static fn(Row $row): array => [
                'name' => $row->text('name'),
                'kind' => $row->text('kind'),
                'parameter' => $row->text('parameter'),
                'unit' => $row->textOrNull('unit'),
                'steps' => $row->numbers('steps'),
                'resolution' => $row->numberOrNull('resolution'),
                'range_from' => $row->numberOrNull('range_from'),
                'range_to' => $row->numberOrNull('range_to'),
            ],
            $this->table('kits')->rows('kits'),
        );
    }

    public function bibliography(): Bibliography
    {
        return Bibliography::from($this->table('bibliography'));
    }

    /** @throws BrokenTable */
    private function table(string $name): Row
    {
        return $this->read[$name] ??= $this->file($name);
    }

    /** @throws BrokenTable */
    private function file(string $name): Row
    {
        $text = @file_get_contents("{$this->folder}/{$name}.json");
        if ($text === false) {
            throw new BrokenTable("The table {$name}.json is missing.");
        }
        $value = json_decode($text, true);

        return is_array($value) ? new Row($value) : throw new BrokenTable("The table {$name}.json is not valid JSON.");
    }
}
