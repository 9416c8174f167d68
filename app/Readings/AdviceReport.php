<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\Age;
use App\Models\Dose;
use App\Models\System;
use App\Models\WaterSource;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Dose\BoundAmmonia;
use Ironwort\Core\Judge\Advice;
use Ironwort\Core\Judge\Point;
use Ironwort\Core\Words\Message;

/** What the run of readings says. */
final readonly class AdviceReport
{
    private const DAYS_BACK = 60;

    public function __construct(private LimitsInForce $limits) {}

    /** @return list<array{code: string, text: string, rule: string, from: string}> */
    public function of(System $system): array
    {
        $zone = $system->site->timezone;
        /** @var list<object{parameter: string, value: string, high: string, taken_at: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT r.parameter, r.value, r.high, r.taken_at FROM readings r JOIN visits v ON v.id = r.visit_id
                AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at > ? ORDER BY r.taken_at DESC LIMIT 4000
            SQL
            ,
            [$system->id, Carbon::now()->subDays(self::DAYS_BACK)],
        );
        $courses = [];
        foreach ($rows as $row) {
            $at = Carbon::parse($row->taken_at)->setTimezone($zone);
            $courses[$row->parameter][] = new Point(
                max(0.0, $at->diffInDays(Carbon::now())),
                (float) $row->value,
                (float) $row->high,
                $at->hour + $at->minute / 60,
            );
        }
        $source =
            $system->water_id === null
                ? null
                : WaterSource::query()->with('tests')->find($system->water_id)?->reading('no3_n_mg_l');

        $setBack = SetbackNotice::of($system);

        return [
            ...$setBack === null
                ? []
                : [
                    [
                        ...$setBack->toArray(),
                        'rule' => SetbackNotice::RULE,
                        'from' => 'the filter setbacks in the book',
                    ],
                ],
            ...$this->bound($system),
            ...array_map(
                static fn(Advice $advice): array => [
                    ...$advice->message->toArray(),
                    'rule' => $advice->rule,
                    'from' => $advice->from,
                ],
                Advice::of(
                    $courses,
                    $this->limits->table($system),
                    $system->judgedAs(),
                    $source,
                    $system->fish->isNotEmpty(),
                ),
            ),
        ];
    }

    /**
     * @return list<array{code: string, text: string, rule: string, from: string}> ammonia read with a binder in the
     *     water
     */
    private function bound(System $system): array
    {
        /** @var ?Dose $given */
        $given = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'binder')
            ->where('given_at', '>=', Carbon::now()->subHours(BoundAmmonia::HOURS))
            ->orderByDesc('given_at')
            ->first();

        return $given !== null
            ? [
                [
                    ...Message::of('dose.bound_ammonia')->toArray(),
                    'rule' => BoundAmmonia::RULE,
                    'from' => 'binder ' . Age::of($given->given_at),
                ],
            ]
            : [];
    }
}
