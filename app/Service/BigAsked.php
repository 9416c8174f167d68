<?php

declare(strict_types=1);

namespace App\Service;

use App\Forms\TypedInputs;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Service\Job;

/** What is typed for a job of a whole system: where the fish are held, how long, how much of the water is kept. */
final readonly class BigAsked
{
    /** Of the water, percent: a little to rinse in; as much as can be moved where all of it moves. */
    private const KEPT_PCT = ['drain' => 10.0, 'move' => 40.0, 'fill' => 0.0];

    private function __construct(public ?float $tubL, public float $hours, public float $keptPct) {}

    /**
     * @param  array<array-key, mixed>  $typed  `tub_l`, `hours`, `keep_pct`
     *
     * @throws BadInput at the field
     */
    public static function read(Job $job, array $typed): self
    {
        $read = (new TypedInputs([
            Input::number('tub_l', 'Tub for the fish', 'L', 20, 1e6)->optional(),
            Input::number('hours', 'It takes', 'h', 0.5, 72)->optional(),
            Input::number('keep_pct', 'Water kept', '%', 0, 90)->optional(),
        ]))->read($typed);
        $number = static fn(string $key): ?float => is_numeric($read[$key] ?? null) ? (float) $read[$key] : null;

        return new self(
            $number('tub_l'),
            $number('hours') ?? $job->minutes / 60,
            $number('keep_pct') ?? (self::KEPT_PCT[$job->steps] ?? 0.0),
        );
    }
}
