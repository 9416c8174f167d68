<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Http\MadeAt;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Event;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Words\Message;

/** An incident that is opened, a step of it that is ticked, and its end. */
final class IncidentRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $signs = ['array', 'max:' . count(Sign::cases())];

        return [
            'signs' => $signs,
            'signs.*' => ['string', 'max:20'],
            'gone' => $signs,
            'gone.*' => ['string', 'max:20'],
        ];
    }

    /** @throws BadInput at `event` */
    public function event(): Event
    {
        return Event::tryFrom($this->string('event')->toString()) ??
            throw BadInput::at('event', 'This is not one of the choices.');
    }

    /**
     * @return list<Sign> what is seen, besides what was
     *
     * @throws BadInput at `signs`
     */
    public function signs(): array
    {
        return $this->read('signs');
    }

    /**
     * @return list<Sign> what is not seen any more
     *
     * @throws BadInput at `gone`
     */
    public function gone(): array
    {
        return $this->read('gone');
    }

    /**
     * @return list<Sign>
     *
     * @throws BadInput at the field
     */
    private function read(string $field): array
    {
        return array_values(
            array_map(
                static fn(mixed $word): Sign => (is_string($word) ? Sign::tryFrom($word) : null) ??
                    throw BadInput::at($field, 'This is not one of the choices.'),
                (array) $this->input($field, []),
            ),
        );
    }

    /**
     * When it began, as minutes before it was told.
     *
     * @throws BadInput at `minutes`
     */
    public function since(): Carbon
    {
        $read = (new TypedInputs([Input::number('minutes', 'Began', 'min', 0, 20160)->optional()]))->read($this->all());
        $minutes = is_numeric($read['minutes'] ?? null) ? (float) $read['minutes'] : 0.0;

        return MadeAt::now()->subSeconds((int) round(60 * $minutes));
    }

    /**
     * @return array{step: string, words: string, what: string, why: ?string}
     *
     * @throws BadInput at the field; what is skipped is skipped for a reason
     */
    public function tick(): array
    {
        $read = (new TypedInputs([
            Input::text('step', 'Step', 100),
            Input::text('words', 'Words', 500),
            Input::choice('what', 'What', ['done', 'skipped']),
            Input::text('why', 'Why', 200)->optional(),
        ]))->read($this->all());
        $text = static fn(string $key): string => is_string($read[$key] ?? null) ? $read[$key] : '';
        if ($text('what') === 'skipped' && $text('why') === '') {
            throw self::said('why', 'incident.skip_say_why');
        }

        return [
            'step' => $text('step'),
            'words' => $text('words'),
            'what' => $text('what'),
            'why' => $text('why') === '' ? null : $text('why'),
        ];
    }

    /** @throws BadInput at `cause` */
    public function cause(): Cause
    {
        return Cause::tryFrom($this->string('cause')->toString()) ??
            throw self::said('cause', 'incident.end_say_cause');
    }

    /**
     * @return array{prevent: ?string, early_why: ?string, other_cost: ?float}
     *
     * @throws BadInput at the field
     */
    public function closing(): array
    {
        $read = (new TypedInputs([
            Input::text('prevent', 'What changes', 500)->optional(),
            Input::text('early_why', 'Why already', 200)->optional(),
            Input::number('other_cost', 'What else it cost', null, 0, 1e7)->optional(),
        ]))->read($this->all());
        $text = static fn(string $key): ?string => is_string($read[$key] ?? null) ? $read[$key] : null;

        $cost = $read['other_cost'] ?? null;

        return [
            'prevent' => $text('prevent'),
            'early_why' => $text('early_why'),
            'other_cost' => is_float($cost) ? $cost : null,
        ];
    }

    public static function said(string $field, string $code): BadInput
    {
        $said = Message::of($code);

        return BadInput::at($field, $said->text, [$said->code]);
    }
}
