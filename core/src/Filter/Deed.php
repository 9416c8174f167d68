<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * What was done to a filter, or befell it, that costs it bacteria: told as the deed, never as a percentage.
 *
 * @source wash-from-memory
 */
enum Deed: string
{
    case Swished = 'swished';
    case Hosed = 'hosed';
    case HosedChlorinated = 'hosed_chlorinated';
    case Replaced = 'replaced';
    case Dried = 'dried';
    case StoodClosed = 'stood_closed';
    case StoodOpen = 'stood_open';
    case Medicine = 'medicine';

    /** Into another system; booked by the seed that it is. */
    case Moved = 'moved';

    /** Shares lost, low and high, percent: at hours where time decides, and once where it does not. */
    private const TABLE = [
        'swished' => [[0, 10, 5, 20]],
        'hosed' => [[0, 30, 15, 50]],
        'hosed_chlorinated' => [[0, 60, 30, 90]],
        'replaced' => [[0, 100, 100, 100]],
        'dried' => [[0, 0, 0, 0], [1, 10, 2, 30], [6, 50, 20, 80], [24, 90, 60, 100], [72, 100, 90, 100]],
        'stood_closed' => [[0, 0, 0, 0], [1, 5, 1, 20], [6, 90, 60, 98], [24, 100, 95, 100]],
        'stood_open' => [[0, 0, 0, 0], [1, 2, 0, 10], [6, 20, 5, 50], [24, 70, 40, 95], [72, 100, 80, 100]],
        'medicine' => [[0, 30, 0, 90]],
        'moved' => [[0, 100, 100, 100]],
    ];

    public function name(): string
    {
        return match ($this) {
            self::Swished => 'Rinsed in system water',
            self::Hosed => 'Hosed with untreated water free of chlorine',
            self::HosedChlorinated => 'Hosed with chlorinated water',
            self::Replaced => 'Media thrown away or replaced',
            self::Dried => 'Dried out',
            self::StoodClosed => 'Stood without flow, closed or packed',
            self::StoodOpen => 'Stood without flow, open and wet',
            self::Medicine => 'A medicine that harms it',
            self::Moved => 'Media moved to another system',
        };
    }

    /** @return list<self> what a keeper tells as such: all but what a seed books of itself */
    public static function told(): array
    {
        $told = [];
        foreach (self::cases() as $deed) {
            if ($deed !== self::Moved) {
                $told[] = $deed;
            }
        }

        return $told;
    }

    /** What a stop costs: a closed or packed filter dies far sooner than one that stays open and wet. */
    public static function stop(bool $closed): self
    {
        return $closed ? self::StoodClosed : self::StoodOpen;
    }

    /** Whether what it costs follows from its hours. */
    public function byHours(): bool
    {
        return count($this->rows()) > 1;
    }

    /**
     * @param  float  $hours  0 or more; counts only where time decides
     * @param  float  $share  of the media that it befell, 0 to 1
     * @return array{lost: float, low: float, high: float} percent of the filter's bacteria
     */
    public function costs(float $hours = 0.0, float $share = 1.0): array
    {
        $rows = $this->rows();
        $row = $rows[count($rows) - 1];
        foreach ($rows as $i => $next) {
            if ($hours <= $next[0]) {
                $row = $i === 0 ? $next : self::between($rows[$i - 1], $next, $hours);
                break;
            }
        }

        return ['lost' => $share * $row[1], 'low' => $share * $row[2], 'high' => $share * $row[3]];
    }

    /** @return non-empty-list<array{int, int, int, int}> */
    private function rows(): array
    {
        return self::TABLE[$this->value];
    }

    /**
     * A straight line between two rows.
     *
     * @param  array{int, int, int, int}  $from
     * @param  array{int, int, int, int}  $to
     * @return array{float, float, float, float}
     */
    private static function between(array $from, array $to, float $hours): array
    {
        $way = ($hours - $from[0]) / ($to[0] - $from[0]);
        $at = static fn(int $a, int $b): float => $a + $way * ($b - $a);

        return [$hours, $at($from[1], $to[1]), $at($from[2], $to[2]), $at($from[3], $to[3])];
    }
}
