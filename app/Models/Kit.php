<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Kit as Steps;

/**
 * A test kit on the shelf.
 *
 * @property string $id
 * @property string $name
 * @property string $kind
 * @property string $parameter
 * @property ?string $unit
 * @property list<float> $steps in the unit it is marked in
 * @property ?float $resolution
 * @property ?float $range_from of one without steps, as is `range_to`
 * @property ?float $range_to
 * @property ?Carbon $expires_on
 * @property ?int $tests_left
 * @property bool $in_use
 */
final class Kit extends Model
{
    use HasKey;
    use PlainAttributes;

    public const KINDS = ['drops', 'strip', 'photometer', 'probe'];

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'steps' => 'array',
            'resolution' => 'float',
            'range_from' => 'float',
            'range_to' => 'float',
            'expires_on' => 'date',
            'tests_left' => 'integer',
            'in_use' => 'boolean',
        ];
    }

    public function judge(): Steps
    {
        return new Steps(array_map(floatval(...), $this->steps), $this->resolution, $this->range_from, $this->range_to);
    }

    /** @return array<string, self> the usual kit of each parameter */
    public static function inUse(Site $site): array
    {
        $kits = [];
        foreach (self::query()->where('site_id', $site->id)->where('in_use', true)->get() as $kit) {
            $kits[$kit->parameter] = $kit;
        }

        return $kits;
    }
}
