<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Line;
use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/**
 * The line that feeds a new stage or pump, drawn with it: from the part before, short, with a way in and a way out.
 *
 * It can be changed afterwards as any line can.
 */
final readonly class JoinNew
{
    private const LENGTH_M = '0.5';

    public function __construct(private LineInputs $lines, private SavePart $parts) {}

    /**
     * @param  'stage'|'pump'  $kind
     * @param  array<array-key, mixed>  $typed  `fed_from` as the end of a line is written, and `join_bore_mm`
     *
     * @throws BadInput at `fed_from` or `join_bore_mm`
     */
    public function join(System $system, string $kind, string $id, string $name, array $typed): void
    {
        $from = is_string($typed['fed_from'] ?? null) ? $typed['fed_from'] : '';
        $key = Several::keys($id, 2)[1];
        if ($from === '' || Line::query()->where('system_id', $system->id)->whereKey($key)->exists()) {
            return;
        }
        $system->unsetRelations();
        try {
            $columns = $this->lines->read($system, $key, [
                'from' => $from,
                'to' => "{$kind}:" . strtoupper($id),
                'bore_mm' => $typed['join_bore_mm'] ?? '',
                'length_m' => self::LENGTH_M,
                'guarded' => $kind === 'pump' ? 'yes' : 'no',
                'fittings' => [
                    ['id' => $kind === 'pump' ? 'strainer' : 'entry_sharp', 'count' => '1'],
                    ...$kind === 'pump' ? [] : [['id' => 'exit', 'count' => '1']],
                ],
            ]);
        } catch (BadInput $bad) {
            throw new BadInput(
                array_filter([
                    'fed_from' => $bad->errors['from'] ?? ($bad->errors['to'] ?? null),
                    'join_bore_mm' => $bad->errors['bore_mm'] ?? null,
                ]) ?:
                $bad->errors,
            );
        }
        $this->parts->save(Line::class, $system, $key, [...$columns, 'name' => mb_substr("To {$name}", 0, 60)], null);
    }
}
