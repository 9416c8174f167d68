<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeImmutable;
use Illuminate\Support\Carbon;

/**
 * Attributes are columns with casts, and no method of a model makes anything of them: pages that list many systems ask
 * for them thousands of times, and looking for a method of that name each time takes a fifth of the page.
 */
trait PlainAttributes
{
    /**
     * A relation that was loaded, a column without a cast and a number are handed out at once; the rest as ever.
     *
     * @param  string  $key
     * @return mixed
     */
    public function getAttribute($key)
    {
        if (isset($this->relations[$key])) {
            return $this->relations[$key];
        }
        $value = $this->attributes[$key] ?? null;
        if ($value === null || ($this->timestamps && str_ends_with($key, 'ated_at'))) {
            return parent::getAttribute($key);
        }
        $cast = $this->casts[$key] ?? null;

        return match (true) {
            $cast === null => $value,
            $cast === 'float' && is_numeric($value) => (float) $value,
            default => parent::getAttribute($key),
        };
    }

    /**
     * A row is a copy of the first blank one: to make each from nothing takes as long as to read it.
     *
     * @param  \UnitEnum|string|null  $connection
     */
    public function newFromBuilder($attributes = [], $connection = null): static
    {
        // By class: a class that inherits this would be given the blank of another.
        /** @var array<class-string, static> $blanks */
        static $blanks = [];
        $blank = $blanks[static::class] ??= $this->newInstance([], true);
        if ($blank->casts !== $this->casts || $blank->table !== $this->getTable()) {
            return parent::newFromBuilder($attributes, $connection);
        }
        $model = clone $blank;
        $model->setRawAttributes((array) $attributes, true);
        $model->setConnection($connection ?? $this->getConnectionName());
        $model->fireModelEvent('retrieved', false);

        return $model;
    }

    /**
     * A moment as PostgreSQL writes it, with its zone: read as it stands, a tenth of the time of trying formats or of
     * looking for words such as "tomorrow" in it.
     *
     * @param  mixed  $value
     */
    protected function asDateTime($value): Carbon
    {
        return is_string($value) && preg_match('/^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d(?:\.\d+)?[+-]\d\d/', $value) === 1
            ? Carbon::instance(new DateTimeImmutable($value))
            : parent::asDateTime($value);
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
