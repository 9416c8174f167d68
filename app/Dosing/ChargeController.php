<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Http\Overridden;
use App\Http\SameDeed;
use App\Models\Charge;
use App\Models\System;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use App\Volumes\WaterBodies;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Words\Message;

/** Zeolite, resin and carbon that hang in the loop. */
final class ChargeController extends Controller
{
    public function __construct(
        private readonly CourseReport $courses,
        private readonly JudgeDose $judge,
        private readonly AgentTable $agents,
        private readonly WaterBodies $bodies,
    ) {}

    /** A charge goes in. Zeolite and resin never into salted water. */
    public function put(Request $request, System $system, string $id): JsonResponse
    {
        $values = (new TypedInputs([
            Input::choice('kind', 'What it is', Charge::KINDS),
            Input::number('mass_g', 'How much', 'g', 1, 1e7),
            Input::number('capacity_mg_n_per_g', 'It holds', 'mg N/g', 0.05, 30)->optional(),
            Input::number('cycles', 'Regenerated', null, 0, 100)->optional(),
        ]))->read($request->all());
        $done = $request->boolean('done');
        $new = !Charge::query()->whereKey(strtoupper($id))->exists();
        if ($new && $values['kind'] !== 'carbon') {
            $refusals = $this->againstZeolite($system);
            if ($refusals !== [] && !$done) {
                throw BadInput::at('kind', implode(' ', Message::texts($refusals)), Message::codes($refusals));
            }
            Overridden::log('zeolite hung', Message::codes($refusals), true, $system, $this->person($request));
        }
        if ($new && !$request->boolean('again')) {
            SameDeed::refuse(
                Charge::in($system)->where('kind', $values['kind']),
                'put_in_at',
                $system,
                $this->person($request),
                Carbon::now(),
                static fn(Charge $charge): string => Measures::grams($charge->mass_g) . " of {$charge->kind}",
            );
        }
        DB::transaction(function () use ($id, $values, $system, $request, $done): void {
            $charge = Charge::query()->firstOrCreate(
                ['id' => strtoupper($id)],
                [
                    ...$values,
                    'cycles' => is_numeric($values['cycles'] ?? null) ? (int) $values['cycles'] : 0,
                    'put_in_at' => Carbon::now(),
                    'as_fact' => $done,
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'user_id' => $this->person($request)->id,
                ],
            );
            $kind = ['zeolite' => 'zeolite', 'resin' => 'zeolite', 'carbon' => 'carbon'][$charge->kind] ?? null;
            if ($charge->wasRecentlyCreated && $kind !== null) {
                $taken = TakeFromShelf::off($system->site_id, $kind, $charge->mass_g, 'g');
                $charge->fill(['good_id' => $taken?->goodId, 'from_shelf' => $taken?->amount])->save();
            }
        });

        return $this->show($system);
    }

    /** It never went in: it hung there for no time at all, and what it took goes back on the shelf. */
    public function withdraw(System $system, string $id): JsonResponse
    {
        DB::transaction(static function () use ($system, $id): void {
            $charge = Charge::query()->where('system_id', $system->id)->lockForUpdate()->findOrFail(strtoupper($id));
            Unhang::charge($charge);
        });

        return $this->show($system);
    }

    /** Out of the loop; regenerated, it goes back in as a charge that holds a little less. */
    public function takeOut(Request $request, System $system, string $id): JsonResponse
    {
        DB::transaction(function () use ($request, $system, $id): void {
            $query = Charge::query()->where('system_id', $system->id);
            $charge = $query->findOrFail(strtoupper($id));
            if ($charge->taken_out_at !== null) {
                return;
            }
            $charge->fill(['taken_out_at' => Carbon::now()])->save();
            if ($request->boolean('regenerated')) {
                Charge::query()->create([
                    ...$charge->only(['site_id', 'system_id', 'kind', 'mass_g', 'capacity_mg_n_per_g']),
                    'user_id' => $this->person($request)->id,
                    'cycles' => $charge->cycles + 1,
                    'put_in_at' => Carbon::now(),
                ]);
            }
        });

        return $this->show($system);
    }

    /** @return list<Message> what stands in the water that it does not go with */
    private function againstZeolite(System $system): array
    {
        $dosable = Dosable::all($system, $this->agents)['zeolite'];
        $state = $this->judge->state($system, $this->bodies->find($system, null), LatestWater::of($system));

        return $this->judge->conflicts($dosable, $state)->refusals;
    }

    private function show(System $system): JsonResponse
    {
        return new JsonResponse($this->courses->of($system->unsetRelations(), LatestWater::of($system)));
    }
}
