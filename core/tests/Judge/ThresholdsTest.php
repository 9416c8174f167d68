<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Judge\Bounds;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Interval;
use PHPUnit\Framework\TestCase;

/** Every line of the limits, of every life stage, just on this side of it and just on the other. */
final class ThresholdsTest extends TestCase
{
    private const JUST = 1e-6;

    public function test_the_word_changes_at_every_line_and_nowhere_else(): void
    {
        $table = Library::shipped()->limits();
        $lines = 0;
        foreach (array_keys($table->stages) as $stage) {
            foreach (Parameter::cases() as $parameter) {
                $limits = self::of($table, $stage, $parameter);
                if ($limits === null) {
                    continue;
                }
                foreach ([[1, $limits->above], [-1, $limits->below]] as [$worse, $bounds]) {
                    $lines +=
                        $bounds === null ? 0 : $this->holds($limits, $bounds, $worse, "{$stage} {$parameter->value}");
                }
            }
        }
        self::assertGreaterThan(150, $lines);
    }

    public function test_of_a_wide_reading_the_worse_end_decides(): void
    {
        $limits = Library::shipped()->limits()->for('adult', Parameter::Nitrite);
        $act = (float) $limits->above?->act;
        $word = static fn(float $low, float $high): State => $limits->judge(Interval::between($low, $high))->state;
        self::assertSame(State::Act, $word(0.0, $act + self::JUST));
        self::assertNotSame(State::Act, $word(0.0, $act - self::JUST));
    }

    /** @param  int  $worse  1 where more is worse, -1 where less is */
    private function holds(Limits $limits, Bounds $bounds, int $worse, string $of): int
    {
        $word = static fn(float $value): State => $limits->judge(Interval::exactly($value))->state;
        $lines = [
            [State::Watch, $bounds->watch, State::Good],
            [State::Act, $bounds->act, State::Watch],
            [State::Emergency, $bounds->emergency, State::Act],
        ];
        $tried = 0;
        foreach ($lines as $i => [$state, $line, $before]) {
            // Where two lines fall together the worse word holds from there on.
            $next = $lines[$i + 1][1] ?? null;
            $last = $lines[$i - 1][1] ?? null;
            if ($next !== null && abs($next - $line) < 3 * self::JUST) {
                continue;
            }
            self::assertSame($state, $word($line + $worse * self::JUST), "{$of}: past {$line}");
            if ($last === null || abs($last - $line) >= 3 * self::JUST) {
                self::assertSame($before, $word($line), "{$of}: at {$line}");
                self::assertSame($before, $word($line - $worse * self::JUST), "{$of}: before {$line}");
            }
            $tried++;
        }

        return $tried;
    }

    private static function of(LimitTable $table, string $stage, Parameter $parameter): ?Limits
    {
        try {
            return $table->for($stage, $parameter);
        } catch (\Throwable) {
            return null;
        }
    }
}
