<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Fish\FeedPlan;
use App\Forms\Origin;
use App\Models\FeedFigure;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\ReadingOrigin;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\UnreadableNumber;
use Ironwort\Core\Water\AssumedWater;

/**
 * The water and feed a capacity is worked out for: typed on the page, else measured, else assumed and said to be.
 */
final class Conditions
{
    /** @var array<string, float> by canonical key */
    public array $values = [];

    /** @var array<string, Origin> */
    public array $origins = [];

    /** @var array<string, string> */
    private array $errors = [];

    /** @param  array<string, string>  $typed  by canonical key, as typed; empty where nothing was typed */
    public function __construct(
        private readonly System $system,
        private readonly LatestWater $water,
        private readonly LimitTable $limits,
        private readonly FeedPlan $plans,
        private readonly array $typed,
    ) {
        foreach ([Parameter::Temperature, Parameter::Ph, Parameter::Oxygen, Parameter::Alkalinity] as $parameter) {
            $this->reading($parameter);
        }
        $this->allowedAmmonia();
        $this->feed($system->feed());
        if ($this->errors !== []) {
            throw new BadInput($this->errors);
        }
    }

    private function reading(Parameter $parameter): void
    {
        $key = $parameter->value;
        $typed = $this->typedReading($parameter);
        $entry = $this->water->get($parameter);
        if ($typed !== null) {
            $this->set($key, $parameter->name(), $typed, $parameter, 'typed', 'typed just now');
        } elseif ($entry !== null) {
            $this->values[$key] = $entry->value;
            $this->origins[$key] = ReadingOrigin::of($entry->judged(), $entry);
        } else {
            $assumed = AssumedWater::of($key, $this->values['temp_c'] ?? AssumedWater::TEMPERATURE_C);
            $value = $assumed->value ?? 0.0;
            $this->set($key, $parameter->name(), $value, $parameter, 'assumed', "assumed: {$assumed?->because}");
        }
    }

    /** The temperature at which the oxygen reading was taken, whatever is typed over it. */
    public function measuredTemperature(): float
    {
        return $this->water->get(Parameter::Temperature)->value ?? $this->values['temp_c'];
    }

    /** When its oxygen was measured; null where never. */
    public function oxygenMeasuredAt(): ?Carbon
    {
        return $this->water->get(Parameter::Oxygen)?->taken_at;
    }

    /**
     * The water of the book, whatever is typed over it.
     *
     * @return array{temp_c: float, ph: float, do_mg_l: float, alkalinity_mg_l: float}
     */
    public function ofBook(): array
    {
        return [
            'temp_c' => $this->water->valueOrAssumed(Parameter::Temperature),
            'ph' => $this->water->valueOrAssumed(Parameter::Ph),
            'do_mg_l' => $this->water->valueOrAssumed(Parameter::Oxygen),
            'alkalinity_mg_l' => $this->water->valueOrAssumed(Parameter::Alkalinity),
        ];
    }

    private function allowedAmmonia(): void
    {
        $typed = $this->typedReading(Parameter::Ammonia);
        if ($typed !== null) {
            $this->set('tan_mg_l', 'Ammonia allowed', $typed, Parameter::Ammonia, 'typed', 'typed just now');

            return;
        }
        $allowed = AllowedAmmonia::of(
            $this->limits,
            $this->system->judgedAs(),
            $this->values['ph'],
            $this->values['temp_c'],
        );
        $this->set(
            'tan_mg_l',
            'Ammonia allowed',
            $allowed->tan,
            Parameter::Ammonia,
            'limit',
            $allowed->heldByUnionised
                ? 'where its un-ionised part reaches ' .
                    Format::number($allowed->unionisedLimit) .
                    ' mg/L at this pH and temperature'
                : 'the limit of total ammonia for ' . lcfirst($this->limits->stages[$this->system->judgedAs()]),
        );
    }

    /** g/d; a temperature that was typed is asked about as it stands, the water's own goes by its steady one. */
    private function planned(?FeedFigure $feed): ?float
    {
        $temp = $this->values['temp_c'];

        return match (true) {
            $feed === null => null,
            $this->origins['temp_c']->kind === 'typed' => $this->plans->at($this->system, $feed, $temp),
            default => $this->plans->perDay($this->system, $feed, $temp),
        };
    }

    private function feed(?FeedFigure $feed): void
    {
        $figures = [
            ['feed_g_d', 'Feed', 'g/d', 500000.0, $this->planned($feed)],
            ['protein_pct', 'Protein', '%', 80.0, $feed === null ? null : max(5.0, $this->plans->protein($feed))],
        ];
        foreach ($figures as [$key, $label, $unit, $most, $planned]) {
            $value = $this->typedNumber($key, $label, $key === 'protein_pct' ? 5.0 : 0.0, $most);
            [$kind, $from] = match (true) {
                $value !== null => ['typed', 'typed just now'],
                $feed !== null => [
                    'plan',
                    ($feed->by_ration && $key === 'feed_g_d' ? 'by the ration table, set ' : 'feed figure since ') .
                    $feed->since->format('j M Y') .
                    ($feed->days_a_week < 7 && $key === 'feed_g_d' ? ", {$feed->days_a_week} days a week" : ''),
                ],
                default => [
                    'assumed',
                    $key === 'protein_pct' ? 'assumed: usual koi feed' : 'assumed: no feed figure set',
                ],
            };
            $this->values[$key] = $value ?? ($planned ?? ($key === 'protein_pct' ? $this->plans->protein(null) : 0.0));
            $this->origins[$key] = new Origin(
                $key,
                $label,
                Format::number($this->values[$key]) . " {$unit}",
                $kind,
                $from,
            );
        }
    }

    private function set(
        string $key,
        string $label,
        float $value,
        Parameter $parameter,
        string $kind,
        string $from,
    ): void {
        $unit = $parameter->symbol();
        $this->values[$key] = $value;
        $this->origins[$key] = new Origin(
            $key,
            $label,
            Format::number($parameter->shown($value), 3) . ($unit === null ? '' : " {$unit}"),
            $kind,
            $from,
        );
    }

    private function typedReading(Parameter $parameter): ?float
    {
        $text = $this->typed[$parameter->value] ?? '';
        if (trim($text) === '') {
            return null;
        }
        try {
            return TypedReading::read($parameter, $text, null)->value;
        } catch (UnreadableReading $fault) {
            $this->errors[$parameter->value] = $fault->getMessage();

            return null;
        }
    }

    private function typedNumber(string $key, string $label, float $least, float $most): ?float
    {
        $text = $this->typed[$key] ?? '';
        if (trim($text) === '') {
            return null;
        }
        try {
            $value = TypedNumber::read($text)->value;
        } catch (UnreadableNumber $fault) {
            $this->errors[$key] = $fault->getMessage();

            return null;
        }
        if ($value < $least || $value > $most) {
            $this->errors[$key] =
                "{$label} cannot be " .
                Format::number($value, 6) .
                ': it lies between ' .
                Format::number($least) .
                ' and ' .
                Format::number($most, 6) .
                '.';
        }

        return $value;
    }
}
