<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;
use Symfony\Component\HttpFoundation\Response;

/**
 * When an entry was made, where a device had no signal then and sends it later: by the clock of the device, in the
 * header X-Made-At. What is booked stands at that time; that it was booked now stands beside it.
 */
final class MadeAt
{
    /** What waited longer than this on a device is not booked of itself any more, days. */
    private const LONGEST_D = 30;

    private static ?Carbon $at = null;

    /** @throws BadInput at `made_at` for a time nobody can read, or one too long ago */
    public function handle(Request $request, Closure $next): Response
    {
        self::$at = self::read($request->header('X-Made-At'));
        try {
            /** @var Response */
            return $next($request);
        } finally {
            self::$at = null;
        }
    }

    /** The moment at which somebody did what is being booked. */
    public static function now(): Carbon
    {
        return (self::$at ?? Carbon::now())->copy();
    }

    private static function read(mixed $header): ?Carbon
    {
        if (!is_string($header) || $header === '') {
            return null;
        }
        $said = preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?Z$/D', $header) === 1;
        $at = $said ? Carbon::parse($header) : null;
        if ($at === null || $at->lt(Carbon::now()->subDays(self::LONGEST_D))) {
            $said = Message::of('judge.made_too_long_ago', ['days' => (string) self::LONGEST_D]);

            throw BadInput::at('made_at', $said->text, [$said->code]);
        }

        // A device whose clock is ahead made it now at the latest.
        return $at->min(Carbon::now());
    }
}
