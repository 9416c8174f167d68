<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What a seed brings a filter, in g N/d that it takes at 20 °C with nothing short.
 *
 *     kind own_media, litres 3, medium coarse_matting, grown_pct 50  →  gain_g_d 0.0729, low_g_d 0.0567, high_g_d 0.081
 *     kind culture, volume_l 4500  →  gain_g_d 0.135, low_g_d 0, high_g_d 1.35
 *
 * @see SeedKind
 *
 * @source seed-from-memory
 */
final readonly class SeedCalculator implements Calculator
{
    public function __construct(private MediaTable $media, private StageKinds $kinds) {}

    public function name(): string
    {
        return 'filter.seed';
    }

    public function title(): string
    {
        return 'What a seed brings';
    }

    public function inputs(): array
    {
        return [
            Input::choice(
                'kind',
                'Seed',
                array_map(static fn(SeedKind $kind): string => $kind->value, SeedKind::cases()),
            ),
            Input::number('litres', 'Media', 'L', 0.01, 1e5)->optional(),
            Input::choice('medium', 'Medium', $this->media->ids())->optional(),
            Input::number('area_m2_m3', 'Surface of the medium', 'm²/m³', 0, 20000)->insteadOf('medium'),
            Input::choice('stage_kind', 'It lived in', $this->kinds->ids())->or('matting'),
            Input::number('grown_pct', 'Grown at the donor', '%', 0, 100)->optional(),
            Input::number('grown_low_pct', 'at least', '%', 0, 100)->optional(),
            Input::number('grown_high_pct', 'at most', '%', 0, 100)->optional(),
            Input::number('volume_l', 'Water it is given to', 'L', 1, 1e8)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('gain_g_d', 'g N/d at 20 °C'),
            new Output('low_g_d', 'g N/d at 20 °C'),
            new Output('high_g_d', 'g N/d at 20 °C'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $kind = SeedKind::from($given->text('kind'));
        $work = new Working();
        $work->cite('seed-from-memory');
        if ($kind === SeedKind::OldWater) {
            throw BadInput::at('kind', Message::of('filter.seed_old_water')->text, ['filter.seed_old_water']);
        }
        [$gain, $low, $high] = $kind->isMedia() ? $this->media($kind, $given, $work) : $this->culture($given, $work);
        $work->note(Message::of($kind === SeedKind::Culture ? 'filter.seed_culture' : 'filter.seed_kept_wet'));

        return $work->result(['gain_g_d' => $gain, 'low_g_d' => $low, 'high_g_d' => $high]);
    }

    /** @return array{float, float, float} */
    private function media(SeedKind $kind, Given $given, Working $work): array
    {
        $litres = $given->numberOrNull('litres') ?? throw BadInput::at('litres', 'Enter the litres of media.');
        $area = $given->has('medium')
            ? $this->media->get($given->text('medium'))->areaM2M3
            : $given->numberOrNull('area_m2_m3');
        if ($area === null) {
            throw BadInput::at('medium', 'A medium is needed, or its surface in m²/m³.');
        }
        [$likely, $least, $most] = SeedKind::UNKNOWN_DONOR_PCT;
        $grown = $given->numberOrNull('grown_pct');
        $shares = [
            $grown ?? $likely,
            $given->numberOrNull('grown_low_pct') ?? ($grown ?? $least),
            $given->numberOrNull('grown_high_pct') ?? ($grown ?? $most),
        ];
        $full = ($litres / 1000) * $area * $this->kinds->get($given->text('stage_kind'))->r20;
        $takes = $kind->takes();
        $found = [
            ($full * $shares[0] * $takes[0]) / 100,
            ($full * $shares[1] * $takes[1]) / 100,
            ($full * $shares[2] * $takes[2]) / 100,
        ];
        $work->step(
            'What lived on it at the donor, and what of that lives on.',
            'litres · m²/m³ · r20 · grown · lives on',
            Format::number($litres, 3) .
                ' L of ' .
                Format::number($area, 3) .
                ' m²/m³, grown to ' .
                Format::number($shares[0], 2) .
                ' %, ' .
                Format::number(100 * $takes[0], 2) .
                ' % lives on',
            self::said($found),
        );

        return [$found[0], min($found), max($found)];
    }

    /** @return array{float, float, float} */
    private function culture(Given $given, Working $work): array
    {
        $volume =
            $given->numberOrNull('volume_l') ?? throw BadInput::at('volume_l', 'Say how much water it is given to.');
        [$likely, $least, $most] = SeedKind::culture();
        $found = [($likely * $volume) / 1000, ($least * $volume) / 1000, ($most * $volume) / 1000];
        $work->step(
            'A bottle given by its label brings something between nothing and a start a week shorter.',
            'mg N/L/d · volume',
            Format::number($volume, 4) . ' L, 0.03 mg N/L/d (0 to 0.3)',
            self::said($found),
        );

        return [$found[0], min($found), max($found)];
    }

    /** @param  array{float, float, float}  $found  likely first */
    private static function said(array $found): string
    {
        return Format::number($found[0], 3) .
            ' g N/d (' .
            Format::number(min($found), 2) .
            ' to ' .
            Format::number(max($found), 3) .
            ')';
    }
}
