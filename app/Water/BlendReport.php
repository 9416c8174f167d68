<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\TypedFields;
use App\Models\System;
use App\Models\WaterSource;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;

/** Water made from two or three waters of the shelf, and the minerals that do the rest. */
final readonly class BlendReport
{
    private const GOALS = [Parameter::Nitrate, Parameter::Alkalinity, Parameter::Hardness];

    public function __construct(private Registry $registry) {}

    /**
     * @param  array<array-key, mixed>  $query
     * @return array<string, mixed>
     */
    public function of(System $system, array $query): array
    {
        /** @var Collection<int, WaterSource> $waters */
        $waters = WaterSource::query()
            ->with('tests')
            ->where('site_id', $system->site_id)
            ->orderBy('position')
            ->orderBy('name')
            ->get();
        $typed = new TypedFields($query);
        $litres = $typed->number(Input::number('volume_l', 'To make', 'L', 0.1, 1e8)) ?? 100.0;
        $target = $this->targets($typed);
        $usual = array_values(
            $waters->filter(static fn(WaterSource $water): bool => $water->kind !== 'blend')->take(2)->all(),
        );
        $chosen = array_values(
            array_filter(
                array_map(
                    static fn(string $key, int $i): ?WaterSource => $waters->firstWhere('id', $typed->text($key)) ??
                        ($usual[$i] ?? null),
                    ['water_1', 'water_2', 'water_3'],
                    [0, 1, 2],
                ),
            ),
        );
        $answer = [
            'waters' => array_values(
                $waters
                    ->map(static fn(WaterSource $water): array => ['id' => $water->id, 'name' => $water->name])
                    ->all(),
            ),
            'chosen' => array_map(static fn(WaterSource $water): string => $water->id, $chosen),
            'litres' => $litres,
            'parts' => [],
            'after' => [],
            'reached' => null,
            'minerals' => [],
            'cautions' => self::cautions($chosen),
        ];
        if (count($chosen) < 2) {
            $typed->refuse('water_2', 'Choose at least two waters.');
        }
        foreach ($chosen as $i => $water) {
            foreach (array_keys($target) as $key) {
                if ($water->reading($key) === null) {
                    $typed->refuse(
                        'water_' . ($i + 1),
                        "{$water->name} was never tested for " . Parameter::from($key)->name() . '.',
                    );
                }
            }
        }
        if ($typed->errors !== [] || $target === []) {
            return [...$answer, 'errors' => (object) $typed->errors];
        }
        $result = $typed->attempt(
            fn() => $this->registry->run('exchange.blend', [
                'sources' => array_map(
                    static fn(WaterSource $water): array => [
                        'name' => $water->name,
                        ...array_map(
                            static fn(string $key): float => (float) $water->reading($key),
                            array_combine(array_keys($target), array_keys($target)),
                        ),
                    ],
                    $chosen,
                ),
                'target' => $target,
                'volume_l' => $litres,
            ]),
            'water_1',
        );
        if ($result === null) {
            return [...$answer, 'errors' => (object) $typed->errors];
        }
        $after = TwoWaters::mix($result->figures['after']);

        return [
            ...$answer,
            'parts' => $result->figures['parts'],
            'reached' => $result->figures['reached'],
            'errors' => (object) [],
            'after' => array_map(
                static fn(string $key, float $value): array => [
                    'name' => Parameter::from($key)->name(),
                    'text' => TwoWaters::say(Parameter::from($key), $value),
                    'wanted' => TwoWaters::say(Parameter::from($key), $target[$key]),
                ],
                array_keys($after),
                array_values($after),
            ),
            'minerals' => $this->minerals($after, $target, $litres),
        ];
    }

    /** @return array<string, float> canonical, by parameter */
    private function targets(TypedFields $typed): array
    {
        $target = [];
        foreach (self::GOALS as $parameter) {
            $text = $typed->text("target_{$parameter->value}");
            try {
                $target[$parameter->value] = $text === null ? null : TypedReading::read($parameter, $text, null)->value;
            } catch (UnreadableReading $fault) {
                $typed->refuse("target_{$parameter->value}", $fault->getMessage());
            }
        }

        return array_filter($target, static fn(?float $value): bool => $value !== null);
    }

    /**
     * What is still short of KH and GH, by weight.
     *
     * @param  array<string, float>  $after
     * @param  array<string, float>  $target
     * @return list<string>
     */
    private function minerals(array $after, array $target, float $litres): array
    {
        $said = [];
        $short = static fn(string $key): float => ($target[$key] ?? 0.0) - ($after[$key] ?? INF);
        if ($short('alkalinity_mg_l') > 1) {
            $grams = $this->registry
                ->run('carbonate.buffer', [
                    'volume_l' => $litres,
                    'alkalinity_mg_l' => $after['alkalinity_mg_l'],
                    'target_alkalinity_mg_l' => $target['alkalinity_mg_l'],
                    'agent' => 'sodium_bicarbonate',
                    'ph' => AssumedWater::PH,
                    'temp_c' => AssumedWater::TEMPERATURE_C,
                    'max_step_mg_l' => 1000,
                ])
                ->number('dose_g');
            $said[] = Measures::grams($grams) . ' of sodium bicarbonate for KH';
        }
        if ($short('hardness_mg_l') > 1) {
            $grams = $this->registry
                ->run('hardness.dose', [
                    'volume_l' => $litres,
                    'hardness_mg_l' => $after['hardness_mg_l'],
                    'target_hardness_mg_l' => $target['hardness_mg_l'],
                    'agent' => 'calcium_chloride_dihydrate',
                ])
                ->number('dose_g');
            $said[] = Measures::grams($grams) . ' of calcium chloride dihydrate for GH; it gets hot as it dissolves';
        }

        return $said;
    }

    /**
     * @param  list<WaterSource>  $waters
     * @return list<string>
     */
    private static function cautions(array $waters): array
    {
        $said = [];
        foreach ($waters as $water) {
            if ($water->kind === 'ro') {
                $said[] =
                    "{$water->name} has no minerals: by itself it holds no pH, and KH and GH " .
                    'must be rebuilt before fish meet it.';
            }
            if ($water->kind === 'rain') {
                $said[] =
                    "{$water->name} has next to no KH and GH, and carries what lies on the " .
                    'roof: let the first rain run off.';
            }
            if (($water->reading('chlorine_mg_l') ?? 0.0) > 0) {
                $said[] =
                    "{$water->name} holds " .
                    Format::number((float) $water->reading('chlorine_mg_l'), 2) .
                    ' mg/L of ' .
                    ($water->chloramine() ? 'chloramine' : 'chlorine') .
                    ': take that out first.';
            }
        }

        return $said;
    }
}
