<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/** A table as a file that any spreadsheet opens, and in which no cell is a formula. */
final readonly class CsvAnswer
{
    /**
     * @param  list<string>  $header
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function of(string $name, array $header, iterable $rows): Response
    {
        $out = fopen('php://memory', 'w+') ?: throw new \LogicException('No memory to write to.');
        fputcsv($out, $header, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($out, array_map(self::safe(...), $row), escape: '', eol: "\r\n");
        }
        rewind($out);

        return new Response((string) stream_get_contents($out), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
        ]);
    }

    /** A text that a spreadsheet would take for a formula is kept a text. */
    private static function safe(string|int|float|null $cell): string|int|float|null
    {
        return is_string($cell) && preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'{$cell}" : $cell;
    }
}
