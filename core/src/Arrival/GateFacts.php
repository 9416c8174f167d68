<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

/** What a quarantine is judged by when its gate is asked for. */
final readonly class GateFacts
{
    /**
     * @param  float  $daysLeft  of the quarantine
     * @param  int  $fish  that live there
     * @param  int  $lostThree  that died in the last three days
     * @param  int  $lostWeek  that died in the last seven
     * @param  ?float  $testedD  days since ammonia and nitrite were both read; null where they never were
     * @param  bool  $bad  whether a reading of then is to be acted on
     * @param  ?float  $lookedD  days since somebody wrote what they saw on them; null where nobody did
     * @param  list<string>  $signs  of illness seen in the last week
     * @param  list<string>  $residuals  what stands in the water
     * @param  int  $ill  fish with the sign most of them have, at the newest look of the last three days
     * @param  ?int  $illBefore  and at the look before it; null where there was none
     */
    public function __construct(
        public float $daysLeft,
        public int $fish,
        public int $lostThree,
        public int $lostWeek,
        public ?float $testedD,
        public bool $bad,
        public ?float $lookedD,
        public array $signs,
        public array $residuals,
        public int $ill = 0,
        public ?int $illBefore = null,
    ) {}
}
