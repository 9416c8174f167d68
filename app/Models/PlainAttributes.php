<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Attributes are columns with casts, and no method of a model makes anything of them: pages that list many systems ask
 * for them thousands of times, and looking for a method of that name each time takes a fifth of the page.
 */
trait PlainAttributes
{
    /**
     * A relation that was loaded is handed out at once.
     *
     * @param  string  $key
     * @return mixed
     */
    public function getAttribute($key)
    {
        return $this->relations[$key] ?? parent::getAttribute($key);
    }

    /** @param  string  $key */
    public function hasGetMutator($key): bool
    {
        return false;
    }

    /** @param  string  $key */
    public function hasAttributeGetMutator($key): bool
    {
        return false;
    }
}
