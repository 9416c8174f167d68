<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Inputs a tired keeper will type: every guard at its limit, just under and just over it. */
final class GuardsTest extends TestCase
{
    use Calculations;

    /** What is said of every dose of its kind, and refuses nothing. */
    private const ALWAYS = [
        'dose.permanganate_demand_never_formalin_another_oxidiser',
        'dose.peroxide_oxygen_last_resort_while_air',
    ];

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function rows(): iterable
    {
        foreach (Reference::csv('dose_guards.csv') as $row) {
            yield "{$row['calculator']} {$row['given']} {$row['expected']}" => [
                $row['calculator'],
                $row['expected'],
                self::given($row['given']),
            ];
        }
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('rows')]
    public function test_it_answers_as_written(string $calculator, string $expected, array $given): void
    {
        try {
            $result = $this->calculate($calculator, $given);
        } catch (BadInput $bad) {
            self::assertSame($expected, 'error:' . implode(',', array_keys($bad->errors)));

            return;
        }
        $codes = self::codes($result);
        if ($expected === 'given') {
            self::assertNotTrue($result->figures['refused'] ?? false, implode(' ', $codes));
            self::assertSame([], array_diff(self::codes($result, 'danger'), self::ALWAYS));

            return;
        }
        self::assertContains($expected, $codes);
        if (($result->figures['refused'] ?? false) === true) {
            self::assertNull($result->figures['dose'] ?? null, 'a refusal comes with no amount');
            self::assertContains($expected, self::codes($result, 'danger'), 'it is refused for this');
        }
    }

    /** By arithmetic: 5 % of it is praziquantel, so twenty times as much is weighed. */
    public function test_strength_is_used_for_every_agent(): void
    {
        $water = ['volume_l' => 1000, 'temp_c' => 18, 'ph' => 7.6, 'alkalinity_mg_l' => 120, 'hardness_mg_l' => 150];
        foreach (
            ['praziquantel' => [], 'copper_sulfate' => [], 'chloramine_t' => [], 'methylene_blue' => ['way' => 'bath']]
            as $agent => $more
        ) {
            $of = fn(array $strength): float => $this->figure(
                'dose.treatment',
                [...$water, 'do_mg_l' => 9, 'agent' => $agent, ...$more, ...$strength],
                'dose',
            );
            self::assertEqualsWithDelta(20 * $of([]), $of(['strength_pct' => 5]), 1e-9, $agent);
        }
        self::assertEqualsWithDelta(
            (25 * 37) / 40,
            $this->figure(
                'dose.treatment',
                [...$water, 'do_mg_l' => 9, 'agent' => 'formalin', 'dose_mg_l' => 25, 'strength_pct' => 40],
                'dose',
            ),
            1e-9,
        );
    }

    /** UF/IFAS VM77: 5 mg/L of oxygen to 25 µL/L within 36 h; an hour's bath takes an hour's share of it. */
    public function test_a_bath_takes_the_oxygen_of_its_minutes(): void
    {
        $bath = $this->calculate('dose.treatment', [
            'volume_l' => 1000,
            'temp_c' => 18,
            'do_mg_l' => 9,
            'agent' => 'formalin',
            'way' => 'bath',
            'dose_mg_l' => 200,
        ]);
        self::assertEqualsWithDelta(40 / 36, $bath->number('oxygen_cost_mg_l'), 1e-9);
    }

    /** By the half-lives of the table: no dose of a course lifts the water past the level it began at. */
    public function test_a_course_tops_up_to_its_level_and_never_stacks(): void
    {
        foreach (
            ['formalin' => 36, 'copper_sulfate' => 72, 'chloramine_t' => 24, 'praziquantel' => 96]
            as $agent => $half
        ) {
            $course = $this->calculate('dose.treatment', [
                'volume_l' => 1000,
                'temp_c' => 22,
                'ph' => 7.6,
                'alkalinity_mg_l' => 120,
                'hardness_mg_l' => 150,
                'do_mg_l' => 9,
                'agent' => $agent,
            ])->figures['course'];
            $level = 0.0;
            $day = 0.0;
            foreach ($course as $dose) {
                $level = $level * 2 ** ((-24 * ($dose['day'] - $day)) / $half) + $dose['dose'];
                $day = $dose['day'];
                self::assertEqualsWithDelta($course[0]['dose'], $level, 1e-9, "{$agent} on day {$day}");
            }
        }
    }

    /** @return list<string> */
    private static function codes(Result $result, ?string $level = null): array
    {
        $said = array_filter(
            $result->cautions,
            static fn(Caution $caution): bool => $level === null || $caution->level->value === $level,
        );

        return array_values(array_map(static fn(Caution $caution): string => $caution->message->code, $said));
    }

    /** @return array<string, mixed> */
    private static function given(string $text): array
    {
        $given = [];
        foreach (explode(';', $text) as $pair) {
            [$key, $value] = explode('=', $pair, 2);
            $given[$key] = match (true) {
                $key === 'present' => [$value],
                $value === 'true' => true,
                is_numeric($value) => (float) $value,
                default => $value,
            };
        }

        return $given;
    }
}
