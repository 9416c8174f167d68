<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Aeration\OxygenBudgetCalculator;
use Ironwort\Core\Filter\NitrateSinksCalculator;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Flow\UvCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Green water cleared by shade, by less feed, by plants or by a lamp: what each does to nitrate, oxygen and power.
 *
 * A bloom takes nitrate and, by night, oxygen as plants do that cover the whole surface: assumed, since nobody measures
 * it. Whatever ends the bloom ends that too. Areas in m², flows of nitrogen in g N/d.
 *
 * @see NitrateSinksCalculator, OxygenBudgetCalculator for the rates of plants; UvCalculator for the lamp
 */
final readonly class ClearWays
{
    /** Of what is fed. */
    private const LESS_FEED = 1 / 3;

    /** Of the surface. */
    private const PLANTED = 0.1;

    /**
     * @param  'spring'|'summer'|'autumn'|'winter'  $season
     * @param  float  $lampW  that burns already
     * @param  float  $protein  of the feed, 0 to 1
     */
    public function __construct(
        private float $surfaceM2,
        private float $volumeL,
        private float $tempC,
        private float $nitrateMgL,
        private string $season,
        private float $biomassKg,
        private float $feedGD,
        private float $protein,
        private float $lampW,
    ) {}

    /** @return list<ClearWay> */
    public function all(): array
    {
        return [$this->shade(), $this->lessFeed(), $this->plants(), $this->lamp()];
    }

    private function shade(): ClearWay
    {
        return $this->endsBloom('shade', 0.0, [Message::of('service.clear_shade')]);
    }

    private function lamp(): ClearWay
    {
        $wanted = (UvCalculator::ALGAE_W_M3 * $this->volumeL) / 1000;
        $more = max(0.0, ceil($wanted - $this->lampW));

        return $this->endsBloom('lamp', $more, [
            $more > 0
                ? Message::of('service.clear_lamp', [
                    'wanted' => Format::number(ceil($wanted), 3),
                    'burns' => Format::number($this->lampW, 3),
                ])
                : Message::of('service.clear_lamp_enough', ['burns' => Format::number($this->lampW, 3)]),
            Message::of('service.clear_dead_algae'),
        ]);
    }

    private function lessFeed(): ClearWay
    {
        $all = $this->load($this->feedGD);
        $less = $this->load($this->feedGD * (1 - self::LESS_FEED));
        $made = $less->tan() - $all->tan();
        $night = ($less->oxygen() - $all->oxygen() + DailyLoad::O2_PER_N * $made) / 24;

        return new ClearWay('feed', self::flat($made), $night, 0.0, [
            $made < 0
                ? Message::of('service.clear_feed', ['share' => Format::number(100 * self::LESS_FEED, 2)])
                : Message::of('service.clear_feed_none'),
        ]);
    }

    private function plants(): ClearWay
    {
        $m2 = self::PLANTED * $this->surfaceM2;
        [$low, $usual, $high] = NitrateSinksCalculator::plantsTakeGD(
            $m2,
            $this->season,
            $this->tempC,
            $this->nitrateMgL,
        );

        return new ClearWay(
            'plants',
            ['low' => -$high, 'usual' => -$usual, 'high' => -$low],
            OxygenBudgetCalculator::plantsNightGH($m2, $this->season, $this->tempC),
            0.0,
            [Message::of('service.clear_plants', ['area' => Format::number($m2, 2)])],
        );
    }

    /** @param  list<Message>  $says */
    private function endsBloom(string $id, float $watts, array $says): ClearWay
    {
        [$low, $usual, $high] = NitrateSinksCalculator::plantsTakeGD(
            $this->surfaceM2,
            $this->season,
            $this->tempC,
            $this->nitrateMgL,
        );

        return new ClearWay(
            $id,
            ['low' => $low, 'usual' => $usual, 'high' => $high],
            -OxygenBudgetCalculator::plantsNightGH($this->surfaceM2, $this->season, $this->tempC),
            $watts,
            $says,
        );
    }

    private function load(float $feedGD): DailyLoad
    {
        return DailyLoad::of(
            $this->biomassKg,
            $feedGD,
            $this->protein,
            DailyLoad::USUAL_DIGESTIBILITY,
            0.0,
            $this->tempC,
        );
    }

    /** @return array{low: float, usual: float, high: float} */
    private static function flat(float $value): array
    {
        return ['low' => $value, 'usual' => $value, 'high' => $value];
    }
}
