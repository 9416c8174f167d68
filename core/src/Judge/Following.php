<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;

/** The schools one system follows. */
final readonly class Following
{
    /** @param  array<string, string>  $chosen  school by topic; what is not chosen is as usual */
    public function __construct(private SchoolTable $schools, private array $chosen = []) {}

    public function in(string $topic): School
    {
        return $this->schools->topic($topic)->school($this->chosen[$topic] ?? null);
    }

    /** Total ammonia at which a start with fish changes water, mg/L as N. */
    public function fishInTrigger(): float
    {
        return $this->in('fish_start')->figure('trigger') * $this->in('hold_ammonia')->figure('share');
    }

    /**
     * The limits of a life stage with what the school changes in them: total ammonia, and the nitrate ceiling of grown
     * fish and of quarantine. For fry a school only ever makes it stricter, and a filter being started keeps its own.
     */
    public function limits(string $stage, Limits $limits): Limits
    {
        if ($limits->parameter === Parameter::Ammonia && $limits->above !== null && $stage !== 'starting') {
            $share = $this->in('total_ammonia')->figure('share');

            return $share === 1.0
                ? $limits
                : $limits->with(
                    null,
                    new Bounds(
                        $share * $limits->above->watch,
                        $share * $limits->above->act,
                        $share * $limits->above->emergency,
                    ),
                );
        }
        if (
            $limits->parameter !== Parameter::Nitrate ||
            $limits->above === null ||
            !isset($this->chosen['nitrate']) ||
            $stage === 'starting'
        ) {
            return $limits;
        }
        $school = $this->in('nitrate');
        $line = static fn(string $state, float $own): float => $stage === 'fry'
            ? min($own, self::nitrogen($school->figure($state)))
            : self::nitrogen($school->figure($state));

        return $limits->with(
            null,
            new Bounds(
                $line('watch', $limits->above->watch),
                $line('act', $limits->above->act),
                $line('emergency', $limits->above->emergency),
            ),
        );
    }

    private static function nitrogen(float $nitrate): float
    {
        return Unit::AsNitrate->toCanonical($nitrate, Quantity::Nitrate);
    }
}
