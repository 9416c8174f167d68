<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\FishGroup;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\WaterMeaning;
use Ironwort\Core\Exchange\Move;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** The water fish leave beside the one they go to. */
final readonly class MoveReport
{
    /** What is looked at even where nobody tested it: it kills within a day. */
    private const ASKED = [Parameter::Temperature, Parameter::Ph, Parameter::Nitrate];

    public function __construct(private WaterMeaning $meaning, private QuarantineOf $quarantine) {}

    /** @return array{apart: list<array<string, mixed>>, says: list<array{code: string, text: string}>, why: bool} */
    public function of(System $from, System $to): array
    {
        [$here, $there] = [LatestWater::of($from), LatestWater::of($to)];
        $apart = WaterApart::between($here, $there);
        $worse = $this->outOfWorse($from, $here, $to, $there);
        $says = [];
        if ($apart !== [] && $worse) {
            $says[] = Message::of('fish.move_out_of_worse');
        }
        foreach ($apart as $one) {
            $parameter = Parameter::from($one->key);
            $unit = $parameter->symbol() === null ? '' : " {$parameter->symbol()}";
            $shown = static fn(float $value): string => Format::number($parameter->shown($value), 3) . $unit;
            $difference = $parameter->shown($one->most) - $parameter->shown(0.0);
            $said = Message::of('fish.move_apart', [
                'name' => $parameter->name(),
                'from' => $shown($one->from),
                'to' => $shown($one->to),
                'most' => Format::number($difference, 2) . $unit,
            ]);
            $says[] = $worse
                ? $said
                : $said->followedBy(
                    Message::of('fish.move_steps', ['name' => $parameter->inSentence(), 'days' => $one->days]),
                );
        }
        foreach (self::ASKED as $parameter) {
            foreach ([[$here, $from], [$there, $to]] as [$water, $system]) {
                if ($water->get($parameter) === null) {
                    $says[] = Message::of('fish.move_not_tested', [
                        'name' => $parameter->name(),
                        'where' => $system->name,
                    ]);
                }
            }
        }

        return [
            'apart' => array_map(
                static fn(Move $one): array => [
                    'parameter' => $one->key,
                    'from' => Parameter::from($one->key)->shown($one->from),
                    'to' => Parameter::from($one->key)->shown($one->to),
                    'days' => $one->days,
                ],
                $apart,
            ),
            'says' => array_map(static fn(Message $one): array => $one->toArray(), [
                ...$this->missing($from),
                ...self::begins($to),
                ...$says,
            ]),
            'why' => $this->asks($from, $to) !== null,
        ];
    }

    /**
     * Why a reason is asked for; null where none is. Nobody asks leave to die.
     *
     * @param  ?System  $to  where they are moved; null where they are sold or died
     */
    public function asks(System $from, ?System $to, string $kind = 'moved'): ?Message
    {
        if ($kind === 'lost') {
            return null;
        }

        return $this->holds($from) ??
            ($to === null || WaterApart::between(LatestWater::of($from), LatestWater::of($to)) === []
                ? null
                : Message::of('fish.move_say_why'));
    }

    /** @return list<Message> that fish held there begin anew, before it is done */
    private static function begins(System $to): array
    {
        $held = $to->kind === 'quarantine' && $to->fish->contains(static fn(FishGroup $one): bool => $one->count > 0);

        return $held ? [Message::of('arrival.starts_again')] : [];
    }

    /** Where its quarantine is not over fish leave it only with a reason. */
    private function holds(System $from): ?Message
    {
        $code = $from->kind === 'hospital' ? 'arrival.back_say_why' : 'arrival.gate_say_why';

        return $this->missing($from) === [] ? null : Message::of($code);
    }

    /** @return list<Message> what is missing at the gate of a quarantine, the gravest first */
    private function missing(System $from): array
    {
        if (!in_array($from->kind, ['quarantine', 'hospital'], true)) {
            return [];
        }
        $water = LatestWater::of($from);
        if ($from->kind === 'hospital') {
            return $this->quarantine->gate($from, $water, 0.0)->missing();
        }
        $since = QuarantineOf::since($from);
        $length = $this->quarantine->length(
            $from,
            $water,
            QuarantineOf::protocol($from),
            $since === null ? 0.0 : (float) QuarantineOf::day($from, $since),
        );

        return $this->quarantine->gate($from, $water, $length->number('days_left'))->missing();
    }

    private function outOfWorse(System $from, LatestWater $here, System $to, LatestWater $there): bool
    {
        $left = $this->meaning->of($from, $here)->state;
        $met = $this->meaning->of($to, $there)->state;

        return $left !== null && ($met === null || $left->worseThan($met));
    }
}
