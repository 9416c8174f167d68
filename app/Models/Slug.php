<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Str;

/** The readable address of a system. */
final readonly class Slug
{
    /** Addresses that belong to pages of the site. */
    private const TAKEN = ['new', 'round', 'shelf', 'api', 'build', 'begin', 'calendar', 'report', 'sheets', 'you'];

    /** A number is added where the name alone is taken, at this site or by a page. */
    public static function free(string $siteId, string $name): string
    {
        $base = Str::slug(mb_substr($name, 0, 50)) ?: 'system';
        $slug = $base;
        for (
            $n = 2;
            in_array($slug, self::TAKEN, true) ||
            System::query()->where('site_id', $siteId)->where('slug', $slug)->exists();
            $n++
        ) {
            $slug = "{$base}-{$n}";
        }

        return $slug;
    }
}
