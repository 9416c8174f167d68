<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Models\Line;
use App\Models\Pump;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Flow\PumpCurve;

/**
 * The pump that stands with a basket or box in the vessel, described with it as one thing: it draws through the box and
 * gives back where it stands.
 *
 * Both can be changed afterwards as any pump and line can.
 */
final readonly class OwnPump
{
    private const BORE_MM = 75.0;

    private const LENGTH_M = 0.1;

    public function __construct(private SavePart $parts) {}

    /**
     * @param  array<array-key, mixed>  $typed  `own_pump` (yes or no), `pump_l_h`, `pump_lift_m`, `pump_w`
     * @return ?array<string, mixed> columns of the pump; null where it has none of its own
     *
     * @throws BadInput
     */
    public static function read(array $typed, ?string $vessel): ?array
    {
        if (!filter_var($typed['own_pump'] ?? null, FILTER_VALIDATE_BOOL)) {
            return null;
        }
        if ($vessel === null) {
            throw BadInput::at('own_pump', 'In which vessel do they stand?');
        }
        $inputs = [
            Input::number('pump_l_h', 'Moves at most', 'L/h', 10, 1e6),
            Input::number('pump_lift_m', 'Lifts at most', 'm', 0.1, 100),
            Input::number('pump_w', 'Power', 'W', 0, 1e5),
        ];
        $values = array_filter((new TypedInputs($inputs))->read($typed), is_numeric(...));

        return [
            'kind' => 'water',
            'vessel_id' => $vessel,
            'curve' => PumpCurve::guessed((float) $values['pump_l_h'], (float) $values['pump_lift_m']),
            'power_w' => (float) $values['pump_w'],
            'by_day' => false,
            'at_surface' => false,
        ];
    }

    /**
     * @param  array<string, mixed>  $pump  columns of it
     *
     * Stands in the transaction that keeps its stage.
     */
    public function keep(System $system, string $stage, string $name, array $pump): void
    {
        [, , $pumpId, $lineId] = Several::keys($stage, 4);
        if (Pump::query()->where('system_id', $system->id)->whereKey($pumpId)->exists()) {
            return;
        }
        $short = mb_substr($name, 0, 50);
        $this->parts->save(Pump::class, $system, $pumpId, [...$pump, 'name' => "Pump of {$short}"], null);
        $this->parts->save(
            Line::class,
            $system,
            $lineId,
            [
                'name' => "{$short} to pump",
                'from_stage_id' => strtoupper($stage),
                'to_pump_id' => $pumpId,
                'bore_mm' => self::BORE_MM,
                'length_m' => self::LENGTH_M,
                'fittings' => ['strainer' => 1],
                'guarded' => true,
            ],
            null,
        );
    }
}
