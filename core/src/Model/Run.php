<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Numeric\DormandPrince;
use Ironwort\Core\Numeric\TooStiff;
use Ironwort\Core\Water\Oxygen;
use Ironwort\Core\Water\WaterInputs;

/**
 * A system under its feed, its water and what happens to it: what the model needs besides where it starts from.
 *
 * @see Water for the equations
 *
 * @source model-calibrated
 */
final readonly class Run
{
    /** Ammonia and nitrite under which a filter counts as grown, mg/L as N. Common practice, no source. */
    public const GROWN_BELOW_MG_L = 0.25;

    /** Beyond so many changes a day there is nothing of the system in the water. */
    private const MOST_TURNS_A_DAY = 500.0;

    /** What drifts in from anywhere, mg N/L/d at 20 °C of each kind. */
    public const INOCULUM = 0.006;

    /**
     * @param  array<string, float>  $source  of the water that comes in, by key
     * @param  list<Event>  $events  in order of time
     */
    private function __construct(
        private float $volumeL,
        private float $biomassKg,
        private float $protein,
        private float $ph,
        private ?float $oxygen,
        private array $source,
        private float $grown,
        private float $feed,
        private float $tempC,
        private float $flow,
        private array $events,
        private DormandPrince $solver,
        private ?Tending $tending = null,
    ) {}

    /** @return list<Input> */
    public static function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('grown_mg_l_d', 'Grown full', 'mg N/L/d at 20 °C', 0, 10000),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6)->or(0.0),
            LoadInputs::feed()->or(0.0),
            LoadInputs::protein(),
            WaterInputs::temperature(),
            WaterInputs::ph()->or(7.6),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30)->optional(),
            Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e7)->or(0.0),
            WaterMix::input('source', 'New water')->optional(),
            Event::input(),
            Input::number('tan_limit_mg_l', 'Ammonia limit', 'mg/L as N', 0.01, 20)->or(self::GROWN_BELOW_MG_L),
            Input::number('no2_limit_mg_l', 'Nitrite limit', 'mg/L as N', 0.01, 20)->or(self::GROWN_BELOW_MG_L),
        ];
    }

    /** @throws BadInput */
    public static function from(Given $given, DormandPrince $solver = new DormandPrince()): self
    {
        $events = Event::read($given);
        $source = $given->object('source')?->numbers() ?? [];
        $incoming =
            $given->number('flow_l_h') > 0 ||
            array_filter($events, static fn(Event $event): bool => $event->bringsWater()) !== [];
        if ($incoming && !isset($source['alkalinity_mg_l'])) {
            throw BadInput::at('source.alkalinity_mg_l', 'New water comes in: give its alkalinity.');
        }

        self::refuseFlood($given);

        return new self(
            volumeL: $given->number('volume_l'),
            biomassKg: $given->number('biomass_kg'),
            protein: $given->number('protein_pct') / 100,
            ph: $given->number('ph'),
            oxygen: $given->numberOrNull('do_mg_l'),
            source: $source,
            grown: $given->number('grown_mg_l_d'),
            feed: $given->number('feed_g_d'),
            tempC: $given->number('temp_c'),
            flow: $given->number('flow_l_h'),
            events: $events,
            solver: $solver,
        );
    }

    /** @throws BadInput at what brings so much water that there is no day to be followed */
    private static function refuseFlood(Given $given): void
    {
        $flows = ['flow_l_h' => $given->number('flow_l_h')];
        foreach ($given->rows('events') as $i => $event) {
            if ($event->text('kind') === 'flow') {
                $flows["events.{$i}.value"] = $event->numberOrNull('value') ?? 0.0;
            }
        }
        foreach ($flows as $key => $flow) {
            if (24 * $flow > self::MOST_TURNS_A_DAY * $given->number('volume_l')) {
                throw BadInput::at(
                    $key,
                    'That changes all the water more than ' .
                        Format::number(self::MOST_TURNS_A_DAY) .
                        ' times a day: it is what comes in, and nothing is left to follow.',
                );
            }
        }
    }

    /** The same with a keeper who looks at it on each mark. */
    public function tended(Tending $tending): self
    {
        return new self(
            volumeL: $this->volumeL,
            biomassKg: $this->biomassKg,
            protein: $this->protein,
            ph: $this->ph,
            oxygen: $this->oxygen,
            source: $this->source,
            grown: $this->grown,
            feed: $this->feed,
            tempC: $this->tempC,
            flow: $this->flow,
            events: $this->events,
            solver: $this->solver,
            // A keeper who does nothing need not be stopped for.
            tending: $tending->idle() ? null : $tending,
        );
    }

    /** The same with more happening to it. */
    public function with(Event ...$more): self
    {
        $events = [...$this->events, ...array_values($more)];
        usort($events, static fn(Event $a, Event $b): int => $a->day <=> $b->day);

        return new self(
            volumeL: $this->volumeL,
            biomassKg: $this->biomassKg,
            protein: $this->protein,
            ph: $this->ph,
            oxygen: $this->oxygen,
            source: $this->source,
            grown: $this->grown,
            feed: $this->feed,
            tempC: $this->tempC,
            flow: $this->flow,
            events: $events,
            solver: $this->solver,
            tending: $this->tending,
        );
    }

    /** °C on a day. */
    public function temperature(float $day): float
    {
        $temp = $this->tempC;
        foreach ($this->events as $event) {
            $temp = $event->kind === 'temperature' && $event->day <= $day ? (float) $event->value : $temp;
        }

        return $temp;
    }

    /**
     * The state to start from; bacteria in mg N/L/d at 20 °C.
     *
     * @param  array<string, float>  $water
     * @return list<float>
     *
     * @throws BadInput at the key of that water, without its alkalinity
     */
    public static function state(array $water, string $key, float $active1, float $active2): array
    {
        return [
            $water['tan_mg_l'] ?? 0.0,
            $water['no2_n_mg_l'] ?? 0.0,
            $water['no3_n_mg_l'] ?? 0.0,
            $water['alkalinity_mg_l'] ??
            throw BadInput::at("{$key}.alkalinity_mg_l", 'Give the alkalinity: nitrification stops without it.'),
            $active1,
            $active2,
            0.0,
            0.0,
        ];
    }

    /**
     * Follows a state through the days.
     *
     * @param  list<float>  $y
     * @param  list<float>  $marks  days of which a point is wanted, rising; the last is the end
     */
    public function through(array $y, array $marks): Trace
    {
        $start = Trace::nitrogen($y);
        $moved = 0.0;
        $forcing = [
            'feed' => $this->feed,
            'fish' => $this->biomassKg,
            'temperature' => $this->tempC,
            'flow' => $this->flow,
        ];
        $events = $this->events;
        $points = $doses = $buffered = [];
        $t = 0.0;
        $parameters = $this->parameters($forcing);
        while (true) {
            while ($events !== [] && $events[0]->day <= $t + 1e-9) {
                $before = Trace::nitrogen($y);
                $y = $this->happens(array_shift($events), $y, $forcing);
                $moved += Trace::nitrogen($y) - $before;
                $parameters = $this->parameters($forcing);
            }
            while ($marks !== [] && $t >= $marks[0] - 1e-9) {
                array_shift($marks);
                $points[] = self::point($t, $y, $parameters);
            }
            if (
                $this->tending?->doses($t, $y[Kinetics::TAN], $y[Kinetics::NO2], $doses[count($doses) - 1] ?? null) ===
                true
            ) {
                $moved += (float) $this->tending->doseTo - $y[Kinetics::TAN];
                $y[Kinetics::TAN] = (float) $this->tending->doseTo;
                $doses[] = $t;
            }
            if ($this->tending?->buffers($t, $y[Kinetics::ALK]) === true) {
                $buffered[] = [$t, (float) $this->tending->alkalinity - $y[Kinetics::ALK]];
                $y[Kinetics::ALK] = (float) $this->tending->alkalinity;
            }
            $y = array_values($y);
            if ($marks === []) {
                return new Trace($points, $y, $start, $moved, $doses, $buffered);
            }
            $until = $events === [] ? INF : $events[0]->day;
            // A keeper looks at each mark, and may do something there; else it runs on to what happens next.
            $ahead = array_values(
                array_filter(
                    $marks,
                    fn(float $mark): bool => $mark < $until - 1e-9 && $mark < ($this->tending->fromDay ?? INF),
                ),
            );
            if (count($ahead) < count($marks)) {
                $ahead[] = min($marks[count($ahead)], $until);
            }
            $y = array_map(static fn(float $value): float => max(0.0, $value), array_slice($y, 0, 6)) + $y;
            $states = $this->followed($parameters, $y, $t, $ahead);
            foreach ($ahead as $i => $mark) {
                $y = $states[$i];
                $t = $mark;
                if ($i < count($ahead) - 1 && $marks !== [] && $t >= $marks[0] - 1e-9) {
                    array_shift($marks);
                    $points[] = self::point($t, $y, $parameters);
                }
            }
        }
    }

    /**
     * @param  list<float>  $y
     * @param  list<float>  $marks
     * @return list<list<float>>
     *
     * @throws BadInput at `grown_mg_l_d` for a filter that takes what is there in no time
     */
    private function followed(ModelParameters $parameters, array $y, float $from, array $marks): array
    {
        try {
            return $this->solver->through(
                static fn(float $time, array $state): array => Kinetics::rates($state, $parameters),
                $y,
                $from,
                $marks,
                0.01,
            );
        } catch (TooStiff $stiff) {
            throw BadInput::at(
                'grown_mg_l_d',
                'This filter is so large against its water that it cannot be followed past day ' .
                    Format::number($from + $stiff->at, 3) .
                    ': fewer days, or the water it really stands in.',
            );
        }
    }

    /** Ammonia that the fish give at the start, mg N/L a day. */
    public function load(): float
    {
        return $this->parameters([
            'feed' => $this->feed,
            'fish' => $this->biomassKg,
            'temperature' => $this->tempC,
            'flow' => 0.0,
        ])->load;
    }

    /**
     * @param  list<float>  $y
     * @param  array{feed: float, fish: float, temperature: float, flow: float}  $forcing
     * @return list<float>
     */
    private function happens(Event $event, array $y, array &$forcing): array
    {
        switch ($event->kind) {
            case 'change':
                foreach (
                    [
                        Kinetics::TAN => 'tan_mg_l',
                        Kinetics::NO2 => 'no2_n_mg_l',
                        Kinetics::NO3 => 'no3_n_mg_l',
                        Kinetics::ALK => 'alkalinity_mg_l',
                    ]
                    as $i => $key
                ) {
                    $y[$i] = (1 - $event->share) * $y[$i] + $event->share * ($this->source[$key] ?? 0.0);
                }
                break;
            case 'dose':
                $y[Kinetics::TAN] += $event->mgL;
                break;
            case 'seed':
                $seed = $event->value ?? 10 * self::INOCULUM;
                $y[Kinetics::X1] += $seed;
                $y[Kinetics::X2] += $seed;
                break;
            case 'wash':
            case 'stop':
                $y[Kinetics::X1] *= 1 - $event->share;
                $y[Kinetics::X2] *= 1 - $event->share;
                break;
            case 'feed':
                $forcing['feed'] = (float) $event->value;
                break;
            case 'fish':
                $forcing['fish'] = (float) $event->value;
                break;
            case 'temperature':
                $forcing['temperature'] = min(40.0, (float) $event->value);
                break;
            default:
                $forcing['flow'] = (float) $event->value;
        }

        return array_values($y);
    }

    /** @param  array{feed: float, fish: float, temperature: float, flow: float}  $forcing */
    private function parameters(array $forcing): ModelParameters
    {
        $load = DailyLoad::of(
            $forcing['fish'],
            $forcing['feed'],
            $this->protein,
            DailyLoad::USUAL_DIGESTIBILITY,
            0.0,
            $forcing['temperature'],
        );

        return new ModelParameters(
            load: (1000 * $load->tan()) / $this->volumeL,
            tempC: $forcing['temperature'],
            oxygen: $this->oxygen ?? 0.9 * Oxygen::saturation($forcing['temperature']),
            ph: $this->ph,
            salinity: $this->source['salinity_g_l'] ?? 0.0,
            flow: (24 * $forcing['flow']) / $this->volumeL,
            source: $this->source,
            xMax: $this->grown,
        );
    }

    /**
     * @param  list<float>  $y
     * @return array<string, float>
     */
    private static function point(float $day, array $y, ModelParameters $parameters): array
    {
        $tan = max(0.0, $y[Kinetics::TAN]);

        return [
            'day' => $day,
            'tan_mg_l' => $tan,
            'no2_n_mg_l' => max(0.0, $y[Kinetics::NO2]),
            'no3_n_mg_l' => max(0.0, $y[Kinetics::NO3]),
            'alkalinity_mg_l' => max(0.0, $y[Kinetics::ALK]),
            'nh3_n_mg_l' => $tan * $parameters->unionised,
            'active_ammonia_mg_l_d' => $y[Kinetics::X1],
            'active_nitrite_mg_l_d' => $y[Kinetics::X2],
        ];
    }
}
