<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/**
 * What to do, from the readings of a system and from what is seen in it: causes in the order they are answered, and
 * for each its steps in order, with amounts for this water.
 *
 * A cause is found by a reading that is to be acted on, or by sight; what is only watched is left to its day. What was
 * seen but cannot be judged without a test is asked for.
 *
 * @source cp-incident
 */
final readonly class Answer
{
    /**
     * @param  list<Cause>  $causes
     * @param  list<AnswerStep>  $steps
     * @param  list<string>  $tests  that would tell more, by name
     */
    private function __construct(public array $causes, public array $steps, public array $tests) {}

    /** @param  list<Sign>  $seen */
    public static function to(Situation $now, array $seen): self
    {
        $found = self::byReadings($now);
        foreach ($seen as $sign) {
            array_push($found, ...$sign->pointsTo());
        }
        if ($now->chlorineRuns && in_array(Sign::AtReturns, $seen, true)) {
            $found[] = Cause::Chlorine;
        }
        // Signs of want of oxygen where there is plenty of it come of something else.
        $gills =
            array_intersect(
                [Sign::Gasping->value, Sign::AtReturns->value],
                array_map(static fn(Sign $sign): string => $sign->value, $seen),
            ) !== [];
        $breathes =
            !$now->atLeast('do_mg_l', State::Act) &&
            ($now->reading('do_mg_l') ?? 0.0) >= $now->doLimit &&
            !in_array(Sign::PumpStopped, $seen, true);
        if ($breathes) {
            $found = [
                ...array_filter($found, static fn(Cause $cause): bool => $cause !== Cause::Oxygen),
                ...$gills ? [Cause::Sickness] : [],
            ];
        }
        $causes = array_values(
            array_filter(Cause::cases(), static fn(Cause $cause): bool => in_array($cause, $found, true)),
        );
        $causes = self::suffocatingFirst($causes, $now);
        $water =
            array_filter(
                $causes,
                static fn(Cause $cause): bool => !in_array(
                    $cause,
                    [Cause::Sickness, Cause::Bloom, Cause::Death, Cause::Blocked, Cause::Dirt, Cause::Cloudy],
                    true,
                ),
            ) === [];
        $steps = [];
        $feeding = Feeding::of($now, $causes);
        if (in_array(Cause::Nitrite, $causes, true) && NitriteAnswer::salts($now)) {
            $now = $now->salting();
        }
        // What takes chlorine out would take peroxide out as well, and chlorine burns with it.
        if (in_array(Cause::Chlorine, $causes, true)) {
            $now = $now->refusing('hydrogen_peroxide', Message::of('dose.two_oxidisers'));
        }
        if (array_search(Cause::Nitrite, $causes, true) < array_search(Cause::Ammonia, $causes, true)) {
            $now = $now->changingLater();
        }
        foreach ($causes as $cause) {
            $told = match ($cause) {
                Cause::Oxygen => OxygenAnswer::steps($now),
                Cause::Chlorine => ChlorineAnswer::steps($now),
                Cause::Overdose => OverdoseAnswer::steps($now),
                Cause::StoppedFilter => StoppedFilterAnswer::steps($now),
                Cause::Ammonia => AmmoniaAnswer::steps($now, in_array(Cause::StoppedFilter, $causes, true)),
                Cause::Nitrite => NitriteAnswer::steps($now),
                Cause::Acid => AcidAnswer::steps($now),
                Cause::Alkaline => OffLimits::alkaline($now),
                Cause::Salty => OffLimits::salty($now),
                Cause::Gas => OffLimits::gas($now),
                Cause::Overfull => OffLimits::overfull($now),
                Cause::Heat => OtherAnswers::heat($now),
                Cause::Cold => OffLimits::cold($now),
                Cause::Hardness => OffLimits::hardness($now),
                Cause::Death => SeenAnswers::death(),
                Cause::Blocked => SeenAnswers::blocked(),
                Cause::Dirt => SeenAnswers::dirt($now),
                Cause::Cloudy => SeenAnswers::cloudy(),
                Cause::Shock => OtherAnswers::shock($now),
                Cause::Nitrate => NitrateAnswer::steps($now),
                Cause::Overloaded => OverloadAnswer::steps($now),
                Cause::Sickness => OtherAnswers::sickness(
                    $now,
                    $water,
                    $breathes && $gills ? $now->reading('do_mg_l') : null,
                ),
                Cause::Bloom => OtherAnswers::bloom($now),
            };
            if ($feeding !== null && $feeding[0] === $cause) {
                $told[] = AnswerStep::to($cause, $feeding[1], $feeding[2]);
                $now = $now->fed();
            }
            foreach ($told as $step) {
                array_push($steps, ...NewWaterAnswer::steps($now, $cause, $step->changesPct), ...[$step]);
                $now = $now->after($step->changesPct)->bound($step->bindsMgL);
            }
        }

        // A system nobody ever tested is asked for its first tests, whatever is seen of it.
        $asked = $seen !== [] || $causes !== [] || ($now->fish && $now->water === []);

        return new self($causes, $steps, self::tests($now, $asked));
    }

    /**
     * Where nitrite is the emergency and ammonia is not, air and salt go before the change that ammonia asks for: fish
     * that suffocate cannot wait for it.
     *
     * @param  list<Cause>  $causes
     * @return list<Cause>
     */
    private static function suffocatingFirst(array $causes, Situation $now): array
    {
        $both = in_array(Cause::Ammonia, $causes, true) && in_array(Cause::Nitrite, $causes, true);
        if (!$both || $now->state('no2_n_mg_l') !== State::Emergency || AmmoniaAnswer::severe($now)) {
            return $causes;
        }

        return array_map(
            static fn(Cause $cause): Cause => match ($cause) {
                Cause::Ammonia => Cause::Nitrite,
                Cause::Nitrite => Cause::Ammonia,
                default => $cause,
            },
            $causes,
        );
    }

    /** @return list<Cause> */
    private static function byReadings(Situation $now): array
    {
        $acts = static fn(string $key): bool => $now->atLeast($key, State::Act);
        $ammonia = $now->ammonia();

        return array_values(
            array_filter([
                $now->acts('do_mg_l', 'below') || $now->acts('do_sat_pct', 'below') ? Cause::Oxygen : null,
                $acts('chlorine_mg_l') ? Cause::Chlorine : null,
                $now->overdosed !== [] ? Cause::Overdose : null,
                $ammonia === State::Act || $ammonia === State::Emergency ? Cause::Ammonia : null,
                $acts('no2_n_mg_l') ? Cause::Nitrite : null,
                $now->acts('alkalinity_mg_l', 'below') || ($acts('ph') && ($now->reading('ph') ?? 7.0) < 7)
                    ? Cause::Acid
                    : null,
                $acts('ph') && ($now->reading('ph') ?? 7.0) >= 7 ? Cause::Alkaline : null,
                $now->acts('salinity_g_l', 'above') ? Cause::Salty : null,
                $acts('co2_mg_l') ? Cause::Gas : null,
                $now->acts('do_sat_pct', 'above') && ($now->side('do_sat_pct') ?? '') === 'above'
                    ? Cause::Overfull
                    : null,
                $acts('temp_c') && ($now->reading('temp_c') ?? 0.0) > 20 ? Cause::Heat : null,
                $acts('temp_c') && ($now->reading('temp_c') ?? 20.0) <= 20 ? Cause::Cold : null,
                $acts('no3_n_mg_l') ? Cause::Nitrate : null,
                $acts('hardness_mg_l') || ($acts('alkalinity_mg_l') && $now->side('alkalinity_mg_l') === 'above')
                    ? Cause::Hardness
                    : null,
                // Where ammonia is bad already its own steps say it all.
                $now->overload->worseThan(State::Watch) && !$ammonia->worseThan(State::Watch)
                    ? Cause::Overloaded
                    : null,
            ]),
        );
    }

    /** @return list<string> */
    private static function tests(Situation $now, bool $asked): array
    {
        $wanted = [
            Parameter::Oxygen,
            Parameter::Ammonia,
            Parameter::Nitrite,
            Parameter::Ph,
            Parameter::Temperature,
            Parameter::Alkalinity,
            Parameter::Nitrate,
        ];

        return !$asked
            ? []
            : array_values(
                array_map(
                    static fn(Parameter $parameter): string => $parameter->name(),
                    array_filter(
                        $wanted,
                        static fn(Parameter $parameter): bool => $now->reading($parameter->value) === null,
                    ),
                ),
            );
    }
}
