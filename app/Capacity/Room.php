<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Filter\Headroom;

/** How many more fish, and how much more feed, a filter has room for: at once, and in steps it can grow with. */
final readonly class Room
{
    private const NAMES = [
        'ammonia' => 'Ammonia',
        'unionised_ammonia' => 'Un-ionised ammonia',
        'oxygen' => 'Oxygen',
        'alkalinity' => 'KH in a week',
        'nitrate' => 'Nitrate',
        'density' => 'Stocking density',
    ];

    private const NONE = ['limit' => '', 'feed_g_d' => 0.0, 'fish' => 0.0];

    /**
     * @param  array<string, mixed>  $input  of `filter.balance`
     * @param  list<Origin>  $origins
     */
    public function __construct(private Result $balance, private array $input, private array $origins) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $now = $this->headroom('headroom_now');
        $grown = $this->headroom('headroom_grown');
        $feed = Headroom::first($now) ?? self::NONE;
        $feedGrown = Headroom::first($grown) ?? self::NONE;
        // The smallest over all limits: what more feed reaches first is not always what more fish reach first.
        $fish = Headroom::first($now, 'kg') ?? self::NONE;
        $fishGrown = Headroom::first($grown, 'kg') ?? self::NONE;
        $length = $this->input['length_cm'] ?? null;

        return [
            'length_cm' => is_numeric($length) ? (float) $length : 50.0,
            'fish_now' => $this->figure('More fish now', $fish['fish'], 'fish', 'headroom_now'),
            'fish_grown' => $this->figure('More fish in steps', $fishGrown['fish'], 'fish', 'headroom_grown'),
            'feed_now' => $this->figure('More feed now', (float) $feed['feed_g_d'], 'g/d', 'headroom_now'),
            'feed_grown' => $this->figure(
                'More feed in steps',
                (float) $feedGrown['feed_g_d'],
                'g/d',
                'headroom_grown',
            ),
            'first' => self::NAMES[$fish['limit']] ?? '',
            'first_grown' => self::NAMES[$fishGrown['limit']] ?? '',
            'first_feed' => self::NAMES[$feed['limit']] ?? '',
            'change_more' => Headroom::changedAway($now),
            'kept_back_pct' => $this->input['kept_back_pct'] ?? null,
            'limits' => array_map(
                static fn(array $one, array $other): array => [
                    'limit' => $one['limit'],
                    'name' => self::NAMES[$one['limit']] ?? $one['limit'],
                    'feed_now' => $one['feed_g_d'],
                    'fish_now' => $one['fish'],
                    'feed_grown' => $other['feed_g_d'],
                    'fish_grown' => $other['fish'],
                ],
                $now,
                $grown,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function figure(string $label, float $value, string $unit, string $key): array
    {
        return (new Figure($label, $value, $unit, 'filter.balance', $key, $this->input, $this->origins))->toArray();
    }

    /** @return list<array{limit: string, feed_g_d: ?float, kg: float, fish: float}> */
    private function headroom(string $key): array
    {
        return array_map(
            static fn($row): array => [
                'limit' => $row->text('limit'),
                'feed_g_d' => $row->numberOrNull('feed_g_d'),
                'kg' => $row->number('kg'),
                'fish' => $row->number('fish'),
            ],
            $this->balance->rows($key),
        );
    }
}
