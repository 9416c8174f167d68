<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Living\Living;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Words\Message;

/**
 * What a filter can take against what it is given: the one verdict behind every page, the API and the command line.
 *
 * Without a filter there is a load and nothing that could take it.
 */
final readonly class CapacityVerdict
{
    private const NO_FILTER = 'No filter is described for this system. Add its stages on Build.';

    /**
     * @param  list<array{origin: Origin, unit: ?string}>  $conditions  it is worked out for
     * @param  ?Figure  $capacity  today; null without a filter
     * @param  ?Figure  $grown  what it could take when all its surface lives
     * @param  array<string, Figure>  $limits  by what limits: surface, oxygen, transport
     * @param  list<StageCapacity>  $stages
     * @param  list<Figure>  $settles  where the water settles under this load
     * @param  ?Room  $room  for more fish and feed; null without a filter
     * @param  ?Living  $living  what lives in the filter; null where nothing can
     * @param  ?array{low: float, high: float}  $band  around the capacity, g N/d
     * @param  float  $stagesGD  what the stages alone take, without walls and changes: what is measured at a filter
     * @param  ?Message  $gap  between what is reckoned and what was read, or what is not known of it
     * @param  ?State  $state  how it stands, with what was read and what is not known counted; null without a filter
     */
    private function __construct(
        public array $conditions,
        public Figure $load,
        public ?Figure $capacity,
        public ?Figure $grown,
        public array $limits,
        public ?Carrying $carrying,
        public string $sentence,
        public array $stages,
        public array $settles,
        public ?Room $room,
        public mixed $steps,
        public ?Living $living = null,
        public ?array $band = null,
        public ?Message $gap = null,
        public float $stagesGD = 0.0,
        public ?State $state = null,
    ) {}

    /**
     * @param  list<array{origin: Origin, unit: ?string}>  $conditions
     */
    public static function withoutFilter(array $conditions, Figure $load): self
    {
        return new self(
            conditions: $conditions,
            load: $load,
            capacity: null,
            grown: null,
            limits: [],
            carrying: null,
            sentence: self::NO_FILTER,
            stages: [],
            settles: [],
            room: null,
            steps: [],
        );
    }

    /**
     * @param  list<array{origin: Origin, unit: ?string}>  $conditions
     * @param  array<string, Figure>  $limits
     * @param  list<StageCapacity>  $stages
     * @param  list<Figure>  $settles
     * @param  ?array{low: float, high: float}  $band
     */
    public static function of(
        array $conditions,
        Figure $load,
        Figure $capacity,
        ?Figure $grown,
        array $limits,
        Carrying $carrying,
        string $sentence,
        array $stages,
        array $settles,
        Room $room,
        mixed $steps,
        ?Living $living,
        ?array $band,
        ?Message $gap,
        float $stagesGD,
        State $state,
    ): self {
        return new self(
            conditions: $conditions,
            load: $load,
            capacity: $capacity,
            grown: $grown,
            limits: $limits,
            carrying: $carrying,
            sentence: $sentence,
            stages: $stages,
            settles: $settles,
            room: $room,
            steps: $steps,
            living: $living,
            band: $band,
            gap: $gap,
            stagesGD: $stagesGD,
            state: $state,
        );
    }

    /** What is left of it today, g N/d; nothing without a filter. */
    public function spareGD(): float
    {
        return $this->capacity === null ? 0.0 : $this->capacity->value - $this->load->value;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'conditions' => array_map(
                static fn(array $one): array => [...$one['origin']->toArray(), 'unit' => $one['unit']],
                $this->conditions,
            ),
            'load' => $this->load->toArray(),
            'capacity' => $this->capacity?->toArray(),
            'grown' => $this->grown?->toArray(),
            'limits' => array_map(
                static fn(string $limit, Figure $figure): array => ['limit' => $limit, 'figure' => $figure->toArray()],
                array_keys($this->limits),
                array_values($this->limits),
            ),
            'shortest' => $this->carrying?->shortest->value,
            'state' => $this->state?->value,
            'sentence' => $this->sentence,
            'stages' => array_map(static fn(StageCapacity $stage): array => $stage->toArray(), $this->stages),
            'settles' => array_map(static fn(Figure $figure): array => $figure->toArray(), $this->settles),
            'room' => $this->room?->toArray(),
            'steps' => $this->steps,
            'living' => $this->living?->toArray(),
            'band' =>
                $this->band === null ? null : ['low_g_d' => $this->band['low'], 'high_g_d' => $this->band['high']],
            'gap' => $this->gap?->toArray(),
        ];
    }
}
