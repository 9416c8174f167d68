<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** What a piece of evidence says, as it stands in this book. */
final class EvidenceWords
{
    public static function of(Evidence $one, Facts $now, bool $holds): Message
    {
        return $holds ? self::for($one, $now) : self::against($one, $now);
    }

    private static function for(Evidence $one, Facts $now): Message
    {
        return match ($one) {
            Evidence::YoungFilter => Message::of('incident.for_young_filter', [
                'days' => Format::days((float) $now->filterDays),
            ]),
            Evidence::NitriteFollows => Message::of('incident.for_nitrite_follows', [
                'nitrite' => self::value($now, Parameter::Nitrite),
            ]),
            Evidence::NoNitrate => Message::of('incident.for_no_nitrate'),
            Evidence::FishCame => $now->fishCameDays === null
                ? Message::of('incident.behind_fish', ['count' => (string) $now->fishCame])
                : Message::of('incident.for_fish_came', [
                    'count' => (string) $now->fishCame,
                    'ago' => self::ago($now->fishCameDays),
                ]),
            Evidence::FishCameNow => Message::of('incident.for_fish_came_now', [
                'ago' => self::ago((float) $now->fishCameDays),
            ]),
            Evidence::PastCapacity => Message::of('incident.for_past_capacity', [
                'load' => Format::number((float) $now->loadGD, 3),
                'capacity' => Format::number((float) $now->capacityGD, 3),
            ]),
            Evidence::Washed, Evidence::WashedInTap => $now->event === Event::TapWash
                ? Message::of('incident.for_stood_event', ['event' => Event::TapWash->name()])
                : self::setback($now),
            Evidence::Serviced => Message::of('incident.for_washed', ['ago' => self::ago((float) $now->washedDays)]),
            Evidence::Stood => match (true) {
                $now->sees(Sign::PumpStopped, Sign::FilterClosed) => Message::of('incident.for_stood_seen'),
                $now->setback !== null => self::setback($now),
                default => Message::of('incident.for_stood_event', ['event' => ($now->event ?? Event::Seen)->name()]),
            },
            Evidence::FeedRaised => Message::of('incident.for_feed_raised', [
                'before' => Format::number((float) $now->raisedFrom, 3),
                'now' => Format::number((float) $now->feedGD, 3),
            ]),
            Evidence::FedMuch => Message::of('incident.for_fed_much', [
                'feed' => Format::number((float) $now->feedGD, 3),
                'ration' => Format::number((float) $now->rationGD, 3),
            ]),
            Evidence::Medicine => Message::of('incident.behind_medicine', [
                'name' => $now->medicine ?? '',
                'ago' => self::ago($now->medicineDays ?? 0.0),
            ]),
            Evidence::ChlorineRead => Message::of('incident.for_chlorine_read', [
                'chlorine' => Format::number($now->reading('chlorine_mg_l') ?? 0.0, 2),
            ]),
            Evidence::ChlorineLeft => $now->untakenL === null
                ? Message::of('incident.for_chlorine_runs')
                : Message::of('incident.behind_chlorine', [
                    'litres' => Format::number($now->untakenL, 3),
                    'ago' => self::ago($now->untakenDays ?? 0.0),
                ]),
            Evidence::ChlorineMay => Message::of('incident.for_chlorine_may'),
            Evidence::AfterFill => Message::of('incident.for_after_fill'),
            Evidence::SourceAmmonia => Message::of('incident.for_source_ammonia', [
                'tan' => Format::number($now->source['tan_mg_l'] ?? 0.0, 2),
            ]),
            Evidence::SourceNitrate => Message::of('incident.for_source_nitrate', [
                'nitrate' => Format::number(Parameter::Nitrate->shown($now->source['no3_n_mg_l'] ?? 0.0), 2),
                'unit' => Parameter::Nitrate->symbol() ?? '',
            ]),
            Evidence::SourceHard => Message::of('incident.for_source_hard'),
            Evidence::ChangedNow => Message::of('incident.for_changed_now', [
                'ago' => self::ago((float) $now->changedDays),
            ]),
            Evidence::ChangedMuch => Message::of('incident.for_changed_much', [
                'pct' => Format::number((float) $now->changedPct, 2),
                'ago' => self::ago((float) $now->changedDays),
            ]),
            Evidence::FewChanges => Message::of('incident.for_few_changes', [
                'pct' => Format::number((float) $now->weeklyPct, 2),
            ]),
            Evidence::ColdWater => Message::of('incident.for_cold_water', ['temp' => self::temperature($now)]),
            Evidence::Cooled => Message::of('incident.for_cooled', [
                'by' => Format::number((float) $now->colderBy, 2),
            ]),
            Evidence::WarmWater => Message::of('incident.for_warm_water', ['temp' => self::temperature($now)]),
            Evidence::KhGone => Message::of('incident.for_kh_gone'),
            Evidence::DirtSeen => Message::of('incident.for_dirt_seen'),
            Evidence::DeadFish => Message::of('incident.for_dead_fish'),
            Evidence::LongUnwashed => Message::of('incident.for_long_unwashed', [
                'days' => Format::days((float) $now->washedDays),
            ]),
            Evidence::Slowed => Message::of('incident.for_slowed'),
            Evidence::Crowded => Message::of('incident.for_crowded', [
                'density' => Format::number((float) $now->densityKgM3, 3),
                'most' => Format::number((float) $now->densityMost, 3),
            ]),
            Evidence::NoAir => Message::of('incident.for_no_air'),
            Evidence::OxygenLow => Message::of('incident.for_oxygen_low', ['oxygen' => self::oxygen($now)]),
            Evidence::OxygenGood => Message::of('incident.for_oxygen_good', ['oxygen' => self::oxygen($now)]),
            Evidence::Carbon => Message::of('incident.for_carbon'),
            Evidence::Green => Message::of('incident.for_green'),
            Evidence::LampDark => Message::of('incident.for_lamp_dark'),
            Evidence::NitrateHigh => Message::of('incident.for_nitrate_high', [
                'nitrate' => self::value($now, Parameter::Nitrate),
            ]),
            Evidence::Overdosed => Message::of('incident.for_overdosed'),
            Evidence::Salted => Message::of('incident.for_salted', ['ago' => self::ago($now->saltDays ?? 0.0)]),
            Evidence::Buffered => Message::of('incident.for_buffered', ['ago' => self::ago($now->bufferDays ?? 0.0)]),
            Evidence::WaterBad => Message::of('incident.for_water_bad'),
            Evidence::WaterWasBad => Message::of('incident.for_water_was_bad', [
                'ago' => self::ago($now->badDays ?? 0.0),
            ]),
            Evidence::Rubbing => Message::of('incident.for_rubbing'),
            Evidence::Wounds => Message::of('incident.for_wounds'),
            Evidence::AtReturns => Message::of('incident.for_at_returns'),
            Evidence::ManyAtOnce => Message::of('incident.for_many_at_once'),
        };
    }

    private static function against(Evidence $one, Facts $now): Message
    {
        return match ($one) {
            Evidence::YoungFilter => Message::of('incident.not_young_filter', [
                'days' => Format::days((float) $now->filterDays),
            ]),
            Evidence::NitriteFollows => Message::of('incident.not_nitrite_follows'),
            Evidence::NoNitrate => Message::of('incident.not_no_nitrate', [
                'nitrate' => self::value($now, Parameter::Nitrate),
            ]),
            Evidence::FishCame, Evidence::FishCameNow => Message::of('incident.not_fish_came'),
            Evidence::PastCapacity => Message::of('incident.not_past_capacity', [
                'load' => Format::number((float) $now->loadGD, 3),
                'capacity' => Format::number((float) $now->capacityGD, 3),
            ]),
            Evidence::Serviced => Message::of('incident.not_washed', [
                'days' => Format::days((float) $now->washedDays),
            ]),
            Evidence::Washed, Evidence::WashedInTap => Message::of('incident.not_washed_in_tap'),
            Evidence::Stood => Message::of('incident.not_stood'),
            Evidence::FeedRaised => Message::of('incident.not_feed_raised'),
            Evidence::FedMuch => Message::of('incident.not_fed_much', [
                'feed' => Format::number((float) $now->feedGD, 3),
                'ration' => Format::number((float) $now->rationGD, 3),
            ]),
            Evidence::Medicine => Message::of('incident.not_medicine'),
            Evidence::ChlorineRead => Message::of('incident.not_chlorine_read'),
            Evidence::ChlorineLeft => Message::of('incident.not_chlorine_left'),
            Evidence::ChlorineMay => Message::of('incident.not_chlorine_may'),
            Evidence::SourceAmmonia => Message::of('incident.not_source_ammonia'),
            Evidence::SourceNitrate => Message::of('incident.not_source_nitrate'),
            Evidence::SourceHard => Message::of('incident.not_source_hard'),
            Evidence::ChangedNow, Evidence::ChangedMuch => Message::of('incident.not_changed'),
            Evidence::FewChanges => Message::of('incident.not_few_changes', [
                'pct' => Format::number((float) $now->weeklyPct, 2),
            ]),
            Evidence::ColdWater, Evidence::WarmWater => Message::of('incident.not_temperature', [
                'temp' => self::temperature($now),
            ]),
            Evidence::Cooled => Message::of('incident.not_cooled'),
            Evidence::KhGone => Message::of('incident.not_kh_gone'),
            Evidence::DirtSeen => Message::of('incident.not_dirt_seen'),
            Evidence::DeadFish => Message::of('incident.not_dead_fish'),
            Evidence::LongUnwashed => Message::of('incident.not_long_unwashed', [
                'days' => Format::days((float) $now->washedDays),
            ]),
            Evidence::Slowed => Message::of('incident.not_slowed'),
            Evidence::Crowded => Message::of('incident.not_crowded', [
                'density' => Format::number((float) $now->densityKgM3, 3),
                'most' => Format::number((float) $now->densityMost, 3),
            ]),
            Evidence::NoAir => Message::of('incident.not_no_air'),
            Evidence::OxygenLow => Message::of('incident.for_oxygen_good', ['oxygen' => self::oxygen($now)]),
            Evidence::OxygenGood => Message::of('incident.for_oxygen_low', ['oxygen' => self::oxygen($now)]),
            Evidence::Carbon => Message::of('incident.not_carbon'),
            Evidence::Green => Message::of('incident.not_green'),
            Evidence::LampDark => Message::of('incident.not_lamp_dark'),
            Evidence::NitrateHigh => Message::of('incident.not_nitrate_high', [
                'nitrate' => self::value($now, Parameter::Nitrate),
            ]),
            Evidence::Overdosed => Message::of('incident.not_overdosed'),
            Evidence::Salted => Message::of('incident.not_salted'),
            Evidence::Buffered => Message::of('incident.not_buffered'),
            Evidence::WaterBad, Evidence::WaterWasBad => Message::of('incident.not_water_bad'),
            Evidence::AfterFill => Message::of('incident.not_after_fill'),
            Evidence::Rubbing => Message::of('incident.not_rubbing'),
            Evidence::Wounds => Message::of('incident.not_wounds'),
            Evidence::AtReturns, Evidence::ManyAtOnce => Message::of('incident.not_many_at_once'),
        };
    }

    private static function setback(Facts $now): Message
    {
        return Message::of('incident.for_setback', [
            'deed' => $now->setback === null ? '' : $now->setback->name(),
            'ago' => self::ago($now->setbackDays ?? 0.0),
        ]);
    }

    private static function ago(float $days): string
    {
        return $days < 1 ? 'in the last day' : Format::days($days) . ' ago';
    }

    private static function temperature(Facts $now): string
    {
        return Format::number($now->reading('temp_c') ?? 0.0, 3);
    }

    private static function oxygen(Facts $now): string
    {
        return Format::number($now->reading('do_mg_l') ?? 0.0, 2);
    }

    private static function value(Facts $now, Parameter $of): string
    {
        return trim(Format::number($of->shown($now->reading($of->value) ?? 0.0), 2) . " {$of->symbol()}");
    }
}
