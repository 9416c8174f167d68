<?php

declare(strict_types=1);

namespace App\Http;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;

/**
 * An entry that is sent again after its answer was lost is the same entry. Where something else comes under its key it
 * is told what stands: taken for the same it would be in the water and in no book.
 */
final readonly class BookedAs
{
    /** @throws BadInput at `id` unless it is the same */
    public static function refuseOther(bool $same, string $text): void
    {
        if (!$same) {
            $said = Message::of('dose.booked_otherwise', ['text' => $text]);

            throw BadInput::at('id', $said->text, [$said->code]);
        }
    }
}
