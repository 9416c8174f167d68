<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use Ironwort\Core\Calc\BadInput;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Every error of the interface as `{message, errors}`: a sentence, and a message for each field; where a page was asked
 * for, as a page.
 */
final readonly class ErrorAnswers
{
    private const AWAY =
        'The database does not answer just now, so nothing can be read or kept. It is usually back within seconds; ' .
        'this page tries again by itself. If it stays away, look at what bin/start says.';

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(BadInput::class);
        $exceptions->reportable(
            static fn(UniqueConstraintViolationException $fault): ?bool => self::nameTaken($fault) ||
            self::keyTaken($fault)
                ? false
                : null,
        );
        self::report($exceptions);
        $exceptions->render(static function (\Throwable $fault, Request $request): SymfonyResponse {
            $away = DatabaseFault::away($fault);
            [$status, $message, $errors] = match (true) {
                $away => [503, self::AWAY, []],
                $fault instanceof ValidationException => [
                    $fault->status,
                    'Something typed cannot be used yet.',
                    array_map(
                        static fn(mixed $all): string => is_array($all) && is_string($all[0] ?? null) ? $all[0] : '',
                        $fault->errors(),
                    ),
                ],
                $fault instanceof BadInput => [422, 'Something given cannot be used yet.', $fault->errors],
                $fault instanceof AuthenticationException => [401, 'Sign in first.', []],
                $fault instanceof AuthorizationException, $fault instanceof AccessDeniedHttpException => [
                    403,
                    'You can read everything here, but not book anything.',
                    [],
                ],
                $fault->getPrevious() instanceof TokenMismatchException, $fault instanceof TokenMismatchException => [
                    419,
                    'This page has been open too long. Load it again; what you typed is still here.',
                    [],
                ],
                $fault instanceof NotFoundHttpException => [404, 'There is nothing here by that name.', []],
                $fault instanceof HttpExceptionInterface => [
                    $fault->getStatusCode(),
                    self::sentence($fault->getStatusCode()),
                    [],
                ],
                // Somebody else's booking took the key at the same instant.
                self::keyTaken($fault) => [404, 'There is nothing here by that name.', []],
                self::nameTaken($fault) => [
                    422,
                    'Something typed cannot be used yet.',
                    ['name' => 'This name is taken.'],
                ],
                default => [500, 'Something went wrong here and has been logged. Nothing was saved.', []],
            };

            $headers = $fault instanceof HttpExceptionInterface ? $fault->getHeaders() : [];
            if (!$request->is('api/*')) {
                return FaultPage::of($status, $message, $away, $headers);
            }

            return new JsonResponse(
                [
                    'message' => $message,
                    'errors' => (object) $errors,
                    ...$fault instanceof BadInput && $fault->codes !== [] ? ['codes' => $fault->codes] : [],
                ],
                $status,
                $headers,
            );
        });
    }

    /** What is written down of a fault: what it is and where, in a few lines, and nothing that somebody typed. */
    private static function report(Exceptions $exceptions): void
    {
        $exceptions->reportable(static function (\Throwable $fault): bool {
            if (DatabaseFault::away($fault)) {
                Log::error('The database is away.');

                return false;
            }
            if ($fault instanceof QueryException) {
                Log::error('A query failed.', DatabaseFault::told($fault));

                return false;
            }
            Log::error(mb_substr($fault::class . ': ' . $fault->getMessage(), 0, 500), [
                'at' => DatabaseFault::ours($fault),
            ]);

            return false;
        });
    }

    /** A name is told apart without regard to capitals, which only the index behind it can do for two at once. */
    private static function nameTaken(\Throwable $fault): bool
    {
        return $fault instanceof UniqueConstraintViolationException &&
            preg_match('/"\w+_name"/', $fault->getMessage()) === 1;
    }

    private static function keyTaken(\Throwable $fault): bool
    {
        return $fault instanceof UniqueConstraintViolationException &&
            preg_match('/"\w+_pkey"/', $fault->getMessage()) === 1;
    }

    private static function sentence(int $status): string
    {
        return match ($status) {
            405 => 'That cannot be done with this address.',
            429 => 'Too many tries. Wait a minute and try again.',
            413 => 'That is too much at once.',
            default => 'That could not be done.',
        };
    }
}
