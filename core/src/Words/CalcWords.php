<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about every calculator. */
final readonly class CalcWords
{
    public const TEXTS = [
        'assumed' => 'Assumed, because not given: {inputs}.',
    ];
}
