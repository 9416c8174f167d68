<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;

/** A line of the log bar, and the key its client made for what it books. */
final class LineRequest extends FormRequest
{
    private const LONGEST = 500;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return !$this->is('*/meaning') ? ['id' => ['required', 'ulid']] : [];
    }

    public function id(): string
    {
        return $this->string('id')->upper()->toString();
    }

    /** @throws BadInput at `line` */
    public function line(): string
    {
        $text = $this->input('line');

        return is_string($text) && mb_strlen($text) <= self::LONGEST
            ? $text
            : throw BadInput::at('line', 'One line of at most 500 characters is expected.');
    }
}
