<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Day;
use App\Http\Controller;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Readings\ReadTypedReadings;
use App\Readings\VisitRequest;
use App\Shelf\ShelfReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Reading;

/** The waters systems are filled from, and their tests. */
final class SourceWaterController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf) {}

    public function put(Request $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        /** @var array{name: string, kind: string, unit_name?: ?string} $given */
        $given = $request->validate(
            [
                'name' => [
                    'required',
                    'string',
                    'max:60',
                    Rule::unique('waters', 'name')->where('site_id', $site->id)->ignore(strtoupper($id)),
                ],
                'kind' => ['required', Rule::in(WaterSource::KINDS)],
                'unit_name' => ['nullable', 'string', 'max:60'],
            ],
            [
                'name.required' => 'Give it a name.',
                'name.unique' => 'There is one of this name already.',
                'kind.required' => 'Say what water it is.',
            ],
        );
        $water =
            WaterSource::query()->where('site_id', $site->id)->find(strtoupper($id)) ??
            new WaterSource(['id' => strtoupper($id), 'site_id' => $site->id]);
        $water
            ->fill([
                ...$given,
                'softened' => $request->boolean('softened'),
                'unit_name' => ($given['unit_name'] ?? '') === '' ? null : $given['unit_name'],
            ])
            ->save();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function test(Request $request, string $water, string $id): JsonResponse
    {
        $person = $this->person($request);
        $found = WaterSource::query()->where('site_id', $person->site_id)->findOrFail(strtoupper($water));
        $typed = new ReadTypedReadings(VisitRequest::rows($request));
        if ($typed->errors !== []) {
            throw new BadInput($typed->errors);
        }
        if ($typed->readings === []) {
            throw BadInput::at('readings', 'Type at least one reading.');
        }
        WaterTest::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                'site_id' => $person->site_id,
                'water_id' => $found->id,
                'user_id' => $person->id,
                'side' => $request->input('side') === 'treated' ? 'treated' : 'raw',
                'chloramine' => $request->boolean('chloramine'),
                'tested_on' =>
                    Day::read($request->all(), 'tested_on') ?? Carbon::now($person->site->timezone)->toDateString(),
                'readings' => array_map(
                    static fn(Reading $reading): array => [
                        'typed' => $typed->rows[$reading->parameter->value]['typed'] ?? '',
                        'unit' => $typed->rows[$reading->parameter->value]['unit'] ?? null,
                        'value' => $reading->value,
                    ],
                    $typed->readings,
                ),
            ],
        );

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function remove(Request $request, string $id): JsonResponse
    {
        WaterSource::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }
}
