<?php

declare(strict_types=1);

namespace App\Water;

use App\Expected\ExpectedWater;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Volumes\WaterBody;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\FigureRow;
use Ironwort\Core\Exchange\NewWater;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** The water of a system beside the new water, as far as both are known, with where each number is from. */
final readonly class TwoWaters
{
    /** What new water is taken to hold none of where it was never tested for it; shown as assumed. */
    private const USUALLY_NONE = [Parameter::Ammonia, Parameter::Nitrite, Parameter::Salinity];

    /**
     * @param  Collection<int, WaterSource>  $sources
     * @param  array<string, float>  $now  canonical
     * @param  array<string, float>  $new  the same keys
     * @param  list<Origin>  $origins
     * @param  array<string, array<string, mixed>>  $rows  as the page shows them
     */
    private function __construct(
        public Collection $sources,
        public ?WaterSource $source,
        public float $volume,
        public array $now,
        public array $new,
        public array $origins,
        public array $rows,
    ) {}

    public static function of(
        System $system,
        LatestWater $water,
        ExpectedWater $expected,
        WaterBody $body,
        ?string $asked,
    ): self {
        /** @var Collection<int, WaterSource> $sources */
        $sources = WaterSource::query()
            ->with('tests')
            ->where('site_id', $system->site_id)
            ->orderBy('position')
            ->orderBy('name')
            ->get();
        $source = $sources->firstWhere('id', $asked ?? $system->water_id) ?? $sources->first();
        $volume = $body->volumeL;
        $reckoned = $expected->now($system, $water);
        $now = $new = $rows = [];
        $origins = [new Origin('volume_l', 'Volume', Format::number($volume) . ' L', 'build', 'as doses use it')];
        foreach (WaterMix::KEYS as $key) {
            $parameter = Parameter::from($key);
            $entry = $water->get($parameter);
            $value = $reckoned[$key] ?? $entry?->value;
            $tested = $source?->reading($key);
            $assumed = $source !== null && $tested === null && in_array($parameter, self::USUALLY_NONE, true);
            [$fresh, $said] = $assumed ? [0.0, '; none assumed in the source water'] : [$tested, ''];
            $from =
                $entry === null
                    ? ''
                    : (isset($reckoned[$key])
                        ? 'estimated from the reading ' . Age::of($entry->taken_at) . ' and what was changed since'
                        : 'measured ' . Age::of($entry->taken_at));
            if ($entry !== null && $value !== null && $fresh !== null) {
                [$now[$key], $new[$key]] = [$value, $fresh];
                $origins[] = new Origin(
                    $key,
                    $parameter->name(),
                    self::say($parameter, $value) . ' to ' . self::say($parameter, $fresh),
                    isset($reckoned[$key]) ? 'computed' : 'measured',
                    $from . $said,
                );
            }
            if ($entry !== null || $tested !== null) {
                $rows[$key] = [
                    'parameter' => $key,
                    'name' => $parameter->name(),
                    'unit' => $parameter->symbol(),
                    'now' => $value === null ? null : self::number($parameter, $value),
                    'age' =>
                        $entry === null ? null : (isset($reckoned[$key]) ? 'estimated' : Age::of($entry->taken_at)),
                    'new' => $fresh === null ? null : self::number($parameter, $fresh),
                    'assumed' => $assumed,
                    'after' => null,
                ];
            }
        }
        if (!isset($now['alkalinity_mg_l'], $now['temp_c'])) {
            unset($now['ph'], $new['ph']);
        }

        return new self($sources, $source, $volume, $now, $new, $origins, $rows);
    }

    public function ready(): bool
    {
        return $this->source !== null && $this->now !== [] && $this->volume > 0;
    }

    public function missing(): ?Message
    {
        return match (true) {
            $this->source === null => Message::of('exchange.no_source_water'),
            $this->now === [] => Message::of('exchange.nothing_tested_in_both'),
            $this->volume <= 0 => Message::of('exchange.volume_unknown'),
            default => null,
        };
    }

    /** Why this water must not go in as it is. */
    public function scalds(): ?Message
    {
        $hotter = ($this->new['temp_c'] ?? 0.0) - ($this->now['temp_c'] ?? INF);

        return $hotter >= NewWater::SCALDS_C
            ? Message::of('exchange.water_scalds', ['warmer' => Format::number($hotter, 2)])
            : null;
    }

    /**
     * @return array{volume_l: float, now: array<string, float>, source: array<string, float>} input of the `exchange`
     *     calculators
     */
    public function input(): array
    {
        return ['volume_l' => max(1.0, $this->volume), 'now' => $this->now, 'source' => $this->new];
    }

    public static function number(Parameter $parameter, float $value): string
    {
        return Format::number($parameter->shown($value), 3);
    }

    public static function say(Parameter $parameter, float $value): string
    {
        return trim(self::number($parameter, $value) . ' ' . $parameter->symbol());
    }

    /** @return array<string, float> */
    public static function mix(mixed $figures): array
    {
        return (new FigureRow(is_array($figures) ? $figures : (array) $figures))->numbers();
    }
}
