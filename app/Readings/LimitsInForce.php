<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\OwnLimit;
use App\Models\SchoolChoice;
use App\Models\System;
use Illuminate\Database\Eloquent\Collection;
use Ironwort\Core\Judge\Following;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\Topic;

/**
 * What one system is judged by: the limits of its life stage, over them its school's, and over both the keeper's own.
 */
final readonly class LimitsInForce
{
    private const LEAST_MG_L = 0.001;

    /** @var \WeakMap<Collection<int, OwnLimit>|Collection<int, SchoolChoice>, array<string, Limits>> by choices */
    private \WeakMap $known;

    /** @var \WeakMap<Collection<int, SchoolChoice>, Following> */
    private \WeakMap $followed;

    public function __construct(private LimitTable $limits, private SchoolTable $schools)
    {
        /** @var \WeakMap<Collection<int, OwnLimit>|Collection<int, SchoolChoice>, array<string, Limits>> $known */
        $known = new \WeakMap();
        $this->known = $known;
        /** @var \WeakMap<Collection<int, SchoolChoice>, Following> $followed */
        $followed = new \WeakMap();
        $this->followed = $followed;
    }

    public function for(System $system, Parameter $parameter): Limits
    {
        // Systems that choose nothing of their own are judged alike: worked out once for all of their site.
        $choices =
            $system->ownLimits->isEmpty() && $system->schools->isEmpty() ? $system->site->schools : $system->ownLimits;
        $known = $this->known[$choices] ?? [];
        $key = "{$system->judgedAs()} {$parameter->value}";
        if (!isset($known[$key])) {
            $known[$key] = $this->judgedBy($system, $parameter);
            $this->known[$choices] = $known;
        }

        return $known[$key];
    }

    private function judgedBy(System $system, Parameter $parameter): Limits
    {
        $shipped = $this->usual($system, $parameter);
        $own = $system->ownLimits->firstWhere('parameter', $parameter->value);

        return $own === null ? $shipped : $shipped->with(OwnLimit::bounds($own->below), OwnLimit::bounds($own->above));
    }

    /** What holds where the keeper has set nothing: the life stage's limits with the school's in them. */
    public function usual(System $system, Parameter $parameter): Limits
    {
        return $this->following($system)->limits(
            $system->judgedAs(),
            $this->limits->for($system->judgedAs(), $parameter),
        );
    }

    /** Un-ionised ammonia that may stand, mg/L as N: what plans of water and capacity keep to. */
    public function unionised(System $system): float
    {
        // A limit of nothing is one that nothing keeps to: the least that can be told is gone by.
        return max(self::LEAST_MG_L, $this->for($system, Parameter::UnionisedAmmonia)->above->watch ?? 0.02);
    }

    /** Un-ionised ammonia past which a dose that lifts it is refused, mg/L as N: where it is to be acted on. */
    public function unionisedRefused(System $system): float
    {
        return max(self::LEAST_MG_L, $this->for($system, Parameter::UnionisedAmmonia)->above->act ?? 0.05);
    }

    public function following(System $system): Following
    {
        $choices = $system->schools->isEmpty() ? $system->site->schools : $system->schools;

        return $this->followed[$choices] ??= $this->chosen($system);
    }

    private function chosen(System $system): Following
    {
        $chosen = [];
        foreach ([...$system->site->schools, ...$system->schools] as $choice) {
            $chosen[$choice->topic] = $choice->school;
        }

        return new Following($this->schools, $chosen);
    }

    /** @return array<string, Topic> what keepers differ in */
    public function topics(): array
    {
        return $this->schools->topics;
    }

    /** The whole table as it holds for one system, for calculators that ask for several of its lines. */
    public function table(System $system): LimitTable
    {
        $table = $this->limits;
        foreach (
            [
                Parameter::Nitrate->value,
                Parameter::Ammonia->value,
                ...$system->ownLimits->map(static fn(OwnLimit $own): string => $own->parameter)->all(),
            ]
            as $changed
        ) {
            $parameter = Parameter::tryFrom($changed);
            $table = $parameter === null ? $table : $table->with($system->judgedAs(), $this->for($system, $parameter));
        }

        return $table;
    }
}
