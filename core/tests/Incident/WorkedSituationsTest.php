<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Event;
use Ironwort\Core\Incident\Facts;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Suspicion;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Trouble as keepers meet it: what is behind it stands among the first two, and the first deeds come in order. */
final class WorkedSituationsTest extends TestCase
{
    use Calculations;

    private const KEYS = [
        'tan' => 'tan_mg_l',
        'no2' => 'no2_n_mg_l',
        'no3' => 'no3_n_mg_l',
        'ph' => 'ph',
        'temp' => 'temp_c',
        'kh' => 'alkalinity_mg_l',
        'do' => 'do_mg_l',
        'chlorine' => 'chlorine_mg_l',
        'salt' => 'salinity_g_l',
    ];

    private const SOURCE = [
        'tan_mg_l' => 0.0,
        'no2_n_mg_l' => 0.0,
        'no3_n_mg_l' => 2.0,
        'ph' => 7.6,
        'temp_c' => 18.0,
        'alkalinity_mg_l' => 100.0,
    ];

    /** @return iterable<string, array{array<string, string>}> */
    public static function situations(): iterable
    {
        foreach (Reference::csv('situations.csv') as $row) {
            yield $row['situation'] => [$row];
        }
    }

    public function test_there_are_sixty_at_least(): void
    {
        self::assertGreaterThanOrEqual(60, iterator_count(self::situations()));
    }

    /** @param  array<string, string>  $row */
    #[DataProvider('situations')]
    public function test_the_cause_is_among_the_first_two_and_the_first_deeds_come_in_order(array $row): void
    {
        $history = self::pairs($row['history']);
        $water = [];
        foreach (self::pairs($row['readings']) as $short => $value) {
            $water[self::KEYS[$short]] = (float) $value;
        }
        $source = self::SOURCE;
        foreach (['tan', 'no3', 'temp'] as $short) {
            if (isset($history["source_{$short}"])) {
                $source[self::KEYS[$short]] = (float) $history["source_{$short}"];
                unset($history["source_{$short}"]);
            }
        }
        $seen = $row['seen'] === '' ? [] : array_map(Sign::from(...), explode(';', $row['seen']));
        $result = $this->answer($water, $source, $seen);
        $causes = array_map(Cause::from(...), (array) $result->figures['causes']);
        $ranked = Library::shipped()
            ->suspects()
            ->rank(
                $causes,
                new Facts(
                    ...[
                        ...self::history($history),
                        'water' => $water,
                        'states' => self::states($water),
                        'seen' => $seen,
                        'source' => $source,
                    ],
                ),
            );
        $order = array_map(static fn(Suspicion $one): string => "{$one->id} {$one->score}", $ranked);

        self::assertContains($row['behind'], array_slice(array_column($ranked, 'id'), 0, 2), implode(', ', $order));
        $codes = array_map(
            static fn(array $step): string => str_replace('incident.', '', $step['code']),
            (array) $result->figures['steps'],
        );
        foreach (explode('>', $row['first']) as $i => $first) {
            self::assertStringStartsWith($first, $codes[$i] ?? '', implode(', ', $codes));
        }
        foreach (self::pairs($row['amounts']) as $code => $range) {
            $step = array_values(
                array_filter(
                    (array) $result->figures['steps'],
                    static fn(array $one): bool => $one['code'] === "incident.{$code}",
                ),
            )[0];
            [$low, $high] = array_map(floatval(...), explode('..', $range));
            self::assertGreaterThanOrEqual($low, $step['amount']['value']);
            self::assertLessThanOrEqual($high, $step['amount']['value']);
        }
    }

    /**
     * @param  array<string, float>  $water
     * @param  array<string, float>  $source
     * @param  list<Sign>  $seen
     */
    private function answer(array $water, array $source, array $seen): Result
    {
        $apart = ['do_mg_l' => 1, 'chlorine_mg_l' => 1];

        return $this->calculate('incident.answer', [
            'volume_l' => 10000,
            'tan_g_d' => 6,
            'feed_g_d' => 200,
            'biomass_kg' => 30,
            'now' => array_diff_key($water, $apart),
            ...array_intersect_key($water, $apart),
            'source' => $source,
            'source_chlorine_mg_l' => 0,
            'seen' => array_map(static fn(Sign $one): string => $one->value, $seen),
        ]);
    }

    /**
     * @param  array<string, float>  $water
     * @return array<string, State>
     */
    private static function states(array $water): array
    {
        $limits = Library::shipped()->limits();
        $states = [];
        foreach ($water as $key => $value) {
            $states[$key] = $limits
                ->for('adult', Parameter::from($key))
                ->judge(Interval::between($value, $value))->state;
        }

        return $states;
    }

    /**
     * @param  array<string, string>  $history
     * @return array<string, mixed> as the facts are named
     */
    private static function history(array $history): array
    {
        $facts = [];
        foreach ($history as $name => $value) {
            $facts[$name] = match ($name) {
                'event' => Event::from($value),
                'setback' => Deed::from($value),
                'medicine' => $value,
                'fishCame', 'fishThere', 'lost' => (int) $value,
                'chlorineRuns', 'chlorineMay', 'lampDark', 'air', 'standing' => $value === '1',
                default => (float) $value,
            };
        }

        return $facts;
    }

    /** @return array<string, string> */
    private static function pairs(string $text): array
    {
        $pairs = [];
        foreach ($text === '' ? [] : explode(';', $text) as $pair) {
            [$key, $value] = explode('=', $pair, 2);
            $pairs[$key] = $value;
        }

        return $pairs;
    }
}
