<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Build\LayBuild;
use App\Models\Dose;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Courses: carried across changes, topped up to their level, and what takes of them meanwhile. */
final class CourseTest extends TestCase
{
    use DosedBays;

    private function charge(string $kind = 'zeolite', string $id = '01JD00000000000000000000Z1'): TestResponse
    {
        return $this->putJson("/api/systems/long-vat/charges/{$id}", ['kind' => $kind, 'mass_g' => '1000']);
    }

    public function test_a_course_of_three_is_carried_across_a_change_and_topped_up_to_its_level(): void
    {
        $this->give(['thing' => 'praziquantel', 'dose_mg_l' => '2', 'course' => 'yes'])->assertOk();
        $page = fn(): array => $this->getJson('/api/systems/long-vat/courses')->assertOk()->json();
        $course = $page()['courses'][0];
        self::assertSame(['given', 'to_come', 'to_come'], array_column($course['doses'], 'state'));
        $next = fn(array $typed, string $id): TestResponse => $this->putJson(
            "/api/systems/long-vat/courses/{$course['id']}/doses/01JD00000000000000000000{$id}",
            $typed,
        );
        $next(['top_up' => 'yes'], 'E1')
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['course']]);

        $this->travel(1)->hours();
        $this->putJson('/api/systems/long-vat/changes/01JD00000000000000000000C1', [
            'kind' => 'batch',
            'change_pct' => '40',
        ])->assertOk();
        $this->travel(1)->hours();
        // By hand: 2 mg/L, half of it gone in 96 h by itself, two hours, and 40 % out.
        $left = 2 * 0.6 * 2 ** (-2 / 96);
        $topUp = floor((2 - $left) * 5 * 10) / 10;
        self::assertEqualsWithDelta($left, (float) $page()['courses'][0]['left'], 0.01);
        self::assertSame(rtrim(rtrim(number_format($topUp, 1), '0'), '.') . ' g', $page()['courses'][0]['top_up']);
        $next(['top_up' => 'yes'], 'E1')->assertOk();
        $next(['top_up' => 'yes'], 'E1')->assertOk();
        self::assertSame(2, Dose::query()->count());
        self::assertEqualsWithDelta(2.0, (float) $page()['courses'][0]['left'], 0.03);
        self::assertSame(
            1,
            count(
                array_filter(
                    $page()['courses'][0]['doses'],
                    static fn(array $dose): bool => $dose['state'] === 'given',
                ),
            ),
            'a top-up is no dose of the course',
        );

        $this->travel(8)->days();
        $this->log('t 20 do 8 ph 7.6', 'V5');
        self::assertSame('late', $page()['courses'][0]['doses'][1]['state'], 'every seven days at 20 °C');
        $this->travel(7)->days();
        self::assertTrue($page()['courses'][0]['broken'], 'missed by a whole interval');
        $this->putJson("/api/systems/long-vat/courses/{$course['id']}/end", [])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['reason']]);
        $this->putJson("/api/systems/long-vat/courses/{$course['id']}/end", ['reason' => 'begin anew'])->assertOk();
        $this->putJson("/api/systems/long-vat/courses/{$course['id']}/after/uv")
            ->assertOk()
            ->assertJsonPath('courses.0.after.2.done', true);
        $next([], 'E2')->assertUnprocessable();
    }

    public function test_carbon_forgotten_in_the_loop_takes_of_a_course_and_a_top_up_never_counts_on_it(): void
    {
        (new LayBuild())->lay($this->system, [
            'stages' => [
                [
                    'name' => 'Carrier',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 60,
                    'flow_l_h' => 2000,
                    'since' => '2020-01-01',
                ],
            ],
        ]);
        $this->charge('carbon')->assertOk();
        $this->give([
            'thing' => 'praziquantel',
            'dose_mg_l' => '2',
            'course' => 'yes',
            'reason' => 'nobody looked',
        ])->assertOk();
        $this->travel(24)->hours();
        $course = $this->getJson('/api/systems/long-vat/courses')->assertOk()->json('courses.0');
        // By hand: a bag sees 200 of 2,000 L/h and takes 80 % of it, 160 L/h out of 5,000 L; decay halves in 96 h.
        $most = 2 * exp((-log(2) / 96) * 24);
        self::assertEqualsWithDelta($most * exp((-160 / 5000) * 24), (float) $course['left'], 0.01);
        self::assertStringContainsString('Take it out and write it out', $course['adsorbed']);
        // The label's most is 2.5: with nothing taken, so much more and no more would be safe.
        self::assertEqualsWithDelta((2.5 - $most) * 5, (float) $course['top_up'], 0.1);
        self::assertLessThan((2 - (float) $course['left']) * 5, (float) $course['top_up']);

        $this->putJson('/api/systems/long-vat/charges/01JD00000000000000000000Z1/out', [])->assertOk();
        $this->travel(24)->hours();
        $later = (float) $this->getJson('/api/systems/long-vat/courses')->json('courses.0.left');
        self::assertEqualsWithDelta(
            (float) $course['left'] * exp((-log(2) / 96) * 24),
            $later,
            0.01,
            'out of the loop it takes no more',
        );
    }

    public function test_the_days_of_a_course_move_with_the_temperature(): void
    {
        $this->give(['thing' => 'praziquantel', 'course' => 'yes'])->assertOk();
        $every = fn(): float => (float) $this->getJson('/api/systems/long-vat/courses')->json('courses.0.every_d');
        self::assertSame(7.0, $every());
        $this->log('t 26', 'V6');
        self::assertSame(4.0, $every());
    }

    public function test_a_change_in_a_running_course_asks_for_the_treatment_of_the_new_water(): void
    {
        $this->give(['thing' => 'praziquantel', 'dose_mg_l' => '2', 'course' => 'yes'])->assertOk();
        $this->putJson('/api/waters/01JD00000000000000000000W1', [
            'name' => 'Well',
            'kind' => 'well',
            'unit_name' => '',
        ])->assertOk();
        $this->putJson('/api/waters/01JD00000000000000000000W1/tests/01JD00000000000000000000T1', [
            'side' => 'raw',
            'readings' => ['temp_c' => ['typed' => '19', 'unit' => 'c']],
        ])->assertOk();
        $items = collect(
            $this->getJson('/api/systems/long-vat/water?change_l=1000')->assertOk()->json('change.put_back'),
        )->keyBy('what');
        self::assertStringContainsString(
            'There is praziquantel in it',
            implode(' ', $this->getJson('/api/systems/long-vat/water')->json('waste')),
        );
        self::assertEqualsWithDelta(
            2.0,
            $items['course_praziquantel']['figure']['value'],
            1e-9,
            '2 mg/L in 1,000 L of new water',
        );
    }
}
