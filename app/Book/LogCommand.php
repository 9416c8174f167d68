<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\System;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;

final class LogCommand extends Command
{
    protected $signature =
        'ironwort:log {system : its address, as press-room} {line* : as am .5 ' .
        'ph 7.8 t 18} {--email= : who writes}';

    protected $description = 'Book a line of the log bar';

    public function handle(KeepLine $keep): int
    {
        $email = $this->option('email');
        /** @var ?User $user */
        $user = User::query()
            ->when(
                is_string($email) && $email !== '',
                static fn($query) => $query->whereRaw('lower(email) = lower(?)', [$email]),
            )
            ->whereIn('role', ['owner', 'helper'])
            ->orderBy('id')
            ->first();
        $slug = $this->argument('system');
        $system =
            $user === null
                ? null
                : System::query()
                    ->where('site_id', $user->site_id)
                    ->where('slug', is_string($slug) ? $slug : '')
                    ->with(['site', 'vessels'])
                    ->first();
        if ($user === null || $system === null) {
            $this->error($user === null ? 'Nobody of that address may write here.' : 'There is no such system.');

            return 2;
        }
        $words = $this->argument('line');
        $text = implode(' ', is_array($words) ? array_filter($words, is_string(...)) : []);
        $line = $keep->read($system, $text, $user->unitChoice());
        foreach ($line->faults as $fault) {
            $this->line($text);
            $this->line(str_repeat(' ', $fault->at) . str_repeat('^', $fault->length));
            $this->error($fault->message);
        }
        if ($line->faults !== []) {
            return 2;
        }
        try {
            $visit = $keep->keep($system, $user, strtoupper((string) Str::ulid()), $line);
        } catch (BadInput $bad) {
            $this->error(implode(' ', $bad->errors));

            return 2;
        }
        $this->line('Kept' . ($visit === null ? '.' : ': ' . $visit->readings->count() . ' readings.'));

        return self::SUCCESS;
    }
}
