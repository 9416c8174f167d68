<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\BuildStep;
use PHPat\Test\PHPat;

/**
 * The doors between the rooms, and between the subjects in each: who may import whom. PHPStan proves them.
 *
 * Each subject may import only subjects that stand above it, so that no circle can be written down here, and none
 * that is not written down here passes.
 */
final class DoorsTest
{
    private const CORE = [
        'Words' => [],
        'Numeric' => [],
        'Measure' => [],
        'Calc' => ['Measure'],
        'Data' => [],
        'Units' => ['Calc', 'Measure'],
        'Vessel' => ['Calc', 'Measure'],
        'Water' => ['Calc', 'Measure', 'Numeric'],
        'Judge' => ['Data', 'Measure', 'Water'],
        'Fish' => ['Calc', 'Data', 'Judge', 'Measure', 'Water'],
        'Flow' => ['Calc', 'Data', 'Measure', 'Numeric', 'Water'],
        'Dose' => ['Calc', 'Data', 'Judge', 'Measure', 'Numeric', 'Water'],
        'Aeration' => ['Calc', 'Data', 'Fish', 'Measure', 'Water'],
        'Exchange' => ['Calc', 'Fish', 'Judge', 'Measure', 'Water'],
        'Loop' => ['Calc', 'Flow', 'Judge', 'Measure', 'Numeric', 'Water'],
        'Book' => ['Judge', 'Measure', 'Water'],
        'Filter' => ['Aeration', 'Calc', 'Data', 'Fish', 'Judge', 'Measure', 'Numeric', 'Water'],
        'Model' => ['Calc', 'Exchange', 'Filter', 'Fish', 'Measure', 'Numeric', 'Water'],
        'Service' => ['Aeration', 'Calc', 'Data', 'Exchange', 'Filter', 'Fish', 'Flow', 'Measure', 'Model', 'Water'],
        'Arrival' => ['Calc', 'Data', 'Fish', 'Measure', 'Water'],
        'Incident' => [
            'Calc',
            'Data',
            'Dose',
            'Exchange',
            'Filter',
            'Fish',
            'Flow',
            'Judge',
            'Measure',
            'Model',
            'Water',
        ],
    ];

    private const APP = [
        'Models' => [],
        'Http' => ['Models'],
        'Forms' => ['Models'],
        'Readings' => ['Forms', 'Http', 'Models'],
        'Volumes' => ['Forms', 'Http', 'Models', 'Readings'],
        'Expected' => ['Models', 'Readings', 'Volumes'],
        'Shelf' => ['Forms', 'Http', 'Models', 'Volumes'],
        'Build' => ['Forms', 'Http', 'Models', 'Readings', 'Volumes'],
        'Fish' => ['Build', 'Forms', 'Http', 'Models', 'Readings', 'Volumes'],
        'Living' => ['Fish', 'Forms', 'Models', 'Readings', 'Volumes'],
        'Running' => ['Fish', 'Forms', 'Http', 'Living', 'Models', 'Readings', 'Volumes'],
        'Capacity' => ['Expected', 'Fish', 'Forms', 'Http', 'Living', 'Models', 'Readings', 'Volumes'],
        'Growth' => ['Capacity', 'Fish', 'Forms', 'Http', 'Models', 'Readings', 'Volumes'],
        'Variants' => ['Build', 'Capacity', 'Http', 'Models', 'Readings', 'Volumes'],
        'Bench' => ['Capacity', 'Expected', 'Forms', 'Http', 'Models', 'Readings', 'Volumes'],
        'Water' => [
            'Build',
            'Capacity',
            'Expected',
            'Fish',
            'Forms',
            'Http',
            'Living',
            'Models',
            'Readings',
            'Running',
            'Shelf',
            'Volumes',
        ],
        'Service' => [
            'Build',
            'Capacity',
            'Expected',
            'Fish',
            'Forms',
            'Http',
            'Models',
            'Readings',
            'Running',
            'Volumes',
            'Water',
        ],
        'Dosing' => ['Bench', 'Capacity', 'Expected', 'Forms', 'Http', 'Models', 'Readings', 'Shelf', 'Volumes'],
        'State' => ['Capacity', 'Expected', 'Models', 'Readings', 'Running', 'Volumes'],
        'Maturing' => ['Capacity', 'Expected', 'Fish', 'Forms', 'Http', 'Living', 'Models', 'Readings', 'Volumes'],
        'Book' => [
            'Expected',
            'Forms',
            'Http',
            'Maturing',
            'Models',
            'Readings',
            'Running',
            'Service',
            'Volumes',
            'Water',
        ],
        'Arrivals' => [
            'Book',
            'Capacity',
            'Expected',
            'Fish',
            'Forms',
            'Http',
            'Living',
            'Models',
            'Readings',
            'Running',
            'Volumes',
        ],
        'Trouble' => [
            'Arrivals',
            'Capacity',
            'Expected',
            'Fish',
            'Forms',
            'Http',
            'Living',
            'Models',
            'Readings',
            'Running',
            'State',
            'Volumes',
        ],
        'Schools' => ['Build', 'Capacity', 'Http', 'Maturing', 'Models', 'Readings', 'Service', 'State', 'Trouble'],
        'Looks' => ['Book', 'Fish', 'Forms', 'Http', 'Models', 'Readings'],
        'Round' => [
            'Capacity',
            'Dosing',
            'Forms',
            'Http',
            'Looks',
            'Maturing',
            'Models',
            'Readings',
            'Running',
            'Service',
            'State',
            'Trouble',
            'Volumes',
        ],
        'Report' => ['Http', 'Models', 'Readings'],
        'Calendar' => ['Arrivals', 'Dosing', 'Http', 'Models', 'Readings', 'Service', 'State'],
        'Catalogue' => ['Build', 'Http', 'Models'],
        'Transfer' => ['Book', 'Models'],
        'Operation' => ['Http', 'Models', 'Transfer'],
        'Site' => [
            'Build',
            'Capacity',
            'Forms',
            'Http',
            'Models',
            'Operation',
            'Readings',
            'Running',
            'State',
            'Volumes',
        ],
    ];

    /** The core imports itself and PHP: no framework, no interface, no database. */
    #[TestRule]
    public function theCoreStandsAlone(): BuildStep
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Ironwort\Core'))
            ->canOnly()
            ->dependOn()
            ->classes(Selector::inNamespace('Ironwort\Core'))
            ->because('the science is plain PHP');
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function subjectsOfTheCore(): iterable
    {
        return self::doors('Ironwort\Core', self::CORE, ['Catalogue'], ['Words']);
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function subjectsOfTheApp(): iterable
    {
        return self::doors('App', self::APP, ['Providers'], []);
    }

    /**
     * @param  array<string, list<string>>  $may  whom each subject may import, those that import least first
     * @param  list<string>  $words  what every subject may import, and imports nothing
     * @param  list<string>  $last  subjects that may import all of these, and are imported by none
     * @return iterable<string, BuildStep>
     */
    private static function doors(string $room, array $may, array $last, array $words): iterable
    {
        $above = [];
        foreach ($may as $subject => $allowed) {
            if (array_diff($allowed, $above) !== []) {
                throw new \LogicException("{$subject} may import only what stands above it: no circle.");
            }
            $above[] = $subject;
            $closed = array_diff([...array_keys($may), ...$last], $allowed, $words, [$subject]);
            yield $subject => PHPat::rule()
                ->classes(Selector::inNamespace("{$room}\\{$subject}"))
                ->shouldNot()
                ->dependOn()
                ->classes(
                    ...array_map(
                        static fn(string $other): SelectorInterface => Selector::inNamespace("{$room}\\{$other}"),
                        array_values($closed),
                    ),
                )
                ->because("{$subject} stands before them");
        }
    }
}
