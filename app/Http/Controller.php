<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;

abstract class Controller
{
    /**
     * What is typed on a page that is only looked at: under `typed`, or as the query itself.
     *
     * @return array<array-key, mixed>
     */
    protected function typed(Request $request): array
    {
        $typed = $request->query('typed');

        return is_array($typed) ? $typed : (array) $request->query();
    }

    /** Whoever is signed in; the routes see to it that somebody is. */
    protected function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new \LogicException('This route is not behind sign-in.');
    }
}
