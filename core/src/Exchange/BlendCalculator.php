<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Parts of two or three waters that come closest to a goal.
 *
 * The shares, none below nothing and one in all, that leave the least squared distance from the goal, each
 * measure counted by its own size.
 *
 *     sources [{"hardness_mg_l": 0}, {"hardness_mg_l": 200}], target {"hardness_mg_l": 80}  →  reached true,
 *       parts.0.share_pct 60, parts.1.share_pct 40
 */
final readonly class BlendCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.blend';
    }

    public function title(): string
    {
        return 'Blending waters';
    }

    public function inputs(): array
    {
        return [
            Input::rows(
                'sources',
                'Waters',
                [
                    Input::text('name', 'Name', 60)->optional(),
                    ...array_map(
                        static fn(Input $field): Input => $field->optional(),
                        array_values(
                            array_filter(WaterMix::fields(), static fn(Input $field): bool => $field->key !== 'ph'),
                        ),
                    ),
                ],
                2,
                3,
            ),
            Input::object(
                'target',
                'Goal',
                array_values(array_filter(WaterMix::fields(), static fn(Input $field): bool => $field->key !== 'ph')),
            ),
            Input::number('volume_l', 'To make', 'L', 0.1, 1e8)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('parts'), new Output('after'), new Output('reached')];
    }

    public function calculate(Given $given): Result
    {
        $target = $given->object('target')?->numbers() ?? [];
        if ($target === []) {
            throw BadInput::at('target', 'Say what to make.');
        }
        $sources = $given->rows('sources');
        $errors = [];
        foreach ($sources as $i => $source) {
            foreach (array_keys($target) as $key) {
                if ($source->numberOrNull($key) === null) {
                    $errors["sources.{$i}.{$key}"] = 'Say how much of this is in it.';
                }
            }
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }
        $shares = $this->closest($sources, $target);
        $after = [];
        foreach ($target as $key => $goal) {
            $after[$key] = array_sum(
                array_map(
                    static fn(float $share, Given $source): float => $share * $source->number($key),
                    $shares,
                    $sources,
                ),
            );
        }
        $miss = max(
            array_map(
                static fn(string $key): float => abs($after[$key] - $target[$key]) /
                    max(
                        1e-9,
                        abs($target[$key]),
                        0.02 *
                            max([
                                0.0,
                                ...array_map(static fn(Given $source): float => $source->number($key), $sources),
                            ]),
                    ),
                array_keys($target),
            ),
        );
        $volume = $given->numberOrNull('volume_l');
        $name = static fn(Given $source, int $i): string => $source->textOrNull('name') ?? 'water ' . ($i + 1);
        $work = new Working();
        $work->step(
            'The parts that come closest.',
            'Σ parts = 1, none below nothing',
            count($sources) . ' waters',
            implode(
                ', ',
                array_map(
                    static fn(float $share, Given $source, int $i): string => $name($source, $i) .
                        ' ' .
                        Format::number(100 * $share, 3) .
                        ' %',
                    $shares,
                    $sources,
                    array_keys($sources),
                ),
            ),
        );
        $work->cite('mass-balance');
        if ($miss > 0.02) {
            $work->watch(Message::of('exchange.blend_these_waters_cannot_make'));
        }
        $work->note(Message::of('exchange.blend_ph_chlorine_do_blend'));

        return $work->result([
            'parts' => array_map(
                static fn(float $share, Given $source, int $i): array => [
                    'name' => $name($source, $i),
                    'share_pct' => 100 * $share,
                    'litres' => $volume === null ? null : $share * $volume,
                ],
                $shares,
                $sources,
                array_keys($sources),
            ),
            'after' => $after,
            'reached' => $miss <= 0.02,
        ]);
    }

    /**
     * @param  list<Given>  $sources
     * @param  array<string, float>  $target
     * @return list<float>
     */
    private function closest(array $sources, array $target): array
    {
        $tries = [];
        $n = count($sources);
        for ($i = 0; $i < $n; $i++) {
            $tries[] = [$i => 1.0];
            for ($j = $i + 1; $j < $n; $j++) {
                $tries[] = $this->edge($sources, $target, $i, $j);
            }
        }
        if ($n === 3) {
            $tries[] = $this->inside($sources, $target);
        }
        $best = [];
        $least = INF;
        foreach ($tries as $try) {
            $shares = array_map(static fn(int $i): float => $try[$i] ?? 0.0, range(0, $n - 1));
            $distance = min($shares) < -1e-12 ? INF : $this->distance($sources, $target, $shares);
            if ($distance < $least - 1e-15) {
                [$least, $best] = [$distance, $shares];
            }
        }

        return $best;
    }

    /**
     * @param  list<Given>  $sources
     * @param  array<string, float>  $target
     * @return array<int, float>
     */
    private function edge(array $sources, array $target, int $i, int $j): array
    {
        $above = $below = 0.0;
        foreach ($target as $key => $goal) {
            $apart = ($sources[$j]->number($key) - $sources[$i]->number($key)) / $this->size($sources, $goal, $key);
            $above += (($goal - $sources[$i]->number($key)) / $this->size($sources, $goal, $key)) * $apart;
            $below += $apart ** 2;
        }
        $share = $below > 0 ? max(0.0, min(1.0, $above / $below)) : 0.0;

        return [$i => 1 - $share, $j => $share];
    }

    /**
     * @param  list<Given>  $sources
     * @param  array<string, float>  $target
     * @return array<int, float>
     */
    private function inside(array $sources, array $target): array
    {
        [$aa, $ab, $bb, $ag, $bg] = [0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($target as $key => $goal) {
            $size = $this->size($sources, $goal, $key);
            $a = ($sources[1]->number($key) - $sources[0]->number($key)) / $size;
            $b = ($sources[2]->number($key) - $sources[0]->number($key)) / $size;
            $g = ($goal - $sources[0]->number($key)) / $size;
            $aa += $a * $a;
            $ab += $a * $b;
            $bb += $b * $b;
            $ag += $a * $g;
            $bg += $b * $g;
        }
        $det = $aa * $bb - $ab * $ab;
        if (abs($det) < 1e-12 * max(1e-12, $aa * $bb)) {
            return [0 => 1.0];
        }
        $one = ($ag * $bb - $bg * $ab) / $det;
        $two = ($bg * $aa - $ag * $ab) / $det;

        return [0 => 1 - $one - $two, 1 => $one, 2 => $two];
    }

    /**
     * @param  list<Given>  $sources
     * @param  array<string, float>  $target
     * @param  list<float>  $shares
     */
    private function distance(array $sources, array $target, array $shares): float
    {
        $sum = 0.0;
        foreach ($target as $key => $goal) {
            $mix = array_sum(
                array_map(
                    static fn(float $share, Given $source): float => $share * $source->number($key),
                    $shares,
                    $sources,
                ),
            );
            $sum += (($mix - $goal) / $this->size($sources, $goal, $key)) ** 2;
        }

        return $sum;
    }

    /** @param  list<Given>  $sources */
    private function size(array $sources, float $goal, string $key): float
    {
        return max(
            1e-6,
            abs($goal),
            ...array_map(static fn(Given $source): float => abs($source->number($key)), $sources),
        );
    }
}
