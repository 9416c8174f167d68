<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Numeric\Root;

/**
 * How far a three-way valve stands open to one of its two lines, so that this line carries the share one wants of both.
 *
 * What one side lets through the other does not: the other stands open by the rest of 100 %. The share rises with the
 * opening, and is sought by solving the whole loop.
 */
final readonly class SplitOpening
{
    /** Under this a side counts as shut, %. */
    private const LEAST_PCT = 0.5;

    private const CLOSE_PCT = 0.05;

    /**
     * @param  float  $share  of what both carry, over 0 and under 1
     * @return ?float opening in %; null where no opening gives that share
     */
    public static function of(Loop $loop, string $line, string $partner, float $share): ?float
    {
        $short = static fn(float $opening): float => $share - self::share($loop, $line, $partner, $opening);
        try {
            return Root::between($short, self::LEAST_PCT, 100 - self::LEAST_PCT, self::CLOSE_PCT);
        } catch (\DomainException) {
            return null;
        }
    }

    /** The same loop with its valve turned. */
    public static function turned(Loop $loop, string $line, string $partner, float $opening): Loop
    {
        return new Loop(
            $loop->vessels,
            $loop->stages,
            $loop->pumps,
            array_map(
                static fn(LoopLine $one): LoopLine => match ($one->id) {
                    $line => $one->opened($opening),
                    $partner => $one->opened(100 - $opening),
                    default => $one,
                },
                $loop->lines,
            ),
            $loop->tempC,
            $loop->airPumps,
            $loop->junctions,
            $loop->circulators,
        );
    }

    private static function share(Loop $loop, string $line, string $partner, float $opening): float
    {
        try {
            $flow = LoopFlow::of(self::turned($loop, $line, $partner, $opening));
        } catch (UnsolvableNetwork) {
            return 0.0;
        }
        [$one, $other] = [max(0.0, $flow->lineFlow($line)), max(0.0, $flow->lineFlow($partner))];

        return $one + $other > 0 ? $one / ($one + $other) : 0.0;
    }
}
