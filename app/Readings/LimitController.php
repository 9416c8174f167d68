<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Models\OwnLimit;
use App\Models\SchoolChoice;
use App\Models\System;
use App\Models\TestPlan;
use App\Models\WaterSource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Bounds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\School;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\Topic;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;

/**
 * What a system is judged by, where it is filled from and how often it is tested: limits, schools and intervals of
 * one's own.
 */
final class LimitController extends Controller
{
    public function show(System $system, LimitsInForce $judging): JsonResponse
    {
        $own = OwnLimit::query()->where('system_id', $system->id)->get()->keyBy('parameter');
        $plans = TestPlan::query()->where('system_id', $system->id)->get()->keyBy('parameter');

        return new JsonResponse([
            'water_id' => $system->water_id,
            'topics' => $this->topics($system, $judging),
            'limits' => array_map(
                static function (Parameter $parameter) use ($system, $judging, $own, $plans): array {
                    $shipped = $judging->usual($system, $parameter);
                    $mine = $own->get($parameter->value);
                    $shown = static fn(?Bounds $bounds): ?array => $bounds === null
                        ? null
                        : [
                            'watch' => $parameter->shown($bounds->watch),
                            'act' => $parameter->shown($bounds->act),
                            'emergency' => $parameter->shown($bounds->emergency),
                        ];
                    $plan = $plans->get($parameter->value);

                    return [
                        'parameter' => $parameter->value,
                        'name' => $parameter->name(),
                        'unit' => $parameter->symbol(),
                        'shipped' => ['below' => $shown($shipped->below), 'above' => $shown($shipped->above)],
                        'own' =>
                            $mine instanceof OwnLimit
                                ? [
                                    'below' => $shown(OwnLimit::bounds($mine->below)),
                                    'above' => $shown(OwnLimit::bounds($mine->above)),
                                    'reason' => $mine->reason,
                                ]
                                : null,
                        'every_h' => $plan instanceof TestPlan ? $plan->every_h : null,
                        'planned' => $plan instanceof TestPlan,
                    ];
                },
                [...Parameter::measured(), ...Parameter::derived()],
            ),
        ]);
    }

    public function put(Request $request, System $system, string $parameter, LimitsInForce $judging): JsonResponse
    {
        $of =
            Parameter::tryFrom($parameter) ??
            throw BadInput::at('parameter', 'This is not something that is judged here.');
        $reason = $request->input('reason');
        if (!is_string($reason) || trim($reason) === '') {
            throw BadInput::at('reason', 'Say why it is other than usual.');
        }
        $sides = ['below' => self::side($request, $of, 'below', -1), 'above' => self::side($request, $of, 'above', 1)];
        if ($sides['below'] === null && $sides['above'] === null) {
            throw BadInput::at('above.watch', 'Give at least one limit.');
        }
        OwnLimit::query()->updateOrCreate(
            ['system_id' => $system->id, 'parameter' => $of->value],
            [
                ...$sides,
                'site_id' => $system->site_id,
                'user_id' => $this->person($request)->id,
                'reason' => mb_substr(trim($reason), 0, 200),
            ],
        );

        return $this->show($system, $judging);
    }

    public function remove(System $system, string $parameter, LimitsInForce $judging): JsonResponse
    {
        OwnLimit::query()->where('system_id', $system->id)->where('parameter', $parameter)->delete();

        return $this->show($system, $judging);
    }

    /** The school a system follows in one topic, or back to what is usual. */
    public function putSchool(
        Request $request,
        System $system,
        string $topic,
        LimitsInForce $judging,
        SchoolTable $schools,
    ): JsonResponse {
        $of = $schools->topics[$topic] ?? throw BadInput::at('school', 'This is nothing keepers differ in here.');
        $school = $request->input('school');
        if (!is_string($school) || !isset($of->schools[$school])) {
            throw BadInput::at('school', 'There is no such school.');
        }
        $reason = $request->input('reason');
        if ($school === array_key_first($of->schools)) {
            SchoolChoice::query()->where('system_id', $system->id)->where('topic', $topic)->delete();
        } else {
            SchoolChoice::query()->updateOrCreate(
                ['system_id' => $system->id, 'topic' => $topic],
                [
                    'school' => $school,
                    'reason' => is_string($reason) && trim($reason) !== '' ? mb_substr(trim($reason), 0, 200) : null,
                    'site_id' => $system->site_id,
                    'user_id' => $this->person($request)->id,
                ],
            );
        }
        $system->unsetRelation('schools');

        return $this->show($system, $judging);
    }

    /** @return list<array<string, mixed>> */
    private function topics(System $system, LimitsInForce $judging): array
    {
        $following = $judging->following($system);

        return array_values(
            array_map(
                static fn(Topic $topic): array => [
                    'id' => $topic->id,
                    'name' => $topic->name,
                    'follows' => $following->in($topic->id)->id,
                    'says' => $following->in($topic->id)->says,
                    'reason' => $system->schools->firstWhere('topic', $topic->id)?->reason,
                    'schools' => array_values(
                        array_map(
                            static fn(School $school): array => ['id' => $school->id, 'name' => $school->name],
                            $topic->schools,
                        ),
                    ),
                ],
                $judging->topics(),
            ),
        );
    }

    public function putPlan(Request $request, System $system, string $parameter, LimitsInForce $judging): JsonResponse
    {
        $of =
            Parameter::tryFrom($parameter) ??
            throw BadInput::at('parameter', 'This is not something that is tested here.');
        if ($request->input('way') === 'usual') {
            TestPlan::query()->where('system_id', $system->id)->where('parameter', $of->value)->delete();
        } else {
            $values =
                $request->input('way') === 'never'
                    ? []
                    : (new TypedInputs([Input::number('every_h', 'Every', 'h', 1, 8784)]))->read($request->all());
            TestPlan::query()->updateOrCreate(
                ['system_id' => $system->id, 'parameter' => $of->value],
                ['site_id' => $system->site_id, 'every_h' => $values['every_h'] ?? null],
            );
        }

        return $this->show($system, $judging);
    }

    public function putSource(Request $request, System $system, LimitsInForce $judging): JsonResponse
    {
        $id = $request->input('water');
        if (
            $id !== null &&
            $id !== '' &&
            !WaterSource::query()->where('site_id', $system->site_id)->where('id', $id)->exists()
        ) {
            throw BadInput::at('water', 'There is no such water.');
        }
        $system->water_id = is_string($id) && $id !== '' ? $id : null;
        $system->save();

        return $this->show($system, $judging);
    }

    /** @return ?array{watch: float, act: float, emergency: float} canonical */
    private static function side(Request $request, Parameter $parameter, string $side, int $sign): ?array
    {
        $given = $request->input($side);
        $typed = is_array($given)
            ? array_map(static fn(mixed $value): string => is_string($value) ? trim($value) : '', $given)
            : [];
        if (implode('', $typed) === '') {
            return null;
        }
        $values = [];
        foreach (['watch', 'act', 'emergency'] as $state) {
            try {
                $values[$state] = TypedReading::read($parameter, $typed[$state] ?? '', null)->value;
            } catch (UnreadableReading $fault) {
                throw BadInput::at("{$side}.{$state}", $fault->getMessage());
            }
        }
        if (
            $sign * $values['watch'] > $sign * $values['act'] ||
            $sign * $values['act'] > $sign * $values['emergency']
        ) {
            throw BadInput::at("{$side}.act", 'Watch comes before act, and act before emergency.');
        }

        return $values;
    }
}
