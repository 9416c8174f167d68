<?php

declare(strict_types=1);

namespace App\Book;

use Generator;

/**
 * A table of texts out of a CSV of any common make: RFC 4180, with a comma, a semicolon or a tab between fields, any
 * line ends, UTF-8, UTF-16 or Windows-1252, and perhaps a byte order mark. Read row by row.
 */
final readonly class CsvTable
{
    /** Signs with which a spreadsheet begins to reckon. */
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    private const MARKS = [',', ';', "\t"];

    /**
     * @param  list<string>  $head
     * @param  resource  $stream
     */
    private function __construct(public array $head, private string $mark, private mixed $stream, private int $bytes) {}

    public static function read(string $text): self
    {
        $text = self::utf8($text);
        // One way to end a line is enough for the reader.
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        $first = explode("\n", ltrim($text, "\n"), 2)[0];
        $counts = array_combine(
            self::MARKS,
            array_map(static fn(string $mark): int => substr_count($first, $mark), self::MARKS),
        );
        arsort($counts);
        $mark = (string) array_key_first($counts);
        $stream = fopen('php://temp', 'r+');
        if ($stream === false) {
            throw new \RuntimeException('No room for the file.');
        }
        fwrite($stream, $text);
        rewind($stream);
        $head = fgetcsv($stream, null, $mark, '"', '');

        return new self(
            array_map(static fn(?string $cell): string => trim((string) $cell), $head === false ? [] : $head),
            $mark,
            $stream,
            strlen($text),
        );
    }

    /** @return Generator<int, list<string>> by the number of the row in the file, with empty ones left out */
    public function rows(): Generator
    {
        rewind($this->stream);
        fgetcsv($this->stream, null, $this->mark, '"', '');
        for ($n = 2; ($row = fgetcsv($this->stream, null, $this->mark, '"', '')) !== false; $n++) {
            $cells = array_map(static fn(?string $cell): string => self::plain((string) $cell), $row);
            if (trim(implode('', $cells)) !== '') {
                yield $n => $cells;
            }
        }
    }

    /** How far the rows have been read, 0 to 1. */
    public function done(): float
    {
        return $this->bytes === 0 ? 1.0 : min(1.0, (int) ftell($this->stream) / $this->bytes);
    }

    /**
     * One field as RFC 4180 writes it. What a spreadsheet would reckon out, if it is no number, has an apostrophe in
     * front, which spreadsheets do not show.
     */
    public static function field(string|float|int|null $value): string
    {
        $text = (string) $value;
        if ($text !== '' && in_array($text[0], self::FORMULA, true) && !is_numeric($text)) {
            $text = "'{$text}";
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"' . str_replace('"', '""', $text) . '"' : $text;
    }

    /** The apostrophe that was put in front goes again. */
    private static function plain(string $cell): string
    {
        return strlen($cell) > 1 && $cell[0] === "'" && in_array($cell[1], self::FORMULA, true)
            ? substr($cell, 1)
            : $cell;
    }

    private static function utf8(string $text): string
    {
        foreach (
            ["\xEF\xBB\xBF" => 'UTF-8', "\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE']
            as $begins => $encoding
        ) {
            if (str_starts_with($text, $begins)) {
                return (string) mb_convert_encoding(substr($text, strlen($begins)), 'UTF-8', $encoding);
            }
        }

        return mb_check_encoding($text, 'UTF-8') ? $text : (string) mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }
}
