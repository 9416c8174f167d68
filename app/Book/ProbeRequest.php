<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;

/** What a probe sends: a parameter in its canonical unit, and points of time and value. */
final class ProbeRequest extends FormRequest
{
    private const MOST_POINTS = 50000;

    /** A clock may run a little ahead of this one. */
    private const CLOCK_SLACK_MIN = 2;

    /** @throws BadInput at `parameter` */
    public function parameter(): Parameter
    {
        $key = $this->input('parameter');
        $parameter = is_string($key) ? Parameter::tryFrom($key) : null;

        return $parameter !== null && in_array($parameter, ProbeBook::PARAMETERS, true)
            ? $parameter
            : throw BadInput::at('parameter', 'Probes send temp_c, do_mg_l, ph, redox_mv or salinity_g_l.');
    }

    /**
     * @return list<array{float, float}> seconds since 1970 and the value
     *
     * @throws BadInput at `points`, or at the point
     */
    public function points(): array
    {
        $given = $this->input('points');
        if (!is_array($given) || $given === [] || count($given) > self::MOST_POINTS) {
            throw BadInput::at('points', 'One to 50,000 points are expected, each as [time, value].');
        }
        [$least, $most] = $this->parameter()->possible();
        $latest = now()->addMinutes(self::CLOCK_SLACK_MIN);
        $points = [];
        foreach (array_values($given) as $i => $point) {
            $value = is_array($point) ? $point[1] ?? null : null;
            if (
                !is_array($point) ||
                !is_string($point[0] ?? null) ||
                !(is_int($value) || is_float($value)) ||
                $value < $least ||
                $value > $most
            ) {
                throw BadInput::at("points.{$i}", "A point is a time as text and a value from {$least} to {$most}.");
            }
            $at = SpanRequest::time($point[0], "points.{$i}");
            $points[] = $at->isAfter($latest)
                ? throw BadInput::at("points.{$i}", 'This time is in the future.')
                : [(float) $at->format('U.u'), (float) $value];
        }

        return $points;
    }
}
