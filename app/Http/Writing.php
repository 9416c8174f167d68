<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Site;
use App\Models\System;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Symfony\Component\HttpFoundation\Response;

/**
 * Judges and books in one transaction, under a lock on what is judged: the system of the address, or else the site.
 *
 * Two writers of one system follow one another, so that together they cannot book what one alone could not. An
 * answer that refuses takes back whatever was written on the way to it.
 *
 * Locks are taken in one order, so that no two writers wait for each other: the site where it is asked for (`site`,
 * for what touches two systems), then the system, then what stands on the shelf.
 */
final readonly class Writing
{
    public const WITH_SITE = self::class . ':site';

    /** For what a build that is only planned takes too: its own parts, and nothing of the book. */
    public const ALSO_PLANS = self::class . ':plan';

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next, ?string $also = null): Response
    {
        DB::beginTransaction();
        try {
            $this->hold($request, $also === 'site');
            $this->refusePlans($request, $also === 'plan');
            $answer = $next($request);
        } catch (\Throwable $fault) {
            DB::rollBack();

            throw $fault;
        }
        // The router has made an answer of whatever was thrown further in.
        if ($answer->getStatusCode() >= 400) {
            DB::rollBack();
        } else {
            DB::commit();
        }

        return $answer;
    }

    private function hold(Request $request, bool $site): void
    {
        $route = $request->route();
        $system = $route instanceof Route ? $route->parameter('system') : null;
        $user = $request->user();
        if ($user instanceof User && ($site || !($system instanceof System))) {
            Site::query()->whereKey($user->site_id)->lock('for no key update')->firstOrFail();
        }
        if ($route instanceof Route && $system instanceof System) {
            // What was read of it before the lock may be old by now.
            $route->setParameter('system', $system->hold());
        }
    }

    private function refusePlans(Request $request, bool $taken): void
    {
        $route = $request->route();
        $system = $route instanceof Route ? $route->parameter('system') : null;
        if (!$taken && $system instanceof System && $system->variant_of_id !== null) {
            throw BadInput::at('system', "{$system->name} is only planned: nothing is booked there.");
        }
    }
}
