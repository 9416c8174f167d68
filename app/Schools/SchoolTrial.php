<?php

declare(strict_types=1);

namespace App\Schools;

use App\Models\SchoolChoice;
use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Judge\Topic;

/** What another school would change on the pages of one system, before anything is kept: nothing is written. */
final readonly class SchoolTrial
{
    public function __construct(private SchoolEffects $effects) {}

    /** @return array{says: string, risk: string, rows: list<array{of: string, was: list<string>, is: list<string>}>} */
    public function of(System $system, Topic $topic, ?string $school): array
    {
        $water = LatestWater::of($system);
        $before = $this->effects->of($system, $water);
        $others = $system->schools->reject(static fn(SchoolChoice $one): bool => $one->topic === $topic->id);
        $site = $system->site->schools->firstWhere('topic', $topic->id)->school ?? null;
        $tried = $topic->school($school ?? $site);
        $system->setRelation(
            'schools',
            $others->push(new SchoolChoice(['topic' => $topic->id, 'school' => $tried->id])),
        );
        $after = $this->effects->of($system, $water);
        $rows = [];
        foreach ($after as $of => $lines) {
            $was = array_values(array_diff($before[$of] ?? [], $lines));
            $is = array_values(array_diff($lines, $before[$of] ?? []));
            if ($was !== [] || $is !== []) {
                $rows[] = ['of' => $of, 'was' => $was, 'is' => $is];
            }
        }

        return ['says' => $tried->says, 'risk' => $tried->risk, 'rows' => $rows];
    }
}
