<?php

declare(strict_types=1);

namespace App\Fish;

use App\Http\FormRequest;
use App\Models\FishGroup;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Words\Message;

/** One fish with a name. */
final class SingleRequest extends FormRequest
{
    /**
     * @return array{name: string, variety: ?string, origin: ?string, note: ?string, fish_group_id: ?string}
     *
     * @throws BadInput at the field
     */
    public function columns(System $system): array
    {
        $form = new FishForm(
            [
                Input::text('name', 'Name', 60),
                Input::text('variety', 'Variety', 60)->optional(),
                Input::text('origin', 'From', 80)->optional(),
                Input::text('note', 'Note', 500)->optional(),
            ],
            $this->all(),
        );

        return [
            'name' => (string) $form->text('name'),
            'variety' => $form->text('variety'),
            'origin' => $form->text('origin'),
            'note' => $form->text('note'),
            'fish_group_id' => $this->group($system),
        ];
    }

    /** @throws BadInput at `group` for a group that is not here */
    private function group(System $system): ?string
    {
        $id = $this->string('group')->toString();
        if ($id === '') {
            return null;
        }
        $said = Message::of('fish.single_group');

        return FishGroup::query()->where('system_id', $system->id)->find(strtoupper($id))->id ??
            throw BadInput::at('group', $said->text, [$said->code]);
    }
}
