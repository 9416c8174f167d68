<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A water that systems are filled from.
 *
 * @property string $id
 * @property string $name
 * @property string $kind
 * @property Collection<int, WaterTest> $tests
 * @property ?string $unit_name the keeper's own treatment unit behind it
 * @property ?float $unit_carbon_l carbon in that unit
 * @property bool $softened whether that unit takes hardness out and leaves KH
 */
final class WaterSource extends Model
{
    use HasKey;
    use PlainAttributes;

    public const KINDS = ['tap', 'well', 'rain', 'ro', 'blend'];

    protected $table = 'waters';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['unit_carbon_l' => 'float'];
    }

    /** @return HasMany<WaterTest, $this> */
    public function tests(): HasMany
    {
        $relation = $this->hasMany(WaterTest::class, 'water_id');
        $relation->orderByDesc('tested_on')->orderByDesc('id');

        return $relation;
    }

    /** Whether it comes, or may come, from the mains: what nobody tested is then not taken as free of chlorine. */
    public function fromMains(): bool
    {
        return $this->kind === 'tap';
    }

    /** Whether it may bring chlorine into a system where nothing takes it out. */
    public function mayBringChlorine(): bool
    {
        $read = $this->reading('chlorine_mg_l');

        return $read === null ? $this->fromMains() && $this->unit_name === null : $read > 0;
    }

    /** Whether it brings chlorine as it comes, before anything that treats it; what nobody tested of a main may. */
    public function chlorinated(): bool
    {
        $read = $this->readingOf('chlorine_mg_l', ['raw']);

        return $read === null ? $this->fromMains() : $read > 0;
    }

    /** Whether its chlorine is chloramine, as last tested. */
    public function chloramine(): bool
    {
        return $this->tests->first(static fn(WaterTest $test): bool => isset($test->readings['chlorine_mg_l']))
            ->chloramine ?? false;
    }

    /** The newest reading of a parameter, behind the treatment unit where there is one. */
    public function reading(string $parameter): ?float
    {
        return $this->readingOf($parameter, $this->unit_name === null ? ['raw'] : ['treated', 'raw']);
    }

    /** @param  list<string>  $sides */
    private function readingOf(string $parameter, array $sides): ?float
    {
        foreach ($sides as $side) {
            foreach ($this->tests as $test) {
                if ($test->side === $side && isset($test->readings[$parameter])) {
                    return (float) $test->readings[$parameter]['value'];
                }
            }
        }

        return null;
    }
}
