<?php

declare(strict_types=1);

namespace App\Looks;

use App\Book\KeepNote;
use App\Fish\FishForm;
use App\Fish\TakeMeasure;
use App\Models\FishGroup;
use App\Models\Look;
use App\Models\SingleFish;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;

/** A look at fish is a note of the book with more to it: signs, places, a scrape, a size, how they fed. */
final readonly class TakeLook
{
    private const SEVERITY = [1 => 'slight', 2 => 'clear', 3 => 'bad'];

    public function __construct(private KeepNote $notes, private TakeMeasure $measures) {}

    /** @throws BadInput at the field */
    public function take(string $id, LookRequest $request, System $system, User $person): void
    {
        $id = strtoupper($id);
        $single = $request->single($system);
        $group = $request->group($system, $single);
        $there = $single !== null ? 1 : $group->count ?? self::all($system);
        $signs = $request->signs(max(1, $there));
        $found = $request->found();
        $said = $request->words(array_filter([...$signs, ...array_values($found)]) !== []);
        DB::transaction(function () use (
            $id,
            $request,
            $system,
            $person,
            $single,
            $group,
            $signs,
            $found,
            $said,
        ): void {
            $words = mb_substr(trim(self::sentence($single, $group, $signs, $found) . " {$said}"), 0, 1000);
            $seen = array_column($signs, 'sign');
            $this->notes->keep($id, $system, $person, $words, $seen, $request->photo());
            $look = Look::query()->firstOrCreate(
                ['id' => $id],
                [
                    ...$found,
                    'signs' => $signs,
                    'marks' => $request->marks(),
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'fish_group_id' => $group?->id,
                    'single_fish_id' => $single?->id,
                ],
            );
            if ($look->wasRecentlyCreated) {
                $this->keepSize($id, $system, $person, $single, $group, $found);
            }
        });
    }

    private static function all(System $system): int
    {
        $count = 0;
        foreach ($system->fish as $group) {
            $count += $group->count;
        }

        return $count;
    }

    /** @param  array{length_cm: ?float, weight_g: ?float, ...}  $found */
    private function keepSize(
        string $id,
        System $system,
        User $person,
        ?SingleFish $single,
        ?FishGroup $group,
        array $found,
    ): void {
        if ($found['length_cm'] === null && $found['weight_g'] === null) {
            return;
        }
        $measure = [
            'length_cm' => $found['length_cm'],
            'weight_g' => $found['weight_g'],
            'measured_on' => FishForm::today($system),
        ];
        match (true) {
            $single !== null => $this->measures->ofSingle($id, $single, $measure, $person),
            $group !== null => $this->measures->ofGroup($id, $group, $measure, $person),
            default => throw BadInput::at('length_cm', 'Say which of them were measured.'),
        };
    }

    /**
     * @param  list<array{sign: string, count: int, severity: int}>  $signs
     * @param  array{scrape: ?string, scrape_seen: ?string, ...}  $found
     */
    private static function sentence(?SingleFish $single, ?FishGroup $group, array $signs, array $found): string
    {
        $whom = $single->name ?? ($group->name ?? 'all');
        $told = implode(
            ', ',
            array_map(
                static fn(array $one): string => "{$one['sign']} ({$one['count']}, " .
                    self::SEVERITY[$one['severity']] .
                    ')',
                $signs,
            ),
        );
        $scrape =
            $found['scrape'] === null
                ? ''
                : " Scrape of the {$found['scrape']}: " . ($found['scrape_seen'] ?? 'clear') . '.';

        return "Looked at {$whom}: " . ($told === '' ? 'nothing wrong' : $told) . ".{$scrape}";
    }
}
