<?php

declare(strict_types=1);

namespace App\Trouble;

use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/**
 * What a step carries over to the page it is done on, as it would be typed there: so that the amount told here, the
 * amount shown there and the amount booked are one.
 */
final readonly class Fill
{
    /** What is given, by the calculator that worked it out. */
    private const THINGS = [
        'dose.binder' => 'binder',
        'dose.zeolite' => 'zeolite',
        'dose.chloride_guard' => 'chloride_guard',
        'carbonate.buffer' => 'bicarbonate',
    ];

    /** Of its inputs, those that a page asks for. */
    private const FIELDS = [
        'binder' => ['tan_mg_l'],
        'zeolite' => ['tan_mg_l', 'target_mg_l'],
        'chloride_guard' => ['no2_n_mg_l', 'chloride_mg_l'],
        'bicarbonate' => ['target_alkalinity_mg_l', 'agent', 'alkalinity_mg_l', 'ph', 'temp_c', 'tan_mg_l'],
    ];

    private const DIGITS = 9;

    /** @return array<string, string> by field of the page */
    public static function of(AnswerStep $step): array
    {
        if ($step->page === 'water' && $step->changesPct > 0) {
            return ['change_pct' => Format::number($step->changesPct, self::DIGITS)];
        }
        $thing = self::THINGS[$step->amount['calc'] ?? ''] ?? null;
        if ($step->page !== 'dose' || $thing === null || $step->amount === null) {
            return [];
        }
        $fill = ['thing' => $thing];
        foreach (self::FIELDS[$thing] as $key) {
            $value = $step->amount['input'][$key] ?? null;
            if (is_float($value) || is_int($value)) {
                $fill[$key] = self::typed($key, (float) $value);
            } elseif (is_string($value)) {
                $fill[$key] = $value;
            }
        }

        return $fill;
    }

    private static function typed(string $key, float $value): string
    {
        $parameter = Parameter::tryFrom((string) preg_replace('/^target_/', '', $key));

        return str_replace(
            ',',
            '',
            Format::number($parameter === null ? $value : $parameter->shown($value), self::DIGITS),
        );
    }
}
