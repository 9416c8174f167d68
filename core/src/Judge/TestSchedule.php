<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;

/**
 * How often what is tested, by what a system is for, how it stands and what the season asks.
 *
 * Hours between tests. A test is due when so much time has gone, late when half as much again has.
 *
 * @source cp-test-schedule  every 12 h in a start or an incident, daily in quarantine, weekly in routine, nitrate
 *     monthly
 * @source cp-test-seasons   less in cold water, more while it warms, oxygen at dawn in warm water
 */
final readonly class TestSchedule
{
    /** Hours of the day between which a reading is one of dawn. */
    public const DAWN_FROM = 3;

    public const DAWN_UNTIL = 8;

    /**
     * How long ago the water is looked at to tell whether it warms up, and how old a temperature may be to tell the
     * season.
     */
    public const WEEKS_BACK = 4;

    public const KNOWN_FOR_D = 14;

    /**
     * @param  array<string, array{name: string, hours: array<string, float>}>  $contexts
     * @param  list<Season>  $seasons
     */
    private function __construct(private array $contexts, private array $seasons) {}

    /** @throws BrokenTable */
    public static function from(Row $table): self
    {
        $contexts = [];
        foreach ($table->rows('contexts') as $row) {
            $contexts[$row->text('id')] = ['name' => $row->text('name'), 'hours' => self::numbers($row->row('hours'))];
        }
        $seasons = [];
        foreach ($table->rows('seasons') as $row) {
            $hours = $row->row('hours');
            foreach (array_diff($hours->keys(), array_keys($contexts)) as $unknown) {
                throw new BrokenTable("A season changes the context {$unknown}, which there is not.");
            }
            $byContext = array_map(
                static fn(string $context): array => self::numbers($hours->row($context)),
                $hours->keys(),
            );
            $seasons[] = new Season(
                id: $row->text('id'),
                name: $row->text('name'),
                says: $row->text('says'),
                fromC: $row->numberOrNull('from_c'),
                belowC: $row->numberOrNull('below_c'),
                warmedByC: $row->numberOrNull('warmed_by_c'),
                hours: array_combine($hours->keys(), $byContext),
                dawn: $row->texts('dawn'),
            );
        }

        return new self($contexts, $seasons);
    }

    /** Hours after a wash at which its filter is looked at, and for how long a wash is of late. */
    private const FIRST_LOOK_H = 6.0;

    private const SECOND_LOOK_H = 24.0;

    public const WASH_OF_LATE_H = 72;

    /** A filter younger than this with fish in it is a start, whatever the system is for, days. */
    public const YOUNG_D = 42;

    /** `start`, `incident`, `setback`, `quarantine` or `routine`. */
    public static function context(string $kind, ?State $state, bool $setBack = false, bool $young = false): string
    {
        return match (true) {
            $kind === 'start' => 'start',
            $state === State::Act || $state === State::Emergency => 'incident',
            $setBack => 'setback',
            $young => 'start',
            in_array($kind, ['quarantine', 'hospital', 'fry'], true) => 'quarantine',
            default => 'routine',
        };
    }

    /**
     * The season as the water shows it; none where it is neither cold nor warm nor warming, or nobody knows.
     *
     * @param  ?float  $nowC  a temperature of the last fortnight
     * @param  ?float  $monthAgoC  one of four weeks ago
     */
    public function season(?float $nowC, ?float $monthAgoC): ?Season
    {
        foreach ($this->seasons as $season) {
            if ($nowC !== null && $season->fits($nowC, $monthAgoC)) {
                return $season;
            }
        }

        return null;
    }

    /** @return list<string> parameters that some season wants read at dawn */
    public function readAtDawn(): array
    {
        return array_values(
            array_unique(array_merge(...array_map(static fn(Season $season): array => $season->dawn, $this->seasons))),
        );
    }

    /** What a context is called in a sentence. */
    public function name(string $context): string
    {
        return $this->contexts[$context]['name'] ?? throw new BrokenTable("There is no context {$context}.");
    }

    /**
     * @param  array<string, ?float>  $own  hours by parameter as the keeper set them; null: not at all
     * @return array<string, float> hours by parameter
     */
    public function hours(string $context, ?Season $season, array $own = []): array
    {
        $usual = $this->contexts[$context]['hours'] ?? throw new BrokenTable("There is no context {$context}.");

        return array_filter(
            [...$usual, ...$season->hours[$context] ?? [], ...$own],
            static fn(?float $every): bool => $every !== null,
        );
    }

    /** `done`, `due` or `late`, by the hours since the last test; never tested is due. */
    public static function stands(?float $hoursAgo, float $every): string
    {
        return match (true) {
            $hoursAgo === null => 'due',
            $hoursAgo <= $every => 'done',
            $hoursAgo <= 1.5 * $every => 'due',
            default => 'late',
        };
    }

    /**
     * Ammonia and nitrite are looked at some hours after a wash that cost bacteria, and a day after it: common
     * practice, no source.
     *
     * @param  float  $every  hours, as usual
     * @param  ?float  $lastH  hours since the last test
     * @param  ?float  $washedH  hours since the last such wash; null where there was none of late
     * @return float hours from the last test to the next
     */
    public static function afterWash(float $every, ?float $lastH, ?float $washedH): float
    {
        if ($lastH === null || $washedH === null) {
            return $every;
        }
        $mark = match (true) {
            $lastH > $washedH => self::FIRST_LOOK_H,
            $lastH > $washedH - self::SECOND_LOOK_H => self::SECOND_LOOK_H,
            default => null,
        };

        return $mark === null ? $every : min($every, max(1.0, $lastH + $mark - $washedH));
    }

    /** Hours until a test is due again; an hour where it is due by the minute, null where it was never done. */
    public static function left(?float $hoursAgo, float $every): ?float
    {
        return $hoursAgo === null ? null : max(1.0, $every - $hoursAgo);
    }

    /** @return array<string, float> */
    private static function numbers(Row $row): array
    {
        return array_combine($row->keys(), array_map($row->number(...), $row->keys()));
    }
}
