<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\Age;
use Illuminate\Support\Carbon;

/** One entry of the book: what was tested, fed, seen or done, by whom and when. */
final readonly class BookEntry
{
    /**
     * @param  ?array<string, mixed>  $visit  its readings, as the contract has a visit
     * @param  ?array<string, mixed>  $corrected  the visit it was written in place of
     */
    public function __construct(
        public string $id,
        public string $kind,
        public Carbon $at,
        public ?string $by,
        public string $text,
        public ?array $visit = null,
        public ?array $corrected = null,
        public bool $photo = false,
    ) {}

    /** Where it stands among the others: by time, and by key within one instant. */
    public function order(): string
    {
        return $this->at->toIso8601ZuluString() . $this->id;
    }

    /** @return array<string, mixed> as the contract has it */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'at' => $this->at->toIso8601ZuluString(),
            'age' => Age::of($this->at),
            'by' => $this->by,
            'text' => $this->text,
            'visit' => $this->visit,
            'corrected' => $this->corrected,
            'photo' => $this->photo,
        ];
    }
}
