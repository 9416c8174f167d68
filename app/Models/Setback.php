<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;
use Ironwort\Core\Filter\AfterSetback;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Measure\Format;

/**
 * What was done to a filter, or befell it, that cost it part of its bacteria.
 *
 * @property Carbon $happened_on
 * @property Deed $kind
 * @property ?float $hours that it stood or lay dry
 * @property float $share_pct of the media
 * @property float $lost_pct
 * @property float $low_pct
 * @property float $high_pct
 */
final class Setback extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'happened_on' => 'date',
            'kind' => Deed::class,
            'hours' => 'float',
            'share_pct' => 'float',
            'lost_pct' => 'float',
            'low_pct' => 'float',
            'high_pct' => 'float',
        ];
    }

    /**
     * Those that a system is watched for still, the newest first.
     *
     * @return list<self>
     */
    public static function open(System $system): array
    {
        if ($system->setbacks->isEmpty()) {
            return [];
        }
        $from = Carbon::today($system->site->timezone)->subDays(AfterSetback::DAYS)->toDateString();

        return array_values(
            $system->setbacks
                ->filter(
                    static fn(self $one): bool => AfterSetback::counts($one->lost_pct) &&
                        $one->happened_on->toDateString() > $from,
                )
                ->all(),
        );
    }

    /** The deed with its cost and band, in a line. */
    public function text(): string
    {
        return $this->kind->name() .
            ($this->hours === null ? '' : ' for ' . Format::number($this->hours, 3) . ' h') .
            ($this->share_pct < 100 ? ', ' . Format::number($this->share_pct, 3) . ' % of the media' : '') .
            ': about ' .
            Format::number($this->lost_pct, 2) .
            ' % of the filter’s bacteria (' .
            Format::number($this->low_pct, 2) .
            ' to ' .
            Format::number($this->high_pct, 2) .
            ')';
    }

    /** The last day on which it is watched. */
    public function until(): Carbon
    {
        return $this->happened_on->copy()->addDays(AfterSetback::DAYS);
    }
}
