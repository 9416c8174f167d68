<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Ironwort\Core\Calc\BadInput;
use Symfony\Component\HttpFoundation\Response;

/** No text that cannot be kept gets as far as a form: no NUL, nothing that is not UTF-8, nothing nested without end. */
final class ReadableText
{
    private const DEEPEST = 12;

    /** @throws BadInput at the field */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([...$request->query->all(), ...$request->all()] as $field => $value) {
            if (!self::readable($value, self::DEEPEST)) {
                throw BadInput::at(
                    self::text((string) $field) ? (string) $field : 'message',
                    'It contains characters that are not text. Type it again.',
                );
            }
        }

        /** @var Response */
        return $next($request);
    }

    private static function readable(mixed $value, int $deep): bool
    {
        if (!is_array($value)) {
            return !is_string($value) || self::text($value);
        }
        foreach ($value as $key => $one) {
            if ($deep === 0 || !self::text((string) $key) || !self::readable($one, $deep - 1)) {
                return false;
            }
        }

        return true;
    }

    private static function text(string $value): bool
    {
        return !str_contains($value, "\0") && mb_check_encoding($value, 'UTF-8');
    }
}
