<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Measure\ShownUnit;
use Ironwort\Core\Measure\SpokenUnits;
use Ironwort\Core\Measure\UnitChoice;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a person reads is in the units they chose; everything behind this is in litres, °C and grams.
 *
 * Words and the texts of figures are changed. Numbers stay as they are: they go into forms and calculations, and come
 * back as they went out. So do entries in the keeper's own words, and the working, which is done in our units.
 */
final class AnswersInUnits
{
    /** Answers that are about units, or are the arithmetic itself. */
    private const AS_IT_IS = ['api/session*', 'api/calc*', 'api/sources', 'api/health'];

    /** Names, keys and what people typed. */
    private const NEVER = [
        'id',
        'slug',
        'name',
        'key',
        'code',
        'calc',
        'input',
        'fill',
        'typed',
        'reason',
        'note',
        'product',
        'lot',
        'site',
    ];

    /** What tells figures, strips, rows of water and lanes of the score from fields that are typed into. */
    private const LOOKS = ['calc', 'bands', 'now', 'points'];

    /** Texts and numbers that belong to the unit beside them and are only looked at. */
    private const LOOKED_AT = ['text', 'now', 'new', 'after', 'low', 'high', 'above', 'below'];

    /** Rows of numbers that belong to it. */
    private const DRAWN = [
        'scale' => ['from', 'to'],
        'bands' => ['from', 'to'],
        'points' => ['v', 'low', 'high'],
        'expected' => ['v'],
    ];

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $person = $request->user();
        if (!($response instanceof JsonResponse) || !($person instanceof User) || $request->is(...self::AS_IT_IS)) {
            return $response;
        }
        $choice = $person->unitChoice();

        return $choice->usual()
            ? $response
            : $response->setData(self::spoken($response->getData(), $choice, new SpokenUnits($choice)));
    }

    private static function spoken(mixed $said, UnitChoice $choice, SpokenUnits $words): mixed
    {
        if (is_string($said)) {
            return $words->of($said);
        }
        if (is_array($said)) {
            return array_map(static fn(mixed $one): mixed => self::spoken($one, $choice, $words), $said);
        }
        if (!($said instanceof \stdClass) || ($said->kind ?? null) === 'notes') {
            return $said;
        }
        $all = get_object_vars($said);
        $unit = is_string($all['unit'] ?? null) ? $choice->unit($all['unit']) : null;
        $figure = $unit !== null && array_intersect(array_keys($all), self::LOOKS) !== [];
        foreach ($all as $key => $value) {
            if (in_array($key, self::NEVER, true)) {
                continue;
            }
            $said->{$key} = $figure
                ? self::figure((string) $key, $value, $all, $unit, $choice, $words)
                : self::spoken($value, $choice, $words);
        }

        return $said;
    }

    /**
     * One part of a figure, a strip or a row that has its unit beside it.
     *
     * @param  array<array-key, mixed>  $all  its parts
     */
    private static function figure(
        string $key,
        mixed $value,
        array $all,
        ShownUnit $unit,
        UnitChoice $choice,
        SpokenUnits $words,
    ): mixed {
        return match (true) {
            $key === 'unit' => $unit->symbol,
            // The value of a figure is handed on; that of a strip is only looked at.
            $key === 'value' => isset($all['bands']) && is_numeric($value) ? $unit->of((float) $value) : $value,
            isset(self::DRAWN[$key]) => self::drawn($value, self::DRAWN[$key], $unit),
            !in_array($key, self::LOOKED_AT, true) => self::spoken($value, $choice, $words),
            is_int($value), is_float($value) => $unit->of($value),
            is_string($value) && preg_match('/^[-\x{2212}]?\d[\d,]*(?:\.\d+)?$/u', $value) === 1 => $unit->text(
                $value,
                $key === 'text' && is_numeric($all['value'] ?? null) ? (float) $all['value'] : null,
            ),
            default => self::spoken($value, $choice, $words),
        };
    }

    /** @param  list<string>  $keys */
    private static function drawn(mixed $rows, array $keys, ShownUnit $unit): mixed
    {
        if (is_array($rows)) {
            return array_map(static fn(mixed $row): mixed => self::drawn($row, $keys, $unit), $rows);
        }
        if ($rows instanceof \stdClass) {
            foreach ($keys as $key) {
                $value = $rows->{$key} ?? null;
                $rows->{$key} = is_int($value) || is_float($value) ? $unit->of($value) : $value;
            }
        }

        return $rows;
    }
}
