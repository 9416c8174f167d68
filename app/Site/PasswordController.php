<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\Controller;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A person gives themselves a new password: every other session of theirs ends, this one goes on. */
final class PasswordController extends Controller
{
    private const TRIES_A_MINUTE = 6;

    public function __invoke(PasswordRequest $request): Response
    {
        $person = $this->person($request);
        $tries = 'password:' . $person->id;
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            $wait = RateLimiter::availableIn($tries);
            throw ValidationException::withMessages([
                'password_now' => "Too many tries. Wait {$wait} seconds and try again.",
            ])->status(429);
        }
        if (!Hash::check($request->now(), $person->password)) {
            RateLimiter::hit($tries, 60);
            throw ValidationException::withMessages(['password_now' => 'This is not the password you have now.']);
        }
        RateLimiter::clear($tries);
        $person->password = $request->new();
        $person->save();
        // All sessions of this person are gone by now; under a new key this one is kept.
        $request->session()->regenerate();

        return response()->noContent();
    }
}
