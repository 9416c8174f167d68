<?php

declare(strict_types=1);

namespace App\Schools;

use App\Http\FormRequest;
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
            throw BadInput::at('school', 'There is no such school.');
    }

    /**
     * Null where nothing of one's own is to hold any more.
     *
     * @throws BadInput at `school`
     */
    public function school(Topic $topic): ?string
    {
        $school = $this->input('school');

        return match (true) {
            $school === null => null,
            is_string($school) && isset($topic->schools[$school]) => $school,
            default => throw BadInput::at('school', 'There is no such school.'),
        };
    }

    /** Whether it is to hold for all systems of the site. */
    public function forSite(): bool
    {
        return $this->input('for') === 'site';
    }

    public function reason(): ?string
    {
        $reason = $this->input('reason');

        return is_string($reason) && trim($reason) !== '' ? mb_substr(trim($reason), 0, self::LONGEST_REASON) : null;
    }
}
