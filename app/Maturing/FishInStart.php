<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Forms\Figure;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Words\Message;

/** What a start with fish in it asks for now. */
final readonly class FishInStart
{
    /**
     * @param  Carbon  $since  the filter began, or woke
     * @param  ?Result  $found  of `start.fish_in`; null where ammonia was never tested
     * @param  list<Message>  $says  cautions, the worst first
     * @param  list<Message>  $schools  that are followed
     * @param  array<string, mixed>  $input
     */
    public function __construct(
        public Carbon $since,
        public ?Result $found,
        public array $says,
        public array $schools,
        public array $input = [],
    ) {}

    /** Minutes from now until water is to be changed; null where it never is, or nobody tested. */
    public function minutes(): ?float
    {
        $hours = $this->found?->figures['hours_to_trigger'] ?? null;

        return is_numeric($hours) ? 60 * (float) $hours : null;
    }

    public function changeL(): ?float
    {
        return $this->found?->number('change_l');
    }

    public function ceilingGD(): ?float
    {
        return $this->found?->number('feed_ceiling_g_d');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $figure = fn(string $label, string $key, string $unit): ?array => is_numeric(
            $this->found?->figures[$key] ?? null,
        )
            ? (new Figure(
                $label,
                (float) $this->found->figures[$key],
                $unit,
                'start.fish_in',
                $key,
                $this->input,
                [],
            ))->toArray()
            : null;
        $minutes = $this->minutes();

        return [
            'since' => $this->since->toDateString(),
            'change_at' =>
                $minutes === null ? null : Carbon::now()->addMinutes((int) round($minutes))->toIso8601ZuluString(),
            'hours' => $figure('Change water in', 'hours_to_trigger', 'h'),
            'trigger' => $figure('at ammonia of', 'trigger_mg_l', 'mg/L as N'),
            'change' => $figure('Change then', 'change_l', 'L'),
            'ceiling' => $figure('Feed at most', 'feed_ceiling_g_d', 'g/d'),
            'days' => $this->found->figures['days'] ?? [],
            'says' => array_map(static fn(Message $one): array => $one->toArray(), $this->says),
            'schools' => array_map(static fn(Message $one): string => $one->text, $this->schools),
        ];
    }
}
