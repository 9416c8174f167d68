<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about volumes. */
final readonly class VesselWords
{
    public const TEXTS = [
        'volume_by_salt_dissolved_mixed_pipes_filters' =>
            'Only when all of it is dissolved and mixed, pipes and filters too: wait some hours ' .
            'with the pump running. No salt with zeolite in the system.',
    ];
}
