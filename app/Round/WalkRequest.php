<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\FormRequest;
use App\Models\Site;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;

/** The order in which the systems are walked. */
final class WalkRequest extends FormRequest
{
    private const MOST = 500;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'order' => ['required', 'array', 'max:' . self::MOST],
            'order.*' => ['required', 'string', 'max:80', 'distinct'],
        ];
    }

    /**
     * @return list<System> as they are named; those that are not named follow as they stood
     *
     * @throws BadInput at `order` for a system that is not here
     */
    public function order(Site $site): array
    {
        $systems = System::ofSite($site)->get()->keyBy('slug');
        $order = [];
        foreach ((array) $this->input('order', []) as $slug) {
            $system = is_string($slug) ? $systems->pull($slug) : null;
            if ($system === null) {
                $said = Message::of('judge.walk_unknown');

                throw BadInput::at('order', $said->text, [$said->code]);
            }
            $order[] = $system;
        }

        return [...$order, ...$systems->values()->all()];
    }
}
