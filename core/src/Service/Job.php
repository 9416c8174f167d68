<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Words\Message;

/** One job of service, as a table tells it. */
final readonly class Job
{
    /**
     * @param  list<string>  $on  kinds of stage, `pump:KIND`, `drained`, `fish` or `system`
     * @param  array<string, float>  $in  another interval by what a system is for, days
     * @param  float  $washes  share of the media that it washes, 0 to 1
     * @param  list<string>  $tools
     * @param  list<string>  $not  codes of what not to do
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $on,
        public float $everyD,
        public array $in,
        public float $minutes,
        public ?float $hours,
        public float $washes,
        public ?Deed $deed,
        public ?float $flushS,
        public float $litresMin,
        public bool $cleans,
        public string $steps,
        public array $tools,
        public array $not,
        public bool $bySeason,
        public bool $byFeed,
        public string $source,
        /** Once in this time of the year; null for what is done all the year. */
        public ?YearSeason $once = null,
        /** @var array<string, string> only where this school is followed in a topic; empty for what all do */
        public array $schools = [],
    ) {}

    /** What it does to the media, by the water they are rinsed in; null where it takes nothing from them. */
    public function deed(Rinse $rinse): ?Deed
    {
        return match (true) {
            $this->deed !== null => $this->deed,
            $this->washes > 0 => $rinse->deed(),
            default => null,
        };
    }

    /** Share of the media of its stage that it befalls. */
    public function share(): float
    {
        return $this->deed !== null ? 1.0 : $this->washes;
    }

    /** Whether bacteria are lost by it, so that two of the kind within a week are said. */
    public function biological(): bool
    {
        return $this->deed !== null || $this->washes > 0;
    }

    /** Whether it empties or fills a whole system: run when it is wanted, and never due. */
    public function big(): bool
    {
        return $this->on === ['big'];
    }

    /** @return list<Message> */
    public function notTo(): array
    {
        return array_map(static fn(string $code): Message => Message::of("service.{$code}"), $this->not);
    }
}
