<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about units. */
final readonly class UnitsWords
{
    public const TEXTS = [
        'convert_teaspoons_differ_salt_packs' =>
            'Teaspoons differ and salt packs differently: weigh it where the dose matters.',
    ];
}
