<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Incident\Sign;

/** What was seen on the fish and in the water. */
final class SignsRequest extends FormRequest
{
    /**
     * @return list<Sign>
     *
     * @throws BadInput at `seen`
     */
    public function seen(): array
    {
        $words = $this->query('seen');

        return array_map(
            static fn(string $word): Sign => Sign::tryFrom($word) ??
                throw BadInput::at('seen', 'This is not one of the choices.'),
            is_string($words) && trim($words) !== '' ? array_values(array_unique(explode(',', trim($words)))) : [],
        );
    }
}
