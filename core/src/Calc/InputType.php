<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** What kind of JSON value an input takes. */
enum InputType: string
{
    case Number = 'number';
    case Text = 'string';
    case Flag = 'boolean';
    /** Named values, any subset of those declared. */
    case Object = 'object';
    /** A list of texts out of those allowed. */
    case Texts = 'strings';
    case Rows = 'array';
}
