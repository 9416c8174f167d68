<?php

declare(strict_types=1);

namespace App\State;

use App\Capacity\CapacityVerdict;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Models\Charge;
use App\Models\Dose;
use App\Models\Reading;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\SetbackNotice;
use App\Readings\WaterMeaning;
use App\Running\Running;
use App\Volumes\ShutOffTimes;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Dose\Present;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Dose\ZeoliteSalt;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/** How a system stands: by its readings, and by what was given to its water. Every page reads it here. */
final readonly class SystemState
{
    private Conflicts $conflicts;

    public function __construct(
        private AgentTable $agents,
        private WaterMeaning $meaning,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private ExpectedWater $expected,
        private Carried $carried,
        private ShutOffTimes $shut,
        private Running $running,
    ) {
        $this->conflicts = new Conflicts($agents);
    }

    /**
     * What is asked of many is looked up for all of them at once.
     *
     * @param  Collection<int, System>  $systems
     * @param  array<string, LatestWater>  $water  by system
     * @param  array<string, string>  $versions  by system
     */
    public function ahead(Collection $systems, array $water, array $versions): void
    {
        $this->carried->ahead($systems, $water, $versions);
    }

    /**
     * @param  ?list<string>  $dosed  ids of systems with anything in their water or hanging in it, where it was looked
     *     up for many
     * @param  ?string  $version  as `Carried` takes it, where it was looked up for many
     * @param  ?CapacityVerdict  $verdict  where the page has worked it out already
     */
    public function of(
        System $system,
        LatestWater $water,
        ?array $dosed = null,
        ?string $version = null,
        ?CapacityVerdict $verdict = null,
    ): StateOfSystem {
        $meaning = $this->meaning->of($system, $water);
        $state = $meaning->state;
        $dangers = in_array($system->id, $dosed ?? self::dosed(collect([$system])), true)
            ? $this->dangers($system, $water)
            : [];
        $first = $dangers[0] ?? null;
        $worst = $meaning->worst;
        if ($first !== null && ($state === null || !$state->worseThan($first->state))) {
            [$state, $worst] = [$first->state, $first->message->text];
        }
        // Fish in a bay that is shut off cannot wait for anything else.
        foreach ($system->shutOffs->isEmpty() ? [] : $this->shut->times($system, $water) as $bay) {
            if ($bay->state()->worseThan(State::Watch) && ($state === null || !$state->worseThan($bay->state()))) {
                $over = $bay->state() === State::Emergency;
                [$state, $worst] = [
                    $bay->state(),
                    Message::of($over ? 'fish.bay_over' : 'fish.bay_nearly_over', ['bay' => $bay->name])->text,
                ];
            }
        }
        $standing = $system->asleep_since === null ? $this->running->standing($system, $water) : null;
        if ($standing !== null && ($state === null || !$state->worseThan($standing->state))) {
            [$state, $worst] = [$standing->state, $standing->message()->text];
        }
        // A filter that was set back is watched, and one that is overloaded acted on, whatever the last test said.
        $setBack = SetbackNotice::of($system);
        if ($setBack !== null && ($state === null || !$state->worseThan(State::Good))) {
            [$state, $worst] = [State::Watch, $setBack->text];
        }
        $overload = $system->asleep_since === null ? $this->carried->of($system, $water, $version, $verdict) : null;
        if ($overload !== null && $standing === null && ($state === null || $overload->state->worseThan($state))) {
            [$state, $worst] = [$overload->state, $overload->message->text];
        }

        return new StateOfSystem($state, $worst, $dangers, $overload, $standing);
    }

    /**
     * @param  Collection<int, System>  $systems
     * @return list<string> ids of those into whose water anything was given that may be there still
     */
    public static function dosed(Collection $systems): array
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->select('system_id')
            ->distinct()
            ->whereIn('system_id', $systems->map(static fn(System $system): string => $system->id)->all())
            ->whereNull('withdrawn_at')
            ->where('given_at', '>=', Carbon::now()->subDays(Validity::BACK_D))
            ->get();

        $ids = $systems->map(static fn(System $system): string => $system->id)->all();
        // Zeolite lets go of its ammonia in salt that was only measured, and given by nobody.
        $charged = Charge::query()
            ->whereIn('system_id', $ids)
            ->whereNull('taken_out_at')
            ->where('kind', '<>', 'carbon')
            ->pluck('system_id');
        $staged = Stage::query()
            ->whereIn('system_id', $ids)
            ->where('kind', 'zeolite')
            ->where('bypassed', false)
            ->pluck('system_id');

        return array_values(
            array_unique([
                ...$doses->map(static fn(Dose $dose): string => $dose->system_id)->all(),
                ...array_filter([...$charged->all(), ...$staged->all()], is_string(...)),
            ]),
        );
    }

    /** @return list<Danger> of the loop and of every bay that is shut off from it */
    private function dangers(System $system, LatestWater $water): array
    {
        $found = [];
        foreach ($this->bodies->all($system) as $body) {
            array_push($found, ...$this->dangersOf($system, $body, $water));
        }
        usort($found, static fn(Danger $a, Danger $b): int => $b->state->rank() <=> $a->state->rank());

        return $found;
    }

    /** @return list<Danger> */
    private function dangersOf(System $system, WaterBody $body, LatestWater $water): array
    {
        $rows = $this->residuals->now($system, $body);
        $salt = $water->get(Parameter::Salinity);
        // Salt that was measured since is what was measured, and judged as a reading.
        if (isset($rows['salt']) && $salt !== null && $salt->taken_at->gte($rows['salt']['since'])) {
            unset($rows['salt']);
        }
        $present = array_map(
            static fn(string $thing, array $row): Present => new Present($thing, $row['name'], $row['mg_l']),
            array_keys($rows),
            array_values($rows),
        );

        $zeolite = $body->vesselId === null && self::zeolite($system);
        if ($zeolite && !isset($rows['salt'])) {
            array_push($present, ...$this->salted($system, $salt));
        }

        return $present === []
            ? []
            : Danger::of(
                $present,
                $zeolite,
                $this->conflicts,
                $this->agents,
                // As the bench goes by it: reckoned on from the reading where something was put in or changed since.
                ...$this->water($system, $water),
            );
    }

    /** @return array{?float, ?float, ?float} alkalinity, pH and hardness now */
    private function water(System $system, LatestWater $water): array
    {
        $reckoned = $this->expected->now($system, $water);
        $of = static fn(Parameter $parameter): ?float => $reckoned[$parameter->value] ??
            $water->get($parameter)?->value;

        return [$of(Parameter::Alkalinity), $of(Parameter::Ph), $of(Parameter::Hardness)];
    }

    /**
     * Salt as it was measured, where zeolite hangs: enough of it, or more than when the zeolite went in.
     *
     * @return list<Present>
     */
    private function salted(System $system, ?Reading $salt): array
    {
        if ($salt === null || $salt->taken_at->diffInDays(Carbon::now()) > Limits::SALT_STANDS_D) {
            return [];
        }
        $hung = Charge::in($system)->get()->first(static fn(Charge $charge): bool => $charge->holdsAmmonia());
        $before =
            $hung === null
                ? null
                : Reading::query()
                    ->where('system_id', $system->id)
                    ->where('parameter', Parameter::Salinity->value)
                    ->where('taken_at', '<=', $hung->put_in_at)
                    ->whereHas('visit', static fn($visit) => $visit->whereNull('withdrawn_at'))
                    ->orderByDesc('taken_at')
                    ->first();
        $rose = ZeoliteSalt::rose($before?->value, $salt->value);

        return $rose || $salt->value >= ZeoliteSalt::LETS_GO_G_L
            ? [new Present('salt', 'Salt', 1000 * $salt->value)]
            : [];
    }

    private static function zeolite(System $system): bool
    {
        return Charge::in($system)->get()->contains(static fn(Charge $charge): bool => $charge->holdsAmmonia()) ||
            $system->stages->contains(static fn(Stage $stage): bool => $stage->kind === 'zeolite' && !$stage->bypassed);
    }
}
