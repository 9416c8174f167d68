<?php

declare(strict_types=1);

namespace App\Readings;

use App\Http\ClientKey;
use App\Models\Kit;
use App\Models\System;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;

/**
 * Books the readings of one visit, all or none.
 *
 * A kit on the shelf has one test less after it; a correction is written, not tested again.
 * The key is made by whoever books, so the same visit sent again (a double click, a retry after a
 * dropped connection) is found rather than booked twice.
 */
final readonly class BookVisit
{
    /** A clock may run a little ahead of this one. */
    private const CLOCK_SLACK_MINUTES = 2;

    /**
     * @param  array<string, Reading>  $readings  by parameter
     * @param  array<string, array{typed?: ?string, unit?: ?string}>  $typed  by parameter
     *
     * @throws BadInput
     */
    public function book(
        string $id,
        System $system,
        User $user,
        Carbon $takenAt,
        array $readings,
        array $typed,
        ?string $vesselId = null,
        ?Visit $corrects = null,
        ?string $spot = null,
    ): Visit {
        if ($readings === []) {
            throw BadInput::at('readings', 'Type at least one reading.');
        }
        if ($takenAt->isAfter(now()->addMinutes(self::CLOCK_SLACK_MINUTES))) {
            throw BadInput::at('taken_at', 'This time is in the future. Enter when the reading was taken.');
        }
        if ($takenAt->isBefore(now()->subYears(50))) {
            throw BadInput::at('taken_at', 'This time is too long ago.');
        }

        return DB::transaction(function () use (
            $id,
            $system,
            $user,
            $takenAt,
            $readings,
            $typed,
            $vesselId,
            $corrects,
            $spot,
        ): Visit {
            $booked = DB::table('visits')->insertOrIgnore([
                'id' => $id,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'vessel_id' => $vesselId,
                'corrects_id' => $corrects?->id,
                'spot' => isset($readings[Parameter::Clarity->value]) ? $spot : null,
                'taken_at' => $takenAt,
                'booked_at' => now()->max($takenAt),
            ]);
            ClientKey::refuseForeign(Visit::class, $id, $system->site_id, $system->id);
            $visit = Visit::query()->findOrFail($id);
            if ($booked === 0) {
                return $visit;
            }
            if ($corrects !== null) {
                (new WithdrawVisit())->withdraw($corrects, $user);
            }
            DB::table('readings')->insert(self::rows($id, $system, $takenAt, $readings, $typed));
            if ($corrects === null) {
                Kit::query()
                    ->where('site_id', $system->site_id)
                    ->where('in_use', true)
                    ->where('tests_left', '>', 0)
                    ->whereIn('parameter', array_keys($readings))
                    ->decrement('tests_left');
            }
            $visit->wasRecentlyCreated = true;

            return $visit;
        });
    }

    /**
     * @param  array<string, Reading>  $readings  by parameter
     * @param  array<string, array{typed?: ?string, unit?: ?string}>  $typed  by parameter
     * @return list<array<string, mixed>> columns of the readings of one visit
     */
    public static function rows(string $visit, System $system, Carbon $takenAt, array $readings, array $typed): array
    {
        return array_values(
            array_map(
                static fn(Reading $reading): array => [
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'visit_id' => $visit,
                    'parameter' => $reading->parameter->value,
                    'typed' => mb_substr(trim($typed[$reading->parameter->value]['typed'] ?? ''), 0, 20),
                    'unit' => $typed[$reading->parameter->value]['unit'] ?? self::usualUnit($reading->parameter),
                    'value' => $reading->value,
                    'low' => $reading->interval->low,
                    'high' => $reading->interval->high,
                    'taken_at' => $takenAt,
                ],
                $readings,
            ),
        );
    }

    private static function usualUnit(Parameter $parameter): ?string
    {
        return ($parameter->units()[0] ?? null)?->value;
    }
}
