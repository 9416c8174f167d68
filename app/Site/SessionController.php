<?php

declare(strict_types=1);

namespace App\Site;

use App\Http\Controller;
use App\Models\Site;
use App\Models\User;
use App\Operation\Loopback;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Signing in and out. Attempts are throttled for one login from one address, and for one address over all logins: so
 * nobody is locked out by what somebody else does elsewhere.
 */
final class SessionController extends Controller
{
    private const TRIES_A_MINUTE = 6;

    /** Of one address, whatever it signs in to: a yard behind one router has a handful of people. */
    private const OF_ONE_ADDRESS = 30;

    /** Who is signed in; and for whoever is not, the demo logins when the demo is loaded. */
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        if ($user instanceof User) {
            return new JsonResponse(['person' => self::describe($user), 'demo' => []]);
        }
        $demo = Loopback::is($request) && Site::query()->where('is_demo', true)->exists();

        return new JsonResponse(['person' => null, 'demo' => $demo ? DemoSeeder::logins() : []]);
    }

    public function store(SignInRequest $request): JsonResponse
    {
        $from = self::from((string) $request->ip());
        $throttle = 'sign-in:' . sha1(Str::lower($request->email()) . '|' . $from);
        $all = 'sign-in:' . sha1($from);
        $full = array_keys(
            array_filter(
                [$throttle => self::TRIES_A_MINUTE, $all => self::OF_ONE_ADDRESS],
                static fn(int $most, string $key): bool => RateLimiter::tooManyAttempts($key, $most),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        if ($full !== []) {
            $wait = max(array_map(RateLimiter::availableIn(...), $full));
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
            RateLimiter::hit($all, 60);
            throw ValidationException::withMessages(['password' => 'The e-mail or the password is wrong.']);
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

    /** One connection has a whole block of the new addresses, of which the first half tells it apart. */
    private static function from(string $ip): string
    {
        $packed = inet_pton($ip);

        return $packed !== false && strlen($packed) === 16 ? bin2hex(substr($packed, 0, 8)) : $ip;
    }

    /** @return array<string, mixed> */
    private static function describe(User $user): array
    {
        return [
            'name' => $user->name,
            'role' => $user->role->value,
            'writes' => $user->role->writes(),
            'units' => (new UnitsOfPerson($user))->toArray(),
            'site' => ['name' => $user->site->name, 'timezone' => $user->site->timezone],
        ];
    }
}
