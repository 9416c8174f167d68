<?php

declare(strict_types=1);

namespace App\Readings;

use Illuminate\Foundation\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\Topic;

/** The school a system is to follow in one topic, and why it is other than usual. */
final class SchoolRequest extends FormRequest
{
    private const LONGEST_REASON = 200;

    /** @throws BadInput at `school` */
    public function topic(SchoolTable $schools): Topic
    {
        $key = $this->route('topic');

        return $schools->topics[is_string($key) ? $key : ''] ??
            throw BadInput::at('school', 'This is nothing keepers differ in here.');
    }

    /** @throws BadInput at `school` */
    public function school(Topic $topic): string
    {
        $school = $this->input('school');

        return is_string($school) && isset($topic->schools[$school])
            ? $school
            : throw BadInput::at('school', 'There is no such school.');
    }

    public function reason(): ?string
    {
        $reason = $this->input('reason');

        return is_string($reason) && trim($reason) !== '' ? mb_substr(trim($reason), 0, self::LONGEST_REASON) : null;
    }
}
