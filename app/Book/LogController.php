<?php

declare(strict_types=1);

namespace App\Book;

use App\Http\ClientKey;
use App\Http\Controller;
use App\Maturing\BookSeed;
use App\Models\Age;
use App\Models\Seed;
use App\Models\Switching;
use App\Models\System;
use App\Models\Visit;
use App\Readings\LatestWater;
use App\Readings\Strip;
use App\Readings\VisitResource;
use App\Readings\WaterMeaning;
use App\Readings\WithdrawVisit;
use App\Running\SwitchThing;
use App\Service\TellService;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Book\LogFault;
use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;

/** The log bar: what a line is understood as, and keeping it. */
final class LogController extends Controller
{
    public function __construct(
        private readonly KeepLine $lines,
        private readonly BookSeed $seeds,
        private readonly SwitchThing $switches,
        private readonly TellService $services,
    ) {}

    public function meaning(LineRequest $request, System $system, WaterMeaning $meaning): JsonResponse
    {
        $line = $this->line($request, $system);
        $readings = KeepLine::readings($line);
        $understood = $meaning->of($system, LatestWater::of($system), $readings);

        return new JsonResponse([
            'readings' => array_values(
                array_map(
                    static fn(Strip $strip): array => $strip->toArray(),
                    array_filter(
                        $understood->strips,
                        static fn(Strip $strip): bool => isset($readings[$strip->reading->parameter->value]) ||
                            self::follows($strip->reading->parameter, $readings),
                    ),
                ),
            ),
            'taken_at' =>
                $line->time === null
                    ? null
                    : KeepLine::when($line->time, $system->site->timezone)->toIso8601ZuluString(),
            'asks' => $understood->toArray()['asks'],
            'place' => $line->place,
            'feed_g' => $line->feedG,
            'change_l' => $line->changeL,
            'change_pct' => $line->changePct,
            'switch' =>
                $line->switch === null
                    ? null
                    : ['word' => $line->switch->word, 'name' => $line->switch->name, 'state' => $line->switch->state],
            'service' =>
                $line->service === null
                    ? null
                    : [
                        'word' => $line->service->word,
                        'name' => $line->service->name,
                        'seconds' => $line->service->seconds,
                    ],
            'seed' => $line->seed === null ? null : ['litres' => $line->seed->litres, 'from' => $line->seed->from],
            'spot' => $line->spot,
            'note' => $line->note,
            'faults' => array_map(
                static fn(LogFault $fault): array => [
                    'at' => $fault->at,
                    'length' => $fault->length,
                    'message' => $fault->message,
                ],
                $line->faults,
            ),
        ]);
    }

    /** @param  array<string, Reading>  $typed */
    private static function follows(Parameter $parameter, array $typed): bool
    {
        return array_filter($parameter->follows(), static fn(Parameter $of): bool => isset($typed[$of->value])) !== [];
    }

    /** Takes back all that one line booked: readings, feed, words and a change, which share its key. */
    public function withdraw(Request $request, System $system, string $id, WithdrawVisit $withdraw): Response
    {
        $key = strtoupper($id);
        $person = $this->person($request);
        [$seeds, $switches, $services] = [$this->seeds, $this->switches, $this->services];
        DB::transaction(static function () use ($system, $key, $person, $withdraw, $seeds, $switches, $services): void {
            foreach (KeepLine::KINDS as $class) {
                ClientKey::refuseForeign($class, $key, $system->site_id, $system->id);
            }
            /** @var ?Visit $visit */
            $visit = Visit::query()
                ->where('system_id', $system->id)
                ->whereNull('withdrawn_at')
                ->where('id', $key)
                ->first();
            if ($visit !== null) {
                $withdraw->withdraw($visit, $person);
            }
            $seed = Seed::query()->where('system_id', $system->id)->whereKey($key)->first();
            if ($seed !== null) {
                $seeds->undo($seed);
            }
            $switched = Switching::query()
                ->where('system_id', $system->id)
                ->whereKey($key)
                ->whereNull('withdrawn_at')
                ->first();
            if ($switched !== null) {
                $switches->undo($switched, $system);
            }
            $services->undo($key, $system);
            foreach (['feeds', 'notes', 'changes'] as $table) {
                DB::table($table)
                    ->where('system_id', $system->id)
                    ->where('id', $key)
                    ->whereNull('withdrawn_at')
                    ->update(['withdrawn_at' => now()]);
            }
        });

        return response()->noContent();
    }

    public function store(LineRequest $request, System $system): JsonResponse
    {
        $line = $this->line($request, $system);
        $id = $request->id();
        $visit = $this->lines->keep($system, $this->person($request), $id, $line);
        $besides = array_keys(
            array_filter([
                'feed' => $line->feedG !== null,
                'a change of water' => $line->changeL !== null || $line->changePct !== null,
                'a seed' => $line->seed !== null,
                'a switching' => $line->switch !== null,
                'a service' => $line->service !== null,
                'a note' => $line->note !== null,
            ]),
        );
        if ($visit === null) {
            $at = KeepLine::when($line->time, $system->site->timezone);

            return new JsonResponse(
                [
                    'id' => $id,
                    'taken_at' => $at->toIso8601ZuluString(),
                    'age' => Age::of($at),
                    'by' => $this->person($request)->name,
                    'bay' => null,
                    'spot' => null,
                    'readings' => [],
                    'besides' => $besides,
                ],
                201,
            );
        }
        $visit->load(['readings', 'user', 'vessel']);

        return new JsonResponse(
            [...VisitResource::of($visit), 'besides' => $besides],
            $visit->wasRecentlyCreated ? 201 : 200,
        );
    }

    private function line(LineRequest $request, System $system): LogLine
    {
        $system->unsetRelations();

        return $this->lines->read($system, $request->line(), $this->person($request)->unitChoice());
    }
}
