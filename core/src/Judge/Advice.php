<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\Salt;
use Ironwort\Core\Words\Message;

/**
 * The few sentences a good keeper would say from the run of readings, each with its rule and what it rests on.
 *
 * Without readings nothing is said.
 *
 * @source cp-advice
 */
final readonly class Advice
{
    /** Alkalinity at which pH is no longer held, mg/L (2.8 dKH). */
    public const KH_FLOOR = 50.0;

    /** Finer nobody weighs or reads salt, g/L. Common practice, no source. */
    private const SALT_STEP = 0.1;

    private const MG_PER_DKH = 17.848;

    private function __construct(public Message $message, public string $rule, public string $from) {}

    /**
     * @param  array<string, list<Point>>  $courses  by parameter, newest first
     * @param  ?float  $sourceNitrate  mg/L as N of the water it is filled from
     * @param  bool  $fish  whether any are in it; without, nothing is said that is for fish
     * @return list<self>
     */
    public static function of(
        array $courses,
        LimitTable $limits,
        string $stage,
        ?float $sourceNitrate = null,
        bool $fish = true,
    ): array {
        $course = static fn(Parameter $parameter): array => $courses[$parameter->value] ?? [];

        return array_values(
            array_filter([
                self::nitriteToCome($course(Parameter::Ammonia), $course(Parameter::Nitrite), $limits, $stage),
                $fish
                    ? self::nitriteAndSalt($course(Parameter::Nitrite), $course(Parameter::Salinity), $limits, $stage)
                    : null,
                self::alkalinityFalls($course(Parameter::Alkalinity)),
                $fish
                    ? self::ammoniaWithoutPh(
                        $course(Parameter::Ammonia),
                        $course(Parameter::Ph),
                        $course(Parameter::Temperature),
                    )
                    : null,
                $fish ? self::oxygenAtNoon($course(Parameter::Oxygen), $course(Parameter::Temperature)) : null,
                self::nitrateOfTheSource($course(Parameter::Nitrate), $sourceNitrate, $limits, $stage),
                self::absurdCarbonDioxide(
                    $course(Parameter::Ph),
                    $course(Parameter::Alkalinity),
                    $course(Parameter::Temperature),
                ),
            ]),
        );
    }

    /**
     * @param  list<Point>  $ammonia
     * @param  list<Point>  $nitrite
     */
    private static function nitriteToCome(array $ammonia, array $nitrite, LimitTable $limits, string $stage): ?self
    {
        $line = $limits->for($stage, Parameter::Ammonia)->above?->watch;
        foreach ($ammonia as $point) {
            // Tested these days, it is either low, or there already and judged by itself.
            $seen = $nitrite !== [] && $nitrite[0]->daysAgo < 3;
            if (
                $line !== null &&
                $point->daysAgo >= 5 &&
                $point->daysAgo <= 21 &&
                $point->high > $line &&
                $ammonia[0]->value < $point->value &&
                !$seen
            ) {
                return new self(
                    Message::of('judge.advice_nitrite_to_come', [
                        'ammonia' => Format::number($point->value, 2),
                        'ago' => self::ago($point->daysAgo),
                    ]),
                    'Nitrite follows ammonia by one to three weeks, until its own oxidisers have grown.',
                    'ammonia ' .
                        self::ago($point->daysAgo) .
                        ($nitrite === [] ? ', nitrite never tested' : ', nitrite ' . self::ago($nitrite[0]->daysAgo)),
                );
            }
        }

        return null;
    }

    /**
     * @param  list<Point>  $nitrite
     * @param  list<Point>  $salt
     */
    private static function nitriteAndSalt(array $nitrite, array $salt, LimitTable $limits, string $stage): ?self
    {
        $line = $limits->for($stage, Parameter::Nitrite)->above?->watch;
        if ($nitrite === [] || $line === null || $nitrite[0]->high <= $line || $nitrite[0]->daysAgo > 7) {
            return null;
        }
        $salt = array_values(
            array_filter($salt, static fn(Point $point): bool => $point->daysAgo <= Limits::SALT_STANDS_D),
        );
        // Salt is 60.7 % chloride by weight.
        $chloride = $salt === [] ? null : Salt::chlorideMgL($salt[0]->value);
        $ratio = $chloride === null ? null : $chloride / max(1e-6, $nitrite[0]->value);
        $short = max(0.0, (10 * $nitrite[0]->value) / Salt::chlorideMgL(1.0) - ($salt[0]->value ?? 0.0));
        if ($ratio !== null && $short < self::SALT_STEP / 2) {
            return new self(
                Message::of('judge.advice_chloride_shields', ['times' => Format::number($ratio, 2)]),
                'Ten parts of chloride to one of nitrite nitrogen are usually held to protect.',
                'nitrite ' . self::ago($nitrite[0]->daysAgo) . ', salt ' . self::ago($salt[0]->daysAgo),
            );
        }

        return new self(
            Message::of($salt === [] ? 'judge.advice_nitrite_salt_unknown' : 'judge.advice_nitrite_salt_short', [
                'salt' => Format::number(self::SALT_STEP * max(1.0, ceil($short / self::SALT_STEP - 1e-9)), 2),
            ]),
            'Ten parts of chloride to one of nitrite nitrogen; not with zeolite in the loop.',
            'nitrite ' . self::ago($nitrite[0]->daysAgo),
        );
    }

    /** @param  list<Point>  $alkalinity */
    private static function alkalinityFalls(array $alkalinity): ?self
    {
        $run = self::sinceTheLastRise(
            array_values(array_filter($alkalinity, static fn(Point $point): bool => $point->daysAgo <= 60)),
        );
        if (count($run) < 4 || $run[count($run) - 1]->daysAgo - $run[0]->daysAgo < 10) {
            return null;
        }
        [$slope, $now] = self::line($run);
        $fall = -7 * $slope;
        if ($fall <= 0.1 * self::MG_PER_DKH) {
            return null;
        }
        $weeks = ($now - self::KH_FLOOR) / $fall;
        $values = [
            'fall' => Format::number($fall / self::MG_PER_DKH, 2),
            'weeks' => Format::number(max(0.0, floor($weeks))),
        ];

        return new self(
            Message::of($weeks <= 0 ? 'judge.advice_kh_at_its_floor' : 'judge.advice_kh_falls', $values),
            'A straight line through the readings since KH last rose, sixty days back at most; 2.8 dKH is 50 mg/L.',
            count($run) . ' readings of KH, the last ' . self::ago($run[0]->daysAgo),
        );
    }

    /**
     * @param  list<Point>  $ammonia
     * @param  list<Point>  $ph
     * @param  list<Point>  $temperature
     */
    private static function ammoniaWithoutPh(array $ammonia, array $ph, array $temperature): ?self
    {
        $tested = $ammonia !== [] && $ammonia[0]->daysAgo <= 7 && $ammonia[0]->value > 0.1;
        $apart = max(
            $ph === [] ? INF : abs($ph[0]->daysAgo - ($ammonia[0]->daysAgo ?? 0)),
            $temperature === [] ? INF : abs($temperature[0]->daysAgo - ($ammonia[0]->daysAgo ?? 0)),
        );

        return $tested && $apart > 2
            ? new self(
                Message::of('judge.advice_ammonia_without_ph'),
                'The un-ionised part follows pH and temperature of the same hours; more than two ' .
                    'days apart they are not of one water.',
                'ammonia ' . self::ago($ammonia[0]->daysAgo),
            )
            : null;
    }

    /**
     * @param  list<Point>  $oxygen
     * @param  list<Point>  $temperature
     */
    private static function oxygenAtNoon(array $oxygen, array $temperature): ?self
    {
        $warm = $temperature !== [] && $temperature[0]->value >= 18;
        $recent = array_filter($oxygen, static fn(Point $point): bool => $point->daysAgo <= 14);
        $dawn = array_filter(
            $recent,
            static fn(Point $point): bool => $point->hour >= TestSchedule::DAWN_FROM &&
                $point->hour < TestSchedule::DAWN_UNTIL,
        );

        return $warm && $recent !== [] && $dawn === []
            ? new self(
                Message::of('judge.advice_oxygen_at_dawn'),
                'Plants give by day and take by night; at 18 °C and above dawn is the reading that counts.',
                'oxygen ' .
                    self::ago($oxygen[0]->daysAgo) .
                    ' at ' .
                    sprintf('%02d:%02d', (int) $oxygen[0]->hour, (int) (60 * fmod($oxygen[0]->hour, 1))),
            )
            : null;
    }

    /** @param  list<Point>  $nitrate */
    private static function nitrateOfTheSource(array $nitrate, ?float $source, LimitTable $limits, string $stage): ?self
    {
        $line = $limits->for($stage, Parameter::Nitrate)->above?->watch;
        if ($nitrate === [] || $source === null || $line === null || $nitrate[0]->high <= $line) {
            return null;
        }
        $tap = Format::number($source * MolarMass::NO3_PER_N, 2);

        return $source >= $line
            ? new self(
                Message::of('judge.advice_nitrate_of_the_source', ['tap' => $tap]),
                'A change mixes towards its source and never past it.',
                'nitrate ' . self::ago($nitrate[0]->daysAgo) . ', source water as last tested',
            )
            : new self(
                Message::of('judge.advice_nitrate_by_changes', ['tap' => $tap]),
                'A change mixes towards its source and never past it.',
                'nitrate ' . self::ago($nitrate[0]->daysAgo) . ', source water as last tested',
            );
    }

    /**
     * @param  list<Point>  $ph
     * @param  list<Point>  $alkalinity
     * @param  list<Point>  $temperature
     */
    private static function absurdCarbonDioxide(array $ph, array $alkalinity, array $temperature): ?self
    {
        if (
            $ph === [] ||
            $alkalinity === [] ||
            abs($ph[0]->daysAgo - $alkalinity[0]->daysAgo) > 1 ||
            $ph[0]->daysAgo > 7
        ) {
            return null;
        }
        $co2 = (new Carbonate($temperature[0]->value ?? AssumedWater::TEMPERATURE_C, $alkalinity[0]->value))->co2(
            $ph[0]->value,
        );

        return $co2 > 40
            ? new self(
                Message::of('judge.advice_absurd_carbon_dioxide', ['co2' => Format::number($co2, 2)]),
                'CO₂ follows from pH and alkalinity; above 40 mg/L koi would gasp.',
                'pH and KH ' . self::ago($ph[0]->daysAgo),
            )
            : null;
    }

    /**
     * The newest readings up to where buffer or new water last lifted them by half a degree or more.
     *
     * @param  list<Point>  $run  newest first
     * @return list<Point>
     */
    private static function sinceTheLastRise(array $run): array
    {
        foreach ($run as $i => $point) {
            if ($i > 0 && $run[$i - 1]->value - $point->value >= 0.5 * self::MG_PER_DKH) {
                return array_slice($run, 0, $i);
            }
        }

        return $run;
    }

    /**
     * Least squares through points in days ago.
     *
     * @param  list<Point>  $run
     * @return array{float, float} slope per day forward in time, and the value today
     */
    private static function line(array $run): array
    {
        $n = count($run);
        $x = array_sum(array_map(static fn(Point $point): float => -$point->daysAgo, $run)) / $n;
        $y = array_sum(array_map(static fn(Point $point): float => $point->value, $run)) / $n;
        $above = array_sum(
            array_map(static fn(Point $point): float => (-$point->daysAgo - $x) * ($point->value - $y), $run),
        );
        $below = array_sum(array_map(static fn(Point $point): float => (-$point->daysAgo - $x) ** 2, $run));
        $slope = $below > 0 ? $above / $below : 0.0;

        return [$slope, $y - $slope * $x];
    }

    private static function ago(float $days): string
    {
        return match (true) {
            $days < 1 => 'today',
            $days < 2 => 'a day ago',
            default => Format::number(floor($days)) . ' days ago',
        };
    }
}
