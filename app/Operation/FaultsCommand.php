<?php

declare(strict_types=1);

namespace App\Operation;

use Illuminate\Console\Command;
use Illuminate\Support\Carbon;

/** What went wrong of late, and which rules were overridden, each counted, the most frequent first. */
final class FaultsCommand extends Command
{
    protected $signature = 'ironwort:faults {--days=7 : how many days back, 14 at most}';

    protected $description = 'Count the errors and the overridden refusals of the last days';

    public function handle(): int
    {
        $days = filter_var($this->option('days'), FILTER_VALIDATE_INT);
        if ($days === false || $days < 1 || $days > 14) {
            $this->error('--days takes a number from 1 to 14: older logs are not kept.');

            return self::FAILURE;
        }
        $this->told('Errors', $this->errors($days), 'No error was logged.');
        $this->told('Refusals overridden', $this->overridden($days), 'No refusal was overridden.');

        return self::SUCCESS;
    }

    /** @param  array<string, array{count: int, last: string}>  $found */
    private function told(string $title, array $found, string $none): void
    {
        $this->line($title);
        uasort($found, static fn(array $a, array $b): int => [$b['count'], $b['last']] <=> [$a['count'], $a['last']]);
        foreach ($found as $what => ['count' => $count, 'last' => $last]) {
            $this->line(sprintf('%6d  last %s  %s', $count, $last, $what));
        }
        if ($found === []) {
            $this->line("  {$none}");
        }
    }

    /** @return array<string, array{count: int, last: string}> by what is written of them */
    private function errors(int $days): array
    {
        $found = [];
        foreach ($this->lines('ironwort', $days) as $line) {
            // [2026-06-01 12:00:00] production.ERROR: what it is {"at":"where","request":"id"}
            if (
                preg_match(
                    '/^\[([\d-]+ [\d:]+)\] \w+\.(?:ERROR|CRITICAL|ALERT|EMERGENCY): (.+?)(?: \{.*)?$/',
                    $line,
                    $of,
                )
            ) {
                $found = self::counted($found, $of[2], $of[1]);
            }
        }

        return $found;
    }

    /** @return array<string, array{count: int, last: string}> by what was booked, the rule and how */
    private function overridden(int $days): array
    {
        $found = [];
        foreach ($this->lines('overridden', $days) as $line) {
            $row = (array) json_decode($line, true);
            $context = is_array($row['context'] ?? null) ? $row['context'] : [];
            $codes = is_array($context['codes'] ?? null) ? $context['codes'] : [];
            $text = static fn(mixed $value): string => is_string($value) ? $value : '';
            foreach ($codes as $code) {
                $found = self::counted(
                    $found,
                    "{$text($row['message'] ?? null)}: {$text($code)}, {$text($context['how'] ?? null)}",
                    Carbon::parse($text($row['datetime'] ?? null))->utc()->format('Y-m-d H:i:s'),
                );
            }
        }

        return $found;
    }

    /**
     * @param  array<string, array{count: int, last: string}>  $found
     * @return array<string, array{count: int, last: string}>
     */
    private static function counted(array $found, string $what, string $at): array
    {
        $before = $found[$what] ?? ['count' => 0, 'last' => ''];
        $found[$what] = ['count' => $before['count'] + 1, 'last' => max($before['last'], $at)];

        return $found;
    }

    /** @return iterable<string> of the files of these days, one at a time */
    private function lines(string $log, int $days): iterable
    {
        for ($ago = $days - 1; $ago >= 0; $ago--) {
            $file = storage_path("logs/{$log}-" . now()->subDays($ago)->format('Y-m-d') . '.log');
            $opened = is_file($file) ? fopen($file, 'r') : false;
            while ($opened !== false && ($line = fgets($opened)) !== false) {
                yield rtrim($line);
            }
        }
    }
}
