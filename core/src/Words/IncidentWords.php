<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** What is said about trouble. */
final readonly class IncidentWords
{
    public const TEXTS = [
        'answer_un_ionised_ammonia_mg' =>
            'Un-ionised ammonia is {free} mg/L; total and un-ionised are both judged, and the worse decides.',
        'answer_known_test' => '{test} is not known: test it.',
    ];
}
