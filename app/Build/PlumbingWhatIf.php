<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\TypedInputs;
use App\Models\Line;
use App\Models\Pump;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\SplitOpening;

/** A loop with something changed that nobody has built yet: another bore or valve, a second line, a pump off. */
final readonly class PlumbingWhatIf
{
    public function __construct(private BuiltLoop $built) {}

    /**
     * Changes the loaded parts of the system and saves none of them.
     *
     * @param  array<array-key, mixed>  $typed  `line`, `bore_mm`, `valve_open_pct` or `share_pct` of a three-way valve,
     *     `second` (yes or no), `pump` that is switched over
     *
     * @throws BadInput
     */
    public function apply(System $system, array $typed): void
    {
        $values = (new TypedInputs([
            Input::text('line', 'Line', 26)->optional(),
            Input::number('bore_mm', 'Bore', 'mm', 4, 1000)->optional(),
            Input::number('valve_open_pct', 'Valve', '%', 0, 100)->optional(),
            Input::number('share_pct', 'Share of the two', '%', 1, 99)->optional(),
            Input::choice('second', 'A second one beside it', ['yes', 'no'])->optional(),
            Input::text('pump', 'Pump', 26)->optional(),
        ]))->read($typed);
        if (isset($values['line'])) {
            $line = $system->lines->firstWhere('id', $values['line']);
            if (!($line instanceof Line)) {
                throw BadInput::at('line', 'There is no such line here.');
            }
            $this->change($system, $line, $values);
        } elseif (
            isset($values['bore_mm']) ||
            isset($values['valve_open_pct']) ||
            isset($values['share_pct']) ||
            ($values['second'] ?? 'no') === 'yes'
        ) {
            throw BadInput::at('line', 'Say which line.');
        }
        if (isset($values['pump'])) {
            $pump = $system->pumps->firstWhere('id', $values['pump']);
            if (!($pump instanceof Pump)) {
                throw BadInput::at('pump', 'There is no such pump here.');
            }
            $pump->running = !$pump->running;
        }
    }

    /** @param  array<string, mixed>  $values */
    private function change(System $system, Line $line, array $values): void
    {
        if (isset($values['valve_open_pct']) && $line->valve_open_pct === null) {
            throw BadInput::at('valve_open_pct', "{$line->name} has no valve.");
        }
        foreach (['bore_mm', 'valve_open_pct'] as $key) {
            if (is_float($values[$key] ?? null) || is_int($values[$key] ?? null)) {
                $line->setAttribute($key, (float) $values[$key]);
            }
        }
        $this->turn($system, $line, $values);
        if (($values['second'] ?? 'no') === 'yes') {
            $second = $line->replicate();
            $second->id = "{$line->id} second";
            $second->name = "Second {$line->name}";
            $system->lines->push($second);
        }
    }

    /**
     * What one side of a three-way valve lets through, the other does not; and the opening that gives the share one
     * wants is sought.
     *
     * @param  array<string, mixed>  $values
     */
    private function turn(System $system, Line $line, array $values): void
    {
        $partner = $line->three_way_id === null ? null : $system->lines->firstWhere('id', $line->three_way_id);
        $share = $values['share_pct'] ?? null;
        if (!($partner instanceof Line)) {
            if ($share !== null) {
                throw BadInput::at('share_pct', "{$line->name} shares no three-way valve with another line.");
            }

            return;
        }
        if (is_numeric($share)) {
            $loop = $this->built->of($system, LatestWater::of($system)->valueOrAssumed(Parameter::Temperature));
            $opening = SplitOpening::of($loop, $line->id, $partner->id, (float) $share / 100);
            if ($opening === null) {
                throw BadInput::at('share_pct', 'No opening of the valve gives this share.');
            }
            $line->valve_open_pct = $opening;
        }
        $partner->valve_open_pct = 100 - (float) $line->valve_open_pct;
    }
}
