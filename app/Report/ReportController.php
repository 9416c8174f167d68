<?php

declare(strict_types=1);

namespace App\Report;

use App\Http\Controller;
use App\Http\CsvAnswer;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Ironwort\Core\Calc\BadInput;

/** What a month or a year was, for every system of the site: on the screen, on paper, and as CSV. */
final class ReportController extends Controller
{
    public function __construct(private readonly DaysToAct $days) {}

    public function show(Request $request): JsonResponse
    {
        [$period, $systems] = $this->asked($request);

        return new JsonResponse([
            'period' => $period->name,
            'systems' => array_map(
                static fn(array $one): array => [
                    'slug' => $one[0]->slug,
                    'name' => $one[0]->name,
                    'rows' => array_map(
                        static fn(ReportRow $row): array => [
                            'section' => $row->section,
                            'name' => $row->name,
                            'text' => $row->text,
                        ],
                        $one[1],
                    ),
                ],
                $systems,
            ),
        ]);
    }

    public function csv(Request $request): Response
    {
        [$period, $systems] = $this->asked($request);
        $table = [];
        foreach ($systems as [$system, $rows]) {
            foreach ($rows as $row) {
                $table[] = [
                    $system->name,
                    $row->section,
                    $row->name,
                    round($row->value, 6),
                    $row->unit ?? '',
                    $row->text,
                ];
            }
        }

        return CsvAnswer::of(
            "report-{$period->name}",
            ['system', 'section', 'what', 'value', 'unit', 'as read'],
            $table,
        );
    }

    /** @return array{Period, list<array{System, list<ReportRow>}>} */
    private function asked(Request $request): array
    {
        $site = $this->person($request)->site;
        $period = Period::read($request->query('period'), $site->timezone);
        $named = $request->query('system');
        $systems = System::ofSite($site)
            ->when(is_string($named) && $named !== '', static fn($query) => $query->where('slug', $named))
            ->with(['site', 'pumps', 'ownLimits', 'schools'])
            ->limit(200)
            ->get();
        if (is_string($named) && $named !== '' && $systems->isEmpty()) {
            throw BadInput::at('system', 'There is no such system here.');
        }

        return [
            $period,
            array_values(
                $systems
                    ->map(
                        fn(System $system): array => [
                            $system,
                            [...SystemReport::of($system, $period), ...$this->days->of($system, $period)],
                        ],
                    )
                    ->filter(static fn(array $one): bool => $one[1] !== [])
                    ->all(),
            ),
        ];
    }
}
