<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Console\Command;

/** What the dose bench says to something, from a shell. Nothing is booked: a dose is booked where its sheet is read. */
final class DoseCommand extends Command
{
    protected $signature =
        'ironwort:dose {system : its address, as press-room} {thing : as ' .
        'formalin, salt, binder} {field?* : as dose_mg_l=15 way=bath}';

    protected $description = 'Says what conflicts with a dose, and the amount where nothing refuses it';

    public function handle(DoseReport $report): int
    {
        $slug = $this->argument('system');
        $system = System::query()
            ->with([
                'site',
                'vessels',
                'stages',
                'pumps',
                'borrowed',
                'airOutlets',
                'lines',
                'fish',
                'shutOffs',
                'ownLimits',
                'schools',
            ])
            ->where('slug', is_string($slug) ? $slug : '')
            ->first();
        if ($system === null) {
            $this->error('There is no such system.');

            return 2;
        }
        $typed = ['thing' => $this->argument('thing')];
        foreach ((array) $this->argument('field') as $field) {
            [$key, $value] = [...explode('=', is_string($field) ? $field : '', 2), ''];
            $typed[$key] = $value;
        }
        $form = new DoseForm($typed);
        $dose = $report->judged($system, LatestWater::of($system), $form);
        if ($dose === null) {
            $this->error('This is not something that can be dosed here.');

            return 2;
        }
        foreach ($dose->judged->refusals as $refusal) {
            $this->error("Refused. {$refusal->text}");
        }
        foreach ($dose->judged->conditions as $condition) {
            $this->line("First: {$condition->text}");
        }
        foreach ($dose->bench->errors as $key => $error) {
            $this->error("{$key}: {$error}");
        }
        foreach ($dose->bench->missing as $missing) {
            $this->line("Missing: {$missing}");
        }
        $measure = $dose->refused() ? null : DoseReport::measure($dose, $form);
        if ($measure !== null) {
            $this->info($measure);
        }

        return $measure === null ? 1 : 0;
    }
}
