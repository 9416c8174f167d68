<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest as BaseRequest;
use Illuminate\Support\Stringable;
use Ironwort\Core\Calc\BadInput;

/** A form whose texts are texts: a list where a text belongs is refused beside its field. */
abstract class FormRequest extends BaseRequest
{
    /**
     * @param  string  $key
     * @param  mixed  $default
     *
     * @throws BadInput at the field
     */
    public function string($key, $default = null): Stringable
    {
        $value = $this->input($key, $default);

        return is_array($value)
            ? throw BadInput::at((string) $key, 'This is a list. Enter one value.')
            : parent::string($key, $default);
    }
}
