<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\Controller;
use App\Models\Site;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Signing in and out. Attempts are throttled by address and login together. */
final class SessionController extends Controller
{
    private const TRIES_A_MINUTE = 6;

    /** Who is signed in; and for whoever is not, the demo logins when the demo is loaded. */
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        if ($user instanceof User) {
            return new JsonResponse(['person' => self::describe($user), 'demo' => []]);
        }
        $demo = Site::query()->where('is_demo', true)->exists();

        return new JsonResponse(['person' => null, 'demo' => $demo ? DemoSeeder::logins() : []]);
    }

    public function store(SignInRequest $request): JsonResponse
    {
        $throttle = 'sign-in:' . sha1(Str::lower($request->email()) . '|' . $request->ip());
        if (RateLimiter::tooManyAttempts($throttle, self::TRIES_A_MINUTE)) {
            $wait = RateLimiter::availableIn($throttle);
            throw ValidationException::withMessages([
                'password' => "Too many tries. Wait {$wait} seconds and try again.",
            ])->status(429);
        }
        $email = Str::lower(trim($request->email()));
        $signedIn = Auth::attempt([
            static fn(Builder $query) => $query->whereRaw('lower(email) = ?', [$email]),
            'password' => $request->password(),
        ]);
        if (!$signedIn) {
            RateLimiter::hit($throttle, 60);
            throw ValidationException::withMessages(['password' => 'This address and password do not go together.']);
        }
        RateLimiter::clear($throttle);
        $request->session()->regenerate();

        return new JsonResponse(['person' => self::describe($this->person($request)), 'demo' => []]);
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function describe(User $user): array
    {
        return [
            'name' => $user->name,
            'role' => $user->role->value,
            'writes' => $user->role->writes(),
            'site' => ['name' => $user->site->name, 'timezone' => $user->site->timezone],
        ];
    }
}
