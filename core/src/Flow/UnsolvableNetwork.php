<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** The network has no flow that satisfies it; the message says why, in plain words. */
final class UnsolvableNetwork extends \RuntimeException
{
    public function __construct(public readonly ?string $link, string $message)
    {
        parent::__construct($message);
    }

    public static function noSurface(): self
    {
        return new self(null, 'No open water stands in the loop, so there is no level to work from.');
    }

    public static function cannotLift(string $link, float $reachesM, float $needsM): self
    {
        return new self(
            $link,
            sprintf(
                'The pump cannot lift that high: against a shut valve it reaches %.2f m, and ' .
                    '%.2f m are needed before anything flows.',
                $reachesM,
                $needsM,
            ),
        );
    }

    public static function unsettled(): self
    {
        return new self(
            null,
            'The flows of this loop do not settle: look for a line of no length and no fittings, ' .
                'or a curve that is nearly flat.',
        );
    }
}
