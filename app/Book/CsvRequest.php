<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\FormRequest;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;

/** A CSV of readings to look at or to bring in, and what its columns are. */
final class CsvRequest extends FormRequest
{
    /** @throws BadInput at `csv` */
    public function csv(): string
    {
        $text = $this->input('csv');

        return is_string($text) && trim($text) !== ''
            ? $text
            : throw BadInput::at('csv', 'Choose a file with readings in it.');
    }

    /** @return ?array<int, array{parameter: string, unit: ?string}> by column; null where they are to be guessed */
    public function columns(): ?array
    {
        $given = $this->input('columns');
        if (!is_array($given)) {
            return null;
        }
        $mapping = [];
        foreach ($given as $i => $column) {
            $text = static fn(string $key): string => is_array($column) && is_string($column[$key] ?? null)
                ? $column[$key]
                : '';
            $mapping[(int) $i] = [
                'parameter' => $text('parameter'),
                'unit' => $text('unit') === '' ? null : $text('unit'),
            ];
        }

        return $mapping;
    }

    /** The key under which the page asks how far it is. */
    public function progress(): ?string
    {
        $key = $this->input('progress');

        return is_string($key) && Str::isUlid($key) ? $key : null;
    }
}
