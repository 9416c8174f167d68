<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Book\Picture;
use App\Fish\FishForm;
use App\Forms\Day;
use App\Http\FormRequest;
use App\Models\FishGroup;
use App\Models\SingleFish;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Words\Message;

/** Fish that go: sold, lost, or moved to another system of the same site. */
final class LeaveRequest extends FormRequest
{
    /**
     * The one fish that goes, where it has a name.
     *
     * @throws BadInput at `single` for a fish of another group, at `count` where more than it would go
     */
    public function single(FishGroup $group): ?SingleFish
    {
        $id = $this->string('single')->toString();
        if ($id === '') {
            return null;
        }
        $fish = SingleFish::query()->where('fish_group_id', $group->id)->whereNull('gone')->find(strtoupper($id));
        $code = match (true) {
            $fish === null => ['single', 'fish.single_elsewhere'],
            $this->string('count')->trim()->toString() !== '1' => ['count', 'fish.single_one'],
            default => null,
        };
        if ($code !== null) {
            $said = Message::of($code[1]);

            throw BadInput::at($code[0], $said->text, [$said->code]);
        }

        return $fish;
    }

    /**
     * A picture of it, as of a wound it died of.
     *
     * @return ?array{type: string, picture: string}
     *
     * @throws BadInput at `photo`
     */
    public function photo(): ?array
    {
        return Picture::sent($this->input('photo'));
    }

    /**
     * How many of a group go, on which day, and why.
     *
     * @return array{count: int, happened_on: string, reason: ?string}
     *
     * @throws BadInput
     */
    public function leaving(System $system, int $there): array
    {
        $form = new FishForm([FishForm::counted(1), Input::text('reason', 'Reason', 200)->optional()], $this->all());
        $count = $form->count();
        if ($count > $there) {
            throw BadInput::at('count', $there === 1 ? 'There is only one.' : "There are only {$there}.");
        }

        return [
            'count' => $count,
            'happened_on' => Day::read($this->all(), 'happened_on') ?? FishForm::today($system),
            'reason' => $form->text('reason'),
        ];
    }

    /**
     * All of them at once, and what becomes of the loops.
     *
     * @return array{reason: ?string, happened_on: string, sleep: bool, wake: bool}
     *
     * @throws BadInput
     */
    public function everybody(System $system): array
    {
        $form = new FishForm([Input::text('reason', 'Reason', 200)->optional()], $this->all());

        return [
            'reason' => $form->text('reason'),
            'happened_on' => Day::read($this->all(), 'happened_on') ?? FishForm::today($system),
            'sleep' => $this->boolean('sleep'),
            'wake' => $this->boolean('wake'),
        ];
    }

    /** @throws BadInput at `to` where they are moved and it is not said where */
    public function to(System $from): ?System
    {
        return $this->route('kind') === 'moved' ? $this->destination($from) : null;
    }

    /** @throws BadInput at `to` */
    public function destination(System $from): System
    {
        $slug = $this->input('to');

        return System::query()
            ->where('site_id', $from->site_id)
            ->where('slug', is_string($slug) ? $slug : '')
            ->first() ?? throw BadInput::at('to', 'Say where they go.');
    }
}
