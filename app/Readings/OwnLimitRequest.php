<?php

declare(strict_types=1);

namespace App\Readings;

use App\Http\FormRequest;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;

/** A limit of one's own for what is judged here: its sides in the units the keeper reads, and why. */
final class OwnLimitRequest extends FormRequest
{
    private const LONGEST_REASON = 200;

    /** @throws BadInput at `parameter` */
    public function parameter(): Parameter
    {
        $key = $this->route('parameter');

        return Parameter::tryFrom(is_string($key) ? $key : '') ??
            throw BadInput::at('parameter', 'This is not something that is judged here.');
    }

    /** @throws BadInput at `reason` */
    public function reason(): string
    {
        $reason = $this->input('reason');

        return is_string($reason) && trim($reason) !== ''
            ? mb_substr(trim($reason), 0, self::LONGEST_REASON)
            : throw BadInput::at('reason', 'Give the reason for your own limit.');
    }

    /**
     * @return array{below: ?array<string, float>, above: ?array<string, float>} canonical, by state
     *
     * @throws BadInput at the side
     */
    public function sides(): array
    {
        $sides = ['below' => $this->side('below', -1), 'above' => $this->side('above', 1)];

        return $sides['below'] === null && $sides['above'] === null
            ? throw BadInput::at('above.watch', 'Give at least one limit.')
            : $sides;
    }

    /** @return ?array{watch: float, act: float, emergency: float} canonical */
    private function side(string $side, int $sign): ?array
    {
        $given = $this->input($side);
        $typed = is_array($given)
            ? array_map(static fn(mixed $value): string => is_string($value) ? trim($value) : '', $given)
            : [];
        if (implode('', $typed) === '') {
            return null;
        }
        $values = [];
        foreach (['watch', 'act', 'emergency'] as $state) {
            try {
                $values[$state] = TypedReading::read($this->parameter(), $typed[$state] ?? '', null)->value;
            } catch (UnreadableReading $fault) {
                throw BadInput::at("{$side}.{$state}", $fault->getMessage());
            }
        }
        if (
            $sign * $values['watch'] > $sign * $values['act'] ||
            $sign * $values['act'] > $sign * $values['emergency']
        ) {
            throw BadInput::at("{$side}.act", 'Watch comes before act, and act before emergency.');
        }

        return $values;
    }
}
