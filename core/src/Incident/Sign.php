<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/** What a keeper sees standing at the water, and what it may come of. Common practice, no source. */
enum Sign: string
{
    case Gasping = 'gasping';
    case AtReturns = 'at_returns';
    case AfterFill = 'after_fill';
    case PumpStopped = 'pump_stopped';
    case FilterClosed = 'filter_closed';
    case NewFishDying = 'new_fish_dying';
    case Flashing = 'flashing';
    case ClampedFins = 'clamped_fins';
    case OffFood = 'off_food';
    case LyingDown = 'lying_down';
    case Ulcers = 'ulcers';
    case Marks = 'marks';
    case FastGills = 'fast_gills';
    case Jumping = 'jumping';
    case Lethargic = 'lethargic';
    case Curled = 'curled';
    case DeadFish = 'dead_fish';
    case CloudyWater = 'cloudy_water';
    case MurkyWater = 'murky_water';
    case Foam = 'foam';
    case FlowSlowed = 'flow_slowed';
    case BlocksFast = 'blocks_fast';
    case GreenWater = 'green_water';

    public function says(): string
    {
        return match ($this) {
            self::Gasping => 'gasping at the surface',
            self::AtReturns => 'pushing up into the returns',
            self::AfterFill => 'it began after a fill',
            self::PumpStopped => 'the pump stands, or stood',
            self::FilterClosed => 'a filter was left closed',
            self::NewFishDying => 'new fish are dying, the others look well',
            self::Flashing => 'flashing, rubbing',
            self::ClampedFins => 'clamped fins, hanging',
            self::OffFood => 'off their food',
            self::LyingDown => 'lying down, lost balance',
            self::Ulcers => 'ulcers, cottony growth',
            self::Marks => 'spots, patches, raised scales',
            self::FastGills => 'gills go fast',
            self::Jumping => 'jumping',
            self::Lethargic => 'sluggish',
            self::Curled => 'curled, bent',
            self::DeadFish => 'a fish is dead',
            self::CloudyWater => 'cloudy, milky water',
            self::MurkyWater => 'murky, brown water',
            self::Foam => 'foam that stays',
            self::FlowSlowed => 'flow has slowed',
            self::BlocksFast => 'the filter blocks fast',
            self::GreenWater => 'green water',
        };
    }

    /** The sign that a word of the book stands for; null for one that Trouble does not ask about. */
    public static function ofSeen(string $word): ?self
    {
        return match ($word) {
            'gasping at the surface' => self::Gasping,
            'at the returns' => self::AtReturns,
            'flashing' => self::Flashing,
            'clamped fins', 'hanging' => self::ClampedFins,
            'off their food', 'thin' => self::OffFood,
            'lying down', 'lost balance' => self::LyingDown,
            'ulcer', 'cottony growth' => self::Ulcers,
            'raised scales',
            'lost scales',
            'red patch',
            'torn fin',
            'white spots',
            'bulging eye',
            'swollen belly',
            'parasite to be seen'
                => self::Marks,
            'fast gills' => self::FastGills,
            'jumping' => self::Jumping,
            'sluggish' => self::Lethargic,
            'curled' => self::Curled,
            default => null,
        };
    }

    /** @return list<Cause> */
    public function pointsTo(): array
    {
        return match ($this) {
            self::Gasping, self::AtReturns => [Cause::Oxygen],
            self::AfterFill => [Cause::Oxygen, Cause::Chlorine],
            self::PumpStopped => [Cause::Oxygen, Cause::StoppedFilter],
            self::FilterClosed => [Cause::StoppedFilter],
            self::NewFishDying => [Cause::Shock],
            self::Flashing, self::ClampedFins, self::OffFood, self::LyingDown, self::Ulcers => [Cause::Sickness],
            self::FastGills => [Cause::Oxygen, Cause::Sickness],
            self::Jumping => [Cause::Shock, Cause::Sickness],
            self::Lethargic, self::Curled, self::Marks => [Cause::Sickness],
            self::DeadFish => [Cause::Death, Cause::Sickness],
            self::CloudyWater => [Cause::Cloudy],
            self::MurkyWater, self::Foam => [Cause::Dirt],
            self::FlowSlowed, self::BlocksFast => [Cause::Blocked],
            self::GreenWater => [Cause::Bloom],
        };
    }
}
