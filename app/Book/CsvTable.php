<?php

declare(strict_types=1);

namespace App\Book;

/**
 * A table of texts out of a CSV of any common make: RFC 4180, with a comma, a semicolon or a tab
 * between fields, any line ends, and perhaps a byte order mark.
 */
final readonly class CsvTable
{
    /**
     * @param  list<string>  $head
     * @param  list<list<string>>  $rows
     */
    private function __construct(public array $head, public array $rows) {}

    public static function read(string $text): self
    {
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        if (!mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        $first = strtok($text, "\r\n");
        $counts = array_map(static fn(string $mark): int => substr_count((string) $first, $mark), [
            ',' => ',',
            ';' => ';',
            "\t" => "\t",
        ]);
        arsort($counts);
        $rows = self::rows($text, (string) array_key_first($counts));
        $head = array_map(trim(...), array_shift($rows) ?? []);

        return new self(
            $head,
            array_values(array_filter($rows, static fn(array $row): bool => trim(implode('', $row)) !== '')),
        );
    }

    /** One field as RFC 4180 writes it. */
    public static function field(string|float|int|null $value): string
    {
        $text = (string) $value;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"' . str_replace('"', '""', $text) . '"' : $text;
    }

    /** @return list<list<string>> */
    private static function rows(string $text, string $mark): array
    {
        $rows = [];
        $row = [];
        $field = '';
        $quoted = false;
        $length = strlen($text);
        for ($i = 0; $i < $length; $i++) {
            $char = $text[$i];
            if ($quoted) {
                if ($char === '"' && ($text[$i + 1] ?? '') === '"') {
                    $field .= '"';
                    $i++;
                } elseif ($char === '"') {
                    $quoted = false;
                } else {
                    $field .= $char;
                }
            } elseif ($char === '"' && $field === '') {
                $quoted = true;
            } elseif ($char === $mark) {
                $row[] = $field;
                $field = '';
            } elseif ($char === "\n" || $char === "\r") {
                $i += $char === "\r" && ($text[$i + 1] ?? '') === "\n" ? 1 : 0;
                $rows[] = [...$row, $field];
                $row = [];
                $field = '';
            } else {
                $field .= $char;
            }
        }
        if ($field !== '' || $row !== []) {
            $rows[] = [...$row, $field];
        }

        return $rows;
    }
}
