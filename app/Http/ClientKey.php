<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\System;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Ironwort\Core\Calc\BadInput;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Whose key it is that a client made for what it books, decided once for every route that takes one.
 *
 * The same key again is the same booking. A key of another site is not told of, and one of another system of the same
 * site is refused at `id`. Stands inside `Writing`, under its lock.
 */
final readonly class ClientKey
{
    /**
     * The middleware for a route whose `{id}` is the key of such a row.
     *
     * @param  class-string<Model>  $class
     */
    public static function of(string $class): string
    {
        return self::class . ':' . $class;
    }

    /**
     * @param  \Closure(Request): Response  $next
     * @param  class-string<Model>  $class
     */
    public function handle(Request $request, \Closure $next, string $class): Response
    {
        $route = $request->route();
        $id = $route instanceof Route ? $route->parameter('id') : null;
        $user = $request->user();
        if (is_string($id) && $user instanceof User) {
            $system = $route->parameter('system');
            self::refuseForeign($class, $id, $user->site_id, $system instanceof System ? $system->id : null);
        }

        return $next($request);
    }

    /**
     * @param  class-string<Model>  $class
     *
     * @throws NotFoundHttpException for a key of another site
     * @throws BadInput at `id` for one of another system
     */
    public static function refuseForeign(string $class, string $id, string $siteId, ?string $systemId): void
    {
        $known = $class::query()->find(strtoupper($id));
        if ($known === null) {
            return;
        }
        if ($known->getAttribute('site_id') !== $siteId) {
            throw new NotFoundHttpException();
        }
        $owner = array_key_exists('system_id', $known->getAttributes()) ? $known->getAttribute('system_id') : null;
        if ($systemId !== null && $owner !== null && $owner !== $systemId) {
            throw BadInput::at('id', 'This key stands for something in another system already.');
        }
    }
}
