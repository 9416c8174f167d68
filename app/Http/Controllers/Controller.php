<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\Request;

abstract class Controller
{
    /** Whoever is signed in; the routes see to it that somebody is. */
    protected function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new \LogicException('This route is not behind sign-in.');
    }
}
