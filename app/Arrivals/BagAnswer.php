<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Forms\Figure;
use App\Forms\Origin;
use Ironwort\Core\Arrival\BagState;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** What is said of a bag: what opening it does, and how its fish get from their water into ours. */
final readonly class BagAnswer
{
    /**
     * @param  ?BagState  $reckoned  from its fish and hours; null where those are not known
     * @param  ?Result  $bag  of `arrival.bag`; null where too little is known
     * @param  ?Result  $drip  of `arrival.acclimatise`; null where its ammonia turns, or too little is known
     * @param  array<string, mixed>  $asked  of it
     * @param  list<Message>  $match  what makes the tub like the bag first
     * @param  array<string, float>  $ours  our water as last read
     * @param  array<string, string>  $errors
     */
    public function __construct(
        public ?BagState $reckoned,
        public ?Result $bag,
        public ?Result $drip,
        public array $asked,
        public array $match,
        public array $ours,
        public array $errors,
    ) {}

    /** Whether its ammonia turns when it is opened. */
    public function turns(): bool
    {
        return $this->bag?->figures['turns'] === true;
    }

    /** Whether the waters are too far apart to drip at all. */
    public function matchFirst(): bool
    {
        return ($this->drip->figures['match_first'] ?? []) !== [];
    }

    public function number(string $figure): ?float
    {
        $value = $this->drip->figures[$figure] ?? null;

        return is_numeric($value) ? (float) $value : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'reckoned' =>
                $this->reckoned === null
                    ? null
                    : [
                        'tan_mg_l' => $this->reckoned->tanMgL,
                        'ph' => $this->reckoned->ph,
                        'co2_mg_l' => $this->reckoned->co2MgL,
                    ],
            'bag' => $this->bag === null ? null : self::opened($this->bag),
            'turns' => $this->turns(),
            'drip' => $this->drip === null ? null : $this->dripped($this->drip),
            'cautions' => self::said($this->bag->cautions ?? []),
            'ours' => (object) $this->ours,
            'errors' => (object) $this->errors,
        ];
    }

    /** @return array<string, mixed> */
    private static function opened(Result $bag): array
    {
        return [
            'co2_mg_l' => $bag->number('co2_mg_l'),
            'nh3_in_bag_mg_l' => $bag->number('nh3_n_in_bag_mg_l'),
            'ph_aired' => $bag->number('ph_aired'),
            'nh3_aired_mg_l' => $bag->number('nh3_n_aired_mg_l'),
        ];
    }

    /** @return array<string, mixed> */
    private function dripped(Result $drip): array
    {
        $limiting = $drip->figures['limiting'];

        return [
            'minutes' => $this->figure('Drip for', 'minutes', 'min'),
            'drip_l_min' => $this->figure('Drip at', 'drip_l_min', 'L/min'),
            'added_l' => $this->figure('Water added', 'added_l', 'L'),
            'limiting' => is_string($limiting) ? Parameter::from($limiting)->name() : null,
            'match_first' => $this->matchFirst(),
            'match' => array_map(static fn(Message $one): array => $one->toArray(), $this->match),
            'cautions' => self::said($drip->cautions),
        ];
    }

    /** @return ?array<string, mixed> */
    private function figure(string $label, string $key, string $unit): ?array
    {
        $value = $this->number($key);
        $tub = is_numeric($this->asked['tub_l'] ?? null) ? (float) $this->asked['tub_l'] : 0.0;

        return $value === null
            ? null
            : (new Figure($label, $value, $unit, 'arrival.acclimatise', $key, $this->asked, [
                new Origin('tub_l', 'Their water', Format::number($tub) . ' L', 'typed', 'as typed'),
            ]))->toArray();
    }

    /**
     * @param  list<Caution>  $cautions
     * @return list<array<string, mixed>>
     */
    private static function said(array $cautions): array
    {
        return array_map(static fn(Caution $one): array => $one->toArray(), $cautions);
    }
}
