<?php

declare(strict_types=1);

namespace App\Operation;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** The page behind the link of a new book. */
final class FirstOwnerController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $key = $request->query('key');

        return new JsonResponse(['open' => is_string($key) && FirstOwner::open($key)]);
    }

    public function store(FirstOwnerRequest $request): JsonResponse
    {
        Auth::login(FirstOwner::make($request));
        $request->session()->regenerate();

        return new JsonResponse(['open' => false]);
    }
}
