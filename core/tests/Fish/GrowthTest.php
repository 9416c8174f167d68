<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\FeedBeside;
use Ironwort\Core\Fish\FittedGrowth;
use Ironwort\Core\Fish\GrowthCalculator;
use Ironwort\Core\Fish\Survival;
use PHPUnit\Framework\TestCase;

final class GrowthTest extends TestCase
{
    public function test_a_fit_gives_back_the_coefficient_fish_were_grown_by(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 200; $i++) {
            $tgc = mt_rand(10, 200) / 100;
            $temp = mt_rand(9, 25) * 1.0;
            $before = mt_rand(20, 5000) * 1.0;
            $days = mt_rand(14, 300) * 1.0;
            $after = GrowthCalculator::after($before, $days, $temp, $tgc);
            $fit = FittedGrowth::of(
                [['day' => 0.0, 'weight_g' => $before], ['day' => $days, 'weight_g' => $after]],
                $temp,
                30.0,
            );
            self::assertTrue($fit->fitted);
            self::assertEqualsWithDelta($tgc, $fit->tgc, 1e-9);
            self::assertEqualsWithDelta($after, $fit->after($before, $days, $temp), 1e-6);
        }
    }

    public function test_too_little_to_fit_goes_by_the_usual(): void
    {
        $row = static fn(float $day, float $weight): array => ['day' => $day, 'weight_g' => $weight];
        foreach ([[], [$row(0.0, 100.0)], [$row(0.0, 100.0), $row(13.9, 200.0)]] as $few) {
            $fit = FittedGrowth::of($few, 20.0, 40.0);
            self::assertFalse($fit->fitted);
            self::assertEqualsWithDelta(0.925, $fit->tgc, 1e-9);
        }
        // Below 8 °C nothing grows, and nothing is told by it.
        self::assertFalse(FittedGrowth::of([$row(0.0, 100.0), $row(60.0, 101.0)], 6.0, 20.0)->fitted);
        // Fish that shrank are not expected to shrink on.
        self::assertSame(0.0, FittedGrowth::of([$row(0.0, 100.0), $row(60.0, 90.0)], 15.0, 20.0)->tgc);
    }

    /** From memory: 40 cm at two years, 52 at three, 65 at five, by 3,200 degree-days a year. */
    public function test_the_usual_growth_follows_the_lengths_koi_have_by_their_years(): void
    {
        $length = 40.0;
        $years = [];
        for ($year = 3; $year <= 8; $year++) {
            for ($day = 0; $day < 200; $day++) {
                $weight = GrowthCalculator::after(Condition::weight($length), 1.0, 16.0, FittedGrowth::usual($length));
                $length = Condition::length($weight);
            }
            $years[$year] = $length;
        }
        self::assertEqualsWithDelta(52, $years[3], 2);
        self::assertEqualsWithDelta(65, $years[5], 2);
        self::assertLessThan(80, $years[8]);
        self::assertSame(0.1, FittedGrowth::usual(95.0));
        self::assertSame(1.2, FittedGrowth::usual(5.0));
    }

    /** 0.092 of protein at 80 % digested: Timmons & Ebeling, as in DailyLoad. */
    public function test_feeds_beside_one_another(): void
    {
        $one = FeedBeside::of(0.35, price: 4.0);
        self::assertEqualsWithDelta(32.2, $one->nitrogenGKg, 1e-9);
        self::assertEqualsWithDelta(6.0, (float) $one->costPerKgGrowth, 1e-9);
        self::assertEqualsWithDelta(1000 * DailyLoad::SOLIDS_PER_FEED, $one->solidsGKg, 1e-9);
        $rich = FeedBeside::of(0.45, conversion: 1.2);
        self::assertGreaterThan($one->nitrogenGKg, $rich->nitrogenGKg);
        // More protein, and yet not more nitrogen for a kilogram of growth: conversion decides.
        self::assertEqualsWithDelta(0.45 * 92 * 1.2, $rich->nitrogenGKgGrowth, 1e-9);
        self::assertNull($rich->costPerKgGrowth);
    }

    public function test_survival_counts_what_was_sold_as_alive(): void
    {
        self::assertNull(Survival::none()->pct());
        $all = (new Survival(10, 1, 2, 3, 4))->and(new Survival(10, 0, 0, 0, 10));
        self::assertEqualsWithDelta(85.0, (float) $all->pct(), 1e-9);
        self::assertSame([20, 14], [$all->came, $all->alive]);
    }
}
