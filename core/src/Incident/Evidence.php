<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/**
 * Something in the book that speaks for one cause of trouble or against it.
 *
 * `holds` is null where nobody wrote down what it goes by. The lines are common practice, no source.
 *
 * @source cp-suspects
 */
enum Evidence: string
{
    case YoungFilter = 'young_filter';
    case NitriteFollows = 'nitrite_follows';
    case NoNitrate = 'no_nitrate';
    case FishCame = 'fish_came';
    case FishCameNow = 'fish_came_now';
    case PastCapacity = 'past_capacity';
    case Washed = 'washed';
    case WashedInTap = 'washed_in_tap';
    case Serviced = 'serviced';
    case Stood = 'stood';
    case FeedRaised = 'feed_raised';
    case FedMuch = 'fed_much';
    case Medicine = 'medicine';
    case ChlorineRead = 'chlorine_read';
    case ChlorineLeft = 'chlorine_left';
    case ChlorineMay = 'chlorine_may';
    case AfterFill = 'after_fill';
    case SourceAmmonia = 'source_ammonia';
    case SourceNitrate = 'source_nitrate';
    case SourceHard = 'source_hard';
    case ChangedNow = 'changed_now';
    case ChangedMuch = 'changed_much';
    case FewChanges = 'few_changes';
    case ColdWater = 'cold_water';
    case Cooled = 'cooled';
    case WarmWater = 'warm_water';
    case KhGone = 'kh_gone';
    case DirtSeen = 'dirt_seen';
    case DeadFish = 'dead_fish';
    case LongUnwashed = 'long_unwashed';
    case Slowed = 'slowed';
    case Crowded = 'crowded';
    case NoAir = 'no_air';
    case OxygenLow = 'oxygen_low';
    case OxygenGood = 'oxygen_good';
    case Carbon = 'carbon';
    case Green = 'green';
    case LampDark = 'lamp_dark';
    case NitrateHigh = 'nitrate_high';
    case Overdosed = 'overdosed';
    case Salted = 'salted';
    case Buffered = 'buffered';
    case WaterBad = 'water_bad';
    case WaterWasBad = 'water_was_bad';
    case Rubbing = 'rubbing';
    case Wounds = 'wounds';
    case AtReturns = 'at_returns';
    case ManyAtOnce = 'many_at_once';

    /** A filter younger than this has not grown, days. */
    private const YOUNG_D = 60.0;

    /** One older than this has, days. */
    private const GROWN_D = 120.0;

    /** Fish that came are many from this share of those that were there. */
    private const MANY = 0.1;

    private const NOW_D = 2.0;

    /** A filter unwashed for so long is suspected of its own dirt, days. */
    private const UNWASHED_D = 60.0;

    /** Fed past this share of the usual ration. */
    private const MUCH = 1.3;

    /** Of the water a week: under it little is carried off, percent. */
    private const FEW_PCT = 10.0;

    private const LARGE_PCT = 50.0;

    private const COLD_C = 12.0;

    private const COOLED_C = 4.0;

    private const WARM_C = 26.0;

    /** Under it nitrification stalls, mg/L as CaCO3. */
    private const KH_LEAST = 40.0;

    /** Ammonia and nitrate of new water that tell, mg/L as N. */
    private const SOURCE_TAN = 0.1;

    private const SOURCE_NO3 = 5.0;

    /** Fed fish and a working filter leave more nitrate than this, mg/L as N. */
    private const NO3_NONE = 1.0;

    private const CO2_HIGH = 15.0;

    /** Nitrite from this on is nitrite to be seen, mg/L as N. */
    private const NITRITE_SEEN = 0.05;

    private const OXYGEN_ENOUGH = 6.0;

    public function holds(Facts $now): ?bool
    {
        $over = static fn(?float $value, float $line): ?bool => $value === null ? null : $value > $line;
        $under = static fn(?float $value, float $line): ?bool => $value === null ? null : $value < $line;
        $either = static fn(?bool ...$some): ?bool => in_array(true, $some, true)
            ? true
            : (in_array(null, $some, true)
                ? null
                : false);
        $lately = static fn(?float $days, float $line): bool => $days !== null && $days <= $line;
        $read = $now->reading(...);

        return match ($this) {
            self::YoungFilter => match (true) {
                $now->filterDays === null => null,
                $now->filterDays < self::YOUNG_D => true,
                $now->filterDays > self::GROWN_D => false,
                default => null,
            },
            self::NitriteFollows => $over($read('no2_n_mg_l'), self::NITRITE_SEEN),
            self::NoNitrate => $under($read('no3_n_mg_l'), self::NO3_NONE),
            self::FishCame => $now->fishCame > 0 &&
                ($now->fishThere === 0 || $now->fishCame >= self::MANY * $now->fishThere),
            self::FishCameNow => $lately($now->fishCameDays, Facts::WEEK_D),
            self::PastCapacity => $now->loadGD === null || $now->capacityGD === null
                ? null
                : $now->loadGD > $now->capacityGD,
            self::Washed => in_array(
                $now->setback,
                [Deed::Swished, Deed::Hosed, Deed::HosedChlorinated, Deed::Replaced],
                true,
            ) || $now->event === Event::TapWash,
            self::Serviced => $lately($now->washedDays, Facts::WEEK_D),
            self::WashedInTap => $now->event === Event::TapWash || $now->setback === Deed::HosedChlorinated,
            self::Stood => $now->sees(Sign::PumpStopped, Sign::FilterClosed) ||
                in_array($now->event, [Event::PowerCut, Event::PumpBlocked], true) ||
                in_array($now->setback, [Deed::StoodClosed, Deed::StoodOpen, Deed::Dried], true),
            self::FeedRaised => $now->feedGD === null
                ? null
                : $now->raisedFrom !== null && LookBack::raised($now->raisedFrom, $now->feedGD),
            self::FedMuch => $now->feedGD === null || $now->rationGD === null || $now->rationGD <= 0
                ? null
                : $now->feedGD > self::MUCH * $now->rationGD,
            self::Medicine => $now->medicine !== null,
            self::ChlorineRead => $over($read('chlorine_mg_l'), 0.0),
            self::ChlorineLeft => $now->chlorineRuns || $now->untakenL !== null,
            self::ChlorineMay => $now->chlorineMay,
            self::AfterFill => $now->sees(Sign::AfterFill) || $now->event === Event::WrongWater,
            self::SourceAmmonia => $over($now->source['tan_mg_l'] ?? null, self::SOURCE_TAN),
            self::SourceNitrate => $over($now->source['no3_n_mg_l'] ?? null, self::SOURCE_NO3),
            self::SourceHard => self::harder($now),
            self::ChangedNow => $lately($now->changedDays, self::NOW_D),
            self::ChangedMuch => $now->changedPct === null
                ? null
                : $lately($now->changedDays, Facts::WEEK_D) && $now->changedPct >= self::LARGE_PCT,
            self::FewChanges => $under($now->weeklyPct, self::FEW_PCT),
            self::ColdWater => $under($read('temp_c'), self::COLD_C),
            self::Cooled => $over($now->colderBy, self::COOLED_C),
            self::WarmWater => $over($read('temp_c'), self::WARM_C),
            self::KhGone => $either(
                $under($read('alkalinity_mg_l'), self::KH_LEAST),
                $under($read('ph'), AssumedWater::PH - 1),
            ),
            self::DirtSeen => $now->sees(Sign::MurkyWater, Sign::Foam),
            self::DeadFish => $now->sees(Sign::DeadFish) || $now->event === Event::DeadFish || $now->lost > 0,
            self::LongUnwashed => $over($now->washedDays, self::UNWASHED_D),
            self::Slowed => $now->sees(Sign::FlowSlowed, Sign::BlocksFast),
            self::Crowded => $now->densityKgM3 === null || $now->densityMost === null
                ? null
                : $now->densityKgM3 > $now->densityMost,
            self::NoAir => $now->air === null ? null : !$now->air,
            self::OxygenLow => $now->bad('do_mg_l'),
            self::OxygenGood => $over($read('do_mg_l'), self::OXYGEN_ENOUGH),
            self::Carbon => $over($read('co2_mg_l'), self::CO2_HIGH),
            self::Green => $now->sees(Sign::GreenWater),
            self::LampDark => $now->lampDark,
            self::NitrateHigh => $now->bad('no3_n_mg_l'),
            self::Overdosed => $now->standing || $now->event === Event::Overdose,
            self::Salted => $now->saltDays !== null,
            self::Buffered => $lately($now->bufferDays, Facts::WEEK_D),
            self::WaterBad => self::waterBad($now),
            self::WaterWasBad => $now->badDays !== null,
            self::Rubbing => $now->sees(Sign::Flashing, Sign::Jumping),
            self::Wounds => $now->sees(Sign::Ulcers, Sign::Marks),
            self::AtReturns => $now->sees(Sign::AtReturns),
            self::ManyAtOnce => $now->sees(Sign::Gasping, Sign::AtReturns, Sign::LyingDown),
        };
    }

    public function says(Facts $now, bool $holds): Message
    {
        return EvidenceWords::of($this, $now, $holds);
    }

    /** Whether new water is so much harder or higher in pH that changing with it lifts both; null untested. */
    private static function harder(Facts $now): ?bool
    {
        $known = false;
        foreach (['hardness_mg_l' => 50.0, 'alkalinity_mg_l' => 50.0, 'ph' => 0.3] as $key => $more) {
            if (isset($now->source[$key], $now->water[$key])) {
                $known = true;
                if ($now->source[$key] > $now->water[$key] - $more && $now->bad($key) === true) {
                    return true;
                }
            }
        }

        return $known ? false : null;
    }

    /** Whether ammonia, nitrite or chlorine is bad in itself; null where neither ammonia nor nitrite was tested. */
    private static function waterBad(Facts $now): ?bool
    {
        $bad = [
            $now->bad('tan_mg_l'),
            $now->bad('no2_n_mg_l'),
            ...isset($now->water['chlorine_mg_l']) ? [$now->bad('chlorine_mg_l')] : [],
        ];

        return in_array(true, $bad, true) ? true : ($bad[0] === null || $bad[1] === null ? null : false);
    }
}
