<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

use Ironwort\Core\Measure\Format;

/**
 * What two figures for the same water say about one another, in a sentence.
 *
 * A ratio near 3.785, 4.546 or 1.201 is the mark of litres and gallons, or of the two gallons, taken
 * for one another; it is named, since a dose on such a volume is wrong by as much.
 *
 * @source legal-gallons
 */
final readonly class VolumeComparison
{
    /** How near a ratio must be to be named, as a share. */
    private const NEAR = 0.03;

    /** Figures this close are as good as the methods are. */
    private const AGREE = 0.05;

    private const US = 3.785411784;

    private const IMPERIAL = 4.54609;

    private function __construct(public string $sentence, public bool $mixUp, public bool $agree) {}

    /** @param  float  $oneL  above 0 @param  float  $otherL  above 0 */
    public static function of(string $one, float $oneL, string $other, float $otherL): self
    {
        [$larger, $smaller] = $oneL >= $otherL ? [$one, $other] : [$other, $one];
        $ratio = max($oneL, $otherL) / min($oneL, $otherL);
        foreach (
            [
                [self::US, 'US gallons were taken for litres'],
                [self::IMPERIAL, 'imperial gallons were taken for litres'],
                [self::IMPERIAL / self::US, 'US and imperial gallons were taken for one another'],
            ]
            as [$mark, $mixUp]
        ) {
            if (abs($ratio / $mark - 1) <= self::NEAR) {
                return new self(
                    "{$larger} is " . Format::number($ratio, 3) . " times {$smaller}: it looks as if {$mixUp}.",
                    true,
                    false,
                );
            }
        }
        $apart = Format::number(100 * ($ratio - 1), 2);

        return $ratio - 1 <= self::AGREE
            ? new self("{$one} and {$other} agree within {$apart} %.", false, true)
            : new self("{$larger} is {$apart} % more than {$smaller}.", false, false);
    }
}
