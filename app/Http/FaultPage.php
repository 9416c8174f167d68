<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/**
 * What a browser is shown where a page itself cannot be had, in the look of the pages and without anything of theirs.
 *
 * `bin/lib/servers.sh` fills in the same template for what nginx says by itself.
 */
final readonly class FaultPage
{
    /**
     * @param  bool  $again  whether it loads itself again after ten seconds
     * @param  array<mixed>  $headers  of the fault: what is allowed, say
     */
    public static function of(int $status, string $says, bool $again = false, array $headers = []): Response
    {
        $title = match (true) {
            $again => 'Back in a moment',
            $status === 404 => 'Nothing here',
            $status >= 500 => 'Something went wrong',
            default => 'That could not be done',
        };

        $response = new Response(
            strtr((string) file_get_contents(resource_path('views/fault.html')), [
                '{{title}}' => $title,
                '{{says}}' => e($says),
                '{{again}}' => $again ? '<meta http-equiv="refresh" content="10">' : '',
                '{{number}}' => (string) $status,
            ]),
            $status,
            ['Content-Type' => 'text/html; charset=UTF-8', ...$again ? ['Retry-After' => '10'] : []],
        );
        foreach ($headers as $name => $value) {
            if (is_string($value)) {
                $response->headers->set((string) $name, $value);
            }
        }

        return $response;
    }
}
