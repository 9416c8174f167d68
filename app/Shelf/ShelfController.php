<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Forms\Day;
use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Models\Kit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\UnreadableNumber;

/** What readings are taken with: kits; and all else that stands on the shelf, read together. */
final class ShelfController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf) {}

    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function putKit(Request $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        /** @var array{name: string, kind: string, parameter: string} $given */
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:60'],
                'kind' => ['required', Rule::in(Kit::KINDS)],
                'parameter' => [
                    'required',
                    Rule::in(array_map(static fn(Parameter $p): string => $p->value, Parameter::measured())),
                ],
            ],
            [
                'name.required' => 'Give it a name.',
                'kind.required' => 'Say what kind of kit it is.',
                'parameter.required' => 'Say what it tests.',
            ],
        );
        $values = (new TypedInputs([
            Input::number('resolution', 'Reads to', null, 1e-4, 1000)->optional(),
            Input::number('range_from', 'Reads from', null, -1000, 1e6)->optional(),
            Input::number('range_to', 'up to', null, -1000, 1e6)->optional(),
            Input::number('tests_left', 'Tests left', null, 0, 100000)->optional(),
        ]))->read($request->all());
        $unit = $request->input('unit');
        $parameter = Parameter::from($given['parameter']);
        if (
            $unit !== null &&
            $unit !== '' &&
            !in_array($unit, array_map(static fn($u): string => $u->value, $parameter->units()), true)
        ) {
            throw BadInput::at('unit', "{$parameter->name()} is not read in that.");
        }
        if (isset($values['range_from'], $values['range_to']) && $values['range_from'] >= $values['range_to']) {
            throw BadInput::at('range_to', 'It reads up to more than it reads from.');
        }
        $columns = [
            ...$given,
            'site_id' => $site->id,
            'unit' => $unit === '' || $unit === null ? ($parameter->units()[0] ?? null)?->value : $unit,
            'steps' => self::steps($request->input('steps')),
            'resolution' => $values['resolution'] ?? null,
            'range_from' => $values['range_from'] ?? null,
            'range_to' => $values['range_to'] ?? null,
            'tests_left' =>
                isset($values['tests_left']) && is_numeric($values['tests_left']) ? (int) $values['tests_left'] : null,
            'expires_on' => Day::coming($request->all(), 'expires_on'),
            'in_use' => $request->boolean('in_use', true),
        ];
        DB::transaction(static function () use ($columns, $id, $site): void {
            if ($columns['in_use']) {
                Kit::query()
                    ->where('site_id', $site->id)
                    ->where('parameter', $columns['parameter'])
                    ->where('id', '<>', strtoupper($id))
                    ->update(['in_use' => false]);
            }
            $kit =
                Kit::query()->where('site_id', $site->id)->find(strtoupper($id)) ?? new Kit(['id' => strtoupper($id)]);
            $kit->fill($columns)->save();
        });

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function removeKit(Request $request, string $id): JsonResponse
    {
        Kit::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    /** @return list<float> */
    private static function steps(mixed $typed): array
    {
        $words = is_string($typed) ? preg_split('/[\s;]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) : [];
        $steps = [];
        foreach ($words === false ? [] : $words as $word) {
            try {
                $steps[] = TypedNumber::read($word)->value;
            } catch (UnreadableNumber $fault) {
                throw BadInput::at('steps', $fault->getMessage());
            }
            if (count($steps) > 1 && $steps[count($steps) - 1] <= $steps[count($steps) - 2]) {
                throw BadInput::at('steps', 'The steps rise from one to the next.');
            }
        }

        return $steps;
    }
}
