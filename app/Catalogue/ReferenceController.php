<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Book\LogSheet;
use Ironwort\Core\Dose\Agent;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\OrderOfWork;
use Ironwort\Core\Dose\Verdict;
use Ironwort\Core\Judge\Bounds;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\School;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Measure\Format;

/** The sheets that hang in the shed: limits, the log bar, the order of work with chemicals. By the tables in force. */
final class ReferenceController extends Controller
{
    public function __invoke(
        Request $request,
        LimitTable $limits,
        SchoolTable $schools,
        AgentTable $agents,
    ): JsonResponse {
        $conflicts = new Conflicts($agents);

        return new JsonResponse([
            'stages' => array_values($limits->stages),
            'limits' => self::limits($limits),
            'nitrate' => array_map(
                static fn(School $school): array => ['name' => $school->name, 'says' => $school->says],
                array_values($schools->topics['nitrate']->schools),
            ),
            'log' => LogSheet::rows($this->person($request)->unitChoice()),
            'chemicals' => array_map(
                static fn(Agent $agent): array => [
                    'name' => $agent->name,
                    'order' => OrderOfWork::of($agent, 'prolonged', []),
                    'never_with' => self::never($conflicts, $agents, $agent->id),
                    'disposal' => $agent->disposal,
                    'storage' => $agent->storage,
                ],
                array_values($agents->agents),
            ),
        ]);
    }

    /** @return list<array<string, mixed>> one row a parameter and side, with its lines at each life stage */
    private static function limits(LimitTable $limits): array
    {
        $rows = [];
        foreach (Parameter::cases() as $parameter) {
            foreach (['above', 'below'] as $side) {
                $lines = array_map(
                    static fn(string $stage): ?string => self::line(
                        $parameter,
                        $side === 'above'
                            ? $limits->for($stage, $parameter)->above
                            : $limits->for($stage, $parameter)->below,
                    ),
                    array_keys($limits->stages),
                );
                if (array_filter($lines, static fn(?string $line): bool => $line !== null) !== []) {
                    $rows[] = [
                        'name' => $parameter->name(),
                        'unit' => $parameter->symbol(),
                        'side' => $side === 'above' ? 'over' : 'under',
                        'lines' => $lines,
                    ];
                }
            }
        }

        return $rows;
    }

    /** As “0.25 · 0.5 · 2”: watch, act, emergency. */
    private static function line(Parameter $parameter, ?Bounds $bounds): ?string
    {
        return $bounds === null
            ? null
            : implode(
                ' · ',
                array_map(static fn(float $line): string => Format::number($parameter->shown($line), 3), [
                    $bounds->watch,
                    $bounds->act,
                    $bounds->emergency,
                ]),
            );
    }

    /** @return list<string> names of what it must never meet */
    private static function never(Conflicts $conflicts, AgentTable $agents, string $id): array
    {
        $names = [];
        foreach ($conflicts->things() as $other) {
            if ($other !== $id && $conflicts->pair($id, $other)->verdict === Verdict::Refused) {
                $names[] = $agents->agents[$other]->name ?? ucfirst(str_replace('_', ' ', $other));
            }
        }

        return $names;
    }
}
