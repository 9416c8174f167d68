<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Incident\Evidence;
use Ironwort\Core\Incident\Facts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where each piece of evidence begins to count: just under its line, on it, and over. Common practice, no source. */
final class EvidenceLinesTest extends TestCase
{
    /** @return iterable<string, array{Evidence, array<string, mixed>, ?bool}> */
    public static function lines(): iterable
    {
        $at = static fn(string $fact, array $values, array $besides = []): array => array_map(
            static fn(array $one): array => [[...$besides, $fact => $one[0]], $one[1]],
            $values,
        );
        $reading = static fn(string $key, array $values): array => array_map(
            static fn(array $one): array => [['water' => $one[0] === null ? [] : [$key => $one[0]]], $one[1]],
            $values,
        );
        $source = static fn(string $key, array $values): array => array_map(
            static fn(array $one): array => [['source' => [$key => $one[0]]], $one[1]],
            $values,
        );
        $tables = [
            [
                Evidence::YoungFilter,
                $at('filterDays', [[59.9, true], [60.0, null], [120.0, null], [120.1, false], [null, null]]),
            ],
            [Evidence::FishCame, $at('fishCame', [[9, false], [10, true], [0, false]], ['fishThere' => 100])],
            [Evidence::FishCame, $at('fishCame', [[1, true]], ['fishThere' => 0])],
            [Evidence::FishCameNow, $at('fishCameDays', [[7.0, true], [7.1, false], [null, false]])],
            [Evidence::Serviced, $at('washedDays', [[7.0, true], [7.1, false], [null, false]])],
            [Evidence::LongUnwashed, $at('washedDays', [[60.0, false], [60.1, true], [null, null]])],
            [
                Evidence::PastCapacity,
                $at('loadGD', [[10.0, false], [10.1, true], [null, null]], ['capacityGD' => 10.0]),
            ],
            [Evidence::FedMuch, $at('feedGD', [[130.0, false], [131.0, true], [null, null]], ['rationGD' => 100.0])],
            [Evidence::ChangedNow, $at('changedDays', [[2.0, true], [2.1, false], [null, false]])],
            [
                Evidence::ChangedMuch,
                $at('changedPct', [[49.9, false], [50.0, true], [null, null]], ['changedDays' => 7.0]),
            ],
            [Evidence::ChangedMuch, $at('changedPct', [[50.0, false]], ['changedDays' => 7.1])],
            [Evidence::FewChanges, $at('weeklyPct', [[9.9, true], [10.0, false], [null, null]])],
            [Evidence::Cooled, $at('colderBy', [[4.0, false], [4.1, true], [null, null]])],
            [
                Evidence::Crowded,
                $at('densityKgM3', [[10.0, false], [10.1, true], [null, null]], ['densityMost' => 10.0]),
            ],
            [Evidence::Buffered, $at('bufferDays', [[7.0, true], [7.1, false], [null, false]])],
            [Evidence::NoAir, $at('air', [[true, false], [false, true], [null, null]])],
            [Evidence::DeadFish, $at('lost', [[0, false], [1, true]])],
            [Evidence::NitriteFollows, $reading('no2_n_mg_l', [[0.05, false], [0.06, true], [null, null]])],
            [Evidence::NoNitrate, $reading('no3_n_mg_l', [[0.9, true], [1.0, false], [null, null]])],
            [Evidence::ColdWater, $reading('temp_c', [[11.9, true], [12.0, false], [null, null]])],
            [Evidence::WarmWater, $reading('temp_c', [[26.0, false], [26.1, true], [null, null]])],
            [Evidence::KhGone, $reading('alkalinity_mg_l', [[39.9, true], [40.0, null]])],
            [Evidence::KhGone, $reading('ph', [[6.4, true], [6.5, null]])],
            [Evidence::OxygenGood, $reading('do_mg_l', [[6.0, false], [6.1, true], [null, null]])],
            [Evidence::Carbon, $reading('co2_mg_l', [[15.0, false], [15.1, true], [null, null]])],
            [Evidence::ChlorineRead, $reading('chlorine_mg_l', [[0.0, false], [0.01, true], [null, null]])],
            [Evidence::SourceAmmonia, $source('tan_mg_l', [[0.1, false], [0.11, true]])],
            [Evidence::SourceNitrate, $source('no3_n_mg_l', [[5.0, false], [5.1, true]])],
        ];
        foreach ($tables as [$evidence, $rows]) {
            foreach ($rows as $row) {
                yield $evidence->value . ' ' . json_encode($row) => [$evidence, ...$row];
            }
        }
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('lines')]
    public function test_it_counts_from_its_very_line(Evidence $evidence, array $facts, ?bool $holds): void
    {
        self::assertSame($holds, $evidence->holds(new Facts(...$facts)));
    }
}
