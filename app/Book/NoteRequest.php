<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Rounds;

/** Words beside the numbers, what was seen, and a picture: at least one of them. */
final class NoteRequest extends FormRequest
{
    private const MOST_SEEN = 20;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'words' => ['nullable', 'string', 'max:1000'],
            'seen' => ['array', 'max:' . self::MOST_SEEN],
            'seen.*' => ['string', 'in:' . implode(',', Rounds::seen())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['words.max' => 'A note has at most 1,000 characters.'];
    }

    /** @throws BadInput at `words` where nothing was said, seen or shown */
    public function words(): string
    {
        $words = $this->string('words')->trim()->toString();

        return match (true) {
            $words !== '' || $this->seen() !== [] => $words,
            $this->input('photo') !== null => 'A picture.',
            default => throw BadInput::at('words', 'Write a note, or choose a sign.'),
        };
    }

    /** @return list<string> */
    public function seen(): array
    {
        return array_values(array_filter((array) $this->input('seen', []), is_string(...)));
    }

    /**
     * @return ?array{type: string, picture: string}
     *
     * @throws BadInput at `photo`
     */
    public function photo(): ?array
    {
        return Picture::sent($this->input('photo'));
    }
}
