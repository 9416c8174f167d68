<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Daily ration by temperature, size and purpose.
 *
 *     weight_g 1500, temp_c 20, purpose maintenance  →  ration_pct_bw_d 0.497
 *
 * @see RationTable for how the table is read, and its source
 */
final readonly class FishRationCalculator implements Calculator
{
    public function __construct(private RationTable $table) {}

    public function name(): string
    {
        return 'fish.ration';
    }

    public function title(): string
    {
        return 'Ration by temperature and size';
    }

    public function inputs(): array
    {
        return [
            Input::number('weight_g', 'Weight of one fish', 'g', 0.01, 30000),
            WaterInputs::temperature(),
            Input::choice('purpose', 'Purpose', array_keys($this->table->purposes)),
        ];
    }

    public function outputs(): array
    {
        return [new Output('ration_pct_bw_d', '% of body weight per day')];
    }

    public function calculate(Given $given): Result
    {
        $weight = $given->number('weight_g');
        $temp = $given->number('temp_c');
        $purpose = $given->text('purpose');
        $percent = $this->table->percent($weight, $temp, $purpose);

        $work = new Working();
        $work->cite('cp-ration', 'huisman-1976-from-memory');
        if ($temp < $this->table->fastingBelowC()) {
            $work->step(
                'Too cold to digest.',
                'no food below ' . Format::number($this->table->fastingBelowC()) . ' °C',
                Format::number($temp) . ' °C',
                '0 %',
            );
        } elseif ($temp > $this->table->fastingAboveC) {
            $work->step(
                'Too warm: digesting takes oxygen that is not there.',
                'no food above ' . Format::number($this->table->fastingAboveC) . ' °C',
                Format::number($temp) . ' °C',
                '0 %',
            );
        } else {
            $work->step(
                "Read from the ration table: {$this->table->purposes[$purpose]}",
                'linear in temperature, and in the logarithm of weight',
                Format::number($temp) . ' °C, ' . Format::number($weight) . ' g',
                Format::number($percent, 3) . ' % of body weight a day',
            );
        }
        $work->note(Message::of('fish.ration_tables_rations_habit_measurement'));

        return $work->result(['ration_pct_bw_d' => $percent]);
    }
}
