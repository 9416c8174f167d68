<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Day;
use App\Actions\ReadTypedReadings;
use App\Actions\TypedInputs;
use App\Actions\Yes;
use App\Models\Good;
use App\Models\Kit;
use App\Models\OwnLimit;
use App\Models\SchoolChoice;
use App\Models\System;
use App\Models\TestPlan;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Reports\Judging;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Judge\Bounds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\School;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\Topic;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\UnreadableNumber;

/** What readings are taken with and judged by: kits, source waters, limits and intervals of one's own. */
final class ShelfController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $site = $this->person($request)->site;

        /** @var Collection<int, Kit> $kits */
        $kits = Kit::query()->where('site_id', $site->id)->orderBy('parameter')->orderBy('name')->get();
        /** @var Collection<int, WaterSource> $waters */
        $waters = WaterSource::query()->where('site_id', $site->id)->with('tests')->orderBy('position')->orderBy('name')->get();

        /** @var Collection<int, Good> $goods */
        $goods = Good::query()->where('site_id', $site->id)->orderBy('kind')->orderBy('name')->limit(200)->get();

        return new JsonResponse([
            'goods' => array_values($goods->map(static fn (Good $good): array => ['id' => $good->id, 'kind' => $good->kind, 'name' => $good->name, 'label' => (object) $good->label, 'cap_ml' => $good->cap_ml, 'expires_on' => $good->expires_on?->toDateString(), 'expired' => $good->expires_on?->isPast() ?? false])->all()),
            'kits' => array_values($kits->map(static fn (Kit $kit): array => [
                'id' => $kit->id, 'name' => $kit->name, 'kind' => $kit->kind, 'parameter' => $kit->parameter, 'unit' => $kit->unit, 'steps' => $kit->steps, 'resolution' => $kit->resolution,
                'expires_on' => $kit->expires_on?->toDateString(), 'expired' => $kit->expires_on?->isPast() ?? false, 'tests_left' => $kit->tests_left, 'in_use' => $kit->in_use,
            ])->all()),
            'waters' => array_values($waters->map(static fn (WaterSource $water): array => [
                'id' => $water->id, 'name' => $water->name, 'kind' => $water->kind, 'unit_name' => $water->unit_name, 'softened' => $water->softened,
                'tests' => array_values($water->tests->map(static fn (WaterTest $test): array => ['id' => $test->id, 'side' => $test->side, 'on' => $test->tested_on->toDateString(), 'chloramine' => $test->chloramine, 'readings' => array_map(static fn (string $parameter, array $reading): array => [
                    'parameter' => $parameter, 'name' => Parameter::from($parameter)->name(), 'typed' => $reading['typed'], 'unit' => Parameter::from($parameter)->symbol(), 'value' => $reading['value'],
                ], array_keys($test->readings), array_values($test->readings))])->all()),
            ])->all()),
        ]);
    }

    public function putKit(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        $site = $this->person($request)->site;
        /** @var array{name: string, kind: string, parameter: string} $given */
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:60'], 'kind' => ['required', Rule::in(Kit::KINDS)], 'parameter' => ['required', Rule::in(array_map(static fn (Parameter $p): string => $p->value, Parameter::measured()))]],
            ['name.required' => 'Give it a name.', 'kind.required' => 'Say what kind of kit it is.', 'parameter.required' => 'Say what it tests.'],
        );
        $values = (new TypedInputs([Input::number('resolution', 'Reads to', null, 1e-4, 1000)->optional(), Input::number('tests_left', 'Tests left', null, 0, 100000)->optional()]))->read($request->all());
        $unit = $request->input('unit');
        $parameter = Parameter::from($given['parameter']);
        if ($unit !== null && $unit !== '' && ! in_array($unit, array_map(static fn ($u): string => $u->value, $parameter->units()), true)) {
            throw BadInput::at('unit', "{$parameter->name()} is not read in that.");
        }
        $columns = [
            ...$given, 'site_id' => $site->id, 'unit' => $unit === '' || $unit === null ? ($parameter->units()[0] ?? null)?->value : $unit, 'steps' => self::steps($request->input('steps')), 'resolution' => $values['resolution'] ?? null,
            'tests_left' => isset($values['tests_left']) && is_numeric($values['tests_left']) ? (int) $values['tests_left'] : null, 'expires_on' => self::expiry($request), 'in_use' => Yes::said($request->input('in_use', 'yes')),
        ];
        DB::transaction(static function () use ($columns, $id, $site): void {
            if ($columns['in_use']) {
                Kit::query()->where('site_id', $site->id)->where('parameter', $columns['parameter'])->where('id', '<>', strtoupper($id))->update(['in_use' => false]);
            }
            $kit = Kit::query()->where('site_id', $site->id)->find(strtoupper($id)) ?? new Kit(['id' => strtoupper($id)]);
            $kit->fill($columns)->save();
        });

        return $this->show($request);
    }

    /** Something on the shelf with what its label says: no brand and no dose is assumed. */
    public function putGood(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        $site = $this->person($request)->site;
        /** @var array{name: string, kind: string} $given */
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:60', Rule::unique('goods', 'name')->where('site_id', $site->id)->ignore(strtoupper($id))], 'kind' => ['required', Rule::in(array_keys(Good::LABELS))]],
            ['name.required' => 'Give it a name.', 'name.unique' => 'There is one of this name already.', 'kind.required' => 'Say what it is.'],
        );
        $fields = ['label_ml' => Input::number('label_ml', 'By its label', 'mL', 0.0001, 100000), 'label_treats_l' => Input::number('label_treats_l', 'treats', 'L', 0.1, 1e7), 'label_chlorine_mg_l' => Input::number('label_chlorine_mg_l', 'holding so much chlorine', 'mg/L', 0.01, 20)->optional(), 'label_binds_mg_l' => Input::number('label_binds_mg_l', 'and binds', 'mg/L as N', 0.01, 100)];
        $asked = array_values(array_intersect_key($fields, array_flip(Good::LABELS[$given['kind']])));
        $values = (new TypedInputs([...$asked, Input::number('cap_ml', 'A cap holds', 'mL', 0.1, 1000)->optional()]))->read($request->all());
        $label = array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, array_diff_key($values, ['cap_ml' => 0]));
        $good = Good::query()->where('site_id', $site->id)->find(strtoupper($id)) ?? new Good(['id' => strtoupper($id), 'site_id' => $site->id]);
        $good->fill([...$given, 'label' => [...$label, ...($request->input('unit') === 'g' ? ['unit' => 'g'] : [])], 'cap_ml' => $values['cap_ml'] ?? null, 'expires_on' => self::expiry($request)])->save();

        return $this->show($request);
    }

    public function removeGood(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        Good::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return $this->show($request);
    }

    public function removeKit(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        Kit::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return $this->show($request);
    }

    public function putWater(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        $site = $this->person($request)->site;
        /** @var array{name: string, kind: string, unit_name?: ?string} $given */
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:60', Rule::unique('waters', 'name')->where('site_id', $site->id)->ignore(strtoupper($id))], 'kind' => ['required', Rule::in(WaterSource::KINDS)], 'unit_name' => ['nullable', 'string', 'max:60']],
            ['name.required' => 'Give it a name.', 'name.unique' => 'There is one of this name already.', 'kind.required' => 'Say what water it is.'],
        );
        $water = WaterSource::query()->where('site_id', $site->id)->find(strtoupper($id)) ?? new WaterSource(['id' => strtoupper($id), 'site_id' => $site->id]);
        $water->fill([...$given, 'softened' => Yes::said($request->input('softened')), 'unit_name' => ($given['unit_name'] ?? '') === '' ? null : $given['unit_name']])->save();

        return $this->show($request);
    }

    public function testWater(Request $request, string $water, string $id): JsonResponse
    {
        Gate::authorize('write');
        $person = $this->person($request);
        $found = WaterSource::query()->where('site_id', $person->site_id)->findOrFail(strtoupper($water));
        $rows = $request->input('readings');
        $typed = new ReadTypedReadings(array_map(static fn (mixed $row): array => ['typed' => is_array($row) && is_string($row['typed'] ?? null) ? mb_substr($row['typed'], 0, 20) : null, 'unit' => is_array($row) && is_string($row['unit'] ?? null) ? $row['unit'] : null], is_array($rows) ? $rows : []));
        if ($typed->errors !== []) {
            throw new BadInput($typed->errors);
        }
        if ($typed->readings === []) {
            throw BadInput::at('readings', 'Type at least one reading.');
        }
        WaterTest::query()->firstOrCreate(['id' => strtoupper($id)], [
            'site_id' => $person->site_id, 'water_id' => $found->id, 'user_id' => $person->id, 'side' => $request->input('side') === 'treated' ? 'treated' : 'raw', 'chloramine' => Yes::said($request->input('chloramine')),
            'tested_on' => Day::read($request->all(), 'tested_on') ?? Carbon::now($person->site->timezone)->toDateString(),
            'readings' => array_map(static fn (Reading $reading): array => ['typed' => $typed->rows[$reading->parameter->value]['typed'] ?? '', 'unit' => $typed->rows[$reading->parameter->value]['unit'] ?? null, 'value' => $reading->value], $typed->readings),
        ]);

        return $this->show($request);
    }

    public function removeWater(Request $request, string $id): JsonResponse
    {
        Gate::authorize('write');
        WaterSource::query()->where('site_id', $this->person($request)->site_id)->whereKey(strtoupper($id))->delete();

        return $this->show($request);
    }

    public function limits(System $system, Judging $judging): JsonResponse
    {
        $own = OwnLimit::query()->where('system_id', $system->id)->get()->keyBy('parameter');
        $plans = TestPlan::query()->where('system_id', $system->id)->get()->keyBy('parameter');

        return new JsonResponse([
            'water_id' => $system->water_id,
            'topics' => $this->topics($system, $judging),
            'limits' => array_map(static function (Parameter $parameter) use ($system, $judging, $own, $plans): array {
                $shipped = $judging->usual($system, $parameter);
                $mine = $own->get($parameter->value);
                $shown = static fn (?Bounds $bounds): ?array => $bounds === null ? null : ['watch' => $parameter->shown($bounds->watch), 'act' => $parameter->shown($bounds->act), 'emergency' => $parameter->shown($bounds->emergency)];
                $plan = $plans->get($parameter->value);

                return [
                    'parameter' => $parameter->value, 'name' => $parameter->name(), 'unit' => $parameter->symbol(), 'shipped' => ['below' => $shown($shipped->below), 'above' => $shown($shipped->above)],
                    'own' => $mine instanceof OwnLimit ? ['below' => $shown(OwnLimit::bounds($mine->below)), 'above' => $shown(OwnLimit::bounds($mine->above)), 'reason' => $mine->reason] : null,
                    'every_h' => $plan instanceof TestPlan ? $plan->every_h : null, 'planned' => $plan instanceof TestPlan,
                ];
            }, [...Parameter::measured(), ...Parameter::derived()]),
        ]);
    }

    public function putLimit(Request $request, System $system, string $parameter, Judging $judging): JsonResponse
    {
        Gate::authorize('write');
        $of = Parameter::tryFrom($parameter) ?? throw BadInput::at('parameter', 'This is not something that is judged here.');
        $reason = $request->input('reason');
        if (! is_string($reason) || trim($reason) === '') {
            throw BadInput::at('reason', 'Say why it is other than usual.');
        }
        $sides = ['below' => self::side($request, $of, 'below', -1), 'above' => self::side($request, $of, 'above', 1)];
        if ($sides['below'] === null && $sides['above'] === null) {
            throw BadInput::at('above.watch', 'Give at least one limit.');
        }
        OwnLimit::query()->updateOrCreate(['system_id' => $system->id, 'parameter' => $of->value], [...$sides, 'site_id' => $system->site_id, 'user_id' => $this->person($request)->id, 'reason' => mb_substr(trim($reason), 0, 200)]);

        return $this->limits($system, $judging);
    }

    public function removeLimit(System $system, string $parameter, Judging $judging): JsonResponse
    {
        Gate::authorize('write');
        OwnLimit::query()->where('system_id', $system->id)->where('parameter', $parameter)->delete();

        return $this->limits($system, $judging);
    }

    /** The school a system follows in one topic, or back to what is usual. */
    public function putSchool(Request $request, System $system, string $topic, Judging $judging, SchoolTable $schools): JsonResponse
    {
        Gate::authorize('write');
        $of = $schools->topics[$topic] ?? throw BadInput::at('school', 'This is nothing keepers differ in here.');
        $school = $request->input('school');
        if (! is_string($school) || ! isset($of->schools[$school])) {
            throw BadInput::at('school', 'There is no such school.');
        }
        $reason = $request->input('reason');
        if ($school === array_key_first($of->schools)) {
            SchoolChoice::query()->where('system_id', $system->id)->where('topic', $topic)->delete();
        } else {
            SchoolChoice::query()->updateOrCreate(['system_id' => $system->id, 'topic' => $topic], ['school' => $school, 'reason' => is_string($reason) && trim($reason) !== '' ? mb_substr(trim($reason), 0, 200) : null, 'site_id' => $system->site_id, 'user_id' => $this->person($request)->id]);
        }
        $system->unsetRelation('schools');

        return $this->limits($system, $judging);
    }

    /** @return list<array<string, mixed>> */
    private function topics(System $system, Judging $judging): array
    {
        $following = $judging->following($system);

        return array_values(array_map(static fn (Topic $topic): array => [
            'id' => $topic->id, 'name' => $topic->name, 'follows' => $following->in($topic->id)->id, 'says' => $following->in($topic->id)->says, 'reason' => $system->schools->firstWhere('topic', $topic->id)?->reason,
            'schools' => array_values(array_map(static fn (School $school): array => ['id' => $school->id, 'name' => $school->name], $topic->schools)),
        ], $judging->topics()));
    }

    public function putPlan(Request $request, System $system, string $parameter, Judging $judging): JsonResponse
    {
        Gate::authorize('write');
        $of = Parameter::tryFrom($parameter) ?? throw BadInput::at('parameter', 'This is not something that is tested here.');
        if ($request->input('way') === 'usual') {
            TestPlan::query()->where('system_id', $system->id)->where('parameter', $of->value)->delete();
        } else {
            $values = $request->input('way') === 'never' ? [] : (new TypedInputs([Input::number('every_h', 'Every', 'h', 1, 8784)]))->read($request->all());
            TestPlan::query()->updateOrCreate(['system_id' => $system->id, 'parameter' => $of->value], ['site_id' => $system->site_id, 'every_h' => $values['every_h'] ?? null]);
        }

        return $this->limits($system, $judging);
    }

    public function putSource(Request $request, System $system, Judging $judging): JsonResponse
    {
        Gate::authorize('write');
        $id = $request->input('water');
        if ($id !== null && $id !== '' && ! WaterSource::query()->where('site_id', $system->site_id)->where('id', $id)->exists()) {
            throw BadInput::at('water', 'There is no such water.');
        }
        $system->water_id = is_string($id) && $id !== '' ? $id : null;
        $system->save();

        return $this->limits($system, $judging);
    }

    private static function expiry(Request $request): ?string
    {
        $text = $request->input('expires_on');
        if (! is_string($text) || trim($text) === '') {
            return null;
        }

        return preg_match('/^\d{4}-\d{2}-\d{2}$/', $text) === 1 && strtotime($text) !== false ? $text : throw BadInput::at('expires_on', 'Write the day as 2026-05-31.');
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

    /** @return ?array{watch: float, act: float, emergency: float} canonical */
    private static function side(Request $request, Parameter $parameter, string $side, int $sign): ?array
    {
        $given = $request->input($side);
        $typed = is_array($given) ? array_map(static fn (mixed $value): string => is_string($value) ? trim($value) : '', $given) : [];
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
        if ($sign * $values['watch'] > $sign * $values['act'] || $sign * $values['act'] > $sign * $values['emergency']) {
            throw BadInput::at("{$side}.act", 'Watch comes before act, and act before emergency.');
        }

        return $values;
    }
}
