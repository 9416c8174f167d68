<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Models\Good;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\ShelfKind;

/** What stands on the shelf to be dosed: by whose label, how strong, how old, how much is left. */
final class GoodController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf, private readonly AgentTable $agents) {}

    /** Something on the shelf with what its label says: no brand and no dose is assumed. */
    public function put(Request $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        $kinds = ShelfKind::all($this->agents);
        /** @var array{name: string, kind: string, lot?: ?string} $given */
        $given = $request->validate(
            [
                'name' => [
                    'required',
                    'string',
                    'max:60',
                    Rule::unique('goods', 'name')->where('site_id', $site->id)->ignore(strtoupper($id)),
                ],
                'kind' => ['required', Rule::in(array_keys($kinds))],
                'lot' => ['nullable', 'string', 'max:40'],
            ],
            [
                'name.required' => 'Give it a name.',
                'name.unique' => 'There is one of this name already.',
                'kind.required' => 'Say what it is.',
                'lot.max' => 'Forty letters at most.',
            ],
        );
        $kind = $kinds[$given['kind']];
        $labels = [
            'label_ml' => Input::number('label_ml', 'By its label', 'mL', 0.0001, 100000),
            'label_treats_l' => Input::number('label_treats_l', 'treats', 'L', 0.1, 1e7),
            'label_chlorine_mg_l' => Input::number(
                'label_chlorine_mg_l',
                'holding so much chlorine',
                'mg/L',
                0.01,
                20,
            )->optional(),
            'label_binds_mg_l' => Input::number('label_binds_mg_l', 'and binds', 'mg/L as N', 0.01, 100),
        ];
        $strength = Input::number('strength_pct', 'Strength', '%', 0.01, 100);
        $values = (new TypedInputs([
            ...array_values(array_intersect_key($labels, array_flip($kind->label))),
            ...$kind->hasStrength ? [$kind->usualPct === null ? $strength : $strength->optional()] : [],
            Input::number('cap_ml', 'A cap holds', 'mL', 0.1, 1000)->optional(),
            Input::number('amount', 'Left of it', null, 0, 1e9)->optional(),
        ]))->read($request->all());
        $number = static fn(string $key): ?float => is_numeric($values[$key] ?? null) ? (float) $values[$key] : null;
        $good =
            Good::query()->where('site_id', $site->id)->find(strtoupper($id)) ??
            new Good(['id' => strtoupper($id), 'site_id' => $site->id]);
        $good
            ->fill([
                'name' => $given['name'],
                'kind' => $kind->id,
                'label' => array_filter(array_combine($kind->label, array_map($number, $kind->label)), is_float(...)),
                'cap_ml' => $number('cap_ml'),
                'unit' => $kind->id === 'agent' && $request->input('unit') === 'g' ? 'g' : $kind->unit,
                'amount' => $number('amount'),
                'strength_pct' => $kind->hasStrength ? $number('strength_pct') ?? $kind->usualPct : null,
                'opened_on' => Day::read($request->all(), 'opened_on'),
                'lot' => trim($given['lot'] ?? '') === '' ? null : trim((string) $given['lot']),
                'expires_on' => Day::coming($request->all(), 'expires_on'),
            ])
            ->save();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function remove(Request $request, string $id): JsonResponse
    {
        Good::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }
}
