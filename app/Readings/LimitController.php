<?php

declare(strict_types=1);

namespace App\Readings;

use App\Http\Controller;
use App\Models\OwnLimit;
use App\Models\System;
use App\Models\TestPlan;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Judge\Bounds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\School;
use Ironwort\Core\Judge\Topic;

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

    public function put(OwnLimitRequest $request, System $system, LimitsInForce $judging): JsonResponse
    {
        OwnLimit::query()->updateOrCreate(
            ['system_id' => $system->id, 'parameter' => $request->parameter()->value],
            [
                'reason' => $request->reason(),
                ...$request->sides(),
                'site_id' => $system->site_id,
                'user_id' => $this->person($request)->id,
            ],
        );

        return $this->show($system, $judging);
    }

    public function remove(System $system, string $parameter, LimitsInForce $judging): JsonResponse
    {
        OwnLimit::query()->where('system_id', $system->id)->where('parameter', $parameter)->delete();

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
                    'own' => $system->schools->firstWhere('topic', $topic->id)?->school,
                    'site' => $system->site->schools->firstWhere('topic', $topic->id)?->school,
                    'reason' => (
                        $system->schools->firstWhere('topic', $topic->id) ??
                        $system->site->schools->firstWhere('topic', $topic->id)
                    )?->reason,
                    'changes' => $topic->changes,
                    'why' => $topic->why,
                    'usual' => array_key_first($topic->schools),
                    'schools' => array_values(
                        array_map(
                            static fn(School $school): array => [
                                'id' => $school->id,
                                'name' => $school->name,
                                'says' => $school->says,
                                'risk' => $school->risk,
                            ],
                            $topic->schools,
                        ),
                    ),
                ],
                $judging->topics(),
            ),
        );
    }

    public function putPlan(TestPlanRequest $request, System $system, LimitsInForce $judging): JsonResponse
    {
        $of = ['system_id' => $system->id, 'parameter' => $request->parameter()->value];
        if ($request->usual()) {
            TestPlan::query()->where($of)->delete();
        } else {
            TestPlan::query()->updateOrCreate($of, ['site_id' => $system->site_id, 'every_h' => $request->everyH()]);
        }

        return $this->show($system, $judging);
    }

    public function putSource(SourceRequest $request, System $system, LimitsInForce $judging): JsonResponse
    {
        $system->water_id = $request->source($system);
        $system->save();

        return $this->show($system, $judging);
    }
}
