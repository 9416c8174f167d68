<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\OwnLimit;
use App\Models\System;
use Ironwort\Core\Judge\Limits;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;

/** The limits that hold for one system: its life stage's, and over them the keeper's own. */
final readonly class Judging
{
    public function __construct(private LimitTable $limits)
    {
    }

    public function for(System $system, Parameter $parameter): Limits
    {
        $shipped = $this->limits->for($system->life_stage, $parameter);
        $own = $system->ownLimits->firstWhere('parameter', $parameter->value);

        return $own === null ? $shipped : $shipped->with(OwnLimit::bounds($own->below), OwnLimit::bounds($own->above));
    }

    /** The whole table as it holds for one system, for calculators that ask for several of its lines. */
    public function table(System $system): LimitTable
    {
        $table = $this->limits;
        foreach ($system->ownLimits as $own) {
            $parameter = Parameter::tryFrom($own->parameter);
            $table = $parameter === null ? $table : $table->with($system->life_stage, $this->for($system, $parameter));
        }

        return $table;
    }
}
