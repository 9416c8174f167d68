<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\BufferCalculator;

/**
 * What a site should have on its shelf before it is needed, by what it keeps, against what stands there.
 *
 * Each rule is for one bad day: the binder of three days for the largest water with fish, zeolite for a day of the
 * heaviest load, salt for the largest quarantine, KH for the largest water, conditioner for half of the largest
 * that is filled from chlorinated water, a spare culture and air that needs no mains. Common practice, no source.
 */
final readonly class ShelfList
{
    private const BINDER_DAYS = 3;

    private const QUARANTINE_SALT_G_L = 3.0;

    /** A shield against nitrite, g/L. */
    private const SHIELD_SALT_G_L = 0.2;

    /** Two degrees, mg/L as CaCO3. */
    private const KH_RISE_MG_L = 35.7;

    private const CHANGED_SHARE = 0.5;

    /** Thiosulfate pentahydrate per Cl2, as `exchange.dechlorinate` reckons it, g/g. */
    private const THIOSULFATE_PER_CL2 = 7.0;

    /**
     * @param  list<array{name: string, kind: string, volume_l: float, tan_g_d: float, fish: bool,
     *     chlorine_mg_l: float}>  $systems
     * @param  list<array{kind: string, amount: ?float, expired: bool, label: array<array-key, mixed>}>  $goods  in g,
     *     mL or pieces
     * @return list<array{name: string, why: string, wanted: ?float, have: ?float, unit: string, stands: string}>
     *     `there`, `uncounted`, `short`, `expired` or `missing`
     */
    public static function of(array $systems, array $goods): array
    {
        $rows = [];
        $held = array_values(array_filter($systems, static fn(array $system): bool => $system['fish']));
        $largest = self::most($held, 'volume_l');
        $add = static function (string $kind, string $name, string $unit, ?float $wanted, string $why) use (
            &$rows,
            $goods,
        ): void {
            $rows[] = [
                'name' => $name,
                'why' => $why,
                'wanted' => $wanted,
                'unit' => $unit,
                ...self::against($kind, $wanted, $goods),
            ];
        };
        $label = static fn(string $kind, string $key): ?float => self::label($goods, $kind, $key);

        $byLabel = static function (string $kind, float $litres) use ($label): ?float {
            [$ml, $treats] = [$label($kind, 'label_ml'), $label($kind, 'label_treats_l')];

            return $ml === null || $treats === null ? null : ($ml * $litres) / $treats;
        };
        $quarantine = self::most(
            array_values(
                array_filter(
                    $systems,
                    static fn(array $system): bool => in_array($system['kind'], ['quarantine', 'hospital'], true),
                ),
            ),
            'volume_l',
        );
        $chlorinated = self::most(
            array_values(array_filter($systems, static fn(array $system): bool => $system['chlorine_mg_l'] > 0)),
            'volume_l',
        );
        $heaviest = self::most($held, 'tan_g_d');
        if ($chlorinated !== null) {
            $litres = self::CHANGED_SHARE * $chlorinated['volume_l'];
            $why =
                'For a change of half of ' .
                $chlorinated['name'] .
                ', ' .
                Format::number($litres, 3) .
                ' L of chlorinated water.';
            if (self::has($goods, 'thiosulfate') && !self::has($goods, 'conditioner')) {
                $add(
                    'thiosulfate',
                    'Sodium thiosulfate',
                    'g',
                    (($litres * $chlorinated['chlorine_mg_l']) / 1000) * self::THIOSULFATE_PER_CL2,
                    $why,
                );
            } else {
                $share =
                    $chlorinated['chlorine_mg_l'] /
                    ($label('conditioner', 'label_chlorine_mg_l') ?? $chlorinated['chlorine_mg_l']);
                $add(
                    'conditioner',
                    'Conditioner against chlorine',
                    'mL',
                    $byLabel('conditioner', $litres * max(1.0, $share)),
                    $why,
                );
            }
        }
        if ($largest !== null) {
            $add(
                'binder',
                'Ammonia binder',
                'mL',
                $byLabel('binder', self::BINDER_DAYS * $largest['volume_l']),
                'Three days of it in ' . $largest['name'] . ', while the cause is put right.',
            );
        }
        if ($heaviest !== null && $heaviest['tan_g_d'] > 0) {
            $add(
                'zeolite',
                'Zeolite or ammonia resin',
                'g',
                (1000 * $heaviest['tan_g_d']) / ZeoliteCalculator::CAPACITY_MG_N_PER_G,
                'Holds what the fish of ' .
                    $heaviest['name'] .
                    ' give in a day, ' .
                    Format::number($heaviest['tan_g_d'], 2) .
                    ' g N.',
            );
        }
        if ($quarantine !== null) {
            $add(
                'salt',
                'Salt',
                'g',
                self::QUARANTINE_SALT_G_L * $quarantine['volume_l'],
                'Brings ' . $quarantine['name'] . ' to 3 g/L once.',
            );
        } elseif ($largest !== null) {
            $add(
                'salt',
                'Salt',
                'g',
                self::SHIELD_SALT_G_L * $largest['volume_l'],
                'A shield against nitrite in ' . $largest['name'] . '.',
            );
        }
        if ($largest !== null) {
            $add(
                'bicarbonate',
                'Sodium bicarbonate',
                'g',
                (self::KH_RISE_MG_L * BufferCalculator::BICARBONATE_PER_CACO3 * $largest['volume_l']) / 1000,
                'Lifts KH in ' . $largest['name'] . ' by 2 dKH.',
            );
            $add(
                'culture',
                'Spare bacterial culture',
                'mL',
                null,
                'For the day a filter stood still: seeding twice in a week.',
            );
            $add('battery_air', 'Battery air pump', 'pieces', 1.0, 'When the mains fail, oxygen is what goes first.');
        }

        return $rows;
    }

    /**
     * @param  list<array{kind: string, amount: ?float, expired: bool, label: array<array-key, mixed>}>  $goods
     * @return array{have: ?float, stands: string}
     */
    private static function against(string $kind, ?float $wanted, array $goods): array
    {
        $all = array_filter($goods, static fn(array $good): bool => $good['kind'] === $kind);
        $fresh = array_filter(
            $all,
            static fn(array $good): bool => !$good['expired'] && ($good['amount'] === null || $good['amount'] > 0),
        );
        $have = array_sum(array_map(static fn(array $good): float => $good['amount'] ?? 0.0, $fresh));
        $uncounted = array_filter($fresh, static fn(array $good): bool => $good['amount'] === null) !== [];

        return [
            'have' => $fresh === [] || $uncounted ? null : $have,
            'stands' => match (true) {
                $all === [] => 'missing',
                $fresh === [] => array_filter($all, static fn(array $good): bool => $good['expired']) !== []
                    ? 'expired'
                    : 'missing',
                $wanted !== null && $have >= $wanted => 'there',
                $uncounted => 'uncounted',
                $wanted === null => 'there',
                default => 'short',
            },
        ];
    }

    /** @param  list<array{kind: string, amount: ?float, expired: bool, label: array<array-key, mixed>}>  $goods */
    private static function has(array $goods, string $kind): bool
    {
        return array_filter($goods, static fn(array $good): bool => $good['kind'] === $kind) !== [];
    }

    /** @param  list<array{kind: string, amount: ?float, expired: bool, label: array<array-key, mixed>}>  $goods */
    private static function label(array $goods, string $kind, string $key): ?float
    {
        foreach ($goods as $good) {
            if ($good['kind'] === $kind && is_numeric($good['label'][$key] ?? null)) {
                return (float) $good['label'][$key];
            }
        }

        return null;
    }

    /**
     * @param  list<array{name: string, kind: string, volume_l: float, tan_g_d: float, fish: bool,
     *     chlorine_mg_l: float}>  $systems
     * @param  'volume_l'|'tan_g_d'  $by
     * @return ?array{name: string, kind: string, volume_l: float, tan_g_d: float, fish: bool, chlorine_mg_l: float}
     */
    private static function most(array $systems, string $by): ?array
    {
        usort($systems, static fn(array $a, array $b): int => $b[$by] <=> $a[$by]);

        return $systems[0] ?? null;
    }
}
