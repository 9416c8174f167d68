<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\Age;
use App\Models\Visit;
use App\Readings\VisitResource;
use Illuminate\Support\Carbon;

/** One entry of the book: what was tested, fed, seen or done, by whom and when. */
final readonly class BookEntry
{
    /**
     * @param  ?Visit  $visit  its readings
     * @param  ?Visit  $corrected  the one it was written in place of
     */
    public function __construct(
        public string $id,
        public string $kind,
        public Carbon $at,
        public ?string $by,
        public string $text,
        public ?Visit $visit = null,
        public ?Visit $corrected = null,
        public bool $photo = false,
    ) {}

    /** Where it stands among the others: by time, and by key within one instant. */
    public function order(): string
    {
        return $this->at->toIso8601ZuluString() . $this->id;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'at' => $this->at->toIso8601ZuluString(),
            'age' => Age::of($this->at),
            'by' => $this->by,
            'text' => $this->text,
            'visit' => $this->visit === null ? null : VisitResource::of($this->visit),
            'corrected' => $this->corrected === null ? null : VisitResource::of($this->corrected),
            'photo' => $this->photo,
        ];
    }
}
