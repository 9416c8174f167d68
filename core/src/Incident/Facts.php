<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\State;

/**
 * What the book tells of a system in trouble, from which its causes are found: null where nobody wrote it down.
 *
 * Canonical units; days are days ago.
 *
 * @source cp-suspects
 */
final readonly class Facts
{
    public const WEEK_D = 7;

    /** Changes and salt are counted over so many days. */
    public const CHANGES_D = 28;

    /** Kinds of stage that bring air by the way water falls through them. */
    public const FALLING = ['shower'];

    /** What lifts pH or KH. */
    public const BUFFERS = ['bicarbonate', 'lime'];

    /**
     * @param  array<string, float>  $water  fresh readings by parameter
     * @param  array<string, State>  $states  how each of them is judged
     * @param  list<Sign>  $seen
     * @param  ?Event  $event  an incident was opened with
     * @param  ?float  $filterDays  since its youngest media went in, or its start began
     * @param  int  $fishCame  in the last three weeks
     * @param  int  $fishThere  before them
     * @param  ?float  $fishCameDays  since the first of them came
     * @param  ?Deed  $setback  the newest deed that cost the filter bacteria, while it is watched for
     * @param  ?float  $setbackDays  since then
     * @param  ?float  $washedDays  since the last wash of any part of the filter
     * @param  ?float  $raisedFrom  g/d of feed before it was raised in the last three weeks
     * @param  ?float  $feedGD  given now, g/d
     * @param  ?float  $rationGD  usual for these fish in this water, g/d
     * @param  ?float  $loadGD  ammonia made in a day, g N
     * @param  ?float  $capacityGD  of it what the filter takes
     * @param  ?string  $medicine  that harms a filter, given in the last three weeks
     * @param  ?float  $medicineDays  since then
     * @param  ?float  $untakenL  new water of the last three weeks whose chlorine nobody booked as taken out
     * @param  ?float  $untakenDays  since then
     * @param  bool  $chlorineRuns  new water that may hold chlorine runs in all the while
     * @param  ?bool  $chlorineMay  whether the water it is filled from may bring chlorine
     * @param  array<string, float>  $source  readings of the water it is filled from
     * @param  ?float  $changedDays  since the last change
     * @param  ?float  $changedPct  of the water, by that change
     * @param  ?float  $weeklyPct  of the water changed a week, over the last four weeks
     * @param  ?float  $densityKgM3
     * @param  ?float  $densityMost  that its school lets, kg/m³
     * @param  ?float  $saltDays  since salt was last given
     * @param  ?float  $bufferDays  since a buffer was last given
     * @param  int  $lost  fish in the last week
     * @param  ?float  $badDays  since ammonia or nitrite was last dangerous, before the reading of now
     * @param  bool  $lampDark  there is a lamp, and it is off or passed by
     * @param  ?bool  $air  whether air is blown in, or water falls, in a loop that was described
     * @param  bool  $standing  more stands in the water than any plan would have let in
     * @param  ?float  $colderBy  °C that the water fell in a week
     */
    public function __construct(
        public array $water = [],
        public array $states = [],
        public array $seen = [],
        public ?Event $event = null,
        public ?float $filterDays = null,
        public int $fishCame = 0,
        public int $fishThere = 0,
        public ?float $fishCameDays = null,
        public ?Deed $setback = null,
        public ?float $setbackDays = null,
        public ?float $washedDays = null,
        public ?float $raisedFrom = null,
        public ?float $feedGD = null,
        public ?float $rationGD = null,
        public ?float $loadGD = null,
        public ?float $capacityGD = null,
        public ?string $medicine = null,
        public ?float $medicineDays = null,
        public ?float $untakenL = null,
        public ?float $untakenDays = null,
        public bool $chlorineRuns = false,
        public ?bool $chlorineMay = null,
        public array $source = [],
        public ?float $changedDays = null,
        public ?float $changedPct = null,
        public ?float $weeklyPct = null,
        public ?float $densityKgM3 = null,
        public ?float $densityMost = null,
        public ?float $saltDays = null,
        public ?float $bufferDays = null,
        public int $lost = 0,
        public ?float $badDays = null,
        public bool $lampDark = false,
        public ?bool $air = null,
        public bool $standing = false,
        public ?float $colderBy = null,
    ) {}

    public function reading(string $key): ?float
    {
        return $this->water[$key] ?? null;
    }

    public function sees(Sign ...$signs): bool
    {
        foreach ($signs as $sign) {
            if (in_array($sign, $this->seen, true)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a reading is to be acted on; null where it was not tested. */
    public function bad(string $key): ?bool
    {
        $state = $this->states[$key] ?? null;

        return isset($this->water[$key]) ? $state === State::Act || $state === State::Emergency : null;
    }
}
