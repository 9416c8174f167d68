<?php

declare(strict_types=1);

namespace App\Looks;

use App\Book\Picture;
use App\Fish\FishForm;
use App\Forms\TypedInputs;
use App\Http\FormRequest;
use App\Models\Feed;
use App\Models\FishGroup;
use App\Models\SingleFish;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Words\Message;

/** What somebody saw who looked at fish one by one. */
final class LookRequest extends FormRequest
{
    private const MOST_MARKS = 40;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'words' => ['nullable', 'string', 'max:500'],
            'nothing' => ['nullable', 'boolean'],
            'group' => ['nullable', 'string', 'max:26'],
            'single' => ['nullable', 'string', 'max:26'],
            'signs' => ['array', 'max:' . count(Rounds::signs())],
            'signs.*.sign' => ['required', 'string', 'distinct', 'in:' . implode(',', Rounds::signs())],
            'signs.*.count' => ['required', 'integer', 'min:1', 'max:100000'],
            'signs.*.severity' => ['required', 'integer', 'min:1', 'max:3'],
            'marks' => ['array', 'max:' . self::MOST_MARKS],
            'marks.*.sign' => ['required', 'string', 'in:' . implode(',', Rounds::signs())],
            'marks.*.view' => ['required', 'string', 'in:above,side'],
            'marks.*.x' => ['required', 'numeric', 'min:0', 'max:1'],
            'marks.*.y' => ['required', 'numeric', 'min:0', 'max:1'],
        ];
    }

    /** @throws BadInput at `single` for a fish that is not here */
    public function single(System $system): ?SingleFish
    {
        $id = $this->string('single')->toString();

        return $id === ''
            ? null
            : SingleFish::query()->where('system_id', $system->id)->whereNull('gone')->find(strtoupper($id)) ??
                    throw $this->nobody('single');
    }

    /**
     * A single fish stands for its group.
     *
     * @throws BadInput at `group` for a group that is not here
     */
    public function group(System $system, ?SingleFish $single): ?FishGroup
    {
        $id = $single->fish_group_id ?? $this->string('group')->toString();

        return $id === ''
            ? null
            : FishGroup::query()->where('system_id', $system->id)->find(strtoupper($id)) ??
                    throw $this->nobody('group');
    }

    /**
     * @param  int  $there  how many fish were looked at
     * @return list<array{sign: string, count: int, severity: int}>
     *
     * @throws BadInput at the sign that more fish have than there are
     */
    public function signs(int $there): array
    {
        $signs = [];
        foreach (array_values((array) $this->input('signs', [])) as $i => $one) {
            $count = is_array($one) && is_numeric($one['count'] ?? null) ? (int) $one['count'] : 1;
            if ($count > $there) {
                $said = Message::of('fish.look_too_many', ['count' => (string) $there]);

                throw BadInput::at("signs.{$i}.count", $said->text, [$said->code]);
            }
            $signs[] = [
                'sign' => is_array($one) && is_string($one['sign'] ?? null) ? $one['sign'] : '',
                'count' => $count,
                'severity' => is_array($one) && is_numeric($one['severity'] ?? null) ? (int) $one['severity'] : 1,
            ];
        }

        return $signs;
    }

    /** @return list<array{sign: string, view: string, x: float, y: float}> */
    public function marks(): array
    {
        $marks = [];
        foreach ((array) $this->input('marks', []) as $one) {
            $marks[] = [
                'sign' => is_array($one) && is_string($one['sign'] ?? null) ? $one['sign'] : '',
                'view' => is_array($one) && ($one['view'] ?? null) === 'above' ? 'above' : 'side',
                'x' => is_array($one) && is_numeric($one['x'] ?? null) ? (float) $one['x'] : 0.0,
                'y' => is_array($one) && is_numeric($one['y'] ?? null) ? (float) $one['y'] : 0.0,
            ];
        }

        return $marks;
    }

    /**
     * @return array{came_up: ?string, scrape: ?string, scrape_seen: ?string, length_cm: ?float, weight_g: ?float}
     *
     * @throws BadInput at the field
     */
    public function found(): array
    {
        $typed = $this->all();
        $values = (new TypedInputs([
            Input::choice('came_up', 'Came up to feed', Feed::CAME_UP)->optional(),
            Input::choice('scrape', 'Scrape', ['skin', 'gill', 'fin'])->optional(),
            Input::text('scrape_seen', 'Seen in it', 200)->optional(),
            ...FishForm::sizes(),
        ]))->read($typed);
        $text = static fn(string $key): ?string => is_string($values[$key] ?? null) ? $values[$key] : null;
        $number = static fn(string $key): ?float => is_numeric($values[$key] ?? null) ? (float) $values[$key] : null;

        return [
            'came_up' => $text('came_up'),
            'scrape' => $text('scrape'),
            'scrape_seen' => $text('scrape') === null ? null : $text('scrape_seen'),
            'length_cm' => $number('length_cm'),
            'weight_g' => $number('weight_g'),
        ];
    }

    /** @throws BadInput at `words` where nothing at all was said */
    public function words(bool $saysSomething): string
    {
        $words = $this->string('words')->trim()->toString();
        if ($words === '' && !$saysSomething && !$this->boolean('nothing')) {
            $said = Message::of('fish.look_nothing');

            throw BadInput::at('words', $said->text, [$said->code]);
        }

        return $words;
    }

    /**
     * @return ?array{type: string, picture: string}
     *
     * @throws BadInput at `photo`
     */
    public function photo(): ?array
    {
        return Picture::sent($this->input('photo'));
    }

    private function nobody(string $field): BadInput
    {
        $said = Message::of('fish.look_nobody');

        return BadInput::at($field, $said->text, [$said->code]);
    }
}
