<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Expected\Residuals;
use App\Models\Age;
use App\Models\Note;
use App\Models\Stage;
use App\Models\System;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Rounds;
use Ironwort\Core\Words\Message;

/** The keeper's own systems that media may be taken from, and what speaks against each. */
final readonly class DonorsReport
{
    public function __construct(private StageKinds $kinds, private Residuals $residuals, private WaterBodies $bodies) {}

    /** @return list<array<string, mixed>> */
    public function of(System $system): array
    {
        $rows = [];
        $others = System::ofSite($system->site)
            ->with(['site', 'stages', 'vessels', 'lines'])
            ->whereKeyNot($system->id)
            ->get();
        System::lookAtTogether($others);
        foreach ($others as $donor) {
            $stages = $donor->stages->filter(
                fn(Stage $stage): bool => $this->kinds->get($stage->kind)->matures($stage->media_l),
            );
            if ($stages->isNotEmpty()) {
                $rows[] = [
                    'slug' => $donor->slug,
                    'name' => $donor->name,
                    'stages' => array_values(
                        $stages
                            ->map(
                                static fn(Stage $stage): array => [
                                    'id' => $stage->id,
                                    'name' => $stage->name,
                                    'litres' => $stage->media_l,
                                ],
                            )
                            ->all(),
                    ),
                    'against' => array_map(static fn(Message $one): array => $one->toArray(), $this->against($donor)),
                ];
            }
        }

        return $rows;
    }

    /** @return list<Message> what was given to it, and what was seen on its fish of late */
    private function against(System $donor): array
    {
        $said = [];
        $names = array_column(
            array_diff_key(
                $this->residuals->now($donor, $this->bodies->find($donor, null)),
                array_flip(['salt', 'bicarbonate', 'thiosulfate']),
            ),
            'name',
        );
        if ($names !== []) {
            $said[] = Message::of('model.donor_treated', ['name' => $donor->name, 'what' => implode(', ', $names)]);
        }
        /** @var Collection<int, Note> $notes */
        $notes = Note::query()
            ->where('system_id', $donor->id)
            ->whereNull('withdrawn_at')
            ->where('taken_at', '>', Carbon::now()->subDays(Rounds::LOOK_AGAIN_D))
            ->orderByDesc('taken_at')
            ->limit(10)
            ->get();
        foreach ($notes as $note) {
            $signs = Rounds::ailing($note->seen);
            if ($signs !== []) {
                $said[] = Message::of('model.donor_ailing', [
                    'name' => $donor->name,
                    'ago' => Age::of($note->taken_at),
                    'signs' => implode(', ', $signs),
                ]);
                break;
            }
        }

        return $said;
    }
}
