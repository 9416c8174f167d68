<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;

/** Why a course ends. */
final class StopCourseRequest extends FormRequest
{
    private const LONGEST = 200;

    /** @throws BadInput at `reason` */
    public function reason(): string
    {
        $reason = $this->input('reason');

        return is_string($reason) && trim($reason) !== ''
            ? mb_substr(trim($reason), 0, self::LONGEST)
            : throw BadInput::at('reason', 'Give the reason: complete, or what went wrong.');
    }
}
