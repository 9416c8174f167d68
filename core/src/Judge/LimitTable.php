<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/** The limits of every parameter for every life stage. */
final readonly class LimitTable
{
    private const STARTING = 'starting';

    private const WITH_FISH = 'adult';

    /**
     * @param  array<string, array<string, Limits>>  $limits  by life stage and parameter
     * @param  array<string, string>  $stages  life stage to its name
     */
    private function __construct(private array $limits, public array $stages) {}

    /** The life stage that goes with what a system is for, until its keeper says another. */
    public static function usualFor(string $kind): string
    {
        return match ($kind) {
            'quarantine', 'fry' => $kind,
            'start' => 'starting',
            default => 'adult',
        };
    }

    /**
     * Whose limits hold: a filter that is being started has its own only as long as no fish are in it.
     */
    public static function inForce(string $stage, bool $fish): string
    {
        return $stage === self::STARTING && $fish ? self::WITH_FISH : $stage;
    }

    public static function from(Row $table): self
    {
        $limits = [];
        foreach ($table->rows('limits') as $row) {
            $scale = $row->numbers('scale');
            $entry = new Limits(
                Parameter::from($row->text('parameter')),
                self::bounds($row->rowOrNull('below')),
                self::bounds($row->rowOrNull('above')),
                $scale[0],
                $scale[1],
                $row->text('source'),
            );
            foreach ($row->texts('stages') as $stage) {
                $limits[$stage][$entry->parameter->value] = $entry;
            }
        }
        $stages = [];
        foreach ($table->rows('stages') as $row) {
            $stages[$row->text('id')] = $row->text('name');
        }

        return new self($limits, $stages);
    }

    /** Limits of a parameter; what has none here is never judged.
     *
     * @throws BrokenTable when there is no such life stage
     */
    public function for(string $stage, Parameter $parameter): Limits
    {
        if (!isset($this->stages[$stage])) {
            throw new BrokenTable("There is no life stage {$stage}.");
        }

        return $this->limits[$stage][$parameter->value] ?? Limits::none($parameter);
    }

    /** The same table with other limits for one life stage. */
    public function with(string $stage, Limits $limits): self
    {
        return new self(
            [...$this->limits, $stage => [...$this->limits[$stage] ?? [], $limits->parameter->value => $limits]],
            $this->stages,
        );
    }

    private static function bounds(?Row $row): ?Bounds
    {
        return $row === null ? null : new Bounds($row->number('watch'), $row->number('act'), $row->number('emergency'));
    }
}
