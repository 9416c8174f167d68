<?php

declare(strict_types=1);

namespace App\Round;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Role;
use App\Models\Round;
use App\Models\User;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Words\Message;

/** What is typed on a round: why a system is skipped, to whom it is handed, what is said at its end. */
final class RoundRequest extends FormRequest
{
    /** @throws BadInput at `why` */
    public function why(): string
    {
        return $this->text('why', 'Why', 200) ?? throw self::said('why', 'judge.round_say_why');
    }

    /** @throws BadInput at `note` */
    public function note(int $longest): ?string
    {
        return $this->text('note', 'Note', $longest);
    }

    /** @throws BadInput at `to`: somebody of this site who writes and has no round of their own open */
    public function to(Round $round): User
    {
        $to = $this->input('to');
        $person = is_string($to)
            ? User::query()->where('site_id', $round->site_id)->whereKey(strtoupper($to))->first()
            : null;
        if ($person === null || $person->role === Role::Reader || $person->id === $round->user_id) {
            throw self::said('to', 'judge.round_say_whom');
        }
        if (Round::open($person) !== null) {
            throw self::said('to', 'judge.round_has_own', ['name' => $person->name]);
        }

        return $person;
    }

    /** @param  array<string, string>  $values */
    public static function said(string $field, string $code, array $values = []): BadInput
    {
        $said = Message::of($code, $values);

        return BadInput::at($field, $said->text, [$said->code]);
    }

    private function text(string $key, string $label, int $longest): ?string
    {
        $read = (new TypedInputs([Input::text($key, $label, $longest)->optional()]))->read($this->all());
        $text = $read[$key] ?? null;

        return is_string($text) && $text !== '' ? $text : null;
    }
}
