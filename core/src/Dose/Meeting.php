<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Words\Catalogue;
use Ironwort\Core\Words\Message;

/** One thing judged against another, or against the water itself. */
final readonly class Meeting
{
    /** @param  ?string  $with  the other thing; null for the water */
    private function __construct(public Verdict $verdict, public Message $reason, public ?string $with = null) {}

    /** @param  array<string, string>  $values */
    public static function refused(string $code, array $values = []): self
    {
        return new self(Verdict::Refused, Message::of("dose.{$code}", $values));
    }

    /** @param  array<string, string>  $values */
    public static function onCondition(string $code, array $values = []): self
    {
        return new self(Verdict::Conditions, Message::of("dose.{$code}", $values));
    }

    public static function allowed(): self
    {
        return new self(Verdict::Allowed, Message::of('dose.nothing_known'));
    }

    public static function told(Verdict $verdict, Message $reason): self
    {
        return new self($verdict, $reason);
    }

    /** Why it is refused, and what to do instead where that is not said in the reason itself. */
    public function refusal(): Message
    {
        [$subject, $name] = [...explode('.', $this->reason->code, 2), ''];
        $instead = "{$subject}.instead_{$name}";

        return Catalogue::has($instead) ? $this->reason->followedBy(Message::of($instead)) : $this->reason;
    }

    public function with(string $thing): self
    {
        return new self($this->verdict, $this->reason, $thing);
    }
}
