<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The protocol by which new fish are held in a system.
 *
 * @property string $system_id
 * @property float $days
 * @property string $life_cycle what is looked for
 * @property float $looks_every_d
 * @property float $tests_a_day
 * @property ?float $hold_c
 * @property float $c_a_day how fast it is brought there
 * @property ?float $air_c of the shed
 * @property string $treating none without a finding, salt, or a course against flukes
 * @property bool $own_nets
 * @property bool $footbath
 */
final class Quarantine extends Model
{
    use HasKey;
    use PlainAttributes;

    /** Where nobody set one: three weeks. Common practice, no source. */
    public const USUAL_D = 21.0;

    public const TREATING = ['none', 'salt', 'flukes'];

    /** Where nobody set a protocol. Common practice, no source. */
    public const USUAL = [
        'days' => self::USUAL_D,
        'life_cycle' => 'none',
        'looks_every_d' => 3.0,
        'tests_a_day' => 1.0,
        'hold_c' => null,
        'c_a_day' => 1.0,
        'air_c' => null,
        'treating' => 'none',
        'own_nets' => false,
        'footbath' => false,
    ];

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'days' => 'float',
            'looks_every_d' => 'float',
            'tests_a_day' => 'float',
            'hold_c' => 'float',
            'c_a_day' => 'float',
            'air_c' => 'float',
            'own_nets' => 'boolean',
            'footbath' => 'boolean',
        ];
    }
}
