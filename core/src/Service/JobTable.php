<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;
use Ironwort\Core\Filter\Deed;

/** The jobs of service, and how season and feed move their intervals. */
final readonly class JobTable
{
    /** @var array<string, array<int, Job>> by what they are done on, in the order of the table */
    private array $on;

    /**
     * @param  array<string, Job>  $jobs  by id
     * @param  list<Pace>  $seasons  by water temperature, °C
     * @param  list<Pace>  $feeds  by feed, % of the weight of the fish a day
     */
    private function __construct(private array $jobs, public array $seasons, public array $feeds)
    {
        $on = [];
        foreach (array_values($jobs) as $place => $job) {
            foreach ($job->on as $kind) {
                $on[$kind][$place] = $job;
            }
        }
        $this->on = $on;
    }

    /** @throws BrokenTable */
    public static function from(Row $table): self
    {
        $jobs = [];
        foreach ($table->rows('jobs') as $row) {
            $has = static fn(string $key): bool => in_array($key, $row->keys(), true);
            $in = $has('in') ? $row->row('in') : null;
            $jobs[$row->text('id')] = new Job(
                id: $row->text('id'),
                name: $row->text('name'),
                on: $row->texts('on'),
                everyD: $row->number('every_d'),
                in: $in === null ? [] : array_combine($in->keys(), array_map($in->number(...), $in->keys())),
                minutes: $row->number('minutes'),
                hours: $row->numberOrNull('hours'),
                washes: $row->numberOrNull('washes') ?? 0.0,
                deed: $has('deed') ? Deed::from($row->text('deed')) : null,
                flushS: $row->numberOrNull('flush_s'),
                litresMin: $row->numberOrNull('litres_min') ?? 0.0,
                cleans: $has('cleans') && $row->flag('cleans'),
                steps: $row->text('steps'),
                tools: $row->texts('tools'),
                not: $row->texts('not'),
                bySeason: $row->flag('season'),
                byFeed: $row->flag('feed'),
                source: $row->text('source'),
                once: $has('once') ? YearSeason::from($row->text('once')) : null,
                schools: $has('schools')
                    ? array_combine(
                        $row->row('schools')->keys(),
                        array_map($row->row('schools')->text(...), $row->row('schools')->keys()),
                    )
                    : [],
            );
        }

        return new self(
            $jobs,
            array_map(static fn(Row $row): Pace => Pace::from($row, 'c'), $table->rows('seasons')),
            array_map(static fn(Row $row): Pace => Pace::from($row, 'pct'), $table->rows('feed')),
        );
    }

    /** @throws BrokenTable */
    public function get(string $id): Job
    {
        return $this->jobs[$id] ?? throw new BrokenTable("There is no job {$id}.");
    }

    public function has(string $id): bool
    {
        return isset($this->jobs[$id]);
    }

    /** @return list<Job> those of a part: of a kind of stage, `pump:KIND`, `drained`, `fish` or `system` */
    public function of(string ...$kinds): array
    {
        $found = [];
        foreach ($kinds as $kind) {
            $found += $this->on[$kind] ?? [];
        }
        ksort($found);

        return array_values($found);
    }

    /** @return list<Job> */
    public function all(): array
    {
        return array_values($this->jobs);
    }
}
