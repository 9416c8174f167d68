<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\ShelfKind;
use Ironwort\Core\Dose\ShelfList;
use PHPUnit\Framework\TestCase;

/** What should stand on a shelf before it is needed. Common practice, no source; amounts worked by hand. */
final class ShelfTest extends TestCase
{
    private const POND = [
        'name' => 'Pond',
        'kind' => 'display',
        'volume_l' => 20000.0,
        'tan_g_d' => 3.0,
        'fish' => true,
        'chlorine_mg_l' => 0.0,
    ];

    private const TUBS = [
        'name' => 'Tubs',
        'kind' => 'quarantine',
        'volume_l' => 4000.0,
        'tan_g_d' => 6.0,
        'fish' => true,
        'chlorine_mg_l' => 0.5,
    ];

    /** @return array<string, array<string, mixed>> by name */
    private function wanted(array $systems, array $goods = []): array
    {
        return array_column(
            ShelfList::of(
                $systems,
                array_map(
                    static fn(array $good): array => ['amount' => null, 'expired' => false, 'label' => [], ...$good],
                    $goods,
                ),
            ),
            null,
            'name',
        );
    }

    public function test_where_nothing_is_kept_nothing_is_wanted(): void
    {
        self::assertSame([], $this->wanted([]));
        self::assertSame([], $this->wanted([[...self::POND, 'fish' => false]]), 'an empty pond on well water');
    }

    public function test_each_amount_is_for_one_bad_day_of_what_is_kept(): void
    {
        $wanted = $this->wanted(
            [self::POND, self::TUBS],
            [['kind' => 'binder', 'label' => ['label_ml' => 20, 'label_treats_l' => 400]]],
        );
        self::assertEqualsWithDelta((3 * 20 * 20000) / 400, $wanted['Ammonia binder']['wanted'], 1e-9);
        self::assertStringContainsString('Pond', $wanted['Ammonia binder']['why']);
        self::assertEqualsWithDelta(
            6000 / 1.5,
            $wanted['Zeolite or ammonia resin']['wanted'],
            1e-9,
            'the tubs are fed more than the pond',
        );
        self::assertEqualsWithDelta(3 * 4000, $wanted['Salt']['wanted'], 1e-9);
        self::assertEqualsWithDelta(35.7 * 1.6787 * 20, $wanted['Sodium bicarbonate']['wanted'], 1e-6);
        self::assertEqualsWithDelta(
            0.2 * 20000,
            $this->wanted([self::POND])['Salt']['wanted'],
            1e-9,
            'without a quarantine salt is for nitrite',
        );
        self::assertArrayNotHasKey('Conditioner against chlorine', $this->wanted([self::POND]), 'no chlorine comes in');
    }

    public function test_chlorine_is_met_by_the_conditioner_of_the_label_or_by_thiosulfate(): void
    {
        $label = static fn(float $holds): array => [
            'kind' => 'conditioner',
            'label' => ['label_ml' => 10, 'label_treats_l' => 200, 'label_chlorine_mg_l' => $holds],
        ];
        self::assertEqualsWithDelta(
            100,
            $this->wanted([self::TUBS], [$label(1)])['Conditioner against chlorine']['wanted'],
            1e-9,
            'half of 4,000 L',
        );
        self::assertEqualsWithDelta(
            200,
            $this->wanted([self::TUBS], [$label(0.25)])['Conditioner against chlorine']['wanted'],
            1e-9,
            'twice as much chlorine as a dose of it takes',
        );
        self::assertEqualsWithDelta(
            ((2000 * 0.5) / 1000) * 7,
            $this->wanted([self::TUBS], [['kind' => 'thiosulfate']])['Sodium thiosulfate']['wanted'],
            1e-9,
        );
        self::assertNull(
            $this->wanted([self::TUBS])['Conditioner against chlorine']['wanted'],
            'nobody knows its label',
        );
    }

    public function test_what_stands_there_is_held_against_it(): void
    {
        $salt = fn(array ...$goods): array => array_intersect_key(
            $this->wanted(
                [self::TUBS],
                array_map(static fn(array $good): array => ['kind' => 'salt', ...$good], $goods),
            )['Salt'],
            ['stands' => 0, 'have' => 0],
        );
        self::assertSame(['have' => null, 'stands' => 'missing'], $salt());
        self::assertSame(['have' => null, 'stands' => 'missing'], $salt(['amount' => 0.0]), 'an empty sack');
        self::assertSame(['have' => 12000.0, 'stands' => 'there'], $salt(['amount' => 10000.0], ['amount' => 2000.0]));
        self::assertSame(['have' => 11000.0, 'stands' => 'short'], $salt(['amount' => 11000.0]));
        self::assertSame(['have' => null, 'stands' => 'expired'], $salt(['amount' => 25000.0, 'expired' => true]));
        self::assertSame(
            ['have' => 500.0, 'stands' => 'short'],
            $salt(['amount' => 25000.0, 'expired' => true], ['amount' => 500.0]),
        );
        self::assertSame(['have' => null, 'stands' => 'uncounted'], $salt(['amount' => null]));
    }

    public function test_every_agent_can_stand_on_the_shelf_in_its_own_measure(): void
    {
        $kinds = ShelfKind::all(Library::shipped()->agents());
        self::assertSame([], array_diff(array_keys(Library::shipped()->agents()->agents), array_keys($kinds)));
        self::assertSame(
            ['mL', true, 37.0],
            [$kinds['formalin']->unit, $kinds['formalin']->hasStrength, $kinds['formalin']->usualPct],
        );
        self::assertSame(
            ['g', true, null],
            [
                $kinds['hydrogen_peroxide']->unit,
                $kinds['hydrogen_peroxide']->hasStrength,
                $kinds['hydrogen_peroxide']->usualPct,
            ],
            'its strength is never assumed',
        );
        self::assertSame(100.0, $kinds['praziquantel']->usualPct, 'sold pure unless its label says otherwise');
    }
}
