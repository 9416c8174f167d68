<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Ironwort\Core\Calc\BadInput;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Every error of the interface as `{message, errors}`: a sentence, and a message for each field.
 */
final readonly class ErrorAnswers
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(BadInput::class);
        $exceptions->reportable(
            static fn(UniqueConstraintViolationException $fault): ?bool => self::nameTaken($fault) ||
            self::keyTaken($fault)
                ? false
                : null,
        );
        $exceptions->render(static function (\Throwable $fault, Request $request): ?JsonResponse {
            if (!$request->is('api/*')) {
                return null;
            }
            [$status, $message, $errors] = match (true) {
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
                    'You may look at everything here, but not write.',
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
                    ['name' => 'There is one of this name already.'],
                ],
                default => [500, 'Something went wrong here, and it was written down. Nothing was saved.', []],
            };

            return new JsonResponse(
                [
                    'message' => $message,
                    'errors' => (object) $errors,
                    ...$fault instanceof BadInput && $fault->codes !== [] ? ['codes' => $fault->codes] : [],
                ],
                $status,
                $fault instanceof HttpExceptionInterface ? $fault->getHeaders() : [],
            );
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
