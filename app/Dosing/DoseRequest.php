<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\FormRequest;

/** A dose that is looked at (typed in the query) or given. */
final class DoseRequest extends FormRequest
{
    public function form(): DoseForm
    {
        $typed = $this->query('typed');

        return new DoseForm($this->isMethod('GET') && is_array($typed) ? $typed : $this->all());
    }

    /** Whether it is the first of a course. */
    public function course(): bool
    {
        return $this->boolean('course');
    }

    /** Whether a course is filled up to its level again after a change of water. */
    public function topUp(): bool
    {
        return $this->boolean('top_up');
    }
}
