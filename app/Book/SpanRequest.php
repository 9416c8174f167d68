<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\FormRequest;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** Which part of the book is asked for: from when to when, what kinds of entries, how wide it is drawn. */
final class SpanRequest extends FormRequest
{
    private const LONGEST_YEARS = 11;

    private const USUAL_DAYS = 90;

    private const USUAL_PIXELS = 800;

    /**
     * @return array{Carbon, Carbon}
     *
     * @throws BadInput at `from` or `to`
     */
    public function span(): array
    {
        $end = $this->at('to') ?? Carbon::now();
        $start = $this->at('from') ?? $end->copy()->subDays(self::USUAL_DAYS);
        if ($start >= $end) {
            throw BadInput::at('from', 'It begins after it ends.');
        }
        if ($start->diffInYears($end) > self::LONGEST_YEARS) {
            throw BadInput::at('from', 'That is more than ' . self::LONGEST_YEARS . ' years.');
        }

        return [$start, $end];
    }

    /** The page before this entry; null for the newest. */
    public function before(): ?Carbon
    {
        return $this->at('before');
    }

    /** @return list<string> */
    public function kinds(): array
    {
        $kinds = $this->query('kinds');

        return is_string($kinds) && $kinds !== '' ? explode(',', $kinds) : BookReport::KINDS;
    }

    public function pixels(): int
    {
        $pixels = $this->query('pixels');

        return is_numeric($pixels) ? (int) $pixels : self::USUAL_PIXELS;
    }

    /** @throws BadInput at the key */
    public static function time(string $text, string $key): Carbon
    {
        try {
            return Carbon::parse($text)->utc();
        } catch (\Exception) {
            throw BadInput::at($key, 'Write the time as 2026-05-31T07:10.');
        }
    }

    private function at(string $key): ?Carbon
    {
        $text = $this->query($key);

        return is_string($text) && $text !== '' ? self::time($text, $key) : null;
    }
}
