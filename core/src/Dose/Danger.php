<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What stands in the water that no plan would have let in: too much of something, or two things that never meet. It was
 * booked as a fact, and so it counts.
 *
 *     StandingLevel::fits(mostLeft: 5.0, dose: 0.0, ceiling: 2.5)  →  false
 *
 * @source dose-conflicts
 */
final readonly class Danger
{
    /** From so many times its ceiling on it is an emergency. */
    private const EMERGENCY_AT = 1.5;

    /** @param  bool  $zeolite  whether zeolite or resin that hangs in the loop is one of the two */
    private function __construct(public State $state, public Message $message, public bool $zeolite = false) {}

    /**
     * @param  list<Present>  $present
     * @param  bool  $zeolite  whether zeolite or resin hangs in the loop
     * @param  ?float  $alkalinityMgL  as tested; copper goes by it, chloramine-T by pH and hardness
     * @return list<self> the worst first
     */
    public static function of(
        array $present,
        bool $zeolite,
        Conflicts $conflicts,
        AgentTable $agents,
        ?float $alkalinityMgL,
        ?float $ph = null,
        ?float $hardnessMgL = null,
    ): array {
        $found = [];
        foreach ($present as $one) {
            $agent = $agents->agents[$one->thing] ?? null;
            $ceiling =
                $agent === null
                    ? null
                    : StandingLevel::ceiling($agent, $alkalinityMgL ?? self::unknown($agent), $ph, $hardnessMgL);
            if ($one->mgL !== null && $ceiling !== null && !StandingLevel::fits($one->mgL, 0.0, $ceiling)) {
                $found[] = self::over($one, $one->mgL, $ceiling, $agent->unit === 'mL' ? 'µL/L' : 'mg/L');
            }
        }
        $things = [...$present, ...$zeolite ? [new Present('zeolite', 'Zeolite', null)] : []];
        foreach ($things as $i => $one) {
            foreach (array_slice($things, $i + 1) as $other) {
                $known = array_intersect([$one->thing, $other->thing], $conflicts->things());
                $meeting = count($known) === 2 ? $conflicts->pair($one->thing, $other->thing) : null;
                if ($meeting?->verdict === Verdict::Refused) {
                    $found[] = self::met($one, $other, $meeting);
                }
            }
        }
        usort($found, static fn(self $a, self $b): int => $b->state->rank() <=> $a->state->rank());

        return $found;
    }

    private static function over(Present $one, float $mgL, float $ceiling, string $unit): self
    {
        return new self(
            $mgL > self::EMERGENCY_AT * $ceiling ? State::Emergency : State::Act,
            Message::of('dose.over_ceiling', [
                'name' => $one->name,
                'level' => Format::number($mgL, 2) . " {$unit}",
                'ceiling' => Format::number($ceiling, 3),
            ]),
        );
    }

    private static function met(Present $one, Present $other, Meeting $meeting): self
    {
        $zeolite = in_array('zeolite', [$one->thing, $other->thing], true);

        return new self(
            // Zeolite gives its ammonia up over hours; two medicines burn at once.
            $zeolite ? State::Act : State::Emergency,
            Message::of($zeolite ? 'dose.met_zeolite' : 'dose.met_in_water', [
                'name' => $one->name,
                'other' => lcfirst($other->name),
                'reason' => $meeting->reason->text,
            ]),
            $zeolite,
        );
    }

    /** Copper in water nobody tested is judged by its table alone. */
    private static function unknown(Agent $agent): ?float
    {
        return $agent->prolonged === null ? null : 100 * $agent->prolonged[1];
    }
}
