<?php

declare(strict_types=1);

namespace App\Providers;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use Illuminate\Support\Carbon;

/**
 * What a page asked of the database when it was last looked at, kept as a hint on this machine: it is asked in one go
 * the next time, and whatever is not asked again is forgotten. Only questions are kept, never an answer, so that a lost
 * or an old hint costs a few round trips and can show nothing that is not so.
 *
 * Moments are kept as the time from now, the one binding that is another each time.
 */
final class AskedBefore
{
    private const MOST_BYTES = 400_000;

    /** Pages kept in mind; over them all are forgotten, since a page by any address is a page of its own. */
    private const MOST_PAGES = 1000;

    /** @var array<string, Question> */
    private array $questions = [];

    /** When the page is read, microseconds since 1970. */
    private ?int $now = null;

    public function __construct(private readonly string $file) {}

    /** @return list<Question> with moments as of now */
    public function last(): array
    {
        $text = is_file($this->file) ? (string) file_get_contents($this->file) : '';
        $kept = json_decode($text, true);
        $last = [];
        foreach (is_array($kept) ? $kept : [] as $one) {
            $sql = is_array($one) ? $one['sql'] ?? null : null;
            $bindings = is_array($one) ? $one['bindings'] ?? null : null;
            if (is_string($sql) && is_array($bindings)) {
                $last[] = new Question($sql, array_map($this->asOfNow(...), $bindings), self::columns($one['columns']));
            }
        }

        return $last;
    }

    public function asked(string $key, Question $question): void
    {
        $this->questions[$key] = new Question(
            $question->sql,
            array_map($this->fromNow(...), $question->bindings),
            $question->columns,
        );
    }

    public function keep(): void
    {
        $text = json_encode(array_values($this->questions), JSON_INVALID_UTF8_SUBSTITUTE);
        if ($text === false || strlen($text) > self::MOST_BYTES) {
            return;
        }
        if (is_file($this->file) && file_get_contents($this->file) === $text) {
            return;
        }
        $folder = dirname($this->file);
        if (!is_file($this->file) && count(glob("{$folder}/*.json") ?: []) >= self::MOST_PAGES) {
            array_map(unlink(...), glob("{$folder}/*.json") ?: []);
        }
        if (!is_dir($folder) && !@mkdir($folder, 0o700, true) && !is_dir($folder)) {
            return;
        }
        $beside = $this->file . '.' . getmypid();
        if (@file_put_contents($beside, $text) !== false) {
            @rename($beside, $this->file);
        }
    }

    public function forget(): void
    {
        @unlink($this->file);
    }

    /** @return ?list<Column> */
    private static function columns(mixed $kept): ?array
    {
        $columns = array_map(Column::kept(...), is_array($kept) ? array_values($kept) : []);

        return $columns === [] ? null : $columns;
    }

    /** A moment with the same part of a second as now was reckoned from now; any other is one of the book's own. */
    private function fromNow(mixed $value): mixed
    {
        if (!($value instanceof DateTimeInterface)) {
            return $value;
        }
        $now = $this->now();
        $micro = (int) $value->format('Uu');
        $fromNow = ($micro - $now) % 1_000_000 === 0;

        return ['zone' => $value->format('e'), 'micro' => $micro - ($fromNow ? $now : 0), 'from_now' => $fromNow];
    }

    private function asOfNow(mixed $value): mixed
    {
        if (!is_array($value) || !is_string($value['zone'] ?? null) || !is_int($value['micro'] ?? null)) {
            return $value;
        }
        $micro = $value['micro'] + (($value['from_now'] ?? false) === true ? $this->now() : 0);

        $moment = DateTimeImmutable::createFromFormat(
            'U.u',
            sprintf('%d.%06d', intdiv($micro, 1_000_000), $micro % 1_000_000),
        );

        return $moment === false ? $value : $moment->setTimezone(new DateTimeZone($value['zone']));
    }

    private function now(): int
    {
        return $this->now ??= (int) Carbon::now()->format('Uu');
    }
}
