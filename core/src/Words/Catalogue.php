<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/** The one place where the words of a code stand. */
final readonly class Catalogue
{
    private const SUBJECTS = [
        'aeration',
        'arrival',
        'calc',
        'dose',
        'exchange',
        'filter',
        'fish',
        'flow',
        'incident',
        'judge',
        'loop',
        'model',
        'service',
        'units',
        'vessel',
        'water',
    ];

    /**
     * @param  array<string, string|int|float>  $values
     *
     * @throws \LogicException for a code without words, or words with a brace that nothing fills
     */
    public static function text(string $code, array $values = []): string
    {
        [$subject, $name] = [...explode('.', $code, 2), ''];
        $text = self::texts($subject)[$name] ?? throw new \LogicException("No words stand for {$code}.");
        $braces = array_map(static fn(string $key): string => '{' . $key . '}', array_keys($values));
        $said = str_replace($braces, array_map(strval(...), array_values($values)), $text);

        return preg_match('/\{\w+\}/', $said) === 1
            ? throw new \LogicException("{$code} is not told all it says: {$said}")
            : $said;
    }

    public static function has(string $code): bool
    {
        [$subject, $name] = [...explode('.', $code, 2), ''];

        return isset(self::texts($subject)[$name]);
    }

    /** @return array<string, string> every code with its words */
    public static function all(): array
    {
        $all = [];
        foreach (self::SUBJECTS as $subject) {
            foreach (self::texts($subject) as $name => $text) {
                $all["{$subject}.{$name}"] = $text;
            }
        }

        return $all;
    }

    /**
     * The words of one subject; those of the others are not loaded for them.
     *
     * @return array<string, string>
     */
    private static function texts(string $subject): array
    {
        return match ($subject) {
            'aeration' => AerationWords::TEXTS,
            'calc' => CalcWords::TEXTS,
            'dose' => DoseWords::TEXTS,
            'exchange' => ExchangeWords::TEXTS,
            'filter' => FilterWords::TEXTS,
            'arrival' => ArrivalWords::TEXTS,
            'fish' => FishWords::TEXTS,
            'flow' => FlowWords::TEXTS,
            'incident' => IncidentWords::TEXTS,
            'judge' => JudgeWords::TEXTS,
            'loop' => LoopWords::TEXTS,
            'model' => ModelWords::TEXTS,
            'service' => ServiceWords::TEXTS,
            'units' => UnitsWords::TEXTS,
            'vessel' => VesselWords::TEXTS,
            'water' => WaterWords::TEXTS,
            default => [],
        };
    }
}
