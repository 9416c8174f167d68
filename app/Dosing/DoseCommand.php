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
            ->with(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish', 'shutOffs', 'ownLimits', 'schools'])
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
        $thing = $report->of($system, LatestWater::of($system), $typed)['thing'];
        if (!is_array($thing)) {
            $this->error('This is nothing that is dosed here.');

            return 2;
        }
        foreach (is_array($thing['refusals']) ? $thing['refusals'] : [] as $refusal) {
            $this->error('Refused. ' . (is_string($refusal) ? $refusal : ''));
        }
        foreach (is_array($thing['conditions']) ? $thing['conditions'] : [] as $condition) {
            $this->line('First: ' . (is_string($condition) ? $condition : ''));
        }
        $bench = is_array($thing['bench']) ? $thing['bench'] : [];
        foreach ((array) ($bench['errors'] ?? []) as $key => $error) {
            $this->error("{$key}: " . (is_string($error) ? $error : ''));
        }
        foreach ((array) ($bench['missing'] ?? []) as $missing) {
            $this->line('Missing: ' . (is_string($missing) ? $missing : ''));
        }
        if (is_string($thing['measure'] ?? null)) {
            $this->info($thing['measure']);
        }

        return ($thing['refusals'] ?? []) === [] && is_string($thing['measure'] ?? null) ? 0 : 1;
    }
}
