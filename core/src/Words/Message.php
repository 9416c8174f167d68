<?php

declare(strict_types=1);

namespace Ironwort\Core\Words;

/**
 * A sentence somebody reads, and the code that callers, tests and translations go by.
 *
 *     Message::of('dose.oxygen_low', ['oxygen' => '4.2'])->code  →  dose.oxygen_low
 */
final readonly class Message
{
    private function __construct(public string $code, public string $text) {}

    /**
     * @param  string  $code  of the catalogue
     * @param  array<string, string|int|float>  $values  what stands in its braces
     */
    public static function of(string $code, array $values = []): self
    {
        return new self($code, Catalogue::text($code, $values));
    }

    /** Whether words stand for a code. */
    public static function known(string $code): bool
    {
        return Catalogue::has($code);
    }

    /** A sentence that comes with a table of data, under a code made of the row it stands in. */
    public static function fromTable(string $code, string $text): self
    {
        return new self($code, $text);
    }

    /** The same message with more said after it. */
    public function followedBy(self $more): self
    {
        return new self($this->code, "{$this->text} {$more->text}");
    }

    /** @return array{code: string, text: string} */
    public function toArray(): array
    {
        return ['code' => $this->code, 'text' => $this->text];
    }

    /**
     * Those that were not said already.
     *
     * @param  list<string>  $codes
     * @param  list<self>  $messages
     * @return list<self>
     */
    public static function besides(array $codes, array $messages): array
    {
        return array_values(
            array_filter($messages, static fn(self $message): bool => !in_array($message->code, $codes, true)),
        );
    }

    /**
     * @param  list<self>  $messages
     * @return list<string>
     */
    public static function texts(array $messages): array
    {
        return array_map(static fn(self $message): string => $message->text, $messages);
    }

    /**
     * @param  list<self>  $messages
     * @return list<string>
     */
    public static function codes(array $messages): array
    {
        return array_map(static fn(self $message): string => $message->code, $messages);
    }
}
