<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** Input that cannot be used, with a plain message for each key that caused it. */
final class BadInput extends \RuntimeException
{
    /**
     * @param  non-empty-array<string, string>  $errors  key (`stages.0.media_l` inside a list) to message
     * @param  list<string>  $codes  of what is said in them, where it has codes
     */
    public function __construct(public readonly array $errors, public readonly array $codes = [])
    {
        parent::__construct(implode(' ', $errors));
    }

    /** @param  list<string>  $codes */
    public static function at(string $key, string $message, array $codes = []): self
    {
        return new self([$key => $message], $codes);
    }
}
